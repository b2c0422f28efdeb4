import { join } from 'node:path';
import { afterAll, describe, expect, it } from 'vitest';
import { dayNumberFromIso } from '../../src/core/ground/climate/calendar.ts';
import { bedScenario } from '../../src/core/bed/books/bed-scenario.ts';
import { startRun, runTo } from '../../src/core/model/simulation/run.ts';
import { CLIMATE_PATTERNS } from '../../src/core/ground/climate/patterns.ts';
import { openBooks } from '../../src/server/db/books-file.ts';
import { findLibraryMaterial } from '../../src/core/ground/materials/library.ts';
import { bedOf, GARDEN } from '../fixtures/books.ts';
import { layOf } from '../fixtures/laid.ts';
import { newFolder, removeFolder } from '../http/server.ts';

const folder = newFolder();
afterAll(() => removeFolder(folder));

describe('a clock that jumps', () => {
  it('back by years loses nothing and lets nobody write over what they have not seen', () => {
    let now = '2031-05-14T08:00:00.000Z';
    const books = openBooks({ file: join(folder, 'jump.sqlite') }, () => now);
    const { stores } = books;
    stores.gardens.insert(GARDEN);
    now = '1999-01-01T00:00:00.000Z';
    const first = stores.gardens.update('garden', 1, { name: 'After the jump' });
    expect(first).toMatchObject({ outcome: 'written', current: { version: 2, name: 'After the jump' } });
    expect(stores.gardens.update('garden', 1, { name: 'Stale' })).toMatchObject({ outcome: 'stale' });
    now = '2031-05-14T08:00:01.000Z';
    expect(stores.gardens.update('garden', 2, { name: 'Back again' })).toMatchObject({ outcome: 'written' });
    expect(stores.gardens.list()).toHaveLength(1);
    books.close();
  });
});

describe('days that are not in every year', () => {
  it.each(CLIMATE_PATTERNS.map(({ id }) => id))(
    'are lived through in %s, books balanced, north and south',
    (id) => {
      const climate = CLIMATE_PATTERNS.find((pattern) => pattern.id === id)!;
      const today = dayNumberFromIso('2028-02-29', []);
      const entries = [
        layOf({ id: 'leap', date: '2028-02-29' }),
        layOf({ id: 'new year', date: '2027-12-31' }),
      ];
      const books = { site: { ...GARDEN, climate }, bed: bedOf(), crops: [], entries, plantings: [] };
      const scenario = bedScenario({
        books,
        findMaterial: findLibraryMaterial,
        today,
        endDay: dayNumberFromIso('2029-03-01', []),
      });
      const run = startRun(scenario);
      runTo(run, scenario.endDay);
      expect(run.largestRelativeError).toBeLessThan(1e-9);
      expect(run.bed.state.cohorts.map(({ traits }) => traits.id)).toEqual(
        expect.arrayContaining(['leap', 'new year']),
      );
    },
  );
});
