import type { EntryRecord } from '../../../records/entry.ts';
import type { GardenBooks } from '../../../contract/garden-books.ts';
import type { PlantingRecord } from '../../../records/planting.ts';
import { type BedSample, PALENESS_SHOWN } from '../../../core/bed/index.ts';
import { type DayNumber, findCrop } from '../../../core/ground/index.ts';
import type { NamedCrop, NamedLayer } from '../../drawing/section-frame.ts';
import type { BedNames } from '../../../words/advice-words.ts';
import type { RecordNames } from '../../../words/conflict-words.ts';
import {
  cropName,
  cropNames,
  layerName,
  layName,
  plantingOf,
  residueName,
  type LayNames,
} from '../../../words/record-names.ts';
import { ageInWords, dayOf, shortDate } from '../../../words/dates.ts';

/** How the crops and layers of these records are called in an answer. */
export const bedNames = ({ entries, plantings, ...names }: GardenBooks): BedNames => ({
  crops: (cropIds) => cropNames(cropIds, plantings),
  layer: (layerId) => layerName({ layerId, entries, plantings, names }),
});

/** The same, each layer with the day it was laid. */
export function datedNames(books: GardenBooks): BedNames {
  const names = bedNames(books);
  return {
    ...names,
    layer: (layerId) => {
      const entry = books.entries.find(({ id }) => id === layerId);
      return entry ? `${names.layer(layerId)} of ${shortDate(dayOf(entry.date))}` : names.layer(layerId);
    },
  };
}

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
export function namedLayers({
  sample,
  entries,
  plantings,
  names,
}: {
  readonly sample: BedSample;
  readonly entries: readonly EntryRecord[];
  readonly plantings: readonly PlantingRecord[];
  readonly names: LayNames;
}): NamedLayer[] {
  return sample.layers.map((layer) => {
    const entry = entries.find(({ id }) => id === layer.id);
    if (entry?.type === 'lay') {
      const age = ageInWords(Math.max(0, sample.day - 1 - dayOf(entry.date)));
      return {
        ...layer,
        name: layName(entry, names),
        age,
        isDraft: entry.version === 0,
      };
    }
    return { ...layer, name: residueName(layer.id, plantings), age: 'grown here', isDraft: false };
  });
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
      isPale: paleness > PALENESS_SHOWN,
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
