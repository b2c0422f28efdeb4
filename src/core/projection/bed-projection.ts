import type { DayNumber } from '../climate/calendar.ts';
import { FLOW_COUNT } from '../ledger/flows.ts';
import type { BalanceSample } from '../ledger/statement.ts';
import { total } from '../numerics/total.ts';
import { smoothStep } from '../numerics/interpolation.ts';
import type { MaterialKind } from '../materials/material.ts';
import type { Bed } from '../simulation/bed.ts';
import { BALANCE_COUNT, readBalances } from '../simulation/books.ts';
import {
  drawnNitrogen,
  freshCarbon,
  isOnSurface,
  releasedNitrogen,
  type CohortTable,
} from '../simulation/cohort-table.ts';
import { rootDepthCm } from '../simulation/processes/crop-uptake.ts';
import { layerThicknessCm } from '../simulation/processes/mulch-stack.ts';
import {
  heldByCohort,
  heldNitrogen,
  mineralNitrogen,
  mulchHeightCm,
  organicMatterPct,
} from '../simulation/report.ts';
import { runTo, startRun } from '../simulation/run.ts';
import type { BedScenario, CropPlan } from '../simulation/scenario.ts';

/** One layer, or what was dug in, on one day. Amounts per m2. */
export interface LayerState {
  readonly id: string;
  readonly kind: MaterialKind;
  readonly isOnTop: boolean;
  readonly dugDepthCm: number;
  readonly thicknessCm: number;
  readonly freshCarbonG: number;
  readonly microbialCarbonG: number;
  readonly humusCarbonG: number;
  readonly charCarbonG: number;
  readonly respiredCarbonG: number;
  /** All that came with it, on the day it was laid. */
  readonly laidCarbonG: number;
  readonly laidNitrogenG: number;
  /** Still bound in what is left of it, its ammonium and what its char holds included. */
  readonly boundNitrogenG: number;
  /** Of its nitrogen and what it drew: turned into humus. */
  readonly humusNitrogenG: number;
  readonly drawnNitrogenG: number;
  readonly releasedNitrogenG: number;
  readonly ammoniaNitrogenG: number;
  readonly lockedNitrogenG: number;
  /** Drawn out of each zone and still held by its microbes. */
  readonly heldContactG: number;
  readonly heldRootG: number;
}

/** One crop on one day. */
export interface CropState {
  readonly id: string;
  /** Share of its time in the ground that has passed, 0 to 1. */
  readonly progress: number;
  readonly rootDepthCm: number;
  readonly paleness: number;
}

/** A bed on the morning of one day. Nitrogen in g/m2, carbon in g/m2. */
export interface BedSample extends BalanceSample {
  readonly day: DayNumber;
  readonly availableContactG: number;
  readonly availableRootG: number;
  /** Drawn out of the zone by decomposers and still held by them. */
  readonly heldContactG: number;
  readonly heldRootG: number;
  /** What the crops will want in the next 28 days. */
  readonly cropWantG: number;
  /** Crop nitrogen missed for good, running total. */
  readonly cropShortG: number;
  readonly organicMatterPct: number;
  readonly humusCarbonG: number;
  readonly charCarbonG: number;
  /** What all layers have become in humus, as a band of its own, cm: for the eye. */
  readonly humusBandCm: number;
  readonly mulchCm: number;
  /** How far the contact zone has dried out: 0 when it holds all it can, 1 at its driest. */
  readonly topsoilDryness: number;
  readonly layers: readonly LayerState[];
  readonly crops: readonly CropState[];
}

export interface BedProjection {
  readonly startDay: DayNumber;
  readonly endDay: DayNumber;
  /** Ascending by day; the last one stands at endDay. */
  readonly samples: readonly BedSample[];
  /** Largest relative difference between the two sides of the books on any day. */
  readonly largestRelativeError: number;
  readonly crops: readonly CropOutcome[];
}

/** How a crop fared, or is expected to fare, by its harvest or the end of the run. */
export interface CropOutcome {
  readonly id: string;
  readonly plantDay: DayNumber;
  readonly harvestDay: DayNumber;
  readonly demandG: number;
  readonly shortG: number;
  readonly paleDays: number;
  readonly firstPaleDay: DayNumber | null;
}

/** Whether a bed is looked at on the morning of a day. */
export type LooksAt = (day: DayNumber) => boolean;

const NEAR_STEP_DAYS = 7;
const FAR_STEP_DAYS = 28;
const NEAR_BEFORE_DAYS = 100;
const NEAR_AFTER_DAYS = 400;

/** Weekly around `today`, every fourth week further off: what a drawing that time runs through needs. */
export const looksAround =
  (today: DayNumber): LooksAt =>
  (day) => {
    const isNear = day >= today - NEAR_BEFORE_DAYS && day <= today + NEAR_AFTER_DAYS;
    return (day - today) % (isNear ? NEAR_STEP_DAYS : FAR_STEP_DAYS) === 0;
  };

/** Days ahead over which what a crop wants is set beside what is available. */
export const WANT_AHEAD_DAYS = 28;

/** Runs a bed and looks at it every `everyDays` days, or where `looksAt` says so, and on every day of `alsoOn`. */
export function projectBed(
  scenario: BedScenario,
  looksAt: number | LooksAt,
  alsoOn: readonly DayNumber[] = [],
): BedProjection {
  const run = startRun(scenario);
  const isLook: LooksAt =
    typeof looksAt === 'number' ? (day) => (day - scenario.startDay) % looksAt === 0 : looksAt;
  const wanted = new Set(alsoOn);
  const samples: BedSample[] = [];
  // One buffer for the books of all samples: it crosses to another thread as one block.
  let looks = wanted.size + 1;
  for (let day = scenario.startDay; day < scenario.endDay; day++) if (isLook(day)) looks += 1;
  const buffer = new Float64Array(looks * BOOKS_WIDTH);
  const look = (bed: Bed, day: DayNumber) => {
    const from = samples.length * BOOKS_WIDTH;
    samples.push(sample(bed, day, scenario, buffer.subarray(from, from + BOOKS_WIDTH)));
  };
  runTo(run, scenario.endDay, ({ bed, day }) => {
    if (isLook(day) || wanted.has(day)) look(bed, day);
  });
  look(run.bed, scenario.endDay);
  return {
    startDay: scenario.startDay,
    endDay: scenario.endDay,
    samples,
    largestRelativeError: run.largestRelativeError,
    crops: cropOutcomes(run.bed, scenario),
  };
}

/** Balances and running totals of one sample, one after the other. */
const BOOKS_WIDTH = BALANCE_COUNT + FLOW_COUNT;

/** A look at the bed; its books are written into `books`. */
function sample(bed: Bed, day: DayNumber, scenario: BedScenario, books: Float64Array): BedSample {
  const balances = books.subarray(0, BALANCE_COUNT);
  const flows = books.subarray(BALANCE_COUNT);
  readBalances(bed, balances);
  flows.set(bed.state.flows);
  const [, availableContactG, availableRootG] = mineralNitrogen(bed);
  const [, heldContactG, heldRootG] = heldNitrogen(bed);
  return {
    day,
    balances,
    flows,
    availableContactG,
    availableRootG,
    heldContactG,
    heldRootG,
    cropWantG: scenario.crops.reduce((sum, crop) => sum + wantAhead(crop, day), 0),
    cropShortG: bed.state.crops.shortN.reduce((sum, short) => sum + short, 0),
    organicMatterPct: organicMatterPct(bed),
    humusCarbonG: balances[2],
    charCarbonG: balances[3],
    humusBandCm: humusBandCm(bed),
    mulchCm: mulchHeightCm(bed),
    topsoilDryness: bed.state.contactDeficitMm / bed.constants.maximumDeficitMm[0],
    layers: layerStates(bed),
    crops: cropStates(bed),
  };
}

/** Dark crumb as it lies under old mulch, g/cm3 (set here), and carbon in organic matter (the usual 1.724). */
const HUMUS_DENSITY_G_PER_CM3 = 0.5;
const ORGANIC_MATTER_PER_CARBON = 1.724;
const SQUARE_CM_PER_M2 = 10_000;

function humusBandCm({ state: { cohorts } }: Bed): number {
  const carbonG = total(cohorts.humusC.subarray(0, cohorts.count));
  return (carbonG * ORGANIC_MATTER_PER_CARBON) / HUMUS_DENSITY_G_PER_CM3 / SQUARE_CM_PER_M2;
}

function wantAhead(crop: CropPlan, day: DayNumber): number {
  const length = crop.harvestDay - crop.plantDay;
  const progress = (d: DayNumber) => smoothStep((d - crop.plantDay) / length);
  return day >= crop.harvestDay
    ? 0
    : crop.nitrogenDemandGPerM2 * (progress(day + WANT_AHEAD_DAYS) - progress(day));
}

/** Thinner layers and smaller remains than these are not shown one by one. */
const THINNEST_SHOWN_CM = 0.05;
const LEAST_SHOWN_CARBON_G = 1;

/** Read straight from the columns: it is done for every layer at every look. */
function layerStates({ state, constants }: Bed): LayerState[] {
  const t = state.cohorts;
  const states: LayerState[] = [];
  for (let i = 0; i < t.count; i++) {
    const isOnTop = isOnSurface(t, i);
    const thicknessCm = isOnTop ? layerThicknessCm(t, i, constants.parameters.settlingShare) : 0;
    const freshCarbonG = freshCarbon(t, i);
    const charCarbonG = t.labileCharC[i] + t.stableCharC[i];
    const isSpent = freshCarbonG + t.microbialC[i] + t.humusC[i] + charCarbonG < LEAST_SHOWN_CARBON_G;
    if (isSpent || (isOnTop && thicknessCm < THINNEST_SHOWN_CM)) continue;
    const drawnNitrogenG = drawnNitrogen(t, i);
    const releasedNitrogenG = releasedNitrogen(t, i);
    const [, heldContactG, heldRootG] = heldByCohort(t, i);
    states.push({
      id: t.ids[i],
      kind: t.kinds[i],
      isOnTop,
      dugDepthCm: t.dugDepthCm[i],
      thicknessCm,
      freshCarbonG,
      microbialCarbonG: t.microbialC[i],
      humusCarbonG: t.humusC[i],
      charCarbonG,
      respiredCarbonG: t.respiredC[i],
      laidCarbonG: t.openingC[i],
      laidNitrogenG: t.openingN[i],
      boundNitrogenG: boundNitrogen(t, i),
      humusNitrogenG: t.humusN[i],
      drawnNitrogenG,
      releasedNitrogenG,
      ammoniaNitrogenG: t.volatilizedN[i],
      lockedNitrogenG: Math.max(0, drawnNitrogenG - releasedNitrogenG),
      heldContactG,
      heldRootG,
    });
  }
  return states;
}

/** Nitrogen in all of a cohort but its humus, ammonium and what its char holds included, g/m2. */
const boundNitrogen = (t: CohortTable, i: number): number =>
  t.quickN[i] +
  t.structuralN[i] +
  t.woodyN[i] +
  t.microbialN[i] +
  t.labileCharN[i] +
  t.stableCharN[i] +
  t.ammoniumN[i] +
  t.charHeldN[i];

function cropStates({ state: { crops } }: Bed): CropState[] {
  const states: CropState[] = [];
  for (let k = 0; k < crops.count; k++) {
    if (crops.isAlive[k] === 0) continue;
    states.push({
      id: crops.ids[k],
      progress: crops.progress[k],
      rootDepthCm: rootDepthCm(crops.rootDepthCm[k], crops.progress[k], crops.isPerennial[k] === 1),
      paleness: crops.paleness[k],
    });
  }
  return states;
}

function cropOutcomes({ state: { crops } }: Bed, scenario: BedScenario): CropOutcome[] {
  return scenario.crops.flatMap((plan) => {
    const k = crops.ids.indexOf(plan.id);
    if (k < 0) return [];
    const firstPaleDay = crops.firstPaleDay[k];
    return {
      id: plan.id,
      plantDay: plan.plantDay,
      harvestDay: plan.harvestDay,
      demandG: crops.demandedN[k],
      shortG: crops.shortN[k],
      paleDays: crops.paleDays[k],
      firstPaleDay: firstPaleDay === 0 ? null : firstPaleDay,
    };
  });
}

/** The mornings on which to look at a bed so that `today`, and every day something is done, shows at its end. */
export const telltaleDays = ({ events }: BedScenario, today: DayNumber): DayNumber[] => [
  today + 1,
  ...events.map(({ day }) => day + 1),
];

/** The bed at the end of `day`, with what was done that day; or the last look at it before. */
export const atEndOf = (projection: Pick<BedProjection, 'samples'>, day: DayNumber): BedSample =>
  sampleOn(projection, day + 1);

/** The sample standing on the morning of `day`, or the last one before it. Samples are ascending and not empty. */
export function sampleOn({ samples }: Pick<BedProjection, 'samples'>, day: DayNumber): BedSample {
  let low = 0;
  let high = samples.length - 1;
  while (low < high) {
    const middle = Math.ceil((low + high) / 2);
    if (samples[middle].day <= day) low = middle;
    else high = middle - 1;
  }
  return samples[low];
}
