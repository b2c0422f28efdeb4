import { Hono } from 'hono';
import { headers, limitedBody, sameHostOnly } from './guards.ts';
import { answerProblem, ProblemError } from './problems.ts';
import { bedRoutes } from './routes/beds.ts';
import { entryRoutes } from './routes/entries.ts';
import { gardenRoutes } from './routes/gardens.ts';
import { materialRoutes } from './routes/materials.ts';
import { plantingRoutes } from './routes/plantings.ts';
import type { Stores } from './stores.ts';

/** What the routes work with; everything that differs between a test and a real evening is in here. */
export interface AppContext {
  readonly stores: Stores;
  /** Today in the garden, ISO date. */
  readonly today: () => string;
  readonly newId: () => string;
  /** Adds the built pages after the interface; absent when there are none. */
  readonly servePages?: (app: Hono) => void;
}

const nothingAt = (path: string): ProblemError =>
  new ProblemError(404, 'Not found', `There is nothing at ${path}.`);

/** The HTTP interface, and the pages behind it. */
export function createApp(context: AppContext) {
  const app = new Hono();
  app.onError(answerProblem);
  app.notFound((c) => answerProblem(nothingAt(c.req.path), c));
  app.use(headers);
  app.use(sameHostOnly);
  app.use('/api/*', limitedBody);
  const api = app
    .get('/api/health', (c) => c.json({ status: 'ok' }, 200))
    .route('/api/gardens', gardenRoutes(context))
    .route('/api', bedRoutes(context))
    .route('/api', entryRoutes(context))
    .route('/api', plantingRoutes(context))
    .route('/api', materialRoutes(context));
  app.all('/api/*', (c) => {
    throw nothingAt(c.req.path);
  });
  context.servePages?.(app);
  return api;
}

export type Api = ReturnType<typeof createApp>;
