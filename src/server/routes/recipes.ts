import { Hono } from 'hono';
import { recipeDraft } from '../../records/recipe.ts';
import type { AppContext } from '../app-context.ts';
import { requireFound, requireRemoved, sentAgain, requireWritten } from '../answers.ts';
import { body, seenVersion } from './validated.ts';

/** Mixes a garden has saved to make again. */
export const recipeRoutes = ({ stores, newId }: AppContext) =>
  new Hono()
    .post('/gardens/:gardenId/recipes', body(recipeDraft), (c) => {
      const garden = requireFound(stores.gardens.find(c.req.param('gardenId')), 'garden');
      const draft = c.req.valid('json');
      const id = draft.id ?? newId();
      const known = sentAgain(stores.recipes.find(id), { ...draft, gardenId: garden.id });
      if (known) return c.json(known, 200);
      return c.json(stores.recipes.insert({ ...draft, id, gardenId: garden.id }), 201);
    })
    .delete('/recipes/:recipeId', seenVersion, (c) => {
      requireRemoved(stores.recipes.remove(c.req.param('recipeId'), c.req.valid('query').version), 'recipe');
      return c.body(null, 204);
    })
    .post('/recipes/:recipeId/restore', (c) =>
      c.json(requireWritten(stores.recipes.restore(c.req.param('recipeId')), 'recipe'), 200),
    );
