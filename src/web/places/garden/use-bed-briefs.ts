import { useQueries } from '@tanstack/react-query';
import { useMemo } from 'react';
import type { BedRecord } from '../../../records/bed.ts';
import type { GardenBooks } from '../../../contract/garden-books.ts';
import type { BedBrief } from '../../worker/core-worker.ts';
import { briefQuery, questionAbout } from '../../worker/questions.ts';

export interface BriefedBed {
  readonly bed: BedRecord;
  /** Undefined while the model is at work on it. */
  readonly brief: BedBrief | undefined;
  /** Why the model cannot work it out. */
  readonly refusal: string | undefined;
}

/** How every bed of a garden stands today; each arrives when it is ready. */
export function useBedBriefs(books: GardenBooks): BriefedBed[] {
  const { beds, today } = books;
  // Made once: a question is written out to find its answer, and beds arrive one by one.
  const questions = useMemo(
    () => beds.map(({ id }) => questionAbout(books, id, today)),
    [books, beds, today],
  );
  const answers = useQueries({ queries: questions.map(briefQuery) });
  return beds.map((bed, i) => {
    const answer = answers[i]?.data;
    return {
      bed,
      brief: answer?.ok ? answer.result : undefined,
      refusal: answer && !answer.ok ? answer.sentence : undefined,
    };
  });
}
