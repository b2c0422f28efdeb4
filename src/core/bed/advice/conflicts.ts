import { ASH_HIGHEST_PH, ASH_YEARLY_CAP_G_PER_M2, ashOnBed, ashTakenG } from '../../yard/index.ts';
import {
  DEEPEST_COVER_CM,
  type DayNumber,
  type FindMaterial,
  HEAVY_CLAY_FROM_PCT,
  dayNumberFromIso,
  findCrop,
  hasTrait,
  isWetMonth,
} from '../../ground/index.ts';
import { atEndOf, type BedProjection } from '../projection/bed-projection.ts';
import type { BedBooks } from '../books/bed-books.ts';
import { phOn } from '../books/soil-tests.ts';
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
      readonly code: 'coverOverSeed';
      readonly plantingId: string;
      readonly coverCm: number;
      readonly deepestCm: number;
    };

const NEAR_DAYS = 14;
const YEAR_DAYS = 365;
/** Raw char still locks up nitrogen from a crop sown this soon after (the trade says weeks to seasons; set here). */
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
    ...ash(books, findMaterial, since),
    ...recent.flatMap((one) => ofLaying(one, books, findMaterial)),
    ...wetClay(all, books, since),
    ...books.plantings.flatMap((planting) => coverOverSeed(planting, { books, projection, since })),
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

function ash(books: BedBooks, findMaterial: FindMaterial, since: DayNumber): Conflict[] {
  const { entries, bed, taken } = books;
  const ashes = ashOnBed({ entries, areaM2: bed.areaM2 }, ashTakenG(taken), findMaterial).filter(
    ({ day }) => day >= since,
  );
  return ashes.flatMap(({ entryId, day, isSpread }) => {
    const ph = phOn(books, day);
    const withinYear = ashes.filter((other) => other.day <= day && other.day > day - YEAR_DAYS);
    const gPerM2 = withinYear.reduce((sum, other) => sum + other.gPerM2, 0);
    return [
      ...(isSpread && ph !== null && ph > ASH_HIGHEST_PH
        ? [{ code: 'ashOnHighPh' as const, entryId, ph }]
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

function hasTrunk({ bed, plantings, crops }: BedBooks, day: DayNumber): boolean {
  if (bed.kind === 'treeRing' || bed.kind === 'shrubs') return true;
  return plantings.some(({ cropId, plantedOn, clearedOn }) => {
    const stands =
      dayNumberFromIso(plantedOn, ['plantedOn']) <= day &&
      (clearedOn === null || dayNumberFromIso(clearedOn, ['clearedOn']) > day);
    return stands && findCrop(cropId, crops)?.isWoody;
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

/** Seed under more than it can push through. */
function coverOverSeed(
  { id, cropId, plantedOn, startsAs }: Planting,
  {
    books,
    projection,
    since,
  }: { readonly books: BedBooks; readonly projection: BedProjection; readonly since: DayNumber },
): Conflict[] {
  const crop = findCrop(cropId, books.crops);
  const day = dayNumberFromIso(plantedOn, ['plantedOn']);
  if (!crop || startsAs !== 'seed' || day < since || day >= projection.endDay) return [];
  const coverCm = coverOverSeedCm(atEndOf(projection, day));
  const deepestCm = DEEPEST_COVER_CM[crop.seedSize];
  return coverCm > deepestCm ? [{ code: 'coverOverSeed', plantingId: id, coverCm, deepestCm }] : [];
}
