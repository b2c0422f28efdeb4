import {
  type DayNumber,
  type FindMaterial,
  type Material,
  calendarDateOf,
  dayNumberFromIso,
  dayNumberOf,
  isSouthern,
} from '../../ground/index.ts';
import { InputError, type FieldPath } from '../../../refusals/input-error.ts';
import {
  type ApplyOpening,
  type AutomaticIrrigation,
  type BedEvent,
  type BedScenario,
  type CohortOpening,
  CONTACT_ZONE_CM,
  DEFAULT_STEPS_PER_DAY,
  PARAMETER_TABLE,
  PILE_STEPS_PER_DAY,
  type PilePlan,
  SOIL_DEFAULTS,
  type SoilHistory,
  runPile,
  withOverrides,
} from '../../model/index.ts';
import { type LotContents, openingOfContents, scaleContents } from '../../yard/index.ts';
import type { BedBooks } from './bed-books.ts';
import { phOn, testedNitrogenGPerM2 } from './soil-tests.ts';
import { cropPlans } from './crop-plans.ts';
import type { Bed } from '../../../records/bed.ts';
import type { CroppingBefore } from '../../../records/vocabulary.ts';
import type { Entry, LayEntry, SoilTestEntry } from '../../../records/entry.ts';

/** What the model takes the ground for (set here): two years of rest or of one crop make no other soil. */
const HISTORY_OF: Readonly<Record<CroppingBefore, SoilHistory>> = {
  unknown: 'garden',
  ordinary: 'garden',
  rested: 'garden',
  hard: 'arable',
  turf: 'grass',
  bare: 'fallow',
};
const DAYS_PER_MONTH = 365 / 12;
/** Watering as a careful gardener does it: at a third of the storage gone, nearly full again (set here). */
const WATERING = { trigger: 0.35, refill: 0.9 } as const;
const WARM_MONTHS_NORTH = [5, 6, 7, 8, 9];
const WARM_MONTHS_SOUTH = [11, 12, 1, 2, 3];
/**
 * First day of the run of a bed: 1 October (1 April south) before anything that is recorded, so that a winter
 * has levelled the guess at mineral nitrogen by the time it matters.
 */
export function openingDay({ site, entries, plantings }: BedBooks, today: DayNumber): DayNumber {
  const dates = [...entries.map(({ date }) => date), ...plantings.map(({ plantedOn }) => plantedOn)];
  const first = Math.min(today, ...dates.map((date) => dayNumberFromIso(date, ['date'])));
  const month = isSouthern(site.climate) ? 4 : 10;
  const { year } = calendarDateOf(first);
  const thisYears = dayNumberOf({ year, month, day: 1 });
  return thisYears < first ? thisYears : dayNumberOf({ year: year - 1, month, day: 1 });
}

export function wateringOf({ site, bed }: Pick<BedBooks, 'site' | 'bed'>): AutomaticIrrigation | undefined {
  if (!bed.isWatered) return undefined;
  return { months: isSouthern(site.climate) ? WARM_MONTHS_SOUTH : WARM_MONTHS_NORTH, ...WATERING };
}

/**
 * The books of a bed as the model reads them, from the opening day to `endDay`; entries and plantings after
 * that are left out. Throws InputError with a path such as `entries.3.massFreshKg` for what cannot be.
 */
export function bedScenario({
  books,
  findMaterial,
  today,
  endDay,
}: {
  readonly books: BedBooks;
  readonly findMaterial: FindMaterial;
  readonly today: DayNumber;
  readonly endDay: DayNumber;
}): BedScenario {
  const { site, bed, plantings } = books;
  const entries = inOrder(books.entries).filter(({ day }) => day < endDay);
  const laid = entries.flatMap(
    ({ entry, day, path }) => laying({ entry, day, path, books, findMaterial }) ?? [],
  );
  const watering = wateringOf(books);
  return {
    startDay: openingDay(books, today),
    endDay,
    climate: site.climate,
    ...(site.weather ? { weather: site.weather } : {}),
    soil: {
      ...SOIL_DEFAULTS,
      organicMatterPct: bed.organicMatterPct,
      bulkDensityGPerCm3: bed.bulkDensityGPerCm3,
      clayPct: bed.clayPct,
      rootZoneCm: bed.rootZoneCm,
      ph: phOn(books, today) ?? SOIL_DEFAULTS.ph,
      history: HISTORY_OF[bed.croppingBefore],
    },
    events: laid.map(({ event }) => event),
    piles: laid.flatMap(({ pile }) => pile ?? []),
    crops: plantings.flatMap((planting, i) =>
      cropPlans({ planting, path: ['plantings', i], books, findMaterial, endDay }),
    ),
    ...(watering ? { irrigation: watering } : {}),
    depositionGPerM2Year: site.depositionGPerM2Year,
    stepsPerDay: DEFAULT_STEPS_PER_DAY,
  };
}

interface DatedEntry {
  readonly entry: Entry;
  readonly day: DayNumber;
  readonly path: FieldPath;
}

/** Entries by date; on one day in the order they were written down. */
function inOrder(entries: readonly Entry[]): DatedEntry[] {
  return entries
    .map((entry, i) => ({
      entry,
      day: dayNumberFromIso(entry.date, ['entries', i, 'date']),
      path: ['entries', i],
    }))
    .sort((a, b) => a.day - b.day);
}

interface Laying {
  readonly event: BedEvent;
  readonly pile?: PilePlan;
}

/** What an entry does to the ground; null for a soil test that did not measure mineral nitrogen. */
function laying({
  entry,
  day,
  path,
  books,
  findMaterial,
}: {
  readonly entry: Entry;
  readonly day: DayNumber;
  readonly path: FieldPath;
  readonly books: BedBooks;
  readonly findMaterial: FindMaterial;
}): Laying | null {
  const { bed } = books;
  switch (entry.type) {
    case 'lay':
      return layingOf({ entry, day, path, books, findMaterial });
    case 'dig': {
      const cohortIds = entry.layerId === null ? ('all' as const) : [entry.layerId];
      return { event: { type: 'dig', day, depthCm: entry.dugDepthCm, cohortIds } };
    }
    case 'takeOff':
      return {
        event: {
          type: 'remove',
          day,
          cohortId: entry.layerId,
          share: entry.shareTakenOff,
          humusShare: entry.humusShareTakenOff ?? 0,
        },
      };
    case 'feed':
      return {
        event: {
          type: 'feed',
          day,
          nitrogenGPerM2: entry.nitrogenG / bed.areaM2,
          depthCm: CONTACT_ZONE_CM,
        },
      };
    case 'soilTest':
      return testing(entry, day, bed);
    case 'water':
      return { event: { type: 'irrigate', day, waterMm: entry.waterMm } };
  }
}

/**
 * A test as what it says of the two zones, g/m2: its nitrogen taken as even over the sampled depth, and the same
 * below it down to the depth of the bed (set here; laboratories give one figure). What lies deeper stays as it is.
 */
function testing(entry: SoilTestEntry, day: DayNumber, bed: Bed): Laying | null {
  const nitrogenGPerM2 = testedNitrogenGPerM2(entry, bed);
  if (nitrogenGPerM2 === null) return null;
  const perCm = nitrogenGPerM2 / entry.sampledDepthCm;
  const bedDepthCm = Math.min(bed.rootZoneCm, PARAMETER_TABLE.workedDepthCm.value);
  const mineralNGPerM2 = [perCm * CONTACT_ZONE_CM, perCm * (bedDepthCm - CONTACT_ZONE_CM)] as const;
  return { event: { type: 'soilTest', day, mineralNGPerM2 } };
}

function layingOf({
  entry,
  day,
  path,
  books: { site, bed, taken },
  findMaterial,
}: {
  readonly entry: LayEntry;
  readonly day: DayNumber;
  readonly path: FieldPath;
  readonly books: BedBooks;
  readonly findMaterial: FindMaterial;
}): Laying {
  const placing = {
    type: 'apply' as const,
    day,
    id: entry.id,
    dugDepthCm: entry.dugDepthCm,
    exposure: bed.exposure,
    isOnPath: bed.kind === 'path',
  };
  if (entry.lotId)
    return { event: { ...placing, ...outOfStock({ entry, lotId: entry.lotId, taken, bed, path }) } };
  const material = findMaterial(entry.materialId, day);
  if (!material) {
    throw new InputError([...path, 'materialId'], 'namesNone', { what: 'material', got: entry.materialId });
  }
  const massFreshKgPerM2 = entry.massFreshKg / bed.areaM2;
  if (entry.seasonedMonths === 0) return { event: { ...placing, material, massFreshKgPerM2 } };

  const heap = seasoningHeap({ entry, day, material, massFreshKg: massFreshKgPerM2 });
  const perKg = runPile({ ...heap, mix: [{ material, massFreshKg: 1 }] }, site.climate, withOverrides());
  const dryKgPerM2 = massFreshKgPerM2 * (1 - material.moistureFractionWetBasis);
  const massPutInKgPerM2 = (dryKgPerM2 * 1000) / perKg.dryMassG;
  return {
    event: { ...placing, pileId: heap.id, massFreshKgPerM2: massPutInKgPerM2 },
    pile: { ...heap, mix: [{ material, massFreshKg: massPutInKgPerM2 }] },
  };
}

/** What the stock gave for this entry, on a square metre. */
function outOfStock({
  entry: { id },
  lotId,
  taken,
  bed: { areaM2 },
  path,
}: {
  readonly entry: LayEntry;
  readonly lotId: string;
  readonly taken: BedBooks['taken'];
  readonly bed: Bed;
  readonly path: FieldPath;
}): Pick<ApplyOpening, 'opening' | 'massFreshKgPerM2'> {
  const given = taken?.get(id);
  if (!given) throw new InputError([...path, 'lotId'], 'namesNone', { what: 'stock', got: lotId });
  return { opening: openingOn(areaM2, given.contents), massFreshKgPerM2: given.massFreshKg / areaM2 };
}

/** What the stock gave does not change, and is asked for whenever the books of its bed are checked. */
const openings = new WeakMap<LotContents, { readonly areaM2: number; readonly opening: CohortOpening }>();

function openingOn(areaM2: number, contents: LotContents): CohortOpening {
  const known = openings.get(contents);
  if (known?.areaM2 === areaM2) return known.opening;
  const opening = openingOfContents(scaleContents(contents, 1 / areaM2), withOverrides());
  openings.set(contents, { areaM2, opening });
  return opening;
}

/** A still, cold heap of one material that ends on the day it is spread. */
function seasoningHeap({
  entry,
  day,
  material,
  massFreshKg,
}: {
  readonly entry: LayEntry;
  readonly day: DayNumber;
  readonly material: Material;
  readonly massFreshKg: number;
}): PilePlan {
  return {
    id: `heap of ${entry.id}`,
    startDay: day - Math.max(1, Math.round(entry.seasonedMonths * DAYS_PER_MONTH)),
    endDay: day,
    mix: [{ material, massFreshKg }],
    isTurned: false,
    isHot: false,
    moistureFactor: 1,
    kind: material.kind,
    stepsPerDay: PILE_STEPS_PER_DAY,
  };
}

/** Fields of the model and the fields of a record they come from, to name what stands in the books. */
const RECORD_FIELDS: Record<string, string> = {
  day: 'date',
  pileId: 'seasonedMonths',
  massFreshKgPerM2: 'massFreshKg',
  depthCm: 'dugDepthCm',
  cohortIds: 'layerId',
  cohortId: 'layerId',
  share: 'shareTakenOff',
  nitrogenGPerM2: 'nitrogenG',
  mineralNGPerM2: 'amount',
  plantDay: 'plantedOn',
  harvestDay: 'clearedOn',
};

/** An error about the scenario of a bed, its field spelt as in the record of the bed. */
export function inRecordWords(error: InputError, books: BedBooks): InputError {
  const [list, index, field, ...rest] = error.path;
  const named = typeof field === 'string' ? (RECORD_FIELDS[field] ?? field) : undefined;
  if (list === 'events' && typeof index === 'number' && named !== undefined) {
    const entry = inOrder(books.entries).at(index);
    if (entry) return error.at([...entry.path, named, ...rest.slice(1)]);
  }
  if (list === 'soil' && typeof index === 'string') {
    return error.at(['bed', index]);
  }
  return error;
}
