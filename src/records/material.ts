import { z } from 'zod';
import { field, finite, id, name, note, share } from './fields.ts';
import { shapesOf, type Unchanging } from './shapes.ts';
import { CUTTING_SEASONS } from './vocabulary.ts';

/** Chips described by what can be seen of them. */
export const chipsFields = {
  type: z.literal('chips'),
  branchDiameterCm: field(finite.gt(0).max(300), { quantity: 'length', also: ['branch diameter'] }),
  leafShare: field(share, { quantity: 'share', also: ['leaf'] }),
  coniferShare: field(share, { quantity: 'share', also: ['conifer'] }),
  barkShare: field(share.nullish(), { quantity: 'share', also: ['bark'] }),
  season: z.enum(CUTTING_SEASONS).nullish(),
};
/** Figures of one's own over a material of the library, which lends everything not stated here. */
export const figuresFields = {
  type: z.literal('figures'),
  likeMaterialId: field(id, { names: 'material', also: ['like', 'similar to'] }),
  moistureFractionWetBasis: field(share.max(0.999), {
    quantity: 'share',
    header: 'moisture_share_wet_basis',
    also: ['moisture'],
  }),
  carbonFractionDryBasis: field(share, {
    quantity: 'share',
    header: 'carbon_share_dry_basis',
    also: ['carbon', 'c'],
  }),
  nitrogenFractionDryBasis: field(share, {
    quantity: 'share',
    header: 'nitrogen_share_dry_basis',
    also: ['nitrogen', 'n'],
  }),
  bulkDensityKgPerM3: field(finite.gt(0).max(3000), { also: ['bulk density', 'density'] }),
};
const materialBasis = z.discriminatedUnion('type', [
  z.strictObject(chipsFields),
  z.strictObject(figuresFields),
]);

export const materialFields = { name: field(name, { also: ['material'] }), basis: materialBasis, note };
export const {
  draft: materialDraft,
  change: materialChange,
  record: materialRecord,
  filed: materialFiled,
} = shapesOf(materialFields);
/** A material described while something else is written, kept with it or not at all. */
export const namedMaterialDraft = z.strictObject({ id, ...materialFields });
export type MaterialDraft = z.infer<typeof materialDraft>;
export type MaterialRecord = z.infer<typeof materialRecord>;

export type ChipsBasis = Unchanging<z.infer<z.ZodObject<typeof chipsFields>>>;
export type FiguresBasis = Unchanging<z.infer<z.ZodObject<typeof figuresFields>>>;
/** What a material of one's own is described by. */
export type OwnMaterialBasis = ChipsBasis | FiguresBasis;
