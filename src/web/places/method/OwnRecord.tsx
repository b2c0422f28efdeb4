import { useQueries } from '@tanstack/react-query';
import { useMemo } from 'react';
import { Link } from 'react-router';
import { dayOf } from '../../../words/dates.ts';
import { seenSummary } from '../../../words/year-words.ts';
import { useBooks } from '../../app/garden-context.ts';
import { FoundList, type Found } from '../../ui/log/FoundList.tsx';
import { observationsOf } from '../../ui/log/observations-of.ts';
import { logQuery, questionAbout } from '../../worker/questions.ts';

const MOST_SHOWN = 8;

/** What was found in the garden beside what the model expected: of one bed, or of all beds together. */
export function OwnRecord({ bedId }: { readonly bedId: string | null }) {
  const books = useBooks();
  const bed = books.beds.find(({ id }) => id === bedId);
  const asked = useMemo(
    () =>
      books.beds
        .filter(({ id }) => bed === undefined || id === bed.id)
        .map(({ id }) => ({
          question: questionAbout(books, id, books.today),
          observations: observationsOf(books.journal, id),
        }))
        .filter(({ observations }) => observations.length > 0),
    [books, bed],
  );
  const answers = useQueries({
    queries: asked.map(({ question, observations }, i) => logQuery(question, observations, i)),
  });
  const isWaiting = answers.some(({ data }) => data === undefined);
  const found = answers
    .flatMap(({ data }, i): Found[] =>
      asked[i]!.observations.flatMap((observation) => {
        const expectation = data?.ok ? data.result[observation.id] : null;
        return expectation ? [{ observation, expectation }] : [];
      }),
    )
    .toSorted((a, b) => b.observation.date.localeCompare(a.observation.date));
  const where = bed ? `the log of ${bed.name}` : 'the log of this garden';
  return (
    <section aria-label="Your own record">
      <h2>{bed ? `What was found on ${bed.name}` : 'What was found in this garden'}</h2>
      <p role="status">
        {isWaiting
          ? 'Holding the log against the model …'
          : seenSummary(
              found.map(({ expectation }) => expectation),
              where,
            )}
      </p>
      <FoundList found={found.slice(0, MOST_SHOWN)} today={dayOf(books.today)} />
      <p className="soft">
        Soil tests beside what the model had found stand on the{' '}
        <Link to={`/garden/${books.garden.id}/year${bed ? `?bed=${bed.id}` : ''}`}>sheet of each year</Link>.
        What you see and measure in the <Link to={`/garden/${books.garden.id}/log`}>logbook</Link> narrows the
        ranges of a bed.
      </p>
    </section>
  );
}
