import { Hono } from 'hono';
import type { AppContext } from '../app-context.ts';
import { DEMO_GARDEN_ID, DEMO_GARDEN_IDS, plantDemoGardens } from '../demo/demo-garden.ts';

/** Invented gardens to look around in, reset as often as wanted; whatever was written into them is deleted. */
export const demoRoutes = ({ stores, today }: AppContext) =>
  new Hono().post('/', (c) =>
    stores.atomically(() => {
      for (const gardenId of DEMO_GARDEN_IDS) stores.erase(gardenId);
      plantDemoGardens(stores, today());
      return c.json({ gardenId: DEMO_GARDEN_ID }, 201);
    }),
  );
