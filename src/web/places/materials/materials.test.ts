import { describe, expect, it } from 'vitest';
import { filterMaterials, materialRows, type MaterialFilter } from './material-rows.ts';

const own = {
  id: 'own',
  version: 1,
  createdAt: '',
  updatedAt: '',
  gardenId: 'g',
  name: 'Heather tops',
  note: '',
  basis: { type: 'chips' as const, branchDiameterCm: 5, leafShare: 0.3, coniferShare: 0 },
};
const report = {
  id: 'r',
  version: 1,
  createdAt: '',
  updatedAt: '',
  gardenId: 'g',
  materialId: 'own',
  date: '2026-01-01',
  laboratory: '',
  moistureFractionWetBasis: 0.3,
  carbonFractionDryBasis: null,
  nitrogenFractionDryBasis: 0.02,
  ammoniumShareOfNitrogen: null,
  bulkDensityKgPerM3: null,
  note: '',
};

describe('the list of materials', () => {
  const rows = materialRows({ materials: [own], labResults: [report] });
  it('puts one’s own first, with what the laboratory said', () => {
    expect(rows[0]).toMatchObject({ id: 'own', library: null, isReported: true });
    expect(rows[0].material).toMatchObject({
      moistureFractionWetBasis: 0.3,
      nitrogenFractionDryBasis: 0.02,
    });
    expect(rows[1].isReported).toBe(false);
  });
  const ids = (change: Partial<MaterialFilter>) =>
    filterMaterials(rows, { looked: '', kind: null, effect: null, sorting: null, ...change }).map(
      ({ id }) => id,
    );
  it('is searched by any name and by kind', () => {
    expect(ids({ looked: 'heather' })).toEqual(['own']);
    expect(ids({ looked: 'horse manure' })[0]).toBe('horse_bedding');
    expect(ids({ looked: 'stable manure' })[0]).toBe('horse_bedding');
    expect(ids({ looked: 'moon' })).toEqual([]);
    expect(ids({ looked: '  ' })).toHaveLength(rows.length);
  });
  it('is filtered by kind and by what a material does', () => {
    expect(ids({ kind: 'char' }).sort()).toEqual(['biochar_charged', 'biochar_raw']);
    expect(ids({ effect: 'locksUp' })).toContain('sawdust_hardwood');
    expect(ids({ effect: 'locksUp' })).not.toContain('blood_meal');
    expect(ids({ effect: 'feedsNow', kind: 'wood' })).toEqual([]);
  });
  it('is sorted by name, C:N and nitrogen', () => {
    expect(ids({ sorting: 'nitrogen' })[0]).toBe('urea');
    const woods = ids({ sorting: 'carbonToNitrogen', kind: 'wood' });
    expect(woods.indexOf('chips_inleaf')).toBeLessThan(woods.indexOf('sawdust_softwood'));
    expect(ids({ sorting: 'name' })).not.toEqual(ids({}));
  });
});
