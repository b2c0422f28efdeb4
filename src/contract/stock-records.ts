import { z } from 'zod';
import { BURN_METHODS, CHAR_FINENESSES, CHARGE_RECIPE_IDS } from '../core/char/char-codes.ts';
import { CHAR_TEMPERATURES } from '../core/materials/material.ts';
import { MIX_PURPOSES } from '../core/mixing/purposes.ts';
import { RECORD_STATES } from '../core/records/bed-records.ts';
import { KEEPINGS } from '../core/stock/keeping.ts';
import { LOT_FORMS, READINESS_SIGNS, REASONS_TAKEN } from '../core/stock/stock-records.ts';
import { STOCK_UNITS } from '../core/units/amount.ts';
import { namedMaterialDraft } from './records.ts';
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

const lotFields = {
  name,
  form: z.enum(LOT_FORMS),
  keeping: z.enum(KEEPINGS),
  isTurned: z.boolean(),
  isHot: z.boolean(),
  /** Kept back when the stock is shared out, litres. */
  reserveL: finite.min(0).max(1e7).default(0),
  note,
};
export const lotDraft = z.strictObject({ ...creation, ...lotFields });
export const lotChange = z.strictObject({ version, ...lotFields });
export const lotRecord = z.object({ ...stamp, gardenId: id, ...lotFields });
export const lotFiled = z.strictObject({ ...filed, ...lotFields });
export type LotChange = z.infer<typeof lotChange>;
export type LotRecord = z.infer<typeof lotRecord>;

const unit = z.enum(STOCK_UNITS);
const amountFields = { amount: finite.gt(0).max(1e9), unit };
const moisture = finite
  .min(0)
  .refine((value) => value < 1, 'must be below 100 %, wet basis: water in what was weighed wet');
const temperatureC = finite.min(-40).max(95);
const bulkDensity = finite.min(10).max(2500);
const ingredient = z.union([
  z.strictObject({ lotId: id, materialId: z.null(), ...amountFields }),
  z.strictObject({ lotId: z.null(), materialId: id, ...amountFields }),
]);
const MOST_INGREDIENTS = 30;
const ingredients = z.array(ingredient).min(1).max(MOST_INGREDIENTS);
const movementCommon = { state: z.enum(RECORD_STATES), date, note, lotId: id };

/** What was seen and done at the fire; none of it moves a gram. */
const burnLog = z.strictObject({
  method: z.enum(BURN_METHODS),
  isOneThickness: z.boolean().nullable(),
  dryness: z.enum(['dry', 'halfDry', 'green']).nullable(),
  quench: z.enum(['water', 'soil', 'closed']).nullable(),
  quenchWaterL: finite.min(0).max(1e5).nullable(),
  /** Cold to the bottom, looked at on this day. */
  coldCheckedOn: date.nullable(),
  isMagnetPassed: z.boolean(),
  /** Steps ticked off, with the instant. */
  steps: z.array(z.strictObject({ step: z.string().max(60), at: z.string().max(40) })).max(60),
});

const movementFields = {
  receive: {
    ...movementCommon,
    type: z.literal('receive'),
    ...amountFields,
    materialId: id,
    moistureFractionWetBasis: moisture.nullable(),
    bulkDensityKgPerM3: bulkDensity.nullable(),
    seasonedMonths: finite.min(0).max(120),
  },
  make: {
    ...movementCommon,
    type: z.literal('make'),
    ingredients,
    waterL: finite.min(0).max(1e6),
    isLayered: z.boolean(),
    /** What it is being made ready for, and the day it should be. */
    chargeRecipe: z.enum(CHARGE_RECIPE_IDS).nullable().default(null),
    readyOn: date.nullable().default(null),
  },
  move: { ...movementCommon, type: z.literal('move'), ...amountFields, toLotId: id },
  takeOut: { ...movementCommon, type: z.literal('takeOut'), ...amountFields, reason: z.enum(REASONS_TAKEN) },
  stocktake: {
    ...movementCommon,
    type: z.literal('stocktake'),
    amount: finite.min(0).max(1e9),
    unit,
  },
  keep: {
    ...movementCommon,
    type: z.literal('keep'),
    keeping: z.enum(KEEPINGS),
    isTurned: z.boolean(),
    isHot: z.boolean(),
  },
  turn: { ...movementCommon, type: z.literal('turn') },
  water: { ...movementCommon, type: z.literal('water'), waterL: finite.gt(0).max(1e6) },
  reading: {
    ...movementCommon,
    type: z.literal('reading'),
    temperatureC: temperatureC.nullable(),
    moistureFractionWetBasis: moisture.nullable(),
    bulkDensityKgPerM3: bulkDensity.nullable(),
    carbonFractionDryBasis: finite.gt(0).max(0.95).nullable(),
    nitrogenFractionDryBasis: finite.gt(0).max(0.5).nullable(),
  },
  sign: {
    ...movementCommon,
    type: z.literal('sign'),
    signs: z.array(z.enum(READINESS_SIGNS)).min(1).max(20),
  },
  burn: {
    ...movementCommon,
    type: z.literal('burn'),
    feedstock: ingredients,
    charTemperature: z.enum(CHAR_TEMPERATURES),
    yield: z.strictObject({ ...amountFields, moistureFractionWetBasis: moisture }).nullable(),
    unburntShare: finite.min(0).max(0.95),
    log: burnLog,
  },
  crush: { ...movementCommon, type: z.literal('crush'), fineness: z.enum(CHAR_FINENESSES) },
} as const;

const anyMovement = <Extra extends z.ZodRawShape>(extra: Extra) =>
  z.discriminatedUnion('type', [
    z.strictObject({ ...extra, ...movementFields.receive }),
    z.strictObject({ ...extra, ...movementFields.make }),
    z.strictObject({ ...extra, ...movementFields.move }),
    z.strictObject({ ...extra, ...movementFields.takeOut }),
    z.strictObject({ ...extra, ...movementFields.stocktake }),
    z.strictObject({ ...extra, ...movementFields.keep }),
    z.strictObject({ ...extra, ...movementFields.turn }),
    z.strictObject({ ...extra, ...movementFields.water }),
    z.strictObject({ ...extra, ...movementFields.reading }),
    z.strictObject({ ...extra, ...movementFields.sign }),
    z.strictObject({ ...extra, ...movementFields.burn }),
    z.strictObject({ ...extra, ...movementFields.crush }),
  ]);
export const movementDraft = anyMovement(creation);
export const movementChange = anyMovement({ version });
export const movementRecord = anyMovement({ ...stamp, gardenId: id });
export const movementFiled = anyMovement(filed);
export type MovementDraft = z.infer<typeof movementDraft>;
export type MovementChange = z.infer<typeof movementChange>;
export type MovementRecord = z.infer<typeof movementRecord>;

/** New lots with what goes into them, materials described for it, and movements among lots: all of it or nothing. */
export const stockPosting = z.strictObject({
  materials: z.array(namedMaterialDraft).max(MOST_AT_ONCE).default([]),
  lots: z.array(z.strictObject({ id, ...lotFields })).max(MOST_AT_ONCE),
  movements: z.array(anyMovement({ id })).max(MOST_AT_ONCE),
});
export type StockPosting = z.input<typeof stockPosting>;

const labFields = {
  materialId: id,
  date,
  laboratory: z.string().trim().max(120),
  moistureFractionWetBasis: moisture.nullable(),
  carbonFractionDryBasis: finite.gt(0).max(0.95).nullable(),
  nitrogenFractionDryBasis: finite.gt(0).max(0.5).nullable(),
  ammoniumShareOfNitrogen: share.nullable(),
  bulkDensityKgPerM3: bulkDensity.nullable(),
  note,
};
export const labResultDraft = z.strictObject({ ...creation, ...labFields });
export const labResultChange = z.strictObject({ version, ...labFields });
export const labResultRecord = z.object({ ...stamp, gardenId: id, ...labFields });
export const labResultFiled = z.strictObject({ ...filed, ...labFields });
export type LabResultDraft = z.infer<typeof labResultDraft>;
export type LabResultRecord = z.infer<typeof labResultRecord>;

const recipeFields = {
  name,
  purpose: z.enum(MIX_PURPOSES),
  ingredients,
  waterL: finite.min(0).max(1e6),
  isLayered: z.boolean(),
  note,
};
export const recipeDraft = z.strictObject({ ...creation, ...recipeFields });
export const recipeRecord = z.object({ ...stamp, gardenId: id, ...recipeFields });
export const recipeFiled = z.strictObject({ ...filed, ...recipeFields });
export type RecipeDraft = z.infer<typeof recipeDraft>;
export type RecipeRecord = z.infer<typeof recipeRecord>;
