import {
  GARDEN_FILE_FORMAT,
  GARDEN_FILE_VERSION,
  gardenFile,
  gardenFileText,
  photoFiled,
  type GardenFile,
} from '../../contract/garden-file.ts';
import type { PhotoRecord } from '../../contract/keepsakes.ts';
import { MODEL_VERSION } from '../../core/model/index.ts';
import type { JournalRecord } from '../../records/journal.ts';
import { requireFound } from '../answers.ts';
import type { AppContext } from '../app-context.ts';
import type { Versioned } from '../stores.ts';

/** Without what counts in one database only. */
function filed(record: Versioned): object {
  const { version, gardenId, ...rest } = record as Versioned & { readonly gardenId?: string };
  return rest;
}

interface LeanedOn {
  readonly layerIds: ReadonlySet<string>;
  readonly plantingIds: ReadonlySet<string>;
  readonly photoIds: ReadonlySet<string>;
}

/** What leans on something that is gone stands by itself in a file; readings of a removed trial are left out. */
function standingAlone(journal: readonly JournalRecord[], { layerIds, plantingIds, photoIds }: LeanedOn) {
  const trialIds = new Set(journal.filter(({ kind }) => kind === 'trial').map(({ id }) => id));
  return journal.flatMap((record): JournalRecord[] => {
    if (record.kind === 'plotReading') return trialIds.has(record.trialId) ? [record] : [];
    if (record.kind !== 'observation') return [record];
    const { observed, plantingId, photoId, morePhotoIds } = record;
    const isLost =
      observed.type === 'thickness' && observed.layerId !== null && !layerIds.has(observed.layerId);
    return [
      {
        ...record,
        plantingId: plantingId !== null && plantingIds.has(plantingId) ? plantingId : null,
        photoId: photoId !== null && photoIds.has(photoId) ? photoId : null,
        ...(morePhotoIds ? { morePhotoIds: morePhotoIds.filter((id) => photoIds.has(id)) } : {}),
        observed: isLost ? { ...observed, layerId: null } : observed,
      },
    ];
  });
}

const idsOf = (records: readonly { readonly id: string }[]) => new Set(records.map(({ id }) => id));

/** Photos of a garden whose pictures are there. */
export const photosThere = ({ stores, photoFiles }: AppContext, gardenId: string) =>
  stores.photos.listOf(gardenId).filter(({ id }) => photoFiles.has(id));

/** Everything that was written down about a garden, but its photos. */
export function gardenFileOf(context: AppContext, gardenId: string): GardenFile {
  const { stores } = context;
  const garden = requireFound(stores.gardens.find(gardenId), 'garden');
  const entries = stores.entries.listOfGarden(gardenId);
  const plantings = stores.plantings.listOfGarden(gardenId);
  const journal = standingAlone(stores.journal.listOf(gardenId), {
    layerIds: idsOf(entries),
    plantingIds: idsOf(plantings),
    photoIds: idsOf(photosThere(context, gardenId)),
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
  });
}

/** As it stands in the list of photos of a file. */
const photoText = (photo: object): string =>
  JSON.stringify(photoFiled.parse(photo), null, 1).replaceAll(/^/gm, '  ');

/** The text of `file` with these photos, piece by piece: only one picture is in memory at a time. */
export async function* gardenFilePieces(
  { photoFiles }: Pick<AppContext, 'photoFiles'>,
  file: GardenFile,
  photos: readonly PhotoRecord[],
): AsyncGenerator<string> {
  const text = gardenFileText({ ...file, photos: [] });
  const end = text.lastIndexOf(']');
  yield text.slice(0, end);
  let isFirst = true;
  for (const { id, createdAt, mediaType } of photos) {
    const picture = await photoFiles.read(id);
    if (!picture) continue;
    const base64 = Buffer.from(picture).toString('base64');
    yield `${isFirst ? '' : ','}\n${photoText({ id, createdAt, mediaType, base64 })}`;
    isFirst = false;
  }
  yield `${isFirst ? '' : '\n '}${text.slice(end)}`;
}
