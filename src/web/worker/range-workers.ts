import { wrap, type Remote } from 'comlink';
import type { DrawnOutcome } from '../../core/projection/likely-range.ts';
import type { BedQuestion, CoreWorker, RangeSetUp } from './core-worker.ts';

/** Draws are asked for in small lots, so that another question waits no longer than one of them takes. */
const LOT = 4;
const WORKERS = 2;
export const ALL_DRAWS = 400;

interface Drawer {
  readonly worker: Worker;
  readonly core: Remote<CoreWorker>;
}

let drawers: readonly Drawer[] | undefined;

const startDrawer = (): Drawer => {
  const worker = new Worker(new URL('./core-worker.ts', import.meta.url), { type: 'module' });
  return { worker, core: wrap<CoreWorker>(worker) };
};

/** Two threads of their own: what is drawn on screen never waits behind them. */
const startedDrawers = (): readonly Drawer[] =>
  (drawers ??= Array.from({ length: WORKERS }, () => startDrawer()));

/**
 * Draws of a bed, told as they come; resolves when all are drawn or `signal` ends it. Each thread takes the next lot
 * when it has done one.
 */
export async function drawAll(
  question: BedQuestion,
  signal: AbortSignal,
  onSetUp: (setUp: RangeSetUp) => void,
  onDrawn: (outcomes: readonly DrawnOutcome[]) => void,
): Promise<void> {
  const [first] = startedDrawers();
  const setUp = await first!.core.rangeSetUp(question);
  if (signal.aborted || !setUp.ok) return;
  onSetUp(setUp.result);
  const isOver = () => signal.aborted;
  let next = 0;
  const drawOn = async ({ core }: Drawer): Promise<void> => {
    while (next < ALL_DRAWS && !isOver()) {
      const from = next;
      next += LOT;
      const drawn = await core.draws(question, setUp.result.plan, from, LOT);
      if (isOver() || !drawn.ok) return;
      onDrawn(drawn.result);
    }
  };
  await Promise.all(startedDrawers().map(drawOn));
}
