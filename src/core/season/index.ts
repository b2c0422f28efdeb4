/* The season: tasks of the calendar, the log, trials, and the sheet of a year. */

// agenda
export { type AgendaItem, agendaOf } from './agenda/agenda.ts';
export { clearTaskKey, isClearingAsked } from './agenda/clearing.ts';
export { type YardRecords, bedAgenda, yardAgenda } from './agenda/garden-agenda.ts';
export { type LayingDay, type LayingLine, layingDay } from './agenda/laying-day.ts';
export { isLookInPassing, needsStock } from './agenda/task-kinds.ts';
export { taskMinutes } from './agenda/task-minutes.ts';
export {
  type Check,
  type LateCost,
  TASK_GROUPS,
  type Task,
  type TaskGroup,
  type TaskWhat,
} from './agenda/tasks.ts';

// journal
export { checkJournal } from './journal/check-journal.ts';
export { type Expectation, type Expected, type Verdict, isUnexpected } from './journal/expectation.ts';

// trials
export {
  type StudentT,
  type TreatmentDifference,
  type TrialVerdict,
  compareTreatments,
} from './trials/comparison.ts';
export { type TrialPlot, placePlots } from './trials/placement.ts';

// year
export { LIFTED_HUMUS_SHARE, type Lifted, liftFrom } from './year/lift.ts';
export {
  type ChoiceOutcome,
  HUNGRY_CROP_DEMAND_G,
  type PlannedForChoice,
  yearChoices,
} from './year/year-choices.ts';
export { type GardenYear, type YearBrief, gardenYear, yearBrief } from './year/year-brief.ts';
export {
  type CropYield,
  type TestedSoil,
  type YearSheet,
  observedThings,
  yearSheet,
  yearSheets,
} from './year/year-sheet.ts';
