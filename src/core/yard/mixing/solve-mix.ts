import type { MixMiss, Aim } from './mix-miss.ts';
import { InputError, requireNumber } from '../../../refusals/input-error.ts';
import {
  LITRES_PER_CUBIC_METRE,
  type LinearProgram,
  type LinearRow,
  type LinearVariable,
  type Material,
  type SolveLinearProgram,
} from '../../ground/index.ts';
import { blend, carbonPerFreshKg, nitrogenPerFreshKg, type Blend } from './blend.ts';
import { fixesFor, type MixFix } from './mix-fixes.ts';

/** Something that may go into a mix, between what must and what can. Volumes in litres, loose. */
export interface MixIngredient {
  readonly id: string;
  readonly material: Material;
  readonly leastL: number;
  /** Infinity where as much as one likes can be had. */
  readonly mostL: number;
  /** The bucket or barrow it is measured with. */
  readonly measureL: number;
  /** Only whole buckets. */
  readonly isWhole: boolean;
  /** What a litre costs, in the money of the garden; nothing when absent. */
  readonly pricePerL?: number;
}

export interface MixProblem {
  readonly ingredients: readonly MixIngredient[];
  /** Volume wanted, L; null for as little as does it. */
  readonly totalL: number | null;
  readonly canWater: boolean;
  readonly carbonToNitrogen: Aim | null;
  /** Wet basis. */
  readonly moisture: Aim | null;
  /** As received with the water poured on, kg/m3; any when absent or null. */
  readonly bulkDensityKgPerM3?: Aim | null;
  /** What it may cost at most; anything when absent or null. */
  readonly costMost?: number | null;
}

export interface MixAmounts {
  /** Litres of each ingredient, in the order they were given. */
  readonly litres: readonly number[];
  readonly waterL: number;
  readonly blend: Blend;
}

export type MixAnswer =
  | ({ readonly status: 'solved' } & MixAmounts)
  | ({
      readonly status: 'infeasible';
      readonly misses: readonly MixMiss[];
      /** Ids of what is used up to the last of it. */
      readonly usedUp: readonly string[];
      readonly fixes: readonly MixFix[];
    } & MixAmounts);

/** A miss costs so much more than anything else that it is only taken when it must be. */
const MISS_COST = 1e4;
const WATER = 'water';
const OFF_AIM = 'off_aim';
const NEAR_ENOUGH = 1e-6;

interface PerMeasure {
  readonly name: string;
  readonly volumeL: number;
  readonly massKg: number;
  readonly waterKg: number;
  readonly carbonG: number;
  readonly nitrogenG: number;
}

const perMeasure = ({ material, measureL }: MixIngredient, i: number): PerMeasure => {
  const massKg = (measureL * material.bulkDensityKgPerM3) / LITRES_PER_CUBIC_METRE;
  return {
    name: `x${i}`,
    volumeL: measureL,
    massKg,
    waterKg: massKg * material.moistureFractionWetBasis,
    carbonG: massKg * carbonPerFreshKg(material),
    nitrogenG: massKg * nitrogenPerFreshKg(material),
  };
};

/**
 * How much of each ingredient comes nearest to the aims within their limits, by a linear programme (whole numbers where
 * only whole buckets are wanted). What cannot be reached is said, with the nearest mix and what would mend it. Throws
 * InputError naming the field for a problem that makes no sense.
 */
export function solveMix(problem: MixProblem, solve: SolveLinearProgram): MixAnswer {
  checkProblem(problem);
  const measures = problem.ingredients.map(perMeasure);
  const strict = solve(programOf(problem, measures, false));
  if (strict.status === 'optimal') return { status: 'solved', ...amountsOf(problem, strict.values) };
  if (strict.status === 'failed') throw new Error(`the solver failed: ${strict.reason}`);
  const nearest = solve(programOf(problem, measures, true));
  if (nearest.status !== 'optimal') throw new Error('the solver found no mix at all');
  const amounts = amountsOf(problem, nearest.values);
  const misses = missesOf(problem, amounts);
  return {
    status: 'infeasible',
    ...amounts,
    misses,
    usedUp: problem.ingredients
      .filter((one, i) => amounts.litres[i] >= reachable(one) * (1 - NEAR_ENOUGH))
      .map(({ id }) => id),
    fixes: fixesFor(amounts.blend, misses),
  };
}

/** The last whole bucket that there is. */
const reachable = ({ mostL, measureL, isWhole }: MixIngredient): number =>
  isWhole && Number.isFinite(mostL) ? Math.floor(mostL / measureL + NEAR_ENOUGH) * measureL : mostL;

function checkProblem(problem: MixProblem): void {
  const { ingredients, totalL, carbonToNitrogen, moisture, bulkDensityKgPerM3, costMost } = problem;
  if (ingredients.length === 0) {
    throw new InputError(['ingredients'], 'emptyMix', { isAtTheBench: true });
  }
  ingredients.forEach(({ leastL, mostL, measureL, pricePerL = 0 }, i) => {
    requireNumber(pricePerL, ['ingredients', i, 'pricePerL'], { min: 0 });
    requireNumber(measureL, ['ingredients', i, 'measureL'], { above: 0 });
    requireNumber(leastL, ['ingredients', i, 'leastL'], { min: 0 });
    if (!(mostL >= leastL)) {
      throw new InputError(['ingredients', i, 'mostL'], 'belowTheLeast', { got: mostL });
    }
  });
  if (totalL !== null) requireNumber(totalL, ['totalL'], { above: 0 });
  if (carbonToNitrogen) {
    requireNumber(carbonToNitrogen.aim, ['carbonToNitrogen'], { above: 0, max: 2000 });
    requireNumber(carbonToNitrogen.tolerance, ['tolerance'], { min: 0 });
  }
  if (moisture) requireNumber(moisture.aim, ['moisture'], { above: 0, max: 0.95 });
  if (bulkDensityKgPerM3)
    requireNumber(bulkDensityKgPerM3.aim, ['bulkDensityKgPerM3'], { above: 0, max: 2500 });
  if (costMost != null) requireNumber(costMost, ['costMost'], { min: 0 });
}

type Coefficients = Record<string, number>;
const each = (measures: readonly PerMeasure[], of: (one: PerMeasure) => number): Coefficients =>
  Object.fromEntries(measures.map((one) => [one.name, of(one)]));

interface Slack {
  readonly name: string;
  readonly cost: number;
}

function programOf(problem: MixProblem, measures: readonly PerMeasure[], isRelaxed: boolean): LinearProgram {
  const slacks: Slack[] = [];
  const withSlack = (name: string, coefficient: 1 | -1, scale: number): Coefficients => {
    if (!isRelaxed) return {};
    slacks.push({ name, cost: MISS_COST / scale });
    return { [name]: coefficient };
  };
  const rows = [
    ...ratioRows(problem, measures, withSlack),
    ...moistureRows(problem, measures, withSlack),
    ...totalRow(problem, measures, withSlack),
    ...densityRows(problem, measures, withSlack),
    ...costRow(problem, withSlack),
    ...aimRows(problem, measures),
  ];
  return { variables: [...variablesOf(problem, measures), ...slacks.map(freeSlack)], rows };
}

const freeSlack = ({ name, cost }: Slack): LinearVariable => ({
  name,
  low: 0,
  high: Infinity,
  cost,
  isWhole: false,
});

function variablesOf(
  { ingredients, totalL, canWater }: MixProblem,
  measures: readonly PerMeasure[],
): LinearVariable[] {
  return [
    ...ingredients.map((one, i) => ({
      name: measures[i].name,
      low: one.isWhole ? Math.ceil(one.leastL / one.measureL - NEAR_ENOUGH) : one.leastL / one.measureL,
      high: reachable(one) / one.measureL,
      // As little as does it; where the volume is given, that is settled.
      cost: totalL === null ? one.measureL : 0,
      isWhole: one.isWhole,
    })),
    { name: WATER, low: 0, high: canWater ? Infinity : 0, cost: 0.01, isWhole: false },
    { name: OFF_AIM, low: 0, high: Infinity, cost: 0.001, isWhole: false },
  ];
}

type WithSlack = (name: string, coefficient: 1 | -1, scale: number) => Coefficients;

const typical = (measures: readonly PerMeasure[], of: (one: PerMeasure) => number): number =>
  Math.max(1e-6, ...measures.map(of));

function ratioRows(
  { carbonToNitrogen }: MixProblem,
  measures: readonly PerMeasure[],
  slack: WithSlack,
): LinearRow[] {
  if (!carbonToNitrogen) return [];
  const { aim, tolerance } = carbonToNitrogen;
  const scale = typical(measures, ({ carbonG }) => carbonG);
  const high = aim + tolerance;
  const low = Math.max(0, aim - tolerance);
  return [
    {
      name: 'ratio_high',
      coefficients: {
        ...each(measures, (m) => m.carbonG - high * m.nitrogenG),
        ...slack('ratio_over', -1, scale),
      },
      low: -Infinity,
      high: 0,
    },
    {
      name: 'ratio_low',
      coefficients: {
        ...each(measures, (m) => m.carbonG - low * m.nitrogenG),
        ...slack('ratio_under', 1, scale),
      },
      low: 0,
      high: Infinity,
    },
  ];
}

function moistureRows(
  { moisture }: MixProblem,
  measures: readonly PerMeasure[],
  slack: WithSlack,
): LinearRow[] {
  if (!moisture) return [];
  const scale = typical(measures, ({ massKg }) => massKg);
  const row = (name: string, share: number, more: Coefficients) => ({
    name,
    coefficients: { ...each(measures, (m) => m.waterKg - share * m.massKg), [WATER]: 1 - share, ...more },
  });
  return [
    {
      ...row('moisture_high', Math.min(1, moisture.aim + moisture.tolerance), slack('too_wet', -1, scale)),
      low: -Infinity,
      high: 0,
    },
    {
      ...row('moisture_low', Math.max(0, moisture.aim - moisture.tolerance), slack('too_dry', 1, scale)),
      low: 0,
      high: Infinity,
    },
  ];
}

function totalRow(
  { totalL, ingredients }: MixProblem,
  measures: readonly PerMeasure[],
  slack: WithSlack,
): LinearRow[] {
  if (totalL === null) {
    // Something must be in it.
    return [{ name: 'some', coefficients: each(measures, (m) => m.volumeL), low: 1, high: Infinity }];
  }
  const scale = typical(measures, ({ volumeL }) => volumeL);
  const whole = ingredients.filter(({ isWhole }) => isWhole).map(({ measureL }) => measureL);
  const room = whole.length > 0 ? Math.max(...whole) / 2 : 0;
  return [
    {
      name: 'total',
      coefficients: {
        ...each(measures, (m) => m.volumeL),
        ...slack('missing', 1, scale),
        ...slack('too_much', -1, scale),
      },
      low: totalL - room,
      high: totalL + room,
    },
  ];
}

/** Mass is held against volume; water weighs and takes no room of its own. */
function densityRows(
  { bulkDensityKgPerM3 }: MixProblem,
  measures: readonly PerMeasure[],
  slack: WithSlack,
): LinearRow[] {
  if (!bulkDensityKgPerM3) return [];
  const { aim, tolerance } = bulkDensityKgPerM3;
  const scale = typical(measures, ({ massKg }) => massKg);
  const row = (name: string, kgPerM3: number, more: Coefficients) => ({
    name,
    coefficients: {
      ...each(measures, (m) => m.massKg - (kgPerM3 * m.volumeL) / LITRES_PER_CUBIC_METRE),
      [WATER]: 1,
      ...more,
    },
  });
  return [
    { ...row('density_high', aim + tolerance, slack('too_dense', -1, scale)), low: -Infinity, high: 0 },
    { ...row('density_low', aim - tolerance, slack('too_light', 1, scale)), low: 0, high: Infinity },
  ];
}

const costOf = ({ ingredients }: MixProblem, litres: readonly number[]): number =>
  ingredients.reduce((sum, { pricePerL = 0 }, i) => sum + pricePerL * litres[i], 0);

function costRow({ ingredients, costMost }: MixProblem, slack: WithSlack): LinearRow[] {
  if (costMost == null) return [];
  const perMeasureCost = ingredients.map(({ pricePerL = 0, measureL }) => pricePerL * measureL);
  const coefficients = Object.fromEntries(perMeasureCost.map((cost, i) => [`x${i}`, cost]));
  const more = slack('too_dear', -1, Math.max(1e-6, ...perMeasureCost));
  return [{ name: 'cost', coefficients: { ...coefficients, ...more }, low: -Infinity, high: costMost }];
}

/** The distance from the middle of the ratio, both ways. */
function aimRows({ carbonToNitrogen }: MixProblem, measures: readonly PerMeasure[]): LinearRow[] {
  if (!carbonToNitrogen) return [];
  const off = each(measures, (m) => m.carbonG - carbonToNitrogen.aim * m.nitrogenG);
  return [
    { name: 'above_aim', coefficients: { ...off, [OFF_AIM]: -1 }, low: -Infinity, high: 0 },
    { name: 'below_aim', coefficients: { ...off, [OFF_AIM]: 1 }, low: 0, high: Infinity },
  ];
}

function amountsOf(problem: MixProblem, values: Readonly<Record<string, number>>): MixAmounts {
  const litres = problem.ingredients.map(({ measureL, isWhole }, i) => {
    const measures = values[`x${i}`] ?? 0;
    return Math.max(0, isWhole ? Math.round(measures) : measures) * measureL;
  });
  const waterL = Math.max(0, values[WATER] ?? 0);
  const parts = problem.ingredients.map(({ material }, i) => ({
    material,
    massFreshKg: (litres[i] * material.bulkDensityKgPerM3) / LITRES_PER_CUBIC_METRE,
  }));
  return { litres, waterL, blend: blend(parts, waterL) };
}

const isOff = (is: number, { aim, tolerance }: Aim): boolean =>
  Math.abs(is - aim) > tolerance + NEAR_ENOUGH * Math.max(1, aim);

/** In what a mix is off its aims. */
export function aimsMissed(
  {
    carbonToNitrogen,
    moisture,
    bulkDensityKgPerM3,
  }: Pick<MixProblem, 'carbonToNitrogen' | 'moisture' | 'bulkDensityKgPerM3'>,
  mix: Blend,
): MixMiss[] {
  const misses: MixMiss[] = [];
  const { carbonToNitrogen: ratio, moistureFractionWetBasis } = mix;
  if (carbonToNitrogen && (ratio === null || isOff(ratio, carbonToNitrogen))) {
    misses.push({ what: 'carbonToNitrogen', is: ratio, aim: carbonToNitrogen });
  }
  if (moisture && isOff(moistureFractionWetBasis, moisture)) {
    misses.push({ what: 'moisture', is: moistureFractionWetBasis, aim: moisture });
  }
  if (bulkDensityKgPerM3 && isOff(mix.bulkDensityKgPerM3, bulkDensityKgPerM3)) {
    misses.push({ what: 'bulkDensity', is: mix.bulkDensityKgPerM3, aim: bulkDensityKgPerM3 });
  }
  return misses;
}

function missesOf(problem: MixProblem, { blend: mix, litres }: MixAmounts): MixMiss[] {
  const { totalL, ingredients, costMost } = problem;
  const misses = aimsMissed(problem, mix);
  const { volumeL } = mix;
  const room = Math.max(0, ...ingredients.map(({ isWhole, measureL }) => (isWhole ? measureL / 2 : 0)));
  if (totalL !== null && isOff(volumeL, { aim: totalL, tolerance: room })) {
    misses.push({ what: 'volume', isL: volumeL, wantedL: totalL });
  }
  const cost = costOf(problem, litres);
  if (costMost != null && cost > costMost * (1 + NEAR_ENOUGH)) {
    misses.push({ what: 'cost', is: cost, most: costMost });
  }
  return misses;
}
