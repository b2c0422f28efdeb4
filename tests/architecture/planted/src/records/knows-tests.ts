import { planted } from './bed.test.ts';
export const uses = planted;
