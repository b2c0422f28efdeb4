/** How the file of the books is: sound, damaged, or on a disk that cannot be written to. */
export interface BooksState {
  readonly kind: 'sound' | 'damaged' | 'readOnly';
  /** What the check said; null when it is sound. */
  readonly reason: string | null;
}

/** A copy of the books, made while they were in use. */
export interface BackupEntry {
  /** File name, by its date. */
  readonly name: string;
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
