import type { CollectionName } from '../../records/collections.ts';
import type { ImportRow } from '../../contract/imports.ts';
import type { Finding } from '../../refusals/refusal.ts';
import type { Store, Stores, Versioned } from '../stores.ts';

/** A record out of a file, or what keeps it from being one. */
export interface ReadRow {
  readonly collection: CollectionName;
  readonly index: number;
  /** Without an id, one is made of what it says, so that the same line read twice is the same record. */
  readonly record: object & { readonly id?: string | undefined };
  readonly reasons: readonly Finding[];
}

/** A row with the id its record has, or will have. */
export type NamedRow = ReadRow & { readonly id: string };

/** What becomes of a row, before it is called by what a gardener calls it. */
export type JudgedRow = Omit<ImportRow, 'title'>;

export type AnyRecord = Versioned & { readonly gardenId?: string; readonly bedId?: string };
export type AnyStore = Store<AnyRecord>;

/** The garden that rows are read into. */
export interface Garden {
  readonly stores: Stores;
  readonly gardenId: string;
}

/** And when they are read. */
export interface Setting extends Garden {
  /** ISO date. */
  readonly today: string;
  /** The instant of the import. */
  readonly now: string;
}

export const storeOf = (stores: Stores, collection: CollectionName): AnyStore =>
  stores[collection] as unknown as AnyStore;
