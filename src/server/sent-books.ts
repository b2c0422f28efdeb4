import { setImmediate } from 'node:timers/promises';
import type { GardenBooks } from '../contract/garden-books.ts';
import type { GardenRecord } from '../records/garden.ts';
import { markOf } from './changes.ts';
import { measuredWeather } from './kept-stock.ts';
import type { Stores } from './stores.ts';

/** The books of a garden as they are sent, and the mark of that state as an entity tag. */
export interface SentBooks {
  readonly body: Uint8Array<ArrayBuffer>;
  readonly tag: string;
}

/** All but the entries, of which there are most. */
const lessThanWhole = (
  stores: Stores,
  garden: GardenRecord,
  today: string,
): Omit<GardenBooks, 'entries'> => ({
  today,
  garden,
  beds: stores.beds.listOf(garden.id),
  plantings: stores.plantings.listOfGarden(garden.id),
  materials: stores.materials.listOf(garden.id),
  crops: stores.crops.listOf(garden.id),
  buildUps: stores.buildUps.listOf(garden.id),
  habits: stores.habits.listOf(garden.id),
  lots: stores.lots.listOf(garden.id),
  movements: stores.movements.listOf(garden.id),
  labResults: stores.labResults.listOf(garden.id),
  recipes: stores.recipes.listOf(garden.id),
  journal: stores.journal.listOf(garden.id),
  weather: measuredWeather(stores, garden.id),
});

/** Lets other requests be answered in between: what is written meanwhile is sent as a change since the mark. */
async function bodyOf(stores: Stores, garden: GardenRecord, today: string): Promise<SentBooks['body']> {
  const head = JSON.stringify(lessThanWhole(stores, garden, today)).slice(0, -1);
  const entries: string[] = [];
  for (const month of stores.entries.monthsOf(garden.id)) {
    const list = JSON.stringify(stores.entries.listOfMonth(garden.id, month));
    if (list !== '[]') entries.push(list.slice(1, -1));
    await setImmediate();
  }
  return Buffer.from(`${head},"entries":[${entries.join(',')}]}`);
}

/** The entity tag of the books of a garden: it changes with every write into them, and every day. */
export function tagOf(stores: Stores, gardenId: string, today: string): string {
  const { epoch, number } = markOf(stores, gardenId);
  return `"${epoch} ${number} ${gardenId} ${today}"`;
}

export type BooksSender = (garden: GardenRecord) => Promise<SentBooks>;

/** The books of a garden; what was sent last is kept, because every page that opens asks for it. */
export function booksSender(stores: Stores, today: () => string): BooksSender {
  let last: SentBooks | undefined;
  return async (garden) => {
    const tag = tagOf(stores, garden.id, today());
    if (last?.tag === tag) return last;
    const sent = { tag, body: await bodyOf(stores, garden, today()) };
    last = sent;
    return sent;
  };
}
