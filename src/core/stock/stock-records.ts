import type { CharTemperature } from '../materials/material.ts';
import type { CharFineness, ChargeRecipeId } from '../char/char-codes.ts';
import type { RecordState } from '../records/bed-records.ts';
import type { AmountUnit } from '../units/amount.ts';
import type { Keeping, Treatment } from './keeping.ts';

/** What the stock stands in. */
export const LOT_FORMS = ['pile', 'heap', 'bag', 'bin', 'drum', 'bale'] as const;
export type LotForm = (typeof LOT_FORMS)[number];

/** One account of the stock: a pile, a heap, some bags of the same. */
export interface LotRecord extends Treatment {
  readonly id: string;
  readonly name: string;
  readonly form: LotForm;
}

export interface Amount {
  readonly amount: number;
  readonly unit: AmountUnit;
}

/** Some of a lot. */
export interface Portion extends Amount {
  readonly lotId: string;
}

/** Something that goes into a batch: out of a lot, or straight from outside by the name of its material. */
export type Ingredient = Amount &
  (
    | { readonly lotId: string; readonly materialId: null }
    | { readonly lotId: null; readonly materialId: string }
  );

interface Movement {
  readonly id: string;
  readonly state: RecordState;
  /** ISO date. */
  readonly date: string;
}

/** Material that arrives, as it was measured on arrival. */
export interface ReceiveMovement extends Movement, Portion {
  readonly type: 'receive';
  readonly materialId: string;
  /** As judged on arrival; null takes the material's. */
  readonly moistureFractionWetBasis: number | null;
  readonly bulkDensityKgPerM3: number | null;
  /** How long it has lain in a heap elsewhere, months. */
  readonly seasonedMonths: number;
}

/** Several things made into one lot: compost, a mulch mix, char being charged. */
export interface MakeMovement extends Movement {
  readonly type: 'make';
  readonly lotId: string;
  readonly ingredients: readonly Ingredient[];
  readonly waterL: number;
  readonly isLayered: boolean;
  /** What char is being charged by; absent for any other mix. */
  readonly chargeRecipe?: ChargeRecipeId | null | undefined;
}

/** From one lot into another: merging, splitting, bagging. */
export interface MoveMovement extends Movement, Portion {
  readonly type: 'move';
  readonly toLotId: string;
}

export const REASONS_TAKEN = ['given', 'sold', 'spilt', 'used'] as const;
/** Out of the books, and not onto a bed. */
export interface TakeOutMovement extends Movement, Portion {
  readonly type: 'takeOut';
  readonly reason: (typeof REASONS_TAKEN)[number];
}

/** What was found when somebody looked; the difference is posted as a correction. */
export interface StocktakeMovement extends Movement {
  readonly type: 'stocktake';
  readonly lotId: string;
  /** 0 when nothing is left. */
  readonly amount: number;
  readonly unit: AmountUnit;
}

export interface KeepMovement extends Movement, Treatment {
  readonly type: 'keep';
  readonly lotId: string;
  readonly keeping: Keeping;
}

export interface TurnMovement extends Movement {
  readonly type: 'turn';
  readonly lotId: string;
}

export interface WaterMovement extends Movement {
  readonly type: 'water';
  readonly lotId: string;
  readonly waterL: number;
}

/** A probe, a bucket on a scale, a drying test, a laboratory report: whatever of it was measured. */
export interface ReadingMovement extends Movement {
  readonly type: 'reading';
  readonly lotId: string;
  readonly temperatureC: number | null;
  readonly moistureFractionWetBasis: number | null;
  readonly bulkDensityKgPerM3: number | null;
  readonly carbonFractionDryBasis: number | null;
  readonly nitrogenFractionDryBasis: number | null;
}

export const READINESS_SIGNS = [
  'earthySmell',
  'sourSmell',
  'ammoniaSmell',
  'darkCrumb',
  'nothingRecognizable',
  'coolAfterTurning',
  'whiteThreads',
  'worms',
  'seedlingsGrow',
] as const;
export type ReadinessSign = (typeof READINESS_SIGNS)[number];

/** What nose, eye and hand say of a heap. */
export interface SignMovement extends Movement {
  readonly type: 'sign';
  readonly lotId: string;
  readonly signs: readonly ReadinessSign[];
}

/** Wood put through fire; what it gave is null until it is cold and measured. */
export interface BurnMovement extends Movement {
  readonly type: 'burn';
  readonly feedstock: readonly Ingredient[];
  readonly charTemperature: CharTemperature;
  /** Where the char goes. */
  readonly lotId: string;
  readonly yield: (Amount & { readonly moistureFractionWetBasis: number }) | null;
  /** Pieces that did not char, as a share of the feedstock's dry mass; they go back where the first feedstock came from. */
  readonly unburntShare: number;
}

/** Char broken up: finer is charged and colonized sooner. */
export interface CrushMovement extends Movement {
  readonly type: 'crush';
  readonly lotId: string;
  readonly fineness: CharFineness;
}

export type StockMovement =
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
export type StockMovementType = StockMovement['type'];

/** A bed that draws on the stock. */
export interface BedTake {
  readonly entryId: string;
  readonly bedId: string;
  readonly areaM2: number;
  readonly state: RecordState;
  readonly date: string;
  readonly lotId: string;
  readonly amount: number;
  readonly unit: AmountUnit;
}
