import type { PlotReading, Trial } from '../../../records/journal.ts';
import { placePlots, type TrialPlot } from './placement.ts';

/** Student's distribution, from a statistics package: the core brings the figures, the package the tables. */
export interface StudentT {
  /** The value below which `share` of the distribution with so many degrees of freedom lies. */
  readonly quantile: (share: number, degreesOfFreedom: number) => number;
}

export interface TreatmentResult {
  readonly treatment: number;
  readonly values: readonly number[];
  readonly mean: number | null;
  /** Of single plots; null for fewer than two. */
  readonly standardDeviation: number | null;
}

/** What can be said of one treatment held against the first. */
export type TrialVerdict = 'tooFew' | 'cannotTell' | 'noDifference' | 'better' | 'worse';

export interface TreatmentDifference {
  readonly treatment: number;
  readonly verdict: TrialVerdict;
  /** Mean difference to the first treatment; null while one of them has no reading. */
  readonly difference: number | null;
  /** Between these lies the true difference, 19 times in 20, over all comparisons of the trial together. */
  readonly low: number | null;
  readonly high: number | null;
  /** Blocks compared within themselves, or all plots of the two taken together. */
  readonly method: 'withinBlocks' | 'betweenGroups';
  /** Roughly the number of repeats needed to detect a difference of this size; null when it is detected already, or unknown. */
  readonly repeatsToTell: number | null;
}

export interface TrialResult {
  readonly treatments: readonly TreatmentResult[];
  readonly differences: readonly TreatmentDifference[];
}

const CONFIDENCE = 0.95;
/** Fewer than this and nothing is said: two pots differ by themselves (set here). */
const FEWEST = 3;
/** A difference within this share of the mean does not matter to a gardener (set here). */
const MATTERS_SHARE = 0.1;

const mean = (values: readonly number[]): number => values.reduce((sum, one) => sum + one, 0) / values.length;

function variance(values: readonly number[]): number {
  const middle = mean(values);
  return values.reduce((sum, one) => sum + (one - middle) ** 2, 0) / (values.length - 1);
}

/** The latest reading of every plot. */
function latestByPlot(readings: readonly PlotReading[]): Map<number, number> {
  const inOrder = readings.toSorted((a, b) => a.date.localeCompare(b.date));
  return new Map(inOrder.map(({ plot, value }) => [plot, value]));
}

/**
 * Every treatment against the first: the mean difference and its interval, within blocks where they are complete
 * (paired t), between groups of unequal spread otherwise (Welch 1947). The 95 % hold for all comparisons of the trial
 * together (Bonferroni).
 */
export function compareTreatments(
  trial: Pick<Trial, 'treatments' | 'repeats' | 'seed' | 'isMoreBetter'>,
  readings: readonly PlotReading[],
  student: StudentT,
): TrialResult {
  const plots = placePlots(trial);
  const values = latestByPlot(readings);
  const treatments = trial.treatments.map((_, treatment) => resultOf(treatment, plots, values));
  return {
    treatments,
    differences: treatments.slice(1).map(({ treatment }) => {
      const blocks = completeBlocks(treatment, plots, values);
      const isPaired = blocks.length === trial.repeats && blocks.length >= 2;
      const estimate = isPaired
        ? withinBlocks(blocks)
        : betweenGroups(treatments[0].values, treatments[treatment].values);
      return differenceOf({ treatment, estimate, trial, treatments, student, isPaired });
    }),
  };
}

function resultOf(
  treatment: number,
  plots: readonly TrialPlot[],
  values: ReadonlyMap<number, number>,
): TreatmentResult {
  const own = plots
    .filter((one) => one.treatment === treatment)
    .flatMap(({ plot }) => values.get(plot) ?? []);
  return {
    treatment,
    values: own,
    mean: own.length === 0 ? null : mean(own),
    standardDeviation: own.length < 2 ? null : Math.sqrt(variance(own)),
  };
}

/** Differences within every block that has both readings. */
function completeBlocks(
  treatment: number,
  plots: readonly TrialPlot[],
  values: ReadonlyMap<number, number>,
): number[] {
  const blocks = [...new Set(plots.map(({ block }) => block))];
  return blocks.flatMap((block) => {
    const read = (of: number) =>
      values.get(plots.find((one) => one.block === block && one.treatment === of)!.plot);
    const [first, other] = [read(0), read(treatment)];
    return first === undefined || other === undefined ? [] : [other - first];
  });
}

interface Estimate {
  readonly count: number;
  readonly difference: number | null;
  readonly standardError: number | null;
  readonly degreesOfFreedom: number;
}

function withinBlocks(differences: readonly number[]): Estimate {
  return {
    count: differences.length,
    difference: mean(differences),
    standardError: Math.sqrt(variance(differences) / differences.length),
    degreesOfFreedom: differences.length - 1,
  };
}

function betweenGroups(first: readonly number[], other: readonly number[]): Estimate {
  const count = Math.min(first.length, other.length);
  const difference = count === 0 ? null : mean(other) - mean(first);
  if (count < 2) return { count, difference, standardError: null, degreesOfFreedom: 0 };
  const [a, b] = [variance(first) / first.length, variance(other) / other.length];
  const spread = a ** 2 / (first.length - 1) + b ** 2 / (other.length - 1);
  return {
    count,
    difference,
    standardError: Math.sqrt(a + b),
    degreesOfFreedom: spread > 0 ? (a + b) ** 2 / spread : first.length + other.length - 2,
  };
}

function differenceOf({
  treatment,
  estimate: { count, difference, standardError, degreesOfFreedom },
  trial,
  treatments,
  student,
  isPaired,
}: {
  readonly treatment: number;
  readonly estimate: Estimate;
  readonly trial: Pick<Trial, 'treatments' | 'isMoreBetter'>;
  readonly treatments: readonly TreatmentResult[];
  readonly student: StudentT;
  readonly isPaired: boolean;
}): TreatmentDifference {
  const method = isPaired ? 'withinBlocks' : 'betweenGroups';
  const nothing = { treatment, difference, method, low: null, high: null, repeatsToTell: null } as const;
  if (count < FEWEST || standardError === null || difference === null)
    return { ...nothing, verdict: 'tooFew' };
  const comparisons = trial.treatments.length - 1;
  const t = student.quantile(1 - (1 - CONFIDENCE) / (2 * comparisons), degreesOfFreedom);
  const half = t * standardError;
  const [low, high] = [difference - half, difference + half];
  const matters = MATTERS_SHARE * Math.abs(treatments[0].mean ?? 0);
  const isTold = low > 0 || high < 0;
  return {
    ...nothing,
    low,
    high,
    verdict: verdictOf({ low, high, matters, isMoreBetter: trial.isMoreBetter }),
    repeatsToTell: isTold || difference === 0 ? null : Math.ceil(count * (half / difference) ** 2),
  };
}

function verdictOf({
  low,
  high,
  matters,
  isMoreBetter,
}: {
  readonly low: number;
  readonly high: number;
  readonly matters: number;
  readonly isMoreBetter: boolean;
}): TrialVerdict {
  if (low > 0) return isMoreBetter ? 'better' : 'worse';
  if (high < 0) return isMoreBetter ? 'worse' : 'better';
  return low >= -matters && high <= matters ? 'noDifference' : 'cannotTell';
}
