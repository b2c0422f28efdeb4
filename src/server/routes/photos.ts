import { finding, refusal } from '../../refusals/refusal.ts';
import { describeFinding } from '../../words/refusal-words.ts';
import { Hono } from 'hono';
import { createHash } from 'node:crypto';
import { id as idSchema } from '../../records/fields.ts';
import type { PhotoRecord, Room } from '../../contract/keepsakes.ts';
import { findingsOf } from '../../contract/problem-fields.ts';
import type { AppContext } from '../app-context.ts';
import { daysBefore, KEPT_DAYS } from '../db/letting-go.ts';
import { cleanPhoto } from '../photos/clean-photo.ts';
import { invalid, ProblemError } from '../problems.ts';
import type { Stores } from '../stores.ts';
import { requireFound } from '../answers.ts';

const photoAnswer = ({ id, gardenId, mediaType, bytes, createdAt }: PhotoRecord): PhotoRecord => ({
  id,
  gardenId,
  mediaType,
  bytes,
  createdAt,
});

/** The photo an earlier request has kept under this id; a problem when it was another picture. */
function sentBefore(stores: Stores, id: string, sentSha256: string): PhotoRecord | undefined {
  const known = stores.photos.find(id);
  if (known && known.sentSha256 !== sentSha256) {
    throw new ProblemError(
      409,
      'Another photo',
      'Another photo is kept under this id; send it under a new one.',
    );
  }
  return known && photoAnswer(known);
}

const sizeOf = (list: readonly { readonly bytes: number }[]) => ({
  count: list.length,
  bytes: list.reduce((sum, { bytes }) => sum + bytes, 0),
});

/** Not shown for so long, and not just taken for a line that waits for the connection. */
function longUnshown() {
  const now = new Date().toISOString();
  return { since: daysBefore(now, KEPT_DAYS), before: daysBefore(now, 1) };
}

/** All photos of one garden (set here): some ten thousand as they are sent by the page. */
const MOST_PHOTO_BYTES = 4 * 1024 ** 3;

/** Throws a problem when a garden has no room for another photo. */
function requireRoom(stores: Stores, gardenId: string, bytes: number): void {
  if (sizeOf(stores.photos.listOf(gardenId)).bytes + bytes <= MOST_PHOTO_BYTES) return;
  throw new ProblemError(
    413,
    'Too large',
    'The photos of this garden fill the 4 GB there are for them. Delete those that are shown nowhere, on the page “Your data”.',
  );
}

/** Photos, kept without what cameras write into them about place and time. */
export const photoRoutes = ({ stores, photoFiles, books }: AppContext) =>
  new Hono()
    .get('/gardens/:gardenId/room', (c) => {
      const { id } = requireFound(stores.gardens.find(c.req.param('gardenId')), 'garden');
      const room: Room = {
        booksBytes: books.bytes(),
        backups: sizeOf(books.backups()),
        putAside: books.putAside(),
        photos: sizeOf(stores.photos.listOf(id)),
        unshown: sizeOf(stores.photos.unshownOf(id, longUnshown())),
      };
      return c.json(room, 200);
    })
    .delete('/gardens/:gardenId/photos/unshown', (c) => {
      const { id: gardenId } = requireFound(stores.gardens.find(c.req.param('gardenId')), 'garden');
      const gone = stores.atomically(() => {
        const unshown = stores.photos.unshownOf(gardenId, longUnshown());
        for (const { id } of unshown) stores.photos.remove(id);
        return unshown;
      });
      for (const { id } of gone) photoFiles.remove(id);
      return c.json(sizeOf(gone), 200);
    })
    .put('/gardens/:gardenId/photos/:photoId', async (c) => {
      const { id: gardenId } = requireFound(stores.gardens.find(c.req.param('gardenId')), 'garden');
      const checked = idSchema.safeParse(c.req.param('photoId'));
      if (!checked.success) throw invalid(findingsOf(checked.error));
      const sent = new Uint8Array(await c.req.arrayBuffer());
      const sentSha256 = createHash('sha256').update(sent).digest('hex');
      const known = sentBefore(stores, checked.data, sentSha256);
      if (known) return c.json(known, 200);
      requireRoom(stores, gardenId, sent.length);
      const photo = cleanPhoto(sent);
      if (!photo) {
        throw new ProblemError(
          422,
          'Not a photo',
          'That is not a photo in JPEG or PNG, or only a part of one.',
          {
            errors: [describeFinding(finding(refusal('notAPicture'), 'photo'))],
          },
        );
      }
      photoFiles.write(checked.data, photo.picture);
      const kept = stores.photos.insert({
        id: checked.data,
        gardenId,
        mediaType: photo.mediaType,
        bytes: photo.picture.length,
        sentSha256,
      });
      return c.json(photoAnswer(kept), 201);
    })
    .get('/photos/:photoId', async (c) => {
      const photo = requireFound(stores.photos.find(c.req.param('photoId')), 'photo');
      requireFound(stores.gardens.find(photo.gardenId), 'photo');
      const picture = requireFound(await photoFiles.read(photo.id), 'photo');
      return c.body(picture, 200, {
        'Content-Type': photo.mediaType,
        'Cache-Control': 'private, max-age=31536000, immutable',
      });
    });
