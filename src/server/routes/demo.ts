import { Hono } from 'hono';
import type { AppContext } from '../app-context.ts';
import { DEMO_GARDEN_ID, plantDemoGarden } from '../demo/demo-garden.ts';

/** An invented garden to look around in, reset as often as wanted; whatever was written into it is deleted. */
export const demoRoutes = ({ stores, today }: AppContext) =>
  new Hono().post('/', (c) =>
    stores.atomically(() => {
      stores.erase(DEMO_GARDEN_ID);
      plantDemoGarden(stores, today());
      return c.json({ gardenId: DEMO_GARDEN_ID }, 201);
    }),
  );
