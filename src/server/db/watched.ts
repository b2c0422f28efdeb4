import type { OrderedStore, Store, Stores, Versioned, WritesSince } from '../stores.ts';

/** The stores whose writes change what a garden's books say. */
export const WATCHED = [
  'gardens',
  'beds',
  'materials',
  'buildUps',
  'habits',
  'lots',
  'movements',
  'labResults',
  'recipes',
  'entries',
  'plantings',
  'journal',
  'weather',
] as const satisfies readonly (keyof Stores)[];

type AnyRecord = Versioned & { readonly bedId?: string };
type AnyStore = Store<AnyRecord> & Partial<Pick<OrderedStore<AnyRecord>, 'reorder'>>;

/** What may have been written since somebody last asked. A write that is taken back counts too: it only means a look too many. */
export function writeWatch(): {
  tell: (what: string | null, bedId?: string) => void;
  since: () => WritesSince;
} {
  let collections = new Set<string>();
  let entryBeds = new Set<string>();
  let isAll = true;
  return {
    tell: (what, bedId) => {
      if (what === null) isAll = true;
      else if (what === 'entries' && bedId !== undefined) entryBeds.add(bedId);
      else collections.add(what);
    },
    since: () => {
      const writes = { isAll, collections, entryBeds };
      isAll = false;
      collections = new Set();
      entryBeds = new Set();
      return writes;
    },
  };
}

function watchedStore(store: AnyStore, tell: (bedId?: string) => void): AnyStore {
  const tellOf = (id: string) => tell(store.look(id)?.record.bedId);
  return {
    ...store,
    insert: (record) => {
      tell(record.bedId);
      return store.insert(record);
    },
    put: (record) => {
      tellOf(record.id);
      tell(record.bedId);
      return store.put(record);
    },
    update: (id, version, values) => {
      tellOf(id);
      return store.update(id, version, values);
    },
    remove: (id, version) => {
      tellOf(id);
      return store.remove(id, version);
    },
    restore: (id) => {
      tellOf(id);
      return store.restore(id);
    },
    ...(store.reorder && {
      reorder: (ids: readonly string[]) => {
        for (const id of ids) tellOf(id);
        store.reorder?.(ids);
      },
    }),
  };
}

/** The same stores, telling before anything is written what it will be. */
export function watched(stores: Stores, tell: (what: string | null, bedId?: string) => void): Stores {
  const told = WATCHED.map((name) => [
    name,
    watchedStore(stores[name] as unknown as AnyStore, (bedId) => tell(name, bedId)),
  ]);
  return {
    ...stores,
    ...(Object.fromEntries(told) as Partial<Stores>),
    erase: (gardenId) => {
      tell(null);
      stores.erase(gardenId);
    },
  };
}
