import type { GardenBooks } from '../../src/contract/garden-books.ts';
import { isoDateOf } from '../../src/core/ground/climate/calendar.ts';
import { ANY_LINE, linesFor, logLines } from '../../src/words/log-lines.ts';
import { measuresOf } from '../../src/words/measures.ts';
import { bedOf, plantingOf } from '../fixtures/books.ts';
import { layOf } from '../fixtures/laid.ts';
import { report, timed } from './report.ts';
import { START } from './ten-years.ts';

/** The whole log of a garden of many years: made once when its records change, searched with every letter typed. */
const LINES = 10_000;
const BEDS = 40;
const BAR_MS = 100;
const NOTES = ['white threads below', 'leaves yellow at the edge', 'five worms in a spade', 'rain all week'];

const stamp = { version: 1, createdAt: '', updatedAt: '' };
const bedId = (i: number): string => `bed-${i % BEDS}`;
const dateOf = (i: number): string => isoDateOf(START + Math.floor(i / 3));

const books = {
  today: '2060-01-01',
  beds: Array.from({ length: BEDS }, (_, i) => ({
    ...stamp,
    ...bedOf({ id: bedId(i), name: `Strip ${i + 1}` }),
  })),
  lots: [],
  crops: [],
  materials: [],
  movements: [],
  plantings: Array.from({ length: 400 }, (_, i) => ({
    ...stamp,
    ...plantingOf({ id: `planting-${i}`, cropId: 'leek', plantedOn: dateOf(i * 20) }),
    bedId: bedId(i),
    note: '',
  })),
  entries: Array.from({ length: LINES / 4 }, (_, i) => ({
    ...stamp,
    ...layOf({ id: `entry-${i}`, date: dateOf(i) }),
    bedId: bedId(i),
    note: NOTES[i % NOTES.length],
  })),
  journal: Array.from({ length: LINES - LINES / 4 - 400 }, (_, i) => ({
    ...stamp,
    kind: 'observation',
    id: `seen-${i}`,
    date: dateOf(i),
    bedId: bedId(i),
    plantingId: `planting-${i % 400}`,
    photoId: null,
    note: NOTES[i % NOTES.length],
    observed: { type: 'worms', count: i % 9, spadeCm: 20 },
  })),
} as unknown as GardenBooks;

const measures = measuresOf({ measures: 'metric' });
const lines = logLines(books, measures);
const found = linesFor(lines, { ...ANY_LINE, text: 'worms spade strip 7' });
if (found.length === 0) throw new Error('nothing was found: the bench does not search what it should');

report(
  `${lines.length.toLocaleString('en')} lines of a log made`,
  timed(() => void logLines(books, measures), 7),
  null,
);
report(
  `and searched: ${found.length} found`,
  timed(() => void linesFor(lines, { ...ANY_LINE, text: 'worms spade strip 7' }), 25),
  BAR_MS,
);
