import type { EntryRecord } from '../records/entry.ts';
import type { JournalRecord } from '../records/journal.ts';
import type { MovementRecord } from '../records/movement.ts';
import type { PlantingRecord } from '../records/planting.ts';

/** The books in which lines of the log stand. */
export const LOG_BOOKS = ['entries', 'journal', 'plantings', 'movements'] as const;
export type LogBookName = (typeof LOG_BOOKS)[number];

/** What a line of the log said before it was changed, and when that was. */
export interface EarlierVersion {
  /** An instant in UTC. */
  readonly replacedAt: string;
  readonly record: EntryRecord | JournalRecord | PlantingRecord | MovementRecord;
}
