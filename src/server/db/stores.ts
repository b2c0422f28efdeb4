import type { Database } from 'better-sqlite3';
import { randomUUID } from 'node:crypto';
import type {
  BedRecord,
  BuildUpRecord,
  EntryRecord,
  GardenRecord,
  MaterialRecord,
  PlantingRecord,
} from '../../contract/records.ts';
import type { HabitRecord } from '../../contract/habit-records.ts';
import type { JournalRecord } from '../../contract/journal-records.ts';
import type {
  LabResultRecord,
  LotRecord,
  MovementRecord,
  RecipeRecord,
} from '../../contract/stock-records.ts';
import type { WeatherRecord } from '../../contract/weather-records.ts';
import type { Filed, OrderedStore, Store, Stores, Unstamped, Versioned } from '../stores.ts';
import { feedStore, importLog, photoStore } from './keepsake-stores.ts';
import { packedStore } from './packed-store.ts';
import { watched, writeWatch } from './watched.ts';
import { VersionedTable, type Columns } from './versioned-table.ts';

const GARDEN: Columns = {
  name: ['name'],
  place: ['place'],
  climate: ['climate_json', 'json'],
  depositionGPerM2Year: ['deposition_g_per_m2_year'],
  measures: ['measures'],
  school: ['school'],
  feedMaterialId: ['feed_material_id'],
  prices: ['prices_json', 'json'],
};

const BED: Columns = {
  gardenId: ['garden_id'],
  name: ['name'],
  kind: ['kind'],
  areaM2: ['area_m2'],
  organicMatterPct: ['organic_matter_pct'],
  bulkDensityGPerCm3: ['bulk_density_g_per_cm3'],
  clayPct: ['clay_pct'],
  rootZoneCm: ['root_zone_cm'],
  exposure: ['exposure'],
  isWatered: ['is_watered', 'boolean'],
  startedOn: ['started_on'],
  ph: ['ph'],
  croppingBefore: ['cropping_before'],
  learnsFromLog: ['learns_from_log', 'boolean'],
  outline: ['outline_json', 'json'],
  note: ['note'],
};

const MATERIAL: Columns = {
  gardenId: ['garden_id'],
  name: ['name'],
  basis: ['basis_json', 'json'],
  note: ['note'],
};

const ENTRY: Columns = {
  bedId: ['bed_id'],
  type: ['type'],
  state: ['state'],
  date: ['date'],
  note: ['note'],
  materialId: ['material_id'],
  lotId: ['lot_id'],
  amount: ['amount'],
  unit: ['unit'],
  massFreshKg: ['mass_fresh_kg'],
  seasonedMonths: ['seasoned_months'],
  dugDepthCm: ['dug_depth_cm'],
  layerId: ['layer_id'],
  shareTakenOff: ['share_taken_off'],
  humusShareTakenOff: ['humus_share_taken_off'],
  nitrogenG: ['nitrogen_g'],
  sampledDepthCm: ['sampled_depth_cm'],
  ph: ['ph'],
  organicMatterPct: ['organic_matter_pct'],
  waterMm: ['water_mm'],
};

const BUILD_UP: Columns = {
  gardenId: ['garden_id'],
  name: ['name'],
  layers: ['layers_json', 'json'],
  waitDays: ['wait_days'],
  note: ['note'],
};

const HABIT: Columns = {
  gardenId: ['garden_id'],
  name: ['name'],
  keepsCrops: ['keeps_crops', 'boolean'],
  acts: ['acts_json', 'json'],
  note: ['note'],
};

const LOT: Columns = {
  gardenId: ['garden_id'],
  name: ['name'],
  form: ['form'],
  keeping: ['keeping'],
  isTurned: ['is_turned', 'boolean'],
  isHot: ['is_hot', 'boolean'],
  reserveL: ['reserve_l'],
  note: ['note'],
};

const MOVEMENT: Columns = {
  gardenId: ['garden_id'],
  lotId: ['lot_id'],
  type: ['type'],
  state: ['state'],
  date: ['date'],
  note: ['note'],
  details: ['details_json', 'json'],
};

const JOURNAL: Columns = {
  gardenId: ['garden_id'],
  bedId: ['bed_id'],
  kind: ['kind'],
  date: ['date'],
  note: ['note'],
  details: ['details_json', 'json'],
};

const LAB_RESULT: Columns = {
  gardenId: ['garden_id'],
  materialId: ['material_id'],
  date: ['date'],
  laboratory: ['laboratory'],
  moistureFractionWetBasis: ['moisture_fraction_wet_basis'],
  carbonFractionDryBasis: ['carbon_fraction_dry_basis'],
  nitrogenFractionDryBasis: ['nitrogen_fraction_dry_basis'],
  ammoniumShareOfNitrogen: ['ammonium_share_of_nitrogen'],
  bulkDensityKgPerM3: ['bulk_density_kg_per_m3'],
  note: ['note'],
};

const WEATHER: Columns = {
  gardenId: ['garden_id'],
  date: ['date'],
  temperatureC: ['temperature_c'],
  rainMm: ['rain_mm'],
  evapotranspirationMm: ['evapotranspiration_mm'],
};

const RECIPE: Columns = {
  gardenId: ['garden_id'],
  name: ['name'],
  purpose: ['purpose'],
  ingredients: ['ingredients_json', 'json'],
  waterL: ['water_l'],
  isLayered: ['is_layered', 'boolean'],
  note: ['note'],
};

const ENTRY_FIELDS: Record<EntryRecord['type'], readonly string[]> = {
  lay: ['materialId', 'lotId', 'amount', 'unit', 'massFreshKg', 'seasonedMonths', 'dugDepthCm'],
  dig: ['dugDepthCm', 'layerId'],
  takeOff: ['layerId', 'shareTakenOff', 'humusShareTakenOff'],
  feed: ['nitrogenG'],
  soilTest: ['amount', 'unit', 'sampledDepthCm', 'ph', 'organicMatterPct'],
  water: ['waterMm'],
};
const COMMON_ENTRY_FIELDS = [
  'id',
  'version',
  'createdAt',
  'updatedAt',
  'bedId',
  'type',
  'state',
  'date',
  'note',
];

const PLANTING: Columns = {
  bedId: ['bed_id'],
  state: ['state'],
  cropId: ['crop_id'],
  plantedOn: ['planted_on'],
  clearedOn: ['cleared_on'],
  nitrogenDemandGPerM2: ['nitrogen_demand_g_per_m2'],
  rootDepthCm: ['root_depth_cm'],
  startsAs: ['starts_as'],
  areaShare: ['area_share'],
  isUndersown: ['is_undersown', 'boolean'],
  note: ['note'],
};

/** Only the fields that an entry of its type has. */
function trimEntry(row: EntryRecord): EntryRecord {
  const all = row as unknown as Record<string, unknown>;
  const entry: Record<string, unknown> = {};
  for (const field of COMMON_ENTRY_FIELDS) entry[field] = all[field];
  for (const field of ENTRY_FIELDS[row.type]) entry[field] = all[field];
  return entry as unknown as EntryRecord;
}

/** Fields that an entry of another type had are emptied when it changes type. */
const spreadEntry = (values: object): object => ({
  ...Object.fromEntries(
    Object.values(ENTRY_FIELDS).flatMap((fields) => fields.map((field) => [field, null])),
  ),
  ...values,
});

function storeOver<Record extends Versioned>(
  table: VersionedTable<Record>,
  now: () => string,
): Store<Record> {
  return {
    find: (id) => table.find(id),
    insert: (record: Unstamped<Record>) => table.insert(record, now()),
    update: (id, version, values) => table.update(id, version, values, now()),
    remove: (id, version) => table.remove(id, version, now()),
    restore: (id) => table.restore(id, now()),
    look: (id) => table.look(id),
    put: (record) => table.put(record),
  };
}

/** Everything the app keeps, over one database. `now` gives the instant, ISO in UTC. */
export function createStores(db: Database, now: () => string): Stores {
  const gardens = new VersionedTable<GardenRecord>(db, 'garden', GARDEN);
  const beds = new VersionedTable<BedRecord>(db, 'bed', BED, 'created_at, rowid');
  const materials = new VersionedTable<MaterialRecord>(db, 'material', MATERIAL, 'name, id');
  const buildUps = new VersionedTable<BuildUpRecord>(db, 'build_up', BUILD_UP, 'name, id');
  const habits = new VersionedTable<HabitRecord>(db, 'habit', HABIT, 'created_at, rowid');
  const entries = new VersionedTable<EntryRecord>(db, 'entry', ENTRY, 'date, sequence');
  const lots = new VersionedTable<LotRecord>(db, 'lot', LOT, 'created_at, rowid');
  const labResults = new VersionedTable<LabResultRecord>(db, 'lab_result', LAB_RESULT, 'date, id');
  const weather = new VersionedTable<WeatherRecord>(db, 'weather', WEATHER, 'date, id');
  const recipes = new VersionedTable<RecipeRecord>(db, 'recipe', RECIPE, 'name, id');
  const plantings = new VersionedTable<PlantingRecord>(db, 'planting', PLANTING, 'planted_on, id');
  const ofGarden = `bed_id IN (SELECT id FROM bed WHERE removed_at IS NULL AND garden_id = @value)`;

  const entryStore = storeOver(entries, now);
  const opened = randomUUID();
  const { tell, since } = writeWatch();
  const sequences = db.prepare('SELECT id, sequence FROM entry WHERE bed_id = @bedId').raw();
  const stores: Stores = {
    gardens: { ...storeOver(gardens, now), list: () => gardens.list() },
    beds: { ...storeOver(beds, now), listOf: (gardenId) => beds.listWhere('garden_id = @value', gardenId) },
    materials: {
      ...storeOver(materials, now),
      listOf: (gardenId) => materials.listWhere('garden_id = @value', gardenId),
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
    movements: movementStore(db, now),
    journal: journalStore(db, now),
    weather: {
      ...storeOver(weather, now),
      listOf: (gardenId) => weather.listWhere('garden_id = @value', gardenId),
    },
    photos: photoStore(db, now),
    feeds: feedStore(db, now),
    imports: importLog(db, now),
    labResults: {
      ...storeOver(labResults, now),
      listOf: (gardenId) => labResults.listWhere('garden_id = @value', gardenId),
    },
    recipes: {
      ...storeOver(recipes, now),
      listOf: (gardenId) => recipes.listWhere('garden_id = @value', gardenId),
    },
    entries: {
      reorder: (ids) => reorder(db, 'entry', ids),
      find: (id) => trimmed(entryStore.find(id)),
      insert: (record) => trimEntry(entryStore.insert(record)),
      update: (id, version, values) => trimmedOutcome(entryStore.update(id, version, spreadEntry(values))),
      remove: (id, version) => trimmedOutcome(entryStore.remove(id, version)),
      restore: (id) => trimmedOutcome(entryStore.restore(id)),
      look: (id) => {
        const kept = entryStore.look(id);
        return kept && { ...kept, record: trimEntry(kept.record) };
      },
      put: (record) => trimEntry(entryStore.put(spreadEntry(record) as Filed<EntryRecord>)),
      listOf: (bedId) => entries.listWhere('bed_id = @value', bedId).map(trimEntry),
      listOfGarden: (gardenId) => entries.listWhere(ofGarden, gardenId).map(trimEntry),
      sequencesOf: (bedId) => new Map(sequences.all({ bedId }) as [string, number][]),
      listFromStock: (gardenId) =>
        entries.listWhere(`lot_id IS NOT NULL AND ${ofGarden}`, gardenId).map(trimEntry),
    },
    plantings: {
      ...storeOver(plantings, now),
      listOf: (bedId) => plantings.listWhere('bed_id = @value', bedId),
      listOfGarden: (gardenId) => plantings.listWhere(ofGarden, gardenId),
    },
    erase: (gardenId) => erase(db, gardenId),
    epoch: () => `${opened} ${String(db.pragma('data_version', { simple: true }))}`,
    writesSince: since,
    atomically: (act) => db.transaction(act).immediate(),
  };
  return watched(stores, tell);
}

/** Movements of lots that are not removed. */
const movementStore = (db: Database, now: () => string): OrderedStore<MovementRecord> => ({
  reorder: (ids) => reorder(db, 'stock_movement', ids),
  ...packedStore<MovementRecord>(
    { db, now },
    { table: 'stock_movement', columns: MOVEMENT, order: 'date, sequence' },
    `lot_id IN (SELECT id FROM lot WHERE removed_at IS NULL AND garden_id = @value)`,
  ),
});

/** What was written about a garden and those of its beds that are not removed. */
const journalStore = (db: Database, now: () => string): OrderedStore<JournalRecord> => ({
  reorder: (ids) => reorder(db, 'journal', ids),
  ...packedStore<JournalRecord>(
    { db, now },
    { table: 'journal', columns: JOURNAL, order: 'date, sequence' },
    `garden_id = @value AND (bed_id IS NULL OR bed_id IN (SELECT id FROM bed WHERE removed_at IS NULL))`,
    (record) => ('bedId' in record && !isAboutBed(record.kind) ? withoutBed(record) : record),
  ),
});

const isAboutBed = (kind: JournalRecord['kind']): boolean =>
  kind === 'observation' || kind === 'trial' || kind === 'yearClose';

const withoutBed = ({ bedId, ...record }: JournalRecord & { bedId?: unknown }): JournalRecord =>
  record as JournalRecord;

/** Deals out the places these records have among themselves anew. */
function reorder(db: Database, table: 'entry' | 'stock_movement' | 'journal', ids: readonly string[]): void {
  const places = db
    .prepare(
      `SELECT sequence FROM ${table} WHERE id IN (SELECT value FROM json_each(@ids)) ORDER BY sequence`,
    )
    .pluck()
    .all({ ids: JSON.stringify(ids) }) as number[];
  const put = db.prepare(`UPDATE ${table} SET sequence = @place WHERE id = @id`);
  ids.forEach((id, i) => put.run({ id, place: places[i] }));
}

const trimmed = (entry: EntryRecord | undefined): EntryRecord | undefined => entry && trimEntry(entry);

const trimmedOutcome = <Outcome extends { readonly outcome: string }>(result: Outcome): Outcome =>
  'current' in result ? { ...result, current: trimEntry(result.current as EntryRecord) } : result;

/** Tables whose rows name their garden, those that lean on others first. */
const OF_A_GARDEN = [
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
] as const;

function erase(db: Database, gardenId: string): void {
  db.pragma('defer_foreign_keys = ON');
  const ofItsBeds = 'bed_id IN (SELECT id FROM bed WHERE garden_id = @gardenId)';
  for (const table of ['entry', 'planting'])
    db.prepare(`DELETE FROM ${table} WHERE ${ofItsBeds}`).run({ gardenId });
  for (const table of OF_A_GARDEN)
    db.prepare(`DELETE FROM ${table} WHERE garden_id = @gardenId`).run({ gardenId });
  db.prepare('DELETE FROM bed WHERE garden_id = @gardenId').run({ gardenId });
  db.prepare('DELETE FROM garden WHERE id = @gardenId').run({ gardenId });
}
