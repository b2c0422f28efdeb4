import { Hono } from 'hono';
import type { z } from 'zod';
import { materialChange, materialDraft, type MaterialRecord } from '../../records/material.ts';
import { findLibraryMaterial, ownMaterial } from '../../core/ground/index.ts';
import type { AppContext } from '../app-context.ts';
import { requireSoundBooks } from '../kept-books.ts';
import { ProblemError } from '../problems.ts';
import type { Stores } from '../stores.ts';
import { requireFound, requireRemoved, requireSeen, sentAgain, requireWritten } from '../answers.ts';
import { body, seenVersion } from './validated.ts';

/** Beds on which a material lies, by what the books say. */
function bedsWith(stores: Stores, gardenId: string, materialId: string): string[] {
  const entries = stores.entries.listOfGarden(gardenId);
  const using = entries.filter((entry) => entry.type === 'lay' && entry.materialId === materialId);
  return [...new Set(using.map(({ bedId }) => bedId))];
}

type MaterialDraft = z.infer<typeof materialDraft>;

/** Keeps a material described by a gardener; the same one sent again is the one that is kept. */
export function keepMaterial(
  { materials }: Stores,
  gardenId: string,
  draft: MaterialDraft & { readonly id: string },
): MaterialRecord {
  const known = sentAgain(materials.find(draft.id), { ...draft, gardenId });
  if (known) return known;
  if (findLibraryMaterial(draft.id)) {
    throw new ProblemError(422, 'Not accepted', `id "${draft.id}" belongs to a material of the library.`);
  }
  ownMaterial(draft.basis);
  return materials.insert({ ...draft, gardenId });
}

export const materialRoutes = ({ stores, today, newId }: AppContext) =>
  new Hono()
    .post('/gardens/:gardenId/materials', body(materialDraft), (c) => {
      const garden = requireFound(stores.gardens.find(c.req.param('gardenId')), 'garden');
      const draft = c.req.valid('json');
      const id = draft.id ?? newId();
      const isKnown = stores.materials.find(id) !== undefined;
      return c.json(keepMaterial(stores, garden.id, { ...draft, id }), isKnown ? 200 : 201);
    })
    .put('/materials/:materialId', body(materialChange), (c) => {
      const id = c.req.param('materialId');
      const { version, ...values } = c.req.valid('json');
      return stores.atomically(() => {
        const before = requireFound(stores.materials.find(id), 'material');
        requireSeen(before, version);
        ownMaterial(values.basis);
        const changed = { ...before, ...values };
        for (const bedId of bedsWith(stores, before.gardenId, id)) {
          requireSoundBooks({
            stores,
            bedId,
            today: today(),
            change: {
              materials: (all) => all.map((other) => (other.id === id ? changed : other)),
            },
          });
        }
        return c.json(requireWritten(stores.materials.update(id, version, values), 'material'), 200);
      });
    })
    .delete('/materials/:materialId', seenVersion, (c) => {
      const id = c.req.param('materialId');
      const material = requireFound(stores.materials.find(id), 'material');
      if (bedsWith(stores, material.gardenId, id).length > 0) {
        throw new ProblemError(
          422,
          'In use',
          'This material is used in entries of a bed; choose another material there first.',
        );
      }
      requireRemoved(stores.materials.remove(id, c.req.valid('query').version), 'material');
      return c.body(null, 204);
    })
    .post('/materials/:materialId/restore', (c) =>
      c.json(requireWritten(stores.materials.restore(c.req.param('materialId')), 'material'), 200),
    );
