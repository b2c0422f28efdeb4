import type { DrawnOutcome } from '../projection/drawn-outcome.ts';
import { beforeAll, describe, expect, it } from 'vitest';
import { bedOf, MILD, plantingOf } from '../../../../tests/fixtures/books.ts';
import { layOf } from '../../../../tests/fixtures/laid.ts';
import { dayNumberFromIso, type DayNumber } from '../../ground/climate/calendar.ts';
import { findLibraryMaterial } from '../../ground/materials/library.ts';
import { seededStream } from '../../ground/numerics/seeded-stream.ts';
import { drawScenario } from '../projection/draws.ts';
import { drawnInputs, drawOutcome, likelyRange, type RangePlan } from '../projection/likely-range.ts';
import { bedScenario } from '../books/bed-scenario.ts';
import { layerThicknessCm } from '../../model/simulation/processes/mulch-stack.ts';
import { mineralNitrogen } from '../../model/simulation/report.ts';
import { runTo, startRun, type BedRun } from '../../model/simulation/run.ts';
import { endingOn, type BedScenario } from '../../model/simulation/scenario.ts';
import { logLikelihood, lookDay, MEASURING, rotRate } from './likelihood.ts';
import type { MeasuredPoint } from './measured-points.ts';

/**
 * Gardens whose truth is known: a bed is drawn from the ranges as the real one, its layer is measured with a ruler and
 * its soil by a laboratory, both with their scatter, and the likely range is weighed by that.
 */
const TODAY = dayNumberFromIso('2026-05-14', []);
const LATER = TODAY + 120;
const GARDENS = 200;
const DRAWS = 400;
/** A band that holds 8 in 10 holds 75 to 85 in 100 of these gardens. */
const LEAST_COVERED = 0.75 * GARDENS;
const MOST_COVERED = 0.85 * GARDENS;

const SCENARIO: BedScenario = bedScenario({
  books: {
    site: { climate: MILD, depositionGPerM2Year: 1 },
    bed: bedOf({ isWatered: false }),
    entries: [layOf({ id: 'chips', date: '2025-03-10', massFreshKg: 100, seasonedMonths: 0 })],
    crops: [],
    plantings: [plantingOf({ plantedOn: '2026-05-20', clearedOn: '2026-10-01', nitrogenDemandGPerM2: 9 })],
  },
  findMaterial: findLibraryMaterial,
  today: TODAY,
  endDay: LATER + 2,
});
const MEASURED_DAYS = [TODAY - 300, TODAY - 220, TODAY - 120, TODAY - 60, TODAY - 10];
const SOIL_TESTED_DAY = TODAY - 45;
const LOOK_DAYS = [...MEASURED_DAYS.map((day) => day + 1), SOIL_TESTED_DAY].sort((a, b) => a - b);
const PLAN: RangePlan = {
  seed: 1,
  today: TODAY,
  tideDays: [TODAY, LATER],
  yearDays: [],
  cropIds: ['planting'],
  points: [],
};

interface Truth {
  readonly points: readonly MeasuredPoint[];
  readonly chipsLaterCm: number;
  readonly availableNowG: number;
  readonly rotRate: number;
}

/** Roughly normal with a spread of 1. */
const scatter = (next: () => number) => Array.from({ length: 12 }, next).reduce((sum, one) => sum + one, -6);

const chipsCm = ({ bed }: BedRun): number =>
  layerThicknessCm(
    bed.state.cohorts.find(({ traits }) => traits.id === 'chips')!,
    bed.constants.parameters.settlingShare,
  );

function truthOf(number: number): Truth {
  const next = seededStream(9_000 + number);
  const { scenario, modelError } = drawScenario(endingOn(SCENARIO, LATER + 2), 77, number);
  const run = startRun(scenario);
  const thickness = () => chipsCm(run);
  const availableG = () => {
    const { contactZoneG, rootZoneG } = mineralNitrogen(run.bed);
    return (contactZoneG + rootZoneG) * modelError.supplyFactor;
  };
  const points: MeasuredPoint[] = [];
  for (const day of LOOK_DAYS) {
    runTo(run, day);
    if (day === SOIL_TESTED_DAY) {
      const nitrogenGPerM2 = availableG() * Math.exp(MEASURING.mineralLogRatio * scatter(next));
      points.push({ type: 'mineralNitrogen', day, nitrogenGPerM2, sampledDepthCm: 30 });
    } else {
      const cm = thickness();
      const off = Math.hypot(MEASURING.thicknessCm, MEASURING.thicknessShare * cm) * scatter(next);
      points.push({ type: 'thickness', day: day - 1, layerId: 'chips', thicknessCm: Math.max(0, cm + off) });
    }
  }
  runTo(run, TODAY);
  const rate = rotRate(run, 'chips', TODAY)!;
  const availableNowG = availableG();
  runTo(run, LATER);
  return { points, chipsLaterCm: thickness(), availableNowG, rotRate: rate };
}

/** The prior draws, run once; each garden only weighs them anew. */
interface Prior {
  readonly outcome: DrawnOutcome;
  /** What each point would have come to in this draw, by its day. */
  readonly logsOf: (points: readonly MeasuredPoint[]) => { log: number; rate: number | null };
  readonly chipsLaterCm: number;
}

function priorOf(number: number): Prior {
  const { scenario, modelError } = drawScenario(endingOn(SCENARIO, LATER + 2), PLAN.seed, number);
  const looks = new Map<DayNumber, BedRun>();
  const run = startRun(scenario);
  for (const day of LOOK_DAYS) {
    runTo(run, day);
    looks.set(day, structuredClone(run));
  }
  runTo(run, TODAY);
  const rate = rotRate(run, 'chips', TODAY);
  runTo(run, LATER);
  return {
    outcome: drawOutcome({ scenario: SCENARIO, plan: PLAN, number }),
    logsOf: (points) => ({
      log: points.reduce(
        (sum, point) => sum + logLikelihood(looks.get(lookDay(point))!, point, modelError),
        0,
      ),
      rate,
    }),
    chipsLaterCm: chipsCm(run),
  };
}

let priors: Prior[];
let truths: Truth[];
const inputs = drawnInputs(SCENARIO, PLAN);

beforeAll(() => {
  priors = Array.from({ length: DRAWS }, (_, i) => priorOf(i));
  truths = Array.from({ length: GARDENS }, (_, i) => truthOf(i));
});

/** The available nitrogen of today is replaced by the thickness to come where `what` says so: both are bands. */
function rangeFor(truth: Truth | null, what: 'chips' | 'nitrogen') {
  const outcomes = priors.map(({ outcome, logsOf, chipsLaterCm }) => {
    const { log, rate } = truth ? logsOf(truth.points) : { log: 0, rate: null };
    const availableG = what === 'chips' ? outcome.availableG.map(() => chipsLaterCm) : outcome.availableG;
    return { ...outcome, availableG, logLikelihood: log, rotRates: { chips: rate } };
  });
  return likelyRange({
    outcomes,
    inputs,
    plan: { ...PLAN, points: truth ? truth.points : [] },
    harmlessShare: 0.1,
  });
}

const ends = (range: ReturnType<typeof rangeFor>) => {
  const { low, middle, high } = range.availableG;
  return { low: low[0], middle: middle[0], high: high[0] };
};

describe('learning from the log, on gardens whose truth is known', () => {
  let before: ReturnType<typeof ends>;
  let after: { readonly truth: Truth; readonly range: ReturnType<typeof rangeFor> }[];
  beforeAll(() => {
    before = ends(rangeFor(null, 'chips'));
    after = truths.map((truth) => ({ truth, range: rangeFor(truth, 'chips') }));
  });

  it('holds the true thickness to come in its 8-in-10 band about that often', () => {
    const covered = after.filter(({ truth, range }) => {
      const { low, high } = ends(range);
      return truth.chipsLaterCm >= low && truth.chipsLaterCm <= high;
    }).length;
    expect(covered).toBeGreaterThanOrEqual(LEAST_COVERED);
    expect(covered).toBeLessThanOrEqual(MOST_COVERED);
  });
  it('narrows the band, and forecasts better than without the log', () => {
    const width = after.reduce((sum, { range }) => sum + ends(range).high - ends(range).low, 0) / GARDENS;
    expect(width).toBeLessThan(0.65 * (before.high - before.low));
    const off = (middleOf: (i: number) => number) =>
      truths.reduce((sum, { chipsLaterCm }, i) => sum + Math.abs(middleOf(i) - chipsLaterCm), 0);
    expect(off((i) => ends(after[i].range).middle)).toBeLessThan(0.75 * off(() => before.middle));
  });
  it('does better, and covers as well, for what was measured only once: the nitrogen of the soil', () => {
    const prior = ends(rangeFor(null, 'nitrogen'));
    const learnt = truths.map((truth) => ends(rangeFor(truth, 'nitrogen')));
    const covered = learnt.filter(
      ({ low, high }, i) => truths[i].availableNowG >= low && truths[i].availableNowG <= high,
    ).length;
    expect(covered).toBeGreaterThanOrEqual(LEAST_COVERED);
    expect(covered).toBeLessThanOrEqual(MOST_COVERED);
    const off = (middleOf: (i: number) => number) =>
      truths.reduce((sum, { availableNowG }, i) => sum + Math.abs(middleOf(i) - availableNowG), 0);
    expect(off((i) => learnt[i].middle)).toBeLessThan(off(() => prior.middle));
  });
  it('says how fast the layer rots here, and is right about it', () => {
    const rates = after.map(({ range }) => range.learnt!.rates[0]);
    const byTheBook = priors.map(({ logsOf }) => logsOf([]).rate!).sort((a, b) => a - b)[DRAWS / 2];
    const covered = rates.filter(({ low, high }, i) => {
      const factor = truths[i].rotRate / byTheBook;
      return factor >= low * 0.99 && factor <= high * 1.01;
    }).length;
    expect(covered).toBeGreaterThanOrEqual(LEAST_COVERED);
    expect(covered).toBeLessThanOrEqual(MOST_COVERED);
    const fast = truths.findIndex(({ rotRate: rate }) => rate > 1.35 * byTheBook);
    expect(fast).toBeGreaterThanOrEqual(0);
    expect(rates[fast].factor).toBeGreaterThan(1.1);
  });
  it('tells how many draws carry the answer', () => {
    for (const { range } of after) {
      expect(range.learnt!.points).toBe(6);
      expect(range.learnt!.effectiveDraws).toBeGreaterThanOrEqual(29.9);
      expect(range.learnt!.effectiveDraws).toBeLessThan(DRAWS);
    }
  });
  it('says the same twice, and nothing without measurements', () => {
    expect(rangeFor(truths[0], 'chips')).toEqual(rangeFor(truths[0], 'chips'));
    expect(rangeFor(null, 'chips').learnt).toBeNull();
  });
});

describe('a draw that is measured', () => {
  it('reads its points on the way and ends up where an unmeasured one does', () => {
    const { points } = truths[3];
    const plain = drawOutcome({ scenario: SCENARIO, plan: PLAN, number: 5 });
    const measured = drawOutcome({ scenario: SCENARIO, plan: { ...PLAN, points }, number: 5 });
    expect(measured.availableG).toEqual(plain.availableG);
    expect(plain.logLikelihood).toBe(0);
    expect(measured.logLikelihood).toBeCloseTo(priors[5].logsOf(points).log, 9);
    expect(measured.rotRates.chips).toBeGreaterThan(0);
  });
  it('goes no further than this morning, and leaves out what lies ahead', () => {
    const seen = (day: DayNumber): MeasuredPoint => ({
      type: 'thickness',
      day,
      layerId: null,
      thicknessCm: 4,
    });
    const plain = drawOutcome({ scenario: SCENARIO, plan: PLAN, number: 5 });
    const today = drawOutcome({ scenario: SCENARIO, plan: { ...PLAN, points: [seen(TODAY)] }, number: 5 });
    expect(today.availableG).toEqual(plain.availableG);
    expect(today.logLikelihood).toBeLessThan(0);
    const ahead = drawOutcome({
      scenario: SCENARIO,
      plan: { ...PLAN, points: [seen(LATER + 400)] },
      number: 5,
    });
    expect([ahead.availableG, ahead.logLikelihood]).toEqual([plain.availableG, 0]);
  });
});
