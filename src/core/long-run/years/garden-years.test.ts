import { describe, expect, it } from 'vitest';
import { yearPointOf } from '../../../../tests/fixtures/years.ts';
import { asOneBed } from './garden-years.ts';
import { bandOfYears, differenceOf, readMeasure } from './years-range.ts';

describe('a garden of two beds as one', () => {
  const small = {
    areaM2: 1,
    soilMassKgPerM2: 240,
    points: [yearPointOf(0, { humusCarbonG: 100, organicMatterPct: 2, woodLeftShare: 0.5 })],
  };
  const large = {
    areaM2: 3,
    soilMassKgPerM2: 80,
    points: [yearPointOf(0, { humusCarbonG: 500, organicMatterPct: 6 })],
  };
  it('has as many grams as both, and organic matter by mass of soil', () => {
    const [one] = asOneBed([small, large]);
    expect(one.humusCarbonG * 4).toBeCloseTo(100 + 3 * 500, 9);
    // 240 kg of soil with 2 %, and as much with 6 %.
    expect(one.organicMatterPct).toBeCloseTo(4, 9);
  });
  it('tells wood left of the beds that have wood', () => {
    expect(asOneBed([small, large])[0].woodLeftShare).toBe(0.5);
    expect(asOneBed([large])[0].woodLeftShare).toBeNull();
  });
  it('one bed alone is what it is', () => {
    expect(asOneBed([large])).toEqual(large.points);
  });
});

describe('the range of draws', () => {
  const draws = Array.from({ length: 11 }, (_, i) => [
    yearPointOf(0, {}),
    yearPointOf(1, { organicMatterPct: 4 + i / 10 }),
  ]);
  it('holds 8 in 10, a little wider where draws are few', () => {
    const band = bandOfYears(draws, 'organicMatterPct');
    expect(band.low[1]).toBeCloseTo(4.02, 9);
    expect(band.middle[1]).toBeCloseTo(4.5, 9);
    expect(band.high[1]).toBeCloseTo(4.98, 9);
  });
  it('what two habits share falls out of their difference', () => {
    const others = draws.map(([now, then]) => [
      now,
      { ...then, organicMatterPct: then.organicMatterPct - 0.3 },
    ]);
    const spread = differenceOf({ draws, others, yearsAhead: 1, measure: 'organicMatterPct' })!;
    expect(spread.low).toBeCloseTo(0.3, 9);
    expect(spread.high).toBeCloseTo(0.3, 9);
    expect(differenceOf({ draws: [], others, yearsAhead: 1, measure: 'organicMatterPct' })).toBeNull();
  });
  it('nitrogen to buy is what was bought and what was missed', () => {
    expect(readMeasure(yearPointOf(1, { nitrogenBoughtG: 2, cropMissedG: 3 }), 'nitrogenWantedG')).toBe(5);
  });
});
