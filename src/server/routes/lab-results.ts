import { Hono } from 'hono';
import { labResultChange, labResultDraft } from '../../records/lab-result.ts';
import { checkMaterial } from '../../core/ground/index.ts';
import { InputError } from '../../refusals/input-error.ts';
import { materialFinder } from '../../core/bed/index.ts';
import type { AppContext } from '../app-context.ts';
import { keptForStock, requireSoundStock } from '../kept-stock.ts';
import { requireFound, requireRemoved, requireSeen, sentAgain, requireWritten } from '../answers.ts';
import { body, seenVersion } from './validated.ts';

/** Laboratory reports on materials: from their day on they take the place of the table's figures. */
export const labResultRoutes = ({ stores, newId }: AppContext) => {
  const requireSound = (gardenId: string, materialId: string) => {
    const records = keptForStock(stores, gardenId);
    const material = materialFinder(records)(materialId);
    if (!material) {
      throw new InputError(['materialId'], 'namesNone', { what: 'material', got: materialId });
    }
    checkMaterial(material, []);
    requireSoundStock({ stores, gardenId, records, about: [] });
  };
  return new Hono()
    .post('/gardens/:gardenId/lab-results', body(labResultDraft), (c) => {
      const draft = c.req.valid('json');
      const id = draft.id ?? newId();
      return stores.atomically(() => {
        const { id: gardenId } = requireFound(stores.gardens.find(c.req.param('gardenId')), 'garden');
        const known = sentAgain(stores.labResults.find(id), { ...draft, gardenId });
        if (known) return c.json(known, 200);
        const kept = stores.labResults.insert({ ...draft, id, gardenId });
        requireSound(gardenId, draft.materialId);
        return c.json(kept, 201);
      });
    })
    .put('/lab-results/:labResultId', body(labResultChange), (c) => {
      const id = c.req.param('labResultId');
      const { version, ...values } = c.req.valid('json');
      return stores.atomically(() => {
        requireSeen(requireFound(stores.labResults.find(id), 'laboratory report'), version);
        const kept = requireWritten(stores.labResults.update(id, version, values), 'laboratory report');
        requireSound(kept.gardenId, kept.materialId);
        return c.json(kept, 200);
      });
    })
    .delete('/lab-results/:labResultId', seenVersion, (c) => {
      const { version } = c.req.valid('query');
      requireRemoved(stores.labResults.remove(c.req.param('labResultId'), version), 'laboratory report');
      return c.body(null, 204);
    })
    .post('/lab-results/:labResultId/restore', (c) =>
      c.json(requireWritten(stores.labResults.restore(c.req.param('labResultId')), 'laboratory report'), 200),
    );
};
