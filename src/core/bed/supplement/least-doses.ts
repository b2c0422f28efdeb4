import { type DayNumber, calendarDateOf, total } from '../../ground/index.ts';
import { InputError, requireNumber } from '../../../refusals/input-error.ts';
import {
  type BedRun,
  type BedScenario,
  type Crop,
  takeBookmark,
  checkScenario,
  returnTo,
  runTo,
  startRun,
  withoutMaterials,
} from '../../model/index.ts';

import { yearlyCapG } from './yearly-cap.ts';

export interface SupplementPlan {
  /** Days on which a dose may be given, ascending. */
  readonly days: readonly DayNumber[];
  /** Crops it is for; every crop when "all". */
  readonly cropIds: 'all' | readonly string[];
  /** Share of the product's nitrogen that acts in the season. */
  readonly availability: number;
  /** Largest dose tried, g N/m2; the model default when absent. */
  readonly maximumDoseGPerM2?: number;
}

export interface Dose {
  readonly day: DayNumber;
  readonly nitrogenGPerM2: number;
  /** Crop nitrogen missed in the interval without and with the dose, g/m2. */
  readonly unmetWithoutG: number;
  readonly unmetWithG: number;
  readonly isMet: boolean;
  /** What the same bed would want without anything laid on it, g/m2. */
  readonly twinNitrogenGPerM2: number;
  /** Dose minus that of the bed without the material: what the material costs, negative when it saves nitrogen. */
  readonly priceGPerM2: number;
  /** Nitrogen to give as the product, g/m2. */
  readonly productNitrogenGPerM2: number;
}

interface Interval {
  readonly day: DayNumber;
  readonly untilDay: DayNumber;
}

interface SolvedDose {
  readonly doseG: number;
  readonly unmetWithoutG: number;
  readonly unmetWithG: number;
  /** What the crops concerned want in the interval; it does not depend on what they get. */
  readonly demandG: number;
}

const COST_TOLERANCE = 1e-9;
const MET_FLOOR_G = 0.02;
const MET_SHARE_OF_SHORTAGE = 0.05;
const MET_SHARE_OF_DEMAND = 0.01;

/**
 * Least doses worth their cost: on each allowed day in turn the dose that minimises missed crop nitrogen
 * plus `dosePrice` per gram, up to the next allowed day. Cheapest for each interval in turn, not over all. The doses of
 * a calendar year never come to more than `doseSeasonG`, unless the crops themselves need more. No dose is raised
 * because a need cannot be met: nitrogen that the material would swallow is not worth its price.
 */
export function leastDoses(scenario: BedScenario, plan: SupplementPlan): Dose[] {
  checkScenario(scenario);
  checkPlan(scenario, plan);
  const own = solve(scenario, plan);
  const twin = solve(withoutMaterials(scenario), plan);
  return plan.days.map((day, i) => {
    const { doseG, unmetWithoutG, unmetWithG, demandG } = own[i];
    const acceptable = Math.max(
      MET_FLOOR_G,
      MET_SHARE_OF_SHORTAGE * unmetWithoutG,
      MET_SHARE_OF_DEMAND * demandG,
    );
    return {
      day,
      nitrogenGPerM2: doseG,
      unmetWithoutG: Math.max(0, unmetWithoutG),
      unmetWithG: Math.max(0, unmetWithG),
      isMet: unmetWithG <= acceptable,
      twinNitrogenGPerM2: twin[i].doseG,
      priceGPerM2: doseG - twin[i].doseG,
      productNitrogenGPerM2: doseG / plan.availability,
    };
  });
}

function checkPlan(
  scenario: BedScenario,
  { days, cropIds, availability, maximumDoseGPerM2 }: SupplementPlan,
): void {
  days.forEach((day, i) => {
    const path = ['supplement', 'days', i];
    if (!(day >= scenario.startDay && day < scenario.endDay)) {
      throw new InputError(path, 'outsideTheRun');
    }
    if (i > 0 && day <= days[i - 1]) {
      throw new InputError(path, 'notAfterTheOneBefore');
    }
  });
  if (cropIds !== 'all') {
    cropIds.forEach((id, i) => {
      if (!scenario.crops.some((crop) => crop.id === id)) {
        throw new InputError(['supplement', 'cropIds', i], 'namesNone', { what: 'crop', got: id });
      }
    });
  }
  requireNumber(availability, ['supplement', 'availability'], { above: 0, max: 1 });
  if (maximumDoseGPerM2 !== undefined) {
    requireNumber(maximumDoseGPerM2, ['supplement', 'maximumDoseGPerM2'], { min: 0 });
  }
}

const intervalAt = (scenario: BedScenario, { days }: SupplementPlan, i: number): Interval => ({
  day: days[i],
  untilDay: days[i + 1] ?? scenario.endDay,
});

const isConcerned = ({ cropIds }: SupplementPlan, id: string): boolean =>
  cropIds === 'all' || cropIds.includes(id);

/** The crops concerned that have been planted. */
const concerned = ({ bed }: BedRun, plan: SupplementPlan): readonly Crop[] =>
  bed.state.crops.filter((crop) => isConcerned(plan, crop.plan.id));

/** Crop nitrogen missed for good or still owed, g/m2. */
const missed = (run: BedRun, plan: SupplementPlan): number =>
  total(concerned(run, plan).map(({ shortN, backlogN }) => shortN + backlogN));

function solve(scenario: BedScenario, plan: SupplementPlan): SolvedDose[] {
  const run = startRun(scenario);
  const { doseMaximumG, doseSeasonG } = run.bed.constants.parameters;
  const plans = scenario.crops.filter(({ id }) => isConcerned(plan, id));
  const givenInYear = new Map<number, number>();
  return plan.days.map((day, i) => {
    runTo(run, day);
    const { year } = calendarDateOf(day);
    const given = givenInYear.get(year) ?? 0;
    const roomG = Math.min(
      plan.maximumDoseGPerM2 ?? doseMaximumG,
      yearlyCapG(plans, year, doseSeasonG) - given,
    );
    const solved = solveInterval({ run, plan, interval: intervalAt(scenario, plan, i), roomG });
    givenInYear.set(year, given + solved.doseG);
    return solved;
  });
}

/** Leaves the run at the end of the interval, with the dose given. Mutates run. */
function solveInterval({
  run,
  plan,
  interval: { day, untilDay },
  roomG,
}: {
  readonly run: BedRun;
  readonly plan: SupplementPlan;
  readonly interval: Interval;
  readonly roomG: number;
}): SolvedDose {
  const { doseStepG, dosePrice } = run.bed.constants.parameters;
  const mark = takeBookmark(run);
  const before = missed(run, plan);
  const owed = total(concerned(run, plan).map(({ backlogN }) => backlogN));
  const wantedBefore = total(concerned(run, plan).map(({ demandedN }) => demandedN));
  const shortageWith = (doseG: number): number => {
    returnTo(run, mark);
    run.doses.set(day, doseG);
    runTo(run, untilDay);
    return missed(run, plan) - before;
  };
  const steps = Math.floor(roomG / doseStepG + COST_TOLERANCE);
  const unmetWithoutG = shortageWith(0);
  const demandG = total(concerned(run, plan).map(({ demandedN }) => demandedN)) - wantedBefore;
  let best = { doseG: 0, unmetG: unmetWithoutG, cost: unmetWithoutG };
  for (let k = 1; k <= steps; k++) {
    const doseG = k * doseStepG;
    // What is lost stays lost: a dose cannot save more than was still owed when it was given.
    if (dosePrice * doseG - owed >= best.cost) break;
    const unmetG = shortageWith(doseG);
    const cost = unmetG + dosePrice * doseG;
    if (cost < best.cost - COST_TOLERANCE) best = { doseG, unmetG, cost };
  }
  shortageWith(best.doseG);
  return { doseG: best.doseG, unmetWithoutG, unmetWithG: best.unmetG, demandG };
}
