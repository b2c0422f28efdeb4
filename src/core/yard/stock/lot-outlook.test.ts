import { describe, expect, it } from 'vitest';
import { MILD } from '../../../../tests/fixtures/books.ts';
import { dayNumberFromIso, isoDateOf } from '../../ground/climate/calendar.ts';
import { findLibraryMaterial } from '../../ground/materials/library.ts';
import { LOT_HORIZON_DAYS, lotBrief, lotCourse } from './lot-outlook.ts';
import { lotTimeline } from './lot-timeline.ts';
import { overPromisedL } from './promises.ts';
import { runStock } from './run-stock.ts';
import type { BedTake, Movement } from '../../../records/movement.ts';
import type { Lot } from '../../../records/lot.ts';

const TODAY = dayNumberFromIso('2026-05-14', []);
const lot = (id: string, change: Partial<Lot> = {}): Lot => ({
  id,
  name: id,
  form: 'heap',
  keeping: 'covered',
  isTurned: true,
  isHot: false,
  ...change,
});
const receive = (
  lotId: string,
  materialId: string,
  date: string,
  amount: number,
  state: 'laid' | 'planned' = 'laid',
): Movement => ({
  id: `${lotId} ${date}`,
  type: 'receive',
  state,
  date,
  lotId,
  materialId,
  amount,
  unit: 'litre',
  moistureFractionWetBasis: null,
  bulkDensityKgPerM3: null,
  seasonedMonths: 0,
});
const plan = (entryId: string, date: string, amount: number): BedTake => ({
  entryId,
  bedId: 'b',
  areaM2: 4,
  state: 'planned',
  date,
  lotId: 'chips',
  amount,
  unit: 'litre',
});

function brief(
  movements: readonly Movement[],
  takes: readonly BedTake[] = [],
  lotId = 'chips',
  reserveL = 0,
) {
  const books = {
    site: { climate: MILD, depositionGPerM2Year: 1 },
    lots: [lot('chips', { isTurned: false }), lot('heap', { isHot: true })],
    movements,
    takes,
  };
  const run = (until: number, withPlans: boolean) =>
    runStock(books, findLibraryMaterial, { until, withPlans });
  const runs = {
    today: run(TODAY, false),
    ahead: run(TODAY + LOT_HORIZON_DAYS, false),
    planned: run(TODAY + LOT_HORIZON_DAYS, true),
  };
  const setting = { climate: MILD, today: TODAY, readings: [], reserveL };
  const ofLot = (one: keyof typeof runs) => runs[one].lots.get(lotId)!;
  return {
    brief: lotBrief(runs, lotId, setting),
    course: lotCourse(ofLot('ahead')),
    timeline: lotTimeline({ today: ofLot('today'), planned: ofLot('planned') }, TODAY),
  };
}

const CHIPS = receive('chips', 'chips_mixed', '2026-01-10', 2000);

describe('a lot in one line', () => {
  it('says when chips are seasoned: within two years, and not yet', () => {
    const { brief: chips, course } = brief([CHIPS]);
    expect(chips.needsSeasoning).toBe(true);
    expect(chips.seasonedOn).toBeGreaterThan(TODAY);
    expect(chips.seasonedOn).toBeLessThan(TODAY + 500);
    const power = course.power.map(({ peakLockGPerKgDry }) => peakLockGPerKgDry);
    expect(power.at(-1)).toBeLessThan(power[0] / 2);
    expect(course.course.at(-1)!.figures.volumeL).toBeLessThan(course.course[0].figures.volumeL);
  });

  it('says when a hot heap is finished compost', () => {
    const movements: Movement[] = [
      CHIPS,
      receive('heap', 'chips_inleaf', '2026-01-10', 600),
      receive('heap', 'grass_clippings', '2026-01-11', 600),
    ];
    const { brief: heap } = brief(movements, [], 'heap');
    expect(heap.finishedOn).toBeGreaterThan(TODAY - 100);
    expect(heap.warmthC).toBeGreaterThan(11);
  });

  it('has nothing to say of what is empty', () => {
    expect(brief([CHIPS], [], 'heap').brief).toMatchObject({
      now: null,
      power: null,
      nearestMaterialId: null,
    });
  });
});

describe('a pile over the next two years', () => {
  it('shrinks, loses carbon to nitrogen and is seasoned on the way', () => {
    const { timeline } = brief([CHIPS]);
    expect(timeline.map(({ months }) => months)).toEqual([0, 3, 6, 12, 18, 24]);
    const there = timeline.map((point) => point.there!);
    const falls = (values: readonly number[]) => expect([...values].sort((a, b) => b - a)).toEqual(values);
    falls(there.map(({ figures }) => figures.volumeL));
    falls(there.map(({ figures }) => figures.carbonToNitrogen!));
    falls(there.map(({ power }) => power.peakLockGPerKgDry));
    expect([there[0].ripeness, there[5].ripeness]).toEqual(['fresh', 'seasoned']);
  });

  it('tells a mix that becomes compost, and nothing of a pile that is used up', () => {
    const mixed = brief(
      [
        receive('heap', 'chips_inleaf', '2026-05-01', 600),
        receive('heap', 'grass_clippings', '2026-05-02', 600),
      ],
      [],
      'heap',
    );
    expect(mixed.timeline[0].there!.what.what).toEqual({ code: 'mix' });
    expect(mixed.timeline[5].there!.what.what).toEqual({ code: 'finishedCompost' });
    expect(mixed.timeline[0].there!.ripeness).toBeNull();
    const { timeline } = brief([CHIPS], [plan('all', '2026-07-01', 1900)]);
    expect(timeline[0].there).not.toBeNull();
    expect(timeline[1].there).toBeNull();
  });

  it('warns of what a plan would not find, but not of what a delivery may bring', () => {
    const over = (wantedL: number, more: { ownL?: number; nextArrival?: number; day?: number } = {}) =>
      overPromisedL(
        { freeL: 100, nextArrival: more.nextArrival ?? null },
        { wantedL, ownL: more.ownL ?? 0, day: more.day ?? 50 },
      );
    expect([over(100), over(100.5), over(130), over(130, { ownL: 20 })]).toEqual([0, 0, 30, 10]);
    expect(over(130, { nextArrival: 60 })).toBe(30);
    expect(over(130, { nextArrival: 50 })).toBe(0);
  });

  it('lasts for as many quarters as its rations say, and is used up then', () => {
    const { promises } = brief([CHIPS]).brief;
    for (const { quarters, eachL } of promises.rations) {
      const takes = Array.from({ length: quarters }, (_, i) =>
        plan(`quarter ${i}`, isoDateOf(TODAY + i * 91), eachL),
      );
      const { brief: rationed, timeline } = brief([CHIPS], takes);
      const missing = rationed.promises.promised.map(({ missingL }) => missingL);
      expect(Math.max(...missing)).toBeLessThan(0.03 * eachL);
      const left = timeline.at(-1)!.there?.figures.volumeL ?? 0;
      expect(left).toBeLessThan(0.03 * eachL);
    }
  });
});

describe('what is promised', () => {
  it('is held against what is there, with a reserve, until the next arrival', () => {
    const takes = [plan('one', '2026-06-01', 500), plan('two', '2026-09-01', 600)];
    const { promises } = brief([CHIPS], takes, 'chips', 200).brief;
    expect(promises.promisedL).toBeCloseTo(1100, 6);
    expect(promises.shortOn).toBeNull();
    expect(promises.freeL).toBeGreaterThan(100);
    expect(promises.freeL).toBeLessThan(700);
  });

  it('warns of the day the reserve breaks, and the day there is too little', () => {
    const takes = [plan('one', '2026-06-01', 1600), plan('two', '2026-09-01', 600)];
    const { promises } = brief([CHIPS], takes, 'chips', 300).brief;
    expect(promises.reserveBrokenOn).toBe(dayNumberFromIso('2026-06-01', []));
    expect(promises.shortOn).toBe(dayNumberFromIso('2026-09-01', []));
    expect(promises.freeL).toBe(0);
    expect(promises.promised[1].litres).toBeCloseTo(600, 6);
  });

  it('is never more than lies there: what was laid lately is gone, and heaps shrink', () => {
    const { brief: laid } = brief(
      [receive('chips', 'chips_mixed', '2026-05-01', 1000)],
      [{ ...plan('lately', '2026-05-13', 700), state: 'laid' }],
    );
    expect(laid.now!.volumeL).toBeLessThan(300);
    expect(laid.promises.freeL).toBeLessThanOrEqual(laid.now!.volumeL);
    expect(laid.promises.freeL).toBeCloseTo(laid.now!.volumeL, 6);
  });
  it('is never more than lies there, of a heap that shrinks before what is planned for the fall', () => {
    const heap = [
      receive('heap', 'horse_bedding', '2026-04-01', 500),
      receive('heap', 'grass_clippings', '2026-04-01', 500),
    ];
    const inFall = { ...plan('fall', '2026-10-01', 100), lotId: 'heap' };
    for (const takes of [[], [inFall]]) {
      const { now, promises } = brief(heap, takes, 'heap').brief;
      expect(now!.volumeL).toBeLessThan(950);
      expect(promises.freeL).toBeLessThanOrEqual(now!.volumeL);
    }
    const { now, promises } = brief(heap, [inFall], 'heap').brief;
    // A hundred liters in the fall are more of it today.
    expect(now!.volumeL - promises.freeL).toBeGreaterThan(110);
  });
  it('is never more than lies there, of char that is crushed and spread in part', () => {
    const char = receive('chips', 'biochar_raw', '2026-05-10', 76);
    const crushed: Movement = {
      id: 'crushed',
      type: 'crush',
      state: 'laid',
      date: '2026-05-12',
      lotId: 'chips',
      fineness: 'dust',
    };
    const spread = { ...plan('spread', '2026-05-13', 40), state: 'laid' as const };
    const { now, promises } = brief([char, crushed], [spread]).brief;
    expect(now!.volumeL).toBeLessThanOrEqual(36);
    expect(promises.freeL).toBeLessThanOrEqual(now!.volumeL);
  });
  it('counts on a delivery that is expected', () => {
    const next = receive('chips', 'chips_mixed', '2026-08-01', 1000, 'planned');
    const { promises } = brief([CHIPS, next], [plan('one', '2026-09-01', 1900)]).brief;
    expect(promises.nextArrival).toBe(dayNumberFromIso('2026-08-01', []));
    expect(promises.shortOn).toBeNull();
    expect(promises.freeL).toBeGreaterThan(1000);
  });
});
