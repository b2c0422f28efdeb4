import type { ClimateNormals } from '../../../records/garden.ts';
import type { Entry } from '../../../records/entry.ts';
import { total } from '../../ground/index.ts';
import {
  type BedLimit,
  ORGANIC_NITROGEN_YEARLY_G_PER_M2,
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
  const allowed = phosphorusAllowance(entries);
  const meanPhosphorusG = (point: YearPoint) => {
    const last = years.slice(Math.max(0, point.yearsAhead - MINERAL_YEARS), point.yearsAhead);
    return total(last.map(({ phosphorusG }) => phosphorusG)) / last.length;
  };
  const worstBy = (read: (point: YearPoint) => number) => years.toSorted((a, b) => read(b) - read(a))[0];
  const wettest = worstBy((point) => point.nitrogenWashedOutG);
  const manured = worstBy((point) => point.manureNitrogenG);
  const richest = worstBy(meanPhosphorusG);
  const washed = washedOutLimit(
    climate,
    wettest.nitrogenWashedOutG,
    wettest.nitrogenLaidG + wettest.nitrogenBoughtG,
  );
  return [
    ...washed.map((limit) => ({ yearsAhead: wettest.yearsAhead, limit })),
    ...(manured.manureNitrogenG > ORGANIC_NITROGEN_YEARLY_G_PER_M2
      ? [
          {
            yearsAhead: manured.yearsAhead,
            limit: {
              code: 'manureNitrogen' as const,
              gPerM2: manured.manureNitrogenG,
              limitGPerM2: ORGANIC_NITROGEN_YEARLY_G_PER_M2,
              day: manured.day,
            },
          },
        ]
      : []),
    ...(meanPhosphorusG(richest) > allowed.gPerM2Year
      ? [
          {
            yearsAhead: richest.yearsAhead,
            limit: {
              code: 'phosphorus' as const,
              gPerM2Year: meanPhosphorusG(richest),
              limitGPerM2Year: allowed.gPerM2Year,
              tested: allowed.tested,
            },
          },
        ]
      : []),
  ];
}

/** The guide value that a measure of the years is held against, in its own unit; null where there is none. */
export function guideOf(measure: YearMeasure, { climate, entries }: LimitSetting): number | null {
  if (measure === 'nitrogenWashedOutG') return washedOutGuideG(climate);
  return measure === 'phosphorusG' ? phosphorusAllowance(entries).gPerM2Year : null;
}
