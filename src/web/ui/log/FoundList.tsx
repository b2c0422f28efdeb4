import type { Expectation } from '../../../core/season/index.ts';
import type { Observation } from '../../../records/journal.ts';
import { dateNear, dayOf } from '../../../words/dates.ts';
import { expectedInWords, observedInWords, verdictWords } from '../../../words/journal-words.ts';
import { useMeasures } from '../../app/garden-context.ts';
import './log.css';

export interface Found {
  readonly observation: Observation;
  readonly expectation: Expectation;
}

/** What was seen on a bed, line by line, with what the model had expected. Days are told near `today`. */
export function FoundList({ found, today }: { readonly found: readonly Found[]; readonly today: number }) {
  const measures = useMeasures();
  return (
    <ul className="log-lines">
      {found.map(({ observation, expectation }) => {
        const { mark, word } = verdictWords(expectation);
        return (
          <li key={observation.id}>
            <span className="soft">{dateNear(dayOf(observation.date), today)}</span>{' '}
            {observedInWords(observation.observed, measures)}:{' '}
            <span className={`verdict-${expectation.verdict}`}>
              {mark} {word}
            </span>
            <span className="soft">; {expectedInWords(expectation.expected, measures)}</span>
          </li>
        );
      })}
    </ul>
  );
}
