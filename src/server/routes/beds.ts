import { Hono } from 'hono';
import { bedsPosting } from '../../contract/requests.ts';
import { bedChange, bedDraft } from '../../records/bed.ts';
import type { AppContext } from '../app-context.ts';
import { requireSoundBooks } from '../kept-books.ts';
import { requireFound, requireRemoved, requireSeen, sentAgain, requireWritten } from '../answers.ts';
import { body, seenVersion } from './validated.ts';

export const bedRoutes = ({ stores, today, newId }: AppContext) =>
  new Hono()
    .post('/gardens/:gardenId/beds', body(bedDraft), (c) => {
      const garden = requireFound(stores.gardens.find(c.req.param('gardenId')), 'garden');
      const draft = c.req.valid('json');
      const id = draft.id ?? newId();
      const known = sentAgain(stores.beds.find(id), { ...draft, gardenId: garden.id });
      if (known) return c.json(known, 200);
      return c.json(stores.beds.insert({ ...draft, id, gardenId: garden.id }), 201);
    })
    .post('/gardens/:gardenId/beds/several', body(bedsPosting), (c) =>
      stores.atomically(() => {
        const { id: gardenId } = requireFound(stores.gardens.find(c.req.param('gardenId')), 'garden');
        const { beds } = c.req.valid('json');
        const kept = beds.map(
          (draft) =>
            sentAgain(stores.beds.find(draft.id), { ...draft, gardenId }) ??
            stores.beds.insert({ ...draft, gardenId }),
        );
        return c.json({ beds: kept }, 201);
      }),
    )
    .put('/beds/:bedId', body(bedChange), (c) => {
      const bedId = c.req.param('bedId');
      const { version, ...values } = c.req.valid('json');
      const bed = requireFound(stores.beds.find(bedId), 'bed');
      requireSeen(bed, version);
      requireSoundBooks({ stores, bedId, today: today(), change: { bed: { ...bed, ...values } } });
      return c.json(requireWritten(stores.beds.update(bedId, version, values), 'bed'), 200);
    })
    .delete('/beds/:bedId', seenVersion, (c) => {
      requireRemoved(stores.beds.remove(c.req.param('bedId'), c.req.valid('query').version), 'bed');
      return c.body(null, 204);
    })
    .post('/beds/:bedId/restore', (c) =>
      c.json(requireWritten(stores.beds.restore(c.req.param('bedId')), 'bed'), 200),
    );
