import { describe, expect, it } from 'vitest';
import { bedOf, GARDEN, MILD, plantingOf } from '../../../../tests/fixtures/books.ts';
import { dayNumberFromIso } from '../../ground/climate/calendar.ts';
import { findLibraryMaterial } from '../../ground/materials/library.ts';
import { bedScenario } from '../../bed/books/bed-scenario.ts';
import { organicCarbon } from '../simulation/bed.ts';
import { booksWithHabit } from '../../long-run/years/habit-books.ts';
import { habitFromTemplate, type HabitTemplateId } from '../../long-run/years/habit-templates.ts';
import { runYears } from '../../long-run/years/run-years.ts';
import { OPINION_IDS, secondOpinions } from './second-opinions.ts';

const today = dayNumberFromIso('2026-05-14', ['today']);
const YEARS = 15;

function opinionsOn(template: HabitTemplateId) {
  const books = {
    site: { ...GARDEN, climate: MILD },
    bed: bedOf(),
    crops: [],
    entries: [],
    plantings: [plantingOf()],
  };
  const setting = { findMaterial: findLibraryMaterial, today, years: YEARS };
  const scenario = bedScenario({
    books: booksWithHabit(books, habitFromTemplate(template), setting),
    findMaterial: findLibraryMaterial,
    today,
    endDay: today + YEARS * 366 + 2,
  });
  const { points, inputs } = runYears(scenario, today, YEARS);
  const days = points.map(({ day }) => day);
  return { scenario, points, inputs, opinions: secondOpinions(scenario, inputs, days), days };
}

describe('second opinions on a bed of the book', () => {
  const compost = opinionsOn('compostYearly');
  const nothing = opinionsOn('nothing');

  it('all start from what the soil held', () => {
    const openingG = organicCarbon(compost.scenario.soil);
    for (const id of OPINION_IDS) {
      expect(Math.abs(compost.opinions[id][0] / openingG - 1)).toBeLessThan(0.06);
    }
  });
  it('all agree that compost builds humus and nothing lets it dwindle', () => {
    for (const id of OPINION_IDS) {
      expect(compost.opinions[id].at(-1)).toBeGreaterThan(compost.opinions[id][0]);
      expect(nothing.opinions[id].at(-1)).toBeLessThan(nothing.opinions[id][0]);
    }
  });
  it('they are as far from ours as models are from each other: within half and double', () => {
    for (const id of OPINION_IDS) {
      const ratio = compost.opinions[id].at(-1)! / compost.points.at(-1)!.humusCarbonG;
      expect(ratio).toBeGreaterThan(0.5);
      expect(ratio).toBeLessThan(2);
    }
  });
  it('they are fed all that was laid and all that crops left, and no char', () => {
    const { inputs } = opinionsOn('compostAndChar');
    const char = inputs.filter(({ kind }) => kind === 'char');
    expect(char.length).toBeGreaterThan(5);
    for (const { carbonG } of char) expect(carbonG).toBeCloseTo(0, 6);
    // The crop of today's year leaves its remains like every later one.
    expect(inputs.filter(({ kind }) => kind === 'green').length).toBeGreaterThanOrEqual(YEARS);
    const laid = compost.inputs.filter(({ kind }) => kind === 'compost');
    expect(laid).toHaveLength(YEARS);
  });
  it('a look earlier or later gives the same line', () => {
    const { scenario, inputs, days, opinions } = compost;
    const some = [days[3], days[9]];
    const again = secondOpinions(scenario, inputs, some);
    for (const id of OPINION_IDS) {
      // A look in the middle of a month parts its decay in two.
      expect(again[id][0]).toBeCloseTo(opinions[id][3], 0);
      expect(again[id][1]).toBeCloseTo(opinions[id][9], 0);
    }
  });
});
