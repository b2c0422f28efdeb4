import { Hono } from 'hono';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { heapProbe } from '../../src/standins/heap-probe.ts';
import { kitchenScale } from '../../src/standins/kitchen-scale.ts';
import { endListening, listening } from './listening.ts';
import { openBooks } from './open-books.ts';
import { askAt, newFolder, removeFolder, type Answering } from './server.ts';

interface Body {
  readonly massG: number;
  readonly temperatureC: number;
  readonly scale: boolean;
  readonly detail: string;
}

const folder = newFolder();
let server: Answering;
let scale: string;
let probe: string;
const ask = (path: string, at = server) => askAt<Body>(at, 'GET', `/api/instruments${path}`);

beforeAll(async () => {
  scale = await listening(kitchenScale(3));
  probe = await listening(heapProbe(3));
  server = openBooks(join(folder, 'a.sqlite'), ['--scale', scale, '--probe', probe]);
});
afterAll(async () => {
  await server.stop();
  endListening();
  removeFolder(folder);
});

describe('a scale and a probe', () => {
  it('are read where they answer', async () => {
    expect((await ask('')).body.scale).toBe(true);
    await fetch(`${scale}/pan`, { method: 'POST', body: JSON.stringify({ massG: 3200 }) });
    await fetch(`${probe}/place`, { method: 'POST', body: JSON.stringify({ temperatureC: 58 }) });
    expect(Math.abs((await ask('/scale')).body.massG - 3200)).toBeLessThan(5);
    expect(Math.abs((await ask('/probe')).body.temperatureC - 58)).toBeLessThan(1);
  });

  it('that stand in give the same readings from the same seed', async () => {
    const readings = async (app: { fetch: Hono['fetch'] }) => {
      const answer = await app.fetch(new Request('http://x/reading'));
      return answer.json() as Promise<unknown>;
    };
    expect(await readings(kitchenScale(7))).toEqual(await readings(kitchenScale(7)));
    expect(await readings(heapProbe(7))).not.toEqual(await readings(heapProbe(8)));
  });

  it('that swing, talk nonsense, or are gone, are answered in words', async () => {
    const swinging = await listening(
      new Hono().get('/reading', (c) => c.json({ massG: 5, isStable: false })),
    );
    const absurd = await listening(new Hono().get('/reading', (c) => c.json({ temperatureC: 9000 })));
    const odd = openBooks(join(folder, 'b.sqlite'), ['--scale', swinging, '--probe', absurd]);
    const bare = openBooks(join(folder, 'c.sqlite'), ['--probe', 'http://127.0.0.1:9']);
    try {
      const swing = await ask('/scale', odd);
      expect([swing.status, swing.body.detail]).toEqual([503, expect.stringMatching(/not come to rest/)]);
      expect((await ask('/probe', odd)).body.detail).toMatch(/cannot be/);
      expect((await ask('', bare)).body.scale).toBe(false);
      expect((await ask('/scale', bare)).status).toBe(404);
      expect((await ask('/probe', bare)).body.detail).toMatch(/does not answer/);
    } finally {
      await odd.stop();
      await bare.stop();
    }
  });
});
