import { useQueryClient } from '@tanstack/react-query';
import { useCallback, useEffect, useSyncExternalStore } from 'react';
import { ProblemFailure } from '../api/failures.ts';
import { sendEntry } from '../api/gardens.ts';
import { sendJournal, sendPhoto } from '../api/journal.ts';
import {
  createOutbox,
  deviceShelf,
  shelfWithSpare,
  pageShelf,
  type Exclusively,
  type HandOver,
  type NewParcel,
  type Outbox,
} from './outbox.ts';

const TRY_AGAIN_MS = 10_000;

const handOver: HandOver = async (parcel) => {
  try {
    if (parcel.type === 'journal') await sendJournal(parcel.gardenId, [parcel.record]);
    else if (parcel.type === 'entry') await sendEntry(parcel.bedId, parcel.draft);
    else await sendPhoto(parcel.gardenId, parcel.photoId, parcel.picture);
    return 'kept';
  } catch (failure) {
    // A server that fails may work again; one that says no will say no again.
    if (failure instanceof ProblemFailure && failure.problem.status < 500) {
      return { refusal: failure.problem.detail };
    }
    throw failure;
  }
};

/** A connection that neither answers nor breaks counts as none; what did arrive is known by its id the next time. */
const PATIENCE_MS = 20_000;

const handOverInTime: HandOver = (parcel) =>
  new Promise((resolve, reject) => {
    const timer = setTimeout(() => reject(new Error('no answer in time')), PATIENCE_MS);
    handOver(parcel)
      .then(resolve, reject)
      .finally(() => clearTimeout(timer));
  });

const last = new Map<string, Promise<unknown>>();

/** Web locks hold for all windows; where there are none, within this one. */
const exclusively: Exclusively = (name, act) => {
  if ('locks' in navigator) {
    return navigator.locks.request(`vine-ledger-${name}`, act);
  }
  const turn = (last.get(name) ?? Promise.resolve()).then(act);
  last.set(
    name,
    turn.catch(() => undefined),
  );
  return turn;
};

let outbox: Outbox | undefined;
const theOutbox = (): Outbox =>
  (outbox ??= createOutbox({
    shelf: shelfWithSpare(deviceShelf(), pageShelf()),
    handOver: handOverInTime,
    exclusively,
    now: () => new Date().toISOString(),
  }));

/** What waits on this device, and a way to add to it. It is sent at once, and again whenever the connection is back. */
export function useOutbox() {
  const queries = useQueryClient();
  const box = theOutbox();
  const parcels = useSyncExternalStore(
    useCallback((listener) => box.subscribe(listener), [box]),
    () => box.parcels(),
  );
  const flush = useCallback(async () => {
    const had = box.parcels().length;
    const isThrough = await box.flush();
    if (box.parcels().length < had) await queries.invalidateQueries({ queryKey: ['gardens'] });
    return isThrough;
  }, [box, queries]);
  useEffect(() => {
    const send = () => void flush();
    void box.open().then(send);
    window.addEventListener('online', send);
    const timer = setInterval(() => {
      if (box.parcels().some(({ refusal }) => refusal === null)) send();
    }, TRY_AGAIN_MS);
    return () => {
      window.removeEventListener('online', send);
      clearInterval(timer);
    };
  }, [box, flush]);
  return {
    parcels,
    flush,
    add: async (added: readonly NewParcel[]) => {
      await box.add(added);
      return flush();
    },
    discard: (id: string) => box.discard(id),
    retry: async (id: string) => {
      await box.retry(id);
      return flush();
    },
  };
}
