import rows from './library.json' with { type: 'json' };
import type { LibraryMaterial } from './material.ts';

/**
 * The seed library. Moisture, carbon, nitrogen and bulk density of a row come from the row's `source`, all
 * from memory; pool shares and decay factors are calibrated (tests/anchors).
 */
export const MATERIAL_LIBRARY = rows as unknown as readonly LibraryMaterial[];

const byId = new Map(MATERIAL_LIBRARY.map((material) => [material.id, material]));

export const findLibraryMaterial = (id: string): LibraryMaterial | undefined => byId.get(id);
