import type { EntryRecord } from '../../../records/entry.ts';
import type { GardenBooks } from '../../../contract/garden-books.ts';
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
  type CropNames,
  type LayNames,
} from '../../../words/record-names.ts';
import { ageInWords, dayOf, shortDate } from '../../../words/dates.ts';

/** How the crops and layers of these records are called in an answer. */
export const bedNames = ({ entries, ...names }: GardenBooks): BedNames => ({
  crops: (cropIds) => cropNames(cropIds, names),
  layer: (layerId) => layerName({ layerId, entries, names }),
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
export const recordNames = ({ entries, ...names }: GardenBooks): RecordNames => ({
  entry: (entryId) => {
    const entry = entries.find(({ id }) => id === entryId);
    if (entry?.type === 'lay') return layName(entry, names);
    return entry?.type === 'feed' ? 'Feed' : 'Digging';
  },
  planting: (plantingId) => cropName(plantingId, names),
});

/** Layers of a sample with the names and ages a gardener knows them by. */
export function namedLayers({
  sample,
  entries,
  names,
}: {
  readonly sample: BedSample;
  readonly entries: readonly EntryRecord[];
  readonly names: LayNames & CropNames;
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
    return { ...layer, name: residueName(layer.id, names), age: 'grown here', isDraft: false };
  });
}

/** Crops standing in a sample with their names and forms of growth. */
export function namedCrops(sample: BedSample, { plantings, crops }: CropNames): NamedCrop[] {
  return sample.crops.map(({ id, progress, rootDepthCm, paleness }) => {
    const planting = plantingOf(id, plantings);
    const crop = planting && findCrop(planting.cropId, crops);
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
export function growingWords(sample: BedSample, books: CropNames, day: DayNumber): string {
  const { plantings, crops } = books;
  const names = [...new Set(namedCrops(sample, books).map(({ name }) => name))];
  if (names.length > 0) return names.join(', ');
  const dormant = plantings.find(({ cropId, plantedOn, clearedOn }) => {
    const stands = dayOf(plantedOn) <= day && (clearedOn === null || dayOf(clearedOn) > day);
    return stands && findCrop(cropId, crops)?.isPerennial;
  });
  if (dormant) return `${findCrop(dormant.cropId, crops)?.name ?? 'Perennial'}, dormant`;
  const next = plantings
    .filter(({ plantedOn }) => dayOf(plantedOn) > day)
    .sort((a, b) => a.plantedOn.localeCompare(b.plantedOn))
    .at(0);
  return next ? `${findCrop(next.cropId, crops)?.name ?? 'A crop'} next` : 'Nothing grows here';
}
