import type { Observation } from '../../records/journal.ts';
import type { DrawnOutcome } from '../../core/bed/index.ts';
import type { Reach } from './core-worker.ts';
import type { BedQuestion, RangeSetUp } from './core-worker.ts';
import { startCore, type CoreThread } from './start-core.ts';

const WORKERS = 2;
export const ALL_DRAWS = 400;
/** The season shows first; then as many draws as a ten-year band needs run on; the rest sharpen the season. */
const FIRST_OF_YEARS = 24;
const DRAWS_OF_YEARS = 100;

const reachOf = (number: number): Reach =>
  number >= FIRST_OF_YEARS && number < FIRST_OF_YEARS + DRAWS_OF_YEARS ? 'years' : 'season';

let drawers: readonly CoreThread[] | undefined;

/** Two threads of their own: what is drawn on screen never waits behind them. */
export const startedDrawers = (): readonly CoreThread[] =>
  (drawers ??= Array.from({ length: WORKERS }, () => startCore()));

/** Starts the threads before they are needed. */
export const warmUp = (): void => void startedDrawers();

/**
 * Draws of a bed, reported as they come; resolves when all are drawn or `signal` ends it. Each thread takes the next draw
 * when it has done one, so that whatever is asked meanwhile waits for one draw at most.
 */
export async function drawAll({
  question,
  observations,
  signal,
  onSetUp,
  onDrawn,
}: {
  readonly question: BedQuestion;
  readonly observations: readonly Observation[] | null;
  readonly signal: AbortSignal;
  readonly onSetUp: (setUp: RangeSetUp) => void;
  readonly onDrawn: (outcome: DrawnOutcome) => void;
}): Promise<void> {
  const isOver = () => signal.aborted;
  const [setUp] = await Promise.all(
    startedDrawers().map(({ core }) => core.prepareDraws(question, observations)),
  );
  if (isOver() || !setUp!.ok) return;
  onSetUp(setUp!.result);
  let next = 0;
  const drawOn = async ({ core }: CoreThread): Promise<void> => {
    while (next < ALL_DRAWS && !isOver()) {
      const number = next++;
      const outcome = await core.draw(number, reachOf(number));
      if (isOver() || !outcome) return;
      onDrawn(outcome);
    }
  };
  await Promise.all(startedDrawers().map(drawOn));
}
