import { Hono } from 'hono';
import type { AppContext } from '../app-context.ts';
import { readProbe, readScale } from '../instruments.ts';

/** A scale and a probe, read where they answer: what they say goes into the same fields as a typed figure. */
export const instrumentRoutes = ({ instruments = {} }: AppContext) =>
  new Hono()
    .get('/', (c) =>
      c.json({ scale: instruments.scale !== undefined, probe: instruments.probe !== undefined }, 200),
    )
    .get('/scale', async (c) => c.json(await readScale(instruments), 200))
    .get('/probe', async (c) => c.json(await readProbe(instruments), 200));
