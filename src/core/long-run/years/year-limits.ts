import type { ClimateNormals } from '../../../records/garden.ts';
import type { Entry } from '../../../records/entry.ts';
import {
  type BedLimit,
  ORGANIC_NITROGEN_YEARLY_G_PER_M2,
  mineralLimits,
  phosphorusAllowance,
  washedOutGuideG,
  washedOutLimit,
} from '../../bed/index.ts';
import type { YearPoint } from './run-years.ts';
import type { YearMeasure } from './years-range.ts';

/** A limit of the bed page that a habit passes, in the year in which it does so most. */
export interface YearLimit {
  readonly yearsAhead: number;
  readonly limit: BedLimit;
}

/** What the limits of a bed hang on. */
export interface LimitSetting {
  readonly climate: ClimateNormals;
  /** For the last soil test. */
  readonly entries: readonly Entry[];
}

/** The limits that are passed over the years, each once. */
export function limitsOfYears(points: readonly YearPoint[], { climate, entries }: LimitSetting): YearLimit[] {
  const years = points.filter(({ yearsAhead }) => yearsAhead > 0);
  if (years.length === 0) return [];
  const worstBy = (read: (point: YearPoint) => number) => years.toSorted((a, b) => read(b) - read(a))[0];
  const wettest = worstBy((point) => point.nitrogenWashedOutG);
  const manured = worstBy((point) => point.manureNitrogenG);
  const richInP = worstBy((point) => point.phosphorusMeanG);
  const richInK = worstBy((point) => point.potassiumMeanG);
  const inYear = ({ yearsAhead }: YearPoint, limits: readonly BedLimit[]): YearLimit[] =>
    limits.map((limit) => ({ yearsAhead, limit }));
  const broughtG = wettest.nitrogenLaidG + wettest.nitrogenBoughtG;
  return [
    ...inYear(wettest, washedOutLimit(climate, wettest.nitrogenWashedOutG, broughtG)),
    ...inYear(manured, manureLimit(manured)),
    ...inYear(richInP, mineralLimits(entries, { phosphorusG: richInP.phosphorusMeanG, potassiumG: 0 })),
    ...inYear(richInK, mineralLimits(entries, { phosphorusG: 0, potassiumG: richInK.potassiumMeanG })),
  ];
}

/** The limits that are passed in each of the years. */
export const limitsYearByYear = (points: readonly YearPoint[], setting: LimitSetting): YearLimit[] =>
  points.flatMap((point) => limitsOfYears([point], setting));

const gramsOf = ({ limit }: YearLimit): number => ('gPerM2' in limit ? limit.gPerM2 : limit.gPerM2Year);

/** Each limit once, in the year in which it is passed most. */
export function worstOfEach(limits: readonly YearLimit[]): YearLimit[] {
  const worst = new Map<string, YearLimit>();
  for (const one of limits) {
    const before = worst.get(one.limit.code);
    if (!before || gramsOf(one) > gramsOf(before)) worst.set(one.limit.code, one);
  }
  return [...worst.values()];
}

const manureLimit = ({ manureNitrogenG, day }: YearPoint): BedLimit[] =>
  manureNitrogenG > ORGANIC_NITROGEN_YEARLY_G_PER_M2
    ? [
        {
          code: 'manureNitrogen',
          gPerM2: manureNitrogenG,
          limitGPerM2: ORGANIC_NITROGEN_YEARLY_G_PER_M2,
          day,
        },
      ]
    : [];

/** The guide value that a measure of the years is held against, in its own unit; null where there is none. */
export function guideOf(measure: YearMeasure, { climate, entries }: LimitSetting): number | null {
  if (measure === 'nitrogenWashedOutG') return washedOutGuideG(climate);
  return measure === 'phosphorusG' ? phosphorusAllowance(entries).gPerM2Year : null;
}
