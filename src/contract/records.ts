import { z } from 'zod';
import type { MeasuredDay } from '../core/climate/weather.ts';
import { STARTS_AS } from '../core/crops/crop-library.ts';
import { EXPOSURES } from '../core/materials/material.ts';
import { CUTTING_SEASONS } from '../core/materials/wood-chips.ts';
import { BED_KINDS, CROPPING_BEFORE, RECORD_STATES, SCHOOLS } from '../core/records/bed-records.ts';
import { AMOUNT_UNITS } from '../core/units/amount.ts';
import { SOIL_NITROGEN_UNITS } from '../core/units/soil-nitrogen.ts';
import {
  creation,
  date,
  filed,
  finite,
  id,
  MOST_AT_ONCE,
  name,
  note,
  share,
  stamp,
  version,
} from './fields.ts';
import type { HabitRecord } from './habit-records.ts';
import type { JournalRecord } from './journal-records.ts';
import type { LabResultRecord, LotRecord, MovementRecord, RecipeRecord } from './stock-records.ts';

/** What the API takes (drafts) and gives (records). */
const MONTHS = 12;

export const climateNormals = z.strictObject({
  temperatureC: z.array(finite.min(-60).max(60)).length(MONTHS),
  rainMm: z.array(finite.min(0).max(2000)).length(MONTHS),
  evapotranspirationMm: z.array(finite.min(0).max(1000)).length(MONTHS),
});

const price = finite.min(0).max(1e6).nullable();
/** What its owner pays, in a money of their own. */
export const gardenPrices = z.strictObject({
  nitrogenPerKg: price,
  phosphorusPerKg: price,
  potassiumPerKg: price,
  hour: price,
});

const gardenFields = {
  name,
  place: note,
  climate: climateNormals,
  depositionGPerM2Year: finite.min(0).max(20),
  measures: z.enum(['metric', 'customary']),
  school: z.enum(SCHOOLS).default('byDepth'),
  /** The carrier in which doses are worked out. */
  feedMaterialId: id.default('feather_meal'),
  /** Null when nobody has told any. */
  prices: gardenPrices.nullable().default(null),
};
export const gardenDraft = z.strictObject({ ...creation, ...gardenFields });
export const gardenChange = z.strictObject({ version, ...gardenFields });
export const gardenRecord = z.object({ ...stamp, ...gardenFields });
export const gardenFiled = z.strictObject({ ...filed, ...gardenFields });
export type GardenChange = z.infer<typeof gardenChange>;
export type GardenDraft = z.infer<typeof gardenDraft>;
export type GardenRecord = z.infer<typeof gardenRecord>;

const bedFields = {
  name,
  kind: z.enum(BED_KINDS),
  areaM2: finite.gt(0).max(100_000),
  organicMatterPct: finite.min(0).max(100),
  bulkDensityGPerCm3: finite.min(0.05).max(2.5),
  clayPct: finite.min(0).max(100),
  rootZoneCm: finite.min(10).max(200),
  exposure: z.enum(EXPOSURES),
  isWatered: z.boolean(),
  startedOn: date.nullable().default(null),
  ph: finite.min(2).max(11).nullable().default(null),
  croppingBefore: z.enum(CROPPING_BEFORE).default('unknown'),
  /** Whether its likely range is weighed by what its log says. */
  learnsFromLog: z.boolean().default(true),
  /** Corners by longitude and latitude, degrees; the first is not repeated at the end. Null when nobody has mapped it. */
  outline: z
    .array(z.tuple([finite.min(-180).max(180), finite.min(-90).max(90)]))
    .min(3)
    .max(500)
    .nullable()
    .default(null),
  note,
};
export const bedDraft = z.strictObject({ ...creation, ...bedFields });
export const bedChange = z.strictObject({ version, ...bedFields });
export const bedRecord = z.object({ ...stamp, gardenId: id, ...bedFields });
export const bedFiled = z.strictObject({ ...filed, ...bedFields });
export type BedChange = z.infer<typeof bedChange>;
export type BedDraft = z.infer<typeof bedDraft>;
export type BedRecord = z.infer<typeof bedRecord>;

const entryCommon = { state: z.enum(RECORD_STATES), date, note };
const layFields = {
  ...entryCommon,
  type: z.literal('lay'),
  materialId: id,
  /** Taken from this lot of the stock. */
  lotId: id.nullish(),
  amount: finite.gt(0).max(1e9),
  unit: z.enum(AMOUNT_UNITS),
  dugDepthCm: finite.min(0).max(200),
  seasonedMonths: finite.min(0).max(120),
};
const digFields = {
  ...entryCommon,
  type: z.literal('dig'),
  layerId: id.nullable(),
  dugDepthCm: finite.gt(0).max(200),
};
const takeOffFields = {
  ...entryCommon,
  type: z.literal('takeOff'),
  layerId: id,
  shareTakenOff: share,
  /** Of the humus it has made on the spot: lifted with it. */
  humusShareTakenOff: share.nullish(),
};
const feedFields = { ...entryCommon, type: z.literal('feed'), nitrogenG: finite.gt(0).max(1e6) };
const soilTestFields = {
  ...entryCommon,
  type: z.literal('soilTest'),
  amount: finite.min(0).max(1000),
  unit: z.enum(SOIL_NITROGEN_UNITS),
  sampledDepthCm: finite.min(5).max(200),
  ph: finite.min(2).max(11).nullable().default(null),
  organicMatterPct: finite.min(0).max(100).nullable().default(null),
};
const waterFields = { ...entryCommon, type: z.literal('water'), waterMm: finite.gt(0).max(500) };

const anyEntry = <Extra extends z.ZodRawShape>(extra: Extra) =>
  z.discriminatedUnion('type', [
    z.strictObject({ ...extra, ...layFields }),
    z.strictObject({ ...extra, ...digFields }),
    z.strictObject({ ...extra, ...takeOffFields }),
    z.strictObject({ ...extra, ...feedFields }),
    z.strictObject({ ...extra, ...soilTestFields }),
    z.strictObject({ ...extra, ...waterFields }),
  ]);

export const entryDraft = anyEntry(creation);
/** A line of a table that says which bed it is about. */
export const entryRow = anyEntry({ ...creation, bedId: id });
export const entryChange = anyEntry({ version });
const entryStamp = { ...stamp, bedId: id };
const massFreshKg = finite.gt(0).max(1e12);
const entryFiledStamp = { ...filed, bedId: id };
/** As it stands in a garden file, with what it weighed when it was laid. */
export const entryFiled = z.discriminatedUnion('type', [
  z.strictObject({ ...entryFiledStamp, ...layFields, massFreshKg }),
  z.strictObject({ ...entryFiledStamp, ...digFields }),
  z.strictObject({ ...entryFiledStamp, ...takeOffFields }),
  z.strictObject({ ...entryFiledStamp, ...feedFields }),
  z.strictObject({ ...entryFiledStamp, ...soilTestFields }),
  z.strictObject({ ...entryFiledStamp, ...waterFields }),
]);
export const entryRecord = z.discriminatedUnion('type', [
  z.object({ ...entryStamp, ...layFields, massFreshKg: finite }),
  z.object({ ...entryStamp, ...digFields }),
  z.object({ ...entryStamp, ...takeOffFields }),
  z.object({ ...entryStamp, ...feedFields }),
  z.object({ ...entryStamp, ...soilTestFields }),
  z.object({ ...entryStamp, ...waterFields }),
]);
export type EntryDraft = z.infer<typeof entryDraft>;
export type EntryChange = z.infer<typeof entryChange>;
export type EntryRecord = z.infer<typeof entryRecord>;

/** Layers lifted off a bed into the stock: one lot, taken off there and received here. */
export const liftDraft = z.strictObject({
  id: z.string().regex(/^[A-Za-z0-9_-]{1,50}$/, 'must be 1 to 50 letters, digits, - or _'),
  date,
  note,
  layerIds: z.array(id).min(1).max(20),
  lotName: name,
});
export type LiftDraft = z.infer<typeof liftDraft>;

const seen = z.strictObject({ id, version });
/** Several entries of one bed written, changed, removed, brought back and put in order: all of it or nothing. */
export const bedRevision = z.strictObject({
  creates: z.array(anyEntry({ id })).max(MOST_AT_ONCE),
  changes: z.array(anyEntry({ id, version })).max(MOST_AT_ONCE),
  removals: z.array(seen).max(MOST_AT_ONCE),
  restores: z.array(id).max(MOST_AT_ONCE),
  /** Entries of one day from the soil upwards; empty leaves the order as it is. */
  order: z.array(id).max(MOST_AT_ONCE),
});
export type BedRevision = z.infer<typeof bedRevision>;

const plantingFields = {
  state: z.enum(RECORD_STATES),
  cropId: id,
  plantedOn: date,
  clearedOn: date.nullable(),
  nitrogenDemandGPerM2: finite.min(0).max(100),
  rootDepthCm: finite.min(5).max(500),
  startsAs: z.enum(STARTS_AS).default('seed'),
  areaShare: share.gt(0).default(1),
  isUndersown: z.boolean().default(false),
  note,
};
export const plantingDraft = z.strictObject({ ...creation, ...plantingFields });
export const plantingRow = z.strictObject({ ...creation, bedId: id, ...plantingFields });
export const plantingChange = z.strictObject({ version, ...plantingFields });
export const plantingRecord = z.object({ ...stamp, bedId: id, ...plantingFields });
export const plantingFiled = z.strictObject({ ...filed, bedId: id, ...plantingFields });
export type PlantingChange = z.infer<typeof plantingChange>;
export type PlantingDraft = z.infer<typeof plantingDraft>;
export type PlantingRecord = z.infer<typeof plantingRecord>;

/** What is planned on several beds, written and taken back together: all of it or nothing. */
export const planRevision = z.strictObject({
  beds: z
    .array(
      z.strictObject({
        bedId: id,
        entries: bedRevision,
        plantings: z.strictObject({
          creates: z.array(z.strictObject({ id, ...plantingFields })).max(MOST_AT_ONCE),
          removals: z.array(seen).max(MOST_AT_ONCE),
          restores: z.array(id).max(MOST_AT_ONCE),
        }),
      }),
    )
    .min(1)
    .max(MOST_AT_ONCE),
});
export type PlanRevision = z.infer<typeof planRevision>;

const materialBasis = z.discriminatedUnion('type', [
  z.strictObject({
    type: z.literal('chips'),
    branchDiameterCm: finite.gt(0).max(300),
    leafShare: share,
    coniferShare: share,
    barkShare: share.nullish(),
    season: z.enum(CUTTING_SEASONS).nullish(),
  }),
  z.strictObject({
    type: z.literal('figures'),
    likeMaterialId: id,
    moistureFractionWetBasis: share.max(0.999),
    carbonFractionDryBasis: share,
    nitrogenFractionDryBasis: share,
    bulkDensityKgPerM3: finite.gt(0).max(3000),
  }),
]);
const materialFields = { name, basis: materialBasis, note };
export const materialDraft = z.strictObject({ ...creation, ...materialFields });
export const materialChange = z.strictObject({ version, ...materialFields });
/** A material described while something else is written, kept with it or not at all. */
export const namedMaterialDraft = z.strictObject({ id, ...materialFields });
export const materialRecord = z.object({ ...stamp, gardenId: id, ...materialFields });
export const materialFiled = z.strictObject({ ...filed, ...materialFields });
export type MaterialDraft = z.infer<typeof materialDraft>;
export type MaterialRecord = z.infer<typeof materialRecord>;

/** A build-up of one's own: what lies on what, from the soil upwards, for one square metre. */
const buildUpLayer = z.strictObject({
  materialId: id,
  thicknessCm: finite.gt(0).max(100),
  dugDepthCm: finite.min(0).max(200),
  seasonedMonths: finite.min(0).max(120),
});
const buildUpFields = {
  name,
  layers: z.array(buildUpLayer).min(1).max(20),
  waitDays: z.int().min(0).max(1000),
  note,
};
export const buildUpDraft = z.strictObject({ ...creation, ...buildUpFields });
export const buildUpRecord = z.object({ ...stamp, gardenId: id, ...buildUpFields });
export const buildUpFiled = z.strictObject({ ...filed, ...buildUpFields });
export type BuildUpDraft = z.infer<typeof buildUpDraft>;
export type BuildUpRecord = z.infer<typeof buildUpRecord>;

/** Everything about one garden in one answer: what the Garden and Bed views compute from. */
export interface GardenBooks {
  readonly today: string;
  readonly garden: GardenRecord;
  readonly beds: readonly BedRecord[];
  readonly entries: readonly EntryRecord[];
  readonly plantings: readonly PlantingRecord[];
  readonly materials: readonly MaterialRecord[];
  readonly buildUps: readonly BuildUpRecord[];
  readonly habits: readonly HabitRecord[];
  readonly lots: readonly LotRecord[];
  readonly movements: readonly MovementRecord[];
  readonly labResults: readonly LabResultRecord[];
  readonly recipes: readonly RecipeRecord[];
  readonly journal: readonly JournalRecord[];
  readonly weather: readonly MeasuredDay[];
}

/** RFC 9457 problem details, with what is wrong field by field. */
export interface Problem {
  readonly type: string;
  readonly title: string;
  readonly status: number;
  readonly detail: string;
  readonly errors?: readonly { readonly field: string; readonly sentence: string }[];
  /** The newer record, when a stale one was sent. */
  readonly current?: unknown;
}
