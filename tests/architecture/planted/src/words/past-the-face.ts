import { planted } from '../core/model/ledger/flows.ts';
export const uses = planted;
