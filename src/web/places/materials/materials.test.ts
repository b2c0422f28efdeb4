import { describe, expect, it } from 'vitest';
import { searchMaterials, materialRows } from './material-rows.ts';

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
  it('is searched by every word of name and kind', () => {
    expect(searchMaterials(rows, 'heather').map(({ id }) => id)).toEqual(['own']);
    expect(searchMaterials(rows, 'manure horse').map(({ id }) => id)).toEqual(['horse_bedding']);
    expect(searchMaterials(rows, 'moon')).toEqual([]);
    expect(searchMaterials(rows, '  ').length).toBe(rows.length);
  });
});
