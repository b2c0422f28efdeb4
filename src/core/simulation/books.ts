import { CARBON_ACCOUNTS, NITROGEN_ACCOUNTS } from '../ledger/accounts.ts';
import { carbonExpense, carbonIncome, nitrogenExpense, nitrogenIncome } from '../ledger/balance.ts';
import { CONTACT_ZONE, layerAccount, ROOT_ZONE, type Bed } from './bed.ts';
import { freshCarbon } from './cohort-table.ts';

/** What lies in each asset account, g/m2, summed from the pools themselves: carbon first, then nitrogen. */
export const BALANCE_COUNT = CARBON_ACCOUNTS.length + NITROGEN_ACCOUNTS.length;

/** Writes the balances of all asset accounts into `out` from `offset` on. Mutates out. */
export function readBalances({ state, constants }: Bed, out: Float64Array, offset = 0): void {
  const { cohorts: t, crops, mineralN } = state;
  let freshC = 0;
  let microbialC = 0;
  let humusC = constants.inertC + state.nativeHumusC;
  let charC = 0;
  let freshN = 0;
  let microbialN = 0;
  let humusN = constants.inertN + state.nativeHumusN;
  let charN = 0;
  let ammonium = 0;
  let layers = 0;
  let cropN = 0;
  for (let i = 0; i < t.count; i++) {
    freshC += freshCarbon(t, i);
    microbialC += t.microbialC[i];
    humusC += t.humusC[i];
    charC += t.labileCharC[i] + t.stableCharC[i];
    freshN += t.quickN[i] + t.structuralN[i] + t.woodyN[i];
    microbialN += t.microbialN[i];
    humusN += t.humusN[i];
    charN += t.labileCharN[i] + t.stableCharN[i] + t.charHeldN[i];
    ammonium += t.ammoniumN[i];
    layers += mineralN[layerAccount(i)];
  }
  for (let k = 0; k < crops.count; k++) cropN += crops.standingN[k];
  out[offset] = freshC;
  out[offset + 1] = microbialC;
  out[offset + 2] = humusC;
  out[offset + 3] = charC;
  out[offset + 4] = freshN;
  out[offset + 5] = microbialN;
  out[offset + 6] = humusN;
  out[offset + 7] = charN;
  out[offset + 8] = ammonium;
  out[offset + 9] = layers;
  out[offset + 10] = mineralN[CONTACT_ZONE]!;
  out[offset + 11] = mineralN[ROOT_ZONE]!;
  out[offset + 12] = cropN;
}

/** Both sides of the books, g/m2: what was there and came in, against what is there and went out. */
export interface Books {
  readonly carbonIn: number;
  readonly carbonAccounted: number;
  readonly nitrogenIn: number;
  readonly nitrogenAccounted: number;
}

const sumRange = (values: Float64Array, from: number, to: number): number => {
  let sum = 0;
  for (let i = from; i < to; i++) sum += values[i];
  return sum;
};

/** `opening`: the balances on the first day. */
export function readBooks(bed: Bed, opening: Float64Array, scratch: Float64Array): Books {
  readBalances(bed, scratch);
  const carbonEnd = CARBON_ACCOUNTS.length;
  const { flows } = bed.state;
  return {
    carbonIn: sumRange(opening, 0, carbonEnd) + carbonIncome(flows),
    carbonAccounted: sumRange(scratch, 0, carbonEnd) + carbonExpense(flows),
    nitrogenIn: sumRange(opening, carbonEnd, BALANCE_COUNT) + nitrogenIncome(flows),
    nitrogenAccounted: sumRange(scratch, carbonEnd, BALANCE_COUNT) + nitrogenExpense(flows),
  };
}

/** Larger of the two relative differences between the sides of the books. */
export function relativeError(books: Books): number {
  const carbon = Math.abs(books.carbonIn - books.carbonAccounted) / Math.max(1, books.carbonIn);
  const nitrogen = Math.abs(books.nitrogenIn - books.nitrogenAccounted) / Math.max(1, books.nitrogenIn);
  return Math.max(carbon, nitrogen);
}
