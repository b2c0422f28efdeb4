import { Hono } from 'hono';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { ImportReport } from '../../src/contract/imports.ts';
import type { GardenBooks } from '../../src/contract/garden-books.ts';
import type { Problem } from '../../src/contract/problem.ts';
import type { StationReading } from '../../src/contract/weather-station.ts';
import { CLIMATE_PATTERNS } from '../../src/core/ground/climate/patterns.ts';
import { faultsOf } from '../../src/standins/faults.ts';
import { kitchenScale } from '../../src/standins/kitchen-scale.ts';
import { heapProbe } from '../../src/standins/heap-probe.ts';
import { soilLaboratory } from '../../src/standins/soil-laboratory.ts';
import { weatherStation } from '../../src/standins/weather-station.ts';
import { GARDEN } from '../fixtures/books.ts';
import { endListening, listening } from './listening.ts';
import { openBooks } from './open-books.ts';
import { askAt, newFolder, removeFolder, type Answering } from './server.ts';

const MILD = CLIMATE_PATTERNS.find(({ id }) => id === 'mild_maritime')!;
const folder = newFolder();
interface Days {
  readonly days: readonly { readonly date: string; readonly temperatureC: number; readonly rainMm: number }[];
}
const daysOf = async (app: { fetch: Hono['fetch'] }, from: string, until: string): Promise<Days['days']> => {
  const answer = await app.fetch(new Request(`http://x/days?from=${from}&until=${until}`));
  return ((await answer.json()) as Days).days;
};

let server: Answering;
const readSpan = (at: Answering, from: string, until: string) =>
  askAt<StationReading & Problem>(at, 'GET', `/api/instruments/weather?from=${from}&until=${until}`);

beforeAll(async () => {
  const station = await listening(weatherStation(MILD, 4));
  server = openBooks(join(folder, 'a.sqlite'), ['--weather', station]);
  await askAt(server, 'POST', '/api/gardens', GARDEN);
});
afterAll(async () => {
  await server.stop();
  endListening();
  removeFolder(folder);
});

describe('a weather station that stands in', () => {
  it('gives the same day to everybody who asks, and other weather from another seed', async () => {
    const whole = await daysOf(weatherStation(MILD, 4), '2026-01-01', '2026-03-31');
    const part = await daysOf(weatherStation(MILD, 4), '2026-02-10', '2026-02-20');
    expect(whole).toHaveLength(90);
    expect(whole.filter(({ date }) => date >= '2026-02-10' && date <= '2026-02-20')).toEqual(part);
    expect(await daysOf(weatherStation(MILD, 5), '2026-02-10', '2026-02-20')).not.toEqual(part);
  });

  it('strays around its climate and not from it', async () => {
    const days = await daysOf(weatherStation(MILD, 4), '2016-01-01', '2025-12-31');
    const rainPerYear = days.reduce((sum, { rainMm }) => sum + rainMm, 0) / 10;
    const normal = MILD.rainMm.reduce((sum, mm) => sum + mm, 0);
    expect(Math.abs(rainPerYear / normal - 1)).toBeLessThan(0.12);
    const july = days.filter(({ date }) => date.slice(5, 7) === '07');
    const meanC = july.reduce((sum, { temperatureC }) => sum + temperatureC, 0) / july.length;
    expect(Math.abs(meanC - MILD.temperatureC[6])).toBeLessThan(1);
    expect(new Set(july.map(({ temperatureC }) => temperatureC)).size).toBeGreaterThan(50);
  });

  it('tells the running day, leap days among them', async () => {
    const answer = await weatherStation(MILD, 4).fetch(new Request('http://x/today?on=2028-02-29'));
    expect(await answer.json()).toMatchObject({ date: '2028-02-29' });
  });
});

describe('weather in the book', () => {
  it('is read off the station, tried, kept once, and stands in the books', async () => {
    const { body } = await readSpan(server, '2026-04-01', '2026-04-30');
    expect(body.days).toHaveLength(30);
    expect(body.leftOut).toEqual([]);
    const request = { collection: 'weather', summary: 'the station', rows: body.days };
    const read = await askAt<ImportReport>(server, 'POST', '/api/gardens/garden/imports', request);
    expect(read.body).toMatchObject({ isWritten: true, counts: { added: 30, rejected: 0 } });
    const again = await askAt<ImportReport>(server, 'POST', '/api/gardens/garden/imports', request);
    expect(again.body.counts).toMatchObject({ added: 0, same: 30 });
    const { body: books } = await askAt<GardenBooks>(server, 'GET', '/api/gardens/garden/books');
    expect(books.weather).toEqual(body.days);
  });

  it('is corrected day by day, and there is one weather a day', async () => {
    const rows = [{ date: '2026-04-02', temperatureC: 11, rainMm: 4 }];
    const request = { collection: 'weather', summary: 'by hand', rows };
    const read = await askAt<ImportReport>(server, 'POST', '/api/gardens/garden/imports', request);
    expect(read.body.counts).toMatchObject({ added: 0, changed: 1 });
    const { body: books } = await askAt<GardenBooks>(server, 'GET', '/api/gardens/garden/books');
    expect(books.weather.filter(({ date }) => date === '2026-04-02')).toMatchObject([{ temperatureC: 11 }]);
  });

  it('is refused where it cannot have been', async () => {
    const rows = [{ date: '2026-04-03', temperatureC: -999, rainMm: 4 }];
    const request = { collection: 'weather', summary: 'a frozen sensor', rows };
    const read = await askAt<ImportReport>(server, 'POST', '/api/gardens/garden/imports', request);
    expect(read.body).toMatchObject({ isWritten: false, counts: { rejected: 1 } });
    expect(read.body.rows[0].reasons[0].field).toBe('temperatureC');
  });
});

// Beside each other: each waits as long as a gardener would.
describe.concurrent('instruments that fail', () => {
  it('leave days out with the reason: missing, absurd, half told', async () => {
    const station = await listening(weatherStation(MILD, 4, faultsOf(true)));
    const odd = openBooks(join(folder, 'b.sqlite'), ['--weather', station]);
    try {
      const { status, body } = await readSpan(odd, '2026-04-01', '2026-04-30');
      expect(status).toBe(200);
      expect(body.days.length + body.leftOut.length).toBe(30);
      const sentences = body.leftOut.map(({ sentence }) => sentence).join('\n');
      expect(sentences).toMatch(/missing at the station/);
      expect(sentences).toMatch(/temperature must be at least -60/);
      expect(sentences).toMatch(/rain must be/);
      expect((await readSpan(odd, '2026-04-01', '2026-04-02')).status).toBe(200);
      const late = await readSpan(odd, '2026-04-01', '2026-04-02');
      expect([late.status, late.body.detail]).toEqual([502, expect.stringMatching(/does not answer/)]);
    } finally {
      await odd.stop();
    }
  });

  it('of a laboratory come late or say what cannot be; the report is refused, not kept', async () => {
    const laboratory = await listening(soilLaboratory(5, 0, faultsOf(true)));
    const odd = openBooks(join(folder, 'd.sqlite'), ['--demo', '--laboratory', laboratory]);
    try {
      const at = `/api/instruments/laboratory`;
      const sent = await askAt<{ id: string }>(odd, 'POST', `${at}/beds/demo-ferry-strip/samples`);
      expect(sent.status).toBe(201);
      const absurd = await askAt<Problem>(odd, 'GET', `${at}/samples/${sent.body.id}`);
      expect([absurd.status, absurd.body.detail]).toEqual([502, expect.stringMatching(/cannot be/)]);
      const late = await askAt<Problem>(odd, 'GET', `${at}/samples/${sent.body.id}`);
      expect([late.status, late.body.detail]).toEqual([502, expect.stringMatching(/does not answer/)]);
    } finally {
      await odd.stop();
    }
  });

  it('say sooner or later what cannot be, and are answered in words', async () => {
    const at = ['--scale', await listening(kitchenScale(3, faultsOf(true)))];
    at.push('--probe', await listening(heapProbe(3, faultsOf(true))));
    const odd = openBooks(join(folder, 'c.sqlite'), at);
    try {
      await Promise.all(
        ['scale', 'probe'].map(async (instrument) => {
          const details: string[] = [];
          for (let i = 0; i < 6; i++) {
            const { status, body } = await askAt<Problem>(odd, 'GET', `/api/instruments/${instrument}`);
            expect([200, 502, 503]).toContain(status);
            if (status !== 200) details.push(body.detail);
          }
          expect(details.join('\n')).toMatch(/cannot be/);
          expect(details.join('\n')).toMatch(/does not answer/);
        }),
      );
    } finally {
      await odd.stop();
    }
  });
});
