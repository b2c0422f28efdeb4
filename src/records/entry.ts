import { z } from 'zod';
import { creation, date, field, filed, finite, id, note, share, stamp, version } from './fields.ts';
import { amountAlso } from './measured.ts';
import type { ReadBy } from './shapes.ts';
import { soilFigureFields } from './soil-figures.ts';
import { AMOUNT_UNITS, RECORD_STATES, SOIL_NITROGEN_UNITS } from './vocabulary.ts';

const common = {
  state: field(z.enum(RECORD_STATES), { also: ['status'], empty: 'laid' }),
  date,
  note,
};
const dugDepthCm = field(finite.min(0).max(200), {
  quantity: 'length',
  also: ['depth', 'dug depth', 'dug in', 'depth dug'],
});
/** For the whole bed, fresh, as laid: worked out when it is written, and then kept. */
const massFreshKg = field(finite.gt(0).max(1e12), { label: 'weight', isDerived: true });
const seasonedMonths = field(finite.min(0).max(120), { also: ['seasoned', 'age in months'] });

const laid = {
  ...common,
  type: z.literal('lay'),
  materialId: field(id, { names: 'material', also: ['what', 'stuff', 'mulch'] }),
  /** Taken from this lot of the stock; absent or null for what comes straight from outside. */
  lotId: field(id.nullish(), { label: 'pile', names: 'lot', also: ['pile', 'heap', 'lot name'] }),
  amount: field(finite.gt(0).max(1e9), { also: amountAlso }),
  unit: field(z.enum(AMOUNT_UNITS), { also: ['units'] }),
  /** The build-up it belongs to may be planted from this day; absent or null where nothing is waited for. */
  plantFrom: field(date.nullish(), { label: 'planting from', also: ['plant from', 'plantable from'] }),
};
const layFields = { ...laid, dugDepthCm, seasonedMonths };
const digFields = {
  ...common,
  type: z.literal('dig'),
  /** Null for all layers on top. */
  layerId: id.nullable(),
  dugDepthCm: dugDepthCm.gt(0),
};
const takeOffFields = {
  ...common,
  type: z.literal('takeOff'),
  layerId: id,
  shareTakenOff: field(share, { quantity: 'share' }),
  /** Of the humus it has made on the spot: lifted with it; none when absent or null. */
  humusShareTakenOff: field(share.nullish(), { quantity: 'share' }),
};
/** Quick nitrogen for the whole bed, as nitrogen. */
const feedFields = {
  ...common,
  type: z.literal('feed'),
  nitrogenG: field(finite.gt(0).max(1e6), { also: ['nitrogen', 'n', 'n g'] }),
};
/** What a laboratory reports; its mineral nitrogen is over the depth that was sampled, absent or null where it was not measured. */
const soilTestFields = {
  ...common,
  type: z.literal('soilTest'),
  amount: field(finite.min(0).max(1000).nullish(), { also: amountAlso }),
  /** There where there is an amount. */
  unit: field(z.enum(SOIL_NITROGEN_UNITS).nullish(), { also: ['units'] }),
  sampledDepthCm: field(finite.min(5).max(200), {
    quantity: 'length',
    also: ['sampled depth', 'sampling depth'],
  }),
  ph: field(finite.min(2).max(11).nullable().default(null), { label: 'pH' }),
  organicMatterPct: field(finite.min(0).max(100).nullable().default(null), {
    also: ['organic matter', 'som'],
  }),
  ...soilFigureFields,
};
/** Water given by hand, over the whole bed. */
export const waterMm = field(finite.gt(0).max(500), { quantity: 'waterDepth', also: ['water', 'watering'] });
const waterFields = { ...common, type: z.literal('water'), waterMm };

/** What the books keep of an entry, by its type, in the order of their columns. */
export const entryFields = {
  lay: { ...laid, massFreshKg, seasonedMonths, dugDepthCm },
  dig: {
    ...common,
    type: digFields.type,
    dugDepthCm: digFields.dugDepthCm,
    layerId: digFields.layerId,
  },
  takeOff: takeOffFields,
  feed: feedFields,
  soilTest: soilTestFields,
  water: waterFields,
};
const filedLay = { ...layFields, massFreshKg };

/** An entry of any type, with fields that all types have. */
export const anyEntry = <Extra extends z.ZodRawShape>(extra: Extra) =>
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
const entryFiledStamp = { ...filed, bedId: id };
/** As it stands in a garden file. */
export const entryFiled = z.discriminatedUnion('type', [
  z.strictObject({ ...entryFiledStamp, ...filedLay }),
  z.strictObject({ ...entryFiledStamp, ...digFields }),
  z.strictObject({ ...entryFiledStamp, ...takeOffFields }),
  z.strictObject({ ...entryFiledStamp, ...feedFields }),
  z.strictObject({ ...entryFiledStamp, ...soilTestFields }),
  z.strictObject({ ...entryFiledStamp, ...waterFields }),
]);
const entryStamp = { ...stamp, bedId: id };
export const entryRecord = z.discriminatedUnion('type', [
  z.object({ ...entryStamp, ...filedLay }),
  z.object({ ...entryStamp, ...digFields }),
  z.object({ ...entryStamp, ...takeOffFields }),
  z.object({ ...entryStamp, ...feedFields }),
  z.object({ ...entryStamp, ...soilTestFields }),
  z.object({ ...entryStamp, ...waterFields }),
]);
export type EntryDraft = z.infer<typeof entryDraft>;
export type EntryChange = z.infer<typeof entryChange>;
export type EntryRecord = z.infer<typeof entryRecord>;

type WholeLay = ReadBy<typeof entryFields.lay, 'note'>;
/** A material laid on top (dugDepthCm 0) or dug in as it comes. What the model lays itself says only what it weighs. */
export type LayEntry = Omit<WholeLay, 'amount' | 'unit'> & Partial<Pick<WholeLay, 'amount' | 'unit'>>;
/** Everything that lies on top, or one layer of it, dug in. */
export type DigEntry = ReadBy<typeof digFields, 'note'>;
export type TakeOffEntry = ReadBy<typeof takeOffFields, 'note'>;
export type FeedEntry = ReadBy<typeof feedFields, 'note'>;
export type SoilTestEntry = ReadBy<typeof soilTestFields, 'note'>;
export type WaterEntry = ReadBy<typeof waterFields, 'note'>;

/** A posting to a bed as the model reads it. */
export type Entry = LayEntry | DigEntry | TakeOffEntry | FeedEntry | SoilTestEntry | WaterEntry;
export type EntryType = Entry['type'];
