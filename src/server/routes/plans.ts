import { Hono } from 'hono';
import { planRevision, type PlanRevision } from '../../contract/requests.ts';
import type { BedRecord } from '../../records/bed.ts';
import { checkRoom } from '../../core/bed/index.ts';
import type { AppContext } from '../app-context.ts';
import { carryOutRevision, requireOwnEntries } from '../entry-revision.ts';
import { requireSoundBooks } from '../kept-books.ts';
import { notFound } from '../problems.ts';
import type { Stores } from '../stores.ts';
import { requireFound, requireRemoved, sentAgain, requireWritten } from '../answers.ts';
import { body } from './validated.ts';

type BedPlan = PlanRevision['beds'][number];

/** Takes away, brings back and plants; cover crops of a plan may stand where something is sown later. */
function revisePlantings(
  stores: Stores,
  { id: bedId, gardenId }: BedRecord,
  { creates, removals, restores }: BedPlan['plantings'],
): void {
  const crops = stores.crops.listOf(gardenId);
  const own = new Set(stores.plantings.listOf(bedId).map(({ id }) => id));
  for (const { id, version } of removals) {
    if (!own.has(id)) throw notFound('planting');
    requireRemoved(stores.plantings.remove(id, version), 'planting');
  }
  for (const id of restores) {
    const planting = requireWritten(stores.plantings.restore(id), 'planting');
    if (planting.bedId !== bedId) throw notFound('planting');
  }
  for (const draft of creates) {
    if (sentAgain(stores.plantings.find(draft.id), { ...draft, bedId })) continue;
    checkRoom(draft, stores.plantings.listOf(bedId), crops);
    stores.plantings.insert({ ...draft, bedId });
  }
}

/** Plans for several beds at once, as a habit or a sharing out of the stock makes them; and taking them back. */
export const planRoutes = ({ stores, today }: AppContext) =>
  new Hono().post('/gardens/:gardenId/plans', body(planRevision), (c) =>
    stores.atomically(() => {
      const garden = requireFound(stores.gardens.find(c.req.param('gardenId')), 'garden');
      const { beds } = c.req.valid('json');
      for (const { bedId, entries, plantings } of beds) {
        const bed = requireFound(stores.beds.find(bedId), 'bed');
        if (bed.gardenId !== garden.id) throw notFound('bed');
        requireOwnEntries(stores, bed.id, [...entries.changes, ...entries.removals]);
        carryOutRevision(stores, bed, entries);
        revisePlantings(stores, bed, plantings);
      }
      for (const { bedId, entries, plantings } of beds) {
        const about = [...entries.creates, ...entries.changes, ...plantings.creates].map(({ id }) => id);
        requireSoundBooks({ stores, bedId, today: today(), change: { about } });
      }
      return c.json(
        {
          entries: beds.flatMap(({ bedId }) => stores.entries.listOf(bedId)),
          plantings: beds.flatMap(({ bedId }) => stores.plantings.listOf(bedId)),
        },
        200,
      );
    }),
  );
