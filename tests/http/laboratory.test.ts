import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { soilReports } from '../../src/core/bed/books/soil-report.ts';
import { soilLaboratory } from '../../src/standins/soil-laboratory.ts';
import { endListening, listening } from './listening.ts';
import type { GardenBooks } from '../../src/contract/garden-books.ts';
import { openBooks } from './open-books.ts';
import { askAt, newFolder, removeFolder, type Answering } from './server.ts';

interface Seen {
  readonly id: string;
  readonly version: number;
}

interface Body {
  readonly id: string;
  readonly readyOn: string;
  readonly detail: string;
  readonly samples: readonly { readonly id: string }[];
  readonly ph: number;
  readonly organicMatterPct: number;
  readonly mineralNitrogenKgPerHa: number;
  readonly laboratory: boolean;
}

const folder = newFolder();
const servers: Answering[] = [];
const demoWith = (name: string, extra: readonly string[]) => {
  const server = openBooks(join(folder, `${name}.sqlite`), ['--demo', ...extra]);
  servers.push(server);
  return server;
};
const ask = (server: Answering, method: string, path: string) =>
  askAt<Body>(server, method, `/api/instruments${path}`);
const BED = '/laboratory/beds/demo-sawpit-corner/samples';

let quick: Answering;
let quickAt: string;
beforeAll(async () => {
  quickAt = await listening(soilLaboratory(5, 0));
  quick = demoWith('quick', ['--laboratory', quickAt]);
});
afterAll(async () => {
  for (const server of servers) await server.stop();
  endListening();
  removeFolder(folder);
});

describe('a soil laboratory', () => {
  it('takes a sample and reports near what the book has, in JSON and as a table the logbook reads', async () => {
    expect((await ask(quick, 'GET', '')).body.laboratory).toBe(true);
    const sent = await ask(quick, 'POST', BED);
    expect(sent.status).toBe(201);
    expect((await ask(quick, 'GET', BED)).body.samples.map(({ id }) => id)).toEqual([sent.body.id]);
    const report = (await ask(quick, 'GET', `/laboratory/samples/${sent.body.id}`)).body;
    expect(report.ph).toBeGreaterThan(5.4);
    expect(report.ph).toBeLessThan(6.9);
    expect(report.organicMatterPct).toBeGreaterThan(2);
    expect(report.organicMatterPct).toBeLessThan(5);
    const table = await (await fetch(`${quickAt}/samples/${sent.body.id}.csv?on=2026-05-14`)).text();
    const [row] = soilReports(
      table
        .trim()
        .split('\r\n')
        .map((line) => line.split(',').map((cell) => cell.replaceAll('"', ''))),
    );
    expect(row).toMatchObject({
      sample: 'Sawpit Corner',
      ph: report.ph,
      organicMatterPct: report.organicMatterPct,
      mineralNitrogen: { amount: report.mineralNitrogenKgPerHa, unit: 'kgPerHa' },
    });
  });
  it('takes its days, and says when it will be ready', async () => {
    const slow = demoWith('slow', ['--laboratory', await listening(soilLaboratory(5, 6))]);
    const sent = await ask(slow, 'POST', BED);
    expect(sent.body.readyOn).toBe('2026-05-20');
    const early = await ask(slow, 'GET', `/laboratory/samples/${sent.body.id}`);
    expect([early.status, early.body.detail]).toEqual([
      503,
      'The laboratory will have the report on 2026-05-20.',
    ]);
  });
  it('that is silent, absurd or not there is answered in words', async () => {
    const none = demoWith('none', []);
    expect((await ask(none, 'POST', BED)).body.detail).toContain('No soil laboratory is connected');
    const silent = demoWith('silent', ['--laboratory', 'http://127.0.0.1:9']);
    expect((await ask(silent, 'POST', BED)).status).toBe(502);
    expect((await ask(quick, 'GET', '/laboratory/samples/S9999')).status).toBe(502);
    expect((await ask(quick, 'GET', '/laboratory/samples/..%2F..%2Fx')).status).toBe(502);
    expect((await ask(quick, 'POST', '/laboratory/beds/nowhere/samples')).status).toBe(404);
  });
});

describe('lifting a path into the stock', () => {
  const lift = (change: object = {}) =>
    askAt<{ lot: { id: string }; movements: { amount: number }[]; entries: unknown[]; detail: string }>(
      quick,
      'POST',
      '/api/beds/demo-boathouse-path/lifts',
      {
        id: 'l1',
        date: '2026-05-14',
        note: '',
        layerIds: ['demo-boathouse-path-layer-2'],
        to: { place: 'stock', lotName: 'Crumbs' },
        ...change,
      },
    );
  it('takes off there what is received here, once, however often it is sent', async () => {
    const first = await lift();
    expect([first.status, first.body.entries.length]).toEqual([201, 1]);
    expect(first.body.movements[0].amount).toBeGreaterThan(50);
    const again = await lift();
    expect([again.status, again.body.lot.id]).toEqual([200, first.body.lot.id]);
  });
  it('is taken back by one request: all of it, or nothing', async () => {
    const lifted = (await lift({ id: 'back', layerIds: ['demo-boathouse-path-layer-1'] }))
      .body as unknown as {
      lot: Seen;
      movements: Seen[];
      entries: Seen[];
    };
    const seen = ({ id, version }: Seen) => ({ id, version });
    const takeBack = (change: object = {}) =>
      askAt(quick, 'POST', '/api/gardens/ternhollow/stock/taken-back', {
        movements: lifted.movements.map(seen),
        lots: [seen(lifted.lot)],
        entries: lifted.entries.map(seen),
        ...change,
      });
    const there = async () => {
      const { body } = await askAt<GardenBooks>(quick, 'GET', '/api/gardens/ternhollow/books');
      return [body.lots, body.movements, body.entries].map((list) =>
        list.some(({ id }) => id.startsWith('back-')),
      );
    };
    const stale = lifted.entries.map(({ id }) => ({ id, version: 9 }));
    expect((await takeBack({ entries: stale })).status).toBe(409);
    expect((await takeBack({ lots: [{ id: 'nobody', version: 1 }] })).status).toBe(404);
    expect(await there()).toEqual([true, true, true]);
    expect((await takeBack()).status).toBe(204);
    expect(await there()).toEqual([false, false, false]);
  });
  it('may go onto another bed, in part and hoed in, once and gram for gram', async () => {
    type Written = { lot: null; entries: { id: string; bedId: string; type: string; massFreshKg: number }[] };
    const onBed = (change: object = {}) =>
      lift({
        id: 'l9',
        layerIds: ['demo-boathouse-path-layer-1'],
        share: 0.5,
        to: { place: 'bed', bedId: 'demo-currant-line', dugDepthCm: 5 },
        ...change,
      }) as unknown as Promise<{ status: number; body: Written & { detail: string } }>;
    const first = await onBed();
    expect(first.status).toBe(201);
    expect(first.body.lot).toBeNull();
    expect(first.body.entries).toMatchObject([
      { bedId: 'demo-boathouse-path', type: 'takeOff', shareTakenOff: 0.5 },
      { bedId: 'demo-currant-line', type: 'lay', dugDepthCm: 5, unit: 'kg' },
    ]);
    const again = await onBed();
    expect([again.status, again.body.entries]).toEqual([200, first.body.entries]);
    const rest = await onBed({ id: 'l10', share: 1 });
    // A little more: of the humus a fifth stays behind each time, and some of that comes up at the second.
    expect(rest.body.entries[1].massFreshKg / first.body.entries[1].massFreshKg).toBeCloseTo(1, 1);
    const home = await onBed({
      id: 'l11',
      to: { place: 'bed', bedId: 'demo-boathouse-path', dugDepthCm: 0 },
    });
    expect([home.status, home.body.detail]).toEqual([422, expect.stringContaining('no other bed') as string]);
  });
  it('is refused for layers of other beds, for tomorrow, and for what is gone', async () => {
    expect((await lift({ id: 'l2', layerIds: ['demo-ferry-strip-layer-1'] })).status).toBe(422);
    expect((await lift({ id: 'l3', date: '2026-05-15' })).body.detail).toContain('in the future');
    expect((await lift({ id: 'l4' })).body.detail).toContain('was taken off on 2026-05-14 already');
  });
});
