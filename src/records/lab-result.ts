import { z } from 'zod';
import { date, field, finite, id, note, share } from './fields.ts';
import { bulkDensity, moisture } from './measured.ts';
import { shapesOf, type Unchanging } from './shapes.ts';

/** What a laboratory, or a test of one's own, found of a material; null for what it did not look at. */
export const labResultFields = {
  materialId: field(id, { names: 'material', also: ['what', 'stuff', 'mulch'] }),
  /** Of the sample. */
  date,
  laboratory: field(z.string().trim().max(120), { also: ['lab'], empty: '' }),
  moistureFractionWetBasis: field(moisture.nullable(), {
    quantity: 'share',
    header: 'moisture_share_wet_basis',
    also: ['moisture', 'water'],
    empty: null,
  }),
  carbonFractionDryBasis: field(finite.gt(0).max(0.95).nullable(), {
    quantity: 'share',
    header: 'carbon_share_dry_basis',
    also: ['carbon', 'c', 'total carbon'],
    empty: null,
  }),
  nitrogenFractionDryBasis: field(finite.gt(0).max(0.5).nullable(), {
    quantity: 'share',
    header: 'nitrogen_share_dry_basis',
    also: ['nitrogen', 'n', 'total nitrogen'],
    empty: null,
  }),
  ammoniumShareOfNitrogen: field(share.nullable(), {
    quantity: 'share',
    also: ['ammonium'],
    empty: null,
  }),
  bulkDensityKgPerM3: field(bulkDensity.nullable(), {
    also: ['bulk density', 'density'],
    empty: null,
  }),
  note,
};
export const {
  draft: labResultDraft,
  change: labResultChange,
  record: labResultRecord,
  filed: labResultFiled,
} = shapesOf(labResultFields);
export type LabResultDraft = z.infer<typeof labResultDraft>;
export type LabResultRecord = z.infer<typeof labResultRecord>;

/** A report as the model reads it. */
export type LabResult = Omit<Unchanging<z.infer<z.ZodObject<typeof labResultFields>>>, 'laboratory' | 'note'>;
