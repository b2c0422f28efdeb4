import { describe, expect, it } from 'vitest';
import { bedOf, MILD, plantingOf } from '../../../../tests/fixtures/books.ts';
import { dayNumberFromIso } from '../../ground/climate/calendar.ts';
import { findLibraryMaterial } from '../../ground/materials/library.ts';
import type { Entry } from '../../../records/entry.ts';
import { ashGate, type AshQuestion } from './ash-gate.ts';
import { ASH_RECIPES, ashEffect, mostAshG, ratePerM2, weighedAshG } from './ash-recipes.ts';

const day = (iso: string) => dayNumberFromIso(iso, ['date']);
const laid = (materialId: string, date: string, massFreshKg = 1): Entry => ({
  id: `${materialId} ${date}`,
  state: 'laid',
  type: 'lay',
  date,
  materialId,
  massFreshKg,
  dugDepthCm: 0,
  seasonedMonths: 0,
});
const tested = (date: string, ph: number): Entry => ({
  id: `test ${date}`,
  state: 'laid',
  type: 'soilTest',
  date,
  amount: 10,
  unit: 'kgPerHa',
  sampledDepthCm: 20,
  ph,
  organicMatterPct: null,
});
const GOOD = { isSieved: true, isDamp: false, isSooty: false, isCleanWood: true };
const gate = (change: Partial<AshQuestion> = {}, ph: number | null = 6.4) =>
  ashGate(
    {
      bed: bedOf({ areaM2: 5, ph }),
      entries: [],
      plantings: [],
      climate: MILD,
      day: day('2026-11-20'),
      condition: GOOD,
      ...change,
    },
    findLibraryMaterial,
  );
const stops = (...given: Parameters<typeof gate>) => gate(...given).stops.map(({ code }) => code);

describe('recipes for ash', () => {
  // Common practice, no source: the trade's own words, brought to one unit with ash of 480 g/L.
  it.each([
    ['kgPerTenM2', 100],
    ['cupPerM2', 113.6],
    ['quartPerFourByEight', 152.8],
    ['cupPerTenLitres', 11.4],
    ['oneToFive', 96],
    ['spoonPerGallon', 1.9],
  ])('%s is %d', (id, rate) => {
    expect(ASH_RECIPES.find((one) => one.id === id)!.rate[0]).toBeCloseTo(rate, 1);
  });
  it('give compost and pots what the lowest says, less what is in there', () => {
    expect(mostAshG('compost', 100, 0)).toBeCloseTo(1136, 0);
    expect(mostAshG('compost', 100, 1000)).toBeCloseTo(136, 0);
    expect(mostAshG('compost', 100, 2000)).toBe(0);
    expect(mostAshG('pots', 10, 0)).toBeCloseTo(18.7, 0);
    expect(mostAshG('topsoil', 100, 0)).toBeCloseTo(400, -1);
  });
  it('disagree four to eight times on one use', () => {
    const compost = ASH_RECIPES.filter(({ use }) => use === 'compost').map(({ rate }) => rate[0]);
    const times = Math.max(...compost) / Math.min(...compost);
    expect(times).toBeGreaterThan(4);
    expect(times).toBeLessThan(9);
    expect(ratePerM2(11.4, 2)).toBeCloseTo(228, 9);
  });
});

describe('ash on a bed', () => {
  it('is free up to the yearly cap, which what was given takes up', () => {
    expect(gate()).toMatchObject({ isOpen: true, leftGPerM2: 100, capGPerM2: 100 });
    expect(gate({ entries: [laid('wood_ash', '2026-10-10', 0.3)] }).leftGPerM2).toBeCloseTo(40, 9);
    expect(stops({ entries: [laid('wood_ash', '2026-10-10', 0.6)] })).toEqual(['capReached']);
    expect(gate({ entries: [laid('wood_ash', '2025-10-10', 0.6)] }).isOpen).toBe(true);
  });
  it('is stopped by a high pH, and goes by the last test', () => {
    expect(stops({}, 7.8)).toEqual(['phTooHigh']);
    expect(stops({ entries: [tested('2026-05-01', 7.0)] }, 7.8)).toEqual([]);
    expect(gate({}, null).minds.map(({ code }) => code)).toContain('phUnknown');
  });
  it('may be doubled once on sour ground, then wants a test', () => {
    expect(gate({}, 5.5).capGPerM2).toBe(200);
    const after = stops({ entries: [laid('wood_ash', '2026-10-10', 0.9)] }, 5.5);
    expect(after).toContain('retestFirst');
    // A year does not stand in for the test; a test made since does.
    const double = laid('wood_ash', '2025-02-10', 0.9);
    expect(stops({ entries: [double] }, 5.5)).toEqual(['retestFirst']);
    expect(stops({ entries: [double, tested('2025-04-01', 5.8)] }, 5.5)).toEqual([]);
  });
  it.each(['urine', 'layer_manure', 'calcium_ammonium_nitrate'])('never goes beside %s', (id) => {
    expect(stops({ entries: [laid(id, '2026-11-10')] })).toEqual(['nearAmmonium']);
    expect(stops({ entries: [laid(id, '2026-10-01')] })).toEqual([]);
  });
  it('goes with finished compost, which has no ammonia to drive off', () => {
    expect(stops({ entries: [laid('compost_garden', '2026-11-19')] })).toEqual([]);
  });
  it('minds the season by hemisphere, and what grows', () => {
    const minds = (change: Partial<AshQuestion>) => gate(change).minds.map(({ code }) => code);
    expect(minds({ day: day('2026-07-01') })).toContain('wrongSeason');
    expect(minds({})).not.toContain('wrongSeason');
    const south = {
      ...MILD,
      temperatureC: [...MILD.temperatureC.slice(6), ...MILD.temperatureC.slice(0, 6)],
    };
    expect(minds({ climate: south })).toContain('wrongSeason');
    expect(
      minds({ plantings: [plantingOf({ plantedOn: '2026-10-01', clearedOn: '2027-03-01' })] }),
    ).toContain('growingPlants');
  });
  it('is stopped in summer heat while something grows', () => {
    const growing = { plantings: [plantingOf({ plantedOn: '2026-05-01', clearedOn: '2027-03-01' })] };
    expect(stops({ ...growing, day: day('2026-07-15') })).toEqual(['summerHeat']);
    expect(stops({ day: day('2026-07-15') })).toEqual([]);
    expect(stops({ ...growing, day: day('2026-11-15') })).toEqual([]);
  });
  it('counts under one limit whichever way it came, with a compost too', () => {
    const entries = [laid('compost_garden', '2026-10-10', 40), laid('wood_ash', '2026-10-11', 0.2)];
    const takenG = { 'compost_garden 2026-10-10': 250 };
    expect(gate({ entries, takenG })).toMatchObject({
      givenGPerM2: 90,
      givenInCompostGPerM2: 50,
      leftGPerM2: 10,
    });
    expect(gate({ entries }).givenGPerM2).toBe(40);
    // Damp ash out of the stock counts as the dry ash that is in it.
    expect(gate({ entries, takenG: { 'wood_ash 2026-10-11': 120 } }).givenGPerM2).toBe(24);
  });
  it('has to be clean, dry and without soot', () => {
    expect(stops({ condition: { ...GOOD, isSooty: true } })).toEqual(['sooty']);
    expect(stops({ condition: { ...GOOD, isCleanWood: false } })).toEqual(['dirtyWood']);
    expect(weighedAshG(60, { isDamp: true })).toBeCloseTo(100, 9);
    expect(weighedAshG(60, { isDamp: false })).toBe(60);
    expect(ashEffect(100, 20).potassiumGPerM2).toBeCloseTo(5, 9);
  });
  it('limes sand more than clay', () => {
    expect(ashEffect(100, 5).phRise[1]).toBeGreaterThan(ashEffect(100, 40).phRise[1] * 2);
  });
});
