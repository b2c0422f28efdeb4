import { createHash } from 'node:crypto';
import { gardenFile, upgradeFile } from '../../contract/garden-file.ts';
import type { ImportReport } from '../../contract/imports.ts';
import { finding, refusal } from '../../refusals/refusal.ts';
import { findingsOf } from '../../contract/problem-fields.ts';
import { COLLECTION_NAMES, filedCollections } from '../../records/collections.ts';
import type { AppContext } from '../app-context.ts';
import { cleanPhoto } from '../photos/clean-photo.ts';
import { invalid, ProblemError } from '../problems.ts';
import type { ImportWrite } from '../stores.ts';
import { asCopy } from './as-copy.ts';
import { differingFields } from './differing.ts';
import type { ReadRow } from './rows.ts';
import { importRows } from './write-import.ts';

const PHOTOS = gardenFile.pick({ photos: true });

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
function newPhotos({ stores }: AppContext, gardenId: string, file: Record<string, unknown>) {
  const read = PHOTOS.safeParse({ photos: file['photos'] });
  if (!read.success) throw invalid(findingsOf(read.error));
  return (read.data.photos ?? []).flatMap((photo, i) => {
    const kept = stores.photos.find(photo.id);
    if (kept) {
      if (kept.gardenId === gardenId) return [];
      throw invalid([finding(refusal('photoElsewhere'), `photos.${i}.id`)]);
    }
    const bytes = new Uint8Array(Buffer.from(photo.base64, 'base64'));
    const clean = cleanPhoto(bytes);
    if (!clean) {
      throw invalid([finding(refusal('notAPicture'), `photos.${i}.base64`)]);
    }
    return [{ photo, clean, sentSha256: createHash('sha256').update(bytes).digest('hex') }];
  });
}

/** What a file must say of itself; its records are read row by row. */
const fileHead = gardenFile.pick({ model: true, garden: true });

/** Reads a garden file in: a garden of its own, or into the one of the same id. `isCopy` gives everything new ids. */
export function importGarden(
  context: AppContext,
  raw: unknown,
  { isDryRun, isCopy }: { readonly isDryRun: boolean; readonly isCopy: boolean },
): ImportReport {
  const newest = upgradeFile(raw) as Record<string, unknown>;
  const file = isCopy ? (asCopy(newest, context.newId) as Record<string, unknown>) : newest;
  unknownFields(file);
  const read = fileHead.safeParse({ model: file['model'], garden: file['garden'] });
  if (!read.success) throw invalid(findingsOf(read.error));
  const { garden } = read.data;
  const { stores, photoFiles } = context;
  const photos = newPhotos(context, garden.id, file);
  return importRows(context, {
    gardenId: garden.id,
    rows: readRows(file),
    summary: `the garden ${garden.name}, from a file`,
    isDryRun,
    isWholeGarden: true,
    keepFiles: () => {
      for (const { photo, clean } of photos) photoFiles.write(photo.id, clean.picture);
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
      for (const { photo, clean, sentSha256 } of photos) {
        const { id, createdAt, mediaType } = photo;
        if (mediaType !== clean.mediaType) {
          throw new ProblemError(422, 'Not accepted', `photos: ${id} is not of the kind ${mediaType}.`);
        }
        stores.photos.insert({
          id,
          createdAt,
          gardenId: garden.id,
          mediaType,
          bytes: clean.picture.length,
          sentSha256,
        });
      }
      return {
        rows: [
          { collection: 'garden', index: 0, id: garden.id, outcome, fields, reasons: [] },
          ...photos.map(({ photo }, index) => ({
            collection: 'photos' as const,
            index,
            id: photo.id,
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
