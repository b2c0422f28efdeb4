import type { GardenBooks } from '../../../contract/garden-books.ts';
import {
  type LibraryMaterial,
  MATERIAL_LIBRARY,
  type Material,
  phosphorusFractionDryBasis,
  potassiumFractionDryBasis,
} from '../../../core/ground/index.ts';
import { materialFinder } from '../../../core/bed/index.ts';

/** A material as it stands in the list. */
export interface MaterialRow {
  readonly id: string;
  readonly name: string;
  /** With the figures of the last laboratory report. */
  readonly material: Material;
  /** The table's ranges and source; null for one's own. */
  readonly library: LibraryMaterial | null;
  readonly phosphorusFraction: number;
  readonly potassiumFraction: number;
  readonly isReported: boolean;
}

/** One's own first, then the library. */
export function materialRows(books: Pick<GardenBooks, 'materials' | 'labResults'>): MaterialRow[] {
  const find = materialFinder(books);
  const row = (id: string, name: string, library: LibraryMaterial | null): MaterialRow[] => {
    const material = find(id);
    if (!material) return [];
    return [
      {
        id,
        name,
        material,
        library,
        phosphorusFraction: phosphorusFractionDryBasis(id, material),
        potassiumFraction: potassiumFractionDryBasis(id, material),
        isReported: books.labResults.some(({ materialId }) => materialId === id),
      },
    ];
  };
  return [
    ...books.materials.flatMap(({ id, name }) => row(id, name, null)),
    ...MATERIAL_LIBRARY.flatMap((one) => row(one.id, one.name, one)),
  ];
}

/** Rows whose name or kind holds every word that is looked for. */
export function searchMaterials(rows: readonly MaterialRow[], looked: string): MaterialRow[] {
  const words = looked.toLowerCase().split(/\s+/).filter(Boolean);
  return rows.filter(({ name, material }) => {
    const text = `${name} ${material.kind}`.toLowerCase();
    return words.every((word) => text.includes(word));
  });
}
