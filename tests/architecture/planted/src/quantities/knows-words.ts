import { planted } from '../words/plain.ts';
export const uses = planted;
