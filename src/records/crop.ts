import { z } from 'zod';
import { field, finite, id, name, note } from './fields.ts';
import { shapesOf, type ReadBy } from './shapes.ts';
import { STARTS_AS, WARMTHS } from './vocabulary.ts';

/** A crop of one's own: like one of the library, which lends everything that is null here. */
export const cropFields = {
  name: field(name, { also: ['crop'] }),
  likeCropId: field(id, { names: 'crop', label: 'the crop it is like', also: ['like', 'similar to'] }),
  nitrogenDemandGPerM2: field(finite.min(0).max(100).nullable().default(null), {
    also: ['nitrogen demand'],
    empty: null,
  }),
  rootDepthCm: field(finite.min(5).max(300).nullable().default(null), {
    quantity: 'length',
    also: ['root depth'],
    empty: null,
  }),
  /** From sowing or planting to clearing; of no meaning where the crop it is like stays for years. */
  daysInGround: field(finite.min(10).max(730).nullable().default(null), {
    label: 'days in the ground',
    also: ['days'],
    empty: null,
  }),
  startsAs: field(z.enum(STARTS_AS).nullable().default(null), { also: ['start'], empty: null }),
  warmth: field(z.enum(WARMTHS).nullable().default(null), { label: 'the warmth it needs', empty: null }),
  yieldKgPerM2: field(finite.min(0).max(50).nullable().default(null), {
    label: 'the harvest',
    also: ['harvest', 'yield'],
    empty: null,
  }),
  note,
};
export const {
  draft: cropDraft,
  change: cropChange,
  record: cropRecord,
  filed: cropFiled,
} = shapesOf(cropFields);
export type CropDraft = z.infer<typeof cropDraft>;
export type CropChange = z.infer<typeof cropChange>;
export type CropRecord = z.infer<typeof cropRecord>;

/** A crop of one's own as the model reads it. */
export type OwnCrop = ReadBy<typeof cropFields, 'note'>;
