/* The model: what a square meter of soil does from day to day, its books, and other models to compare it with. */

// ledger
export {
  type AshParty,
  type CarbonParty,
  type NitrogenParty,
  type Element,
  ELEMENTS,
} from './ledger/accounts.ts';
export { carbonIncome } from './ledger/balance.ts';
export {
  carbonLaid,
  carbonOfRoots,
  carbonToAir,
  nitrogenBought,
  nitrogenBrought,
  nitrogenCarriedAway,
  nitrogenFetchedBack,
  nitrogenGiven,
  nitrogenLaid,
  nitrogenLost,
  nitrogenToAir,
  nitrogenWashedOut,
} from './ledger/flow-sums.ts';
export { FLOW_COUNT, type FlowName } from './ledger/flows.ts';
export {
  type Period,
  type Basis,
  PERIOD_KINDS,
  type PeriodKind,
  monthStarts,
  partedAt,
  periodAround,
} from './ledger/periods.ts';
export { type JournalLine, journalOf } from './ledger/journal.ts';
export { copyPostings, openPostings, readPostings } from './ledger/postings.ts';
export {
  type BalanceSample,
  type Statement,
  ashStatement,
  carbonStatement,
  nitrogenStatement,
} from './ledger/statement.ts';

// opinions
export type { FedCarbon } from './opinions/carbon-feed.ts';
export {
  OPINION_IDS,
  type OpinionId,
  type SecondOpinions,
  secondOpinions,
} from './opinions/second-opinions.ts';

// simulation
export { type Bed, ORGANIC_MATTER_PER_CARBON, organicCarbon } from './simulation/bed.ts';
export { BALANCE_COUNT, readBalances, readBooks } from './simulation/books.ts';
export { checkScenario } from './simulation/check-scenario.ts';
export {
  type CohortOpening,
  feedCarbonToNitrogen,
  microbialCnForFeed,
  openingFromDryMass,
  openingFromFreshMass,
} from './simulation/cohort-opening.ts';
export {
  Cohort,
  charCarbon,
  drawnNitrogen,
  freshCarbon,
  isOnSurface,
  releasedNitrogen,
} from './simulation/cohort.ts';
export {
  dayOfProgress,
  hungriestBetween,
  normalDemandBetween,
  rootDepthCm,
} from './simulation/crop-growth.ts';
export { Crop } from './simulation/crop.ts';
export { openingOf, residueId } from './simulation/events.ts';
export { foldCohorts } from './simulation/fold-cohorts.ts';
export {
  MODEL_VERSION,
  ModelParameters,
  PARAMETER_CLASSES,
  PARAMETER_TABLE,
  type ParameterOverrides,
  type ScalarParameterName,
  type SoilHistory,
  defaultParameters,
  withOverrides,
} from './simulation/parameters.ts';
export {
  type PileCohort,
  type RunningPile,
  agePileSubStep,
  ammoniaLostG,
  carbonRespiredG,
  drawMineralNitrogen,
  mineralNitrogenOf,
  mineralizedG,
  poolsOf,
  startPile,
} from './simulation/pile-run.ts';
export { type PileResult, runPile } from './simulation/pile.ts';
export { layerThicknessCm } from './simulation/processes/mulch-stack.ts';
export {
  type PoolAmounts,
  heldByCohort,
  heldNitrogen,
  mineralNitrogen,
  mulchHeightCm,
  reportCohort,
  reportCrop,
} from './simulation/report.ts';
export {
  BALANCE_TOLERANCE,
  type BedRun,
  type Bookmark,
  takeBookmark,
  withTrialLayer,
  missedByTrialCrop,
  resumeAt,
  returnTo,
  runTo,
  startRun,
} from './simulation/run.ts';
export {
  type Apply,
  type ApplyMaterial,
  type ApplyOpening,
  type AutomaticIrrigation,
  type BedEvent,
  type BedScenario,
  CONTACT_ZONE_CM,
  type CropPlan,
  DEFAULT_STEPS_PER_DAY,
  PILE_STEPS_PER_DAY,
  type PilePlan,
  SOIL_DEFAULTS,
  type SoilStart,
  endingOn,
  isFromPile,
  isFromStock,
  withoutMaterials,
} from './simulation/scenario.ts';
export { TRIAL_FRESH_KG_PER_M2, TRIAL_SEASON_DAYS, seasonTrial } from './simulation/season-trial.ts';
export { organicMatterPct, reportSoil } from './simulation/soil-report.ts';

// validation
export {
  CHECK_GROUPS,
  type CheckGroup,
  PLACE_ENDS,
  PUBLISHED_CHECKS,
  type PublishedCheck,
  countOf,
  isHit,
  placeOf,
} from './validation/published-checks.ts';
