import type { Bed } from '../../../records/bed.ts';
import type { Entry, LayEntry } from '../../../records/entry.ts';
import type { ClimateNormals } from '../../../records/garden.ts';
import {
  type DayNumber,
  type FindMaterial,
  calendarDateOf,
  dayNumberFromIso,
  phosphorusFractionDryBasis,
  potassiumFractionDryBasis,
  total,
} from '../../ground/index.ts';
import { nitrogenBought, nitrogenFetchedBack, nitrogenLaid, nitrogenWashedOut } from '../../model/index.ts';
import { lastRated, type NutrientRating, type RatedFigure } from '../advice/soil-nutrients.ts';
import { type BedProjection, sampleOn } from '../projection/bed-projection.ts';

/** More of something in a year than a bed should get or lose, against a guide value. Amounts per m2. */
export type BedLimit =
  | {
      /** Nitrogen of manure and meals in the year to a day. */
      readonly code: 'manureNitrogen';
      readonly gPerM2: number;
      readonly limitGPerM2: number;
      readonly day: DayNumber;
    }
  | {
      readonly code: 'phosphorus';
      readonly gPerM2Year: number;
      readonly limitGPerM2Year: number;
      /** What the last soil test says of it; null without one that has a class. */
      readonly tested: RatedFigure | null;
    }
  /** Potassium that is spread where a soil test found very much of it. */
  | { readonly code: 'potassium'; readonly gPerM2Year: number; readonly tested: RatedFigure }
  | {
      /** Washed out of the bed in a year and not fetched back, beside what was brought there in it. */
      readonly code: 'washedOut';
      readonly gPerM2Year: number;
      readonly limitGPerM2Year: number;
      readonly broughtGPerM2Year: number;
    };

const YEAR_DAYS = 365;
/** Nitrogen from manure and other carriers in a year; compost, which gives little of its own, is not counted: 170 kg/ha, EU Nitrates Directive 91/676/EEC (from memory). */
export const ORGANIC_NITROGEN_YEARLY_G_PER_M2 = 17;
/** What a productive bed takes off, g P/m2 a year; more builds up (order of magnitude, from memory). */
export const PHOSPHORUS_YEARLY_G_PER_M2 = 4;
/**
 * What may be spread against what is taken off, by what a soil test found: where there is little it may be built up,
 * where there is much it is drawn down (the direction is common practice, the figures are set here).
 */
const PHOSPHORUS_ALLOWANCE: Readonly<Record<NutrientRating, number>> = {
  low: 2,
  enough: 1,
  high: 0.5,
  veryHigh: 0,
};
/** Less than this a year is no manuring worth a word, g/m2 (set here). */
const LITTLE_MINERAL_G_PER_M2 = 0.5;
const MINERAL_YEARS = 3;
/** 50 mg of nitrate in a liter of what drains, as nitrogen, g/L: EU Nitrates Directive 91/676/EEC (from memory). */
const DRAINED_NITROGEN_G_PER_L = 0.0113;
/** Where hardly any rain drains the guide value would be next to nothing; no less than this drains, mm (set here). */
const LEAST_DRAINAGE_MM = 150;

/**
 * Nitrogen that may be washed out of a square meter in a year, g: as much as keeps what drains by the normals below 50 mg
 * of nitrate a liter.
 *
 * @example
 * washedOutGuideG(findClimate('mild_maritime')) // 6.08
 */
export function washedOutGuideG({ rainMm, evapotranspirationMm }: ClimateNormals): number {
  const drainedMm = total(rainMm.map((rain, i) => Math.max(0, rain - evapotranspirationMm[i])));
  return Math.max(LEAST_DRAINAGE_MM, drainedMm) * DRAINED_NITROGEN_G_PER_L;
}

/** The limit of what is washed out in a year; none while it is kept. */
export function washedOutLimit(
  climate: ClimateNormals,
  gPerM2Year: number,
  broughtGPerM2Year: number,
): BedLimit[] {
  const limitGPerM2Year = washedOutGuideG(climate);
  if (gPerM2Year <= limitGPerM2Year) return [];
  return [{ code: 'washedOut', gPerM2Year, limitGPerM2Year, broughtGPerM2Year }];
}

/** What is washed out in the year from `today` on, by the model. */
export function leachingLimit(
  projection: BedProjection,
  climate: ClimateNormals,
  today: DayNumber,
): BedLimit[] {
  const [now, then] = [sampleOn(projection, today), sampleOn(projection, today + YEAR_DAYS)];
  const since = (sum: (flows: Float64Array) => number) => sum(then.flows) - sum(now.flows);
  return washedOutLimit(
    climate,
    since(nitrogenWashedOut) - since(nitrogenFetchedBack),
    since(nitrogenLaid) + since(nitrogenBought),
  );
}

interface Layings {
  readonly bed: Pick<Bed, 'areaM2'>;
  readonly entries: readonly Entry[];
  readonly findMaterial: FindMaterial;
  /** Years that ended before are past mending. */
  readonly since: DayNumber;
}

/** What is spread on a bed against the guide values, by its records alone. */
export function spreadLimits({ bed, entries, findMaterial, since }: Layings): BedLimit[] {
  const layings = entries
    .filter((entry): entry is LayEntry => entry.type === 'lay')
    .map((entry) => ({ entry, day: dayNumberFromIso(entry.date, ['date']) }));
  const dryG = ({ entry }: (typeof layings)[number]): number => {
    const material = findMaterial(entry.materialId);
    return material ? (entry.massFreshKg * 1000 * (1 - material.moistureFractionWetBasis)) / bed.areaM2 : 0;
  };
  const manures = layings.filter(({ entry }) =>
    ['manure', 'fertiliser'].includes(findMaterial(entry.materialId)?.kind ?? ''),
  );
  const nitrogenG = (one: (typeof layings)[number]): number =>
    dryG(one) * (findMaterial(one.entry.materialId)?.nitrogenFractionDryBasis ?? 0);
  const years = manures
    .filter(({ day }) => day >= since)
    .map(({ day }) => ({
      day,
      gPerM2: total(
        manures.filter((other) => other.day <= day && other.day > day - YEAR_DAYS).map(nitrogenG),
      ),
    }));
  const worst = years.toSorted((a, b) => b.gPerM2 - a.gPerM2).at(0);
  return [
    ...(worst && worst.gPerM2 > ORGANIC_NITROGEN_YEARLY_G_PER_M2
      ? [{ code: 'manureNitrogen' as const, ...worst, limitGPerM2: ORGANIC_NITROGEN_YEARLY_G_PER_M2 }]
      : []),
    ...mineralLimits(entries, layings, {
      since,
      yearlyG: (own, shareOf) =>
        total(
          own.map((one) => dryG(one) * shareOf(one.entry.materialId, findMaterial(one.entry.materialId))),
        ) / MINERAL_YEARS,
    }),
  ];
}

interface DatedLaying {
  readonly entry: LayEntry;
  readonly day: DayNumber;
}

/** Phosphorus and potassium of the three years to the last spreading, against crops and the last soil test. */
function mineralLimits(
  entries: readonly Entry[],
  layings: readonly DatedLaying[],
  {
    since,
    yearlyG,
  }: {
    readonly since: DayNumber;
    readonly yearlyG: (own: readonly DatedLaying[], shareOf: typeof phosphorusFractionDryBasis) => number;
  },
): BedLimit[] {
  // By calendar years: three years to the day would hold four springs.
  const yearOf = (day: DayNumber): number => calendarDateOf(day).year;
  const lastDay = Math.max(since, ...layings.map(({ day }) => day));
  const own = layings.filter(({ day }) => yearOf(day) > yearOf(lastDay) - MINERAL_YEARS);
  const tested = lastRated({ entries }, 'phosphorus', Infinity);
  const limitGPerM2Year = PHOSPHORUS_YEARLY_G_PER_M2 * PHOSPHORUS_ALLOWANCE[tested?.rating ?? 'enough'];
  const phosphorusG = yearlyG(own, phosphorusFractionDryBasis);
  const potassium = lastRated({ entries }, 'potassium', Infinity);
  const potassiumG = yearlyG(own, potassiumFractionDryBasis);
  return [
    ...(phosphorusG > Math.max(limitGPerM2Year, LITTLE_MINERAL_G_PER_M2)
      ? [{ code: 'phosphorus' as const, gPerM2Year: phosphorusG, limitGPerM2Year, tested }]
      : []),
    ...(potassium?.rating === 'veryHigh' && potassiumG > LITTLE_MINERAL_G_PER_M2
      ? [{ code: 'potassium' as const, gPerM2Year: potassiumG, tested: potassium }]
      : []),
  ];
}
