import {
  type DayNumber,
  type FindMaterial,
  asMeasured,
  dayNumberFromIso,
  findLibraryMaterial,
  isoDateOf,
  ownMaterial,
} from '../../ground/index.ts';
import type { Journaled } from '../../../records/journal.ts';
import type { MeasuredDay } from '../../../records/weather.ts';
import type { OwnCrop } from '../../../records/crop.ts';
import type { LabResult } from '../../../records/lab-result.ts';
import type { OwnMaterialBasis } from '../../../records/material.ts';
import type { BedTake, Movement } from '../../../records/movement.ts';
import type { Lot } from '../../../records/lot.ts';
import type { BedBooks } from './bed-books.ts';
import type { Bed } from '../../../records/bed.ts';
import type { Entry } from '../../../records/entry.ts';
import type { Planting } from '../../../records/planting.ts';
import type { School } from '../../../records/vocabulary.ts';
import type { Site } from '../../../records/garden.ts';
import { type StockBooks, type StockMemory, type StockRun, carryOut } from '../../yard/index.ts';

/** The records of a whole garden, as far as the model reads them. */
export interface GardenRecords {
  readonly garden: Site & { readonly school: School; readonly feedMaterialId?: string };
  readonly beds: readonly Bed[];
  readonly entries: readonly (Entry & { readonly bedId: string })[];
  readonly plantings: readonly (Planting & { readonly bedId: string })[];
  readonly materials: readonly { readonly id: string; readonly basis: OwnMaterialBasis }[];
  readonly crops: readonly OwnCrop[];
  readonly labResults: readonly LabResult[];
  readonly lots: readonly Lot[];
  readonly movements: readonly Movement[];
  /** What a station measured; the stock lies under the normals all the same. */
  readonly weather?: readonly MeasuredDay[];
  /** What was said of its tasks, among other things. */
  readonly journal: readonly Journaled[];
}

/** The place of a garden with the weather it had. */
export const siteOf = ({ garden, weather }: Pick<GardenRecords, 'garden' | 'weather'>): Site =>
  weather ? { ...garden, weather } : garden;

/**
 * Materials of the garden's own first, then those of the library; each with the figures of the last laboratory report
 * on or before the day that is asked for, or of the last one at all.
 */
export function materialFinder({
  materials,
  labResults,
}: Pick<GardenRecords, 'materials' | 'labResults'>): FindMaterial {
  const own = new Map(materials.map(({ id, basis }) => [id, basis]));
  const reports = labResults
    .map((result) => ({ result, day: dayNumberFromIso(result.date, ['labResults', 'date']) }))
    .sort((a, b) => a.day - b.day);
  return (materialId, on) => {
    const basis = own.get(materialId);
    const material = basis ? ownMaterial(basis) : findLibraryMaterial(materialId);
    const report = reports.findLast(
      ({ result, day }) => result.materialId === materialId && (on === undefined || day <= on),
    );
    return material && report ? asMeasured(material, report.result) : material;
  };
}

/**
 * The records with plans whose day has gone by moved to today: what has not been ticked off has not been done, and
 * will be done today at the earliest. Takes and gives ISO dates.
 */
export function carriedForward<Records extends GardenRecords>(records: Records, today: string): Records {
  const later = <Dated extends { readonly state: string; readonly date: string }>(one: Dated): Dated =>
    one.state === 'planned' && one.date < today ? { ...one, date: today } : one;
  return {
    ...records,
    entries: records.entries.map(later),
    movements: records.movements.map(later),
    plantings: records.plantings.map((one) =>
      one.state === 'planned' && one.plantedOn < today ? plantedLater(one, today) : one,
    ),
  };
}

/** A planting put in on a later day; it stands as long as it was meant to. */
export function plantedLater<Kept extends Planting>(planting: Kept, today: string): Kept {
  const by = dayNumberFromIso(today, ['today']) - dayNumberFromIso(planting.plantedOn, ['plantedOn']);
  return {
    ...planting,
    plantedOn: today,
    clearedOn:
      planting.clearedOn === null
        ? null
        : isoDateOf(dayNumberFromIso(planting.clearedOn, ['clearedOn']) + by),
  };
}

type StockRecords = Pick<GardenRecords, 'garden' | 'beds' | 'entries' | 'lots' | 'movements'>;

/** What the beds of a garden draw, or mean to draw, from its stock. */
export function takesOf({ beds, entries }: Pick<GardenRecords, 'beds' | 'entries'>): BedTake[] {
  const areas = new Map(beds.map(({ id, areaM2 }) => [id, areaM2]));
  return entries.flatMap((entry) => {
    const areaM2 = areas.get(entry.bedId);
    if (entry.type !== 'lay' || !entry.lotId || areaM2 === undefined) return [];
    const { id: entryId, bedId, state, date, lotId, amount = entry.massFreshKg, unit = 'kg' } = entry;
    return [{ entryId, bedId, areaM2, state, date, lotId, amount, unit }];
  });
}

export const stockBooksOf = (records: StockRecords): StockBooks => ({
  site: records.garden,
  lots: records.lots,
  movements: records.movements,
  takes: takesOf(records),
});

export const drawsOnStock = (entry: Entry): boolean => entry.type === 'lay' && Boolean(entry.lotId);

/** The morning after the last day on which a bed draws on the stock; undefined when it never does. */
function lastTake(entries: GardenRecords['entries'], bedId: string): DayNumber | undefined {
  const days = entries
    .filter((entry) => entry.bedId === bedId && drawsOnStock(entry))
    .map(({ date }) => dayNumberFromIso(date, ['date']));
  return days.length > 0 ? Math.max(...days) + 1 : undefined;
}

/** What the stock gives one bed, plans carried out; undefined when the bed draws on none. `memory` may know most of it. */
export function takenByBed(
  records: StockRecords & Pick<GardenRecords, 'materials' | 'labResults'>,
  bedId: string,
  memory?: StockMemory,
): StockRun['taken'] | undefined {
  const until = lastTake(records.entries, bedId);
  if (until === undefined) return undefined;
  const options = { until, withPlans: true, ...(memory ? { memory } : {}) };
  return carryOut(stockBooksOf(records), materialFinder(records), options).taken;
}

/** What was written down about one bed; undefined when the garden has no such bed. What the stock gives it is not looked up. */
export function writtenOfBed(records: GardenRecords, bedId: string): BedBooks | undefined {
  const bed = records.beds.find(({ id }) => id === bedId);
  return (
    bed && {
      site: siteOf(records),
      bed,
      crops: records.crops,
      entries: records.entries.filter((entry) => entry.bedId === bedId),
      plantings: records.plantings.filter((planting) => planting.bedId === bedId),
    }
  );
}

/** The same with what the stock gives it, which takes a run of the stock. `takenFor` may remember what it worked out. */
export function booksOfBed(
  records: GardenRecords,
  bedId: string,
  takenFor: typeof takenByBed = takenByBed,
): BedBooks | undefined {
  const books = writtenOfBed(records, bedId);
  const taken = books && takenFor(records, bedId);
  return taken ? { ...books, taken } : books;
}
