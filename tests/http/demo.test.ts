import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import type { GardenBooks } from '../../src/contract/garden-books.ts';
import { openBooks } from './open-books.ts';
import { newFolder, removeFolder } from './server.ts';

describe('the demo garden', () => {
  it.each(['2026-01-01', '2026-05-14', '2027-11-24', '2028-02-29'])(
    'is whole on %s, with history and a plan',
    async (today) => {
      const folder = newFolder();
      const server = openBooks(join(folder, 'demo.sqlite'), ['--demo', '--today', today]);
      try {
        const books = (await (await server.request(`/api/gardens/ternhollow/books`)).json()) as GardenBooks;
        expect(books.beds).toHaveLength(8);
        expect(new Set(books.beds.map(({ kind }) => kind)).size).toBeGreaterThanOrEqual(6);
        const twoYearsAgo = `${Number(today.slice(0, 4)) - 1}-01-01`;
        expect(books.entries.some(({ date, state }) => date < twoYearsAgo && state === 'laid')).toBe(true);
        expect(books.entries.some(({ date, state }) => date > today && state === 'planned')).toBe(true);
        expect(books.entries.every(({ date, state }) => date <= today === (state === 'laid'))).toBe(true);
      } finally {
        await server.stop();
        removeFolder(folder);
      }
    },
  );
});
