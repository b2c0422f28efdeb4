import { Hono } from 'hono';
import type { AppContext } from '../app-context.ts';

/** Copies of the books, and how the file of the books is. */
export const backupRoutes = ({ books }: AppContext) =>
  new Hono()
    .get('/', (c) =>
      c.json({ state: books.state(), backups: books.backups(), secondPlace: books.secondPlace() }, 200),
    )
    .post('/', async (c) => c.json(await books.backUp('manual'), 201))
    .get('/:name', (c) => c.json(books.check(c.req.param('name')), 200))
    .post('/:name/restore', async (c) => c.json(await books.restore(c.req.param('name')), 200));
