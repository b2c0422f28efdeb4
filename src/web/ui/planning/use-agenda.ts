import { useQueries, useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import type { GardenBooks } from '../../../contract/garden-books.ts';
import { type AgendaItem, agendaOf } from '../../../core/season/index.ts';
import { dayOf } from '../../../words/dates.ts';
import { useArrivals, useSame } from '../arrivals/use-arrivals.ts';
import { agendaQuery, questionAbout, questionAboutYard, yardQuery } from '../../worker/questions.ts';

export interface Agenda {
  readonly items: readonly AgendaItem[];
  /** Beds and yard whose tasks are still being worked out. */
  readonly waiting: number;
  /** Why the model cannot work something out. */
  readonly refusals: readonly string[];
}

/** Everything the records of a garden imply, with what was ticked off and postponed; each bed arrives when it is ready. */
export function useAgenda(books: GardenBooks): Agenda {
  const { beds, journal, today } = books;
  const questions = useMemo(
    () => beds.map(({ id }) => questionAbout(books, id, today)),
    [books, beds, today],
  );
  const answers = useQueries({ queries: questions.map(agendaQuery) });
  const brews = useMemo(() => journal.filter((one) => one.kind === 'brew'), [journal]);
  const yard = useMemo(() => questionAboutYard(books, brews, today), [books, brews, today]);
  const hasYard = books.lots.length > 0 || brews.length > 0;
  const yardAnswer = useQuery({ ...yardQuery(yard), enabled: hasYard });
  const all = [...answers.map(({ data }) => data), ...(hasYard ? [yardAnswer.data] : [])];
  const waiting = all.filter((answer) => answer === undefined).length;
  const arrived = useSame(all.flatMap((answer) => answer ?? []));
  const shown = useArrivals(arrived, waiting === 0);
  const items = useMemo(
    () =>
      agendaOf(
        shown.flatMap((answer) => (answer.ok ? answer.result : [])),
        journal,
        dayOf(today),
      ),
    [shown, journal, today],
  );
  return {
    items,
    // What has arrived and is not shown yet is still waited for.
    waiting: shown === arrived ? waiting : Math.max(1, waiting),
    refusals: shown.flatMap((answer) => (answer.ok ? [] : [answer.sentence])),
  };
}
