import { planted } from '../core/ground/index.ts';
export const uses = planted;
