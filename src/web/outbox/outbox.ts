import { createStore, get, set } from 'idb-keyval';
import type { JournalDraft } from '../../contract/requests.ts';
import type { EntryDraft } from '../../records/entry.ts';

/** Something written in the garden that waits on this device until the books have it. */
export type Parcel = {
  readonly id: string;
  readonly gardenId: string;
  /** Instant it was written, ISO. */
  readonly writtenAt: string;
  /** Why the books refused it; null while it has not been refused. */
  readonly refusal: string | null;
} & (
  | { readonly type: 'journal'; readonly record: JournalDraft }
  | { readonly type: 'entry'; readonly bedId: string; readonly draft: EntryDraft & { readonly id: string } }
  | { readonly type: 'photo'; readonly photoId: string; readonly picture: Blob }
);

type New<T> = T extends unknown ? Omit<T, 'id' | 'writtenAt' | 'refusal'> : never;
export type NewParcel = New<Parcel>;

/** How a parcel is handed over. Throws when the books cannot be reached, answers why when they refuse it. */
export type HandOver = (parcel: Parcel) => Promise<'kept' | { readonly refusal: string }>;

/** Where parcels lie: on the device, so that they outlive the page. */
export interface Shelf {
  read(): Promise<readonly Parcel[]>;
  write(parcels: readonly Parcel[]): Promise<void>;
}

const KEY = 'parcels';

export function deviceShelf(): Shelf {
  const store = createStore('vine-ledger-outbox', 'parcels');
  return {
    read: async () => (await get<readonly Parcel[]>(KEY, store)) ?? [],
    write: (parcels) => set(KEY, parcels, store),
  };
}

/** A shelf that lasts as long as the page. */
export function pageShelf(): Shelf {
  let lying: readonly Parcel[] = [];
  return {
    read: () => Promise.resolve(lying),
    write: (parcels) => {
      lying = parcels;
      return Promise.resolve();
    },
  };
}

/** The first shelf while it holds; where a browser stores nothing, the spare one from then on. */
export function shelfWithSpare(first: Shelf, spare: Shelf): Shelf {
  let shelf = first;
  const orSpare = async <Result>(act: (on: Shelf) => Promise<Result>): Promise<Result> => {
    try {
      return await act(shelf);
    } catch (error) {
      if (shelf === spare) throw error;
      shelf = spare;
      return act(shelf);
    }
  };
  return { read: () => orSpare((on) => on.read()), write: (parcels) => orSpare((on) => on.write(parcels)) };
}

/**
 * Runs one thing of a name at a time, in every window of the device where it can. The shelf has a name of its own: what
 * is written is laid there at once, however long something else takes to be sent.
 */
export type Exclusively = <Result>(name: 'shelf' | 'sending', act: () => Promise<Result>) => Promise<Result>;

/**
 * What was written is laid on the shelf first and handed over after, one by one in the order of writing. What the books
 * refuse stays with the reason; what cannot be sent stays and stops those behind it. Every parcel carries ids of its
 * own, so one that is sent twice is kept once.
 */
export function createOutbox({
  shelf,
  handOver,
  exclusively,
  now,
}: {
  readonly shelf: Shelf;
  readonly handOver: HandOver;
  readonly exclusively: Exclusively;
  readonly now: () => string;
}) {
  const listeners = new Set<() => void>();
  let known: readonly Parcel[] = [];
  const tell = (parcels: readonly Parcel[]) => {
    known = parcels;
    for (const listener of listeners) listener();
  };
  const change = (how: (parcels: readonly Parcel[]) => readonly Parcel[]) =>
    exclusively('shelf', async () => {
      const parcels = how(await shelf.read());
      await shelf.write(parcels);
      tell(parcels);
    });

  const sendOne = async (): Promise<boolean> => {
    const next = (await shelf.read()).find(({ refusal }) => refusal === null);
    if (!next) {
      await change((parcels) => parcels);
      return false;
    }
    const answer = await handOver(next);
    await change((parcels) =>
      answer === 'kept'
        ? parcels.filter(({ id }) => id !== next.id)
        : parcels.map((one) => (one.id === next.id ? { ...one, refusal: answer.refusal } : one)),
    );
    return true;
  };

  return {
    parcels: () => known,
    subscribe: (listener: () => void) => {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
    /** Reads what is on the shelf from an earlier visit. */
    open: () => change((parcels) => parcels),
    add: (parcels: readonly NewParcel[]) =>
      change((all) => [
        ...all,
        ...parcels.map((one): Parcel => ({
          ...one,
          id: crypto.randomUUID(),
          writtenAt: now(),
          refusal: null,
        })),
      ]),
    discard: (id: string) => change((all) => all.filter((one) => one.id !== id)),
    retry: (id: string) =>
      change((all) => all.map((one) => (one.id === id ? { ...one, refusal: null } : one))),
    /** Hands over what waits; true when nothing is left waiting, false when the books cannot be reached. */
    flush: async (): Promise<boolean> => {
      try {
        while (await exclusively('sending', sendOne));
        return true;
      } catch {
        return false;
      }
    },
  };
}

export type Outbox = ReturnType<typeof createOutbox>;
