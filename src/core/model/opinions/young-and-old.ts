import type { ClimateNormals } from '../../../records/garden.ts';
import type { MaterialKind } from '../../ground/index.ts';
import type { OpinionSetting } from './carbon-feed.ts';
import { monthlyRateModifiers } from './five-pools.ts';

/** The two-pool model of Andren and Katterer (1997), ICBM: parameters from memory. Rates per year. */
export const YOUNG_RATE_PER_YEAR = 0.8;
export const OLD_RATE_PER_YEAR = 0.00605;
/** Share of decayed young carbon that becomes old: straw and green residues, and farmyard manure. */
export const HUMIFIED = { residues: 0.125, manure: 0.31 } as const;

export interface YoungAndOld {
  readonly young: number;
  readonly old: number;
}

/** Carbon fed evenly, g/m2 per year; `humified` and `climateFactor` (r) as above. */
export interface EvenFeed {
  readonly carbonGPerYear: number;
  readonly humified: number;
  readonly climateFactor: number;
}

/** Where both pools stay: Y = i / (k1 r), O = h i / (k2 r). */
export const steadyState = ({ carbonGPerYear: i, humified: h, climateFactor: r }: EvenFeed): YoungAndOld => ({
  young: i / (YOUNG_RATE_PER_YEAR * r),
  old: (h * i) / (OLD_RATE_PER_YEAR * r),
});

/** The closed form of both pools after so many years under an even feed. */
export function afterYears(start: YoungAndOld, feed: EvenFeed, years: number): YoungAndOld {
  const { humified: h, climateFactor: r } = feed;
  const k1 = YOUNG_RATE_PER_YEAR * r;
  const k2 = OLD_RATE_PER_YEAR * r;
  const steady = steadyState(feed);
  const youngGone = Math.exp(-k1 * years);
  const oldGone = Math.exp(-k2 * years);
  const surplus = start.young - steady.young;
  return {
    young: steady.young + surplus * youngGone,
    old:
      steady.old +
      (start.old - steady.old) * oldGone +
      ((h * k1 * surplus) / (k1 - k2)) * (oldGone - youngGone),
  };
}

/**
 * Central Sweden, where the climate factor is 1: monthly normals near Uppsala, to the nearest few units (from memory).
 */
export const CENTRAL_SWEDEN: ClimateNormals = {
  temperatureC: [-4, -4, -0.5, 4.5, 10.5, 15, 17, 16, 11, 6, 1, -2.5],
  rainMm: [40, 30, 30, 30, 35, 50, 70, 65, 55, 50, 50, 45],
  evapotranspirationMm: [5, 8, 25, 55, 95, 115, 110, 85, 45, 20, 8, 4],
};
const CENTRAL_SWEDEN_CLAY_PCT = 36;

const mean = (values: readonly number[]): number => values.reduce((sum, one) => sum + one, 0) / values.length;

/** How much faster things decay than in central Sweden: our own ratio of the five-pool model's modifiers (set here). */
export const climateFactor = (climate: ClimateNormals, clayPct: number): number =>
  mean(monthlyRateModifiers(climate, clayPct)) /
  mean(monthlyRateModifiers(CENTRAL_SWEDEN, CENTRAL_SWEDEN_CLAY_PCT));

const MANURES: ReadonlySet<MaterialKind> = new Set(['manure', 'compost']);

const humifiedOf = (kind: MaterialKind): number => (MANURES.has(kind) ? HUMIFIED.manure : HUMIFIED.residues);

/** Old carbon on the days asked for, g/m2; every input is a young pool of its own from its day on. */
export function youngAndOldOpinion(setting: OpinionSetting): number[] {
  const { climate, clayPct, openingCarbonG, startDay, inputs, lookDays } = setting;
  const r = climateFactor(climate, clayPct);
  return lookDays.map((look) => {
    const years = (day: number) => (look - day) / 365.25;
    const none = { carbonGPerYear: 0, climateFactor: r };
    const start = afterYears(
      { young: 0, old: openingCarbonG },
      { ...none, humified: 0 },
      years(startDay),
    ).old;
    return inputs.reduce((sum, { day, kind, carbonG }) => {
      if (day >= look) return sum;
      return (
        sum + afterYears({ young: carbonG, old: 0 }, { ...none, humified: humifiedOf(kind) }, years(day)).old
      );
    }, start);
  });
}
