import { describe, expect, it } from 'vitest';
import { bedOf, GARDEN, MILD, plantingOf } from '../../../../tests/fixtures/books.ts';
import { dayNumberFromIso } from '../../ground/climate/calendar.ts';
import { findLibraryMaterial } from '../../ground/materials/library.ts';
import { bedScenario } from '../../bed/books/bed-scenario.ts';
import type { BedScenario } from '../../model/simulation/scenario.ts';
import { booksWithHabit } from './habit-books.ts';
import { habitFromTemplate, type HabitTemplateId } from './habit-templates.ts';
import { runYears, runYearsUnfolded, type RunYear } from './run-years.ts';

const today = dayNumberFromIso('2026-05-14', ['today']);
const YEARS = 12;

function scenarioWith(template: HabitTemplateId, years = YEARS): BedScenario {
  const books = {
    site: { ...GARDEN, climate: MILD },
    bed: bedOf(),
    crops: [],
    entries: [],
    plantings: [plantingOf()],
  };
  const setting = { findMaterial: findLibraryMaterial, today, years };
  const withHabit = booksWithHabit(books, habitFromTemplate(template), setting);
  return bedScenario({
    books: withHabit,
    findMaterial: findLibraryMaterial,
    today,
    endDay: today + years * 366 + 2,
  });
}

const farthest = (a: readonly RunYear[], b: readonly RunYear[], read: (one: RunYear) => number): number =>
  Math.max(...a.map((one, i) => Math.abs(read(one) - read(b[i]))));

describe('old layers laid together', () => {
  it.each<HabitTemplateId>(['chipsOnly', 'compostAndChar', 'pullYearly', 'thinFeeding', 'wholeProgram'])(
    '%s: as good as every layer followed on its own',
    (template) => {
      const scenario = scenarioWith(template);
      const folded = runYears(scenario, today, YEARS);
      const apart = runYearsUnfolded(scenario, today, YEARS);
      const far = (read: (one: RunYear) => number) => farthest(folded.points, apart.points, read);
      expect(far((one) => one.organicMatterPct)).toBeLessThan(0.1);
      expect(far((one) => one.mulchCm)).toBeLessThan(0.8);
      expect(far((one) => one.charCarbonG)).toBeLessThan(0.5);
      expect(far((one) => one.nitrogenBankG) / apart.points.at(-1)!.nitrogenBankG).toBeLessThan(0.02);
      expect(folded.largestRelativeError).toBeLessThan(1e-9);
    },
    30_000,
  );
  it('loses and finds no gram: what came is what is there and what left', () => {
    const { points } = runYears(scenarioWith('wholeProgram'), today, YEARS);
    for (let i = 1; i < points.length; i++) {
      const [before, now] = [points[i - 1], points[i]];
      const held = (one: RunYear) =>
        one.humusCarbonG + one.charCarbonG + one.freshCarbonG + one.microbialCarbonG;
      expect(held(now) - held(before)).toBeCloseTo(now.carbonLaidG + now.rootCarbonG - now.carbonToAirG, 6);
    }
  });
});

describe('what a year is told by', () => {
  it('nothing has happened on the first day, and lasting char is what the IPCC counts of what was laid', () => {
    const { points } = runYears(scenarioWith('compostAndChar'), today, YEARS);
    expect(points[0].carbonLaidG).toBe(0);
    const { charCarbonG, lastingCharG } = points.at(-1)!;
    const [low, likely, high] = lastingCharG;
    expect(low).toBeLessThan(likely);
    expect(high).toBeGreaterThan(likely);
    expect(likely).toBeLessThan(charCarbonG);
    expect(likely).toBeGreaterThan(0.6 * charCarbonG);
  });
  it('wood is all there when it is laid and rots away; a bed without wood has none to tell of', () => {
    const chips = runYears(scenarioWith('chipsOnly'), today, YEARS).points;
    expect(chips[1].woodLeftShare).toBeGreaterThan(0.5);
    expect(chips.at(-1)!.woodLeftShare).toBeLessThan(chips[1].woodLeftShare!);
    expect(runYears(scenarioWith('compostYearly'), today, 2).points[2].woodLeftShare).toBeNull();
  });
  it('compost given yearly builds humus, spares feed and gives more nitrogen every year', () => {
    const compost = runYears(scenarioWith('compostYearly'), today, YEARS).points;
    const nothing = runYears(scenarioWith('nothing'), today, YEARS).points;
    expect(compost.at(-1)!.organicMatterPct).toBeGreaterThan(nothing.at(-1)!.organicMatterPct + 1);
    expect(compost.at(-1)!.cropMissedG).toBeLessThan(nothing.at(-1)!.cropMissedG);
    expect(compost.at(-1)!.nitrogenGivenG).toBeGreaterThan(compost[2].nitrogenGivenG);
  });
});
