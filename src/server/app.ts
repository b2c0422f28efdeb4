import { Hono } from 'hono';
import { apiDescription } from './api-docs/description.ts';
import { apiPage } from './api-docs/docs-page.ts';
import { MODEL_VERSION } from '../core/model/index.ts';
import type { AppContext } from './app-context.ts';
import { changeInAnswer } from './change-in-answer.ts';
import { jsonOnly, limitedBody, roomForBodies, shallowJson } from './bodies.ts';
import { headers, readOnlyUnlessSound, sameHostOnly, uncached } from './guards.ts';
import { wholeCharactersOnly } from './half-characters.ts';
import { likelyDatesOnly } from './likely-dates.ts';
import { answerProblem, isDamage, ProblemError } from './problems.ts';
import { demoRoutes } from './routes/demo.ts';
import { backupRoutes } from './routes/backups.ts';
import { admittedOnly, sessionRoutes } from './routes/session.ts';
import { bedRoutes } from './routes/beds.ts';
import { buildUpRoutes } from './routes/build-ups.ts';
import { habitRoutes } from './routes/habits.ts';
import { planRoutes } from './routes/plans.ts';
import { entryRoutes } from './routes/entries.ts';
import { calendarFiles, feedRoutes } from './routes/feeds.ts';
import { gardenRoutes } from './routes/gardens.ts';
import { gardenFileRoutes, importRoutes } from './routes/imports.ts';
import { instrumentRoutes } from './routes/instruments.ts';
import { journalRoutes } from './routes/journal.ts';
import { labResultRoutes } from './routes/lab-results.ts';
import { liftRoutes } from './routes/lifts.ts';
import { logHistoryRoutes } from './routes/log-history.ts';
import { materialRoutes } from './routes/materials.ts';
import { peopleRoutes } from './routes/people.ts';
import { photoRoutes } from './routes/photos.ts';
import { plantingRoutes } from './routes/plantings.ts';
import { actRoutes } from './routes/acts.ts';
import { cropRoutes } from './routes/crops.ts';
import { recipeRoutes } from './routes/recipes.ts';
import { stockRoutes } from './routes/stock.ts';
import { stockWarmer } from './warm-stock.ts';

const nothingAt = (path: string): ProblemError =>
  new ProblemError(404, 'Not found', `There is nothing at ${path}.`);

/** The methods that a path of the API takes; none where there is nothing. */
function methodsAt({ routes }: Hono, path: string): string[] {
  const isAt = (pattern: string) =>
    !pattern.includes('*') && new RegExp(`^${pattern.replaceAll(/:[^/]+/g, '[^/]+')}$`).test(path);
  const methods = routes
    .filter((route) => route.method !== 'ALL' && isAt(route.path))
    .map(({ method }) => method);
  return [...new Set(methods)];
}

/** The HTTP interface, and the pages behind it. */
export function createApp(context: AppContext) {
  const app = new Hono();
  app.onError((error, c) => {
    if (isDamage(error)) context.books.noteDamage(error.message);
    return answerProblem(error, c);
  });
  app.notFound((c) => answerProblem(nothingAt(c.req.path), c));
  app.use(headers);
  app.use(sameHostOnly(context.hosts));
  app.use('/api/*', uncached);
  // Whoever is not admitted has nothing read of what is sent.
  app.use('/api/*', admittedOnly(context));
  app.use('/api/*', roomForBodies());
  app.use('/api/*', limitedBody);
  app.use('/api/*', jsonOnly);
  app.use('/api/*', shallowJson);
  app.use('/api/*', wholeCharactersOnly);
  app.use('/api/*', readOnlyUnlessSound(context.books.state));
  app.use('/api/*', likelyDatesOnly(context.today));
  const stock = stockWarmer(context.stores);
  app.use('/api/*', stock.beforeWrites);
  app.use('/api/*', changeInAnswer(context.stores, context.today));
  app.route('/', calendarFiles(context));
  app.route('/', gardenFileRoutes(context));
  const api = app
    .get('/api/health', (c) => c.json({ status: context.books.state().kind }, 200))
    .route(
      '/api/gardens',
      gardenRoutes(context, (gardenId) => stock.warm(gardenId)),
    )
    .route('/api', bedRoutes(context))
    .route('/api', entryRoutes(context, stock))
    .route('/api', plantingRoutes(context))
    .route('/api', materialRoutes(context))
    .route('/api', buildUpRoutes(context))
    .route('/api', habitRoutes(context))
    .route('/api', planRoutes(context))
    .route('/api/instruments', instrumentRoutes(context))
    .route('/api', stockRoutes(context))
    .route('/api', labResultRoutes(context))
    .route('/api', actRoutes(context))
    .route('/api', cropRoutes(context))
    .route('/api', logHistoryRoutes(context))
    .route('/api', recipeRoutes(context))
    .route('/api', journalRoutes(context))
    .route('/api', photoRoutes(context))
    .route('/api', feedRoutes(context))
    .route('/api', peopleRoutes(context))
    .route('/api', liftRoutes(context))
    .route('/api', importRoutes(context))
    .route('/api/backups', backupRoutes(context))
    .route('/api/session', sessionRoutes(context))
    .route('/api/demo-garden', demoRoutes(context));
  let described: Promise<object> | undefined;
  const description = () => (described ??= apiDescription(app, String(MODEL_VERSION)));
  app.get('/api/openapi.json', async (c) => c.json(await description(), 200));
  app.get('/api/docs', async (c) => c.html(apiPage(await description()), 200));
  app.all('/api/*', (c) => {
    const allowed = methodsAt(app, c.req.path);
    if (allowed.length === 0) throw nothingAt(c.req.path);
    c.header('Allow', allowed.join(', '));
    throw new ProblemError(
      405,
      'Not allowed',
      `${c.req.path} takes ${allowed.join(' or ')}, not ${c.req.method}.`,
    );
  });
  context.servePages?.(app);
  return api;
}

export type Api = ReturnType<typeof createApp>;
