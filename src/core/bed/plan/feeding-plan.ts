import type { DayNumber } from '../../ground/index.ts';

/** A planting in the ground, or to come, as feeding has to know it beside its plan in the scenario. */
export interface FedPlanting {
  /** Of the planting; a season of a perennial has the id of its planting and a number. */
  readonly id: string;
  readonly isWoody: boolean;
  /** Comes up from seed, so that it is tender in its first weeks. */
  readonly isSown: boolean;
}

/** A product on the ground of a bed. */
export interface DosedProduct {
  readonly materialId: string;
  readonly isQuick: boolean;
  /** Most acting nitrogen in one go, g/m2. */
  readonly largestDoseGPerM2: number;
}

/** What decides how a bed is fed. */
export interface FeedingRules {
  readonly plantings: readonly FedPlanting[];
  /** What the garden feeds with, and what it feeds with where that would act too late. */
  readonly product: DosedProduct;
  readonly quickProduct: DosedProduct;
  /** What a cautious garden adds for what the model may underrate, as a share of what the material costs. */
  readonly reserveShare: number;
  /** A crop that misses no more than this share of its need is not fed. */
  readonly harmlessShare: number;
  /** Doses that the gardener postponed, by their number from 1, with the day they are postponed to. */
  readonly postponed: ReadonlyMap<number, DayNumber>;
}

/** One application of acting nitrogen. */
export interface PlannedDose {
  /** When it is spread. */
  readonly day: DayNumber;
  /** When the crops would begin to miss it. */
  readonly neededDay: DayNumber;
  readonly materialId: string;
  readonly nitrogenGPerM2: number;
  /** Part of it that is a cautious reserve. */
  readonly reserveGPerM2: number;
  /** The crops it is for, those that would miss it. */
  readonly cropIds: readonly string[];
  /** What they would miss in the weeks it is for, without it and with it, g/m2. */
  readonly unmetWithoutG: number;
  readonly unmetWithG: number;
}

/** Why a need stays unmet. */
export type UnmetReason =
  | 'tooLate'
  | 'afterMidsummer'
  | 'cap'
  | 'atOnce'
  | 'swallowed'
  | 'littleEach'
  | 'tooCold';

export interface UnmetNeed {
  readonly cropId: string;
  readonly missedG: number;
  readonly demandG: number;
  readonly reason: UnmetReason;
}

/** How a crop fares with every dose given. */
export interface FedOutcome {
  readonly id: string;
  readonly demandG: number;
  readonly missedG: number;
  readonly paleDays: number;
}

/** How a bed is fed until its last crop is cleared. */
export interface FeedingPlan {
  /** Crops that take their nitrogen from the soil and stand, or will, within the plan. */
  readonly cropIds: readonly string[];
  /** Those of them that go short without feeding. */
  readonly hungryIds: readonly string[];
  readonly untilDay: DayNumber;
  /** Ascending by day; none of them is nothing. */
  readonly doses: readonly PlannedDose[];
  /** Doses of the plan minus those of the bed without what was laid on it; negative when that saves nitrogen. */
  readonly priceGPerM2: number;
  /** Doses that the gardener postponed, by their number from 1, with the day they are postponed to. */
  readonly postponed: ReadonlyMap<number, DayNumber>;
  /** What the crops miss more because doses were postponed, g/m2; null when none was. */
  readonly waitingCostsGPerM2: number | null;
  readonly unmet: readonly UnmetNeed[];
  readonly fed: readonly FedOutcome[];
  /** Given and planned in the calendar year with the most, and the most that may be, g/m2. */
  readonly yearG: number;
  readonly capG: number;
}
