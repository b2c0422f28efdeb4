import { planted } from '../places/bed/index.ts';
export const uses = planted;
