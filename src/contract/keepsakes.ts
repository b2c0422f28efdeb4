/** A photo as it is kept; the picture itself lies beside the database. */
export interface PhotoRecord {
  readonly id: string;
  readonly gardenId: string;
  readonly mediaType: string;
  readonly bytes: number;
  readonly createdAt: string;
}

/** What takes room on the disk. */
export interface Room {
  /** The file of all gardens. */
  readonly booksBytes: number;
  readonly backups: { readonly count: number; readonly bytes: number };
  /** Copies beside the books of a damaged file, or of one before it was brought up to date. */
  readonly putAside: { readonly count: number; readonly bytes: number };
  /** Of this garden. */
  readonly photos: { readonly count: number; readonly bytes: number };
  /** Of them, those that no line of the log shows any more. */
  readonly unshown: { readonly count: number; readonly bytes: number };
}

/** An address a calendar program reads from; its secret is shown once, when it is made. */
export interface FeedRecord {
  readonly id: string;
  readonly gardenId: string;
  readonly name: string;
  readonly createdAt: string;
  readonly lastReadAt: string | null;
}
