import { planted } from './routes/beds.ts';
export const uses = planted;
