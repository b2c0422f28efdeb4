import type { GardenBooks } from '../contract/garden-books.ts';
import type { GardenRecord } from '../records/garden.ts';
import { markOf } from './changes.ts';
import { measuredWeather } from './kept-stock.ts';
import type { Stores } from './stores.ts';

/** The books of a garden as text, and the mark of that state as an entity tag. */
export interface SentBooks {
  readonly text: string;
  readonly tag: string;
}

const wholeBooks = (stores: Stores, garden: GardenRecord, today: string): GardenBooks => ({
  today,
  garden,
  beds: stores.beds.listOf(garden.id),
  plantings: stores.plantings.listOfGarden(garden.id),
  materials: stores.materials.listOf(garden.id),
  buildUps: stores.buildUps.listOf(garden.id),
  habits: stores.habits.listOf(garden.id),
  lots: stores.lots.listOf(garden.id),
  movements: stores.movements.listOf(garden.id),
  labResults: stores.labResults.listOf(garden.id),
  recipes: stores.recipes.listOf(garden.id),
  journal: stores.journal.listOf(garden.id),
  weather: measuredWeather(stores, garden.id),
  entries: stores.entries.listOfGarden(garden.id),
});

/** The books of a garden; the text that was sent last is kept, because every page that opens asks for it. */
export function booksSender(stores: Stores, today: () => string): (garden: GardenRecord) => SentBooks {
  let last: SentBooks | undefined;
  return (garden) => {
    const { epoch, number } = markOf(stores, garden.id);
    const tag = `"${epoch} ${number} ${garden.id} ${today()}"`;
    if (last?.tag !== tag) last = { tag, text: JSON.stringify(wholeBooks(stores, garden, today())) };
    return last;
  };
}
