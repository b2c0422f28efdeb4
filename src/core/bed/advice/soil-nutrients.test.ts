import { describe, expect, it } from 'vitest';
import type { SoilTestEntry } from '../../../records/entry.ts';
import { dayNumberFromIso } from '../../ground/index.ts';
import { lastRated, nutrientRating, ratedFigures } from './soil-nutrients.ts';

const testOf = (date: string, change: Partial<SoilTestEntry>): SoilTestEntry => ({
  id: date,
  type: 'soilTest',
  state: 'laid',
  date,
  amount: null,
  unit: 'kgPerHa',
  sampledDepthCm: 30,
  ph: null,
  organicMatterPct: null,
  ...change,
});

describe('what a figure of a laboratory means', () => {
  it('hangs on how it was extracted: the same figure is enough by one way and very much by another', () => {
    expect(nutrientRating('phosphorus', 50, 'mehlich3')).toBe('enough');
    expect(nutrientRating('phosphorus', 50, 'olsen')).toBe('veryHigh');
    expect(nutrientRating('phosphorus', 50, 'cal')).toBe('enough');
    expect(nutrientRating('phosphorus', 50, 'bray1')).toBe('high');
  });
  it('goes up with the figure, and magnesium is never very much', () => {
    const ratings = [5, 20, 30, 60].map((mgPerKg) => nutrientRating('phosphorus', mgPerKg, 'olsen'));
    expect(ratings).toEqual(['low', 'enough', 'high', 'veryHigh']);
    expect(nutrientRating('magnesium', 5000, 'olsen')).toBe('high');
  });
  it('is not known for another way, or one that is not told', () => {
    expect(nutrientRating('potassium', 100, 'other')).toBeNull();
    expect(nutrientRating('potassium', 100, null)).toBeNull();
  });
  it('is that of the last test which has the figure', () => {
    const entries = [
      testOf('2024-03-01', { extraction: 'olsen', phosphorusMgPerKg: 60, potassiumMgPerKg: 90 }),
      testOf('2026-03-01', { extraction: 'olsen', phosphorusMgPerKg: 20 }),
      testOf('2027-03-01', { state: 'planned', extraction: 'olsen', phosphorusMgPerKg: 5 }),
    ];
    const day = dayNumberFromIso('2026-05-01', []);
    expect(lastRated({ entries }, 'phosphorus', day)?.rating).toBe('enough');
    expect(lastRated({ entries }, 'phosphorus', day - 365)?.rating).toBe('veryHigh');
    expect(lastRated({ entries }, 'potassium', day)?.rating).toBe('low');
    expect(lastRated({ entries }, 'magnesium', day)).toBeNull();
    const [first] = entries;
    expect(ratedFigures({ test: first, day }).map(({ nutrient }) => nutrient)).toEqual([
      'phosphorus',
      'potassium',
    ]);
  });
});
