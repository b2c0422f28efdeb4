import { z } from 'zod';
import { InputError } from '../refusals/input-error.ts';
import { MODEL_VERSION } from '../core/model/index.ts';
import { filedCollections, type CollectionName } from '../records/collections.ts';
import { filed, id } from '../records/fields.ts';
import { gardenFiled } from '../records/garden.ts';
import { findingsOf } from './problem-fields.ts';
import { GARDEN_FILE_FORMAT } from './garden-file-format.ts';

export { GARDEN_FILE_FORMAT };

/** A whole garden as one file: everything that was written down, nothing that is worked out from it. */
export const GARDEN_FILE_VERSION = 11;

/** More than any garden writes in a lifetime. */
const MOST_RECORDS = 200_000;
export const MOST_PHOTOS = 50_000;

export const photoFiled = z.strictObject({
  id,
  createdAt: filed.createdAt,
  mediaType: z.enum(['image/jpeg', 'image/png']),
  base64: z.base64(),
});

type Lists = { [Name in CollectionName]: z.ZodArray<(typeof filedCollections)[Name]> };
/** A list of each kind, in the order of the collections. */
const lists = Object.fromEntries(
  Object.entries(filedCollections).map(([name, schema]) => [
    name,
    z.array(schema as z.ZodType).max(MOST_RECORDS),
  ]),
) as unknown as Lists;

export const gardenFile = z.strictObject({
  format: z.literal(GARDEN_FILE_FORMAT),
  version: z.literal(GARDEN_FILE_VERSION),
  /** Version of the model that was current when the file was made; a newer model works everything out again. */
  model: z.int().min(1).max(MODEL_VERSION),
  garden: gardenFiled,
  ...lists,
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
  // The part of the garden a bed lies in came with version 4, and is empty where none is named.
  3: (file) => file,
  // The wait of a build-up came with version 5, and is absent where nothing is waited for.
  4: (file) => file,
  // Where the garden lies came with version 6, and is null where it is not told.
  5: (file) => file,
  // Crops of one's own came with version 7.
  6: (file) => ({ ...file, crops: [] }),
  // Nutrients, salts and texture of soil tests came with version 8, and more photos than one; both are absent without.
  7: (file) => file,
  // When a brew ended and where it was poured came with version 9, absent without, and potting mix as a purpose.
  8: (file) => file,
  // The price of what is bought in by the cubic meter came with version 10; null where it is absent.
  9: (file) => file,
  // Where the pieces lie that did not char came with version 11; absent before.
  10: (file) => file,
};

const isObject = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** The file as the newest version would have it. Throws InputError when it is none of ours, or from a newer program. */
export function upgradeFile(raw: unknown): object {
  if (!isObject(raw) || raw['format'] !== GARDEN_FILE_FORMAT) {
    throw new InputError(['format'], 'notAGardenFile', { format: GARDEN_FILE_FORMAT });
  }
  const version = raw['version'];
  if (typeof version !== 'number' || !Number.isInteger(version) || version < 1) {
    throw new InputError(['version'], 'notWhole', { got: version, isFromOne: true });
  }
  if (version > GARDEN_FILE_VERSION) {
    throw new InputError(['version'], 'newerFile', { version, newest: GARDEN_FILE_VERSION });
  }
  let file: object = raw;
  for (let from = version; from < GARDEN_FILE_VERSION; from++)
    file = { ...UPGRADES[from]!(file), version: from + 1 };
  return file;
}

/** A garden file of any known version. Throws InputError naming the first field that cannot be. */
export function readGardenFile(raw: unknown): GardenFile {
  const read = gardenFile.safeParse(upgradeFile(raw));
  if (read.success) return read.data;
  const [first] = findingsOf(read.error);
  throw InputError.of(first!);
}

/** The text of a file: the same garden always gives the same bytes. */
export const gardenFileText = (file: GardenFile): string =>
  `${JSON.stringify(gardenFile.parse(file), null, 1)}\n`;
