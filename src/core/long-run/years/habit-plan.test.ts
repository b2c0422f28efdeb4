import { describe, expect, it } from 'vitest';
import { bedOf, GARDEN, MILD } from '../../../../tests/fixtures/books.ts';
import { dayNumberFromIso } from '../../ground/climate/calendar.ts';
import { findLibraryMaterial } from '../../ground/materials/library.ts';
import { habitPlan, isPlanOf } from './habit-plan.ts';
import { habitFromTemplate, HABIT_TEMPLATE_IDS } from './habit-templates.ts';

const setting = (date: string, years = 2) => ({
  findMaterial: findLibraryMaterial,
  today: dayNumberFromIso(date, ['today']),
  years,
});
const LONG = 'a-very-long-name-for-an-id-of-a-record-that-somebody-chose-themselves';
const books = {
  site: { ...GARDEN, climate: MILD },
  bed: bedOf({ id: LONG.slice(0, 64) }),
  crops: [],
  entries: [],
  plantings: [],
};

describe('a habit made the plan', () => {
  const ids = (date: string, years = 2) =>
    habitPlan({
      habit: habitFromTemplate('compostYearly'),
      habitId: 'compostYearly',
      books,
      setting: setting(date, years),
    }).entries.map(({ id }) => id);

  it('names the same act in the same year the same way, whenever it is planned', () => {
    const [first, second] = ids('2026-05-14');
    expect(ids('2027-02-01')[0]).toBe(first);
    expect(ids('2027-05-14')[0]).toBe(second);
  });
  it.each(HABIT_TEMPLATE_IDS)('%s: all records can be called what they are, and no two alike', (template) => {
    const plan = habitPlan({
      habit: habitFromTemplate(template),
      habitId: LONG,
      books,
      setting: setting('2026-05-14', 5),
    });
    const all = [...plan.entries, ...plan.plantings].map(({ id }) => id);
    expect(new Set(all).size).toBe(all.length);
    for (const id of all) {
      expect(id).toMatch(/^[A-Za-z0-9_-]{1,64}$/);
      expect(isPlanOf(LONG, books.bed.id, id)).toBe(true);
      expect(isPlanOf('another', books.bed.id, id)).toBe(false);
    }
  });
});
