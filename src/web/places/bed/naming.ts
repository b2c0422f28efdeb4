import type { EntryRecord, GardenBooks, PlantingRecord } from '../../../contract/records.ts';
import type { DayNumber } from '../../../core/climate/calendar.ts';
import { findCrop } from '../../../core/crops/crop-library.ts';
import { findLibraryMaterial } from '../../../core/materials/library.ts';
import type { BedSample } from '../../../core/projection/bed-projection.ts';
import { residueId } from '../../../core/simulation/events.ts';
import type { NamedCrop, NamedLayer } from '../../drawing/section-frame.ts';
import type { BedNames } from '../../format/advice-words.ts';
import type { RecordNames } from '../../format/conflict-words.ts';
import { ageInWords, dayOf } from '../../format/dates.ts';

const PALE_FROM = 0.25;
export const DRAFT_ID = 'draft';

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

/** A model crop belongs to the planting it grew from; a perennial has one for every year. */
const plantingOf = (cropId: string, plantings: readonly PlantingRecord[]): PlantingRecord | undefined =>
  plantings.find(({ id }) => cropId === id || cropId.startsWith(`${id}:`));

export function cropName(cropId: string, plantings: readonly PlantingRecord[]): string {
  const planting = plantingOf(cropId, plantings);
  return (planting && findCrop(planting.cropId)?.name) ?? 'Crop';
}

/** Names of several model crops, each said once: "Garlic and Clover". */
export const cropNames = (cropIds: readonly string[], plantings: readonly PlantingRecord[]): string =>
  [...new Set(cropIds.map((id) => cropName(id, plantings)))].join(' and ');

/** What a layer of the model is called: by its material, or by the crop it is left of. */
export function layerName(
  layerId: string,
  entries: readonly EntryRecord[],
  plantings: readonly PlantingRecord[],
  names: LayNames,
): string {
  const entry = entries.find(({ id }) => id === layerId);
  return entry?.type === 'lay' ? layName(entry, names) : residueName(layerId, plantings);
}

/** How the crops and layers of these records are called in an answer. */
export const bedNames = ({ entries, plantings, ...names }: GardenBooks): BedNames => ({
  crops: (cropIds) => cropNames(cropIds, plantings),
  layer: (layerId) => layerName(layerId, entries, plantings, names),
});

/** How entries and plantings are called where they clash. */
export const recordNames = ({ entries, plantings, ...names }: GardenBooks): RecordNames => ({
  entry: (entryId) => {
    const entry = entries.find(({ id }) => id === entryId);
    if (entry?.type === 'lay') return layName(entry, names);
    return entry?.type === 'feed' ? 'Feed' : 'Digging';
  },
  planting: (plantingId) => cropName(plantingId, plantings),
});

/** Layers of a sample with the names and ages a gardener knows them by. */
export function namedLayers(
  sample: BedSample,
  entries: readonly EntryRecord[],
  plantings: readonly PlantingRecord[],
  names: LayNames,
): NamedLayer[] {
  return sample.layers.map((layer) => {
    const entry = entries.find(({ id }) => id === layer.id);
    if (entry?.type === 'lay') {
      const age = ageInWords(Math.max(0, sample.day - 1 - dayOf(entry.date)));
      return {
        ...layer,
        name: layName(entry, names),
        age,
        isDraft: entry.id === DRAFT_ID || entry.version === 0,
      };
    }
    return { ...layer, name: residueName(layer.id, plantings), age: 'grown here', isDraft: false };
  });
}

function residueName(layerId: string, plantings: readonly PlantingRecord[]): string {
  const cropId = layerId.slice(0, layerId.length - residueId('').length);
  return `${cropName(cropId, plantings)} remains`;
}

/** Crops standing in a sample with their names and forms of growth. */
export function namedCrops(sample: BedSample, plantings: readonly PlantingRecord[]): NamedCrop[] {
  return sample.crops.map(({ id, progress, rootDepthCm, paleness }) => {
    const planting = plantingOf(id, plantings);
    const crop = planting && findCrop(planting.cropId);
    return {
      id,
      name: crop?.name ?? 'Crop',
      form: crop?.form ?? 'leafy',
      // A perennial is grown up from the start.
      progress: crop?.isPerennial ? 1 : progress,
      rootDepthCm,
      isPale: paleness > PALE_FROM,
    };
  });
}

/** What grows on a day, in a few words for a heading. */
export function growingWords(
  sample: BedSample,
  plantings: readonly PlantingRecord[],
  day: DayNumber,
): string {
  const names = [...new Set(namedCrops(sample, plantings).map(({ name }) => name))];
  if (names.length > 0) return names.join(', ');
  const dormant = plantings.find(({ cropId, plantedOn, clearedOn }) => {
    const stands = dayOf(plantedOn) <= day && (clearedOn === null || dayOf(clearedOn) > day);
    return stands && findCrop(cropId)?.isPerennial;
  });
  if (dormant) return `${findCrop(dormant.cropId)?.name ?? 'Perennial'}, dormant`;
  const next = plantings
    .filter(({ plantedOn }) => dayOf(plantedOn) > day)
    .sort((a, b) => a.plantedOn.localeCompare(b.plantedOn))
    .at(0);
  return next ? `${findCrop(next.cropId)?.name ?? 'A crop'} next` : 'Nothing grows here';
}
