import { describe, expect, it } from 'vitest';
import type { GardenBooks } from '../contract/garden-books.ts';
import { bedOf, ownCropOf, plantingOf } from '../../tests/fixtures/books.ts';
import { layOf } from '../../tests/fixtures/laid.ts';
import { ANY_LINE, linesFor, logLines, type LogFilter } from './log-lines.ts';
import { measuresOf } from './measures.ts';

const stamp = { version: 1, createdAt: '', updatedAt: '' };
const metric = measuresOf({ measures: 'metric' });
const seen = (id: string, date: string, note: string, observed: object) => ({
  ...stamp,
  kind: 'observation',
  id,
  gardenId: 'garden',
  date,
  note,
  bedId: 'bed',
  plantingId: 'planting',
  photoId: null,
  observed,
});
const books = {
  today: '2026-11-30',
  beds: [bedOf({ name: 'Ferry Strip' }), bedOf({ id: 'other', name: 'Char Bed' })],
  lots: [{ ...stamp, id: 'pile', name: 'Hazel chips by the gate' }],
  crops: [{ ...stamp, ...ownCropOf({ id: 'own', name: 'Tall leek' }), gardenId: 'garden', note: '' }],
  materials: [],
  plantings: [plantingOf({ cropId: 'own', note: 'from own seed' })],
  entries: [
    { ...stamp, ...layOf({ id: 'chips', date: '2026-05-01' }), bedId: 'bed', note: 'Sieved over the strip' },
    { ...stamp, ...layOf({ id: 'later', date: '2027-05-01' }), state: 'planned', bedId: 'bed', note: '' },
    {
      ...stamp,
      type: 'water',
      id: 'water',
      bedId: 'other',
      state: 'laid',
      date: '2026-06-01',
      waterMm: 10,
      note: '',
    },
  ],
  movements: [
    {
      ...stamp,
      type: 'turn',
      id: 'turn',
      gardenId: 'garden',
      lotId: 'pile',
      state: 'laid',
      date: '2026-04-01',
      note: '',
    },
  ],
  journal: [
    seen('worms', '2026-07-02', 'Crème-colored worms', { type: 'worms', count: 5 }),
    seen('yield', '2026-10-01', '', { type: 'yield', massKg: 6 }),
    { ...stamp, kind: 'mark', id: 'mark', gardenId: 'garden', date: '2026-07-01', note: 'rain' },
  ],
} as unknown as GardenBooks;

const lines = logLines(books, metric);
const found = (change: Partial<LogFilter>) =>
  linesFor(lines, { ...ANY_LINE, ...change }).map(({ key }) => key);

describe('the whole log', () => {
  it('calls a crop cleared only when it was ticked off, or is no longer asked for', () => {
    const mark = (state: string) => ({ kind: 'mark', taskKey: 'clear:planting', state });
    const cleared = (today: string, journal: readonly object[] = []) =>
      logLines({ ...books, today, journal } as unknown as GardenBooks, metric).find(
        ({ key }) => key === 'planting cleared',
      )?.words;
    expect(cleared('2026-10-05')).toBe('Tall leek counted as cleared, not yet ticked off');
    expect(cleared('2026-10-05', [mark('done')])).toBe('Tall leek cleared');
    expect(cleared('2026-10-05', [mark('snoozed')])).toContain('not yet ticked off');
    expect(cleared('2026-11-30')).toBe('Tall leek cleared');
    expect(cleared('2026-09-30')).toBeUndefined();
  });
  it('says what became of a brew', () => {
    const brew = { kind: 'brew', id: 'b', date: '2026-05-01', note: '', brewId: 'compostTea', litres: 10 };
    const said = (more: object) =>
      logLines({ ...books, journal: [{ ...brew, ...more }] } as unknown as GardenBooks, metric).find(
        ({ key }) => key === 'b',
      );
    expect(said({ state: 'going' })).toMatchObject({ words: 'Compost tea set up, 10 L', bedId: null });
    expect(said({ state: 'used', endedOn: '2026-05-03', pouredOnBedId: 'other' })).toMatchObject({
      words: 'Compost tea set up, 10 L; used on 3 May 2026',
      bedId: 'other',
    });
    expect(said({ state: 'discarded' })?.words).toBe('Compost tea set up, 10 L; thrown away');
  });
  it('has what was done and seen, newest first, and nothing that is only planned or marked', () => {
    const keys = ['planting cleared', 'yield', 'worms', 'water', 'chips', 'planting', 'turn'];
    expect(new Set(lines.map(({ key }) => key))).toEqual(new Set(keys));
    const dates = lines.map(({ date }) => date);
    expect(dates).toEqual(dates.toSorted().toReversed());
  });
  it.each<[string, Partial<LogFilter>, string[]]>([
    ['a word of a note, without its accent', { text: 'creme' }, ['worms']],
    ['a word in the other number', { text: 'worm' }, ['worms']],
    ['the name of a bed', { text: 'char bed' }, ['water']],
    ['another name of a material', { text: 'arborist' }, ['chips']],
    ['the crop it was seen on', { text: 'tall leek harvest' }, ['yield']],
    ['a bed', { bedId: 'other' }, ['water']],
    ['a kind', { kind: 'stock' }, ['turn']],
    ['a crop', { cropId: 'own', kind: 'grown' }, ['planting cleared', 'planting']],
    ['days', { from: '2026-05-01', until: '2026-06-01' }, ['water', 'chips']],
    ['nothing there', { text: 'elephant' }, []],
  ])('is searched by %s', (_, change, keys) => {
    expect(found(change)).toEqual(keys);
  });
});
