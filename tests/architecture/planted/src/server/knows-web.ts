import { planted } from '../web/ui/field.ts';
export const uses = planted;
