/* The yard: what lies in piles and bags, how it ages, and what is mixed, burnt, charged and brewed of it. */

// ash
export {
  ASH_HIGHEST_PH,
  ASH_YEARLY_CAP_G_PER_M2,
  type AshGate,
  type AshReason,
  ashGate,
  heapTakesAsh,
} from './ash/ash-gate.ts';
export { ashOnBed, ashTakenG } from './ash/ash-on-bed.ts';
export {
  ASH_KG_PER_M3,
  ASH_RECIPES,
  type AshCondition,
  type AshUse,
  ashEffect,
  ashVolumeL,
  mostAshG,
  ratePerM2,
  weighedAshG,
} from './ash/ash-recipes.ts';

// brews
export {
  BREWS,
  type ScaledBrew,
  brewDates,
  findBrew,
  litresForVessel,
  scaleBrew,
} from './brews/brew-recipes.ts';

// char
export {
  BURN_METHOD_FACTS,
  type BurnStep,
  DRUM_MINUTES,
  FEEDSTOCK_SHAPES,
  type FeedstockShape,
} from './char/burn-methods.ts';
export { type YieldVerdict, isFoundCold, judgeYield } from './char/burn-yield.ts';
export { checkBurn } from './char/check-burn.ts';
export { charDose } from './char/char-dose.ts';
export { charFactorForClay, findChargeRecipe, scaleCharge } from './char/charge-recipes.ts';
export { type ChargePreview, isRawChar, previewCharge } from './char/charging.ts';
export { CARBON_LEFT_AFTER_100_YEARS, lastingCarbon, leastLeftByHydrogen } from './char/permanence.ts';

// judging
export {
  MOISTURE_BY_SQUEEZE,
  bulkDensityFromBucket,
  leafShareFromCount,
  moistureFromDrying,
} from './judging/judging.ts';

// mixing
export { type Blend, type BlendPart, blend, nitrogenToAddG } from './mixing/blend.ts';
export { type BucketRatio, bucketHolds, bucketRatio } from './mixing/bucket-ratio.ts';
export { heatsUp } from './mixing/heating.ts';
export { type MixCaution, type NamedPart, mixCautions } from './mixing/mix-cautions.ts';
export { type MixFix, type Remedy, fixesFor } from './mixing/mix-fixes.ts';
export type { Aim, MixMiss } from './mixing/mix-miss.ts';
export { MIX_TARGETS } from './mixing/purposes.ts';
export {
  type MixAnswer,
  type MixIngredient,
  type MixProblem,
  aimsMissed,
  solveMix,
} from './mixing/solve-mix.ts';
export { partnerMassKg } from './mixing/two-materials.ts';

// stock
export { type HeapLog, type SignVerdict, heapLog } from './stock/heap-log.ts';
export { mayTakeFire } from './stock/heap-fire.ts';
export type { HeapRipeness, HeapStage } from './stock/heap-ripeness.ts';
export { HOT_FROM_C, HOT_RULES, TOO_HOT_FROM_C } from './stock/hot-phase.ts';
export type { TemperatureReading } from './stock/keeping.ts';
export type { LockUpPower } from './stock/lock-up-power.ts';
export { type LotContents, isEmpty, scaleContents, volumeL } from './stock/lot-contents.ts';
export {
  FINISHED_RECOGNIZABLE_SHARE,
  figuresOf,
  kindOf,
  materialOfContents,
  openingOfContents,
} from './stock/lot-figures.ts';
export { LOT_HORIZON_DAYS, type LotBrief, type LotCourse, lotBrief, lotCourse } from './stock/lot-outlook.ts';
export type { LotWhat } from './stock/lot-what.ts';
export type { BurnResult } from './stock/movements.ts';
export { nearestMaterialId } from './stock/nearest-material.ts';
export { overPromisedL } from './stock/promises.ts';
export { proveInSteps, proveStock } from './stock/prove-stock.ts';
export {
  type LotHistory,
  type StockBooks,
  type StockRun,
  carryOut,
  contentsOfLotOn,
  runStock,
} from './stock/run-stock.ts';
export { type Ripeness, type TimelinePoint, lotTimeline } from './stock/lot-timeline.ts';
export { type StockMemory, emptyMemory } from './stock/stock-memory.ts';
export { type TakenForBed, lotsNamedBy } from './stock/stock-steps.ts';
export { type LotLine, foldTime } from './stock/stock-ledger.ts';
