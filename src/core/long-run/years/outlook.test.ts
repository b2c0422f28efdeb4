import { describe, expect, it } from 'vitest';
import { bedOf, MILD, plantingOf } from '../../../../tests/fixtures/books.ts';
import { layOf } from '../../../../tests/fixtures/laid.ts';
import { dayNumberFromIso } from '../../ground/climate/calendar.ts';
import { findLibraryMaterial } from '../../ground/materials/library.ts';
import { bedScenario } from '../../bed/books/bed-scenario.ts';
import { booksAsPlanned } from './habit-books.ts';
import { endOfYears } from './outlook-days.ts';
import { outlook } from './outlook.ts';
import { runYears } from './run-years.ts';

const TODAY = dayNumberFromIso('2026-05-14', []);
const YEARS = 4;

describe('the years ahead on the page of a bed', () => {
  const books = {
    site: { climate: MILD, depositionGPerM2Year: 1 },
    bed: bedOf(),
    crops: [],
    entries: [layOf({ id: 'chips', date: '2026-04-01', massFreshKg: 70 })],
    plantings: [plantingOf({ plantedOn: '2026-05-01', clearedOn: '2026-10-01' })],
  };
  const setting = { findMaterial: findLibraryMaterial, today: TODAY, years: YEARS };
  const scenario = bedScenario({
    books: booksAsPlanned(books, setting),
    findMaterial: findLibraryMaterial,
    today: TODAY,
    endDay: endOfYears(TODAY, YEARS),
  });
  const years = outlook(scenario, TODAY, YEARS);

  it('are those of its plan, with the bed beside it on which nothing was laid', () => {
    const { points } = runYears(scenario, TODAY, YEARS);
    expect(years.map(({ bareOrganicMatterPct: _, ...point }) => point)).toEqual(points);
    expect(years.at(-1)!.bareOrganicMatterPct).toBeLessThan(years.at(-1)!.organicMatterPct);
  });
  it('have roots of last year’s crop in every year', () => {
    for (const { rootCarbonG } of years.slice(1)) expect(rootCarbonG).toBeGreaterThan(10);
  });
});
