import { refusalOf } from '../../../../tests/fixtures/refused.ts';
import { describe, expect, it } from 'vitest';
import { bedOf, GARDEN, MILD, plantingOf } from '../../../../tests/fixtures/books.ts';
import { COMPOST_ACT } from '../../../../tests/fixtures/years.ts';
import { layOf } from '../../../../tests/fixtures/laid.ts';
import { CLIMATE_PATTERNS } from '../../ground/climate/patterns.ts';
import { dayNumberFromIso } from '../../ground/climate/calendar.ts';
import { isSouthern } from '../../ground/climate/climate.ts';
import { findLibraryMaterial } from '../../ground/materials/library.ts';
import type { BedBooks } from '../../bed/books/bed-books.ts';
import type { Habit, HabitAct } from '../../../records/habit.ts';
import { bedScenario } from '../../bed/books/bed-scenario.ts';
import { cropsAgain, yearsLater } from './crops-again.ts';
import { checkHabit, habitRecords } from './habit.ts';
import { booksAsPlanned, booksWithHabit } from './habit-books.ts';
import { habitSoFar } from './habit-so-far.ts';
import { HABIT_TEMPLATE_IDS, habitFromTemplate } from './habit-templates.ts';

const TODAY = '2026-05-14';
const today = dayNumberFromIso(TODAY, ['today']);
const setting = { findMaterial: findLibraryMaterial, today, years: 10 };
const booksOf = (change: Partial<BedBooks> = {}): BedBooks => ({
  site: { ...GARDEN, climate: MILD },
  bed: bedOf(),
  entries: [],
  crops: [],
  plantings: [],
  ...change,
});
const compost: HabitAct = COMPOST_ACT;
const habitOf = (...acts: HabitAct[]): Habit => ({ acts, keepsCrops: true });

const NAMES = { findMaterial: findLibraryMaterial, crops: [] };

describe('what a habit becomes on a bed', () => {
  it('is laid in its month every so many years, from one year to another', () => {
    const { entries } = habitRecords({
      habit: habitOf({ ...compost, everyYears: 3, fromYear: 2, untilYear: 8 }),
      books: booksOf(),
      setting,
    });
    expect(entries.map(({ date }) => date)).toEqual(['2028-03-15', '2031-03-15', '2034-03-15']);
    // 2 cm on 5 m2 are 100 L.
    const { bulkDensityKgPerM3 } = findLibraryMaterial('compost_yard')!;
    const [first] = entries;
    expect(first.type === 'lay' && first.massFreshKg).toBeCloseTo(0.1 * bulkDensityKgPerM3, 9);
  });
  it('is half a year later in the south', () => {
    const southern = CLIMATE_PATTERNS.find((climate) => isSouthern(climate))!;
    const books = booksOf({ site: { ...GARDEN, climate: southern } });
    expect(habitRecords({ habit: habitOf(compost), books, setting }).entries[0]?.date).toBe('2026-09-15');
  });
  it('pulls every layer of mulch once, what lies there already among it', () => {
    const there = layOf({ id: 'old', date: '2025-10-10', materialId: 'chips_branch' });
    const books = booksOf({ entries: [there] });
    const { entries } = habitRecords({ habit: habitFromTemplate('pullYearly'), books, setting });
    const pulled = entries.flatMap((one) => (one.type === 'takeOff' ? [one.layerId] : []));
    expect(pulled[0]).toBe('old');
    expect(new Set(pulled).size).toBe(pulled.length);
  });
  it.each(HABIT_TEMPLATE_IDS)('template %s can be run', (id) => {
    const books = booksWithHabit(booksOf(), habitFromTemplate(id), setting);
    expect(() =>
      bedScenario({ books, findMaterial: findLibraryMaterial, today, endDay: today + 3660 }),
    ).not.toThrow();
  });
});

describe('a habit that cannot be', () => {
  it.each<[string, Partial<HabitAct>, RegExp]>([
    ['ends before it starts', { fromYear: 5, untilYear: 3 }, /acts\.0\.untilYear must not come before/],
    ['runs for 400 years', { untilYear: 400 }, /acts\.0\.untilYear must be between 1 and 30; got 400/],
    ['comes every 1.5 years', { everyYears: 1.5 }, /everyYears must be a whole number/],
    ['is in month 13', { month: 13 }, /acts\.0\.month must be between 1 and 12/],
    ['lays nothing', { amount: 0 }, /acts\.0\.amount must be greater than 0/],
    ['lays deeper than anybody can', { amount: 140 }, /acts\.0\.amount would lie 140 cm \(55\.1 in\) deep/],
    ['lays what nobody knows', { materialId: 'gold' }, /acts\.0\.materialId names no material/],
  ])('%s', (_, change, message) => {
    expect(refusalOf(() => checkHabit(habitOf({ ...compost, ...change } as HabitAct), NAMES))).toMatch(
      message,
    );
  });
  it('grows a crop that is no cover crop', () => {
    const act = { ...compost, type: 'grow', cropId: 'leek' } as unknown as HabitAct;
    expect(refusalOf(() => checkHabit(habitOf(act), NAMES))).toMatch(/cropId names no cover crop/);
  });
});

describe('what was really done, as a habit', () => {
  it('has the same mass over the same years', () => {
    const entries = ['2022-03-10', '2024-03-20', '2026-03-12'].map((date, i) =>
      layOf({ id: `c${i}`, date, materialId: 'compost_yard', massFreshKg: 60 }),
    );
    const habit = habitSoFar(booksOf({ entries }), today)!;
    // 180 kg on 5 m2 in four years: 9 kg/m2 a year, at the rhythm of three times in four years.
    expect(habit.acts).toEqual([
      expect.objectContaining({ materialId: 'compost_yard', unit: 'kg', amount: 9, month: 3, everyYears: 1 }),
    ]);
  });
  it('is nothing where nothing was done', () => {
    expect(habitSoFar(booksOf(), today)).toBeNull();
  });
  it('tells bought nitrogen per square metre', () => {
    const fed = { id: 'f', type: 'feed', state: 'laid', date: '2025-06-01', nitrogenG: 40 } as const;
    expect(habitSoFar(booksOf({ entries: [fed] }), today)!.acts[0]).toMatchObject({
      type: 'feed',
      nitrogenGPerM2: 8,
      month: 6,
    });
  });
});

describe('crops in the years beyond the plan', () => {
  it('are those of the last twelve months again, on the same calendar days', () => {
    const again = cropsAgain(
      { plantings: [plantingOf({ plantedOn: '2025-06-01', clearedOn: '2026-02-10' })], crops: [] },
      today,
      3,
    );
    expect(again.map(({ plantedOn, clearedOn }) => [plantedOn, clearedOn])).toEqual([
      ['2026-06-01', '2027-02-10'],
      ['2027-06-01', '2028-02-10'],
      ['2028-06-01', '2029-02-10'],
    ]);
    expect(yearsLater('2024-02-29', 1)).toBe('2025-02-28');
  });
  it('leave the plan alone and start after it', () => {
    const planned = plantingOf({
      id: 'next',
      state: 'planned',
      plantedOn: '2027-04-20',
      clearedOn: '2027-10-01',
    });
    const books = booksOf({ crops: [], plantings: [plantingOf({ plantedOn: '2026-04-20' }), planned] });
    const dates = booksAsPlanned(books, setting).plantings.map(({ plantedOn }) => plantedOn);
    expect(dates.slice(0, 3)).toEqual(['2026-04-20', '2027-04-20', '2028-04-20']);
  });
  it('a habit replaces what was planned to be laid, never what was', () => {
    const entries = [
      layOf({ id: 'fact', date: '2026-01-10' }),
      layOf({ id: 'plan', date: '2026-11-10', state: 'planned' }),
    ];
    const ids = booksWithHabit(booksOf({ entries }), habitOf(compost), setting).entries.map(({ id }) => id);
    expect(ids).toContain('fact');
    expect(ids).not.toContain('plan');
  });
});
