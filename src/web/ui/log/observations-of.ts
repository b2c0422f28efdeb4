import type { JournalRecord, ObservationRecord } from '../../../records/journal.ts';

/** What was observed on one bed, by day. */
export const observationsOf = (journal: readonly JournalRecord[], bedId: string): ObservationRecord[] =>
  journal.flatMap((one) => (one.kind === 'observation' && one.bedId === bedId ? [one] : []));
