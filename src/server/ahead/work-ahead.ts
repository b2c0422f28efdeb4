import { type WorkedOutGarden, WORKED_OUT_VERSION } from '../../contract/worked-out.ts';
import { MODEL_VERSION } from '../../core/model/index.ts';
import type { GardenRecord } from '../../records/garden.ts';
import { markOf } from '../changes.ts';
import type { BooksFile } from '../db/books-file.ts';
import type { HeavyThread } from '../heavy-thread.ts';
import { type BooksSender, tagOf } from '../sent-books.ts';
import type { Stores } from '../stores.ts';
import type { GardenThread } from './garden-thread.ts';
import { LastOnes } from './last-ones.ts';

/** Gardens that are kept ready. */
const MOST_GARDENS = 8;
/** A garden is worked out when nothing was written into it between two checks. */
const CHECK_MS = 5000;

/** The answer for the books of this tag; null when it could not be worked out. */
interface Ready {
  readonly tag: string;
  readonly body: string | null;
}

/** Answers about gardens that are there before anybody asks. */
export interface WorkedAhead {
  /** A WorkedOutGarden as JSON; null when nothing is known of the books as they are today. */
  readonly find: (gardenId: string) => string | null;
  /** Gardens opened last are worked out before others. */
  readonly opened: (gardenId: string) => void;
  readonly end: () => void;
}

/**
 * Works out all beds of the gardens in use whenever nobody writes: after changes, and when a day begins. A device that
 * opens a garden for the first time, or the first time on a day, then has nothing to work out itself.
 */
export function workAhead({
  stores,
  books,
  today,
  sendBooks,
  thread,
}: {
  readonly stores: Stores;
  readonly books: Pick<BooksFile, 'state'>;
  readonly today: () => string;
  readonly sendBooks: BooksSender;
  readonly thread: HeavyThread<GardenThread>;
}): WorkedAhead {
  const lastOpened = new LastOnes<true>(MOST_GARDENS);
  const ready = new LastOnes<Ready>(MOST_GARDENS);
  const lastSeen = new Map<string, string>();
  let isAtWork = false;
  let isEnded = false;
  const tagNow = (gardenId: string) => tagOf(stores, gardenId, today());

  function gardensInUse(): GardenRecord[] {
    const gardens = stores.gardens.list();
    const opened = gardens.filter(({ id }) => lastOpened.get(id));
    return [...new Set([...opened, ...gardens])].slice(0, MOST_GARDENS);
  }

  async function answerFor(garden: GardenRecord): Promise<string> {
    const head: Omit<WorkedOutGarden, 'beds'> = {
      version: WORKED_OUT_VERSION,
      model: MODEL_VERSION,
      mark: markOf(stores, garden.id),
      today: today(),
    };
    const { body, tag } = await sendBooks(garden);
    const beds = await thread.ask((api) => api.beds({ books: body, tag }));
    return `${JSON.stringify(head).slice(0, -1)},"beds":${beds}}`;
  }

  async function workOut(garden: GardenRecord, tag: string): Promise<void> {
    // A garden that cannot be worked out is left to the page, which says why.
    const body = await answerFor(garden).catch(() => null);
    // When something was written while the books were read, the answer fits no state of them.
    if (!isEnded && tagNow(garden.id) === tag) ready.set(garden.id, { tag, body });
  }

  async function workOutQuietGardens(): Promise<void> {
    for (const garden of gardensInUse()) {
      const tag = tagNow(garden.id);
      const isQuiet = lastSeen.get(garden.id) === tag;
      lastSeen.set(garden.id, tag);
      if (isQuiet && ready.get(garden.id)?.tag !== tag) await workOut(garden, tag);
      if (isEnded) return;
    }
  }

  const timer = setInterval(() => {
    if (isAtWork || books.state().kind !== 'sound') return;
    isAtWork = true;
    // A damaged file is reported to whoever reads from it next.
    void workOutQuietGardens()
      .catch(() => undefined)
      .finally(() => (isAtWork = false));
  }, CHECK_MS).unref();
  return {
    find: (gardenId) => {
      const known = ready.get(gardenId);
      return known?.tag === tagNow(gardenId) ? known.body : null;
    },
    opened: (gardenId) => lastOpened.set(gardenId, true),
    end: () => {
      isEnded = true;
      clearInterval(timer);
    },
  };
}
