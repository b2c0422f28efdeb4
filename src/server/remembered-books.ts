import { createHash } from 'node:crypto';
import type { GardenRecord } from '../records/garden.ts';
import { measuredWeather } from './kept-stock.ts';
import { RememberedEntries } from './remembered-entries.ts';
import type { Stores } from './stores.ts';

/** The books of a garden as they are sent, and a mark by which a page knows them again. */
export interface SentBooks {
  readonly body: Uint8Array<ArrayBuffer>;
  readonly tag: string;
}

/** How each list of the books is read, but for the entries, of which there are most. */
const LISTS = {
  beds: (stores: Stores, id: string) => stores.beds.listOf(id),
  plantings: (stores: Stores, id: string) => stores.plantings.listOfGarden(id),
  materials: (stores: Stores, id: string) => stores.materials.listOf(id),
  buildUps: (stores: Stores, id: string) => stores.buildUps.listOf(id),
  habits: (stores: Stores, id: string) => stores.habits.listOf(id),
  lots: (stores: Stores, id: string) => stores.lots.listOf(id),
  movements: (stores: Stores, id: string) => stores.movements.listOf(id),
  labResults: (stores: Stores, id: string) => stores.labResults.listOf(id),
  recipes: (stores: Stores, id: string) => stores.recipes.listOf(id),
  journal: (stores: Stores, id: string) => stores.journal.listOf(id),
  weather: measuredWeather,
} as const;
type ListName = keyof typeof LISTS;
const LIST_NAMES = Object.keys(LISTS) as ListName[];
/** Lists that leave out what belongs to something that was removed. */
const LEANS_ON: Partial<Record<ListName, string>> = { plantings: 'beds', journal: 'beds', movements: 'lots' };

/** What is remembered of one garden: its lists and its entries as they are sent. */
class RememberedGarden {
  readonly #lists = new Map<ListName, Uint8Array>();
  #entries: RememberedEntries;
  #sent: (SentBooks & { readonly key: string }) | undefined;

  constructor(
    private readonly stores: Stores,
    private readonly id: string,
  ) {
    for (const name of LIST_NAMES) this.#read(name);
    this.#entries = this.#readEntries();
  }

  #read(name: ListName): void {
    const list = JSON.stringify(LISTS[name](this.stores, this.id));
    this.#lists.set(name, Buffer.from(`,"${name}":${list}`));
  }

  #readEntries(): RememberedEntries {
    return new RememberedEntries(
      this.stores,
      this.stores.beds.listOf(this.id).map((bed) => bed.id),
    );
  }

  /** Looks again at what may have been written. */
  catchUp(collections: ReadonlySet<string>, entryBeds: ReadonlySet<string>): void {
    for (const name of LIST_NAMES) {
      if (collections.has(name) || collections.has(LEANS_ON[name] ?? '')) this.#read(name);
    }
    if (collections.has('beds')) this.#entries = this.#readEntries();
    else if (entryBeds.size > 0) {
      const own = [...entryBeds].filter((bedId) => this.stores.beds.find(bedId)?.gardenId === this.id);
      this.#entries.catchUp(entryBeds, own);
    }
    this.#sent = undefined;
  }

  /** `reading` tells this state of the garden from every other one of the same epoch. */
  sent(garden: GardenRecord, today: string, epoch: string, reading: number): SentBooks {
    const key = `${today} ${garden.version}`;
    if (this.#sent?.key === key) return this.#sent;
    const head = Buffer.from(`{"today":${JSON.stringify(today)},"garden":${JSON.stringify(garden)}`);
    const entries = [Buffer.from(',"entries":'), ...this.#entries.pieces(), Buffer.from('}')];
    const body = Buffer.concat([head, ...this.#lists.values(), ...entries]);
    const mark = createHash('sha1').update(`${epoch} ${reading} ${key}`).digest('base64url');
    this.#sent = { key, body, tag: `"${mark}"` };
    return this.#sent;
  }
}

/**
 * All views ask for the books of one garden again and again. What was sent last is remembered; after a write only what
 * may have changed is read again.
 */
export function rememberedBooks(stores: Stores, today: () => string): (garden: GardenRecord) => SentBooks {
  let remembered:
    { readonly id: string; readonly epoch: string; readonly garden: RememberedGarden } | undefined;
  let readings = 0;
  return (garden) => {
    const epoch = stores.epoch();
    const writes = stores.writesSince();
    if (writes.isAll || remembered?.epoch !== epoch || remembered.id !== garden.id) {
      remembered = { id: garden.id, epoch, garden: new RememberedGarden(stores, garden.id) };
      readings += 1;
    } else if (writes.collections.size > 0 || writes.entryBeds.size > 0) {
      remembered.garden.catchUp(writes.collections, writes.entryBeds);
      readings += 1;
    }
    return remembered.garden.sent(garden, today(), epoch, readings);
  };
}
