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

/** What one laying brings that a guide value counts, g for the whole bed. */
export interface Brought {
  /** Of manure and meals only. */
  readonly manureNitrogenG: number;
  readonly phosphorusG: number;
  readonly potassiumG: number;
}

/** What so much of a material brings; nothing for one that is not known. */
export function broughtBy(
  { materialId, massFreshKg }: Pick<LayEntry, 'materialId' | 'massFreshKg'>,
  findMaterial: FindMaterial,
): Brought {
  const material = findMaterial(materialId);
  if (!material) return { manureNitrogenG: 0, phosphorusG: 0, potassiumG: 0 };
  const dryG = massFreshKg * 1000 * (1 - material.moistureFractionWetBasis);
  const counts = material.kind === 'manure' || material.kind === 'fertiliser';
  return {
    manureNitrogenG: counts ? dryG * material.nitrogenFractionDryBasis : 0,
    phosphorusG: dryG * phosphorusFractionDryBasis(materialId, material),
    potassiumG: dryG * potassiumFractionDryBasis(materialId, material),
  };
}

interface DatedBrought extends Brought {
  readonly day: DayNumber;
}

const layingsOf = ({ entries, findMaterial }: Pick<Layings, 'entries' | 'findMaterial'>): DatedBrought[] =>
  entries
    .filter((entry): entry is LayEntry => entry.type === 'lay')
    .map((entry) => ({ day: dayNumberFromIso(entry.date, ['date']), ...broughtBy(entry, findMaterial) }));

/** The year to a day holds another day. */
const isInYearTo = (end: DayNumber, day: DayNumber): boolean => day <= end && day > end - YEAR_DAYS;
// By calendar years: three years to the day would hold four springs.
const yearOf = (day: DayNumber): number => calendarDateOf(day).year;
const isInYearsTo = (endYear: number, day: DayNumber): boolean =>
  yearOf(day) <= endYear && yearOf(day) > endYear - MINERAL_YEARS;

/** What is spread on a bed against the guide values, by its records alone. */
export function spreadLimits(setting: Layings): BedLimit[] {
  const { bed, entries, since } = setting;
  const layings = layingsOf(setting);
  const worst = layings
    .filter(({ day, manureNitrogenG }) => day >= since && manureNitrogenG > 0)
    .map(({ day }) => ({
      day,
      gPerM2:
        total(layings.filter((other) => isInYearTo(day, other.day)).map((one) => one.manureNitrogenG)) /
        bed.areaM2,
    }))
    .toSorted((a, b) => b.gPerM2 - a.gPerM2)
    .at(0);
  const lastYear = yearOf(Math.max(since, ...layings.map(({ day }) => day)));
  const own = layings.filter(({ day }) => isInYearsTo(lastYear, day));
  const yearly = (read: (one: Brought) => number) => total(own.map(read)) / bed.areaM2 / MINERAL_YEARS;
  return [
    ...(worst && worst.gPerM2 > ORGANIC_NITROGEN_YEARLY_G_PER_M2
      ? [{ code: 'manureNitrogen' as const, ...worst, limitGPerM2: ORGANIC_NITROGEN_YEARLY_G_PER_M2 }]
      : []),
    ...mineralLimits(entries, {
      phosphorusG: yearly(({ phosphorusG }) => phosphorusG),
      potassiumG: yearly(({ potassiumG }) => potassiumG),
    }),
  ];
}

/** Phosphorus and potassium of a year, g/m2, against crops and the last soil test. */
export function mineralLimits(
  entries: readonly Entry[],
  { phosphorusG, potassiumG }: Pick<Brought, 'phosphorusG' | 'potassiumG'>,
): BedLimit[] {
  const allowed = phosphorusAllowance(entries);
  const potassium = lastRated({ entries }, 'potassium', Infinity);
  return [
    ...(phosphorusG > Math.max(allowed.gPerM2Year, LITTLE_MINERAL_G_PER_M2)
      ? [
          {
            code: 'phosphorus' as const,
            gPerM2Year: phosphorusG,
            limitGPerM2Year: allowed.gPerM2Year,
            tested: allowed.tested,
          },
        ]
      : []),
    ...(potassium?.rating === 'veryHigh' && potassiumG > LITTLE_MINERAL_G_PER_M2
      ? [{ code: 'potassium' as const, gPerM2Year: potassiumG, tested: potassium }]
      : []),
  ];
}

/** Phosphorus that may be spread in a year, g/m2, by the last soil test that has a class for it. */
export function phosphorusAllowance(entries: readonly Entry[]): {
  readonly gPerM2Year: number;
  readonly tested: RatedFigure | null;
} {
  const tested = lastRated({ entries }, 'phosphorus', Infinity);
  return {
    gPerM2Year: PHOSPHORUS_YEARLY_G_PER_M2 * PHOSPHORUS_ALLOWANCE[tested?.rating ?? 'enough'],
    tested,
  };
}

/** The limits that count what is spread. */
export type SpreadLimitCode = keyof typeof COUNTED_BY;
const COUNTED_BY = {
  manureNitrogen: 'manureNitrogenG',
  phosphorus: 'phosphorusG',
  potassium: 'potassiumG',
} as const satisfies Partial<Record<BedLimit['code'], keyof Brought>>;

/** What laying brings of what a limit counts, g. */
export const countedBy = (code: SpreadLimitCode, brought: Brought): number => brought[COUNTED_BY[code]];

/** So much more may be spread on the whole bed on these days together before a limit is passed, g; never below 0. */
export interface SpreadRoom {
  readonly code: SpreadLimitCode;
  readonly days: readonly DayNumber[];
  readonly roomG: number;
}

/**
 * The room that what has been and will be spread leaves for layings on `days`: `spreadLimits` finds nothing as long as every
 * room is kept, but what it finds already.
 */
export function roomToSpread(setting: Omit<Layings, 'since'>, days: readonly DayNumber[]): SpreadRoom[] {
  const { bed, entries } = setting;
  const layings = layingsOf(setting);
  const room = (
    code: SpreadLimitCode,
    mostGPerM2: number,
    isIn: (day: DayNumber) => boolean,
  ): SpreadRoom[] => {
    const own = days.filter(isIn);
    const thereG = total(layings.filter(({ day }) => isIn(day)).map((one) => countedBy(code, one)));
    return own.length > 0 ? [{ code, days: own, roomG: Math.max(0, mostGPerM2 * bed.areaM2 - thereG) }] : [];
  };
  const ends = [...new Set([...days, ...layings.map(({ day }) => day)])];
  const years = [...new Set(ends.map(yearOf))];
  const phosphorusG = Math.max(phosphorusAllowance(entries).gPerM2Year, LITTLE_MINERAL_G_PER_M2);
  const isFullOfPotassium = lastRated({ entries }, 'potassium', Infinity)?.rating === 'veryHigh';
  return [
    ...ends.flatMap((end) =>
      room('manureNitrogen', ORGANIC_NITROGEN_YEARLY_G_PER_M2, (day) => isInYearTo(end, day)),
    ),
    ...years.flatMap((year) =>
      room('phosphorus', phosphorusG * MINERAL_YEARS, (day) => isInYearsTo(year, day)),
    ),
    ...(isFullOfPotassium
      ? years.flatMap((year) =>
          room('potassium', LITTLE_MINERAL_G_PER_M2 * MINERAL_YEARS, (day) => isInYearsTo(year, day)),
        )
      : []),
  ];
}
