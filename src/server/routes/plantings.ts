import { Hono } from 'hono';
import { plantingChange, plantingDraft, type PlantingRecord } from '../../records/planting.ts';
import { checkRoom } from '../../core/bed/index.ts';
import type { AppContext } from '../app-context.ts';
import { requireSoundBooks } from '../kept-books.ts';
import type { Stores } from '../stores.ts';
import { requireFound, requireRemoved, requireSeen, sentAgain, requireWritten } from '../answers.ts';
import { body, seenVersion } from './validated.ts';

const UNSTAMPED = { version: 1, createdAt: '', updatedAt: '' };

const withPlanting = (all: readonly PlantingRecord[], planting: PlantingRecord): PlantingRecord[] => [
  ...all.filter(({ id }) => id !== planting.id),
  planting,
];

const takesOtherRoom = (before: PlantingRecord, after: PlantingRecord): boolean =>
  (['plantedOn', 'clearedOn', 'areaShare', 'isUndersown'] as const).some(
    (field) => before[field] !== after[field],
  );

/** The same for a change: what stood side by side before shares were known may stay, and be ticked off. */
export function requireRoomFor(stores: Stores, before: PlantingRecord, after: PlantingRecord): void {
  if (takesOtherRoom(before, after)) requireRoom(stores, after);
}

/** Throws InputError where other crops fill the bed. */
function requireRoom(stores: Stores, planting: PlantingRecord): void {
  const { gardenId } = requireFound(stores.beds.find(planting.bedId), 'bed');
  checkRoom(planting, stores.plantings.listOf(planting.bedId), stores.crops.listOf(gardenId));
}

export const plantingRoutes = ({ stores, today, newId }: AppContext) =>
  new Hono()
    .post('/beds/:bedId/plantings', body(plantingDraft), (c) => {
      const draft = c.req.valid('json');
      const id = draft.id ?? newId();
      return stores.atomically(() => {
        const bed = requireFound(stores.beds.find(c.req.param('bedId')), 'bed');
        const known = sentAgain(stores.plantings.find(id), { ...draft, bedId: bed.id });
        if (known) return c.json(known, 200);
        const planting = { ...draft, ...UNSTAMPED, id, bedId: bed.id };
        requireRoom(stores, planting);
        requireSoundBooks({
          stores,
          bedId: bed.id,
          today: today(),
          change: {
            plantings: (all) => withPlanting(all, planting),
            about: [id],
          },
        });
        return c.json(stores.plantings.insert(planting), 201);
      });
    })
    .put('/plantings/:plantingId', body(plantingChange), (c) => {
      const id = c.req.param('plantingId');
      const { version, ...values } = c.req.valid('json');
      return stores.atomically(() => {
        const before = requireFound(stores.plantings.find(id), 'planting');
        requireSeen(before, version);
        const changed = { ...before, ...values };
        requireRoomFor(stores, before, changed);
        requireSoundBooks({
          stores,
          bedId: before.bedId,
          today: today(),
          change: {
            plantings: (all) => withPlanting(all, changed),
            about: [id],
          },
        });
        return c.json(requireWritten(stores.plantings.update(id, version, values), 'planting'), 200);
      });
    })
    .delete('/plantings/:plantingId', seenVersion, (c) => {
      const id = c.req.param('plantingId');
      requireRemoved(stores.plantings.remove(id, c.req.valid('query').version), 'planting');
      return c.body(null, 204);
    })
    .post('/plantings/:plantingId/restore', (c) =>
      stores.atomically(() => {
        const planting = requireWritten(stores.plantings.restore(c.req.param('plantingId')), 'planting');
        requireRoom(stores, planting);
        requireSoundBooks({
          stores,
          bedId: planting.bedId,
          today: today(),
          change: { about: [planting.id] },
        });
        return c.json(planting, 200);
      }),
    );
