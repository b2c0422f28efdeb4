import { useMemo, useState } from 'react';
import type { BedRecord } from '../../../records/bed.ts';
import type { GardenBooks } from '../../../contract/garden-books.ts';
import type { YearsPlan } from '../../worker/years-answers.ts';
import { recordsForYears } from '../../worker/questions.ts';
import type { Line } from './lines.ts';

type Asked = Omit<YearsPlan, 'key'>;
interface Settled {
  readonly signature: string;
  readonly plan: YearsPlan | null;
}

const settled = (signature: string, asked: Asked): Settled => ({
  signature,
  plan: asked.habits.length === 0 ? null : { ...asked, key: crypto.randomUUID() },
});

/** What is to be followed, the same one as long as nothing about it changes; null while nothing is chosen. */
export function usePlan({
  books,
  beds,
  lines,
  years,
  isGarden,
}: {
  readonly books: GardenBooks;
  readonly beds: readonly BedRecord[];
  readonly lines: readonly Line[];
  readonly years: number;
  readonly isGarden: boolean;
}): YearsPlan | null {
  const records = useMemo(() => recordsForYears(books), [books]);
  const recordsSignature = useMemo(() => JSON.stringify(records), [records]);
  const bedIds = beds.map(({ id }) => id);
  const habits = lines.map(({ followed }) => followed);
  const lineIds = lines.map(({ id }) => id);
  const signature = JSON.stringify([bedIds, lineIds, habits, years, isGarden]) + recordsSignature;
  const asked: Asked = { records, today: books.today, years, bedIds, habits, lineIds, sparesPaths: isGarden };
  const [known, setKnown] = useState(() => settled(signature, asked));
  if (known.signature !== signature) setKnown(settled(signature, asked));
  return known.plan;
}
