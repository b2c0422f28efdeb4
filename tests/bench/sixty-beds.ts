import { isMainThread, parentPort, Worker } from 'node:worker_threads';
import { runTo, startRun } from '../../src/core/model/simulation/run.ts';
import { report, timesOf } from './report.ts';
import { tenYears } from './ten-years.ts';

/** Ten years of sixty beds on two threads, as the pages run a garden. */
const BEDS = 60;
const THREADS = 2;
const ROUNDS = 7;
const BAR_MS = 800;

function simulate(bed: number): void {
  const scenario = tenYears(12, bed);
  runTo(startRun(scenario), scenario.endDay);
}

/** A bed for whichever thread is free, until all are done; ms. */
function wholeGarden(threads: readonly Worker[]): Promise<number> {
  const start = performance.now();
  let next = 0;
  let done = 0;
  return new Promise((resolve) => {
    const ask = (thread: Worker): void => {
      if (next < BEDS) thread.postMessage(next++);
    };
    for (const thread of threads) {
      thread.removeAllListeners('message');
      thread.on('message', () => {
        if (++done === BEDS) resolve(performance.now() - start);
        else ask(thread);
      });
      ask(thread);
    }
  });
}

if (isMainThread) {
  const threads = Array.from({ length: THREADS }, () => new Worker(new URL(import.meta.url)));
  await wholeGarden(threads);
  const times: number[] = [];
  for (let i = 0; i < ROUNDS; i++) times.push(await wholeGarden(threads));
  report(`${BEDS} beds, 10 years daily, 12 batches each, two threads`, timesOf(times), BAR_MS);
  await Promise.all(threads.map((thread) => thread.terminate()));
} else {
  parentPort!.on('message', (bed: number) => {
    simulate(bed);
    parentPort!.postMessage(bed);
  });
}
