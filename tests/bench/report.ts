import { readFileSync } from 'node:fs';

export interface Times {
  readonly least: number;
  readonly median: number;
  readonly most: number;
}

/** Least, median and most of some measured times, ms; not empty. */
export function timesOf(measured: readonly number[]): Times {
  const times = [...measured].sort((a, b) => a - b);
  return { least: times[0], median: times[Math.floor(times.length / 2)], most: times[times.length - 1] };
}

const ms = (value: number): string => `${value.toFixed(value < 10 ? 2 : 1)} ms`;

/** Prints times beside the bar they are held to. A bar missed is said, not hidden. */
export function report(what: string, { least, median, most }: Times, barMs: number | null = null): void {
  const verdict = barMs === null ? '' : median <= barMs ? `bar ${barMs} ms: met` : `bar ${barMs} ms: MISSED`;
  console.log(`${what.padEnd(58)} least ${ms(least)}, median ${ms(median)}, most ${ms(most)}  ${verdict}`);
}

/** Runs `work` a few times to warm up, then `rounds` times by the clock. */
export function timed(work: () => void, rounds: number, warmUps = 3): Times {
  for (let i = 0; i < warmUps; i++) work();
  return timesOf(Array.from({ length: rounds }, () => clocked(work)));
}

const clocked = (work: () => void): number => {
  const start = performance.now();
  work();
  return performance.now() - start;
};

/**
 * Runs `work` and a yardstick in turns: times of both, and of each turn how many yardsticks the work took, which a
 * machine that changes its pace does not change.
 */
export function pacedBy(
  yardstick: () => void,
  work: () => void,
  rounds: number,
  warmUps: number,
): { readonly work: Times; readonly yardstick: Times; readonly ratio: Times } {
  for (let i = 0; i < warmUps; i++) {
    yardstick();
    work();
  }
  const turns = Array.from({ length: rounds }, () => ({ yard: clocked(yardstick), work: clocked(work) }));
  return {
    work: timesOf(turns.map((turn) => turn.work)),
    yardstick: timesOf(turns.map((turn) => turn.yard)),
    ratio: timesOf(turns.map((turn) => turn.work / turn.yard)),
  };
}

/** Memory of a process, MB. */
export const memoryMb = (pid: number): number =>
  Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))?.[1]) / 1024;
