/* The long run: habits over decades and their worth, and the stock shared out among beds. */

// sharing
export type {
  ExplainedShare,
  IdlePile,
  IdleReason,
  ShareReason,
  UnmetCause,
  UnmetWant,
} from './sharing/explain.ts';
export { type MaterialPile, shareGains } from './sharing/share-gains.ts';
export { shareBed } from './sharing/share-wants.ts';
export type { PassedBound, ShareMeasure } from './sharing/measure.ts';
export type { ShareConflict } from './sharing/share-conflicts.ts';
export { type ShareAnswer, shareOut } from './sharing/share-out.ts';
export {
  type BoundCode,
  type ByPurpose,
  type BySeason,
  type Purpose,
  SHARE_SEASONS,
  type Share,
  type ShareProblem,
  type ShareSeason,
  inAllL,
  seasonStart,
  sharingDay,
} from './sharing/share-problem.ts';

// ways
export {
  type DrawnWay,
  type WaySpread,
  WAY_DRAWS,
  aheadShare,
  spreadOfWay,
  wayDrawer,
} from './ways/draw-ways.ts';
export { type Proposal, type ProposedWay, proposeWays } from './ways/propose.ts';
export {
  type AimWeights,
  type Decided,
  type RankedWay,
  type Ranking,
  EVEN_WEIGHTS,
  WAY_AIMS,
  type WayAim,
  rankWays,
} from './ways/rank.ts';
export {
  AS_PROPOSED,
  MOST_DUG_DEPTH_CM,
  MOST_THICK_CM,
  WAY_CODES,
  type Way,
  type WayCode,
  type WayQuestion,
  type WayStep,
  type WhatIf,
} from './ways/way.ts';
export { TOLD_AFTER_YEARS, type WayOutcome, type WeighSetting, wayWeigher } from './ways/weigh.ts';

// years
export { asOneBed, keepsToItsPlan, sampledSoilKgPerM2 } from './years/garden-years.ts';
export { booksAsPlanned, booksWithHabit } from './years/habit-books.ts';
export { MOST_PLANNED_YEARS, habitPlan, isPlanOf } from './years/habit-plan.ts';
export { habitSoFar } from './years/habit-so-far.ts';
export { HABIT_TEMPLATE_IDS, type HabitTemplateId, habitFromTemplate } from './years/habit-templates.ts';
export { HABIT_ACT_TYPES, type HabitNames, checkHabit, ownMonth } from './years/habit.ts';
export { textureOf } from './years/held-more.ts';
export { endOfYears, outlookDays } from './years/outlook-days.ts';
export { type OutlookYear, changesSoil, outlook } from './years/outlook.ts';
export { type YearPoint, runYears } from './years/run-years.ts';
export { type LimitSetting, type YearLimit, guideOf, limitsOfYears } from './years/year-limits.ts';
export { withMinerals } from './years/year-minerals.ts';
export {
  type AmountAnswer,
  type AmountWithin,
  type Target,
  type TargetOdds,
  amountFor,
  checkTarget,
  targetOdds,
} from './years/targets.ts';
export { NO_PRICES, type Worth, worthOf, worthTogether } from './years/worth.ts';
export {
  YEAR_MEASURES,
  type YearMeasure,
  bandOfYears,
  differenceOf,
  isDrawn,
  isOfAYear,
  readMeasure,
  widenedByOpinions,
} from './years/years-range.ts';
