import type { ClimateNormals } from '../../../records/garden.ts';
import type { Entry } from '../../../records/entry.ts';
import { total } from '../../ground/index.ts';
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

/** Minerals are told as the mean of so many years. */
const MINERAL_YEARS = 3;

/** The limits that are passed over the years, each once. */
export function limitsOfYears(points: readonly YearPoint[], { climate, entries }: LimitSetting): YearLimit[] {
  const years = points.filter(({ yearsAhead }) => yearsAhead > 0);
  if (years.length === 0) return [];
  const meanOf = (point: YearPoint, read: (one: YearPoint) => number) => {
    const last = years.slice(Math.max(0, point.yearsAhead - MINERAL_YEARS), point.yearsAhead);
    return total(last.map(read)) / last.length;
  };
  const worstBy = (read: (point: YearPoint) => number) => years.toSorted((a, b) => read(b) - read(a))[0];
  const meanPhosphorusG = (point: YearPoint) => meanOf(point, (one) => one.phosphorusG);
  const meanPotassiumG = (point: YearPoint) => meanOf(point, (one) => one.potassiumG);
  const wettest = worstBy((point) => point.nitrogenWashedOutG);
  const manured = worstBy((point) => point.manureNitrogenG);
  const [richInP, richInK] = [worstBy(meanPhosphorusG), worstBy(meanPotassiumG)];
  const inYear = ({ yearsAhead }: YearPoint, limits: readonly BedLimit[]): YearLimit[] =>
    limits.map((limit) => ({ yearsAhead, limit }));
  const broughtG = wettest.nitrogenLaidG + wettest.nitrogenBoughtG;
  return [
    ...inYear(wettest, washedOutLimit(climate, wettest.nitrogenWashedOutG, broughtG)),
    ...inYear(manured, manureLimit(manured)),
    ...inYear(richInP, mineralLimits(entries, { phosphorusG: meanPhosphorusG(richInP), potassiumG: 0 })),
    ...inYear(richInK, mineralLimits(entries, { phosphorusG: 0, potassiumG: meanPotassiumG(richInK) })),
  ];
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
