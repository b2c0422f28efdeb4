import { Hono } from 'hono';
import { seededStream } from '../core/ground/index.ts';
import { faultsOf, type Faults } from './faults.ts';
import type { ScaleReading } from '../contract/instruments.ts';

/** How far a kitchen scale is off, g, and how often it still swings when it is read (set here). */
const NOISE_G = 4;
const SWINGS = 0.05;

/** What is put on it in turn when nobody says: an empty bucket, the same full of chips, the same full of compost. */
const IN_TURN_G = [640, 3560, 640, 6900];

/**
 * A kitchen scale that is not there: `GET /reading`, and `POST /pan` to put something on it. The same seed gives the
 * same readings. With faults every other reading is missing.
 */
export function kitchenScale(seed: number, faults: Faults = faultsOf(false)) {
  const next = seededStream(seed);
  let turn = 0;
  let pan: number | null = null;
  return new Hono()
    .use(faults.late)
    .get('/reading', (c) => {
      if (faults.isFaulty && next() < 0.5) return c.json({ massG: null, isStable: true }, 200);
      const load = pan ?? IN_TURN_G[turn++ % IN_TURN_G.length]!;
      const isStable = next() >= SWINGS;
      const massG = Math.round(load + (next() - 0.5) * 2 * NOISE_G);
      const reading: ScaleReading = { massG, isStable };
      return c.json(reading, 200);
    })
    .post('/pan', async (c) => {
      const { massG } = await c.req.json<{ massG: number | null }>();
      pan = massG;
      return c.body(null, 204);
    });
}
