import { z } from 'zod';
import { date, field, finite, id, note, share } from './fields.ts';
import { bedShapesOf, type ReadBy } from './shapes.ts';
import { RECORD_STATES, STARTS_AS } from './vocabulary.ts';

export const plantingFields = {
  state: field(z.enum(RECORD_STATES), { also: ['status'], empty: 'laid' }),
  cropId: field(id, { names: 'crop', also: ['plant', 'what'] }),
  plantedOn: field(date, {
    label: 'the day it is planted',
    also: ['planted', 'sown', 'sown on', 'date'],
  }),
  /** First day it no longer stands; null for a perennial that stays. */
  clearedOn: field(date.nullable(), {
    label: 'the day it is cleared',
    also: ['cleared', 'harvested', 'until'],
    empty: null,
  }),
  nitrogenDemandGPerM2: field(finite.min(0).max(100), { also: ['nitrogen demand'] }),
  rootDepthCm: field(finite.min(5).max(500), { quantity: 'length', also: ['root depth'] }),
  startsAs: field(z.enum(STARTS_AS).default('seed'), { also: ['start'] }),
  /** Share of the bed it stands on, above 0 to 1. */
  areaShare: field(share.gt(0).default(1), { label: 'share of the bed', quantity: 'share', empty: 1 }),
  /** Sown beneath another crop, or a living mulch: it takes no room of its own. */
  isUndersown: field(z.boolean().default(false), { empty: false }),
  note,
};
export const {
  draft: plantingDraft,
  row: plantingRow,
  change: plantingChange,
  record: plantingRecord,
  filed: plantingFiled,
} = bedShapesOf(plantingFields);
export type PlantingChange = z.infer<typeof plantingChange>;
export type PlantingDraft = z.infer<typeof plantingDraft>;
export type PlantingRecord = z.infer<typeof plantingRecord>;

/** A planting as the model reads it. */
export type Planting = ReadBy<typeof plantingFields, 'note'>;
