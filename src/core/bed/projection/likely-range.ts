import type { DrawnOutcome } from './drawn-outcome.ts';
import {
  type DayNumber,
  bandShares,
  correlationOfRanks,
  quantileSorted,
  ranksOf,
  total,
} from '../../ground/index.ts';
import {
  type BedRun,
  type BedScenario,
  endingOn,
  heldNitrogen,
  mineralNitrogen,
  mulchHeightCm,
  organicMatterPct,
  runTo,
  startRun,
} from '../../model/index.ts';
import { learntFrom, type Learnt } from '../learning/learnt.ts';
import { logLikelihood, lookDay, rotRate } from '../learning/likelihood.ts';
import type { MeasuredPoint } from '../learning/measured-points.ts';
import { drawWeights, effectiveDraws, weightedQuantiles, type DrawWeights } from '../learning/weights.ts';
import { drawScenario, type ModelError } from './draws.ts';
import { waterSavedMm } from './water-saved.ts';

/** What to look at in every draw. */
export interface RangePlan {
  readonly seed: number;
  readonly today: DayNumber;
  /** Mornings on which nitrogen is read; ascending, from today. */
  readonly tideDays: readonly DayNumber[];
  /** Mornings on which organic matter is read; ascending, from today. */
  readonly yearDays: readonly DayNumber[];
  /** Crops whose shortage counts. */
  readonly cropIds: readonly string[];
  /** What was measured up to today, by day; draws are weighed by it. Empty when nothing is to be learnt. */
  readonly points: readonly MeasuredPoint[];
}

/** The morning after which nothing more is read. */
const lastDayOf = ({ tideDays, yearDays }: RangePlan): DayNumber => Math.max(...tideDays, ...yearDays);

/** Names of all that is drawn for a bed. */
export const drawnInputs = (scenario: BedScenario, plan: RangePlan): string[] =>
  drawScenario(endingOn(scenario, lastDayOf(plan) + 1), plan.seed, 0).inputs.map(({ input }) => input);

/** Organic matter of a draw on each of the days, %. */
function drawnOrganicMatter(decade: BedScenario, { seed, yearDays }: RangePlan, number: number): number[] {
  const run = startRun(drawScenario(endingOn(decade, Math.max(...yearDays) + 1), seed, number).scenario);
  return yearDays.map((day) => {
    runTo(run, day);
    return organicMatterPct(run.bed);
  });
}

/**
 * Runs draw `number` of a bed through the season, and, where a `decade` is given, through the years too: the same bed
 * with what will grow in later years. All inputs of a bed are drawn either way, so that the same number is the same bed.
 */
export function drawOutcome({
  scenario,
  plan,
  number,
  decade = null,
}: {
  readonly scenario: BedScenario;
  readonly plan: RangePlan;
  readonly number: number;
  readonly decade?: BedScenario | null;
}): DrawnOutcome {
  const draw = drawScenario(endingOn(scenario, lastDayOf(plan) + 1), plan.seed, number);
  const run = startRun(endingOn(draw.scenario, Math.max(...plan.tideDays) + 1));
  const { supplyFactor, lockFactor } = draw.modelError;
  const explained = readPoints(run, plan, draw.modelError);
  const availableG: number[] = [];
  const heldG: number[] = [];
  let savedMm = 0;
  let before = plan.today;
  for (const day of plan.tideDays) {
    if (before < day) {
      savedMm += waterSavedMm(run.scenario.climate, run.bed.constants.parameters, {
        fromDay: before,
        untilDay: day,
        mulchCm: mulchHeightCm(run.bed),
      });
      before = day;
    }
    runTo(run, day);
    const { contactZoneG, rootZoneG } = mineralNitrogen(run.bed);
    const [, heldContact, heldRoot] = heldNitrogen(run.bed);
    availableG.push((contactZoneG + rootZoneG) * supplyFactor);
    heldG.push((heldContact + heldRoot) * lockFactor);
  }
  return {
    places: draw.inputs.map(({ place }) => place),
    availableG,
    heldG,
    organicMatterPct: decade && drawnOrganicMatter(decade, plan, number),
    missedShare: missedShareOf(run, plan.cropIds, draw.modelError),
    peakHeldG: Math.max(0, ...heldG),
    waterSavedMm: savedMm,
    ...explained,
  };
}

/**
 * Runs a draw past everything that was measured up to today, and no further than this morning: what was seen today is
 * held against the bed as today's looks find it. Mutates run.
 */
function readPoints(
  run: BedRun,
  { points, today }: RangePlan,
  modelError: ModelError,
): Pick<DrawnOutcome, 'logLikelihood' | 'rotRates'> {
  const rotRates: Record<string, number | null> = {};
  let sum = 0;
  const known = points.filter(({ day }) => day <= today).toSorted((a, b) => lookDay(a) - lookDay(b));
  for (const point of known) {
    runTo(run, Math.min(lookDay(point), today));
    sum += logLikelihood(run, point, modelError);
    if (point.type === 'thickness' && point.layerId !== null) {
      rotRates[point.layerId] = rotRate(run, point.layerId, point.day);
    }
  }
  return { logLikelihood: sum, rotRates };
}

/** What is missed for want of supply, the error of the model in that supply included; a crop that has enough has enough. */
function missedShareOf({ bed }: BedRun, cropIds: readonly string[], { supplyFactor }: ModelError): number {
  const crops = bed.state.crops.filter(({ plan }) => cropIds.includes(plan.id));
  const demand = total(crops.map(({ demandedN }) => demandedN));
  const short = total(crops.map(({ shortN }) => shortN));
  return short > 0 ? Math.max(0, 1 - (1 - short / demand) * supplyFactor) : 0;
}

/** Fewer draws than this make no band. */
export const FEWEST_DRAWS = 8;

export interface Band {
  readonly low: readonly number[];
  readonly middle: readonly number[];
  readonly high: readonly number[];
}

export interface LikelyRange {
  readonly draws: number;
  readonly availableG: Band;
  readonly heldG: Band;
  /** From the draws that were followed for years; null while there are too few. */
  readonly organicMatterPct: Band | null;
  readonly drawsOfYears: number;
  /** Share of draws in which the crops miss no more than is harmless; null when no crop is concerned. */
  readonly enoughShare: number | null;
  readonly missedShare: Spread;
  readonly peakHeldG: Spread;
  readonly waterSavedMm: Spread;
  /** What decides most: rank correlation with the shortage, or with what is held where no crop is concerned. */
  readonly influences: readonly Influence[];
  /** What the log of the bed has taught; null when there is nothing in it to learn from. */
  readonly learnt: Learnt | null;
}

export interface Spread {
  readonly low: number;
  readonly middle: number;
  readonly high: number;
}

export interface Influence {
  readonly input: string;
  /** -1 to 1. */
  readonly correlation: number;
}

const MOST_INFLUENCES = 5;
const LEAST_CORRELATION = 0.12;
/** Beyond this many draws no influence changes its place by much, and ranking them would hold up the page. */
const DRAWS_FOR_INFLUENCE = 200;

const sorted = (values: readonly number[]): Float64Array => Float64Array.from(values).sort();

function spreadOf(values: readonly number[], weights: readonly number[] | null): Spread {
  const shares = bandShares(weights ? effectiveDraws(weights) : values.length);
  const inOrder = weights ? null : sorted(values);
  const [low, middle, high] = inOrder
    ? shares.map((share) => quantileSorted(inOrder, share))
    : weightedQuantiles(values, weights!, shares);
  return { low, middle, high };
}

function bandOf(
  outcomes: readonly DrawnOutcome[],
  weights: readonly number[] | null,
  read: (one: DrawnOutcome) => readonly number[],
): Band {
  const spreads = read(outcomes[0]).map((_, i) =>
    spreadOf(
      outcomes.map((one) => read(one)[i]),
      weights,
    ),
  );
  return {
    low: spreads.map(({ low }) => low),
    middle: spreads.map(({ middle }) => middle),
    high: spreads.map(({ high }) => high),
  };
}

/** All draws so far as bands and sentences can use them. At least one outcome. */
export function likelyRange({
  outcomes,
  inputs,
  plan,
  harmlessShare,
}: {
  readonly outcomes: readonly DrawnOutcome[];
  readonly inputs: readonly string[];
  readonly plan: Pick<RangePlan, 'cropIds' | 'points'>;
  readonly harmlessShare: number;
}): LikelyRange {
  const weighed = plan.points.length > 0 ? weigh(outcomes) : null;
  const weights = weighed?.weights ?? null;
  const missed = outcomes.map(({ missedShare }) => missedShare);
  const hasCrop = plan.cropIds.length > 0;
  const followed = outcomes.filter((one) => one.organicMatterPct !== null);
  const target = hasCrop ? missed : outcomes.map(({ peakHeldG }) => peakHeldG);
  return {
    draws: outcomes.length,
    availableG: bandOf(outcomes, weights, (one) => one.availableG),
    heldG: bandOf(outcomes, weights, (one) => one.heldG),
    organicMatterPct:
      followed.length < FEWEST_DRAWS
        ? null
        : bandOf(followed, weights && weigh(followed).weights, (one) => one.organicMatterPct!),
    drawsOfYears: followed.length,
    enoughShare: hasCrop ? shareWithin(missed, harmlessShare, weights) : null,
    missedShare: spreadOf(missed, weights),
    peakHeldG: spreadOf(
      outcomes.map(({ peakHeldG }) => peakHeldG),
      weights,
    ),
    waterSavedMm: spreadOf(
      outcomes.map((one) => one.waterSavedMm),
      weights,
    ),
    influences: influencesOn(target, inputs, outcomes),
    learnt: weighed && learntFrom({ outcomes, inputs, points: plan.points.length, weighed }),
  };
}

const weigh = (outcomes: readonly DrawnOutcome[]): DrawWeights =>
  drawWeights(outcomes.map((one) => one.logLikelihood));

const shareWithin = (values: readonly number[], limit: number, weights: readonly number[] | null): number =>
  values.reduce((sum, value, i) => sum + (value <= limit ? (weights?.[i] ?? 1 / values.length) : 0), 0);

/** Inputs by how much the target follows them, from as many draws as it takes to tell. */
function influencesOn(
  target: readonly number[],
  inputs: readonly string[],
  outcomes: readonly DrawnOutcome[],
): Influence[] {
  const used = outcomes.slice(0, DRAWS_FOR_INFLUENCE);
  const targetRanks = ranksOf(target.slice(0, DRAWS_FOR_INFLUENCE));
  return inputs
    .map((input, i) => ({
      input,
      correlation: correlationOfRanks(ranksOf(used.map(({ places }) => places[i])), targetRanks),
    }))
    .filter(({ correlation }) => Math.abs(correlation) >= LEAST_CORRELATION)
    .sort((a, b) => Math.abs(b.correlation) - Math.abs(a.correlation))
    .slice(0, MOST_INFLUENCES);
}
