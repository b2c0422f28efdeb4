import { setImmediate as othersFirst } from 'node:timers/promises';
import {
  GARDEN_FILE_FORMAT,
  GARDEN_FILE_VERSION,
  photoFiled,
  type GardenFile,
} from '../../contract/garden-file.ts';
import { gardenFiled } from '../../records/garden.ts';
import { COLLECTION_NAMES, filedCollections, type CollectionName } from '../../records/collections.ts';
import type { PhotoRecord } from '../../contract/keepsakes.ts';
import { MODEL_VERSION } from '../../core/model/index.ts';
import type { EntryRecord } from '../../records/entry.ts';
import type { JournalRecord } from '../../records/journal.ts';
import { requireFound } from '../answers.ts';
import { ProblemError } from '../problems.ts';
import type { AppContext } from '../app-context.ts';
import { markOf } from '../changes.ts';
import type { Versioned } from '../stores.ts';

/** Records looked at before others are seen to. */
const AT_ONCE = 200;
const MOST_READINGS = 5;

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

/** How entries are read: others are seen to after each month. */
async function entriesByMonth({ stores }: AppContext, gardenId: string): Promise<EntryRecord[]> {
  const entries: EntryRecord[] = [];
  for (const month of stores.entries.monthsOf(gardenId)) {
    entries.push(...stores.entries.listOfMonth(gardenId, month));
    await othersFirst();
  }
  return entries;
}

/** Records of a list as they stand in a file; others are seen to in between. */
async function listFiled(name: CollectionName, records: readonly Versioned[]): Promise<object[]> {
  const list: object[] = [];
  for (let from = 0; from < records.length; from += AT_ONCE) {
    await othersFirst();
    const some = records.slice(from, from + AT_ONCE);
    list.push(...some.map((record) => filedCollections[name].parse(filed(record))));
  }
  return list;
}

/** The lists of a garden, read one after the other. */
async function listsOf(context: AppContext, gardenId: string): Promise<Record<CollectionName, Versioned[]>> {
  const { stores } = context;
  const entries = await entriesByMonth(context, gardenId);
  const plantings = stores.plantings.listOfGarden(gardenId);
  await othersFirst();
  const journal = standingAlone(stores.journal.listOf(gardenId), {
    layerIds: idsOf(entries),
    plantingIds: idsOf(plantings),
    photoIds: idsOf(photosThere(context, gardenId)),
  });
  await othersFirst();
  return {
    materials: stores.materials.listOf(gardenId),
    crops: stores.crops.listOf(gardenId),
    labResults: stores.labResults.listOf(gardenId),
    recipes: stores.recipes.listOf(gardenId),
    buildUps: stores.buildUps.listOf(gardenId),
    habits: stores.habits.listOf(gardenId),
    lots: stores.lots.listOf(gardenId),
    movements: stores.movements.listOf(gardenId),
    beds: stores.beds.listOf(gardenId),
    entries,
    plantings,
    journal,
    weather: stores.weather.listOf(gardenId),
  };
}

/**
 * The lists of a garden as they were at one moment: read again while something was written meanwhile. Throws a problem when
 * that does not end.
 */
async function listsAtOneMoment(context: AppContext, gardenId: string) {
  for (let i = 0; i < MOST_READINGS; i++) {
    const { number, epoch } = markOf(context.stores, gardenId);
    const garden = requireFound(context.stores.gardens.find(gardenId), 'garden');
    const lists = await listsOf(context, gardenId);
    const now = markOf(context.stores, gardenId);
    if (now.number === number && now.epoch === epoch) return { garden, lists };
  }
  throw new ProblemError(
    503,
    'Busy',
    'This garden is being written to without a pause. Ask again in a moment.',
  );
}

/** Everything that was written down about a garden, but its photos. */
export async function gardenFileOf(context: AppContext, gardenId: string): Promise<GardenFile> {
  const { garden, lists } = await listsAtOneMoment(context, gardenId);
  const file: Record<string, unknown> = {
    format: GARDEN_FILE_FORMAT,
    version: GARDEN_FILE_VERSION,
    model: MODEL_VERSION,
    garden: gardenFiled.parse(filed(garden)),
  };
  for (const name of COLLECTION_NAMES) file[name] = await listFiled(name, lists[name]);
  return file as unknown as GardenFile;
}

/** JSON as it stands so deep in a file. */
const textAt = (value: unknown, depth: number): string =>
  JSON.stringify(value, null, 1).replaceAll('\n', `\n${' '.repeat(depth)}`);

/** A list of records in a file, some at a time, with others seen to in between. */
async function* listPieces(list: readonly object[]): AsyncGenerator<string> {
  for (let from = 0; from < list.length; from += AT_ONCE) {
    const some = list.slice(from, from + AT_ONCE).map((record) => `\n  ${textAt(record, 2)}`);
    yield `${from === 0 ? '' : ','}${some.join(',')}`;
    await othersFirst();
  }
}

/** As it stands in the list of photos of a file. */
const photoText = (photo: object): string => `\n  ${textAt(photoFiled.parse(photo), 2)}`;

/** The text of `file` with these photos, piece by piece: only one picture is in memory at a time. */
export async function* gardenFilePieces(
  { photoFiles }: Pick<AppContext, 'photoFiles'>,
  file: GardenFile,
  photos: readonly PhotoRecord[],
): AsyncGenerator<string> {
  for (const [name, value] of Object.entries(file)) {
    yield `${name === 'format' ? '{' : ','}\n "${name}": `;
    if (!Array.isArray(value)) yield textAt(value, 1);
    else {
      yield '[';
      yield* listPieces(value);
      yield value.length > 0 ? '\n ]' : ']';
    }
  }
  yield ',\n "photos": [';
  let isFirst = true;
  for (const { id, createdAt, mediaType } of photos) {
    const picture = await photoFiles.read(id);
    if (!picture) continue;
    const base64 = Buffer.from(picture).toString('base64');
    yield `${isFirst ? '' : ','}${photoText({ id, createdAt, mediaType, base64 })}`;
    isFirst = false;
  }
  yield `${isFirst ? '' : '\n '}]\n}\n`;
}
