import type { TaskMark } from '../../../records/journal.ts';
import { doseOfKey } from '../plan/dose-key.ts';
import { feedStockRecords } from '../supplement/feed-stock.ts';
import { groundAsRead } from './as-read.ts';
import { type GardenRecords, drawsOnStock } from './garden-books.ts';

/** Only what decides how one bed fares: its own records, and those of others that draw on the same stock. */
export function recordsAbout(records: GardenRecords, bedId: string): GardenRecords {
  const isOwn = (one: { readonly bedId: string }) => one.bedId === bedId;
  const usesStock = records.entries.some((entry) => isOwn(entry) && drawsOnStock(entry));
  const { lots, movements, entries: takes } = usesStock ? wholeStock(records) : feedStockRecords(records);
  const drawing = new Set(takes);
  const takers = new Set(takes.map((entry) => entry.bedId));
  const { garden, beds } = groundAsRead(records);
  return {
    garden,
    materials: records.materials,
    crops: records.crops,
    labResults: records.labResults,
    beds: beds.filter(({ id }) => id === bedId || takers.has(id)),
    entries: records.entries.filter((entry) => isOwn(entry) || drawing.has(entry)),
    plantings: records.plantings.filter(isOwn),
    lots,
    movements,
    ...(records.weather ? { weather: records.weather } : {}),
    journal: postponedDoses(records, bedId),
  };
}

type StockPart = Pick<GardenRecords, 'entries' | 'lots' | 'movements'>;

const wholeStock = ({ entries, lots, movements }: GardenRecords): StockPart => ({
  entries: entries.filter(drawsOnStock),
  lots,
  movements,
});

/** Doses of a bed that are postponed; a later mark of the same task stands for the ones before. */
function postponedDoses(records: GardenRecords, bedId: string): readonly TaskMark[] {
  const keys = new Set(records.plantings.filter((one) => one.bedId === bedId).map(({ id }) => id));
  const marks = new Map<string, TaskMark>();
  for (const record of records.journal) {
    if (record.kind !== 'mark') continue;
    const dose = doseOfKey(record.taskKey);
    if (dose && keys.has(dose.plantingId)) marks.set(record.taskKey, record);
  }
  return [...marks.values()].filter(({ state }) => state === 'snoozed');
}
