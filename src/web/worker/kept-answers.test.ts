import { beforeEach, expect, it, vi } from 'vitest';
import { bedOf, GARDEN, NO_STOCK } from '../../../tests/fixtures/books.ts';
import type { GardenBooks } from '../../contract/garden-books.ts';
import type { WorkedOutBed } from '../../contract/worked-out.ts';
import { keptOr, setAheadSource, type AheadSource } from './kept-answers.ts';
import { questionAbout } from './question-about.ts';

const TODAY = '2026-05-14';
/** Each test asks about a garden of its own: what was fetched for one before is not fetched again. */
let gardens = 0;
const booksOf = (bulkDensity = 1.2): GardenBooks =>
  ({
    today: TODAY,
    garden: { ...GARDEN, depositionGPerM2Year: ++gardens },
    beds: [bedOf({ id: 'north', bulkDensityGPerCm3: bulkDensity }), bedOf({ id: 'south' })],
    entries: [],
    plantings: [],
    crops: [],
    materials: [],
    ...NO_STOCK,
  }) as unknown as GardenBooks;

const beds = ['north', 'south'].map(
  (bedId) => ({ bedId, brief: `how ${bedId} stands`, tasks: [`weed ${bedId}`] }) as unknown as WorkedOutBed,
);
const workedOutHere = () => Promise.resolve({ ok: true as const, result: 'worked out here' });
const about = (books: GardenBooks, bedId: string) => questionAbout(books, bedId, TODAY);

let books: GardenBooks;
let source: ReturnType<typeof vi.fn<AheadSource>>;
beforeEach(() => {
  books = booksOf();
  source = vi.fn<AheadSource>().mockResolvedValue({ books, beds });
  setAheadSource(source);
});

it('what was worked out elsewhere is taken for all beds with one request', async () => {
  const answers = await Promise.all([
    keptOr('brief', about(books, 'north'), workedOutHere),
    keptOr('agenda', about(books, 'south'), workedOutHere),
  ]);
  expect(answers).toEqual([
    { ok: true, result: 'how north stands' },
    { ok: true, result: ['weed south'] },
  ]);
  expect(source).toHaveBeenCalledOnce();
});

it('a bed about which other books say something else is worked out here, the others are not', async () => {
  const changed = { ...booksOf(1.4), garden: books.garden };
  expect(await keptOr('brief', about(changed, 'north'), workedOutHere)).toMatchObject({
    result: 'worked out here',
  });
  expect(await keptOr('brief', about(changed, 'south'), workedOutHere)).toMatchObject({
    result: 'how south stands',
  });
});

it.each<[string, AheadSource]>([
  ['nothing is there', () => Promise.resolve(undefined)],
  ['there is no connection', () => Promise.reject(new Error('no connection'))],
])('everything is worked out here when %s', async (_, nothing) => {
  setAheadSource(nothing);
  expect(await keptOr('brief', about(books, 'north'), workedOutHere)).toMatchObject({
    result: 'worked out here',
  });
});

it('on the next day it is asked for again', async () => {
  await keptOr('brief', about(books, 'north'), workedOutHere);
  await keptOr('brief', questionAbout(books, 'north', '2026-05-15'), workedOutHere);
  expect(source).toHaveBeenCalledTimes(2);
});
