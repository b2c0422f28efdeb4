import { refusalOf } from '../../../../tests/fixtures/refused.ts';
import { describe, expect, it } from 'vitest';
import { bedOf } from '../../../../tests/fixtures/books.ts';
import { findLibraryMaterial } from '../../ground/materials/library.ts';
import { habitFromTemplate } from './habit-templates.ts';
import { nutrientsHeldMol, waterHeldMm } from './held-more.ts';
import type { YearPoint } from './run-years.ts';
import { checkPrices, NO_PRICES, worthOf, worthTogether } from './worth.ts';

const year = (yearsAhead: number, change: Partial<YearPoint>): YearPoint =>
  ({
    yearsAhead,
    organicMatterPct: 4,
    charCarbonG: 0,
    humusCarbonG: 5000,
    lastingCharG: [0, 0, 0],
    nitrogenGivenG: 0,
    nitrogenBoughtG: 0,
    cropMissedG: 0,
    ...change,
  }) as YearPoint;

const bare = [year(0, {}), year(1, { cropMissedG: 6 }), year(2, { cropMissedG: 6 })];
const rich = [
  year(0, {}),
  year(1, { nitrogenGivenG: 5 }),
  year(2, { nitrogenGivenG: 7, humusCarbonG: 5600, organicMatterPct: 4.5 }),
];
const setting = {
  bed: bedOf({ areaM2: 10 }),
  findMaterial: findLibraryMaterial,
  prices: NO_PRICES,
  depthCm: 20,
};

describe('what a habit is worth on ten square meters', () => {
  it('counts what the bed gives and no longer wants, against the bed with nothing laid', () => {
    const worth = worthOf({ habit: habitFromTemplate('compostYearly'), points: rich, bare, setting });
    expect(worth.nitrogenGivenKg).toBeCloseTo(0.12, 9);
    expect(worth.feedAvoidedNitrogenKg).toBeCloseTo(0.12, 9);
    expect(worth.humusCarbonKg).toBeCloseTo(6, 9);
    expect(worth.money).toBeNull();
  });
  it('phosphorus and potassium are those of twice 2 cm of compost, carried in barrows', () => {
    const worth = worthOf({ habit: habitFromTemplate('compostYearly'), points: rich, bare, setting });
    const { bulkDensityKgPerM3, moistureFractionWetBasis } = findLibraryMaterial('compost_yard')!;
    const dryKg = 2 * 0.2 * bulkDensityKgPerM3 * (1 - moistureFractionWetBasis);
    expect(worth.phosphorusKg).toBeCloseTo(dryKg * 0.002, 9);
    expect(worth.potassiumKg).toBeCloseTo(dryKg * 0.007, 9);
    expect(worth.trips).toBeGreaterThanOrEqual(2 * Math.ceil(200 / 85));
    expect(worth.hours).toBeCloseTo((worth.trips * 8) / 60, 9);
  });
  it('of two beds is that of both, in money only where both have a price', () => {
    const habit = habitFromTemplate('compostYearly');
    const prices = { ...NO_PRICES, hour: 2 };
    const one = worthOf({ habit, points: rich, bare, setting: { ...setting, prices } });
    const both = worthTogether([one, one]);
    for (const field of [
      'nitrogenGivenKg',
      'phosphorusKg',
      'trips',
      'hours',
      'money',
      'humusCarbonKg',
    ] as const) {
      expect(both[field]).toBeCloseTo(2 * one[field]!, 9);
    }
    expect(both.waterL).toEqual({ low: 2 * one.waterL.low, high: 2 * one.waterL.high });
    expect(both.years).toBe(one.years);
    expect(worthTogether([one, { ...one, money: null }]).money).toBeNull();
  });
  it('in money is what is told a price, hours taken off', () => {
    const worth = worthOf({
      habit: habitFromTemplate('compostYearly'),
      points: rich,
      bare,
      setting: {
        ...setting,
        prices: { ...NO_PRICES, nitrogenPerKg: 10, hour: 2 },
      },
    });
    expect(worth.money).toBeCloseTo(1.2 - 2 * worth.hours, 9);
  });
  it('a negative price is refused by name', () => {
    expect(refusalOf(() => checkPrices({ ...NO_PRICES, potassiumPerKg: -3 }))).toMatch(
      /potassiumPerKg must not be negative; got -3/,
    );
  });
});

describe('held more by a percent of organic matter and a kilogram of char', () => {
  const gain = { organicMatterPct: 1, charCarbonG: 0, bulkDensityGPerCm3: 1.2, depthCm: 20 };
  const sand = waterHeldMm({ ...gain, clayPct: 8 });
  const clay = waterHeldMm({ ...gain, clayPct: 45 });
  it('sand gains more water than clay; around 1.16 mm per 10 cm and percent carbon (Minasny and McBratney 2018)', () => {
    expect(sand.low).toBeGreaterThan(clay.low);
    expect(sand.high).toBeGreaterThan(clay.high);
    const loam = waterHeldMm({ ...gain, organicMatterPct: 1.724, depthCm: 10, clayPct: 22 });
    expect(loam.low).toBeLessThan(1.16);
    expect(loam.high).toBeGreaterThan(1.16);
  });
  it('exchange capacity goes by the mass of soil it is in', () => {
    // 240 kg of soil, 2.4 kg of organic matter at 1 to 2.5 mol per kg.
    const { low, high } = nutrientsHeldMol({ ...gain, clayPct: 20 });
    expect(low).toBeCloseTo(2.4, 9);
    expect(high).toBeCloseTo(6, 9);
  });
  it('a loss is a loss, its ends in order', () => {
    const { low, high } = waterHeldMm({ ...gain, organicMatterPct: -1, clayPct: 20 });
    expect(low).toBeLessThan(high);
    expect(high).toBeLessThan(0);
  });
});
