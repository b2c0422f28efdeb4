import type { EntryRecord } from '../records/entry.ts';
import type { GardenBooks } from '../contract/garden-books.ts';
import type { PlantingRecord } from '../records/planting.ts';
import { findCrop, findLibraryMaterial } from '../core/ground/index.ts';
import { residueId } from '../core/model/index.ts';

export const materialName = (materialId: string, materials: GardenBooks['materials']): string =>
  materials.find(({ id }) => id === materialId)?.name ?? findLibraryMaterial(materialId)?.name ?? materialId;

/** Where the names of what is laid stand. */
export type LayNames = Pick<GardenBooks, 'materials' | 'lots'>;

/** What was laid, by the lot it came from or by its material. */
export function layName(
  { lotId, materialId }: { readonly lotId?: string | null | undefined; readonly materialId: string },
  { materials, lots }: LayNames,
): string {
  const lot = lotId ? lots.find(({ id }) => id === lotId) : undefined;
  return lot?.name ?? materialName(materialId, materials);
}

/** Where the names of what grows stand. */
export type CropNames = Pick<GardenBooks, 'plantings' | 'crops'>;

/** A model crop belongs to the planting it grew from; a perennial has one for every year. */
export const plantingOf = (
  cropId: string,
  plantings: readonly PlantingRecord[],
): PlantingRecord | undefined => plantings.find(({ id }) => cropId === id || cropId.startsWith(`${id}:`));

export function cropName(cropId: string, { plantings, crops }: CropNames): string {
  const planting = plantingOf(cropId, plantings);
  return (planting && findCrop(planting.cropId, crops)?.name) ?? 'Crop';
}

/** Names of several model crops, each said once: "Garlic and Clover". */
export const cropNames = (cropIds: readonly string[], names: CropNames): string =>
  [...new Set(cropIds.map((id) => cropName(id, names)))].join(' and ');

/** What a layer of the model is called: by its material, or by the crop it is left of. */
export function layerName({
  layerId,
  entries,
  names,
}: {
  readonly layerId: string;
  readonly entries: readonly EntryRecord[];
  readonly names: LayNames & CropNames;
}): string {
  const entry = entries.find(({ id }) => id === layerId);
  return entry?.type === 'lay' ? layName(entry, names) : residueName(layerId, names);
}

/** What a crop left on the bed. */
export function residueName(layerId: string, names: CropNames): string {
  const cropId = layerId.slice(0, layerId.length - residueId('').length);
  return `${cropName(cropId, names)} remains`;
}
