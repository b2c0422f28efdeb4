import { planted } from '../attic/index.ts';
export const uses = planted;
