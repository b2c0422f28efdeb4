/** A photo as it is kept; the picture itself lies beside the database. */
export interface PhotoRecord {
  readonly id: string;
  readonly gardenId: string;
  readonly mediaType: string;
  readonly bytes: number;
  readonly createdAt: string;
}

/** An address a calendar program reads from; its secret is shown once, when it is made. */
export interface FeedRecord {
  readonly id: string;
  readonly gardenId: string;
  readonly name: string;
  readonly createdAt: string;
  readonly lastReadAt: string | null;
}
