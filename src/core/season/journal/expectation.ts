import { type DayNumber, isWetMonth } from '../../ground/index.ts';
import type { ClimateNormals } from '../../../records/garden.ts';
import { SQUEEZES, type Squeeze, VIGORS, type LeafStep, type Vigor } from '../../../records/vocabulary.ts';
import type { Observed } from '../../../records/journal.ts';
import type { BedSample } from '../../bed/index.ts';

/** How what was seen stands to what the model expected that day. */
export type Verdict = 'asExpected' | 'better' | 'worse';

/** What the model expected, in the terms of the observation. */
export type Expected =
  | { readonly type: 'leafColor'; readonly low: LeafStep; readonly high: LeafStep }
  | { readonly type: 'growth'; readonly vigor: Vigor }
  | { readonly type: 'thickness'; readonly thicknessCm: number }
  | { readonly type: 'soilTemperature'; readonly temperatureC: number }
  | { readonly type: 'squeeze'; readonly low: Squeeze; readonly high: Squeeze }
  | { readonly type: 'yield'; readonly massKg: number }
  | { readonly type: 'life'; readonly isDue: boolean }
  | { readonly type: 'good' };

export interface Expectation {
  readonly expected: Expected;
  readonly verdict: Verdict;
}

/** Of these the model is wrong either way; of all else only what is worse than expected is worth a look. */
const OFF_EITHER_WAY: ReadonlySet<Expected['type']> = new Set(['thickness', 'soilTemperature']);

/** Whether somebody should look at it: worse than expected, or off where more and less are neither better nor worse. */
export const isUnexpected = ({ verdict, expected }: Expectation): boolean =>
  verdict === 'worse' || (verdict === 'better' && OFF_EITHER_WAY.has(expected.type));

/** The bed on the day of an observation, by the model. */
export interface ExpectationSetting {
  /** At the end of that day. */
  readonly sample: BedSample;
  readonly day: DayNumber;
  readonly climate: ClimateNormals;
  /** Model crops of the planting it is about; of all that stands when it is about none. */
  readonly cropIds: readonly string[] | null;
  /** Days each layer on top has lain, by its id. */
  readonly layerAges: ReadonlyMap<string, number>;
  /** What this crop gave on this bed before, kg; empty when nobody wrote it down. */
  readonly earlierYieldsKg: readonly number[];
}

/** Paleness of the model up to which leaves look dark, green and pale (set here; the model's is a ratio of nitrogen). */
const DARK_UP_TO = 0.08;
const GREEN_UP_TO = 0.25;
const PALE_UP_TO = 0.55;
/** A ruler in mulch is good to this, cm and share of the thickness (set here). */
const RULER_CM = 0.7;
const RULER_SHARE = 0.2;
/** Soil under mulch differs from the air of the month by this much without meaning anything, degrees C (set here). */
const WARMTH_C = 3;
/** White threads come after half a year (common practice, no source: 6 to 12 months). */
const THREADS_AFTER_DAYS = 180;
/** Worms work where it is warmer than this and something lies there to eat (set here). */
const WORMS_ABOVE_C = 7;
const WORMS_EXPECTED = 5;
const DRY_FROM = 0.7;
const DAMP_FROM = 0.35;
/** Yields differ by this share from year to year whatever the ground does (set here). */
const YIELD_SHARE = 0.2;

const palestOf = ({ sample, cropIds }: ExpectationSetting): number | null => {
  const crops = sample.crops.filter(({ id }) => cropIds === null || cropIds.includes(id));
  return crops.length === 0 ? null : Math.max(...crops.map(({ paleness }) => paleness));
};

/** Leaf steps the model would call right for a paleness. */
export function leafStepsFor(paleness: number): readonly [low: LeafStep, high: LeafStep] {
  if (paleness <= DARK_UP_TO) return [3, 4];
  if (paleness <= GREEN_UP_TO) return [3, 3];
  return paleness <= PALE_UP_TO ? [2, 2] : [1, 1];
}

const against = (value: number, low: number, high: number): Verdict =>
  value < low ? 'worse' : value > high ? 'better' : 'asExpected';

/** What the model expected where something was seen; null for what it has no opinion on. */
export function expectationOf(observed: Observed, setting: ExpectationSetting): Expectation | null {
  switch (observed.type) {
    case 'leafColor':
      return leafColor(observed.step, setting);
    case 'growth':
      return growth(observed.vigor, setting);
    case 'thickness':
      return thickness(observed, setting);
    case 'soilTemperature':
      return soilTemperature(observed.temperatureC, setting);
    case 'squeeze':
      return squeezed(observed.squeeze, setting);
    case 'threads':
      return life(observed.amount !== 'none', isThreadTime(setting));
    case 'worms':
      return life(observed.count >= WORMS_EXPECTED, isWormTime(setting));
    case 'smell':
      return good(observed.smell === 'none' || observed.smell === 'earthy');
    case 'waterBehavior':
      return good(observed.behavior === 'soaksIn');
    case 'yield':
      return yieldOf(observed.massKg, setting);
    case 'hours':
    case 'signs':
    case 'note':
      return null;
  }
}

function leafColor(step: LeafStep, setting: ExpectationSetting): Expectation | null {
  const paleness = palestOf(setting);
  if (paleness === null) return null;
  const [low, high] = leafStepsFor(paleness);
  return { expected: { type: 'leafColor', low, high }, verdict: against(step, low, high) };
}

function growth(vigor: Vigor, setting: ExpectationSetting): Expectation | null {
  const paleness = palestOf(setting);
  if (paleness === null) return null;
  const expected: Vigor = paleness <= GREEN_UP_TO ? 'steady' : paleness <= PALE_UP_TO ? 'slow' : 'stalled';
  const at = VIGORS.indexOf(expected);
  const high = expected === 'steady' ? VIGORS.indexOf('strong') : at;
  return { expected: { type: 'growth', vigor: expected }, verdict: against(VIGORS.indexOf(vigor), at, high) };
}

/** Thicker than expected is worse: it rots more slowly than the book has it. For a cover that is a matter of taste. */
function thickness(
  { layerId, thicknessCm }: Extract<Observed, { type: 'thickness' }>,
  { sample }: ExpectationSetting,
): Expectation {
  const layers = sample.layers.filter(({ id, isOnTop }) => isOnTop && (layerId === null || id === layerId));
  const expectedCm = layers.reduce((sum, layer) => sum + layer.thicknessCm, 0);
  const off = Math.max(RULER_CM, RULER_SHARE * expectedCm);
  const isFaster = thicknessCm < expectedCm - off;
  const isSlower = thicknessCm > expectedCm + off;
  return {
    expected: { type: 'thickness', thicknessCm: expectedCm },
    verdict: isFaster ? 'better' : isSlower ? 'worse' : 'asExpected',
  };
}

/** A thermometer stands in the upper soil: between the two zones. */
function soilTemperature(temperatureC: number, { sample }: ExpectationSetting): Expectation {
  const expectedC = (sample.soilC[0] + sample.soilC[1]) / 2;
  return {
    expected: { type: 'soilTemperature', temperatureC: expectedC },
    verdict: against(temperatureC, expectedC - WARMTH_C, expectedC + WARMTH_C),
  };
}

/** From wettest to driest by the hand. */
function squeezed(squeeze: Squeeze, { sample, climate, day }: ExpectationSetting): Expectation {
  const dryness = sample.topsoilDryness;
  const [low, high]: readonly [Squeeze, Squeeze] =
    dryness >= DRY_FROM
      ? ['crumbles', 'dusty']
      : dryness >= DAMP_FROM
        ? ['holds', 'crumbles']
        : isWetMonth(climate, day)
          ? ['runs', 'holds']
          : ['drops', 'holds'];
  const at = SQUEEZES.indexOf(squeeze);
  const isAsExpected = at >= SQUEEZES.indexOf(low) && at <= SQUEEZES.indexOf(high);
  // Neither too wet nor too dry is what roots and decomposers want.
  const isRight = squeeze === 'drops' || squeeze === 'holds';
  return {
    expected: { type: 'squeeze', low, high },
    verdict: isAsExpected ? 'asExpected' : isRight ? 'better' : 'worse',
  };
}

const life = (isThere: boolean, isDue: boolean): Expectation => ({
  expected: { type: 'life', isDue },
  verdict: isThere === isDue ? 'asExpected' : isThere ? 'better' : 'worse',
});

const good = (isGood: boolean): Expectation => ({
  expected: { type: 'good' },
  verdict: isGood ? 'asExpected' : 'worse',
});

const isThreadTime = ({ sample, layerAges }: ExpectationSetting): boolean =>
  sample.layers.some(
    ({ id, isOnTop, kind }) => isOnTop && kind === 'wood' && (layerAges.get(id) ?? 0) >= THREADS_AFTER_DAYS,
  );

const isWormTime = ({ sample }: ExpectationSetting): boolean =>
  sample.soilC[0] >= WORMS_ABOVE_C && sample.topsoilDryness < DRY_FROM && sample.mulchCm > 1;

function yieldOf(massKg: number, { earlierYieldsKg }: ExpectationSetting): Expectation | null {
  if (earlierYieldsKg.length === 0) return null;
  const meanKg = earlierYieldsKg.reduce((sum, one) => sum + one, 0) / earlierYieldsKg.length;
  return {
    expected: { type: 'yield', massKg: meanKg },
    verdict: against(massKg, meanKg * (1 - YIELD_SHARE), meanKg * (1 + YIELD_SHARE)),
  };
}
