import type { Stores } from './stores.ts';

interface PlacedEntry {
  readonly bedId: string;
  readonly date: string;
  readonly sequence: number;
  readonly text: string;
}

const inOrder = (entries: readonly PlacedEntry[]): PlacedEntry[] =>
  [...entries].sort((a, b) => (a.date < b.date ? -1 : a.date > b.date ? 1 : a.sequence - b.sequence));

function placedEntries(stores: Stores, bedId: string): PlacedEntry[] {
  const sequences = stores.entries.sequencesOf(bedId);
  return stores.entries.listOf(bedId).map((entry) => ({
    bedId,
    date: entry.date,
    sequence: sequences.get(entry.id) ?? 0,
    text: JSON.stringify(entry),
  }));
}

function byMonth(entries: readonly PlacedEntry[]): Map<string, PlacedEntry[]> {
  const months = new Map<string, PlacedEntry[]>();
  for (const entry of entries) {
    const month = entry.date.slice(0, 'yyyy-mm'.length);
    const known = months.get(month);
    if (known) known.push(entry);
    else months.set(month, [entry]);
  }
  return months;
}

const sameEntries = (a: readonly PlacedEntry[], b: readonly PlacedEntry[]): boolean =>
  a.length === b.length &&
  a.every(({ text, sequence }, i) => text === b[i]!.text && sequence === b[i]!.sequence);

const [OPENING, COMMA, CLOSING] = ['[', ',', ']'].map((sign) => Buffer.from(sign)) as [
  Buffer,
  Buffer,
  Buffer,
];

/** The entries of one month as they are sent, and one by one. */
interface Month {
  readonly entries: readonly PlacedEntry[];
  readonly bytes: Uint8Array;
}

const monthOf = (entries: readonly PlacedEntry[]): Month => {
  const ordered = inOrder(entries);
  return { entries: ordered, bytes: Buffer.from(ordered.map(({ text }) => text).join(',')) };
};

/** All entries of a garden as JSON, month by month: a write makes only its own month anew. */
export class RememberedEntries {
  readonly #months = new Map<string, Month>();

  constructor(
    private readonly stores: Stores,
    bedIds: readonly string[],
  ) {
    const all = byMonth(bedIds.flatMap((bedId) => placedEntries(stores, bedId)));
    for (const [month, entries] of all) this.#months.set(month, monthOf(entries));
  }

  /** Reads `own` beds of the garden again; `written` beds that are not among them have left it. */
  catchUp(written: ReadonlySet<string>, own: readonly string[]): void {
    const now = byMonth(own.flatMap((bedId) => placedEntries(this.stores, bedId)));
    for (const month of new Set([...this.#months.keys(), ...now.keys()])) {
      const entries = this.#months.get(month)?.entries ?? [];
      const before = entries.filter(({ bedId }) => written.has(bedId));
      const after = inOrder(now.get(month) ?? []);
      if (sameEntries(before, after)) continue;
      const others = entries.filter(({ bedId }) => !written.has(bedId));
      if (others.length + after.length === 0) this.#months.delete(month);
      else this.#months.set(month, monthOf([...others, ...after]));
    }
  }

  /** The whole list as JSON, in pieces. */
  pieces(): Uint8Array[] {
    const months = [...this.#months.keys()].sort().map((month) => this.#months.get(month)!.bytes);
    return [OPENING, ...months.flatMap((bytes, i) => (i === 0 ? [bytes] : [COMMA, bytes])), CLOSING];
  }
}
