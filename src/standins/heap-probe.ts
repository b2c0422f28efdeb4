import { Hono } from 'hono';
import { seededStream } from '../core/ground/index.ts';
import { faultsOf, type Faults } from './faults.ts';
import type { ProbeReading } from '../contract/instruments.ts';

/** How far a cheap probe is off, degrees C (set here). */
const NOISE_C = 0.8;
const AT_FIRST_C = 38;

/** A probe that is in no heap: `GET /reading`, and `POST /place` to put it somewhere. Seeded like the scale.
 * With faults every other reading is that of a broken cable. */
export function heapProbe(seed: number, faults: Faults = faultsOf(false)) {
  const next = seededStream(seed);
  let temperatureC = AT_FIRST_C;
  return new Hono()
    .use(faults.late)
    .get('/reading', (c) => {
      if (faults.isFaulty && next() < 0.5) return c.json({ temperatureC: 850 }, 200);
      const reading: ProbeReading = {
        temperatureC: Math.round((temperatureC + (next() - 0.5) * 2 * NOISE_C) * 10) / 10,
      };
      return c.json(reading, 200);
    })
    .post('/place', async (c) => {
      ({ temperatureC } = await c.req.json<{ temperatureC: number }>());
      return c.body(null, 204);
    });
}
