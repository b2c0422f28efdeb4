import { Hono } from 'hono';
import { cropChange, cropDraft, type CropRecord } from '../../records/crop.ts';
import { findLibraryCrop, ownCrop } from '../../core/ground/index.ts';
import type { AppContext } from '../app-context.ts';
import { requireSoundBooks } from '../kept-books.ts';
import { ProblemError } from '../problems.ts';
import type { Stores } from '../stores.ts';
import { requireFound, requireRemoved, requireSeen, sentAgain, requireWritten } from '../answers.ts';
import { body, seenVersion } from './validated.ts';

/** Beds on which a crop stands, stood or will stand. */
function bedsWith(stores: Stores, { id, gardenId }: CropRecord): string[] {
  const using = stores.plantings.listOfGarden(gardenId).filter(({ cropId }) => cropId === id);
  return [...new Set(using.map(({ bedId }) => bedId))];
}

/** Throws a problem where plantings or habits name the crop. */
function requireUnused(stores: Stores, crop: CropRecord): void {
  const isGrown = stores.habits
    .listOf(crop.gardenId)
    .some(({ acts }) => acts.some((act) => act.type === 'grow' && act.cropId === crop.id));
  if (!isGrown && bedsWith(stores, crop).length === 0) return;
  throw new ProblemError(
    422,
    'In use',
    'This crop is planted on a bed or grown by a habit; delete that first.',
  );
}

/** Crops a gardener made like one of the library. */
export const cropRoutes = ({ stores, today, newId }: AppContext) =>
  new Hono()
    .post('/gardens/:gardenId/crops', body(cropDraft), (c) => {
      const garden = requireFound(stores.gardens.find(c.req.param('gardenId')), 'garden');
      const draft = c.req.valid('json');
      const crop = { ...draft, id: draft.id ?? newId() };
      const known = sentAgain(stores.crops.find(crop.id), { ...crop, gardenId: garden.id });
      if (known) return c.json(known, 200);
      if (findLibraryCrop(crop.id)) {
        throw new ProblemError(422, 'Not accepted', `id "${crop.id}" belongs to a crop of the library.`);
      }
      ownCrop(crop);
      return c.json(stores.crops.insert({ ...crop, gardenId: garden.id }), 201);
    })
    .put('/crops/:cropId', body(cropChange), (c) => {
      const id = c.req.param('cropId');
      const { version, ...values } = c.req.valid('json');
      return stores.atomically(() => {
        const before = requireFound(stores.crops.find(id), 'crop');
        requireSeen(before, version);
        ownCrop({ id, ...values });
        const changed = { ...before, ...values };
        const crops = (all: readonly CropRecord[]) => all.map((one) => (one.id === id ? changed : one));
        for (const bedId of bedsWith(stores, before)) {
          requireSoundBooks({ stores, bedId, today: today(), change: { crops } });
        }
        return c.json(requireWritten(stores.crops.update(id, version, values), 'crop'), 200);
      });
    })
    .delete('/crops/:cropId', seenVersion, (c) => {
      const crop = requireFound(stores.crops.find(c.req.param('cropId')), 'crop');
      requireUnused(stores, crop);
      requireRemoved(stores.crops.remove(crop.id, c.req.valid('query').version), 'crop');
      return c.body(null, 204);
    })
    .post('/crops/:cropId/restore', (c) =>
      c.json(requireWritten(stores.crops.restore(c.req.param('cropId')), 'crop'), 200),
    );
