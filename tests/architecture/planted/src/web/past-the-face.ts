import { planted } from './places/bed/BedPage.ts';
export const uses = planted;
