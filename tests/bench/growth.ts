import { runTo, startRun } from '../../src/core/model/simulation/run.ts';
import { report, timed } from './report.ts';
import { tenYears } from './ten-years.ts';

/** How the time of the model grows, and how far it is from the least that the same arithmetic costs. */

/** `isAtOnce`: all batches are laid in the first month, so that years are all that grows. */
function simulate(batches: number, years: number, seed = 0, isAtOnce = false): void {
  const planned = tenYears(batches, seed);
  const scenario = isAtOnce
    ? { ...planned, events: planned.events.map((event, i) => ({ ...event, day: planned.startDay + 30 + i })) }
    : planned;
  const endDay = scenario.startDay + Math.round(years * 365.25);
  const run = startRun({
    ...scenario,
    endDay,
    events: scenario.events.filter(({ day }) => day < endDay),
    crops: scenario.crops.filter(({ harvestDay }) => harvestDay < endDay),
  });
  runTo(run, endDay);
}

interface Measured {
  readonly size: number;
  readonly ms: number;
}

/** The exponent of the growth between the smallest and the largest: 1 is linear, below it better. */
function exponentOf(points: readonly Measured[]): number {
  const [first, last] = [points[0], points[points.length - 1]];
  return Math.log(last.ms / first.ms) / Math.log(last.size / first.size);
}

function grow(what: string, sizes: readonly number[], work: (size: number) => void): void {
  const points = sizes.map((size) => ({ size, ms: timed(() => work(size), 7, 2).median }));
  const shown = points.map(({ size, ms }) => `${size}: ${ms.toFixed(1)} ms`).join(', ');
  const exponent = exponentOf(points);
  console.log(
    `${what.padEnd(34)} ${shown}; grows with size^${exponent.toFixed(2)}: ${exponent <= 1.1 ? 'linear or better' : 'MORE than linear'}`,
  );
}

grow('beds (10 years, 12 batches)', [4, 8, 16, 32], (beds) => {
  for (let bed = 0; bed < beds; bed++) simulate(12, 10, bed);
});
grow('years (12 batches from the start)', [2, 4, 8], (years) => simulate(12, years, 0, true));
grow('years (a batch every ten months)', [2, 4, 8], (years) => simulate(12, years));
grow('batches (10 years)', [12, 24, 48, 96], (batches) => simulate(batches, 10));

const POOLS = 5;
const STEPS = 3652 * 2;
const PACES = [1.2, 0.5, 0.05, 2.5, 0.02];

/**
 * The least the same run can cost in this language: five pools of carbon and five of nitrogen of every batch that lies
 * there, one exponential each for a sub-step, and nothing else: no sharing of nitrogen, no books, no crops, no water.
 */
function plainLoop(batches: number): number {
  const carbon = new Float64Array(batches * POOLS).fill(100);
  const nitrogen = new Float64Array(batches * POOLS).fill(3);
  const every = STEPS / batches;
  for (let step = 0; step < STEPS; step++) {
    const warmth = 1 + 0.5 * Math.sin(step / 116);
    const there = Math.min(batches, 1 + Math.floor(step / every)) * POOLS;
    for (let i = 0; i < there; i++) {
      const left = Math.exp((-PACES[i % POOLS] * warmth) / 730);
      carbon[i] *= left;
      nitrogen[i] *= left;
    }
  }
  return carbon[0] + nitrogen[1];
}
let kept = 0;
const least = timed(() => (kept += plainLoop(12)), 20, 5);
const ours = timed(() => simulate(12, 10), 20, 5);
report('plain loop over the same pools, one exponential each', least, null);
console.log(
  `${'the model against that lower bound'.padEnd(58)} ${(ours.median / least.median).toFixed(1)} times it (${ours.median.toFixed(1)} ms)${kept < 0 ? '!' : ''}`,
);
