import type { DayNumber } from '../../ground/index.ts';
import { type BedSample, atEndOf } from '../projection/bed-projection.ts';
import type { BedStanding } from './bed-plan.ts';
import type { PlannedBed } from './plan-of-bed.ts';

/** A bed in one line of the garden. */
export interface BedBrief {
  readonly standing: BedStanding;
  readonly now: BedSample;
  /** The next eight weeks: what is available to roots, and what the crops will need in the four weeks after, g/m2. */
  readonly ahead: readonly { readonly day: DayNumber; readonly availableG: number; readonly wantG: number }[];
  /** Organic matter in a year, %, as the books stand. */
  readonly organicMatterNextYearPct: number;
}

const AHEAD_DAYS = 56;
const YEAR_DAYS = 365;

/** How a bed stands today, how the next weeks look, and what it comes to in a year. */
export function bedBrief({
  standing,
  projection,
  today,
}: Pick<PlannedBed, 'standing' | 'projection' | 'today'>): BedBrief {
  return {
    standing,
    now: atEndOf(projection, today),
    ahead: projection.samples
      .filter(({ day }) => day >= today && day <= today + AHEAD_DAYS)
      .map(({ day, availableContactG, availableRootG, cropWantG }) => ({
        day,
        availableG: availableContactG + availableRootG,
        wantG: cropWantG,
      })),
    organicMatterNextYearPct: atEndOf(projection, today + YEAR_DAYS).organicMatterPct,
  };
}
