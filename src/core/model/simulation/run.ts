import { type DayNumber, type WeatherSeries, weatherSeries } from '../../ground/index.ts';
import { bedConstants, BedState, copyState, createBed, SubStep, type Bed } from './bed.ts';
import {
  BALANCE_COUNT,
  createBooksScratch,
  readBalances,
  readBooks,
  relativeError,
  type BooksScratch,
} from './books.ts';
import { checkScenario } from './check-scenario.ts';
import { traits } from './cohort.ts';
import { type DecayClass, decayClassFor } from './decay-classes.ts';
import { carryOut, giveDose, harvestCrop, plantCrop, type Piles } from './events.ts';
import { withOverrides } from './parameters.ts';
import { runPile } from './pile.ts';
import type { Apply, BedEvent, BedScenario, CropPlan } from './scenario.ts';
import { automaticWaterMm, stepDay } from './step-day.ts';

/** Largest relative difference between the two sides of the books that a day may end with. */
export const BALANCE_TOLERANCE = 1e-9;
/**
 * The books are proved this often, days, and at the end of every stretch that is run. They are running totals, so
 * that a gram lost on any day is still missing on the day of the proof.
 */
const PROVED_EVERY_DAYS = 30;

/** A bed on its way through a scenario, standing at the morning of `day`. */
export interface BedRun {
  readonly scenario: BedScenario;
  readonly bed: Bed;
  readonly weather: WeatherSeries;
  readonly piles: Piles;
  /** Balances of the asset accounts on the first day, g/m2. */
  readonly opening: Float64Array;
  readonly schedule: Schedule;
  /** Doses of quick nitrogen by day, g/m2, in addition to the events. */
  readonly doses: Map<DayNumber, number>;
  day: DayNumber;
  largestRelativeError: number;
  readonly step: SubStep;
  readonly scratch: BooksScratch;
}

interface Schedule {
  /** 1 on days, counted from the first, on which something is done. */
  readonly isBusy: Uint8Array;
  readonly events: ReadonlyMap<DayNumber, readonly BedEvent[]>;
  readonly crops: ReadonlyMap<DayNumber, readonly CropPlan[]>;
}

function groupByDay<T>(items: readonly T[], daysOf: (item: T) => readonly DayNumber[]): Map<DayNumber, T[]> {
  const byDay = new Map<DayNumber, T[]>();
  for (const item of items) {
    for (const day of daysOf(item)) {
      const sameDay = byDay.get(day);
      if (sameDay) sameDay.push(item);
      else byDay.set(day, [item]);
    }
  }
  return byDay;
}

function scheduleOf(scenario: BedScenario): Schedule {
  const events = groupByDay(scenario.events, (event) => [event.day]);
  const crops = groupByDay(scenario.crops, (crop) => [crop.plantDay, crop.harvestDay]);
  const isBusy = new Uint8Array(scenario.endDay - scenario.startDay);
  for (const day of [...events.keys(), ...crops.keys()]) isBusy[day - scenario.startDay] = 1;
  return { isBusy, events, crops };
}

/** Checks a scenario and sets it up. Throws InputError naming the field for anything the model cannot take. */
export function startRun(scenario: BedScenario): BedRun {
  checkScenario(scenario);
  const parameters = withOverrides(scenario.parameters);
  const constants = bedConstants(
    scenario.soil,
    parameters,
    scenario.stepsPerDay,
    scenario.depositionGPerM2Year,
  );
  const weather = weatherSeries(
    scenario.climate,
    scenario.startDay,
    scenario.endDay - scenario.startDay,
    parameters,
    { measured: scenario.weather, seeded: scenario.seededWeather },
  );
  const bed = createBed(constants, scenario.soil, weather.surfaceC[0]);
  const opening = new Float64Array(BALANCE_COUNT);
  readBalances(bed, opening);
  return {
    scenario,
    bed,
    weather,
    piles: new Map(
      scenario.piles.map((plan) => [
        plan.id,
        runPile(plan, scenario.climate, parameters, scenario.seededWeather),
      ]),
    ),
    opening,
    schedule: scheduleOf(scenario),
    doses: new Map(),
    day: scenario.startDay,
    largestRelativeError: 0,
    step: new SubStep(),
    scratch: createBooksScratch(),
  };
}

/**
 * Runs to the morning of `untilDay`, calling `onMorning` before each day. Throws when the books do not balance: a defect
 * of the model, never of its input. Mutates run.
 */
export function runTo(run: BedRun, untilDay: DayNumber, onMorning?: (run: BedRun) => void): void {
  while (run.day < untilDay) {
    onMorning?.(run);
    runDay(run);
    if (run.day === untilDay || run.day % PROVED_EVERY_DAYS === 0) proveBooks(run);
  }
}

function runDay(run: BedRun): void {
  const { bed, scenario, schedule, weather, day } = run;
  let wateringMm = 0;
  const index = day - scenario.startDay;
  if (schedule.isBusy[index] === 1) {
    for (const event of schedule.events.get(day) ?? []) wateringMm += carryOut(bed, event, run.piles);
  }
  const dose = run.doses.size > 0 ? run.doses.get(day) : undefined;
  if (dose) giveDose(bed, dose);
  if (schedule.isBusy[index] === 1) {
    for (const crop of schedule.crops.get(day) ?? []) {
      if (crop.plantDay === day) plantCrop(bed, crop, scenario.climate);
      else harvestCrop(bed, crop);
    }
  }
  if (scenario.irrigation) wateringMm += automaticWaterMm(bed, scenario.irrigation, weather.month[index]);
  stepDay(bed, run.step, weather, index, wateringMm);
  run.day = day + 1;
}

function proveBooks(run: BedRun): void {
  const error = relativeError(readBooks(run.bed, run.opening, run.scratch));
  if (!(error <= BALANCE_TOLERANCE)) {
    throw new Error(`The books no longer balance by day ${run.day}: relative difference ${error}`);
  }
  run.largestRelativeError = Math.max(run.largestRelativeError, error);
}

/** A place in a run to come back to. */
export interface Bookmark {
  readonly day: DayNumber;
  readonly state: BedState;
}

export function takeBookmark(run: BedRun): Bookmark {
  const copy = new BedState();
  copyState(run.bed.state, copy);
  return { day: run.day, state: copy };
}

/** Goes back to a bookmark of the same run. Mutates run. */
export function returnTo(run: BedRun, mark: Bookmark): void {
  copyState(mark.state, run.bed.state);
  run.day = mark.day;
}

/**
 * Stands a run where another one had come to, of a bed that was the same until that morning. The bookmark may have been
 * written down and read again: what objects share, and what they are made from, is the run's own. Mutates run.
 */
export function resumeAt(run: BedRun, mark: Bookmark): void {
  returnTo(run, mark);
  const { state, classes } = run.bed;
  const own = ({ rateFactor, exposure, driver }: DecayClass): DecayClass =>
    decayClassFor(classes, rateFactor, exposure, driver);
  for (const cohort of state.roots ? [...state.cohorts, state.roots] : state.cohorts) {
    cohort.traits = traits(cohort.traits);
    cohort.contactDecay = own(cohort.contactDecay);
    cohort.upperDecay = own(cohort.upperDecay);
  }
  const plans = new Map(run.scenario.crops.map((plan) => [plan.id, plan]));
  for (const crop of state.crops) crop.plan = plans.get(crop.plan.id) ?? crop.plan;
}

/**
 * How much nitrogen a crop would miss, g/m2, for good or still owed at its harvest, were it planted this
 * morning; the run is left as it was. The crop must be harvested within the scenario.
 */
export function missedByTrialCrop(run: BedRun, crop: CropPlan): number {
  const mark = takeBookmark(run);
  plantCrop(run.bed, crop, run.scenario.climate);
  const planted = run.bed.state.crops.at(-1)!;
  runTo(run, crop.harvestDay);
  const missedG = planted.shortN + planted.backlogN;
  returnTo(run, mark);
  return missedG;
}

/**
 * What `read` finds on the morning of a day, had a layer been laid this morning, or none; the run is left as it was. The day
 * lies within the scenario.
 */
export function withTrialLayer<Found>(
  run: BedRun,
  { layer, untilDay }: { readonly layer: Apply | null; readonly untilDay: DayNumber },
  read: (bed: Bed) => Found,
): Found {
  const mark = takeBookmark(run);
  if (layer) carryOut(run.bed, layer, run.piles);
  runTo(run, untilDay);
  const found = read(run.bed);
  returnTo(run, mark);
  return found;
}
