import { planted } from '../crops/pea.ts';
export const uses = planted;
