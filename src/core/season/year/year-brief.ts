import { total } from '../../ground/index.ts';
import { isUnexpected } from '../journal/expectation.ts';
import type { CropYield, ObservedThing, YearSheet } from './year-sheet.ts';

/** A year of a bed in a handful of figures, for the whole bed. */
export interface YearBrief {
  readonly year: number;
  readonly isOver: boolean;
  readonly yields: readonly CropYield[];
  readonly yieldKg: number;
  readonly hours: number;
  readonly carbonInKg: number;
  readonly nitrogenInG: number;
  readonly fedNitrogenG: number;
  readonly washedOutG: number;
  readonly openingOrganicMatterPct: number;
  readonly closingOrganicMatterPct: number;
  readonly paleDays: number;
  /** What was worse than the model expected, or off. */
  readonly unexpected: readonly ObservedThing[];
  /** Whether anything was written down or spread in it. */
  readonly isEmpty: boolean;
}

/** What of a sheet is told in short. */
export function yearBrief(sheet: YearSheet, areaM2: number): YearBrief {
  const { putIn, crops, seen, tests } = sheet;
  return {
    year: sheet.year,
    isOver: sheet.isOver,
    yields: sheet.yields,
    yieldKg: sheet.yieldKg,
    hours: sheet.hours,
    carbonInKg: (total(putIn.map(({ carbonG }) => carbonG)) * areaM2) / 1000,
    nitrogenInG: total(putIn.map(({ nitrogenG }) => nitrogenG)) * areaM2,
    fedNitrogenG: sheet.fedNitrogenG * areaM2,
    washedOutG: sheet.washedOutG * areaM2,
    openingOrganicMatterPct: sheet.openingOrganicMatterPct,
    closingOrganicMatterPct: sheet.closingOrganicMatterPct,
    paleDays: Math.max(0, ...crops.map(({ paleDays }) => paleDays)),
    unexpected: seen.filter(({ expectation }) => expectation !== null && isUnexpected(expectation)),
    isEmpty: putIn.length + crops.length + seen.length + tests.length === 0 && sheet.fedNitrogenG === 0,
  };
}

/** The beds of a garden in one year, added up. */
export interface GardenYear extends Pick<
  YearBrief,
  'yields' | 'yieldKg' | 'hours' | 'carbonInKg' | 'nitrogenInG' | 'fedNitrogenG' | 'washedOutG'
> {
  /** Of the ground of all beds, by their areas. */
  readonly organicMatterChangePct: number;
}

/** Adds up beds; `organicMatterChangePct` is their mean, each counted by its area. */
export function gardenYear(
  beds: readonly { readonly brief: YearBrief; readonly areaM2: number }[],
): GardenYear {
  const sum = (read: (brief: YearBrief) => number): number => total(beds.map(({ brief }) => read(brief)));
  const byCrop = new Map<string | null, number>();
  for (const { cropId, massKg } of beds.flatMap(({ brief }) => brief.yields)) {
    byCrop.set(cropId, (byCrop.get(cropId) ?? 0) + massKg);
  }
  const areaM2 = total(beds.map((one) => one.areaM2));
  const change = total(
    beds.map((one) => (one.brief.closingOrganicMatterPct - one.brief.openingOrganicMatterPct) * one.areaM2),
  );
  return {
    yields: [...byCrop].map(([cropId, massKg]) => ({ cropId, massKg })).sort((a, b) => b.massKg - a.massKg),
    yieldKg: sum(({ yieldKg }) => yieldKg),
    hours: sum(({ hours }) => hours),
    carbonInKg: sum(({ carbonInKg }) => carbonInKg),
    nitrogenInG: sum(({ nitrogenInG }) => nitrogenInG),
    fedNitrogenG: sum(({ fedNitrogenG }) => fedNitrogenG),
    washedOutG: sum(({ washedOutG }) => washedOutG),
    organicMatterChangePct: areaM2 === 0 ? 0 : change / areaM2,
  };
}
