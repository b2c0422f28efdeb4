import { createHash } from 'node:crypto';
import type { GardenRecord } from '../contract/records.ts';
import { measuredWeather } from './kept-stock.ts';
import type { Stores } from './stores.ts';

/** The books of a garden as they are sent, and a mark by which a page knows them again. */
export interface SentBooks {
  readonly body: Uint8Array<ArrayBuffer>;
  readonly tag: string;
}

/** How each list of the books is read; entries, of which there are most, are read bed by bed. */
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

interface PlacedEntry {
  readonly bedId: string;
  readonly date: string;
  readonly sequence: number;
  readonly text: string;
}

const before = (a: PlacedEntry, b: PlacedEntry): boolean =>
  a.date < b.date || (a.date === b.date && a.sequence < b.sequence);

/** Two lists in order as one. */
function merged(a: readonly PlacedEntry[], b: readonly PlacedEntry[]): PlacedEntry[] {
  const all: PlacedEntry[] = [];
  let i = 0;
  for (const one of a) {
    while (i < b.length && before(b[i]!, one)) all.push(b[i++]!);
    all.push(one);
  }
  while (i < b.length) all.push(b[i++]!);
  return all;
}

function placedEntries(stores: Stores, bedId: string): PlacedEntry[] {
  const sequences = stores.entries.sequencesOf(bedId);
  return stores.entries.listOf(bedId).map((entry) => ({
    bedId,
    date: entry.date,
    sequence: sequences.get(entry.id) ?? 0,
    text: JSON.stringify(entry),
  }));
}

/** What is remembered of one garden: its lists as text, its entries one by one. */
class RememberedGarden {
  readonly #lists = new Map<ListName, string>();
  #entries: PlacedEntry[] = [];
  #sent: (SentBooks & { readonly key: string }) | undefined;

  constructor(
    private readonly stores: Stores,
    private readonly id: string,
  ) {
    for (const name of LIST_NAMES) this.#read(name);
    this.#readAllEntries();
  }

  #read(name: ListName): void {
    this.#lists.set(name, JSON.stringify(LISTS[name](this.stores, this.id)));
  }

  #readAllEntries(): void {
    const byBed = this.stores.beds.listOf(this.id).map((bed) => placedEntries(this.stores, bed.id));
    this.#entries = byBed.flat().sort((a, b) => (before(a, b) ? -1 : 1));
  }

  /** Looks again at what may have been written. */
  catchUp(collections: ReadonlySet<string>, entryBeds: ReadonlySet<string>): void {
    for (const name of LIST_NAMES) {
      if (collections.has(name) || collections.has(LEANS_ON[name] ?? '')) this.#read(name);
    }
    if (collections.has('beds')) this.#readAllEntries();
    else if (entryBeds.size > 0) {
      const others = this.#entries.filter(({ bedId }) => !entryBeds.has(bedId));
      const own = [...entryBeds].filter((bedId) => this.stores.beds.find(bedId)?.gardenId === this.id);
      const again = own.flatMap((bedId) => placedEntries(this.stores, bedId));
      this.#entries = merged(
        others,
        again.sort((a, b) => (before(a, b) ? -1 : 1)),
      );
    }
    this.#sent = undefined;
  }

  /** `reading` tells this state of the garden from every other one of the same epoch. */
  sent(garden: GardenRecord, today: string, epoch: string, reading: number): SentBooks {
    const key = `${today} ${garden.version}`;
    if (this.#sent?.key === key) return this.#sent;
    const lists = LIST_NAMES.map((name) => `"${name}":${this.#lists.get(name) ?? '[]'}`);
    const entries = `"entries":[${this.#entries.map(({ text }) => text).join(',')}]`;
    const head = `"today":${JSON.stringify(today)},"garden":${JSON.stringify(garden)}`;
    const body = new TextEncoder().encode(`{${[head, ...lists, entries].join(',')}}`);
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
