import type { DayList } from '../contract/changes.ts';
import type { LogBookName } from '../contract/log-history.ts';
import type { BedRecord } from '../records/bed.ts';
import type { BuildUpRecord } from '../records/build-up.ts';
import type { CropRecord } from '../records/crop.ts';
import type { EntryRecord } from '../records/entry.ts';
import type { GardenRecord } from '../records/garden.ts';
import type { MaterialRecord } from '../records/material.ts';
import type { PlantingRecord } from '../records/planting.ts';
import type { CollectionName } from '../records/collections.ts';
import type { HabitRecord } from '../records/habit.ts';
import type { FeedRecord, PhotoRecord } from '../contract/keepsakes.ts';
import type { Person, Role, Signature } from '../contract/people.ts';
import type { Secret } from './secret.ts';
import type { JournalRecord } from '../records/journal.ts';
import type { WeatherRecord } from '../records/weather.ts';
import type { LabResultRecord } from '../records/lab-result.ts';
import type { LotRecord } from '../records/lot.ts';
import type { MovementRecord } from '../records/movement.ts';
import type { RecipeRecord } from '../records/recipe.ts';

/** An id that a removed record still holds, so that removing it can be undone. */
export class IdTaken extends Error {}

export interface Versioned {
  readonly id: string;
  readonly version: number;
  readonly createdAt: string;
  readonly updatedAt: string;
}

export type WriteOutcome<Record> =
  | { readonly outcome: 'written' | 'stale'; readonly current: Record }
  | { readonly outcome: 'missing' };

export type RemovalOutcome<Record> =
  | { readonly outcome: 'removed' | 'missing' }
  | { readonly outcome: 'stale'; readonly current: Record };

type Distributed<T, K extends PropertyKey> = T extends unknown ? Omit<T, K> : never;
/** A record as it is handed in: everything but what the store stamps on it. */
export type Unstamped<Record> = Distributed<Record, 'version' | 'createdAt' | 'updatedAt'>;

/** A record as a garden file holds it: with time stamps of its own. */
export type Filed<Record> = Distributed<Record, 'version'>;

export interface Store<Record extends Versioned> {
  find(id: string): Record | undefined;
  insert(record: Unstamped<Record>): Record;
  update(id: string, version: number, values: object): WriteOutcome<Record>;
  remove(id: string, version: number): RemovalOutcome<Record>;
  restore(id: string): WriteOutcome<Record>;
  /** Whatever has this id, removed or not. */
  findEvenRemoved(id: string): { readonly record: Record; readonly isRemoved: boolean } | undefined;
  /** Keeps a record as a file holds it, in the place of whatever has its id. */
  upsert(record: Filed<Record>): Record;
}

/** Records whose order of writing counts: of one day the earlier lies lower, or came first. */
export interface OrderedStore<Record extends Versioned> extends OwnedStore<Record> {
  /** Puts these records into this order among themselves. */
  reorder(ids: readonly string[]): void;
}

/** Records that belong to something: beds to a garden, entries to a bed. */
export interface OwnedStore<Record extends Versioned> extends Store<Record> {
  listOf(ownerId: string): Record[];
}

/** What is known of photos; the pictures themselves are files. */
export interface PhotoStore {
  listOf(gardenId: string): PhotoRecord[];
  find(id: string): (PhotoRecord & { readonly sentSha256: string }) | undefined;
  /**
   * Those that no line of the log shows: none that stands, and none that was removed since the instant `since`, for that may
   * come back. Photos taken after the instant `before` may still be on their way into a line.
   */
  unshownOf(gardenId: string, when: { readonly since: string; readonly before: string }): PhotoRecord[];
  remove(id: string): void;
  /** Taken now, unless the photo says when. */
  insert(
    photo: Omit<PhotoRecord, 'createdAt'> & { readonly sentSha256: string; readonly createdAt?: string },
  ): PhotoRecord;
}

/** Addresses of calendar feeds, known by the digest of their secret. */
export interface FeedStore {
  listOf(gardenId: string): FeedRecord[];
  find(id: string): FeedRecord | undefined;
  insert(feed: Pick<FeedRecord, 'id' | 'gardenId' | 'name'>, tokenSha256: string): FeedRecord;
  /** The feed a secret opens, unless it was revoked; notes that it was read. */
  opened(tokenSha256: string): FeedRecord | undefined;
  /** False when there is none, or none any more. */
  revoke(id: string): boolean;
}

/** People who come in under a name of their own, or by a link; those removed are not found any more. */
export interface PeopleStore {
  /** The one who came first leads. */
  listOf(gardenId: string): Person[];
  find(id: string): Person | undefined;
  /** Of one garden or another: a name leads into one of them. Capitals make no difference. */
  findByName(name: string): Person | undefined;
  findByLink(linkSha256: string): Person | undefined;
  /** What the passphrase can be checked against; nothing for a link. */
  secretOf(id: string): Secret | undefined;
  insert(person: Omit<Person, 'createdAt' | 'isLink'>, secret: Secret): Person;
  insertLink(person: Pick<Person, 'id' | 'gardenId' | 'name'>, linkSha256: string): Person;
  change(id: string, change: { readonly role?: Role; readonly secret?: Secret }): Person | undefined;
  /** False when there is none, or none any more. */
  remove(id: string): boolean;
  /** Who wrote which version of a line of the log, where it was not the keeper of the books. */
  signaturesOf(gardenId: string): Signature[];
}

/** Something that was read in, with what stood there before, so that it can be taken back. */
export interface ImportRecord {
  readonly id: string;
  readonly gardenId: string;
  readonly at: string;
  /** What was read in, in words. */
  readonly summary: string;
  readonly writes: readonly ImportWrite[];
  readonly undoneAt: string | null;
}

export interface ImportWrite {
  readonly collection: CollectionName | 'garden';
  readonly id: string;
  /** The version it was given; a later one has been changed since. */
  readonly version: number;
  /** Null when there was nothing, or something removed. */
  readonly before: object | null;
}

export interface ImportLog {
  insert(record: Omit<ImportRecord, 'at' | 'undoneAt'>): ImportRecord;
  find(id: string): ImportRecord | undefined;
  /** The newest first. */
  listOf(gardenId: string): Omit<ImportRecord, 'writes'>[];
  /** False when it has been taken back already. */
  markUndone(id: string): boolean;
}

/** What was written last, record by record; triggers keep it. */
export interface ChangeLog {
  /** The number of the latest change of a garden; 0 when nothing was ever written. */
  numberOf(gardenId: string): number;
  /** What was written after that number, the earliest first; `most` at most. */
  since(
    gardenId: string,
    number: number,
    most: number,
  ): readonly { readonly collection: string; readonly recordId: string }[];
  /** Ids of all that lies on one day, in the order of writing. */
  idsOfDay(list: DayList, gardenId: string, date: string): string[];
}

/** What lines of the log said before they were changed. */
export interface EarlierLog {
  /** The last one first. */
  listOf(
    book: LogBookName,
    recordId: string,
  ): readonly { readonly replacedAt: string; readonly record: Versioned }[];
}

export interface Stores {
  readonly gardens: Store<GardenRecord> & {
    list(): GardenRecord[];
    /** The last one removed first. */
    listRemoved(): { readonly record: GardenRecord; readonly removedAt: string }[];
  };
  readonly beds: OwnedStore<BedRecord>;
  readonly materials: OwnedStore<MaterialRecord>;
  readonly crops: OwnedStore<CropRecord>;
  readonly buildUps: OwnedStore<BuildUpRecord>;
  readonly habits: OwnedStore<HabitRecord>;
  readonly lots: OwnedStore<LotRecord>;
  /** Of lots that are not removed. */
  readonly movements: OrderedStore<MovementRecord>;
  readonly labResults: OwnedStore<LabResultRecord>;
  readonly recipes: OwnedStore<RecipeRecord>;
  readonly entries: OrderedStore<EntryRecord> & {
    listOfGarden(gardenId: string): EntryRecord[];
    /** Months in which anything was written or is planned, as 2026-05, in order. */
    monthsOf(gardenId: string): string[];
    listOfMonth(gardenId: string, month: string): EntryRecord[];
    /** Order of writing of the entries of a bed, by id: of one day the lower comes first. */
    sequencesOf(bedId: string): ReadonlyMap<string, number>;
    /** Those that draw on a lot of the stock. */
    listFromStock(gardenId: string): EntryRecord[];
  };
  readonly plantings: OwnedStore<PlantingRecord> & { listOfGarden(gardenId: string): PlantingRecord[] };
  readonly journal: OrderedStore<JournalRecord>;
  readonly weather: OwnedStore<WeatherRecord>;
  readonly photos: PhotoStore;
  readonly feeds: FeedStore;
  readonly imports: ImportLog;
  readonly people: PeopleStore;
  /** Another one every time the file is opened. */
  epoch(): string;
  readonly changes: ChangeLog;
  readonly earlier: EarlierLog;
  /** Takes a garden and all that belongs to it out of the database for good. */
  erase(gardenId: string): void;
  /** Runs `act` so that all its writes are kept, or none when it throws. */
  atomically<Result>(act: () => Result): Result;
}
