import { counted } from './counted.ts';
import type { Learnt, LearntRate } from '../core/bed/index.ts';
import type { BedNames } from './advice-words.ts';
import { formatFixed, formatPercent, plainFigure } from './figures.ts';
import { inputWords } from './range-words.ts';

/** A rate this near to the book's is the book's. */
const SAME_FROM = 0.9;
const SAME_UP_TO = 1.12;

function rateSentence({ layerId, factor, low, high }: LearntRate, names: BedNames): string {
  const layer = names.layer(layerId);
  const range = `(likely ${plainFigure(low, 2)} to ${plainFigure(high, 2)})`;
  if (factor >= SAME_FROM && factor <= SAME_UP_TO) {
    return `${layer}: rotting here about as fast as the model expects ${range}.`;
  }
  return `${layer}: rotting here about ${plainFigure(factor, 2)} times as fast as the model expects ${range}.`;
}

const moved = (before: number, after: number): string =>
  `${after > before ? 'rather high' : 'rather low'} in its range (${formatPercent(before)} before, ${formatPercent(after)} now)`;

/** What the log has taught, and how much it weighs. */
export function learntSentences(learnt: Learnt, names: BedNames): string[] {
  const { points, draws, effectiveDraws, evidenceUsed, rates, inputs } = learnt;
  const weakened =
    evidenceUsed < 0.995
      ? `, at ${formatPercent(evidenceUsed)} of their weight, since few of the likely beds fit them`
      : '';
  return [
    ...rates.map((rate) => rateSentence(rate, names)),
    ...inputs.map(({ input, before, after }) => {
      const words = inputWords(input, names);
      return `Your log says: ${words.replace(/ \(.*\)$/, '')} is ${moved(before, after)}.`;
    }),
    `Learned from ${counted(points, 'measurement')}${weakened}: ${formatFixed(effectiveDraws, 0)} of ${draws} likely beds agree with them.`,
  ];
}
