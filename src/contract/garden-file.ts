import { z } from 'zod';
import { InputError } from '../core/input-error.ts';
import { MODEL_VERSION } from '../core/simulation/parameters.ts';
import { filed, id } from './fields.ts';
import { habitFiled } from './habit-records.ts';
import { journalFiled } from './journal-records.ts';
import { problemsOf } from './problem-fields.ts';
import { bedFiled, buildUpFiled, entryFiled, gardenFiled, materialFiled, plantingFiled } from './records.ts';
import { weatherFiled } from './weather-records.ts';
import { GARDEN_FILE_FORMAT } from './garden-file-format.ts';
import { labResultFiled, lotFiled, movementFiled, recipeFiled } from './stock-records.ts';

export { GARDEN_FILE_FORMAT };

/** A whole garden as one file: everything that was written down, nothing that is worked out from it. */
export const GARDEN_FILE_VERSION = 3;

/** More than any garden writes in a lifetime. */
const MOST_RECORDS = 200_000;
const MOST_PHOTOS = 2000;

const photoFiled = z.strictObject({
  id,
  createdAt: filed.createdAt,
  mediaType: z.enum(['image/jpeg', 'image/png']),
  base64: z.base64(),
});

/** Kinds of records in a garden file, in the order in which one may lean on another. */
export const filedCollections = {
  materials: materialFiled,
  labResults: labResultFiled,
  recipes: recipeFiled,
  buildUps: buildUpFiled,
  habits: habitFiled,
  lots: lotFiled,
  movements: movementFiled,
  beds: bedFiled,
  entries: entryFiled,
  plantings: plantingFiled,
  journal: journalFiled,
  weather: weatherFiled,
} as const;
export type CollectionName = keyof typeof filedCollections;
export const COLLECTION_NAMES = Object.keys(filedCollections) as CollectionName[];

const list = <Schema extends z.ZodType>(schema: Schema) => z.array(schema).max(MOST_RECORDS);

export const gardenFile = z.strictObject({
  format: z.literal(GARDEN_FILE_FORMAT),
  version: z.literal(GARDEN_FILE_VERSION),
  /** Version of the model the garden was followed by when the file was made; a newer one follows it anew. */
  model: z.int().min(1).max(MODEL_VERSION),
  garden: gardenFiled,
  materials: list(materialFiled),
  labResults: list(labResultFiled),
  recipes: list(recipeFiled),
  buildUps: list(buildUpFiled),
  habits: list(habitFiled),
  lots: list(lotFiled),
  movements: list(movementFiled),
  beds: list(bedFiled),
  entries: list(entryFiled),
  plantings: list(plantingFiled),
  journal: list(journalFiled),
  weather: list(weatherFiled),
  /** The pictures of the log; absent when the file was made without them. */
  photos: z.array(photoFiled).max(MOST_PHOTOS).optional(),
});
export type GardenFile = z.infer<typeof gardenFile>;

/** What turns a file of one version into one of the next, by the version it takes. */
const UPGRADES: Readonly<Record<number, (file: object) => object>> = {
  // Weather came with version 2; outlines of beds did too, and are null where a bed has none.
  1: (file) => ({ ...file, weather: [] }),
  // The version of the model came with version 3, and ground that was bare or under turf before.
  2: (file) => ({ ...file, model: 2 }),
};

const isObject = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** The file as the newest version would have it. Throws InputError when it is none of ours, or from a newer program. */
export function upgraded(raw: unknown): object {
  if (!isObject(raw) || raw['format'] !== GARDEN_FILE_FORMAT) {
    throw new InputError(['format'], 'bad_shape', `must be "${GARDEN_FILE_FORMAT}": this is no garden file`);
  }
  const version = raw['version'];
  if (typeof version !== 'number' || !Number.isInteger(version) || version < 1) {
    throw new InputError(['version'], 'bad_shape', 'must be a whole number from 1 on');
  }
  if (version > GARDEN_FILE_VERSION) {
    throw new InputError(
      ['version'],
      'unknown',
      `is ${version}, and this Vine Ledger reads up to ${GARDEN_FILE_VERSION}: update Vine Ledger to open it`,
    );
  }
  let file: object = raw;
  for (let from = version; from < GARDEN_FILE_VERSION; from++)
    file = { ...UPGRADES[from]!(file), version: from + 1 };
  return file;
}

/** A garden file of any known version. Throws InputError naming the first field that cannot be. */
export function readGardenFile(raw: unknown): GardenFile {
  const read = gardenFile.safeParse(upgraded(raw));
  if (read.success) return read.data;
  const first = problemsOf(read.error)[0]!;
  const path = read.error.issues[0]!.path.map((key) => (typeof key === 'symbol' ? String(key) : key));
  throw new InputError(path, 'bad_shape', first.sentence.slice(first.field.length + 1).replace(/\.$/, ''));
}

/** The text of a file: the same garden always gives the same bytes. */
export const gardenFileText = (file: GardenFile): string =>
  `${JSON.stringify(gardenFile.parse(file), null, 1)}\n`;
