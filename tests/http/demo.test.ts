import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import type { GardenBooks } from '../../src/contract/garden-books.ts';
import { GARDEN, MILD } from '../fixtures/books.ts';
import { openBooks } from './open-books.ts';
import { askAt, newFolder, removeFolder } from './server.ts';

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

describe('a file that the demo garden would replace', () => {
  const inFolder = async (act: (file: string) => Promise<void>) => {
    const folder = newFolder();
    try {
      await act(join(folder, 'books.sqlite'));
    } finally {
      removeFolder(folder);
    }
  };
  const gardensOf = async (file: string, flags: readonly string[] = []): Promise<string[]> => {
    const server = openBooks(file, flags);
    const { gardens } = (await (await server.request('/api/gardens')).json()) as {
      gardens: { id: string }[];
    };
    await server.stop();
    return gardens.map(({ id }) => id);
  };

  it('is left alone when it holds books of somebody’s own, with its photos and backups', () =>
    inFolder(async (file) => {
      const own = openBooks(file);
      const { temperatureC, rainMm, evapotranspirationMm } = MILD;
      const garden = { ...GARDEN, climate: { temperatureC, rainMm, evapotranspirationMm } };
      const made = await askAt(own, 'POST', '/api/gardens', garden);
      expect(made.status).toBe(201);
      await own.stop();
      mkdirSync(`${file}-photos`, { recursive: true });
      writeFileSync(join(`${file}-photos`, 'leaf'), 'a picture');
      expect(() => openBooks(file, ['--demo'])).toThrow(/holds books of your own.*leave --demo out/);
      expect(await gardensOf(file)).toEqual([GARDEN.id]);
      expect(existsSync(join(`${file}-photos`, 'leaf'))).toBe(true);
    }));

  it('is left alone when it cannot be read, for it may be saved yet', () =>
    inFolder(async (file) => {
      const text = 'a file that is no database, and long enough to be looked at'.repeat(40);
      writeFileSync(file, text);
      expect(() => openBooks(file, ['--demo'])).toThrow(/cannot be read/);
      expect(readFileSync(file, 'utf8')).toBe(text);
      return Promise.resolve();
    }));

  it('is made afresh when it is a demo already, whatever was tried in it; a garden of one’s own in it stays', () =>
    inFolder(async (file) => {
      const first = openBooks(file, ['--demo']);
      const { temperatureC, rainMm, evapotranspirationMm } = MILD;
      const garden = { ...GARDEN, climate: { temperatureC, rainMm, evapotranspirationMm } };
      const tried = { type: 'water', state: 'laid', date: '2026-05-01', note: 'tried', waterMm: 5 };
      await askAt(first, 'POST', '/api/beds/demo-ferry-strip/entries', tried);
      await askAt(first, 'POST', '/api/gardens', garden);
      await first.stop();
      const again = openBooks(file, ['--demo']);
      const { body: books } = await askAt<GardenBooks>(again, 'GET', '/api/gardens/ternhollow/books');
      expect(books.entries.some(({ note }) => note === 'tried')).toBe(false);
      await again.stop();
      expect(await gardensOf(file, ['--demo'])).toEqual(
        expect.arrayContaining([GARDEN.id, 'ternhollow', 'ternhollow-south']),
      );
      expect(await gardensOf(file)).toContain(GARDEN.id);
    }));
});
