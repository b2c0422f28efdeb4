import type {
  BedRecord,
  BuildUpRecord,
  EntryRecord,
  GardenRecord,
  MaterialRecord,
  PlantingRecord,
} from '../contract/records.ts';
import type { HabitRecord } from '../contract/habit-records.ts';
import type { FeedRecord, JournalRecord, PhotoRecord } from '../contract/journal-records.ts';
import type { LabResultRecord, LotRecord, MovementRecord, RecipeRecord } from '../contract/stock-records.ts';

/** An id that a removed record still holds, so that removing it can be undone. */
export class IdTaken extends Error {}

export interface Versioned {
  readonly id: string;
  readonly version: number;
  readonly createdAt: string;
  readonly updatedAt: string;
}

export type WriteOutcome<Record> =
  { readonly outcome: 'written' | 'stale'; readonly current: Record } | { readonly outcome: 'missing' };

export type RemovalOutcome<Record> =
  { readonly outcome: 'removed' | 'missing' } | { readonly outcome: 'stale'; readonly current: Record };

type Distributed<T, K extends PropertyKey> = T extends unknown ? Omit<T, K> : never;
/** A record as it is handed in: everything but what the store stamps on it. */
export type Unstamped<Record> = Distributed<Record, 'version' | 'createdAt' | 'updatedAt'>;

export interface Store<Record extends Versioned> {
  find(id: string): Record | undefined;
  insert(record: Unstamped<Record>): Record;
  update(id: string, version: number, values: object): WriteOutcome<Record>;
  remove(id: string, version: number): RemovalOutcome<Record>;
  restore(id: string): WriteOutcome<Record>;
}

/** Records that belong to something: beds to a garden, entries to a bed. */
export interface OwnedStore<Record extends Versioned> extends Store<Record> {
  listOf(ownerId: string): Record[];
}

/** What is known of photos; the pictures themselves are files. */
export interface PhotoStore {
  find(id: string): (PhotoRecord & { readonly sentSha256: string }) | undefined;
  insert(photo: Omit<PhotoRecord, 'createdAt'> & { readonly sentSha256: string }): PhotoRecord;
}

/** Addresses of calendar feeds, known by the digest of their secret. */
export interface FeedStore {
  listOf(gardenId: string): FeedRecord[];
  insert(feed: Pick<FeedRecord, 'id' | 'gardenId' | 'name'>, tokenSha256: string): FeedRecord;
  /** The feed a secret opens, unless it was revoked; notes that it was read. */
  opened(tokenSha256: string): FeedRecord | undefined;
  /** False when there is none, or none any more. */
  revoke(id: string): boolean;
}

export interface Stores {
  readonly gardens: Store<GardenRecord> & { list(): GardenRecord[] };
  readonly beds: OwnedStore<BedRecord>;
  readonly materials: OwnedStore<MaterialRecord>;
  readonly buildUps: OwnedStore<BuildUpRecord>;
  readonly habits: OwnedStore<HabitRecord>;
  readonly lots: OwnedStore<LotRecord>;
  /** Of lots that are not removed. */
  readonly movements: OwnedStore<MovementRecord>;
  readonly labResults: OwnedStore<LabResultRecord>;
  readonly recipes: OwnedStore<RecipeRecord>;
  readonly entries: OwnedStore<EntryRecord> & {
    listOfGarden(gardenId: string): EntryRecord[];
    /** Puts these entries into this order among themselves; entries of one day lie in it from the soil upwards. */
    reorder(ids: readonly string[]): void;
  };
  readonly plantings: OwnedStore<PlantingRecord> & { listOfGarden(gardenId: string): PlantingRecord[] };
  readonly journal: OwnedStore<JournalRecord>;
  readonly photos: PhotoStore;
  readonly feeds: FeedStore;
  /** Runs `act` so that all its writes are kept, or none when it throws. */
  atomically<Result>(act: () => Result): Result;
}
