import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { CHANGE_INCLUDED, CHANGES_SINCE, type BooksChange, type BooksMark } from '../../contract/changes.ts';
import type { GardenBooks } from '../../contract/garden-books.ts';
import {
  booksInHand,
  fetchWithChanges,
  listenToBooks,
  readBooks,
  type BooksListener,
  type BooksSource,
} from './books-in-hand.ts';

const markAt = (number: number): BooksMark => ({ epoch: 'e', number });
const booksWith = (...beds: string[]) =>
  ({ today: '2026-05-14', beds: beds.map((id) => ({ id, name: id })) }) as unknown as GardenBooks;
const changeTo = (number: number, bed: string, order: string[]): BooksChange & { isWhole: false } => ({
  mark: markAt(number),
  isWhole: false,
  today: '2026-05-14',
  garden: null,
  lists: { beds: { written: [{ id: bed }], removed: [], order } },
});

/** What the server has, and what it was asked. */
function server(books: GardenBooks, change: BooksChange = { mark: markAt(1), isWhole: true }) {
  const asked: string[] = [];
  const source: BooksSource = {
    whole: () => {
      asked.push('whole');
      return Promise.resolve({ books, tag: '"e 1"' });
    },
    changes: (_, { number }) => {
      asked.push(`changes since ${number}`);
      return Promise.resolve(change);
    },
  };
  return { asked, source };
}

const write = (body: unknown, headers: Record<string, string> = {}, status = 200) => {
  const fetched = vi.fn<typeof fetch>(() =>
    Promise.resolve(new Response(body === undefined ? null : JSON.stringify(body), { status, headers })),
  );
  vi.stubGlobal('fetch', fetched);
  return fetched;
};

let count = 0;
let garden: string;
const heard: [string, string][] = [];
beforeEach(() => {
  // A browser that keeps nothing for when there is no connection.
  vi.stubGlobal('navigator', {});
  garden = `garden ${count++}`;
  heard.length = 0;
  const listener: BooksListener = {
    changed: (id) => heard.push(['changed', id]),
    outdated: (id) => heard.push(['outdated', id]),
  };
  listenToBooks(listener);
});
afterEach(() => vi.unstubAllGlobals());

const bedsInHand = () => booksInHand(garden)?.beds.map(({ id }) => id);

describe('books read from the server', () => {
  it('come whole the first time, and after that only what changed', async () => {
    const { asked, source } = server(booksWith('a'), changeTo(2, 'b', ['a', 'b']));
    expect(booksInHand(garden)).toBeUndefined();
    await readBooks(garden, source);
    await readBooks(garden, source);
    expect(asked).toEqual(['whole', 'changes since 1']);
    expect(bedsInHand()).toEqual(['a', 'b']);
    await readBooks(garden, source);
    expect(asked.at(-1)).toBe('changes since 2');
  });

  it('come whole again when there is too much to list', async () => {
    const { asked, source } = server(booksWith('a'), { mark: markAt(900), isWhole: true });
    await readBooks(garden, source);
    await readBooks(garden, source);
    expect(asked).toEqual(['whole', 'changes since 1', 'whole']);
  });

  it('are those a write has brought, when it was answered while changes were on their way', async () => {
    const { source } = server(booksWith('a'));
    await readBooks(garden, source);
    write({ answer: { id: 'b' }, change: changeTo(3, 'b', ['a', 'b']) }, { [CHANGE_INCLUDED]: '1' });
    const read = await readBooks(garden, {
      ...source,
      changes: async () => {
        await fetchWithChanges('/api/beds', { method: 'POST' });
        return changeTo(2, 'late', ['a', 'late']);
      },
    });
    expect(read.beds.map(({ id }) => id)).toEqual(['a', 'b']);
  });
});

describe('a write', () => {
  const open = () => readBooks(garden, server(booksWith('a')).source);

  it('says which books are in hand and puts what became of them in their place', async () => {
    await open();
    const fetched = write(
      { answer: { id: 'b' }, change: changeTo(2, 'b', ['a', 'b']) },
      { [CHANGE_INCLUDED]: '1' },
      201,
    );
    const response = await fetchWithChanges('/api/beds', { method: 'POST' });
    expect(new Headers(fetched.mock.calls[0][1]!.headers).get(CHANGES_SINCE)).toBe(`${garden} e 1`);
    expect([response.status, await response.json()]).toEqual([201, { id: 'b' }]);
    expect(bedsInHand()).toEqual(['a', 'b']);
    expect(heard).toEqual([['changed', garden]]);
  });

  it('without an answer of its own stays without one', async () => {
    await open();
    write({ answer: null, change: changeTo(2, 'b', ['a', 'b']) }, { [CHANGE_INCLUDED]: '1' });
    const response = await fetchWithChanges('/api/beds/a', { method: 'DELETE' });
    expect([response.status, await response.text()]).toEqual([204, '']);
  });

  it('asks for the books again when it brings no change, and not when it was refused', async () => {
    await open();
    write({ id: 'b' });
    await fetchWithChanges('/api/beds', { method: 'POST' });
    expect(heard).toEqual([['outdated', garden]]);
    write({ title: 'Not accepted' }, {}, 422);
    const refused = await fetchWithChanges('/api/beds', { method: 'POST' });
    expect([refused.status, await refused.json()]).toEqual([422, { title: 'Not accepted' }]);
    expect(heard).toHaveLength(1);
    expect(bedsInHand()).toEqual(['a']);
  });

  it('that another has overtaken asks for the books again instead of guessing', async () => {
    await open();
    const answers = [changeTo(2, 'b', ['a', 'b']), changeTo(3, 'c', ['a', 'b', 'c'])];
    vi.stubGlobal('fetch', () =>
      Promise.resolve(
        new Response(JSON.stringify({ answer: {}, change: answers.shift() }), {
          headers: { [CHANGE_INCLUDED]: '1' },
        }),
      ),
    );
    await Promise.all([1, 2].map(() => fetchWithChanges('/api/beds', { method: 'POST' })));
    expect(heard.map(([what]) => what)).toEqual(['changed', 'outdated']);
  });

  it('leaves reading alone', async () => {
    await open();
    const fetched = write({ gardens: [] });
    await fetchWithChanges('/api/gardens', { method: 'GET' });
    expect(fetched.mock.calls[0][1]).toEqual({ method: 'GET' });
    expect(heard).toEqual([]);
  });
});
