import type { BrewId } from '../../../records/vocabulary.ts';
import { describe, expect, it } from 'vitest';
import { BREWS, brewDates, findBrew, litresForVessel, scaleBrew } from './brew-recipes.ts';

describe('brews', () => {
  it.each(BREWS.map(({ id }) => id))('%s fills the vessel it is made for, and is timed', (id) => {
    const { ingredients } = scaleBrew(id, 10);
    expect(ingredients.reduce((sum, { litres }) => sum + litres, 0)).toBeCloseTo(10, 9);
    const brew = findBrew(id);
    expect(Math.max(...brew.steps.map(({ day }) => day))).toBeLessThanOrEqual(Math.max(1, brew.days[1]));
    expect(brew.go.length * brew.noGo.length).toBeGreaterThan(0);
  });
  it('steep one of compost in five of water', () => {
    const [compost, water] = scaleBrew('compostTea', 60).ingredients;
    expect(compost.litres).toBeCloseTo(10, 9);
    expect(water.litres).toBeCloseTo(50, 9);
  });
  it('are thinned a cup to the gallon', () => {
    expect(scaleBrew('nativeWater', 1).givesL).toBeCloseTo(16, 9);
  });
  it('say what their sugar costs: molasses is carbon', () => {
    const path = scaleBrew('molassesPath', 20);
    expect(path.carbonG).toBeCloseTo(20 * 0.05 * 1.4 * 0.75 * 0.4 * 1000, 6);
    expect(path.nitrogenCostG).toBeGreaterThan(0);
    expect(path.nitrogenCostG).toBeLessThan(path.carbonG / 15);
  });
  it('has exact days, and keeps no longer than it does', () => {
    expect(brewDates('nativeStarter', 1000)).toEqual({ readyFrom: 1007, readyBy: 1014, useBy: 1104 });
    expect(brewDates('compostTea', 1000)).toEqual({ readyFrom: 1001, readyBy: 1002, useBy: 1002 });
    expect(brewDates('molassesWater', 1000).useBy).toBe(1000);
    expect(brewDates('nativeWater', 1000).useBy).toBe(1012);
  });
  it('leaves room in a vessel, the more the livelier it is', () => {
    expect(litresForVessel('nativeStarter', 4)).toBeCloseTo(3, 12);
    expect(litresForVessel('compostTea', 200)).toBeCloseTo(180, 12);
  });
  it.each(['nativeStarter', 'nativeWater'] as const)('%s is stopped by blue, green and black mold', (id) => {
    expect(findBrew(id).noGo).toContain('blueGreenOrBlackMould');
  });
  it('may grow white, yellow and pink mold', () => {
    expect(findBrew('nativeStarter').go).toEqual(['whiteYellowOrPinkMould']);
  });
  it('cannot be nothing, or unknown', () => {
    expect(() => scaleBrew('compostTea', 0)).toThrow(/^litres /);
    expect(() => scaleBrew('moonshine' as BrewId, 1)).toThrow(/^brew /);
  });
});
