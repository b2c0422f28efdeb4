import { Hono } from 'hono';
import { gardenChange, gardenDraft, type GardenBooks } from '../../contract/records.ts';
import { measuredWeather } from '../kept-stock.ts';
import type { AppContext } from '../app-context.ts';
import { found, requireRemoved, sentAgain, written } from './answers.ts';
import { body, seenVersion } from './validated.ts';

export const gardenRoutes = ({ stores, today, newId }: AppContext) =>
  new Hono()
    .get('/', (c) => c.json({ today: today(), gardens: stores.gardens.list() }, 200))
    .post('/', body(gardenDraft), (c) => {
      const draft = c.req.valid('json');
      const id = draft.id ?? newId();
      const known = sentAgain(stores.gardens.find(id), draft);
      return known ? c.json(known, 200) : c.json(stores.gardens.insert({ ...draft, id }), 201);
    })
    .get('/:gardenId/books', (c) => {
      const garden = found(stores.gardens.find(c.req.param('gardenId')), 'garden');
      const books: GardenBooks = {
        today: today(),
        garden,
        beds: stores.beds.listOf(garden.id),
        entries: stores.entries.listOfGarden(garden.id),
        plantings: stores.plantings.listOfGarden(garden.id),
        materials: stores.materials.listOf(garden.id),
        buildUps: stores.buildUps.listOf(garden.id),
        habits: stores.habits.listOf(garden.id),
        lots: stores.lots.listOf(garden.id),
        movements: stores.movements.listOf(garden.id),
        labResults: stores.labResults.listOf(garden.id),
        recipes: stores.recipes.listOf(garden.id),
        journal: stores.journal.listOf(garden.id),
        weather: measuredWeather(stores, garden.id),
      };
      return c.json(books, 200);
    })
    .put('/:gardenId', body(gardenChange), (c) => {
      const { version, ...values } = c.req.valid('json');
      return c.json(written(stores.gardens.update(c.req.param('gardenId'), version, values), 'garden'), 200);
    })
    .delete('/:gardenId', seenVersion, (c) => {
      requireRemoved(stores.gardens.remove(c.req.param('gardenId'), c.req.valid('query').version), 'garden');
      return c.body(null, 204);
    })
    .post('/:gardenId/restore', (c) =>
      c.json(written(stores.gardens.restore(c.req.param('gardenId')), 'garden'), 200),
    );
