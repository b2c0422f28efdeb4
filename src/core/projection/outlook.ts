import type { DayNumber } from '../climate/calendar.ts';
import { withoutMaterials, type BedScenario } from '../simulation/scenario.ts';
import { projectBed, sampleOn } from './bed-projection.ts';

const DAYS_PER_YEAR = 365.25;

/** What the soil holds so many years from today, per m2. */
export interface OutlookYear {
  readonly yearsAhead: number;
  readonly day: DayNumber;
  /** As a laboratory finds it; humus alone beside it, %. */
  readonly organicMatterPct: number;
  readonly humusPct: number;
  /** Height over the first surface of the bed. */
  readonly riseCm: number;
  readonly humusCarbonG: number;
  readonly charCarbonG: number;
  /** Fresh matter still recognizable, g C/m2. */
  readonly freshCarbonG: number;
  /** The same bed had nothing ever been laid on it. */
  readonly bareOrganicMatterPct: number;
  readonly bareHumusCarbonG: number;
}

/** Today and the same day of the coming years. */
export const outlookDays = (today: DayNumber, years: number): DayNumber[] =>
  Array.from({ length: years + 1 }, (_, i) => today + Math.round(i * DAYS_PER_YEAR));

/** Humus and char year by year from `today`, were nothing added beyond what the books hold. */
export function outlook(scenario: BedScenario, today: DayNumber, years: number): OutlookYear[] {
  const days = outlookDays(today, years);
  const everyDays = scenario.endDay - scenario.startDay;
  const own = projectBed(scenario, everyDays, days);
  const bare = projectBed(withoutMaterials(scenario), everyDays, days);
  return days.map((day, yearsAhead) => {
    const sample = sampleOn(own, day);
    const bareSample = sampleOn(bare, day);
    return {
      yearsAhead,
      day,
      organicMatterPct: sample.organicMatterPct,
      humusPct: sample.humusPct,
      riseCm: sample.riseCm,
      humusCarbonG: sample.humusCarbonG,
      charCarbonG: sample.charCarbonG,
      freshCarbonG: sample.balances[0],
      bareOrganicMatterPct: bareSample.organicMatterPct,
      bareHumusCarbonG: bareSample.humusCarbonG,
    };
  });
}

/** Organic matter is told in tenths of a percent: less than half of one is no difference, %. */
const TOLD_PCT = 0.05;

/** Whether what was laid ever makes a difference to the organic matter that can be told. */
export const changesSoil = (years: readonly OutlookYear[]): boolean =>
  years.some((year) => Math.abs(year.organicMatterPct - year.bareOrganicMatterPct) >= TOLD_PCT);
