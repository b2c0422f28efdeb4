import { findLibraryMaterial } from '../materials/library.ts';
import { ownMaterial, type OwnMaterialBasis } from '../materials/own-material.ts';
import type { BedBooks, BedRecord, EntryRecord, PlantingRecord, School, SiteRecord } from './bed-records.ts';
import type { FindMaterial } from './bed-scenario.ts';

/** The records of a whole garden, as far as the model reads them. */
export interface GardenRecords {
  readonly garden: SiteRecord & { readonly school: School };
  readonly beds: readonly BedRecord[];
  readonly entries: readonly (EntryRecord & { readonly bedId: string })[];
  readonly plantings: readonly (PlantingRecord & { readonly bedId: string })[];
  readonly materials: readonly { readonly id: string; readonly basis: OwnMaterialBasis }[];
}

/** Materials of the garden's own first, then those of the library. */
export function materialFinder(materials: GardenRecords['materials']): FindMaterial {
  const own = new Map(materials.map(({ id, basis }) => [id, basis]));
  return (materialId) => {
    const basis = own.get(materialId);
    return basis ? ownMaterial(basis) : findLibraryMaterial(materialId);
  };
}

/** The books of one bed; undefined when the garden has no such bed. */
export function booksOfBed(records: GardenRecords, bedId: string): BedBooks | undefined {
  const bed = records.beds.find(({ id }) => id === bedId);
  if (!bed) return undefined;
  return {
    site: records.garden,
    bed,
    entries: records.entries.filter((entry) => entry.bedId === bedId),
    plantings: records.plantings.filter((planting) => planting.bedId === bedId),
  };
}
