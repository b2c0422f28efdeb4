import { planted } from '../long-run/index.ts';
export const uses = planted;
