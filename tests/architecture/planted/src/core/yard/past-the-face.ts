import { planted } from '../model/ledger/flows.ts';
export const uses = planted;
