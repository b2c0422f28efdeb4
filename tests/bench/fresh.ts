import { runTo, startRun } from '../../src/core/model/simulation/run.ts';
import { warmUp } from '../../src/web/worker/warm-up.ts';
import { timesOf } from './report.ts';
import { tenYears } from './ten-years.ts';

/** The first ten years of a bed in a thread that has just started, against the same when it is warm. */
const BAR_TIMES = 3;
const WARM_ROUNDS = 60;

function once(): number {
  const start = performance.now();
  const scenario = tenYears(12);
  runTo(startRun(scenario), scenario.endDay);
  return performance.now() - start;
}

const isCold = process.argv.includes('--cold');
// The worker of the pages warms up in slices; here they follow each other at once.
if (!isCold) {
  const due: (() => void)[] = [];
  warmUp((next) => due.push(next));
  while (due.length > 0) due.shift()!();
  // What the engine compiles beside the run is ready a moment later.
  await new Promise((resolve) => setTimeout(resolve, 300));
}
const first = once();
const rounds = Array.from({ length: WARM_ROUNDS }, once);
const warm = timesOf(rounds.slice(WARM_ROUNDS / 2)).median;
const times = first / warm;
const verdict = isCold ? '' : `bar ${BAR_TIMES} times: ${times <= BAR_TIMES ? 'met' : 'MISSED'}`;
console.log(
  `${`first 10 years in a fresh thread, ${isCold ? 'with nothing run before' : 'warmed up as the pages do'}`.padEnd(58)} ${first.toFixed(1)} ms, ${times.toFixed(1)} times the warm ${warm.toFixed(1)} ms  ${verdict}`,
);
