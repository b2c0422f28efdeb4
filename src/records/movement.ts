import { z } from 'zod';
import { creation, date, field, filed, finite, id, note, stamp, version } from './fields.ts';
import { treatmentFields } from './lot.ts';
import { amountFields, bulkDensity, ingredients, moisture, stockUnit } from './measured.ts';
import type { ReadBy, Unchanging } from './shapes.ts';
import {
  BURN_DRYNESSES,
  BURN_METHODS,
  CHAR_FINENESSES,
  CHAR_TEMPERATURES,
  CHARGE_RECIPE_IDS,
  READINESS_SIGNS,
  REASONS_TAKEN,
  RECORD_STATES,
  type AmountUnit,
  type RecordState,
} from './vocabulary.ts';

const common = {
  state: field(z.enum(RECORD_STATES), { also: ['status'], empty: 'laid' }),
  date,
  note,
  lotId: field(id, { label: 'pile', names: 'lot', also: ['pile', 'heap', 'lot name'] }),
};
const moistureMeta = { quantity: 'share', header: 'moisture_share_wet_basis', also: ['moisture'] } as const;
const measured = {
  moistureFractionWetBasis: field(moisture.nullable(), moistureMeta),
  bulkDensityKgPerM3: field(bulkDensity.nullable(), { also: ['bulk density', 'density'] }),
};
const waterAlso = { also: ['water'] };

/** What was seen and done at the fire; none of it moves a gram. */
const burnLog = z.strictObject({
  method: z.enum(BURN_METHODS),
  isOneThickness: z.boolean().nullable(),
  dryness: z.enum(BURN_DRYNESSES).nullable(),
  quench: z.enum(['water', 'soil', 'closed']).nullable(),
  quenchWaterL: finite.min(0).max(1e5).nullable(),
  /** Cold to the bottom, looked at on this day. */
  coldCheckedOn: date.nullable(),
  isMagnetPassed: z.boolean(),
  /** Steps ticked off, with the instant. */
  steps: z.array(z.strictObject({ step: z.string().max(60), at: z.string().max(40) })).max(60),
});

/** Fields by the type of a stock posting. */
export const movementFields = {
  /** Material that arrives, as it was measured on arrival; null takes the material's own figure. */
  receive: {
    ...common,
    type: z.literal('receive'),
    ...amountFields,
    materialId: field(id, { names: 'material', also: ['what', 'stuff', 'mulch'] }),
    ...measured,
    /** How long it has lain in a heap elsewhere, months. */
    seasonedMonths: field(finite.min(0).max(120), { also: ['seasoned'] }),
  },
  /** Several things made into one lot: compost, a mulch mix, char being charged. */
  make: {
    ...common,
    type: z.literal('make'),
    ingredients,
    waterL: field(finite.min(0).max(1e6), waterAlso),
    isLayered: z.boolean(),
    /** What it is being made ready for, and the day it should be. */
    chargeRecipe: z.enum(CHARGE_RECIPE_IDS).nullable().default(null),
    readyOn: date.nullable().default(null),
  },
  /** From one lot into another: merging, splitting, bagging. */
  move: {
    ...common,
    type: z.literal('move'),
    ...amountFields,
    toLotId: field(id, { label: 'pile it goes to', names: 'lot', also: ['to', 'to lot'] }),
  },
  /** Out of the books, and not onto a bed. */
  takeOut: { ...common, type: z.literal('takeOut'), ...amountFields, reason: z.enum(REASONS_TAKEN) },
  /** What was found when somebody looked; the difference is posted as a correction. 0 when nothing is left. */
  stocktake: {
    ...common,
    type: z.literal('stocktake'),
    amount: finite.min(0).max(1e9),
    unit: stockUnit,
  },
  keep: { ...common, type: z.literal('keep'), ...treatmentFields },
  turn: { ...common, type: z.literal('turn') },
  water: { ...common, type: z.literal('water'), waterL: field(finite.gt(0).max(1e6), waterAlso) },
  /** A probe, a bucket on a scale, a drying test, a laboratory report: whatever of it was measured. */
  reading: {
    ...common,
    type: z.literal('reading'),
    temperatureC: field(finite.min(-40).max(95).nullable(), {
      quantity: 'temperature',
      also: ['temperature'],
    }),
    ...measured,
    carbonFractionDryBasis: finite.gt(0).max(0.95).nullable(),
    nitrogenFractionDryBasis: finite.gt(0).max(0.5).nullable(),
  },
  /** What nose, eye and hand say of a heap. */
  sign: {
    ...common,
    type: z.literal('sign'),
    signs: z.array(z.enum(READINESS_SIGNS)).min(1).max(20),
  },
  /** Wood put through fire; what it gave is null until it is cold and measured. The char goes into the lot. */
  burn: {
    ...common,
    type: z.literal('burn'),
    feedstock: ingredients,
    charTemperature: z.enum(CHAR_TEMPERATURES),
    yield: z.strictObject({ ...amountFields, moistureFractionWetBasis: moisture }).nullable(),
    /** Pieces that did not char, as a share of the feedstock's dry mass. */
    unburntShare: finite.min(0).max(0.95),
    /**
     * The pile those pieces lie on; absent or null for the pile of the first feedstock, or out of the books where that
     * came from outside.
     */
    unburntToLotId: field(id.nullish(), { label: 'pile of what did not char', names: 'lot' }),
    log: burnLog,
  },
  /** Char broken up: finer is charged and colonized sooner. */
  crush: { ...common, type: z.literal('crush'), fineness: z.enum(CHAR_FINENESSES) },
} as const;

/** A stock posting of any type, with fields that all types have. */
export const anyMovement = <Extra extends z.ZodRawShape>(extra: Extra) =>
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

type Fields = typeof movementFields;
export type ReceiveMovement = ReadBy<Fields['receive'], 'note'>;
type WholeMake = ReadBy<Fields['make'], 'note' | 'readyOn'>;
export type MakeMovement = Omit<WholeMake, 'chargeRecipe'> & Partial<Pick<WholeMake, 'chargeRecipe'>>;
export type MoveMovement = ReadBy<Fields['move'], 'note'>;
export type TakeOutMovement = ReadBy<Fields['takeOut'], 'note'>;
export type StocktakeMovement = ReadBy<Fields['stocktake'], 'note'>;
export type KeepMovement = ReadBy<Fields['keep'], 'note'>;
export type TurnMovement = ReadBy<Fields['turn'], 'note'>;
export type WaterMovement = ReadBy<Fields['water'], 'note'>;
export type ReadingMovement = ReadBy<Fields['reading'], 'note'>;
export type SignMovement = ReadBy<Fields['sign'], 'note'>;
export type BurnMovement = ReadBy<Fields['burn'], 'note' | 'log'> & {
  /** How dry the wood was, where it came from outside; told by hand and ear. */
  readonly log?: Partial<Pick<z.infer<typeof burnLog>, 'dryness'>>;
};
export type CrushMovement = ReadBy<Fields['crush'], 'note'>;

/** A stock posting as the model reads it. */
export type Movement =
  | ReceiveMovement
  | MakeMovement
  | MoveMovement
  | TakeOutMovement
  | StocktakeMovement
  | KeepMovement
  | TurnMovement
  | WaterMovement
  | ReadingMovement
  | SignMovement
  | BurnMovement
  | CrushMovement;
export type MovementType = Movement['type'];

export interface Amount {
  readonly amount: number;
  readonly unit: AmountUnit;
}
export type Ingredient = Unchanging<z.infer<typeof ingredients>[number]>;

/** A bed that draws on the stock. */
export interface BedTake extends Amount {
  readonly entryId: string;
  readonly bedId: string;
  readonly areaM2: number;
  readonly state: RecordState;
  readonly date: string;
  readonly lotId: string;
}
