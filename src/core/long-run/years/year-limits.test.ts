import { describe, expect, it } from 'vitest';
import { bedOf, MILD } from '../../../../tests/fixtures/books.ts';
import { layOf } from '../../../../tests/fixtures/laid.ts';
import { yearPointOf } from '../../../../tests/fixtures/years.ts';
import { dayNumberFromIso, findLibraryMaterial } from '../../ground/index.ts';
import { guideOf, limitsOfYears } from './year-limits.ts';
import { withMinerals } from './year-minerals.ts';
import { widenedByOpinions } from './years-range.ts';

const setting = { climate: MILD, entries: [] };
const FIRST = dayNumberFromIso('2026-05-14', []);
const pointsOf = (years: number) =>
  Array.from({ length: years + 1 }, (_, i) => yearPointOf(i, { day: FIRST + Math.round(i * 365.25) }));

describe('minerals of what is laid over the years', () => {
  const lay = (date: string, massFreshKg: number) =>
    layOf({ id: date, date, materialId: 'cattle_fym', massFreshKg, dugDepthCm: 0 });
  it('are those of the year before each day, on a square meter', () => {
    const entries = [lay('2026-05-10', 50), lay('2026-10-01', 10), lay('2027-05-14', 20)];
    const years = withMinerals(pointsOf(2), { bed: bedOf({ areaM2: 5 }), entries }, findLibraryMaterial);
    const { moistureFractionWetBasis, nitrogenFractionDryBasis } = findLibraryMaterial('cattle_fym')!;
    const dryGPerM2 = (10_000 * (1 - moistureFractionWetBasis)) / 5;
    expect(years.map(({ phosphorusG }) => phosphorusG)).toEqual([
      0,
      expect.closeTo(0.005 * dryGPerM2, 9),
      expect.closeTo(2 * 0.005 * dryGPerM2, 9),
    ]);
    // What was laid before today counts in the mean of three years.
    expect(years[0].phosphorusMeanG).toBeCloseTo((5 * 0.005 * dryGPerM2) / 3, 9);
    expect(years[2].phosphorusMeanG).toBeCloseTo((8 * 0.005 * dryGPerM2) / 3, 9);
    expect(years[1].potassiumG).toBeCloseTo(0.02 * dryGPerM2, 9);
    expect(years[1].manureNitrogenG).toBeCloseTo(nitrogenFractionDryBasis * dryGPerM2, 9);
  });
});

describe('limits over the years', () => {
  it('each is told once, for the year in which it is passed most', () => {
    const points = pointsOf(4).map((point, i) => ({
      ...point,
      nitrogenWashedOutG: [0, 7, 9, 8, 7][i],
      manureNitrogenG: [0, 0, 18, 20, 0][i],
      phosphorusMeanG: [0, 0, 0, 3, 6][i],
    }));
    const limits = limitsOfYears(points, setting);
    expect(limits.map(({ yearsAhead, limit }) => [yearsAhead, limit.code])).toEqual([
      [2, 'washedOut'],
      [3, 'manureNitrogen'],
      [4, 'phosphorus'],
    ]);
    expect(limits[2].limit).toMatchObject({ gPerM2Year: 6, limitGPerM2Year: 4 });
  });
  it('none is told while all are kept, nor for today alone', () => {
    expect(limitsOfYears(pointsOf(3), setting)).toEqual([]);
    expect(limitsOfYears(pointsOf(0), setting)).toEqual([]);
  });
  it('the guide value stands with the measures it is for', () => {
    expect(guideOf('nitrogenWashedOutG', setting)).toBeCloseTo(6.08, 1);
    expect(guideOf('phosphorusG', setting)).toBe(4);
    expect(guideOf('potassiumG', setting)).toBeNull();
  });
});

describe('a range widened by other models', () => {
  const points = pointsOf(1).map((point) => ({ ...point, humusCarbonG: 5000, organicMatterPct: 4 }));
  const opinions = { fivePools: [5000, 4000], youngAndOld: [5000, 5100], isohumic: [5000, 6500] };
  const band = { low: [4, 3.9], middle: [4, 4], high: [4, 4.1] };
  it('takes in what they find of humus, and of organic matter as far as it differs by that', () => {
    const own = { low: [5000, 4900], middle: [5000, 5000], high: [5000, 5200] };
    const humus = widenedByOpinions(own, 'humusCarbonG', { points, opinions, pctPerCarbonG: 0.0006 });
    expect([humus.low[1], humus.middle[1], humus.high[1]]).toEqual([4000, 5000, 6500]);
    const matter = widenedByOpinions(band, 'organicMatterPct', { points, opinions, pctPerCarbonG: 0.0006 });
    expect(matter.low[1]).toBeCloseTo(4 - 0.6, 9);
    expect(matter.high[1]).toBeCloseTo(4 + 0.9, 9);
  });
  it('leaves alone what they know nothing of', () => {
    expect(widenedByOpinions(band, 'mulchCm', { points, opinions, pctPerCarbonG: 1 })).toBe(band);
  });
});
