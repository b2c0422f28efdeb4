import { finding, refusal } from '../../refusals/refusal.ts';
import { describeFinding } from '../../words/refusal-words.ts';
import { Hono } from 'hono';
import { createHash } from 'node:crypto';
import { id as idSchema } from '../../records/fields.ts';
import type { PhotoRecord } from '../../contract/keepsakes.ts';
import { findingsOf } from '../../contract/problem-fields.ts';
import type { AppContext } from '../app-context.ts';
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

/** Photos, kept without what cameras write into them about place and time. */
export const photoRoutes = ({ stores, photoFiles }: AppContext) =>
  new Hono()
    .put('/gardens/:gardenId/photos/:photoId', async (c) => {
      const { id: gardenId } = requireFound(stores.gardens.find(c.req.param('gardenId')), 'garden');
      const checked = idSchema.safeParse(c.req.param('photoId'));
      if (!checked.success) throw invalid(findingsOf(checked.error));
      const sent = new Uint8Array(await c.req.arrayBuffer());
      const sentSha256 = createHash('sha256').update(sent).digest('hex');
      const known = sentBefore(stores, checked.data, sentSha256);
      if (known) return c.json(known, 200);
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
      const picture = requireFound(await photoFiles.read(photo.id), 'photo');
      return c.body(picture, 200, {
        'Content-Type': photo.mediaType,
        'Cache-Control': 'private, max-age=31536000, immutable',
      });
    });
