import {
  afterChange,
  CHANGE_INCLUDED,
  CHANGES_SINCE,
  type AnswerWithChange,
  type BooksChange,
  type BooksMark,
} from '../../contract/changes.ts';
import type { GardenBooks } from '../../contract/garden-books.ts';
import { sentSettled, type FindVersion } from './conflicts.ts';

/** The books of a garden as this page has them, and of which state they are. */
interface BooksInHand {
  readonly books: GardenBooks;
  readonly mark: BooksMark;
}

/** What happens to the books in memory: those who draw them are notified. */
export interface BooksListener {
  /** They have taken in a change. */
  readonly changed: (gardenId: string, books: GardenBooks) => void;
  /** Something was written that is not in them. */
  readonly outdated: (gardenId: string) => void;
}

const inHand = new Map<string, BooksInHand>();
let lastOpened: string | null = null;
let listener: BooksListener = { changed: () => undefined, outdated: () => undefined };

/** Other windows of this browser; none where the browser cannot notify them. */
const windows = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel('vine-ledger-books');

export function listenToBooks(to: BooksListener): void {
  listener = to;
  if (windows)
    windows.onmessage = ({ data }: MessageEvent<string>) => {
      if (inHand.has(data)) to.outdated(data);
    };
}

const asMark = (tag: string | null): BooksMark | null => {
  const [epoch, number] = tag?.replaceAll('"', '').split(' ') ?? [];
  return epoch !== undefined && Number.isInteger(Number(number)) ? { epoch, number: Number(number) } : null;
};

function take(
  gardenId: string,
  { books }: BooksInHand,
  change: BooksChange & { isWhole: false },
): GardenBooks {
  const after = afterChange(books, change);
  inHand.set(gardenId, { books: after, mark: change.mark });
  if (after !== books) keepForOffline(gardenId);
  return after;
}

const OFFLINE_BOOKS = 'vine-ledger-books';
/** Long enough for several writes in a row, short enough to be there when the connection goes. */
const KEEP_AFTER_MS = 1500;
const keeping = new Map<string, ReturnType<typeof setTimeout>>();

/** The books as they are now, in the place of those the device keeps for when there is no connection. */
function keepForOffline(gardenId: string): void {
  if (!('serviceWorker' in navigator) || !navigator.serviceWorker.controller) return;
  clearTimeout(keeping.get(gardenId));
  const keep = async () => {
    const held = inHand.get(gardenId);
    if (!held) return;
    const { epoch, number } = held.mark;
    const headers = { 'Content-Type': 'application/json', ETag: `"${epoch} ${number}"` };
    const cache = await caches.open(OFFLINE_BOOKS);
    await cache.put(`/api/gardens/${gardenId}/books`, new Response(JSON.stringify(held.books), { headers }));
  };
  keeping.set(
    gardenId,
    setTimeout(() => void keep(), KEEP_AFTER_MS),
  );
}

/** The books of a garden as they are in hand; undefined when they have not been read yet. */
export const booksInHand = (gardenId: string): GardenBooks | undefined => inHand.get(gardenId)?.books;

/** The garden that was opened last; null before the first. */
export const openGarden = (): string | null => lastOpened;

/** The books of a garden as they are in hand, when they are those of a mark. */
export function booksInHandAt(gardenId: string, { epoch, number }: BooksMark): GardenBooks | undefined {
  const held = inHand.get(gardenId);
  return held?.mark.epoch === epoch && held.mark.number === number ? held.books : undefined;
}

/** Takes in books that were read whole. */
function hold(gardenId: string, books: GardenBooks, tag: string | null): GardenBooks {
  const mark = asMark(tag);
  if (mark) inHand.set(gardenId, { books, mark });
  lastOpened = gardenId;
  return books;
}

/** How books and changes are asked for. */
export interface BooksSource {
  readonly whole: (gardenId: string) => Promise<{ readonly books: GardenBooks; readonly tag: string | null }>;
  readonly changes: (gardenId: string, mark: BooksMark) => Promise<BooksChange>;
}

/** The books of a garden: what changed since they were read, or all of them when there are none in hand. */
export async function readBooks(gardenId: string, source: BooksSource): Promise<GardenBooks> {
  const held = inHand.get(gardenId);
  lastOpened = gardenId;
  if (held) {
    const change = await source.changes(gardenId, held.mark);
    // A write may have been answered meanwhile; then what is in hand is newer than what was asked for.
    const now = inHand.get(gardenId) ?? held;
    if (now.mark !== held.mark) return now.books;
    if (!change.isWhole) return take(gardenId, held, change);
  }
  const { books, tag } = await source.whole(gardenId);
  return hold(gardenId, books, tag);
}

function takeIn(gardenId: string, since: BooksMark, change: BooksChange): void {
  const held = inHand.get(gardenId);
  const isNext = held !== undefined && held.mark === since && !change.isWhole;
  if (isNext) listener.changed(gardenId, take(gardenId, held, change));
  else listener.outdated(gardenId);
}

/** The records of books as they stand in them. */
const versionIn =
  (books: GardenBooks): FindVersion =>
  (id, version) => {
    const records = Object.values(books).flatMap((list: unknown): unknown[] =>
      Array.isArray(list) ? list : [],
    );
    const found = records.find(
      (one) => typeof one === 'object' && one !== null && 'id' in one && one.id === id,
    ) as Readonly<Record<string, unknown>> | undefined;
    return found?.['version'] === version ? found! : null;
  };

/** Sends a request; a write says which books are in hand, and takes what became of them out of its answer. */
export const fetchWithChanges: typeof fetch = async (input, init) => {
  const isWrite = init?.method !== undefined && init.method !== 'GET';
  const gardenId = lastOpened;
  const held = gardenId === null ? undefined : inHand.get(gardenId);
  if (!isWrite) return fetch(input, init);
  if (gardenId === null || !held) return sentSettled(fetch, [input, init], () => null);
  const headers = new Headers(init.headers);
  headers.set(CHANGES_SINCE, `${gardenId} ${held.mark.epoch} ${held.mark.number}`);
  const response = await sentSettled(fetch, [input, { ...init, headers }], versionIn(held.books));
  if (!response.ok) return response;
  windows?.postMessage(gardenId);
  if (response.headers.get(CHANGE_INCLUDED) === null) {
    listener.outdated(gardenId);
    return response;
  }
  const { answer, change } = (await response.json()) as AnswerWithChange;
  takeIn(gardenId, held.mark, change);
  return answer === null
    ? new Response(null, { status: 204 })
    : new Response(JSON.stringify(answer), { status: response.status, headers: response.headers });
};
