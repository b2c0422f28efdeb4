import { describe, expect, it } from 'vitest';
import { dayNumberFromIso, isoDateOf } from '../../ground/climate/calendar.ts';
import { findLibraryMaterial } from '../../ground/materials/library.ts';
import { plantableFrom, type PlantingWait } from './build-up.ts';
import { BUILD_UPS, findBuildUp } from './build-up-library.ts';
import { effortOf, totalEffort } from './effort.ts';
import { layBuildUp } from './lay-build-up.ts';

const day = (iso: string) => dayNumberFromIso(iso, []);

describe('the build-ups', () => {
  it('are each there once, for cover now and for soil later', () => {
    expect(new Set(BUILD_UPS.map(({ id }) => id)).size).toBe(BUILD_UPS.length);
    expect(BUILD_UPS.length).toBeGreaterThanOrEqual(14);
    expect(new Set(BUILD_UPS.map(({ purpose }) => purpose))).toEqual(new Set(['coverNow', 'soilLater']));
  });
  it.each(BUILD_UPS.map((one) => [one.id, one] as const))('%s can be laid and suits some bed', (_, one) => {
    expect(one.layers.length).toBeGreaterThan(0);
    expect(one.suits.length).toBeGreaterThan(0);
    for (const { materialId, thicknessCm, dugDepthCm } of one.layers) {
      expect(findLibraryMaterial(materialId)).toBeDefined();
      expect(thicknessCm).toBeGreaterThan(0);
      expect(dugDepthCm).toBeLessThanOrEqual(40);
    }
  });
  it('keep to the thicknesses of the trade', () => {
    const cm = (id: string, layer: number) => findBuildUp(id)!.layers[layer].thicknessCm;
    // Common practice, no source: compost 2 to 5 cm under seasoned chips of 5 to 8; trees 10 to 15.
    expect(cm('chipMulchAnnuals', 0)).toBeGreaterThanOrEqual(2);
    expect(cm('chipMulchAnnuals', 0)).toBeLessThanOrEqual(5);
    expect(cm('chipMulchAnnuals', 1)).toBeGreaterThanOrEqual(5);
    expect(cm('chipMulchAnnuals', 1)).toBeLessThanOrEqual(8);
    expect(cm('chipMulchTrees', 0)).toBeGreaterThanOrEqual(10);
    expect(cm('chipMulchTrees', 0)).toBeLessThanOrEqual(15);
    // Three of wood to one of greens by volume.
    expect((cm('fungalMulch', 0) + cm('fungalMulch', 2)) / cm('fungalMulch', 1)).toBeCloseTo(3.67, 1);
    expect(cm('freshChipStopgap', 2) / cm('freshChipStopgap', 1)).toBe(3);
  });
  it('put the greens of the stopgap beneath the wood', () => {
    const ids = findBuildUp('freshChipStopgap')!.layers.map(({ materialId }) => materialId);
    expect(ids.indexOf('grass_clippings')).toBeLessThan(ids.indexOf('chips_mixed'));
  });
});

describe('laying a build-up', () => {
  const { layers } = findBuildUp('stackForYears')!;
  it('scales it to the bed, and dates later layers', () => {
    const planned = layBuildUp({
      layers,
      areaM2: 4,
      laidDay: day('2026-11-01'),
      findMaterial: findLibraryMaterial,
    });
    expect(planned.map(({ date }) => date)).toEqual(['2026-11-01', '2027-11-01', '2028-10-31']);
    const { bulkDensityKgPerM3 } = findLibraryMaterial('leaves_mixed')!;
    expect(planned[0].massFreshKg).toBeCloseTo(0.05 * 4 * bulkDensityKgPerM3, 9);
  });
  it('leaves out what no longer exists, and what has no thickness', () => {
    const odd = [
      { ...layers[0], materialId: 'moondust' },
      { ...layers[0], thicknessCm: Number.NaN },
    ];
    expect(
      layBuildUp({ layers: odd, areaM2: 4, laidDay: day('2026-11-01'), findMaterial: findLibraryMaterial }),
    ).toEqual([]);
  });
});

describe('waiting to plant', () => {
  const from = (wait: PlantingWait, laid: string, isSouth = false) => {
    const ready = plantableFrom(wait, day(laid), isSouth);
    return ready === null ? null : isoDateOf(ready);
  };
  it('is no wait, some days, or a spring with a winter before it', () => {
    expect(from({ until: 'none' }, '2026-05-14')).toBe('2026-05-14');
    expect(from({ until: 'days', days: 90 }, '2026-11-08')).toBe('2027-02-06');
    expect(from({ until: 'spring' }, '2026-11-08')).toBe('2027-04-01');
    expect(from({ until: 'spring' }, '2026-03-20')).toBe('2027-04-01');
    expect(from({ until: 'spring' }, '2026-05-20', true)).toBe('2026-10-01');
  });
  it('is left to the answers where no date can be told', () => {
    expect(from({ until: 'deficitCovered' }, '2026-05-14')).toBeNull();
    expect(from({ until: 'never' }, '2026-05-14')).toBeNull();
  });
});

describe('what it takes to carry', () => {
  const chips = { bulkDensityKgPerM3: 280 };
  it('counts barrows by volume, and trips in whole barrows', () => {
    const effort = effortOf(chips, { thicknessCm: 10, dugDepthCm: 0 }, 5);
    expect(effort.volumeL).toBeCloseTo(500, 9);
    expect(effort.massFreshKg).toBeCloseTo(140, 9);
    expect(effort.barrows).toBeCloseTo(500 / 85, 9);
    expect(effort.trips).toBe(6);
    expect(effort.hours).toBeCloseTo((6 * 8) / 60, 9);
  });
  it('goes more often with what is too heavy for a full barrow', () => {
    const soilLike = effortOf({ bulkDensityKgPerM3: 1600 }, { thicknessCm: 2, dugDepthCm: 0 }, 5);
    expect(soilLike.massFreshKg).toBeCloseTo(160, 9);
    expect(soilLike.barrows).toBeLessThan(2);
    expect(soilLike.trips).toBe(2);
  });
  it('adds digging by the square metre, and layers together', () => {
    const dug = effortOf(chips, { thicknessCm: 3, dugDepthCm: 20 }, 5);
    expect(dug.hours).toBeCloseTo((2 * 8 + 5 * 6) / 60, 9);
    expect(totalEffort([dug, dug]).hours).toBeCloseTo(2 * dug.hours, 12);
    expect(totalEffort([]).trips).toBe(0);
  });
});
