import type { ImportSetting } from './import-asked.ts';
import { z } from 'zod';
import { gardenFile, MOST_PHOTOS, upgradeFile } from '../../contract/garden-file.ts';
import type { ImportReport } from '../../contract/imports.ts';
import { finding, refusal } from '../../refusals/refusal.ts';
import { findingsOf } from '../../contract/problem-fields.ts';
import { COLLECTION_NAMES, filedCollections } from '../../records/collections.ts';
import { invalid } from '../problems.ts';
import type { ImportWrite } from '../stores.ts';
import { asCopy } from './as-copy.ts';
import { differingFields } from './differing.ts';
import type { IncomingGarden, IncomingPhoto } from './read-garden-file.ts';
import type { ReadRow } from './rows.ts';
import { importRows } from './write-import.ts';

/** Every record of a file by itself, so that all errors are reported at once. */
function readRows(file: Record<string, unknown>): ReadRow[] {
  return COLLECTION_NAMES.flatMap((collection) => {
    const list = file[collection];
    if (!Array.isArray(list)) {
      throw invalid([finding(refusal('wrongKind', { wanted: 'array', isMissing: true }), collection)]);
    }
    const seen = new Set<string>();
    return list.map((raw: unknown, index): ReadRow => {
      const read = filedCollections[collection].safeParse(raw);
      if (!read.success) return { collection, index, record: {}, reasons: findingsOf(read.error) };
      const record = read.data as ReadRow['record'] & { readonly id: string };
      const isTwice = seen.has(record.id);
      seen.add(record.id);
      const reasons = isTwice ? [finding(refusal('thereTwice', { got: record.id }), 'id')] : [];
      return { collection, index, record, reasons };
    });
  });
}

function unknownFields(file: Record<string, unknown>): void {
  const known = new Set(Object.keys(gardenFile.shape));
  const unknown = Object.keys(file).filter((key) => !known.has(key));
  if (unknown.length > 0) {
    throw invalid([finding(refusal('unknownFields', { fields: unknown }), 'input')]);
  }
}

/** Pictures of a file that are not kept yet; those of another garden or none at all are refused. */
function newPhotos(
  { stores }: Pick<ImportSetting, 'stores'>,
  gardenId: string,
  photos: readonly IncomingPhoto[],
) {
  return photos.filter(({ id }, i) => {
    const kept = stores.photos.find(id);
    if (kept && kept.gardenId !== gardenId) {
      throw invalid([finding(refusal('photoElsewhere'), `photos.${i}.id`)]);
    }
    return !kept;
  });
}

const photoIds = z.object({
  photos: z
    .array(z.object({ id: z.string() }))
    .max(MOST_PHOTOS)
    .optional(),
});

/** The photos under the ids that the file gives them, which in a copy are new ones. */
function underIdsOf(file: object, photos: readonly IncomingPhoto[]): IncomingPhoto[] {
  const read = photoIds.safeParse(file);
  if (!read.success) throw invalid(findingsOf(read.error));
  const ids = (read.data.photos ?? []).map(({ id }) => id);
  // A text may hold the list twice, of which only the last one stands.
  if (ids.length !== photos.length)
    throw invalid([finding(refusal('thereTwice', { got: 'photos' }), 'photos')]);
  return photos.map((photo, i) => ({ ...photo, id: ids[i]! }));
}

/** What a file must say of itself; its records are read row by row. */
const fileHead = gardenFile.pick({ model: true, garden: true });

export interface ImportChoices {
  readonly isDryRun: boolean;
  readonly isCopy: boolean;
  /** Where it came from, when not from a file. */
  readonly summary?: string;
}

/** Writes a garden that came as a file: as one of its own, or into the one of the same id. `isCopy` gives everything new ids. */
export function importGarden(
  context: ImportSetting,
  { records, photos: incoming }: IncomingGarden,
  { isDryRun, isCopy, summary }: ImportChoices,
): ImportReport {
  const newest = upgradeFile(records) as Record<string, unknown>;
  const file = isCopy ? (asCopy(newest, context.newId) as Record<string, unknown>) : newest;
  unknownFields(file);
  const read = fileHead.safeParse({ model: file['model'], garden: file['garden'] });
  if (!read.success) throw invalid(findingsOf(read.error));
  const { garden } = read.data;
  const { stores } = context;
  const photos = newPhotos(context, garden.id, underIdsOf(file, incoming));
  return importRows(context, {
    gardenId: garden.id,
    rows: readRows(file),
    summary: summary ?? `the garden ${garden.name}, from a file`,
    isDryRun,
    isWholeGarden: true,
    keepFiles: () => {
      for (const { id, keepAs } of photos) keepAs(id);
    },
    before: () => {
      const kept = stores.gardens.findEvenRemoved(garden.id);
      const before = kept && !kept.isRemoved ? kept.record : null;
      const fields = before ? differingFields(garden, before) : [];
      const outcome = !before
        ? ('added' as const)
        : fields.length > 0
          ? ('changed' as const)
          : ('same' as const);
      const writes: ImportWrite[] = [];
      if (outcome !== 'same') {
        const { version } = stores.gardens.upsert(garden);
        writes.push({ collection: 'garden', id: garden.id, version, before });
      }
      for (const { keepAs, ...photo } of photos) stores.photos.insert({ ...photo, gardenId: garden.id });
      return {
        rows: [
          { collection: 'garden', index: 0, id: garden.id, outcome, fields, reasons: [] },
          ...photos.map(({ id }, index) => ({
            collection: 'photos' as const,
            index,
            id,
            outcome: 'added' as const,
            fields: [],
            reasons: [],
          })),
        ],
        writes,
      };
    },
  });
}
