import {
  GARDEN_FILE_FORMAT,
  GARDEN_FILE_VERSION,
  gardenFile,
  type GardenFile,
} from '../../contract/garden-file.ts';
import { MODEL_VERSION } from '../../core/model/index.ts';
import type { JournalRecord } from '../../records/journal.ts';
import type { PhotoFiles } from '../photos/photo-files.ts';
import { requireFound } from '../answers.ts';
import type { Stores, Versioned } from '../stores.ts';

/** Without what counts in one database only. */
function filed(record: Versioned): object {
  const { version, gardenId, ...rest } = record as Versioned & { readonly gardenId?: string };
  return rest;
}

/** What leans on something that was removed stands by itself in a file; readings of a removed trial are left out. */
function standingAlone(
  journal: readonly JournalRecord[],
  layerIds: ReadonlySet<string>,
  plantingIds: ReadonlySet<string>,
) {
  const trialIds = new Set(journal.filter(({ kind }) => kind === 'trial').map(({ id }) => id));
  return journal.flatMap((record): JournalRecord[] => {
    if (record.kind === 'plotReading') return trialIds.has(record.trialId) ? [record] : [];
    if (record.kind !== 'observation') return [record];
    const { observed } = record;
    const isLost =
      observed.type === 'thickness' && observed.layerId !== null && !layerIds.has(observed.layerId);
    return [
      {
        ...record,
        plantingId:
          record.plantingId !== null && plantingIds.has(record.plantingId) ? record.plantingId : null,
        observed: isLost ? { ...observed, layerId: null } : observed,
      },
    ];
  });
}

/** Everything that was written down about a garden. */
export function gardenFileOf(stores: Stores, photoFiles: PhotoFiles, gardenId: string): GardenFile {
  const garden = requireFound(stores.gardens.find(gardenId), 'garden');
  const entries = stores.entries.listOfGarden(gardenId);
  const plantings = stores.plantings.listOfGarden(gardenId);
  const idsOf = (records: readonly Versioned[]) => new Set(records.map(({ id }) => id));
  const journal = standingAlone(stores.journal.listOf(gardenId), idsOf(entries), idsOf(plantings));
  const photos = stores.photos.listOf(gardenId).flatMap(({ id, createdAt, mediaType }) => {
    const picture = photoFiles.read(id);
    return picture ? [{ id, createdAt, mediaType, base64: Buffer.from(picture).toString('base64') }] : [];
  });
  return gardenFile.parse({
    format: GARDEN_FILE_FORMAT,
    version: GARDEN_FILE_VERSION,
    model: MODEL_VERSION,
    garden: filed(garden),
    materials: stores.materials.listOf(gardenId).map(filed),
    crops: stores.crops.listOf(gardenId).map(filed),
    labResults: stores.labResults.listOf(gardenId).map(filed),
    recipes: stores.recipes.listOf(gardenId).map(filed),
    buildUps: stores.buildUps.listOf(gardenId).map(filed),
    habits: stores.habits.listOf(gardenId).map(filed),
    lots: stores.lots.listOf(gardenId).map(filed),
    movements: stores.movements.listOf(gardenId).map(filed),
    beds: stores.beds.listOf(gardenId).map(filed),
    entries: entries.map(filed),
    plantings: plantings.map(filed),
    journal: journal.map(filed),
    weather: stores.weather.listOf(gardenId).map(filed),
    photos,
  });
}
