import { useMeasures } from '../../app/garden-context.ts';
import { memo } from 'react';
import type { DayNumber } from '../../../core/ground/index.ts';
import { conflictInWords, waitInWords, type RecordNames } from '../../../words/conflict-words.ts';
import { limitInWords } from '../../../words/limit-words.ts';
import type { FullPlan } from '../../worker/core-worker.ts';

interface MindListProps {
  readonly advice: FullPlan;
  readonly names: RecordNames;
  readonly today: DayNumber;
}

/** What clashes in the books of the bed, and which harvests must wait. */
export const MindList = memo(function MindList({
  advice: { conflicts, limits, waits },
  names,
  today,
}: MindListProps) {
  const measures = useMeasures();
  const sentences = [
    ...waits.filter(({ isTooEarly }) => isTooEarly).map((wait) => waitInWords(wait, names, today)),
    ...conflicts.map((conflict) => conflictInWords({ conflict, names, measures, today })),
    ...limits.map((limit) => limitInWords(limit, measures, today)),
    ...waits.filter(({ isTooEarly }) => !isTooEarly).map((wait) => waitInWords(wait, names, today)),
  ];
  if (sentences.length === 0) return null;
  return (
    <ul className="cautions mind-list" aria-label="Watch out on this bed">
      {[...new Set(sentences)].map((sentence) => (
        <li key={sentence}>
          <span aria-hidden="true">⚠ </span>
          {sentence}
        </li>
      ))}
    </ul>
  );
});
