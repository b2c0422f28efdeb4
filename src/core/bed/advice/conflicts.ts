import { ASH_HIGHEST_PH, ASH_YEARLY_CAP_G_PER_M2 } from '../../yard/index.ts';
import {
  DEEPEST_COVER_CM,
  type DayNumber,
  type FindMaterial,
  HEAVY_CLAY_FROM_PCT,
  dayNumberFromIso,
  findCrop,
  hasTrait,
  isWetMonth,
  phosphorusFractionDryBasis,
} from '../../ground/index.ts';
import { atEndOf, type BedProjection } from '../projection/bed-projection.ts';
import type { BedBooks } from '../books/bed-books.ts';
import { coverOverSeedCm } from '../plan/planting-obstacles.ts';
import type { Entry, LayEntry } from '../../../records/entry.ts';
import type { Planting } from '../../../records/planting.ts';

/** Two things in the books that do not go together, or one thing too much. */
export type Conflict =
  | {
      readonly code: 'limeWithAmmonium';
      readonly limeId: string;
      readonly nitrogenId: string;
      readonly day: DayNumber;
    }
  | { readonly code: 'ashOnHighPh'; readonly entryId: string; readonly ph: number }
  | { readonly code: 'muchAsh'; readonly gPerM2: number; readonly day: DayNumber }
  | { readonly code: 'mulchOnTrunk'; readonly entryId: string }
  | { readonly code: 'rawCharBeforeCrop'; readonly entryId: string; readonly plantingId: string }
  | { readonly code: 'wetClayWorked'; readonly entryId: string; readonly day: DayNumber }
  | { readonly code: 'woodDugIntoClay'; readonly entryId: string }
  | {
      readonly code: 'muchNitrogenInYear';
      readonly gPerM2: number;
      readonly limitGPerM2: number;
      readonly day: DayNumber;
    }
  | { readonly code: 'muchPhosphorus'; readonly gPerM2Year: number; readonly limitGPerM2Year: number }
  | {
      readonly code: 'coverOverSeed';
      readonly plantingId: string;
      readonly coverCm: number;
      readonly deepestCm: number;
    };

const NEAR_DAYS = 14;
const YEAR_DAYS = 365;
/** Nitrogen from manure and other carriers in a year; compost, which gives little of its own, is not counted: 170 kg/ha, EU Nitrates Directive 91/676/EEC (from memory). */
export const ORGANIC_NITROGEN_YEARLY_G_PER_M2 = 17;
/** What a productive bed takes off, g P/m2 a year; more builds up (order of magnitude, from memory). */
export const PHOSPHORUS_YEARLY_G_PER_M2 = 4;
const PHOSPHORUS_YEARS = 3;
/** Raw char still robs a crop sown this soon after (the trade says weeks to seasons; set here). */
const RAW_CHAR_DAYS = 60;

interface Dated<Kind extends Entry = Entry> {
  readonly entry: Kind;
  readonly day: DayNumber;
}

const dated = <Kind extends Entry>(entry: Kind): Dated<Kind> => ({
  entry,
  day: dayNumberFromIso(entry.date, ['date']),
});

/** What clashes in the records of a bed, from `since` on; `projection` knows what lies there when. */
export function conflictsIn({
  books,
  findMaterial,
  projection,
  since,
}: {
  readonly books: BedBooks;
  readonly findMaterial: FindMaterial;
  readonly projection: BedProjection;
  readonly since: DayNumber;
}): Conflict[] {
  const all = books.entries.map(dated);
  const layings = all.filter((one): one is Dated<LayEntry> => one.entry.type === 'lay');
  const recent = layings.filter(({ day }) => day >= since);
  return [
    ...limeWithAmmonium({ all, layings, findMaterial, since }),
    ...ash(books, findMaterial, recent),
    ...recent.flatMap((one) => ofLaying(one, books, findMaterial)),
    ...wetClay(all, books, since),
    ...tooMuch({ books, layings, findMaterial, since }),
    ...books.plantings.flatMap((planting) => coverOverSeed(planting, projection, since)),
  ];
}

function limeWithAmmonium({
  all,
  layings,
  findMaterial,
  since,
}: {
  readonly all: readonly Dated[];
  readonly layings: readonly Dated<LayEntry>[];
  readonly findMaterial: FindMaterial;
  readonly since: DayNumber;
}): Conflict[] {
  const bringsAmmonium = ({ entry }: Dated): boolean =>
    entry.type === 'feed' ||
    (entry.type === 'lay' && (findMaterial(entry.materialId)?.ammoniumShareOfNitrogen ?? 0) > 0.1);
  return layings
    .filter(
      ({ entry, day }) =>
        hasTrait(findMaterial(entry.materialId), 'drivesOffAmmonia') && day >= since - NEAR_DAYS,
    )
    .flatMap((lime) =>
      all
        .filter((one) => bringsAmmonium(one) && Math.abs(one.day - lime.day) <= NEAR_DAYS)
        .map((one) => ({
          code: 'limeWithAmmonium' as const,
          limeId: lime.entry.id,
          nitrogenId: one.entry.id,
          day: Math.max(one.day, lime.day),
        })),
    );
}

/** The last pH measured on or before a day, or what the bed's page says. */
export function phOn({ bed, entries }: Pick<BedBooks, 'bed' | 'entries'>, day: DayNumber): number | null {
  const tests = entries
    .flatMap((entry) =>
      entry.type === 'soilTest' && entry.ph !== null ? [{ ...dated(entry), ph: entry.ph }] : [],
    )
    .filter((test) => test.day <= day)
    .sort((a, b) => a.day - b.day);
  return tests.at(-1)?.ph ?? bed.ph;
}

function ash(books: BedBooks, findMaterial: FindMaterial, recent: readonly Dated<LayEntry>[]): Conflict[] {
  const ashes = recent.filter(({ entry }) => hasTrait(findMaterial(entry.materialId), 'isWoodAsh'));
  return ashes.flatMap(({ entry, day }) => {
    const ph = phOn(books, day);
    const withinYear = ashes.filter((other) => other.day <= day && other.day > day - YEAR_DAYS);
    const gPerM2 =
      (withinYear.reduce((sum, other) => sum + other.entry.massFreshKg, 0) * 1000) / books.bed.areaM2;
    return [
      ...(ph !== null && ph > ASH_HIGHEST_PH
        ? [{ code: 'ashOnHighPh' as const, entryId: entry.id, ph }]
        : []),
      ...(gPerM2 > ASH_YEARLY_CAP_G_PER_M2 * 1.01 ? [{ code: 'muchAsh' as const, gPerM2, day }] : []),
    ];
  });
}

function ofLaying({ entry, day }: Dated<LayEntry>, books: BedBooks, findMaterial: FindMaterial): Conflict[] {
  const { bed, plantings } = books;
  const material = findMaterial(entry.materialId);
  if (!material) return [];
  const soon = plantings.find(({ plantedOn }) => {
    const plantDay = dayNumberFromIso(plantedOn, ['plantedOn']);
    return plantDay >= day && plantDay <= day + RAW_CHAR_DAYS;
  });
  const isRawChar = material.kind === 'char' && !material.isCharged;
  const onTrunk =
    entry.dugDepthCm === 0 &&
    material.kind !== 'none' &&
    material.kind !== 'fertiliser' &&
    hasTrunk(books, day);
  return [
    ...(onTrunk ? [{ code: 'mulchOnTrunk' as const, entryId: entry.id }] : []),
    ...(isRawChar && soon
      ? [{ code: 'rawCharBeforeCrop' as const, entryId: entry.id, plantingId: soon.id }]
      : []),
    ...(material.kind === 'wood' && entry.dugDepthCm > 0 && bed.clayPct >= HEAVY_CLAY_FROM_PCT
      ? [{ code: 'woodDugIntoClay' as const, entryId: entry.id }]
      : []),
  ];
}

function hasTrunk({ bed, plantings }: BedBooks, day: DayNumber): boolean {
  if (bed.kind === 'treeRing' || bed.kind === 'shrubs') return true;
  return plantings.some(({ cropId, plantedOn, clearedOn }) => {
    const stands =
      dayNumberFromIso(plantedOn, ['plantedOn']) <= day &&
      (clearedOn === null || dayNumberFromIso(clearedOn, ['clearedOn']) > day);
    return stands && findCrop(cropId)?.isWoody;
  });
}

/** Digging in a wet month. */
function wetClay(all: readonly Dated[], { bed, site }: BedBooks, since: DayNumber): Conflict[] {
  if (bed.clayPct < HEAVY_CLAY_FROM_PCT) return [];
  const isDigging = ({ entry }: Dated): boolean =>
    entry.type === 'dig' || (entry.type === 'lay' && entry.dugDepthCm > 0);
  return all
    .filter((one) => one.day >= since && isDigging(one))
    .filter(({ day }) => isWetMonth(site.climate, day))
    .map(({ entry, day }) => ({ code: 'wetClayWorked', entryId: entry.id, day }));
}

function tooMuch({
  books: { bed },
  layings,
  findMaterial,
  since,
}: {
  readonly books: BedBooks;
  readonly layings: readonly Dated<LayEntry>[];
  readonly findMaterial: FindMaterial;
  readonly since: DayNumber;
}): Conflict[] {
  const dryG = ({ entry }: Dated<LayEntry>): number => {
    const material = findMaterial(entry.materialId);
    return material ? (entry.massFreshKg * 1000 * (1 - material.moistureFractionWetBasis)) / bed.areaM2 : 0;
  };
  const spread = layings.filter(({ entry }) =>
    ['manure', 'fertiliser'].includes(findMaterial(entry.materialId)?.kind ?? ''),
  );
  const nitrogenG = (one: Dated<LayEntry>): number =>
    dryG(one) * (findMaterial(one.entry.materialId)?.nitrogenFractionDryBasis ?? 0);
  const years = spread
    .filter(({ day }) => day >= since)
    .map(({ day }) => ({
      day,
      gPerM2: spread
        .filter((other) => other.day <= day && other.day > day - YEAR_DAYS)
        .reduce((sum, other) => sum + nitrogenG(other), 0),
    }));
  const worst = years.reduce<(typeof years)[number] | null>(
    (best, one) => (!best || one.gPerM2 > best.gPerM2 ? one : best),
    null,
  );
  const lastDay = Math.max(since, ...layings.map(({ day }) => day));
  const phosphorusG =
    layings
      .filter(({ day }) => day > lastDay - PHOSPHORUS_YEARS * YEAR_DAYS)
      .reduce(
        (sum, one) =>
          sum +
          dryG(one) * phosphorusFractionDryBasis(one.entry.materialId, findMaterial(one.entry.materialId)),
        0,
      ) / PHOSPHORUS_YEARS;
  return [
    ...(worst && worst.gPerM2 > ORGANIC_NITROGEN_YEARLY_G_PER_M2
      ? [
          {
            code: 'muchNitrogenInYear' as const,
            ...worst,
            limitGPerM2: ORGANIC_NITROGEN_YEARLY_G_PER_M2,
          },
        ]
      : []),
    ...(phosphorusG > PHOSPHORUS_YEARLY_G_PER_M2
      ? [
          {
            code: 'muchPhosphorus' as const,
            gPerM2Year: phosphorusG,
            limitGPerM2Year: PHOSPHORUS_YEARLY_G_PER_M2,
          },
        ]
      : []),
  ];
}

/** Seed under more than it can push through. */
function coverOverSeed(
  { id, cropId, plantedOn, startsAs }: Planting,
  projection: BedProjection,
  since: DayNumber,
): Conflict[] {
  const crop = findCrop(cropId);
  const day = dayNumberFromIso(plantedOn, ['plantedOn']);
  if (!crop || startsAs !== 'seed' || day < since || day >= projection.endDay) return [];
  const coverCm = coverOverSeedCm(atEndOf(projection, day));
  const deepestCm = DEEPEST_COVER_CM[crop.seedSize];
  return coverCm > deepestCm ? [{ code: 'coverOverSeed', plantingId: id, coverCm, deepestCm }] : [];
}
