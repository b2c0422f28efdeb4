import { planted } from '../bed/index.ts';
export const uses = planted;
