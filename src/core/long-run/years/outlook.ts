import type { DayNumber } from '../../ground/index.ts';
import { type BedScenario, withoutMaterials } from '../../model/index.ts';
import { type RunYear, runYears } from './run-years.ts';

/** What the soil holds so many years from today, per m2. */
export interface OutlookYear extends RunYear {
  /** The same bed had nothing ever been laid on it. */
  readonly bareOrganicMatterPct: number;
}

/** A bed year by year from `today`, beside the same bed without what was laid. `scenario` reaches past the last year. */
export function outlook(scenario: BedScenario, today: DayNumber, years: number): OutlookYear[] {
  const bare = runYears(withoutMaterials(scenario), today, years).points;
  return runYears(scenario, today, years).points.map((point, i) => ({
    ...point,
    bareOrganicMatterPct: bare[i].organicMatterPct,
  }));
}

/** Organic matter is shown in tenths of a percent: less than half of one is no difference, %. */
const TOLD_PCT = 0.05;

/** Whether what was spread ever changes the organic matter by enough to show. */
export const changesSoil = (years: readonly OutlookYear[]): boolean =>
  years.some((year) => Math.abs(year.organicMatterPct - year.bareOrganicMatterPct) >= TOLD_PCT);
