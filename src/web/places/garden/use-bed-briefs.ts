import { useQueries } from '@tanstack/react-query';
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
  const answers = useQueries({
    queries: beds.map((bed, i) => briefQuery(questionAbout(books, bed.id, today), i)),
  });
  return beds.map((bed, i) => {
    const answer = answers[i]?.data;
    return {
      bed,
      brief: answer?.ok ? answer.result : undefined,
      refusal: answer && !answer.ok ? answer.sentence : undefined,
    };
  });
}
