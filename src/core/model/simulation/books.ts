import { ASH_ACCOUNTS, CARBON_ACCOUNTS, NITROGEN_ACCOUNTS } from '../ledger/accounts.ts';
import {
  ashExpense,
  ashIncome,
  carbonExpense,
  carbonIncome,
  nitrogenExpense,
  nitrogenIncome,
} from '../ledger/balance.ts';
import { FLOW_COUNT } from '../ledger/flows.ts';
import { readPostings } from '../ledger/postings.ts';
import type { Bed } from './bed.ts';
import { charCarbon, freshCarbon, type Cohort } from './cohort.ts';

/** What lies in each asset account, g/m2, summed from the pools themselves: carbon, then nitrogen, then ash. */
export const BALANCE_COUNT = CARBON_ACCOUNTS.length + NITROGEN_ACCOUNTS.length + ASH_ACCOUNTS.length;

/** Where the balances of each element begin. */
const NITROGEN_FROM = CARBON_ACCOUNTS.length;
const ASH_FROM = NITROGEN_FROM + NITROGEN_ACCOUNTS.length;

/** Writes the balances of all asset accounts into `out`. Mutates out. */
export function readBalances({ state, constants }: Bed, out: Float64Array): void {
  out.fill(0);
  for (const cohort of state.cohorts) addCohort(cohort, out);
  if (state.roots) addCohort(state.roots, out);
  out[2] += constants.inertC + state.activeHumusC + state.slowHumusC;
  out[6] += constants.inertN + state.activeHumusN + state.slowHumusN;
  out[10] = state.contactZone.nitrogenG;
  out[11] = state.rootZone.nitrogenG;
  out[12] = state.upperSubsoilN;
  out[13] = state.lowerSubsoilN;
  for (const crop of state.crops) out[14] += crop.standingN;
}

function addCohort(c: Cohort, out: Float64Array): void {
  out[0] += freshCarbon(c);
  out[1] += c.microbialC;
  out[2] += c.humusC;
  out[3] += charCarbon(c);
  out[4] += c.quickN + c.structuralN + c.woodyN;
  out[5] += c.microbialN;
  out[6] += c.humusN;
  out[7] += c.labileCharN + c.stableCharN + c.charHeldN;
  out[8] += c.ammoniumN;
  out[9] += c.layer.nitrogenG;
  out[ASH_FROM] += c.ashG;
}

/** Both sides of the books, g/m2: what was there and came in, against what is there and went out. */
export interface Books {
  readonly carbonIn: number;
  readonly carbonAccounted: number;
  readonly nitrogenIn: number;
  readonly nitrogenAccounted: number;
  readonly ashIn: number;
  readonly ashAccounted: number;
}

const sumRange = (values: Float64Array, from: number, to: number): number => {
  let sum = 0;
  for (let i = from; i < to; i++) sum += values[i];
  return sum;
};

/** Room to read the books in, over and over. */
export interface BooksScratch {
  readonly balances: Float64Array;
  readonly flows: Float64Array;
}

export const createBooksScratch = (): BooksScratch => ({
  balances: new Float64Array(BALANCE_COUNT),
  flows: new Float64Array(FLOW_COUNT),
});

/** `opening`: the balances on the first day. Mutates scratch. */
export function readBooks(bed: Bed, opening: Float64Array, scratch: BooksScratch): Books {
  const { balances, flows } = scratch;
  readBalances(bed, balances);
  readPostings(bed.state.postings, flows);
  return {
    carbonIn: sumRange(opening, 0, NITROGEN_FROM) + carbonIncome(flows),
    carbonAccounted: sumRange(balances, 0, NITROGEN_FROM) + carbonExpense(flows),
    nitrogenIn: sumRange(opening, NITROGEN_FROM, ASH_FROM) + nitrogenIncome(flows),
    nitrogenAccounted: sumRange(balances, NITROGEN_FROM, ASH_FROM) + nitrogenExpense(flows),
    ashIn: sumRange(opening, ASH_FROM, BALANCE_COUNT) + ashIncome(flows),
    ashAccounted: sumRange(balances, ASH_FROM, BALANCE_COUNT) + ashExpense(flows),
  };
}

/** Largest of the relative differences between the two sides of the books. */
export function relativeError(books: Books): number {
  const error = (left: number, right: number): number => Math.abs(left - right) / Math.max(1, left);
  return Math.max(
    error(books.carbonIn, books.carbonAccounted),
    error(books.nitrogenIn, books.nitrogenAccounted),
    error(books.ashIn, books.ashAccounted),
  );
}
