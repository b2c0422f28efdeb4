import { describe, expect, it } from 'vitest';
import type { GardenBooks } from '../../../contract/garden-books.ts';

import { bedOf, GARDEN, NO_STOCK, plantingOf } from '../../../../tests/fixtures/books.ts';
import type { EntryRecord } from '../../../records/entry.ts';
import { searchablesOf, searcherOf } from './search-index.ts';

const stamp = { version: 1, createdAt: '', updatedAt: '', gardenId: 'g' };
const entry: EntryRecord = {
  id: 'e',
  version: 1,
  createdAt: '',
  updatedAt: '',
  bedId: 'gourd',
  state: 'laid',
  date: '2026-04-02',
  type: 'feed',
  nitrogenG: 20,
  note: 'Sieved over the chips.',
};
const books: GardenBooks = {
  ...NO_STOCK,
  today: '2026-05-14',
  garden: { ...GARDEN, ...stamp, id: 'g' },
  beds: [bedOf({ id: 'ferry', name: 'Ferry Strip' }), bedOf({ id: 'gourd', name: 'Gourd Mound' })],
  crops: [],
  plantings: [plantingOf({ id: 'p', bedId: 'ferry', cropId: 'leek' })],
  entries: [entry],
  materials: [],
  buildUps: [],
  recipes: [],
  lots: [
    {
      ...stamp,
      id: 'heap',
      name: 'Hazel heap',
      form: 'pile',
      keeping: 'open',
      isTurned: false,
      isHot: false,
      reserveL: 0,
      note: '',
    },
  ],
  journal: [
    {
      ...stamp,
      id: 'j',
      kind: 'observation',
      date: '2026-05-10',
      note: 'White threads, perhaps oyster',
      bedId: 'gourd',
      plantingId: null,
      photoId: null,
      observed: { type: 'note' },
    },
  ],
};
const search = searcherOf(searchablesOf(books));
const titles = (text: string) => search(text).map(({ title }) => title);

describe('the search of a garden', () => {
  it.each([
    ['ferry', 'Ferry Strip'],
    ['leek', 'Ferry Strip'],
    ['hazel', 'Hazel heap'],
    ['spread', 'Spreading day'],
    ['backup', 'Your data'],
    ['sieved over', 'Sieved over the chips.'],
    ['oyster', 'White threads, perhaps oyster'],
  ])('%s finds %s first', (text, title) => expect(titles(text)[0]).toBe(title));

  it.each([
    ['arborist', 'chips'],
    ['lawn', 'Grass clippings'],
    ['chicken', 'Poultry'],
    ['cow', 'manure'],
    ['charcoal', 'char'],
  ])('%s finds materials by what people call them', (text, part) => {
    expect(titles(text).join('; ').toLowerCase()).toContain(part.toLowerCase());
  });

  it('forgives a slip of the finger, and finds nothing where there is nothing', () => {
    expect(titles('calender')[0]).toBe('Calendar');
    expect(titles('xyzzy')).toEqual([]);
    expect(titles('')).toEqual([]);
    expect(titles('   ')).toEqual([]);
  });

  it('narrows with every word', () => {
    expect(titles('wood chips conifer').length).toBeLessThan(titles('wood').length);
  });

  it('leads to where it is', () => {
    expect(search('ferry')[0].to).toBe('/garden/g/bed/ferry');
    expect(search('hazel heap')[0].to).toBe('/garden/g/stock/heap');
  });

  it('answers for sixty beds and a thousand notes at a keystroke', () => {
    const many = {
      ...books,
      beds: Array.from({ length: 60 }, (_, i) => ({ ...books.beds[0], id: `b${i}`, name: `Row ${i}` })),
      entries: Array.from({ length: 1000 }, (_, i) => ({
        ...books.entries[0],
        id: `e${i}`,
        note: `Note ${i}`,
      })),
    };
    const found = searcherOf(searchablesOf(many))('row 59');
    expect(found[0].title).toBe('Row 59');
  });
});
