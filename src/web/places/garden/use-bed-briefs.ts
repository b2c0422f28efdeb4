import { useQueries, useQueryClient } from '@tanstack/react-query';
import { useMemo } from 'react';
import type { BedRecord } from '../../../records/bed.ts';
import type { GardenBooks } from '../../../contract/garden-books.ts';
import type { BedBrief } from '../../../core/bed/index.ts';
import { useArrivals, useSame } from '../../ui/arrivals/use-arrivals.ts';
import { briefQuery, questionAbout } from '../../worker/questions.ts';

export interface BriefedBed {
  readonly bed: BedRecord;
  /** Undefined while the model is at work on it. */
  readonly brief: BedBrief | undefined;
  /** Why the model cannot work it out. */
  readonly refusal: string | undefined;
}

/** How every bed of a garden stands today; each arrives when it is ready. */
export function useBedBriefs(books: GardenBooks): readonly BriefedBed[] {
  const { beds, today } = books;
  const client = useQueryClient();
  // Made once: a question is written out to find its answer, and beds arrive one by one.
  const queries = useMemo(() => {
    const asked = beds.map(({ id }, turn) => briefQuery(questionAbout(books, id, today), turn));
    // Asked while the page is drawn, not after: what is kept on the device is found meanwhile.
    for (const one of asked) client.query(one).catch(() => undefined);
    return asked;
  }, [books, beds, today, client]);
  const answers = useQueries({ queries });
  const briefed = beds.map((bed, i) => {
    const answer = answers[i]?.data;
    return sameAsBefore({
      bed,
      brief: answer?.ok ? answer.result : undefined,
      refusal: answer && !answer.ok ? answer.sentence : undefined,
    });
  });
  const isWhole = answers.every(({ data }) => data !== undefined);
  const shown = useArrivals(useSame(briefed), isWhole);
  // Another garden, or another bed, is not waited for.
  return shown.length === briefed.length && shown.every(({ bed }, i) => bed === beds[i]) ? shown : briefed;
}

const last = new WeakMap<BedRecord, BriefedBed>();

/** The same object while nothing of a bed is new, so that only its own line is drawn again when it arrives. */
function sameAsBefore(now: BriefedBed): BriefedBed {
  const before = last.get(now.bed);
  if (before && before.brief === now.brief && before.refusal === now.refusal) return before;
  last.set(now.bed, now);
  return now;
}
