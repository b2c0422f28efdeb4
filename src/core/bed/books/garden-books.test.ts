import { describe, expect, it } from 'vitest';
import { bedOf, GARDEN, NO_STOCK, plantingOf } from '../../../../tests/fixtures/books.ts';
import { findLibraryMaterial } from '../../ground/materials/library.ts';
import { booksOfBed, materialFinder, type GardenRecords } from './garden-books.ts';

const RECORDS: GardenRecords = {
  garden: GARDEN,
  beds: [bedOf({ id: 'north' }), bedOf({ id: 'south' })],
  entries: [
    { id: 'a', bedId: 'north', type: 'water', state: 'laid', date: '2026-05-01', waterMm: 10 },
    { id: 'b', bedId: 'south', type: 'water', state: 'laid', date: '2026-05-02', waterMm: 12 },
  ],
  crops: [],
  plantings: [plantingOf({ id: 'p', bedId: 'south' })],
  materials: [{ id: 'own', basis: { type: 'chips', branchDiameterCm: 3, leafShare: 0.2, coniferShare: 0 } }],
  ...NO_STOCK,
};

describe('the books of one bed', () => {
  it('hold what was done on it, and nothing of its neighbor', () => {
    const south = booksOfBed(RECORDS, 'south')!;
    expect(south.bed.id).toBe('south');
    expect(south.entries.map(({ id }) => id)).toEqual(['b']);
    expect(south.plantings.map(({ id }) => id)).toEqual(['p']);
    expect(booksOfBed(RECORDS, 'north')!.plantings).toEqual([]);
  });

  it('are not there for a bed that is not', () => {
    expect(booksOfBed(RECORDS, 'west')).toBeUndefined();
  });
});

describe('finding a material', () => {
  it('knows the garden’s own, then those of the library, and no others', () => {
    const find = materialFinder(RECORDS);
    expect(find('own')!.kind).toBe('wood');
    expect(find('straw_cereal')).toBe(findLibraryMaterial('straw_cereal'));
    expect(find('moon_dust')).toBeUndefined();
  });
});
