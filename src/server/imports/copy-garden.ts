import type { CopyRequest, ImportReport } from '../../contract/imports.ts';
import { renamedGarden, templateOf } from '../../contract/parts-of-garden.ts';
import type { JsonText } from '../answers.ts';
import type { AppContext } from '../app-context.ts';
import { gardenFileOf, photosThere } from './exported-garden.ts';
import { takeGarden } from './import-desk.ts';
import type { IncomingPhoto } from './read-garden-file.ts';

function photosAgain(context: AppContext, gardenId: string): IncomingPhoto[] {
  const { stores, photoFiles } = context;
  return photosThere(context, gardenId).map(({ id, createdAt, mediaType, bytes }) => ({
    id,
    createdAt,
    mediaType,
    bytes,
    sentSha256: stores.photos.find(id)!.sentSha256,
    keepAs: (newId) => photoFiles.copy(id, newId),
  }));
}

/** Another garden out of one, under a name of its own: with everything, or without what was done in it. */
export async function copyGarden(
  context: AppContext,
  gardenId: string,
  { name, isTemplate }: CopyRequest,
): Promise<JsonText<ImportReport>> {
  const file = await gardenFileOf(context, gardenId);
  const photos = isTemplate ? [] : photosAgain(context, gardenId);
  const part = renamedGarden(isTemplate ? templateOf(file) : file, name);
  const records = { ...part, photos: photos.map(({ id }) => ({ id })) };
  const summary = `a copy of the garden ${file.garden.name}`;
  return takeGarden(context, { records, photos }, { isDryRun: false, isCopy: true, summary });
}
