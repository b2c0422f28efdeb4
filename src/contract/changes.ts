import type { CollectionName } from '../records/collections.ts';
import type { GardenRecord } from '../records/garden.ts';
import type { GardenBooks } from './garden-books.ts';

/** A state of the books of a garden: the number of its latest change, since the file was opened under this name. */
export interface BooksMark {
  readonly epoch: string;
  readonly number: number;
}

interface ListedRecord {
  readonly id: string;
  readonly date?: string;
}

/** What became of the records of one kind. */
export interface ListChange {
  readonly written: readonly ListedRecord[];
  /** Ids; of the weather, days. */
  readonly removed: readonly string[];
  /** The complete new order, for short lists whose order is not given by a field of the records. */
  readonly order?: readonly string[];
  /** The order within each day that was touched, where the order of writing counts. */
  readonly days?: Readonly<Record<string, readonly string[]>>;
}

/** What was written and removed since a mark; only the new mark when a list of changes would be too long. */
export type BooksChange = { readonly mark: BooksMark } & (
  | { readonly isWhole: true }
  | {
      readonly isWhole: false;
      readonly today: string;
      /** Null when the garden itself has not changed. */
      readonly garden: GardenRecord | null;
      readonly lists: Readonly<Partial<Record<CollectionName, ListChange>>>;
    }
);

/** Fields by which a list is ordered; for lists not named here the order is sent along. */
const ORDERED_BY: Readonly<Partial<Record<CollectionName, readonly string[]>>> = {
  plantings: ['plantedOn', 'id'],
  materials: ['name', 'id'],
  crops: ['name', 'id'],
  buildUps: ['name', 'id'],
  recipes: ['name', 'id'],
  labResults: ['date', 'id'],
  weather: ['date'],
};
export const DAY_LISTS = ['entries', 'movements', 'journal'] as const;
export type DayList = (typeof DAY_LISTS)[number];
export const TOLD_ORDER = ['beds', 'habits', 'lots'] as const;

/** Days of measured weather have no id in the books: they are known by their date. */
const keyIn = (collection: CollectionName) =>
  collection === 'weather'
    ? ({ date }: ListedRecord): string => date ?? ''
    : ({ id }: ListedRecord): string => id;

const byFields =
  (fields: readonly string[]) =>
  (a: object, b: object): number => {
    for (const field of fields) {
      const [x, y] = [a, b].map((one) => String((one as Record<string, unknown>)[field]));
      if (x !== y) return x! < y! ? -1 : 1;
    }
    return 0;
  };

/** The records of a list that is ordered by date; those on the days in `days` are in the order given. */
function withDays(records: readonly ListedRecord[], days: NonNullable<ListChange['days']>): ListedRecord[] {
  const others = records.filter(({ date = '' }) => !(date in days));
  const known = new Map(records.filter(({ date = '' }) => date in days).map((one) => [one.id, one]));
  const touched = Object.keys(days)
    .sort()
    .map((date) => ({ date, own: days[date]!.flatMap((id) => known.get(id) ?? []) }));
  const merged: ListedRecord[] = [];
  let at = 0;
  for (const { date, own } of touched) {
    while (at < others.length && (others[at]!.date ?? '') < date) merged.push(others[at++]!);
    merged.push(...own);
  }
  return [...merged, ...others.slice(at)];
}

function changedList(
  collection: CollectionName,
  list: readonly ListedRecord[],
  { written, removed, order, days }: ListChange,
): readonly ListedRecord[] {
  const keyOf = keyIn(collection);
  const gone = new Set([...removed, ...written.map(keyOf)]);
  const all = [...list.filter((one) => !gone.has(keyOf(one))), ...written];
  if (days) return withDays(all, days);
  if (order) {
    const known = new Map(all.map((one) => [one.id, one]));
    return order.flatMap((id) => known.get(id) ?? []);
  }
  return all.sort(byFields(ORDERED_BY[collection] ?? ['id']));
}

/** The books after a change. Lists that it does not touch stay the same objects. */
export function afterChange(
  books: GardenBooks,
  { today, garden, lists }: Extract<BooksChange, { isWhole: false }>,
): GardenBooks {
  const changed = Object.entries(lists).map(([name, change]) => {
    const collection = name as CollectionName;
    return [name, changedList(collection, books[collection] as readonly ListedRecord[], change)];
  });
  const isSame = changed.length === 0 && garden === null && today === books.today;
  return isSame
    ? books
    : { ...books, today, garden: garden ?? books.garden, ...(Object.fromEntries(changed) as object) };
}

/** Header by which a write says what its sender has: garden, epoch and number, with blanks between. */
export const CHANGES_SINCE = 'Changes-Since';
/** Header of an answer that has the change around it. */
export const CHANGE_INCLUDED = 'Change-Included';
/** Null as the answer of a write that has none. */
export interface AnswerWithChange {
  readonly answer: unknown;
  readonly change: BooksChange;
}
