import type { JournalRecord } from '../../../contract/journal-records.ts';
import type { Observation } from '../../../core/journal/journal-records.ts';

/** What was observed on one bed, by day. */
export const observationsOf = (journal: readonly JournalRecord[], bedId: string): Observation[] =>
  journal.flatMap((one) => (one.kind === 'observation' && one.bedId === bedId ? [one] : []));
