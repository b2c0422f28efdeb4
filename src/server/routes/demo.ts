import { Hono } from 'hono';
import type { AppContext } from '../app-context.ts';
import { DEMO_GARDEN_ID, replantDemoGardens } from '../demo/demo-garden.ts';

/** Invented gardens to look around in, reset as often as wanted; whatever was written into them is deleted. */
export const demoRoutes = ({ stores, today }: AppContext) =>
  new Hono().post('/', (c) =>
    stores.atomically(() => {
      replantDemoGardens(stores, today());
      return c.json({ gardenId: DEMO_GARDEN_ID }, 201);
    }),
  );
