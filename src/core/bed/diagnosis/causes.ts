import type { NutrientRating } from '../advice/soil-nutrients.ts';
import { PALENESS_SHOWN } from '../plan/bed-plan.ts';
import type { PlantSign } from '../../../records/vocabulary.ts';

/** Why leaves may be pale, or a plant not thrive. */
export const CAUSES = [
  'lockUp',
  'hunger',
  'coldSoil',
  'waterlogged',
  'drought',
  'phLockOut',
  'traceElements',
  'magnesium',
  'shade',
  'transplantShock',
  'rootTrouble',
  'rawChar',
  'scorch',
  'other',
] as const;
export type Cause = (typeof CAUSES)[number];

/** What the books and the model know of a bed on a day, as far as it bears on pale leaves. Amounts per m2. */
export interface PaleFacts {
  /** Of the crop concerned, by the model; null when nothing stands there. */
  readonly paleness: number | null;
  readonly heldInRootsReachG: number;
  readonly availableInReachG: number;
  readonly isLegume: boolean;
  /** Came up where it stands, so that no planting out has shocked it. */
  readonly isSown: boolean;
  /** The plan of the bed has a dose due for what stands there, or sees it pale. */
  readonly isShortByPlan: boolean;
  readonly daysSincePlanting: number | null;
  /** Days from the last wood, sawdust or straw to the first sign (or today); negative when it came after. */
  readonly daysFromMulchToSigns: number | null;
  readonly isWoodDugIn: boolean;
  readonly temperatureC: number;
  readonly topsoilDryness: number;
  readonly isWetMonth: boolean;
  readonly isHeavyClay: boolean;
  readonly ph: number | null;
  /** By the last soil test that has a class for it; null without one. */
  readonly magnesiumRating: NutrientRating | null;
  readonly ashLastYearGPerM2: number;
  readonly rawCharWithinDays: number | null;
  /** Quick nitrogen and raw manure given in the three weeks before. */
  readonly fedRecentlyG: number;
}

/** One thing that speaks for or against causes. */
export type EvidenceCode =
  | 'modelHolds'
  | 'modelPale'
  | 'planShort'
  | 'modelFed'
  | 'modelShortWithoutHold'
  | 'beganAfterMulch'
  | 'beganBeforeMulch'
  | 'noMulch'
  | 'woodDugIn'
  | 'legume'
  | 'coldNow'
  | 'warmNow'
  | 'wetGround'
  | 'dryGround'
  | 'moistGround'
  | 'highPh'
  | 'lowPh'
  | 'goodPh'
  | 'magnesiumLow'
  | 'magnesiumEnough'
  | 'muchAsh'
  | 'rawCharRecent'
  | 'noRawChar'
  | 'muchFed'
  | 'littleFed'
  | 'justPlanted'
  | 'longPlanted'
  | PlantSign;

interface Evidence {
  readonly code: EvidenceCode;
  readonly holds: (facts: PaleFacts, signs: ReadonlySet<PlantSign>) => boolean;
  /** How strongly it speaks for (above 0) or against a cause: steps of a factor of e in the odds. */
  readonly weighs: Readonly<Partial<Record<Cause, number>>>;
}

const HELD_FROM_G = 0.25;
const FED_ENOUGH_G = 2;
const COLD_BELOW_C = 9;
const WARM_FROM_C = 13;
const WET_UNDER = 0.12;
const DRY_FROM = 0.6;
const HIGH_PH = 7.4;
const LOW_PH = 5.6;
const MUCH_ASH_G = 100;
const CHAR_DAYS = 120;
const SCORCH_FROM_G = 8;
const JUST_PLANTED_DAYS = 14;
const LONG_PLANTED_DAYS = 35;
const AFTER_MULCH_DAYS = 90;

const sign = (code: PlantSign, weighs: Evidence['weighs']): Evidence => ({
  code,
  holds: (_, signs) => signs.has(code),
  weighs,
});

/**
 * What each observation is worth. Which way it points is common practice (no source); how strongly is set here, and a
 * test holds every textbook case to its cause. Causes start alike but for those that are common.
 */
export const EVIDENCE: readonly Evidence[] = [
  {
    code: 'modelHolds',
    holds: ({ heldInRootsReachG }) => heldInRootsReachG >= HELD_FROM_G,
    weighs: { lockUp: 1.3, hunger: -0.3 },
  },
  {
    code: 'modelPale',
    holds: ({ paleness }) => (paleness ?? 0) >= PALENESS_SHOWN,
    weighs: { lockUp: 0.7, hunger: 0.9, drought: -0.3, rootTrouble: -0.3, traceElements: -0.4 },
  },
  {
    code: 'planShort',
    holds: ({ isShortByPlan }) => isShortByPlan,
    weighs: { lockUp: 0.6, hunger: 0.9, traceElements: -0.3, rootTrouble: -0.3 },
  },
  {
    code: 'modelFed',
    holds: ({ paleness, availableInReachG, isShortByPlan }) =>
      !isShortByPlan && (paleness ?? 0) < PALENESS_SHOWN && availableInReachG >= FED_ENOUGH_G,
    weighs: { hunger: -1.3, lockUp: -0.8, traceElements: 0.3, rootTrouble: 0.3, phLockOut: 0.2, other: 0.2 },
  },
  {
    code: 'modelShortWithoutHold',
    holds: ({ paleness, heldInRootsReachG }) =>
      (paleness ?? 0) >= PALENESS_SHOWN && heldInRootsReachG < HELD_FROM_G,
    weighs: { hunger: 1.2, lockUp: -1.2 },
  },
  {
    code: 'beganAfterMulch',
    holds: ({ daysFromMulchToSigns: days }) => days !== null && days >= 3 && days <= AFTER_MULCH_DAYS,
    weighs: { lockUp: 1, hunger: -0.2 },
  },
  {
    code: 'beganBeforeMulch',
    holds: ({ daysFromMulchToSigns: days }) => days !== null && days < 0,
    weighs: { lockUp: -2.2 },
  },
  {
    code: 'noMulch',
    holds: ({ daysFromMulchToSigns: days }) => days === null,
    weighs: { lockUp: -1.8 },
  },
  { code: 'woodDugIn', holds: ({ isWoodDugIn }) => isWoodDugIn, weighs: { lockUp: 0.9 } },
  { code: 'legume', holds: ({ isLegume }) => isLegume, weighs: { lockUp: -1.2, hunger: -1.5 } },
  {
    code: 'coldNow',
    holds: ({ temperatureC }) => temperatureC < COLD_BELOW_C,
    weighs: { coldSoil: 1.8, hunger: -0.2, drought: -0.5 },
  },
  {
    code: 'warmNow',
    holds: ({ temperatureC }) => temperatureC >= WARM_FROM_C,
    weighs: { coldSoil: -2.5, drought: 0.2 },
  },
  {
    code: 'wetGround',
    holds: ({ topsoilDryness, isWetMonth, isHeavyClay }) =>
      topsoilDryness <= WET_UNDER && (isWetMonth || isHeavyClay),
    weighs: { waterlogged: 1, drought: -2 },
  },
  {
    code: 'dryGround',
    holds: ({ topsoilDryness }) => topsoilDryness >= DRY_FROM,
    weighs: { drought: 1.4, waterlogged: -2 },
  },
  {
    code: 'moistGround',
    holds: ({ topsoilDryness }) => topsoilDryness > WET_UNDER && topsoilDryness < DRY_FROM,
    weighs: { drought: -0.8, waterlogged: -0.6 },
  },
  {
    code: 'highPh',
    holds: ({ ph }) => (ph ?? 0) >= HIGH_PH,
    weighs: { phLockOut: 1.8, traceElements: 0.7 },
  },
  {
    code: 'lowPh',
    holds: ({ ph }) => ph !== null && ph <= LOW_PH,
    weighs: { phLockOut: 1.4, magnesium: 0.6 },
  },
  {
    code: 'goodPh',
    holds: ({ ph }) => ph !== null && ph > LOW_PH && ph < HIGH_PH,
    weighs: { phLockOut: -1.5, traceElements: -0.3 },
  },
  {
    code: 'magnesiumLow',
    holds: ({ magnesiumRating }) => magnesiumRating === 'low',
    weighs: { magnesium: 1.6 },
  },
  {
    code: 'magnesiumEnough',
    holds: ({ magnesiumRating }) => magnesiumRating !== null && magnesiumRating !== 'low',
    weighs: { magnesium: -1.5 },
  },
  {
    code: 'muchAsh',
    holds: ({ ashLastYearGPerM2 }) => ashLastYearGPerM2 > MUCH_ASH_G,
    weighs: { phLockOut: 1.2, scorch: 0.3, magnesium: 0.4 },
  },
  {
    code: 'rawCharRecent',
    holds: ({ rawCharWithinDays: days }) => days !== null && days <= CHAR_DAYS,
    weighs: { rawChar: 3, hunger: -0.5 },
  },
  {
    code: 'noRawChar',
    holds: ({ rawCharWithinDays: days }) => days === null || days > CHAR_DAYS,
    weighs: { rawChar: -2.5 },
  },
  {
    code: 'muchFed',
    holds: ({ fedRecentlyG }) => fedRecentlyG >= SCORCH_FROM_G,
    weighs: { scorch: 1.8, hunger: -1.5, lockUp: -0.8 },
  },
  { code: 'littleFed', holds: ({ fedRecentlyG }) => fedRecentlyG < 2, weighs: { scorch: -1.8 } },
  {
    code: 'justPlanted',
    holds: ({ daysSincePlanting: days, isSown }, signs) =>
      (!isSown && days !== null && days <= JUST_PLANTED_DAYS) || signs.has('justPlantedOut'),
    weighs: { transplantShock: 1.4, hunger: -0.4 },
  },
  {
    code: 'longPlanted',
    holds: ({ daysSincePlanting: days, isSown }, signs) =>
      (isSown || (days !== null && days > LONG_PLANTED_DAYS)) && !signs.has('justPlantedOut'),
    weighs: { transplantShock: -2.5 },
  },
  sign('olderLeavesFirst', {
    lockUp: 1,
    hunger: 1,
    magnesium: 1.2,
    traceElements: -1.2,
    phLockOut: -0.6,
    scorch: -0.3,
  }),
  sign('youngLeavesFirst', {
    traceElements: 1.5,
    phLockOut: 1.1,
    lockUp: -1.2,
    hunger: -1.2,
    magnesium: -1.8,
  }),
  sign('greenVeins', {
    traceElements: 1.4,
    magnesium: 1.6,
    phLockOut: 1.3,
    lockUp: -1.2,
    hunger: -1.2,
    waterlogged: 0.2,
  }),
  sign('wholePlantPale', { lockUp: 0.3, hunger: 0.4, waterlogged: 0.3, rootTrouble: 0.2, shade: 0.3 }),
  sign('purpleLeaves', { coldSoil: 1.2, transplantShock: 0.4, rootTrouble: 0.2, hunger: -0.4, lockUp: -0.4 }),
  sign('brownEdges', { scorch: 1.6, shade: -1, drought: 0.6, hunger: -0.5, lockUp: -0.6 }),
  sign('limpAtNoon', { drought: 1, rootTrouble: 0.7, transplantShock: 0.6, hunger: -0.5, lockUp: -0.4 }),
  sign('limpAllDay', { rootTrouble: 1.3, waterlogged: 0.9, drought: 0.7, lockUp: -0.7, hunger: -0.7 }),
  sign('seedlings', { lockUp: 0.6, coldSoil: 0.3 }),
  sign('justPlantedOut', { transplantShock: 0.6 }),
  sign('rootsEaten', { rootTrouble: 3, lockUp: -0.8, hunger: -0.8 }),
  sign('rootsBrown', { rootTrouble: 1.3, waterlogged: 1.5, lockUp: -0.8, hunger: -0.8 }),
  sign('rootsCircling', { transplantShock: 1.5 }),
  sign('spotsOrMould', { rootTrouble: 0.8, other: 1.8, lockUp: -0.8, hunger: -0.8 }),
  sign('soilSoaked', { waterlogged: 2, drought: -2.5 }),
  sign('soilDry', { drought: 2, waterlogged: -2.5 }),
  sign('soilCold', { coldSoil: 1.5 }),
  sign('shaded', { shade: 2.6, drought: -0.4, scorch: -0.3 }),
  sign('neighborFine', { lockUp: 1.1, rawChar: 0.5, coldSoil: -1, drought: -0.3, hunger: -0.3 }),
  sign('neighborPaleToo', {
    lockUp: -1.5,
    rawChar: -0.8,
    hunger: 0.4,
    coldSoil: 0.6,
    drought: 0.4,
    waterlogged: 0.3,
  }),
];

/** Odds before anything is looked at: hunger and lock-up are what is asked about most (set here). */
export const COMMON: Readonly<Record<Cause, number>> = {
  lockUp: 0.4,
  hunger: 0.6,
  coldSoil: 0,
  waterlogged: -0.2,
  drought: 0,
  phLockOut: -0.4,
  traceElements: -0.4,
  magnesium: -0.8,
  shade: -1.2,
  transplantShock: 0,
  rootTrouble: -0.3,
  rawChar: -0.3,
  scorch: -0.3,
  other: -0.2,
};
