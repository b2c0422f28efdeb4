import { clear, createStore, getMany, keys, setMany, type UseStore } from 'idb-keyval';

export interface Kept<Value> {
  /** All that it depends on: with another key it says nothing. */
  readonly key: string;
  readonly value: Value;
}

/**
 * What was worked out about beds by this build, kept on the device to be found again: one thing for each `id`. It can all
 * be worked out anew, so whatever goes wrong here costs time and nothing else.
 */
export interface WorkedOutShelf<Value> {
  readonly get: (id: string) => Promise<Kept<Value> | undefined>;
  /** Written down a little later, together with others: what is worked out next does not wait for it. */
  readonly put: (id: string, kept: Kept<Value>) => void;
}

/** Another build may say something else. */
type Dated<Value> = Kept<Value> & { readonly build: string };

/** Things that may be kept before all are forgotten: those of deleted gardens would stay for good. */
const MOST_KEPT = 1500;
const WRITTEN_AFTER_MS = 1000;

const STORES = ['vine-ledger-pasts', 'vine-ledger-answers'] as const;
const storeOf = (name: (typeof STORES)[number]) => createStore(name, 'kept');

/** So many are there before the others: the first beds are shown while the rest is read. */
const READ_FIRST = 6;

/** Reads together what is asked for in one moment, the first few of it before the rest: all beds of a garden ask at once. */
function readingTogether<Value>(store: UseStore): (id: string) => Promise<Value | undefined> {
  let asked: string[] = [];
  let found: Promise<Map<string, Promise<Value | undefined>>> | undefined;
  const readAll = () => {
    const [first, rest] = [asked.slice(0, READ_FIRST), asked.slice(READ_FIRST)];
    asked = [];
    found = undefined;
    const few = getMany<Value>(first, store);
    const others = rest.length === 0 ? few : few.then(() => getMany<Value>(rest, store));
    return new Map([
      ...first.map((id, i) => [id, few.then((all) => all[i])] as const),
      ...rest.map((id, i) => [id, others.then((all) => all[i])] as const),
    ]);
  };
  return async (id) => {
    asked.push(id);
    found ??= Promise.resolve().then(readAll);
    return (await found).get(id);
  };
}

/** A shelf by its name. Nothing is kept where the device has no room for it, nor of a build that is still changing. */
export function workedOutShelf<Value>(name: (typeof STORES)[number], build: string): WorkedOutShelf<Value> {
  if (typeof indexedDB === 'undefined' || !import.meta.env.PROD) {
    return { get: () => Promise.resolve(undefined), put: () => undefined };
  }
  const store = storeOf(name);
  const read = readingTogether<Dated<Value>>(store);
  const unwritten = new Map<string, Dated<Value>>();
  let tidied: Promise<void> | undefined;
  const tidy = async () => {
    if ((await keys(store)).length > MOST_KEPT) await clear(store);
  };
  const write = () => {
    const kept = [...unwritten];
    unwritten.clear();
    setMany(kept, store).catch(() => undefined);
  };
  return {
    get: async (id) => {
      try {
        await (tidied ??= tidy());
        const kept = unwritten.get(id) ?? (await read(id));
        return kept?.build === build ? kept : undefined;
      } catch {
        return undefined;
      }
    },
    put: (id, kept) => {
      if (unwritten.size === 0) setTimeout(write, WRITTEN_AFTER_MS);
      unwritten.set(id, { build, ...kept });
    },
  };
}

/** Forgets all that was kept on this device. */
export const emptyShelves = async (): Promise<void> => {
  if (typeof indexedDB !== 'undefined') await Promise.all(STORES.map((name) => clear(storeOf(name))));
};
