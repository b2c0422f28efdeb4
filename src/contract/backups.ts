/**
 * How the file of the books is: sound, damaged, on a disk that cannot be written to, not the one that was opened any more, or written
 * into by another program.
 */
export interface BooksState {
  readonly kind: 'sound' | 'damaged' | 'readOnly' | 'replaced' | 'overwritten';
  /** What the check said; null when it is sound. */
  readonly reason: string | null;
  /** Of a damaged file, rows that are known to be there and cannot be read. */
  readonly lostRows?: number;
}

/** Why a copy was made: by the day, by hand, or of the books as they were before another copy took their place. */
export const BACKUP_KINDS = ['daily', 'manual', 'beforeRestore'] as const;
export type BackupKind = (typeof BACKUP_KINDS)[number];

/** Another folder, best on another disk, into which every copy goes too. */
export interface SecondPlace {
  readonly folder: string;
  /** Instant of the last copy that came there since Vine Ledger was started. */
  readonly lastAt: string | null;
  /** Why the last one did not. */
  readonly failure: string | null;
}

/** A copy of the books, made while they were in use. */
export interface BackupEntry {
  /** File name, by its date. */
  readonly name: string;
  readonly kind: BackupKind;
  readonly bytes: number;
  /** Instant, ISO in UTC. */
  readonly at: string;
}

/** What a backup holds, looked at before it is restored. */
export interface BackupCheck extends BackupEntry {
  readonly gardens: readonly string[];
  readonly beds: number;
  readonly entries: number;
  readonly observations: number;
  readonly newestRecordAt: string | null;
}
