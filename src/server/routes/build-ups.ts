import { Hono } from 'hono';
import { buildUpDraft } from '../../records/build-up.ts';
import type { MaterialRecord } from '../../records/material.ts';
import { InputError } from '../../refusals/input-error.ts';
import { materialFinder } from '../../core/bed/index.ts';
import type { AppContext } from '../app-context.ts';
import { requireFound, requireRemoved, sentAgain, requireWritten } from '../answers.ts';
import { body, seenVersion } from './validated.ts';

function requireKnownMaterials(
  layers: readonly { readonly materialId: string }[],
  own: readonly MaterialRecord[],
): void {
  const find = materialFinder({ materials: own, labResults: [] });
  layers.forEach(({ materialId }, i) => {
    if (!find(materialId)) {
      throw new InputError(['layers', i, 'materialId'], 'namesNone', { what: 'material', got: materialId });
    }
  });
}

/** Build-ups a garden has saved for its own use. */
export const buildUpRoutes = ({ stores, newId }: AppContext) =>
  new Hono()
    .post('/gardens/:gardenId/build-ups', body(buildUpDraft), (c) => {
      const garden = requireFound(stores.gardens.find(c.req.param('gardenId')), 'garden');
      const draft = c.req.valid('json');
      const id = draft.id ?? newId();
      const known = sentAgain(stores.buildUps.find(id), { ...draft, gardenId: garden.id });
      if (known) return c.json(known, 200);
      requireKnownMaterials(draft.layers, stores.materials.listOf(garden.id));
      return c.json(stores.buildUps.insert({ ...draft, id, gardenId: garden.id }), 201);
    })
    .delete('/build-ups/:buildUpId', seenVersion, (c) => {
      const { version } = c.req.valid('query');
      requireRemoved(stores.buildUps.remove(c.req.param('buildUpId'), version), 'build-up');
      return c.body(null, 204);
    })
    .post('/build-ups/:buildUpId/restore', (c) =>
      c.json(requireWritten(stores.buildUps.restore(c.req.param('buildUpId')), 'build-up'), 200),
    );
