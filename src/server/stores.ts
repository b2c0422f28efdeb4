import type {
  BedRecord,
  BuildUpRecord,
  EntryRecord,
  GardenRecord,
  MaterialRecord,
  PlantingRecord,
} from '../contract/records.ts';
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

export interface Stores {
  readonly gardens: Store<GardenRecord> & { list(): GardenRecord[] };
  readonly beds: OwnedStore<BedRecord>;
  readonly materials: OwnedStore<MaterialRecord>;
  readonly buildUps: OwnedStore<BuildUpRecord>;
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
  /** Runs `act` so that all its writes are kept, or none when it throws. */
  atomically<Result>(act: () => Result): Result;
}
