import { useQueries, useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import type { GardenBooks } from '../../../contract/garden-books.ts';
import { type AgendaItem, agendaOf } from '../../../core/season/index.ts';
import { dayOf } from '../../../words/dates.ts';
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
  const tasks = all.flatMap((answer) => (answer?.ok ? answer.result : []));
  return {
    items: agendaOf(tasks, journal, dayOf(today)),
    waiting: all.filter((answer) => answer === undefined).length,
    refusals: all.flatMap((answer) => (answer && !answer.ok ? [answer.sentence] : [])),
  };
}
