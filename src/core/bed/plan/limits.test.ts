import { describe, expect, it } from 'vitest';
import { bedOf, MILD } from '../../../../tests/fixtures/books.ts';
import { layOf } from '../../../../tests/fixtures/laid.ts';
import type { Entry } from '../../../records/entry.ts';
import { measuresOf } from '../../../words/measures.ts';
import { limitInWords } from '../../../words/limit-words.ts';
import { dayNumberFromIso, findLibraryMaterial } from '../../ground/index.ts';
import type { GardenRecords } from '../books/garden-books.ts';
import {
  broughtBy,
  countedBy,
  roomToSpread,
  spreadLimits,
  washedOutGuideG,
  washedOutLimit,
} from './limits.ts';
import { planOfBed } from './plan-of-bed.ts';

const TODAY = '2026-05-14';
const since = dayNumberFromIso('2026-03-15', []);
const lay = (materialId: string, date: string, massFreshKg: number) =>
  layOf({ id: `${materialId} ${date}`, date, materialId, massFreshKg, dugDepthCm: 0 });
const limitsOf = (...entries: Entry[]) =>
  spreadLimits({ bed: bedOf(), entries, findMaterial: findLibraryMaterial, since });

describe('what is spread', () => {
  it('is held against 17 g/m2 of nitrogen in manure and meals, and against phosphorus that builds up', () => {
    const much = limitsOf(lay('cattle_fym', '2026-05-01', 40), lay('layer_manure', '2026-05-10', 10));
    expect(much.map(({ code }) => code)).toEqual(['manureNitrogen', 'phosphorus']);
    expect(limitsOf(lay('compost_yard', '2026-05-01', 10))).toEqual([]);
  });
  it('is the phosphorus of a year when as much is spread every spring, whether a few days early or late', () => {
    const springs = ['2023-03-30', '2024-03-30', '2025-03-26', '2026-03-28'];
    const phosphorusOf = (dates: readonly string[], kg: number): number => {
      const limits = limitsOf(...dates.map((date) => lay('compost_manure', date, kg)));
      const limit = limits.find((one) => one.code === 'phosphorus');
      return limit?.code === 'phosphorus' ? limit.gPerM2Year : 0;
    };
    expect(phosphorusOf(springs, 60)).toBeGreaterThan(4);
    expect(phosphorusOf(springs, 60)).toBeCloseTo(phosphorusOf(['2026-03-28'], 180), 9);
  });
});

describe('the room that plans leave', () => {
  const before = [lay('cattle_fym', '2025-09-01', 12), lay('compost_manure', '2026-03-20', 2)];
  const day = dayNumberFromIso('2026-05-21', []);
  const rooms = (entries: readonly Entry[], days: readonly number[] = [day]) =>
    roomToSpread({ bed: bedOf(), entries, findMaterial: findLibraryMaterial }, days);
  const leastRoomG = (code: string, entries: readonly Entry[]) =>
    Math.min(...rooms(entries).flatMap((room) => (room.code === code ? [room.roomG] : [])));
  /** So much fresh manure holds that much of what a limit counts. */
  const kgHolding = (code: 'manureNitrogen' | 'phosphorus', g: number) =>
    g / countedBy(code, broughtBy({ materialId: 'cattle_fym', massFreshKg: 1 }, findLibraryMaterial));

  it.each(['manureNitrogen', 'phosphorus'] as const)('of %s may be filled, and no more', (code) => {
    const kg = kgHolding(code, leastRoomG(code, before));
    expect(kg).toBeGreaterThan(0);
    const withMore = (share: number) =>
      limitsOf(...before, lay('cattle_fym', '2026-05-21', kg * share)).map((limit) => limit.code);
    expect(withMore(0.999)).not.toContain(code);
    expect(withMore(1.001)).toContain(code);
  });
  it('is none where plans pass the limit already, nor less than none', () => {
    const much = [...before, lay('compost_manure', '2026-10-01', 90)];
    expect(leastRoomG('phosphorus', much)).toBe(0);
  });
  it('is shared by all days that lie in one year to a day, or in the same three years', () => {
    const days = [day, day + 182, day + 364, day + 546];
    const together = (code: string) =>
      rooms([], days).flatMap((room) =>
        room.code === code ? [room.days.map((one) => days.indexOf(one))] : [],
      );
    expect(together('manureNitrogen')).toEqual([[0], [0, 1], [0, 1, 2], [1, 2, 3]]);
    expect(together('phosphorus')).toEqual([
      [0, 1],
      [0, 1, 2, 3],
    ]);
  });
});

describe('a soil test with phosphorus and potassium', () => {
  const test = (phosphorusMgPerKg: number, potassiumMgPerKg = 150): Entry => ({
    id: 'test',
    type: 'soilTest',
    state: 'laid',
    date: '2026-03-01',
    amount: null,
    unit: 'kgPerHa',
    sampledDepthCm: 30,
    ph: null,
    organicMatterPct: null,
    extraction: 'olsen',
    phosphorusMgPerKg,
    potassiumMgPerKg,
  });
  const manure = lay('compost_manure', '2026-04-01', 20);
  const codes = (...entries: Entry[]) => limitsOf(...entries).map(({ code }) => code);
  it('allows more of it where there is little, and none where there is very much', () => {
    expect(codes(manure)).toContain('phosphorus');
    expect(codes(test(8), manure)).not.toContain('phosphorus');
    const little = lay('compost_garden', '2026-04-01', 8);
    expect(codes(little)).toEqual([]);
    expect(codes(test(20), little)).toEqual([]);
    expect(codes(test(80), little)).toEqual(['phosphorus']);
    expect(limitsOf(test(80), little)[0]).toMatchObject({
      limitGPerM2Year: 0,
      tested: { rating: 'veryHigh' },
    });
    expect(limitInWords(limitsOf(test(80), little)[0], measuresOf({ measures: 'metric' }), since)).toMatch(
      /found very much of it: leave compost and manure out/,
    );
  });
  it('warns of more potassium only where there is very much', () => {
    const ash = lay('wood_ash', '2026-04-01', 2);
    expect(codes(test(20, 150), ash)).toEqual([]);
    expect(codes(test(20, 500), ash)).toEqual(['potassium']);
  });
});

describe('what is washed out', () => {
  it('may be as much as keeps what drains below 50 mg of nitrate a liter', () => {
    // 538 mm drain under the mild climate by its normals: 538 L/m2 with 11.3 mg of nitrogen each.
    expect(washedOutGuideG(MILD)).toBeCloseTo(538 * 0.0113, 9);
    const desert = { ...MILD, rainMm: MILD.rainMm.map(() => 2) } as unknown as typeof MILD;
    expect(washedOutGuideG(desert)).toBeCloseTo(150 * 0.0113, 9);
  });
  it('is said only above that, in one sentence wherever it is told', () => {
    expect(washedOutLimit(MILD, 6, 10)).toEqual([]);
    const [limit] = washedOutLimit(MILD, 46, 102);
    const sentence = limitInWords(limit, measuresOf({ measures: 'metric' }), since);
    expect(sentence).toMatch(/^By the model 46.0 g\/m² of nitrogen .* brings 102 g\/m². From 6.1 g\/m² on/);
    const [old] = washedOutLimit(MILD, 46, 0);
    expect(limitInWords(old, measuresOf({ measures: 'metric' }), since)).toMatch(/brings next to nothing/);
  });
  it('is said of 2 cm of compost a year that has gone on for fifteen years', () => {
    const entries = Array.from({ length: 16 }, (_, i) => lay('compost_garden', `${2011 + i}-03-20`, 55));
    const records = {
      garden: { climate: MILD, depositionGPerM2Year: 1, school: 'byDepth' },
      beds: [bedOf()],
      entries: entries.map((entry) => ({ ...entry, bedId: 'bed' })),
      plantings: [],
      materials: [],
      crops: [],
      labResults: [],
      lots: [],
      movements: [],
      journal: [],
    } satisfies GardenRecords;
    const { limits } = planOfBed({ records, bedId: 'bed', todayIso: TODAY })!.plan;
    expect(limits.find(({ code }) => code === 'washedOut')).toMatchObject({
      gPerM2Year: expect.any(Number) as number,
    });
  });
});
