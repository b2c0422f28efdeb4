import { measuresOf } from '../../../words/measures.ts';
import Papa from 'papaparse';
import { describe, expect, it } from 'vitest';
import type { HabitRecord } from '../../../records/habit.ts';
import { findLibraryMaterial } from '../../../core/ground/materials/library.ts';
import { HABIT_TEMPLATE_IDS, habitFromTemplate } from '../../../core/long-run/years/habit-templates.ts';
import type { YearPoint } from '../../../core/long-run/years/run-years.ts';
import { NOTHING_TYPED, readerOf, retyped } from '../../ui/forms/typed-quantity.ts';
import { formOf, newAct, readHabit, type HabitForm } from './habit-form.ts';
import { allLineIds, keptLineId, lineOf, shownIds } from './lines.ts';
import { planCautions } from '../../ui/planning/plan-cautions.ts';
import { seriesCsv } from './series-csv.ts';
import { drawsFor } from './use-years.ts';

const kept: HabitRecord = {
  id: 'own',
  version: 1,
  createdAt: '',
  updatedAt: '',
  gardenId: 'garden',
  name: 'Our round',
  keepsCrops: false,
  acts: [],
  note: '',
};
const books = { habits: [kept] };

const metric = readerOf('metric');
const customary = readerOf('customary');
const NORTH = { isSouth: false, reader: metric };
const typedQuantity = (text: string) => retyped(NOTHING_TYPED, text);

const NAMES = { findMaterial: findLibraryMaterial, crops: [] };

describe('the habits that are compared', () => {
  it('three to start from, never more than six, none twice', () => {
    expect(shownIds(null)).toHaveLength(3);
    expect(shownIds('nothing,nothing,planned')).toEqual(['nothing', 'planned']);
    expect(shownIds('a,b,c,d,e,f,g,h')).toHaveLength(6);
    expect(shownIds('')).toEqual([]);
  });
  it('everything that can be chosen has a name and says what it is', () => {
    for (const id of allLineIds(books)) {
      const line = lineOf(id, books, {})!;
      expect(line.name).not.toBe('');
      expect(line.what).not.toBe('');
    }
  });
  it('what was deleted or never was is no line', () => {
    expect(lineOf(keptLineId('gone'), books, {})).toBeNull();
    expect(lineOf('rubbish', books, {})).toBeNull();
  });
  it('a change on the page shows, and says that it is one', () => {
    const habit = habitFromTemplate('compostYearly');
    const line = lineOf(keptLineId('own'), books, { [keptLineId('own')]: { name: 'New', habit } })!;
    expect(line).toMatchObject({ name: 'New', followed: habit, kept, isChanged: true });
  });
});

describe('a habit as it is typed', () => {
  it.each(HABIT_TEMPLATE_IDS)('%s comes out as it went in, north and south', (template) => {
    const habit = habitFromTemplate(template);
    for (const setting of [NORTH, { isSouth: true, reader: metric }, { isSouth: false, reader: customary }]) {
      const read = readHabit(formOf('Name', habit, setting), NAMES, setting);
      expect(read.troubles).toEqual({});
      expect(read.habit).toEqual(habit);
    }
  });
  it('shows a southern gardener her own months', () => {
    expect(
      formOf('x', habitFromTemplate('compostYearly'), { isSouth: true, reader: metric }).acts[0]?.month,
    ).toBe('9');
  });
  const typed = (change: Partial<ReturnType<typeof newAct>>): HabitForm => ({
    name: 'Mine',
    keepsCrops: true,
    acts: [{ ...newAct('1', metric), ...change }],
  });
  it.each([
    ['a year beyond thirty', { untilYear: '400' }, 'acts.0.untilYear'],
    ['an end before the start', { fromYear: '6', untilYear: '2' }, 'acts.0.untilYear'],
    ['half a year', { everyYears: '1,5' }, 'acts.0.everyYears'],
    ['no amount', { amount: '' }, 'acts.0.amount'],
    ['a negative amount', { amount: '-2' }, 'acts.0.amount'],
    ['a depth in words', { dugDepth: typedQuantity('deep') }, 'acts.0.dugDepthCm'],
  ])('%s is told at its field', (_, change, field) => {
    const { troubles } = readHabit(typed(change), NAMES, NORTH);
    expect(Object.keys(troubles)).toEqual([field]);
    expect(troubles[field]).toMatch(/\.$/);
  });
  it('inches and pounds on an area are read as such', () => {
    const setting = { isSouth: false, reader: customary };
    const form = typed({ dugDepth: typedQuantity('4'), unit: 'inch', amount: '1' });
    expect(readHabit(form, NAMES, setting).habit.acts[0]).toMatchObject({
      dugDepthCm: 10.16,
    });
    const fed = readHabit(typed({ type: 'feed', nitrogen: typedQuantity('2') }), NAMES, setting).habit
      .acts[0];
    expect(fed.type === 'feed' && fed.nitrogenGPerM2).toBeCloseTo((2 * 453.59237) / 92.90304, 9);
  });
  it('amounts are asked for on 100 square feet there, and kept for a square meter', () => {
    const setting = { isSouth: false, reader: customary };
    const form = typed({ amount: '10', unit: 'pound' });
    const [act] = readHabit(form, NAMES, setting).habit.acts;
    expect(act.type === 'lay' && act.amount).toBeCloseTo(10 / 9.290304, 9);
    const again = formOf('x', { keepsCrops: true, acts: [act] }, setting).acts[0];
    expect(again).toMatchObject({ amount: '10', unit: 'pound' });
    const back = readHabit(formOf('x', { keepsCrops: true, acts: [act] }, setting), NAMES, setting);
    expect(back.habit.acts[0]).toEqual(act);
  });
  it('a name is wanted', () => {
    const read = readHabit({ ...typed({}), name: ' ' }, NAMES, NORTH);
    expect(Object.keys(read.troubles)).toEqual(['name']);
  });
  it('a comma is a decimal sign', () => {
    expect(readHabit(typed({ amount: '1,5' }), NAMES, NORTH).habit.acts[0]).toMatchObject({
      amount: 1.5,
    });
  });
});

describe('what leaves the page', () => {
  it('the series is a table with a row for each line and year, figures unrounded', () => {
    const point = {
      yearsAhead: 3,
      day: 739000,
      organicMatterPct: 4.123456789,
      lastingCharG: [1, 2, 3],
      woodLeftShare: null,
    } as unknown as YearPoint;
    const csv = seriesCsv(
      [{ bed: 'Bed, the first', habit: 'Our "round"', areaM2: 5, points: [point, point] }],
      'metric',
    );
    const { data, errors } = Papa.parse<Record<string, string>>(csv, { header: true });
    expect(errors).toEqual([]);
    expect(data).toHaveLength(2);
    expect(data[0]).toMatchObject({
      bed: 'Bed, the first',
      habit: 'Our "round"',
      years_ahead: '3',
      organic_matter_pct: '4.123456789',
      wood_left_share: '',
      lasting_char_high_g_per_m2: '3',
    });
  });
  it('a garden of many beds is drawn less often, never less than makes a band', () => {
    expect(drawsFor({ bedIds: ['a'], habits: ['planned'] })).toBe(32);
    const beds = Array.from({ length: 200 }, (_, i) => String(i));
    expect(drawsFor({ bedIds: beds, habits: ['planned', 'soFar'] })).toBe(8);
  });
  it('what is to be minded is said once, with the first of its dates', () => {
    const bed = { kind: 'annual', clayPct: 20, areaM2: 10 } as const;
    const manure = { materialId: 'cattle_fym', massFreshKg: 100, dugDepthCm: 0, bed };
    const cautions = planCautions(
      [
        { ...manure, date: '2028-11-15' },
        { ...manure, date: '2026-11-15' },
      ],
      findLibraryMaterial,
      measuresOf({ measures: 'metric' }),
    );
    expect(cautions.filter((sentence) => sentence.startsWith('Raw manure'))).toHaveLength(1);
    expect(cautions[0]).toContain('2027');
  });
});
