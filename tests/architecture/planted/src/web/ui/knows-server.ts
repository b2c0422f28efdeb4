import { planted } from '../../server/main.ts';
export const uses = planted;
