import { bandShares } from '../../ground/index.ts';
import type { DrawnOutcome } from '../projection/drawn-outcome.ts';
import { effectiveDraws, weightedMean, weightedQuantiles, type DrawWeights } from './weights.ts';

/** What the log of a bed has taught. */
export interface Learnt {
  readonly points: number;
  readonly draws: number;
  readonly effectiveDraws: number;
  readonly evidenceUsed: number;
  /** Layers that were measured: how fast they rot here beside what the book would have said. */
  readonly rates: readonly LearntRate[];
  /** Inputs that the log speaks about: where in their range they now lie, 0 lowest to 1 highest. */
  readonly inputs: readonly LearntInput[];
}

export interface LearntRate {
  readonly layerId: string;
  /** 1.4 is 1.4 times as fast as the model's default; 8 times out of 10 it lies between low and high. */
  readonly factor: number;
  readonly low: number;
  readonly high: number;
}

export interface LearntInput {
  readonly input: string;
  readonly before: number;
  readonly after: number;
}

/** An input is shown when its mean has moved by this share of its range (set here). */
const TOLD_MOVE = 0.06;
const MOST_INPUTS = 4;

/** What weighing the draws has taught; null without points. */
export function learntFrom({
  outcomes,
  inputs,
  points,
  weighed: { weights, effectiveDraws, evidenceUsed },
}: {
  readonly outcomes: readonly DrawnOutcome[];
  readonly inputs: readonly string[];
  readonly points: number;
  readonly weighed: DrawWeights;
}): Learnt | null {
  if (points === 0) return null;
  const layers = [...new Set(outcomes.flatMap(({ rotRates }) => Object.keys(rotRates)))];
  return {
    points,
    draws: outcomes.length,
    effectiveDraws,
    evidenceUsed,
    rates: layers.flatMap((layerId) => rateOf(layerId, outcomes, weights) ?? []),
    inputs: inputs
      .map((input, i) => {
        const places = outcomes.map((one) => one.places[i]);
        const before = places.reduce((sum, one) => sum + one, 0) / places.length;
        return { input, before, after: weightedMean(places, weights) };
      })
      .filter(({ before, after }) => Math.abs(after - before) >= TOLD_MOVE)
      .sort((a, b) => Math.abs(b.after - b.before) - Math.abs(a.after - a.before))
      .slice(0, MOST_INPUTS),
  };
}

/** Against the middle of all draws as they were before anything was measured. */
function rateOf(
  layerId: string,
  outcomes: readonly DrawnOutcome[],
  weights: readonly number[],
): LearntRate | null {
  const known = outcomes.flatMap(({ rotRates }, i) => {
    const rate = rotRates[layerId];
    return rate === undefined || rate === null ? [] : [{ rate, weight: weights[i] }];
  });
  if (known.length === 0) return null;
  const rates = known.map(({ rate }) => rate);
  const own = known.map(({ weight }) => weight);
  const alike = rates.map(() => 1 / rates.length);
  const [byTheBook] = weightedQuantiles(rates, alike, [0.5]);
  const [low, factor, high] = weightedQuantiles(rates, own, bandShares(effectiveDraws(own))).map(
    (rate) => rate / byTheBook,
  );
  return { layerId, factor, low, high };
}
