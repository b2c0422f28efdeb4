import { describe, expect, it } from 'vitest';
import { dayNumberOf } from '../../ground/climate/calendar.ts';
import { CLIMATE_PATTERNS } from '../../ground/climate/patterns.ts';
import { findLibraryMaterial } from '../../ground/materials/library.ts';
import { defaultParameters } from './parameters.ts';
import { openingFromPile, runPile, type PileResult } from './pile.ts';
import type { PilePlan } from './scenario.ts';

const START = dayNumberOf({ year: 2021, month: 4, day: 1 });
const mix = (...parts: [string, number][]): PilePlan['mix'] =>
  parts.map(([id, massFreshKg]) => ({ material: findLibraryMaterial(id)!, massFreshKg }));

const aged = (days: number, change: Partial<PilePlan> = {}): PileResult =>
  runPile(
    {
      id: 'heap',
      startDay: START,
      endDay: START + days,
      mix: mix(['chips_mixed', 100], ['grass_clippings', 100]),
      isTurned: false,
      isHot: false,
      moistureFactor: 1,
      stepsPerDay: 2,
      ...change,
    },
    CLIMATE_PATTERNS[1],
    defaultParameters,
  );

describe('a pile', () => {
  it.each([1, 100, 500])('keeps its books over %d days', (days) => {
    const pile = aged(days, { isHot: true, isTurned: true });
    expect(Math.abs(pile.carbonInG / (pile.respiredCarbonG + pile.carbonLeftG) - 1)).toBeLessThan(1e-12);
    expect(Math.abs(pile.nitrogenInG / (pile.ammoniaG + pile.nitrogenLeftG) - 1)).toBeLessThan(1e-12);
  });

  it('rots faster when turned, hot and moist', () => {
    const left = (change: Partial<PilePlan>) => aged(120, change).carbonLeftG;
    expect(left({ isTurned: true })).toBeLessThan(left({}));
    expect(left({ isHot: true })).toBeLessThan(left({}));
    expect(left({ moistureFactor: 0.3 })).toBeGreaterThan(left({}));
  });

  it('lowers its C:N as it ages, and counts as compost below 20', () => {
    const young = aged(5);
    const old = aged(600, {
      isHot: true,
      isTurned: true,
      mix: mix(['chips_mixed', 80], ['grass_clippings', 160]),
    });
    expect(old.carbonToNitrogen).toBeLessThan(young.carbonToNitrogen);
    expect(young.kind).toBe('residue');
    expect(old.kind).toBe('compost');
    expect(aged(5, { kind: 'wood' }).kind).toBe('wood');
  });

  it('hands out its contents in proportion', () => {
    const pile = aged(200);
    const half = openingFromPile(pile, pile.massInKg / 2, defaultParameters);
    const total = (values: readonly number[]) => values.reduce((sum, value) => sum + value, 0);
    expect(total(half.carbonG)).toBeCloseTo(pile.carbonLeftG / 2, 9);
    expect(total(half.nitrogenG) + half.ammoniumG).toBeCloseTo(pile.nitrogenLeftG / 2, 9);
    expect(half.charCapacityG).toBe(0);
  });
});
