import { describe, expect, it } from 'vitest';
import { refusalOf } from '../../../../tests/fixtures/refused.ts';
import { MILD, bedOf } from '../../../../tests/fixtures/books.ts';
import { findLibraryMaterial } from '../../ground/index.ts';
import { atEndOf, projectBed } from '../projection/bed-projection.ts';
import { bedScenario } from './bed-scenario.ts';
import { FILL_PARTS, FILL_RECIPES, soilOfFill } from './bed-fill.ts';

const TODAY = 739_750;

describe('what a raised bed or a pot is filled with', () => {
  it('is the soil itself where it is soil alone', () => {
    const { bulkDensityGPerCm3, clayPct, organicMatterPct, laboratoryPct } = soilOfFill([
      { id: 'topsoil', parts: 3 },
    ]);
    expect([bulkDensityGPerCm3, Math.round(clayPct * 1e9) / 1e9, organicMatterPct, laboratoryPct]).toEqual([
      1.1, 20, 4, 4,
    ]);
  });
  it('weighs its parts by their dry mass, and clay within the mineral part', () => {
    const half = soilOfFill([
      { id: 'topsoil', parts: 1 },
      { id: 'sand', parts: 1 },
    ]);
    expect(half.bulkDensityGPerCm3).toBeCloseTo(1.3, 9);
    expect(half.organicMatterPct).toBeCloseTo((100 * 1.1 * 0.04) / 2.6, 9);
    expect(half.clayPct).toBeCloseTo((100 * 1.1 * 0.96 * 0.2) / (1.1 * 0.96 + 1.5), 9);
  });
  it('counts coir and peat by their little nitrogen, and tells what a laboratory would find', () => {
    const coir = soilOfFill([{ id: 'coir', parts: 1 }]);
    expect(coir.laboratoryPct).toBeGreaterThan(75);
    expect(coir.organicMatterPct).toBeLessThan(10);
    const compost = soilOfFill([{ id: 'compost_garden', parts: 1 }]);
    expect(compost.organicMatterPct / compost.laboratoryPct).toBeGreaterThan(0.6);
    expect(compost.compostShare).toBe(1);
  });
  it.each(FILL_RECIPES)('$id is a soil the model can run, richer than what it is made of', ({ mix }) => {
    const { laboratoryPct, compostShare, ...soil } = soilOfFill(mix);
    expect(laboratoryPct).toBeGreaterThanOrEqual(soil.organicMatterPct);
    expect(compostShare).toBeLessThanOrEqual(0.5);
    const books = {
      site: { climate: MILD, depositionGPerM2Year: 1 },
      bed: bedOf({ ...soil, kind: 'container', rootZoneCm: 30 }),
      crops: [],
      entries: [],
      plantings: [],
    };
    const scenario = bedScenario({
      books,
      findMaterial: findLibraryMaterial,
      today: TODAY,
      endDay: TODAY + 400,
    });
    const later = atEndOf(projectBed(scenario, 30), TODAY + 390);
    expect(later.availableRootG).toBeGreaterThan(0);
  });
  it('knows everything it may be mixed of', () => {
    for (const id of FILL_PARTS)
      expect(soilOfFill([{ id, parts: 1 }]).bulkDensityGPerCm3).toBeGreaterThan(0.04);
  });
  it('is refused when there is nothing in it', () => {
    expect(refusalOf(() => soilOfFill([{ id: 'sand', parts: 0 }]))).toMatch(/mix is empty/);
    expect(refusalOf(() => soilOfFill([{ id: 'sand', parts: -1 }]))).toMatch(/mix.0.parts must be/);
  });
});
