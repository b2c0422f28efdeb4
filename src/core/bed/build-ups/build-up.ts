import { type DayNumber, calendarDateOf, dayNumberOf } from '../../ground/index.ts';
import type { BedKind } from '../../../records/vocabulary.ts';

/** What a layer is for: cover at once, where fresh will do, or soil later on. */
export type Purpose = 'coverNow' | 'soilLater';

/** One layer of a build-up, for a square metre. */
export interface BuildUpLayer {
  readonly materialId: string;
  readonly thicknessCm: number;
  /** 0 leaves it on top. */
  readonly dugDepthCm: number;
  readonly seasonedMonths: number;
  /** Days after the first layer; 0 the same day. */
  readonly afterDays: number;
}

/** How long to wait before planting: days, or until something has come about. */
export type PlantingWait =
  | { readonly until: 'none' }
  | { readonly until: 'days'; readonly days: number }
  | { readonly until: 'spring' }
  | { readonly until: 'deficitCovered' }
  | { readonly until: 'never' };

export const BUILD_UP_NOTES = [
  'sowIntoCompost',
  'clearOfTrunk',
  'soakOnce',
  'nitrogenBelowWood',
  'cardOverlap',
  'holesOnClay',
  'autumnWork',
  'raiseClay',
  'slowWorkOnly',
  'relayEveryThirdYear',
  'thinTopUp',
  'moveTrench',
  'soilOnTop',
  'layerEveryYear',
  'onlyHopelessClay',
] as const;
export type BuildUpNote = (typeof BUILD_UP_NOTES)[number];

/** A way of building up a bed, as the trade describes it. */
export interface BuildUp {
  readonly id: string;
  readonly purpose: Purpose;
  /** From the soil upwards. */
  readonly layers: readonly BuildUpLayer[];
  readonly wait: PlantingWait;
  readonly suits: readonly BedKind[];
  readonly notes: readonly BuildUpNote[];
}

/** A spring this close is not waited for: what was laid has had no winter (set here). */
const LEAST_WINTER_DAYS = 45;
const SPRING_MONTH = { north: 4, south: 10 } as const;

/** First day to plant after laying a build-up; null where it takes more than a date to know, or never. */
export function plantableFrom(wait: PlantingWait, laidDay: DayNumber, isSouth: boolean): DayNumber | null {
  switch (wait.until) {
    case 'none':
      return laidDay;
    case 'days':
      return laidDay + wait.days;
    case 'spring': {
      const month = SPRING_MONTH[isSouth ? 'south' : 'north'];
      const { year } = calendarDateOf(laidDay + LEAST_WINTER_DAYS);
      const thisYears = dayNumberOf({ year, month, day: 1 });
      return thisYears >= laidDay + LEAST_WINTER_DAYS
        ? thisYears
        : dayNumberOf({ year: year + 1, month, day: 1 });
    }
    case 'deficitCovered':
    case 'never':
      return null;
  }
}
