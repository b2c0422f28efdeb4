import { planted } from '../../records/bed.ts';
export const uses = planted;
