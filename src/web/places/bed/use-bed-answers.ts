import { useQuery } from '@tanstack/react-query';
import { useDeferredValue, useMemo, useState } from 'react';
import type { GardenBooks } from '../../../contract/garden-books.ts';
import type { BedProjection, MonthBooks } from '../../../core/bed/index.ts';
import type { OutlookYear } from '../../../core/long-run/index.ts';
import type { BedQuestion, FullPlan, Worked } from '../../worker/core-worker.ts';
import { adviceQuery, booksQuery, nearQuery, questionAbout, yearsQuery } from '../../worker/questions.ts';

export interface BedAnswers {
  readonly projection: BedProjection | undefined;
  /** The records that projection was worked out from: what it shows is called by them. */
  readonly drawnFrom: GardenBooks;
  /** What was asked to get that projection. */
  readonly drawnQuestion: BedQuestion;
  readonly advice: FullPlan | undefined;
  readonly books: MonthBooks | undefined;
  readonly years: readonly OutlookYear[] | undefined;
  /** What the model says against the records. */
  readonly refusal: { readonly field: string; readonly sentence: string } | null;
  readonly isAdviceStale: boolean;
  /** What was asked last, and whether all of it has been answered. */
  readonly question: BedQuestion;
  readonly isAnswered: boolean;
}

/** The last answer that was one: a refusal leaves what was on show where it is. */
function useLastGood<Result>(answer: Worked<Result> | undefined): Result | undefined {
  const [last, setLast] = useState<Result | undefined>(undefined);
  if (answer?.ok && answer.result !== last) setLast(answer.result);
  return answer?.ok ? answer.result : last;
}

interface Drawn {
  readonly projection: BedProjection;
  readonly records: GardenBooks;
  readonly question: BedQuestion;
}

/** The last projection with the records and the question it belongs to, so that all of it changes at once. */
function useDrawn(
  answer: Worked<BedProjection> | undefined,
  records: GardenBooks,
  question: BedQuestion,
): Drawn | undefined {
  const [last, setLast] = useState<Drawn | undefined>(undefined);
  if (!answer?.ok || (question === last?.question && records === last.records)) return last;
  const drawn = { projection: answer.result, records, question };
  setLast(drawn);
  return drawn;
}

/** Everything the bed page shows, worked out from records that may hold a draft. */
export function useBedAnswers(records: GardenBooks, bedId: string): BedAnswers {
  const question = useMemo(() => questionAbout(records, bedId, records.today), [records, bedId]);
  const settled = useDeferredValue(question);
  const near = useQuery(nearQuery(question));
  // Deferred: what an answer changes is drawn in slices, so that the hand on an edge is never held up.
  const drawn = useDeferredValue(useDrawn(near.isPlaceholderData ? undefined : near.data, records, question));
  // One thing after the other: the drawing has the machine to itself until it stands on the screen.
  const isDrawn = drawn?.question === settled;
  const advice = useQuery({ ...adviceQuery(settled), enabled: isDrawn });
  const isAdvised = isDrawn && advice.isSuccess && !advice.isPlaceholderData;
  const books = useQuery({ ...booksQuery(settled), enabled: isAdvised });
  const years = useQuery({ ...yearsQuery(settled), enabled: isAdvised });
  const lastAdvice = useDeferredValue(useLastGood(advice.data));
  const lastBooks = useDeferredValue(useLastGood(books.data));
  const lastYears = useDeferredValue(useLastGood(years.data));
  return {
    projection: drawn?.projection,
    drawnFrom: drawn?.records ?? records,
    drawnQuestion: drawn?.question ?? question,
    advice: lastAdvice,
    years: lastYears,
    books: lastBooks,
    refusal: near.data && !near.data.ok ? near.data : null,
    isAdviceStale:
      settled !== question || !isAdvised || (advice.data.ok && advice.data.result !== lastAdvice),
    question: settled,
    isAnswered: years.isSuccess && !years.isPlaceholderData && settled === question,
  };
}
