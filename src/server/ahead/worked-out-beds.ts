import { createHash } from 'node:crypto';
import { setImmediate as othersFirst } from 'node:timers/promises';
import type { GardenBooks } from '../../contract/garden-books.ts';
import type { WorkedOutBed } from '../../contract/worked-out.ts';
import {
  type BedPast,
  type GardenRecords,
  type PastKeeper,
  bedBrief,
  booksOfBed,
  planOfBed,
  recordsAbout,
  takenByBed,
} from '../../core/bed/index.ts';
import { bedAgenda } from '../../core/season/index.ts';
import type { StockMemory } from '../../core/yard/index.ts';
import { LastOnes } from './last-ones.ts';

/** Gardens that are kept: calendar programs ask often, and several gardens are subscribed to. */
const MOST_GARDENS = 4;
/** Beds that are kept, and how they came to be what they are: tomorrow is worked out from there. */
const MOST_BEDS = 200;

/** The books of a garden as JSON in UTF-8; `tag` is another whenever they are. */
export interface BooksAsked {
  readonly books: Uint8Array;
  readonly tag: string;
}

export interface WorkedOutBeds {
  readonly books: GardenBooks;
  readonly beds: readonly WorkedOutBed[];
}

function pastKeeper(): PastKeeper {
  const pasts = new LastOnes<BedPast>(MOST_BEDS);
  return { find: (key) => pasts.get(key), keep: (key, past) => pasts.set(key, past) };
}

/**
 * Works out the beds of gardens, bed by bed, in turns with other gardens. A garden is kept while its books stay the same,
 * a bed while all that it depends on does.
 */
export function workedOutBeds(memory: StockMemory): (asked: BooksAsked) => Promise<WorkedOutBeds> {
  const gardens = new LastOnes<Promise<WorkedOutBeds>>(MOST_GARDENS);
  const known = new LastOnes<WorkedOutBed>(MOST_BEDS);
  const keeper = pastKeeper();
  const booksOf = (records: GardenRecords, bedId: string) =>
    booksOfBed(records, bedId, (all, id) => takenByBed(all, id, memory));

  function workOutBed(bedId: string, records: GardenRecords, todayIso: string): WorkedOutBed {
    const question = { records, bedId, todayIso, booksOf };
    const planned = planOfBed({ ...question, keeper });
    if (!planned) throw new Error(`There is no bed ${bedId} in these books`);
    return { bedId, brief: bedBrief(planned), tasks: bedAgenda({ ...question, planned, memory }) };
  }

  async function workOut(bytes: Uint8Array): Promise<WorkedOutBeds> {
    const books = JSON.parse(new TextDecoder().decode(bytes)) as GardenBooks;
    const beds: WorkedOutBed[] = [];
    for (const { id } of books.beds) {
      await othersFirst();
      const records = recordsAbout(books, id);
      const key = createHash('sha256')
        .update(JSON.stringify([id, books.today, records]))
        .digest('base64');
      const bed = known.get(key) ?? workOutBed(id, records, books.today);
      known.set(key, bed);
      beds.push(bed);
    }
    return { books, beds };
  }

  return ({ books, tag }) => {
    const garden = gardens.get(tag) ?? workOut(books);
    gardens.set(tag, garden);
    garden.catch(() => gardens.delete(tag));
    return garden;
  };
}
