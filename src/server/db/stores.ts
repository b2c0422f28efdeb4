import type { Database } from 'better-sqlite3';
import { randomUUID } from 'node:crypto';
import { bedFields, type BedRecord } from '../../records/bed.ts';
import { buildUpFields, type BuildUpRecord } from '../../records/build-up.ts';
import { cropFields, type CropRecord } from '../../records/crop.ts';
import { gardenFields, type GardenRecord } from '../../records/garden.ts';
import { materialFields, type MaterialRecord } from '../../records/material.ts';
import { plantingFields, type PlantingRecord } from '../../records/planting.ts';
import { habitFields, type HabitRecord } from '../../records/habit.ts';
import type { JournalRecord } from '../../records/journal.ts';
import { labResultFields, type LabResultRecord } from '../../records/lab-result.ts';
import { lotFields, type LotRecord } from '../../records/lot.ts';
import type { MovementRecord } from '../../records/movement.ts';
import { recipeFields, type RecipeRecord } from '../../records/recipe.ts';
import { weatherFields, type WeatherRecord } from '../../records/weather.ts';
import type { OrderedStore, Stores } from '../stores.ts';
import { feedStore, importLog, photoStore } from './keepsake-stores.ts';
import { packedStore } from './packed-store.ts';
import { peopleStore } from './people-store.ts';
import { rememberingList } from './remembering-list.ts';
import { changeLog } from './change-log.ts';
import { columnsOf, OF_A_BED, OF_A_GARDEN } from './columns.ts';
import { earlierLog, keepingEarlier } from './earlier-log.ts';
import { entryStore } from './entry-store.ts';
import { ON_BEDS_OF_GARDEN, reorder, storeOver } from './store-over.ts';
import { VersionedTable, type Columns } from './versioned-table.ts';

/** Fields of their own lie together as JSON, because no question is asked of them. */
const MOVEMENT: Columns = {
  ...OF_A_GARDEN,
  lotId: ['lot_id'],
  type: ['type'],
  state: ['state'],
  date: ['date'],
  note: ['note'],
  details: ['details_json', 'json'],
};
const JOURNAL: Columns = {
  ...OF_A_GARDEN,
  ...OF_A_BED,
  kind: ['kind'],
  date: ['date'],
  note: ['note'],
  details: ['details_json', 'json'],
};

/** Everything the app keeps, over one database. `now` gives the instant, ISO in UTC. */
export function createStores(db: Database, now: () => string): Stores {
  const gardens = new VersionedTable<GardenRecord>(db, { table: 'garden', columns: columnsOf(gardenFields) });
  const beds = new VersionedTable<BedRecord>(db, {
    table: 'bed',
    columns: { ...OF_A_GARDEN, ...columnsOf(bedFields) },
    order: 'created_at, rowid',
  });
  const materials = new VersionedTable<MaterialRecord>(db, {
    table: 'material',
    columns: { ...OF_A_GARDEN, ...columnsOf(materialFields) },
    order: 'name, id',
  });
  const crops = new VersionedTable<CropRecord>(db, {
    table: 'crop',
    columns: { ...OF_A_GARDEN, ...columnsOf(cropFields) },
    order: 'name, id',
  });
  const buildUps = new VersionedTable<BuildUpRecord>(db, {
    table: 'build_up',
    columns: { ...OF_A_GARDEN, ...columnsOf(buildUpFields) },
    order: 'name, id',
  });
  const habits = new VersionedTable<HabitRecord>(db, {
    table: 'habit',
    columns: { ...OF_A_GARDEN, ...columnsOf(habitFields) },
    order: 'created_at, rowid',
  });
  const lots = new VersionedTable<LotRecord>(db, {
    table: 'lot',
    columns: { ...OF_A_GARDEN, ...columnsOf(lotFields) },
    order: 'created_at, rowid',
  });
  const labResults = new VersionedTable<LabResultRecord>(db, {
    table: 'lab_result',
    columns: { ...OF_A_GARDEN, ...columnsOf(labResultFields) },
    order: 'date, id',
  });
  const weather = new VersionedTable<WeatherRecord>(db, {
    table: 'weather',
    columns: { ...OF_A_GARDEN, ...columnsOf(weatherFields) },
    order: 'date, id',
  });
  const recipes = new VersionedTable<RecipeRecord>(db, {
    table: 'recipe',
    columns: { ...OF_A_GARDEN, ...columnsOf(recipeFields) },
    order: 'name, id',
  });
  const plantings = new VersionedTable<PlantingRecord>(db, {
    table: 'planting',
    columns: { ...OF_A_BED, ...columnsOf(plantingFields) },
    order: 'planted_on, id',
  });

  const movements = movementStore(db, now);
  const remembered = rememberingList(db, MOVEMENT_ROWS, movements);
  const journal = journalStore(db, now);
  const entries = entryStore(db, now);
  const opened = randomUUID();
  return {
    gardens: {
      ...storeOver(gardens, now),
      list: () => gardens.list(),
      listRemoved: () => gardens.listRemoved(),
    },
    beds: { ...storeOver(beds, now), listOf: (gardenId) => beds.listWhere('garden_id = @value', gardenId) },
    materials: {
      ...storeOver(materials, now),
      listOf: (gardenId) => materials.listWhere('garden_id = @value', gardenId),
    },
    crops: {
      ...storeOver(crops, now),
      listOf: (gardenId) => crops.listWhere('garden_id = @value', gardenId),
    },
    buildUps: {
      ...storeOver(buildUps, now),
      listOf: (gardenId) => buildUps.listWhere('garden_id = @value', gardenId),
    },
    habits: {
      ...storeOver(habits, now),
      listOf: (gardenId) => habits.listWhere('garden_id = @value', gardenId),
    },
    lots: { ...storeOver(lots, now), listOf: (gardenId) => lots.listWhere('garden_id = @value', gardenId) },
    movements: {
      ...movements,
      ...keepingEarlier(movements, { db, now, book: 'movements' }),
      listOf: remembered.listOf,
    },
    journal: { ...journal, ...keepingEarlier(journal, { db, now, book: 'journal' }) },
    weather: {
      ...storeOver(weather, now),
      listOf: (gardenId) => weather.listWhere('garden_id = @value', gardenId),
    },
    photos: photoStore(db, now),
    feeds: feedStore(db, now),
    imports: importLog(db, now),
    people: peopleStore(db, now),
    labResults: {
      ...storeOver(labResults, now),
      listOf: (gardenId) => labResults.listWhere('garden_id = @value', gardenId),
    },
    recipes: {
      ...storeOver(recipes, now),
      listOf: (gardenId) => recipes.listWhere('garden_id = @value', gardenId),
    },
    entries: { ...entries, ...keepingEarlier(entries, { db, now, book: 'entries' }) },
    plantings: {
      ...storeOver(plantings, now),
      ...keepingEarlier(storeOver(plantings, now), { db, now, book: 'plantings' }),
      listOf: (bedId) => plantings.listWhere('bed_id = @value', bedId),
      listOfGarden: (gardenId) => plantings.listWhere(ON_BEDS_OF_GARDEN, gardenId),
    },
    erase: (gardenId) => {
      erase(db, gardenId);
      remembered.forget();
    },
    epoch: () => opened,
    changes: changeLog(db),
    earlier: earlierLog(db),
    atomically: (act) => {
      try {
        return db.transaction(act).immediate();
      } catch (error) {
        remembered.forget();
        throw error;
      }
    },
  };
}

const MOVEMENT_ROWS = {
  table: 'stock_movement',
  order: 'date, sequence',
  ownedBy: `lot_id IN (SELECT id FROM lot WHERE removed_at IS NULL AND garden_id = @value)`,
} as const;

/** Movements of lots that are not removed. */
const movementStore = (db: Database, now: () => string): OrderedStore<MovementRecord> => ({
  reorder: (ids) => reorder(db, 'stock_movement', ids),
  ...packedStore<MovementRecord>({ db, now }, { ...MOVEMENT_ROWS, columns: MOVEMENT }),
});

/** What was written about a garden and those of its beds that are not removed. */
const journalStore = (db: Database, now: () => string): OrderedStore<JournalRecord> => ({
  reorder: (ids) => reorder(db, 'journal', ids),
  ...packedStore<JournalRecord>(
    { db, now },
    {
      table: 'journal',
      columns: JOURNAL,
      order: 'date, sequence',
      ownedBy: `garden_id = @value AND (bed_id IS NULL OR bed_id IN (SELECT id FROM bed WHERE removed_at IS NULL))`,
      tidy: (record) => ('bedId' in record && !isAboutBed(record.kind) ? withoutBed(record) : record),
    },
  ),
});

const isAboutBed = (kind: JournalRecord['kind']): boolean =>
  kind === 'observation' || kind === 'trial' || kind === 'yearClose';

const withoutBed = ({ bedId, ...record }: JournalRecord & { bedId?: unknown }): JournalRecord =>
  record as JournalRecord;

/** Tables whose rows name their garden, those that lean on others first. */
const WITH_GARDEN_ID = [
  'person',
  'earlier',
  'import',
  'feed',
  'photo',
  'journal',
  'weather',
  'recipe',
  'lab_result',
  'habit',
  'build_up',
  'stock_movement',
  'lot',
  'material',
  'crop',
] as const;

function erase(db: Database, gardenId: string): void {
  db.pragma('defer_foreign_keys = ON');
  // What its pages know is gone: a new epoch makes them fetch everything and count from there.
  db.prepare(
    `UPDATE change SET number = (SELECT max(number) + 1 FROM change WHERE garden_id = @gardenId)
     WHERE garden_id = @gardenId`,
  ).run({ gardenId });
  const ofItsBeds = 'bed_id IN (SELECT id FROM bed WHERE garden_id = @gardenId)';
  for (const table of ['entry', 'planting'])
    db.prepare(`DELETE FROM ${table} WHERE ${ofItsBeds}`).run({ gardenId });
  db.prepare(
    'DELETE FROM signature WHERE person_id IN (SELECT id FROM person WHERE garden_id = @gardenId)',
  ).run({ gardenId });
  for (const table of WITH_GARDEN_ID)
    db.prepare(`DELETE FROM ${table} WHERE garden_id = @gardenId`).run({ gardenId });
  db.prepare('DELETE FROM bed WHERE garden_id = @gardenId').run({ gardenId });
  db.prepare('DELETE FROM garden WHERE id = @gardenId').run({ gardenId });
}
