import { refusalOf } from '../../../../tests/fixtures/refused.ts';
import { describe, expect, it } from 'vitest';
import { MILD } from '../../../../tests/fixtures/books.ts';
import { yearPointOf } from '../../../../tests/fixtures/years.ts';
import type { YearPoint } from './run-years.ts';
import { amountFor, checkTarget, firstYearReached, targetOdds, type WayThere } from './targets.ts';

const point = (yearsAhead: number, change: Partial<YearPoint> = {}) =>
  yearPointOf(yearsAhead, { cropWantG: 10, ...change });
/** Organic matter rising by so much a year. */
const rising = (perYear: number, years = 10) =>
  Array.from({ length: years + 1 }, (_, y) => point(y, { organicMatterPct: 4 + perYear * y }));
const sixPct = { type: 'organicMatter', pct: 6 } as const;

describe('the first year a target is reached', () => {
  it('is counted from today, and may be today', () => {
    expect(firstYearReached(sixPct, rising(0.5))).toBe(4);
    expect(firstYearReached({ ...sixPct, pct: 3.9 }, rising(0))).toBe(0);
    expect(firstYearReached(sixPct, rising(0.1))).toBeNull();
  });
  it('for bought nitrogen is the year from which none is wanted any more', () => {
    const missed = [0, 2, 0, 2, 0.4, 0.4];
    const points = missed.map((cropMissedG, y) => point(y, { cropMissedG }));
    expect(firstYearReached({ type: 'noBoughtNitrogen' }, points)).toBe(4);
  });
  it('bought feed is bought though no crop misses any', () => {
    const points = [point(0), point(1, { nitrogenBoughtG: 3 })];
    expect(firstYearReached({ type: 'noBoughtNitrogen' }, points)).toBeNull();
  });
  it('lasting carbon is that of the whole area', () => {
    const points = [point(0), point(1, { lastingCharG: [40, 50, 60] })];
    expect(firstYearReached({ type: 'lastingCarbon', massKg: 1, areaM2: 20 }, points)).toBe(1);
    expect(firstYearReached({ type: 'lastingCarbon', massKg: 1, areaM2: 10 }, points)).toBeNull();
  });
  it('has the odds of the draws by every year', () => {
    const { firstYear, reachedShare } = targetOdds(sixPct, rising(0.4), [
      rising(1),
      rising(0.25),
      rising(0.1),
      rising(0.5),
    ]);
    expect(firstYear).toBe(5);
    expect([reachedShare[1], reachedShare[2], reachedShare[4], reachedShare[8]]).toEqual([
      0, 0.25, 0.5, 0.75,
    ]);
  });
});

describe('the amount that reaches a target in time', () => {
  const search = { target: sixPct, byYear: 10, most: 5, tolerance: 1e-6, limits: null };
  // A tenth of a percent a year for every unit, less and less for more.
  const saturating = (amount: number) => rising(0.3 * (1 - Math.exp(-amount)));

  it('is solved, and bracketed', () => {
    const answer = amountFor(search, saturating);
    const exact = -Math.log(1 - 0.2 / 0.3);
    expect(answer.status).toBe('solved');
    if (answer.status !== 'solved') return;
    expect(answer.amount).toBeCloseTo(exact, 6);
    expect(answer.low).toBeLessThanOrEqual(exact);
    expect(answer.high).toBeGreaterThanOrEqual(exact);
    expect(answer.runs).toBeLessThan(25);
  });
  it('is not needed where the target is met already', () => {
    expect(amountFor({ ...search, target: { ...sixPct, pct: 4 } }, saturating)).toEqual({
      status: 'notNeeded',
      runs: 1,
    });
  });
  it('is infeasible where the most does not do it, with what is lacking', () => {
    const answer = amountFor({ ...search, target: { ...sixPct, pct: 8 } }, saturating);
    expect(answer).toMatchObject({ status: 'infeasible', most: 5 });
    expect(answer.status === 'infeasible' && answer.shortfall).toBeCloseTo(4 - 3 * (1 - Math.exp(-5)), 9);
  });
  it('is held against the limits it passes on its way, and the most that passes none is found', () => {
    const limits = { climate: MILD, entries: [] };
    // 3 g of phosphorus for every unit: 4 g are allowed.
    const rich = (amount: number) =>
      saturating(amount).map((point) => ({
        ...point,
        phosphorusMeanG: point.yearsAhead > 0 ? 3 * amount : 0,
      }));
    const { way } = amountFor({ ...search, target: { ...sixPct, pct: 6.5 }, limits }, rich) as {
      way: WayThere;
    };
    expect(way.passed.map(({ limit }) => limit.code)).toEqual(['phosphorus']);
    expect(way.within!.amount).toBeCloseTo(4 / 3, 5);
    expect(way.within!.point.organicMatterPct).toBeCloseTo(4 + 3 * (1 - Math.exp(-4 / 3)), 5);
    const modest = amountFor({ ...search, limits }, rich);
    expect(modest).toMatchObject({ status: 'solved', way: { passed: [], within: null } });
  });
  it('a limit that is passed without any of it is not put down to it', () => {
    const limits = { climate: MILD, entries: [] };
    const rich = (amount: number) => saturating(amount).map((point) => ({ ...point, phosphorusMeanG: 9 }));
    expect(amountFor({ ...search, limits }, rich)).toMatchObject({ way: { passed: [], within: null } });
  });
  it('a limit that stands in one year all the same counts in the others', () => {
    const limits = { climate: MILD, entries: [] };
    const rich = (amount: number) =>
      saturating(amount).map((point) => ({
        ...point,
        phosphorusMeanG: point.yearsAhead === 1 ? 9 : 3 * amount,
      }));
    const { way } = amountFor({ ...search, target: { ...sixPct, pct: 6.5 }, limits }, rich) as {
      way: WayThere;
    };
    expect(way.passed).toMatchObject([{ yearsAhead: 2, limit: { code: 'phosphorus' } }]);
    expect(way.within!.amount).toBeCloseTo(4 / 3, 5);
  });
  it('a year beyond what is followed is refused', () => {
    expect(refusalOf(() => amountFor({ ...search, byYear: 40 }, saturating))).toMatch(/byYear lies beyond/);
  });
  it.each([
    [{ type: 'organicMatter', pct: -1 } as const, /pct must be greater than 0/],
    [{ type: 'lastingCarbon', massKg: 0, areaM2: 1 } as const, /massKg must be greater than 0/],
  ])('%o is no target', (target, message) => {
    expect(refusalOf(() => checkTarget(target))).toMatch(message);
  });
});
