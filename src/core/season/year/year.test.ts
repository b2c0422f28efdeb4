import { refusalOf } from '../../../../tests/fixtures/refused.ts';
import { describe, expect, it } from 'vitest';
import { bedOf, MILD, plantingOf } from '../../../../tests/fixtures/books.ts';
import { layOf } from '../../../../tests/fixtures/laid.ts';
import { dayNumberFromIso, isoDateOf } from '../../ground/climate/calendar.ts';
import type { Observation } from '../../../records/journal.ts';
import type { BedBooks } from '../../bed/books/bed-books.ts';
import type { Entry } from '../../../records/entry.ts';
import { findLibraryMaterial } from '../../ground/materials/library.ts';
import { ownMaterial } from '../../ground/materials/own-material.ts';
import { bedScenario } from '../../bed/books/bed-scenario.ts';
import { projectBed, sampleOn } from '../../bed/projection/bed-projection.ts';
import { liftFrom, LIFTED_HUMUS_SHARE } from './lift.ts';
import { yearChoices } from './year-choices.ts';
import { gardenYear, yearBrief } from './year-brief.ts';
import { yearSheet, yearSheets } from './year-sheet.ts';

const TODAY = dayNumberFromIso('2026-11-10', []);
const CHIPS = layOf({ id: 'chips', date: '2026-04-02', massFreshKg: 84 });
const OLD = layOf({ id: 'old', date: '2023-05-01', massFreshKg: 120 });
const FEED: Entry = { id: 'feed', type: 'feed', state: 'laid', date: '2026-06-01', nitrogenG: 25 };
const TEST: Entry = {
  id: 'test',
  type: 'soilTest',
  state: 'laid',
  date: '2026-09-01',
  amount: 30,
  unit: 'kgPerHa',
  sampledDepthCm: 30,
  ph: 6.4,
  organicMatterPct: 4.2,
};
const booksOf = (entries: Entry[], kind: 'annual' | 'path' = 'annual'): BedBooks => ({
  site: { climate: MILD, depositionGPerM2Year: 1 },
  bed: bedOf({ kind }),
  entries,
  crops: [],
  plantings: kind === 'path' ? [] : [plantingOf({ plantedOn: '2026-05-10', clearedOn: '2026-10-01' })],
});
const scenarioOf = (books: BedBooks) =>
  bedScenario({ books, findMaterial: findLibraryMaterial, today: TODAY, endDay: TODAY + 2 });
const seen = (
  id: string,
  date: string,
  observed: Observation['observed'],
  plantingId: string | null = null,
): Observation => ({
  kind: 'observation',
  id,
  date,
  note: '',
  bedId: 'bed',
  plantingId,
  photoId: null,
  observed,
});

describe('a year sheet', () => {
  const books = booksOf([CHIPS, FEED, TEST]);
  const observations = [
    seen('leaf', '2026-06-10', { type: 'leafColor', step: 3 }, 'planting'),
    seen('hours', '2026-06-11', { type: 'hours', hours: 2 }),
    seen('kg', '2026-09-20', { type: 'yield', massKg: 6 }, 'planting'),
    seen('lastYear', '2025-06-11', { type: 'hours', hours: 5 }),
  ];
  const sheet = yearSheet({ books, scenario: scenarioOf(books), observations, today: TODAY }, 2026);
  it('holds what went in, as its entries brought it', () => {
    expect(sheet.putIn.map(({ entryId, day }) => [entryId, isoDateOf(day)])).toEqual([
      ['chips', '2026-04-02'],
    ]);
    // 84 kg fresh chips with 45 % water and 49 % carbon on 5 m2.
    expect(sheet.putIn[0].carbonG).toBeCloseTo((84_000 * 0.55 * 0.49) / 5, 3);
    expect([sheet.fedNitrogenG, sheet.hours, sheet.yieldKg]).toEqual([5, 2, 6]);
  });
  it('balances, from the first of January to today', () => {
    expect([isoDateOf(sheet.fromDay), isoDateOf(sheet.untilDay - 1), sheet.isOver]).toEqual([
      '2026-01-01',
      '2026-11-10',
      false,
    ]);
    for (const { debitG, creditG } of [sheet.carbon, sheet.nitrogen]) {
      expect(Math.abs(debitG - creditG) / debitG).toBeLessThan(1e-9);
    }
    const bare = { ...books, plantings: [] };
    const { carbon, putIn } = yearSheet(
      { books: bare, scenario: scenarioOf(bare), observations, today: TODAY },
      2026,
    );
    const laid = carbon.outside.find(({ account }) => account === 'materials')!;
    expect(laid.amountG).toBeCloseTo(putIn[0].carbonG, 6);
  });
  it('sets a test beside what the book held that morning, not after it was set right', () => {
    const [test] = sheet.tests;
    expect(test.mineralNitrogenG).toBeCloseTo(3, 9);
    const without = booksOf([CHIPS, FEED]);
    const before = sampleOn(projectBed(scenarioOf(without), 1000, [test.day]), test.day);
    expect(test.expectedMineralNitrogenG).toBeCloseTo(before.availableContactG + before.availableRootG, 9);
    expect(test.organicMatterPct).toBe(4.2);
  });
  it('is the same out of one run of several years', () => {
    const long = booksOf([OLD, CHIPS, FEED]);
    const setting = { books: long, scenario: scenarioOf(long), observations, today: TODAY };
    const [earlier, now] = yearSheets(setting, [2025, 2026]);
    for (const [one, alone] of [
      [earlier, yearSheet(setting, 2025)],
      [now, yearSheet(setting, 2026)],
    ]) {
      expect(one.closingOrganicMatterPct).toBeCloseTo(alone.closingOrganicMatterPct, 9);
      expect(one.washedOutG).toBeCloseTo(alone.washedOutG, 9);
      expect(one.crops).toEqual(alone.crops);
    }
    expect(earlier.closingOrganicMatterPct).toBeCloseTo(now.openingOrganicMatterPct, 9);
  });
  it('in short is the figures of the whole bed, and beds add up to a garden, each by its area', () => {
    const brief = yearBrief(sheet, 5);
    expect(brief.yields).toEqual([{ cropId: plantingOf().cropId, massKg: 6 }]);
    expect(brief.carbonInKg).toBeCloseTo(84 * 0.55 * 0.49, 6);
    expect([brief.fedNitrogenG, brief.hours, brief.isEmpty]).toEqual([25, 2, false]);
    expect(brief.washedOutG).toBeCloseTo(sheet.washedOutG * 5, 9);
    const other = { ...brief, openingOrganicMatterPct: 3, closingOrganicMatterPct: 4 };
    const still = { ...brief, openingOrganicMatterPct: 3, closingOrganicMatterPct: 3 };
    const both = gardenYear([
      { brief: other, areaM2: 1 },
      { brief: still, areaM2: 3 },
    ]);
    expect([both.yieldKg, both.hours, both.fedNitrogenG]).toEqual([12, 4, 50]);
    expect(both.organicMatterChangePct).toBeCloseTo(0.25, 9);
    expect(both.yields).toEqual([{ cropId: plantingOf().cropId, massKg: 12 }]);
    expect(gardenYear([]).organicMatterChangePct).toBe(0);
  });
  it('judges what was seen in that year and no other', () => {
    expect(sheet.seen.map(({ observation }) => observation.id)).toEqual(['leaf', 'hours', 'kg']);
    expect(sheet.seen[0].expectation?.verdict).toBeDefined();
  });
  it('of a year before the book is an empty one, and of one gone by is whole', () => {
    const early = yearSheet({ books, scenario: scenarioOf(books), observations, today: TODAY }, 2020);
    expect([early.putIn, early.untilDay - early.fromDay]).toEqual([[], 0]);
    const long = booksOf([OLD, CHIPS]);
    const over = yearSheet({ books: long, scenario: scenarioOf(long), observations, today: TODAY }, 2025);
    expect([over.isOver, over.untilDay - over.fromDay, over.hours]).toEqual([true, 365, 5]);
  });
});

describe('stack, pull or rest', () => {
  const books = booksOf([OLD, layOf({ id: 'chips', date: '2026-04-02', massFreshKg: 84 })]);
  const [stack, pull, rest] = yearChoices({ books, findMaterial: findLibraryMaterial, today: TODAY });
  it('keep, or clear, the ground until spring', () => {
    expect(stack.mulchNextSpringCm).toBeGreaterThan(2);
    expect(pull.mulchNextSpringCm).toBeLessThan(0.5);
    expect(pull.pulledCarbonG).toBeGreaterThan(1000);
    expect([stack.pulledCarbonG, rest.pulledCarbonG]).toEqual([0, 0]);
  });
  it('lead to more or less humus, and each to its own plan', () => {
    expect(stack.organicMatterInThreeYearsPct).toBeGreaterThan(pull.organicMatterInThreeYearsPct);
    expect(stack.plan).toMatchObject([{ type: 'lay', date: '2027-04-02' }]);
    expect(pull.plan.map(({ type }) => type)).toEqual(['takeOff', 'takeOff']);
    expect(rest.plan).toMatchObject([{ type: 'plant', cropId: 'clover' }]);
  });
  it('ask the same hungry crop of next summer in all three', () => {
    for (const { feedNextYearG } of [stack, pull, rest]) expect(feedNextYearG).toBeGreaterThanOrEqual(0);
    expect(pull.peakHeldG).toBeLessThan(stack.peakHeldG);
  });
});

describe('lifting', () => {
  const books = booksOf([OLD, CHIPS], 'path');
  const liftOf = (layerIds: string[], share = 1) =>
    liftFrom({ scenario: scenarioOf(books), layerIds, day: TODAY, areaM2: 5, share });
  const [lifted] = liftOf(['old']);
  it('gives the pile exactly what the bed loses, to the gram of carbon and nitrogen', () => {
    const after = booksOf(
      [
        OLD,
        CHIPS,
        {
          id: 'off',
          type: 'takeOff',
          state: 'laid',
          date: '2026-11-10',
          layerId: 'old',
          shareTakenOff: 1,
          humusShareTakenOff: LIFTED_HUMUS_SHARE,
        },
      ],
      'path',
    );
    const projection = projectBed(scenarioOf(after), 4000, [TODAY, TODAY + 1]);
    const sheet = yearSheet(
      { books: after, scenario: scenarioOf(after), observations: [], today: TODAY },
      2026,
    );
    const taken = (element: 'carbon' | 'nitrogen') =>
      sheet[element].outside.find(({ account }) => account === 'takenOff')!.amountG * 5;
    expect(lifted.carbonG).toBeCloseTo(taken('carbon'), 6);
    expect(lifted.nitrogenG).toBeCloseTo(taken('nitrogen'), 6);
    expect(projection.largestRelativeError).toBeLessThan(1e-9);
    const material = ownMaterial(lifted.basis);
    const dryG = lifted.massFreshKg * 1000 * (1 - material.moistureFractionWetBasis);
    expect(dryG * material.carbonFractionDryBasis).toBeCloseTo(lifted.carbonG, 6);
    expect(dryG * material.nitrogenFractionDryBasis).toBeCloseTo(lifted.nitrogenG, 6);
  });
  it('takes most of the humus made beneath with it, and leaves what lies above', () => {
    const [without] = liftOf(['chips']);
    expect(without.carbonG).not.toBeCloseTo(lifted.carbonG, 0);
    expect(lifted.carbonG / lifted.nitrogenG).toBeLessThan(60);
  });
  it('refuses what holds nothing', () => {
    expect(refusalOf(() => liftOf([]))).toMatch(/nothing left in them to lift/);
  });
  it('is a half of it when half is lifted', () => {
    const [half] = liftOf(['old'], 0.5);
    expect(half.carbonG).toBeCloseTo(lifted.carbonG / 2, 6);
    expect(half.nitrogenG).toBeCloseTo(lifted.nitrogenG / 2, 6);
  });
  it('keeps char apart from crumbs: trodden on a path and hoed into a bed it is still char, to the gram', () => {
    const char = layOf({
      id: 'char',
      date: '2026-03-01',
      materialId: 'biochar_raw',
      massFreshKg: 10,
      dugDepthCm: 0,
    });
    const withChar = booksOf([OLD, char], 'path');
    const scenario = scenarioOf(withChar);
    const both = liftFrom({ scenario, layerIds: ['old', 'char'], day: TODAY, areaM2: 5 });
    expect(both.map(({ basis }) => basis.likeMaterialId)).toEqual([
      lifted.basis.likeMaterialId,
      'biochar_charged',
    ]);
    const only = liftFrom({ scenario, layerIds: ['char'], day: TODAY, areaM2: 5 });
    expect(only.map(({ basis }) => basis.likeMaterialId)).toContain('biochar_charged');
    // 10 kg with 30 % water, 75 % of the rest carbon, of which next to nothing is lost in eight months.
    expect(both[1].carbonG / (10_000 * 0.7 * 0.75)).toBeCloseTo(1, 1);
    for (const { basis, massFreshKg, carbonG, nitrogenG } of both) {
      const material = ownMaterial(basis);
      const dryG = massFreshKg * 1000 * (1 - material.moistureFractionWetBasis);
      expect(dryG * material.carbonFractionDryBasis).toBeCloseTo(carbonG, 6);
      expect(dryG * material.nitrogenFractionDryBasis).toBeCloseTo(nitrogenG, 6);
    }
  });
});
