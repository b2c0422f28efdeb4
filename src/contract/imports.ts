import { z } from 'zod';
import { COLLECTION_NAMES, type CollectionName } from '../records/collections.ts';
import { name } from '../records/fields.ts';
import type { FieldProblem } from './problem.ts';

export const MOST_ROWS = 50_000;

/** Rows of one table, read into records of one kind. Each row is checked by itself, so that all errors are reported at once. */
export const importRequest = z.strictObject({
  collection: z.enum(COLLECTION_NAMES),
  /** Where they come from, for the list of what was read in. */
  summary: z.string().trim().min(1).max(200),
  rows: z.array(z.record(z.string(), z.unknown())).min(1).max(MOST_ROWS),
});
export type ImportRequest = z.infer<typeof importRequest>;

/** Another garden made out of one. */
export const copyRequest = z.strictObject({
  name,
  /** Without what was done in it. */
  isTemplate: z.boolean(),
});
export type CopyRequest = z.infer<typeof copyRequest>;

export const IMPORT_OUTCOMES = ['added', 'changed', 'same', 'rejected'] as const;
export type ImportOutcome = (typeof IMPORT_OUTCOMES)[number];

/** What became, or would become, of one record of a file. */
export interface ImportRow {
  readonly collection: CollectionName | 'garden' | 'photos';
  /** Its place in the list, from 0. */
  readonly index: number;
  readonly id: string;
  /** What a gardener calls it: its name, or what was done where and when. */
  readonly title: string;
  readonly outcome: ImportOutcome;
  /** What differs from the record that is kept. */
  readonly fields: readonly string[];
  readonly reasons: readonly FieldProblem[];
}

/** A file read in, or only tried: nothing is written while one row is rejected. */
export interface ImportReport {
  readonly gardenId: string;
  readonly gardenName: string;
  readonly isWritten: boolean;
  /** By which it can be taken back; null when nothing was written. */
  readonly importId: string | null;
  readonly counts: Readonly<Record<ImportOutcome, number>>;
  /** All but those that are the same. */
  readonly rows: readonly ImportRow[];
}

export interface ImportEntry {
  readonly id: string;
  readonly gardenId: string;
  readonly at: string;
  readonly summary: string;
  readonly undoneAt: string | null;
}
