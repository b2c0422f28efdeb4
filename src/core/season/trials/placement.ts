import { seededStream } from '../../ground/index.ts';
import type { Trial } from '../../../records/journal.ts';

/** One plot, corner or pot: its place, and what it gets. */
export interface TrialPlot {
  /** Counted from 0. */
  readonly plot: number;
  /** Plots side by side that have every treatment once. */
  readonly block: number;
  readonly treatment: number;
}

/**
 * Where each treatment lies: every block has each treatment once, in an order drawn by the seed (Fisher-Yates), so that
 * no treatment gets the sunny end every time. The same seed gives the same places.
 */
export function placePlots({
  treatments,
  repeats,
  seed,
}: Pick<Trial, 'treatments' | 'repeats' | 'seed'>): TrialPlot[] {
  const next = seededStream(seed);
  // Neighboring seeds start alike: let the stream run in.
  for (let i = 0; i < 4; i++) next();
  return Array.from({ length: repeats }, (_, block) =>
    shuffled(treatments.length, next).map((treatment, i) => ({
      plot: block * treatments.length + i,
      block,
      treatment,
    })),
  ).flat();
}

function shuffled(count: number, next: () => number): number[] {
  const order = Array.from({ length: count }, (_, i) => i);
  for (let i = count - 1; i > 0; i--) {
    const j = Math.floor(next() * (i + 1));
    [order[i], order[j]] = [order[j], order[i]];
  }
  return order;
}
