/* A bed: its records as a scenario, followed through time with its likely range, and what can be advised of it. */

// advice
export { type Caution, feedingCautions, layingCautions } from './advice/cautions.ts';
export { type Conflict, conflictsIn } from './advice/conflicts.ts';
export type { CropProspect } from './advice/crop-prospects.ts';
export { cropsConcerned } from './advice/crops-concerned.ts';
export {
  HELD_TOLD_FROM_G,
  type HeldG,
  type LockUpWindow,
  ZONES,
  type Zone,
  isAtHand,
} from './advice/lock-up.ts';
export { type NextStep, nextStep } from './advice/next-step.ts';
export { type PlantingDate, TRIAL_DAYS, plantingDates } from './advice/planting-dates.ts';
export { rulesFor } from './advice/schools.ts';
export {
  type NutrientRating,
  type RatedFigure,
  type RatedNutrient,
  nutrientClasses,
  nutrientRating,
  ratedFigures,
} from './advice/soil-nutrients.ts';
export { type HarvestWait, harvestWaits } from './advice/waits.ts';

// books
export { BED_SHAPES, type BedShape, areaOfShape, litresOfPot } from './books/bed-area.ts';
export type { BedBooks } from './books/bed-books.ts';
export {
  FILL_PARTS,
  FILL_RECIPES,
  type FillPart,
  type FillPartId,
  type FillSoil,
  isMineralPart,
  soilOfFill,
} from './books/bed-fill.ts';
export { bedScenario, inRecordWords } from './books/bed-scenario.ts';
export { type StockRuns, stockRuns } from './books/stock-runs.ts';
export type { BedPast, PastKeeper } from './plan/bed-past.ts';
export { checkBooks } from './books/check-books.ts';
export { type FingerQuestion, fingerStep } from './books/finger-test.ts';
export {
  type GardenRecords,
  booksOfBed,
  writtenOfBed,
  carriedForward,
  drawsOnStock,
  materialFinder,
  plantedLater,
  siteOf,
  stockBooksOf,
  takenByBed,
} from './books/garden-books.ts';
export { type Corner, outlineAreaM2 } from './books/outline.ts';
export { hungriestTime } from './books/crop-plans.ts';
export { checkRoom } from './books/planting-clash.ts';
export { type SoilReport, checkSoilTest, reportColumnsIn, soilReports } from './books/soil-report.ts';
export { phOn, testedNitrogenGPerM2, testsUntil } from './books/soil-tests.ts';
export { groundAsRead } from './books/as-read.ts';
export { recordsAbout } from './books/records-about.ts';
export { SOIL_TEXTURES, type SoilTexture, bulkDensityOfClay } from './books/soil-textures.ts';

// build-ups
export { BUILD_UPS } from './build-ups/build-up-library.ts';
export {
  type BuildUp,
  type BuildUpLayer,
  type BuildUpNote,
  type PlantingWait,
  type Purpose,
  plantableFrom,
} from './build-ups/build-up.ts';
export { type Effort, effortFor, effortOf, totalEffort } from './build-ups/effort.ts';
export { layBuildUp } from './build-ups/lay-build-up.ts';

// diagnosis
export type { Cause, EvidenceCode, PaleFacts } from './diagnosis/causes.ts';
export { type Diagnosis, type Fit, type WeighedCause, diagnose } from './diagnosis/diagnose.ts';
export { paleFacts } from './diagnosis/pale-facts.ts';
export { MENDED_BY_NITROGEN, type Remedies, type RemedyOutcome, tryRemedies } from './diagnosis/remedies.ts';

// learning
export type { Learnt, LearntRate } from './learning/learnt.ts';
export { measuredPoints } from './learning/measured-points.ts';

// plan
export {
  ADVICE_DAYS,
  type BedPlan,
  type BedStanding,
  type BedStatus,
  PALENESS_SHOWN,
} from './plan/bed-plan.ts';
export type { ComingCrop, PlantingObjection } from './plan/coming-crops.ts';
export {
  type BedLimit,
  type Brought,
  ORGANIC_NITROGEN_YEARLY_G_PER_M2,
  PHOSPHORUS_YEARLY_G_PER_M2,
  type SpreadLimitCode,
  broughtBy,
  countedBy,
  mineralLimits,
  phosphorusAllowance,
  roomToSpread,
  washedOutGuideG,
  washedOutLimit,
} from './plan/limits.ts';
export { type PlanChange, planChanges } from './plan/plan-changes.ts';
export { type PlannedBed, planOfBed } from './plan/plan-of-bed.ts';
export { type BedBrief, bedBrief } from './plan/bed-brief.ts';
export { type AdviceSetting, adviceSetting } from './plan/advice-setting.ts';
export { doseKey } from './plan/dose-key.ts';
export type { FeedingPlan, PlannedDose, UnmetNeed, UnmetReason } from './plan/feeding-plan.ts';

// projection
export {
  type BedProjection,
  type BedSample,
  type CropOutcome,
  type LayerState,
  WANT_AHEAD_DAYS,
  atEndOf,
  isCrumbs,
  recognizableShareOf,
  looksAround,
  projectBed,
  sampleOn,
  telltaleDays,
} from './projection/bed-projection.ts';
export type { DrawnOutcome } from './projection/drawn-outcome.ts';
export { drawScenario } from './projection/draws.ts';
export {
  type Band,
  FEWEST_DRAWS,
  type Influence,
  type LikelyRange,
  type RangePlan,
  type Spread,
  drawOutcome,
  drawnInputs,
  likelyRange,
} from './projection/likely-range.ts';
export { type MonthBooks, monthBooks } from './projection/month-books.ts';
export { waterSavedMm } from './projection/water-saved.ts';
export { type PeriodStatements, statementsOf, statementsUpTo } from './projection/period-statements.ts';

// supplement
export { type FeedLot, feedLots } from './supplement/feed-stock.ts';
export {
  FEED_PRODUCTS,
  type ProductDose,
  actingShareOf,
  asProduct,
  type FeedAvailability,
  feedAvailability,
  findFeedProduct,
} from './supplement/feed-products.ts';
export { type Dose, type SupplementPlan, leastDoses } from './supplement/least-doses.ts';
