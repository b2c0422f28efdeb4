import { describe, expect, it } from 'vitest';
import { bedOf, MILD, plantingOf } from '../../../../tests/fixtures/books.ts';
import { layOf } from '../../../../tests/fixtures/laid.ts';
import { dayNumberFromIso } from '../../ground/climate/calendar.ts';
import type { PlantSign } from '../../../records/vocabulary.ts';
import type { BedBooks } from '../books/bed-books.ts';
import type { Entry } from '../../../records/entry.ts';
import { findLibraryMaterial } from '../../ground/materials/library.ts';
import { projectBed } from '../projection/bed-projection.ts';
import { bedScenario } from '../books/bed-scenario.ts';
import { CAUSES, EVIDENCE, type Cause, type PaleFacts } from './causes.ts';
import { diagnose } from './diagnose.ts';
import { paleFacts } from './pale-facts.ts';
import { tryRemedies } from './remedies.ts';

/** An ordinary bed in June on which nothing stands out. */
const FACTS: PaleFacts = {
  paleness: 0.1,
  heldInRootsReachG: 0.1,
  availableInReachG: 1.5,
  isLegume: false,
  isSown: false,
  isShortByPlan: false,
  daysSincePlanting: 25,
  daysFromMulchToSigns: null,
  isWoodDugIn: false,
  temperatureC: 12,
  topsoilDryness: 0.3,
  isWetMonth: false,
  isHeavyClay: false,
  ph: 6.5,
  magnesiumRating: null,
  ashLastYearGPerM2: 0,
  rawCharWithinDays: null,
  fedRecentlyG: 0,
};

/** Textbook cases: what is known, what is seen, and what an adviser would say first. */
const CASES: readonly (readonly [Cause, Partial<PaleFacts>, readonly PlantSign[]])[] = [
  [
    'lockUp',
    {
      paleness: 0.5,
      heldInRootsReachG: 3,
      availableInReachG: 0.2,
      daysFromMulchToSigns: 20,
      isWoodDugIn: true,
    },
    ['olderLeavesFirst', 'seedlings', 'neighborFine'],
  ],
  [
    'hunger',
    { paleness: 0.5, heldInRootsReachG: 0, availableInReachG: 0.2 },
    ['olderLeavesFirst', 'neighborPaleToo'],
  ],
  ['coldSoil', { temperatureC: 5, availableInReachG: 3 }, ['purpleLeaves', 'soilCold']],
  [
    'waterlogged',
    { topsoilDryness: 0, isWetMonth: true, isHeavyClay: true },
    ['soilSoaked', 'wholePlantPale'],
  ],
  ['drought', { topsoilDryness: 0.9, temperatureC: 18 }, ['limpAtNoon', 'soilDry']],
  [
    'phLockOut',
    { ph: 7.9, ashLastYearGPerM2: 250, availableInReachG: 3 },
    ['youngLeavesFirst', 'greenVeins'],
  ],
  ['traceElements', { ph: 7, availableInReachG: 3 }, ['youngLeavesFirst', 'greenVeins']],
  ['magnesium', { ph: 5.8, availableInReachG: 3 }, ['olderLeavesFirst', 'greenVeins']],
  ['shade', { availableInReachG: 3 }, ['shaded', 'wholePlantPale']],
  ['transplantShock', { daysSincePlanting: 6, availableInReachG: 3 }, ['justPlantedOut', 'limpAtNoon']],
  ['rootTrouble', { availableInReachG: 3 }, ['limpAllDay', 'rootsEaten']],
  [
    'rawChar',
    { paleness: 0.4, availableInReachG: 0.3, rawCharWithinDays: 30 },
    ['olderLeavesFirst', 'neighborFine'],
  ],
  ['scorch', { fedRecentlyG: 14, availableInReachG: 12 }, ['brownEdges']],
  ['other', { availableInReachG: 3 }, ['spotsOrMould']],
];

describe('weighing causes', () => {
  it.each(CASES)('finds %s in its textbook case', (cause, facts, signs) => {
    const { causes } = diagnose({ ...FACTS, ...facts }, signs);
    expect(causes[0].cause).toBe(cause);
  });
  it('does not blame planting out for what came up where it stands', () => {
    const { causes } = diagnose({ ...FACTS, isSown: true, daysSincePlanting: 6 }, ['limpAtNoon']);
    expect(causes[0].cause).not.toBe('transplantShock');
  });
  it('speaks for nitrogen where the plan of the bed has a dose due', () => {
    const short = diagnose({ ...FACTS, isShortByPlan: true, availableInReachG: 3 }, ['olderLeavesFirst']);
    expect(['hunger', 'lockUp']).toContain(short.causes[0].cause);
    expect(short.causes[0].speaksFor).toContain('planShort');
  });
  it('is never certain, and says so where nothing was seen', () => {
    for (const [, facts, signs] of CASES) {
      expect(diagnose({ ...FACTS, ...facts }, signs).causes[0].share).toBeLessThan(0.98);
    }
    expect(diagnose(FACTS, []).standsOut).toBe(false);
  });
  it('shows what speaks for and against, and weighs all causes together', () => {
    const { causes } = diagnose({ ...FACTS, daysFromMulchToSigns: -20, heldInRootsReachG: 2 }, [
      'olderLeavesFirst',
    ]);
    const lockUp = causes.find(({ cause }) => cause === 'lockUp')!;
    expect(lockUp.speaksFor).toEqual(expect.arrayContaining(['modelHolds', 'olderLeavesFirst']));
    expect(lockUp.speaksAgainst).toContain('beganBeforeMulch');
    expect(causes.reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1, 12);
    expect(causes.map(({ cause }) => cause).toSorted()).toEqual([...CAUSES].toSorted());
  });
  it('has evidence both for and against every cause but the rest', () => {
    for (const cause of CAUSES.filter((one) => one !== 'other')) {
      const weights = EVIDENCE.map(({ weighs }) => weighs[cause] ?? 0);
      expect([cause, Math.max(...weights) > 0, Math.min(...weights) < 0]).toEqual([cause, true, true]);
    }
  });
});

const TODAY = dayNumberFromIso('2026-06-20', []);
const booksWith = (entries: Entry[]): BedBooks => ({
  site: { climate: MILD, depositionGPerM2Year: 1 },
  bed: bedOf({ organicMatterPct: 2.5, ph: 6.2 }),
  entries,
  crops: [],
  plantings: [plantingOf({ plantedOn: '2026-05-10', nitrogenDemandGPerM2: 14 })],
});
const SAWDUST = layOf({
  id: 'sawdust',
  date: '2026-04-20',
  materialId: 'sawdust_hardwood',
  massFreshKg: 30,
  dugDepthCm: 15,
});
const scenarioOf = (books: BedBooks) =>
  bedScenario({ books, findMaterial: findLibraryMaterial, today: TODAY, endDay: TODAY + 150 });

describe('what the books know of a pale bed', () => {
  const factsOf = (books: BedBooks, beganDay: number | null = null) =>
    paleFacts({
      books,
      findMaterial: findLibraryMaterial,
      projection: projectBed(scenarioOf(books), 7, [TODAY, TODAY + 1]),
      today: TODAY,
      plantingId: 'planting',
      isShortByPlan: false,
      beganDay,
    });
  it('is what lies there, since when, and how the crop stands by the model', () => {
    const facts = factsOf(booksWith([SAWDUST]), TODAY - 20);
    expect(facts.heldInRootsReachG).toBeGreaterThan(1);
    expect(facts.paleness).toBeGreaterThan(0.25);
    expect([facts.daysFromMulchToSigns, facts.isWoodDugIn, facts.daysSincePlanting]).toEqual([41, true, 41]);
    expect(factsOf(booksWith([SAWDUST]), dayNumberFromIso('2026-04-01', [])).daysFromMulchToSigns).toBe(-19);
    expect(factsOf(booksWith([])).daysFromMulchToSigns).toBeNull();
  });
  it('adds up ash, feed and raw char', () => {
    const facts = factsOf(
      booksWith([
        layOf({ id: 'ash', date: '2026-03-01', materialId: 'wood_ash', massFreshKg: 1 }),
        layOf({ id: 'char', date: '2026-05-21', materialId: 'biochar_raw', massFreshKg: 3 }),
        { id: 'feed', type: 'feed', state: 'laid', date: '2026-06-10', nitrogenG: 50 },
      ]),
    );
    expect(facts.ashLastYearGPerM2).toBeCloseTo(200, 6);
    expect(facts.rawCharWithinDays).toBe(30);
    expect(facts.fedRecentlyG).toBeCloseTo(10, 6);
  });
});

describe('remedies tried on the bed itself', () => {
  const castings = findLibraryMaterial('worm_castings')!;
  const tried = tryRemedies({
    scenario: scenarioOf(booksWith([SAWDUST])),
    today: TODAY,
    cropIds: ['planting'],
    feeding: null,
    castings,
  });
  const of = (code: string) => tried.outcomes.find(({ what }) => what.code === code)!;
  it('feed a starved crop green, sooner than doing nothing', () => {
    expect(tried.isPaleByModel).toBe(true);
    expect(of('feed').missedG).toBeLessThan(of('wait').missedG - 0.5);
    expect(of('feed').greenDay).not.toBeNull();
    expect(of('feed').greenDay!).toBeLessThan(of('wait').greenDay ?? Infinity);
  });
  it('work in castings for some of it, and give as much water as is lacking', () => {
    expect(of('workIn').what).toMatchObject({ thicknessCm: 1, depthCm: 3 });
    expect(of('workIn').missedG).toBeLessThan(of('wait').missedG);
    const { waterMm } = of('water').what as { waterMm: number };
    expect(waterMm).toBeGreaterThanOrEqual(0);
  });
});
