import type { GardenBooks } from '../../../contract/garden-books.ts';
import {
  type Chemistry,
  type LibraryMaterial,
  MATERIAL_LIBRARY,
  type Material,
  type MaterialEffect,
  type MaterialKind,
  carbonToNitrogenRatio,
  chemistryOf,
  effectOf,
  phosphorusFractionDryBasis,
  potassiumFractionDryBasis,
} from '../../../core/ground/index.ts';
import { materialFinder } from '../../../core/bed/index.ts';
import { searchNames } from '../../../words/name-search.ts';
import { KIND_WORDS } from '../../../words/stock-words.ts';

/** A material as it stands in the list. */
export interface MaterialRow {
  readonly id: string;
  readonly name: string;
  /** What else it is looked for as: other names, and its kind. */
  readonly synonyms: readonly string[];
  /** With the figures of the last laboratory report. */
  readonly material: Material;
  /** The table's ranges and source; null for one's own. */
  readonly library: LibraryMaterial | null;
  readonly phosphorusFraction: number;
  readonly potassiumFraction: number;
  readonly chemistry: Chemistry;
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
        synonyms: [...(library?.synonyms ?? []), KIND_WORDS[material.kind]],
        material,
        library,
        phosphorusFraction: phosphorusFractionDryBasis(id, material),
        potassiumFraction: potassiumFractionDryBasis(id, material),
        chemistry: chemistryOf(id, material),
        isReported: books.labResults.some(({ materialId }) => materialId === id),
      },
    ];
  };
  return [
    ...books.materials.flatMap(({ id, name }) => row(id, name, null)),
    ...MATERIAL_LIBRARY.flatMap((one) => row(one.id, one.name, one)),
  ];
}

export const SORTINGS = ['name', 'carbonToNitrogen', 'nitrogen'] as const;
export type Sorting = (typeof SORTINGS)[number];

/** What of the list is shown, and in which order. */
export interface MaterialFilter {
  readonly looked: string;
  readonly kind: MaterialKind | null;
  readonly effect: MaterialEffect | null;
  /** Null leaves what was looked for in the order of its fit, and all in that of the library. */
  readonly sorting: Sorting | null;
}

const SORTS: Readonly<Record<Sorting, (a: MaterialRow, b: MaterialRow) => number>> = {
  name: (a, b) => a.name.localeCompare(b.name),
  carbonToNitrogen: (a, b) => carbonToNitrogenRatio(a.material) - carbonToNitrogenRatio(b.material),
  nitrogen: (a, b) => b.material.nitrogenFractionDryBasis - a.material.nitrogenFractionDryBasis,
};

/** The rows by any of their names, their kind, or what they do. */
export function filterMaterials(
  rows: readonly MaterialRow[],
  { looked, kind, effect, sorting }: MaterialFilter,
): MaterialRow[] {
  const found = searchNames(looked, rows).filter(
    ({ material }) =>
      (kind === null || material.kind === kind) && (effect === null || effectOf(material) === effect),
  );
  return sorting === null ? found : found.toSorted(SORTS[sorting]);
}
