import { useQueries } from '@tanstack/react-query';
import { useMemo } from 'react';
import type { GardenBooks } from '../../../contract/garden-books.ts';
import { isUnexpected } from '../../../core/season/index.ts';
import { logQuery, questionAbout } from '../../worker/questions.ts';
import { observationsOf } from './observations-of.ts';

export interface Unexpected {
  /** Ids of observations that were worse than the model expected, or off. */
  readonly ids: ReadonlySet<string>;
  /** Beds whose log is still being held against the model. */
  readonly waiting: number;
}

/** What was not as expected in the whole garden; nothing is worked out until it is wanted. */
export function useUnexpected(books: GardenBooks, isWanted: boolean): Unexpected {
  const asked = useMemo(
    () =>
      isWanted
        ? books.beds
            .map(({ id }) => ({ bedId: id, observations: observationsOf(books.journal, id) }))
            .filter(({ observations }) => observations.length > 0)
            .map(({ bedId, observations }) => ({
              question: questionAbout(books, bedId, books.today),
              observations,
            }))
        : [],
    [books, isWanted],
  );
  const answers = useQueries({
    queries: asked.map(({ question, observations }, i) => logQuery(question, observations, i)),
  });
  const ids = new Set(
    answers.flatMap(({ data }) =>
      data?.ok
        ? Object.entries(data.result).flatMap(([id, one]) => (one && isUnexpected(one) ? [id] : []))
        : [],
    ),
  );
  return { ids, waiting: answers.filter(({ data }) => data === undefined).length };
}
