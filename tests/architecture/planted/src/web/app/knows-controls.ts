import { planted } from '../ui/field.ts';
export const uses = planted;
