import { Hono } from 'hono';
import { habitChange, habitDraft, type Habit } from '../../records/habit.ts';
import { materialFinder } from '../../core/bed/index.ts';
import { checkHabit } from '../../core/long-run/index.ts';
import type { AppContext } from '../app-context.ts';
import type { Stores } from '../stores.ts';
import { requireFound, requireRemoved, sentAgain, requireWritten } from '../answers.ts';
import { body, seenVersion } from './validated.ts';

function requireSoundHabit(stores: Stores, gardenId: string, habit: Habit): void {
  checkHabit(habit, {
    findMaterial: materialFinder({ materials: stores.materials.listOf(gardenId), labResults: [] }),
    crops: stores.crops.listOf(gardenId),
  });
}

/** What somebody means to do year after year. */
export const habitRoutes = ({ stores, newId }: AppContext) =>
  new Hono()
    .post('/gardens/:gardenId/habits', body(habitDraft), (c) => {
      const garden = requireFound(stores.gardens.find(c.req.param('gardenId')), 'garden');
      const draft = c.req.valid('json');
      const id = draft.id ?? newId();
      const known = sentAgain(stores.habits.find(id), { ...draft, gardenId: garden.id });
      if (known) return c.json(known, 200);
      requireSoundHabit(stores, garden.id, draft);
      return c.json(stores.habits.insert({ ...draft, id, gardenId: garden.id }), 201);
    })
    .put('/habits/:habitId', body(habitChange), (c) => {
      const { version, ...values } = c.req.valid('json');
      const before = requireFound(stores.habits.find(c.req.param('habitId')), 'habit');
      requireSoundHabit(stores, before.gardenId, values);
      return c.json(requireWritten(stores.habits.update(before.id, version, values), 'habit'), 200);
    })
    .delete('/habits/:habitId', seenVersion, (c) => {
      requireRemoved(stores.habits.remove(c.req.param('habitId'), c.req.valid('query').version), 'habit');
      return c.body(null, 204);
    })
    .post('/habits/:habitId/restore', (c) =>
      c.json(requireWritten(stores.habits.restore(c.req.param('habitId')), 'habit'), 200),
    );
