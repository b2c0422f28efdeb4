import { planted } from '../../cli/planted.ts';
export const uses = planted;
