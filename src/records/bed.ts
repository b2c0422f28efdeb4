import { z } from 'zod';
import { date, field, finite, name, note } from './fields.ts';
import { shapesOf, type ReadBy } from './shapes.ts';
import { BED_KINDS, CROPPING_BEFORE, EXPOSURES } from './vocabulary.ts';

const LONGITUDE_DEG = 180;
const LATITUDE_DEG = 90;

export const bedFields = {
  name: field(name, { also: ['bed', 'bed name'] }),
  kind: field(z.enum(BED_KINDS), { also: ['type'], empty: 'annual' }),
  /** Where in a large garden it lies, in the gardener's words; empty where that needs no saying. */
  part: field(z.string().trim().max(60).default(''), {
    label: 'the part of the garden',
    also: ['part of the garden', 'section', 'area of the garden', 'location'],
    empty: '',
  }),
  areaM2: field(finite.gt(0).max(100_000), { quantity: 'area', also: ['area', 'size'] }),
  organicMatterPct: field(finite.min(0).max(100), { also: ['organic matter', 'som', 'om'] }),
  bulkDensityGPerCm3: field(finite.min(0.05).max(2.5), { also: ['bulk density'], empty: 1.2 }),
  clayPct: field(finite.min(0).max(100), { also: ['clay'] }),
  rootZoneCm: field(finite.min(10).max(200), {
    label: 'root depth',
    quantity: 'length',
    also: ['root zone', 'root depth'],
    empty: 30,
  }),
  /** How many pots stand for the bed, each with its share of area and depth; null for a bed in the ground. */
  potCount: field(z.int().min(1).max(10_000).nullable().default(null), {
    label: 'the number of pots',
    also: ['pots', 'number of pots', 'containers'],
    empty: null,
  }),
  exposure: field(z.enum(EXPOSURES), { empty: 'normal' }),
  isWatered: field(z.boolean(), { also: ['watered', 'irrigated'], empty: true }),
  /** Nothing was laid on it before this day; null when nobody remembers. */
  startedOn: field(date.nullable().default(null), {
    label: 'the day the bed was made',
    also: ['made on', 'since'],
    empty: null,
  }),
  ph: field(finite.min(2).max(11).nullable().default(null), { label: 'pH', empty: null }),
  croppingBefore: field(z.enum(CROPPING_BEFORE).default('unknown'), { empty: 'unknown' }),
  /** Whether its likely range is weighed by what its log says. */
  learnsFromLog: field(z.boolean().default(true), { empty: true }),
  /** Corners by longitude and latitude, degrees; the first is not repeated at the end. Null when nobody has mapped it. */
  outline: field(
    z
      .array(
        z.tuple([finite.min(-LONGITUDE_DEG).max(LONGITUDE_DEG), finite.min(-LATITUDE_DEG).max(LATITUDE_DEG)]),
      )
      .min(3)
      .max(500)
      .nullable()
      .default(null),
    { empty: null },
  ),
  note,
};
export const { draft: bedDraft, change: bedChange, record: bedRecord, filed: bedFiled } = shapesOf(bedFields);
export type BedChange = z.infer<typeof bedChange>;
/** A draft as it is sent: what has a usual value may be left out. */
export type BedGiven = z.input<typeof bedDraft>;
export type BedRecord = z.infer<typeof bedRecord>;

/** A bed as the model reads it. */
export type Bed = ReadBy<
  typeof bedFields,
  'name' | 'part' | 'potCount' | 'learnsFromLog' | 'outline' | 'note'
>;
