import exifr from 'exifr';
import ICAL from 'ical.js';
import { existsSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { bedOf, GARDEN, MILD } from '../fixtures/books.ts';
import { grayJpeg, phoneJpeg } from '../fixtures/photos.ts';
import { afterPowerCut, openBooks } from './open-books.ts';
import { askAt, newFolder, removeFolder, type Answering } from './server.ts';

interface Kept {
  readonly id: string;
  readonly version: number;
  readonly kind: string;
  readonly note: string;
}
interface Body extends Kept {
  readonly detail: string;
  readonly errors: readonly { readonly field: string; readonly sentence: string }[];
  readonly records: readonly Kept[];
  readonly journal: readonly Kept[];
  readonly feeds: readonly { readonly id: string; readonly lastReadAt: string | null }[];
  readonly feed: { readonly id: string };
  readonly path: string;
}

const { temperatureC, rainMm, evapotranspirationMm } = MILD;
const CLIMATE = { temperatureC, rainMm, evapotranspirationMm };

const folder = newFolder();
let server: Answering;
const ask = (method: string, path: string, json?: unknown) => askAt<Body>(server, method, path, json);
const post = (...records: object[]) => ask('POST', '/api/gardens/garden/journal', { records });
const journal = async () => (await ask('GET', '/api/gardens/garden/books')).body.journal;

const seen = (id: string, change: object = {}) => ({
  id,
  kind: 'observation',
  date: '2026-05-10',
  note: '',
  bedId: 'bed',
  plantingId: null,
  photoId: null,
  observed: { type: 'leafColor', step: 2 },
  ...change,
});
const lay = {
  type: 'lay',
  state: 'planned',
  date: '2026-05-20',
  note: '',
  materialId: 'chips_mixed',
  amount: 5,
  unit: 'cm',
  dugDepthCm: 0,
  seasonedMonths: 0,
};

beforeAll(async () => {
  server = openBooks(join(folder, 'own.sqlite'));
  const { version, createdAt, updatedAt, gardenId, ...bed } = bedOf({ startedOn: '2025-03-01' });
  await ask('POST', '/api/gardens', { ...GARDEN, climate: CLIMATE });
  await ask('POST', '/api/gardens/garden/beds', bed);
  await ask('POST', '/api/beds/bed/entries', { ...lay, id: 'plan' });
});
afterAll(async () => {
  await server.stop();
  removeFolder(folder);
});

describe('the journal', () => {
  it('keeps an observation once, however often a phone sends it', async () => {
    const first = await post(seen('leaf'));
    const again = await post(seen('leaf'));
    expect([first.status, again.status]).toEqual([201, 201]);
    expect(again.body.records[0]).toMatchObject({ id: 'leaf', version: 1 });
    expect((await journal()).filter(({ id }) => id === 'leaf')).toHaveLength(1);
  });
  it('keeps what two phones write at once, and loses neither when they write under one name', async () => {
    const both = await Promise.all([post(seen('one')), post(seen('two', { note: 'from the other phone' }))]);
    expect(both.map(({ status }) => status)).toEqual([201, 201]);
    const clash = await post(seen('one', { note: 'another thought' }));
    expect(clash.status).toBe(409);
    expect(clash.body).toMatchObject({ current: { id: 'one', note: '' } });
  });
  it('refuses what cannot have been, naming the field, and keeps nothing of that sending', async () => {
    const cases: [object, string, RegExp][] = [
      [{ date: '2026-05-15' }, 'records.1.date', /in the future.*today is 2026-05-14/],
      [{ date: '2025-02-01' }, 'records.1.date', /before the bed was made on 2025-03-01/],
      [{ bedId: 'nowhere' }, 'records.1.bedId', /names no bed/],
      [{ plantingId: 'nothing' }, 'records.1.plantingId', /nothing that grows/],
      [{ photoId: 'unsent' }, 'records.1.photoId', /no photo/],
      [{ observed: { type: 'leafColor', step: 5 } }, 'records.1.observed.step', /./],
      [
        { observed: { type: 'thickness', layerId: 'gone', thicknessCm: 3 } },
        'records.1.observed.layerId',
        /./,
      ],
      [{ observed: { type: 'worms', count: 2.5 } }, 'records.1.observed.count', /./],
    ];
    for (const [change, field, sentence] of cases) {
      const { status, body } = await post(seen('fine'), seen('wrong', change));
      expect([field, [400, 422, 404].includes(status)]).toEqual([field, true]);
      expect(body.errors[0].field).toBe(field);
      expect(body.errors[0].sentence).toMatch(sentence);
      expect((await journal()).some(({ id }) => id === 'fine')).toBe(false);
    }
  });
  it('changes, removes and brings back, and a stale change is told', async () => {
    await post(seen('mend'));
    const { id, ...draft } = seen('mend', { note: 'older leaves' });
    expect((await ask('PUT', `/api/journal/${id}`, { ...draft, version: 1 })).body.note).toBe('older leaves');
    expect((await ask('PUT', `/api/journal/${id}`, { ...draft, version: 1 })).status).toBe(409);
    const asMark = {
      version: 2,
      kind: 'mark',
      date: '2026-05-10',
      note: '',
      taskKey: 'x',
      state: 'done',
      dueOn: '2026-05-10',
      untilDate: null,
    };
    expect((await ask('PUT', `/api/journal/${id}`, asMark)).status).toBe(422);
    expect((await ask('DELETE', `/api/journal/${id}?version=2`)).status).toBe(204);
    expect((await journal()).some((one) => one.id === id)).toBe(false);
    expect((await ask('POST', `/api/journal/${id}/restore`)).status).toBe(200);
  });
  it('keeps trials with readings of plots there are, and only from when they began', async () => {
    const trial = {
      id: 'pots',
      kind: 'trial',
      date: '2026-04-01',
      note: '',
      bedId: null,
      name: 'Char in pots',
      place: 'pots',
      treatments: ['none', '10 %'],
      repeats: 4,
      seed: 7,
      measure: 'height',
      unit: 'cm',
      isMoreBetter: true,
    };
    const reading = {
      kind: 'plotReading',
      date: '2026-05-01',
      note: '',
      trialId: 'pots',
      plot: 3,
      value: 14,
    };
    expect((await post(trial, { ...reading, id: 'r1' })).status).toBe(201);
    expect((await post({ ...reading, id: 'r2', plot: 8 })).body.errors[0].sentence).toContain(
      'one of the 8 of this trial',
    );
    expect((await post({ ...reading, id: 'r3', date: '2026-03-01' })).body.errors[0].field).toBe(
      'records.0.date',
    );
    expect(
      (await post({ ...trial, id: 'twins', treatments: ['a', 'A '] })).body.errors[0].sentence,
    ).toContain('twice');
  });
  it('keeps every kind as it was sent, in order, and gives it back so', async () => {
    const sent = [
      seen('k1', {
        observed: { type: 'signs', signs: ['greenVeins', 'soilDry'], beganOn: '2026-05-01' },
        note: 'at the end',
      }),
      seen('k2', { observed: { type: 'soilTemperature', temperatureC: 11.5 } }),
      {
        id: 'k3',
        kind: 'mark',
        date: '2026-05-12',
        note: 'rain',
        taskKey: 'close:bed:2026',
        state: 'dropped',
        dueOn: '2026-11-01',
        untilDate: null,
      },
      {
        id: 'k4',
        kind: 'brew',
        date: '2026-05-12',
        note: '',
        brewId: 'compostTea',
        litres: 10,
        state: 'going',
      },
      {
        id: 'k5',
        kind: 'yearClose',
        date: '2026-05-12',
        note: '',
        bedId: 'bed',
        year: 2026,
        choice: 'stack',
        carbonGPerM2: 5000.25,
        nitrogenGPerM2: 410.5,
        organicMatterPct: 4.1,
      },
    ];
    expect((await post(...sent)).status).toBe(201);
    const kept = (await journal()).filter(({ id }) => /^k\d$/.test(id));
    const byId = new Map(kept.map((one) => [one.id, one]));
    for (const one of sent) expect(byId.get(one.id)).toMatchObject(one);
    expect(byId.get('k4')).not.toHaveProperty('bedId');
    expect((await post({ ...sent[4], id: 'k6', year: 2027 })).body.errors[0].sentence).toContain(
      'has not begun',
    );
    expect((await post({ ...sent[3], id: 'k7', litres: 0 })).body.errors[0].field).toBe('records.0.litres');
  });
  it('is left out of a bed that does not learn from it, and that is kept with the bed', async () => {
    const bedIn = async () =>
      (
        (await ask('GET', '/api/gardens/garden/books')).body as unknown as {
          beds: (object & { learnsFromLog: boolean })[];
        }
      ).beds[0];
    expect((await bedIn()).learnsFromLog).toBe(true);
    const { id, gardenId, createdAt, updatedAt, ...bed } = (await bedIn()) as Record<string, unknown>;
    expect((await ask('PUT', '/api/beds/bed', { ...bed, learnsFromLog: false })).status).toBe(200);
    expect((await bedIn()).learnsFromLog).toBe(false);
  });
  it('survives a power cut right after it was acknowledged', async () => {
    await post(seen('last words'.replace(' ', '-')));
    server = await afterPowerCut(server);
    expect((await journal()).some(({ id }) => id === 'last-words')).toBe(true);
  });
});

describe('photos', () => {
  const put = (id: string, body: BodyInit) =>
    server.request(`/api/gardens/garden/photos/${id}`, { method: 'PUT', body });
  it('are kept beside the database, without where they were taken', async () => {
    expect((await put('pic', phoneJpeg())).status).toBe(201);
    expect((await put('pic', phoneJpeg())).status).toBe(200);
    const answer = await server.request(`/api/photos/pic`);
    expect(answer.headers.get('content-type')).toBe('image/jpeg');
    const picture = Buffer.from(await answer.arrayBuffer());
    expect(await exifr.gps(picture)).toBeUndefined();
    expect(readdirSync(`${server.file}-photos`)).toEqual(['pic']);
    expect((await post(seen('with-photo', { photoId: 'pic', observed: { type: 'note' } }))).status).toBe(201);
  });
  it('that are none, too large, or another under the same name are refused and leave nothing behind', async () => {
    const wrong = await put('text', 'this is a letter');
    expect(wrong.status).toBe(422);
    expect(((await wrong.json()) as Body).errors[0].field).toBe('photo');
    expect((await put('huge', new Uint8Array(9 * 1024 * 1024))).status).toBe(413);
    expect((await put('..%2Fout', phoneJpeg())).status).toBe(422);
    expect((await put('pic', grayJpeg())).status).toBe(409);
    expect(readdirSync(`${server.file}-photos`)).toEqual(['pic']);
    expect(existsSync(join(folder, 'out'))).toBe(false);
  });
  it('may be several to one observation, each of which was sent', async () => {
    expect((await put('pic-2', phoneJpeg())).status).toBe(201);
    const both = seen('two-photos', { photoId: 'pic', morePhotoIds: ['pic-2'], observed: { type: 'note' } });
    expect((await post(both)).status).toBe(201);
    expect((await journal()).find(({ id }) => id === 'two-photos')).toMatchObject({
      morePhotoIds: ['pic-2'],
    });
    const unsent = await post({ ...both, id: 'third', morePhotoIds: ['pic-2', 'unsent'] });
    expect([unsent.status, unsent.body.errors[0].field]).toEqual([422, 'records.0.morePhotoIds.1']);
  });
});

describe('what a line said before', () => {
  const earlier = (path: string) =>
    ask('GET', `/api/gardens/${path}/earlier`) as unknown as Promise<{
      status: number;
      body: { earlier: { replacedAt: string; record: { version: number; note: string; date: string } }[] };
    }>;
  it('is kept with every change, the last first, for observations and entries alike', async () => {
    await post(seen('changed', { note: 'first' }));
    for (const [i, note] of ['second', 'third'].entries()) {
      const { id: _, ...fields } = seen('changed', { note });
      expect((await ask('PUT', '/api/journal/changed', { ...fields, version: i + 1 })).status).toBe(200);
    }
    const { status, body } = await earlier('garden/log/journal/changed');
    expect(status).toBe(200);
    expect(body.earlier.map(({ record }) => [record.version, record.note])).toEqual([
      [2, 'second'],
      [1, 'first'],
    ]);
    expect(body.earlier[0].replacedAt).toMatch(/^\d{4}-\d\d-\d\dT/);
    const water = { type: 'water', state: 'laid', date: '2026-05-10', note: '', waterMm: 10 };
    await ask('POST', '/api/beds/bed/entries', { ...water, id: 'rain' });
    await ask('PUT', '/api/entries/rain', { ...water, waterMm: 12, version: 1 });
    expect((await earlier('garden/log/entries/rain')).body.earlier).toMatchObject([
      { record: { id: 'rain', waterMm: 10 } },
    ]);
  });
  it('is empty for what was never changed, and nothing for what is not there or in another garden', async () => {
    await post(seen('untouched'));
    expect((await earlier('garden/log/journal/untouched')).body.earlier).toEqual([]);
    expect((await earlier('garden/log/journal/nothing')).status).toBe(404);
    expect((await earlier('garden/log/secrets/changed')).status).toBe(404);
    expect((await earlier('elsewhere/log/journal/changed')).status).toBe(404);
  });
});

describe('the calendar as a file', () => {
  const events = async (path: string) => {
    const answer = await server.request(path);
    const text = await answer.text();
    expect([answer.status, answer.headers.get('content-type')]).toEqual([
      200,
      'text/calendar; charset=utf-8',
    ]);
    const calendar = new ICAL.Component(ICAL.parse(text) as unknown[] as [string, [], []]);
    return calendar.getAllSubcomponents('vevent').map((one) => new ICAL.Event(one));
  };
  const fileOf = () => events('/api/gardens/garden/calendar.ics');

  it('is read by another parser: whole days, ids of their own, what hangs on it', async () => {
    const all = await fileOf();
    const plan = all.find(({ uid }) => uid.startsWith('entry:plan@'))!;
    expect(plan.summary).toContain('First bed: Spread');
    expect([plan.startDate.toString(), plan.startDate.isDate]).toEqual(['2026-05-20', true]);
    expect(new Set(all.map(({ uid }) => uid)).size).toBe(all.length);
    expect(all.some(({ summary }) => summary.includes('Sample the soil'))).toBe(true);
  });
  it('moves an event whose plan moves, and drops it when the plan is ticked off', async () => {
    const before = (await fileOf()).find(({ uid }) => uid.startsWith('entry:plan@'))!;
    await ask('PUT', '/api/entries/plan', { ...lay, version: 1, date: '2026-06-02' });
    const after = (await fileOf()).filter(({ uid }) => uid === before.uid);
    expect(after.map(({ startDate }) => startDate.toString())).toEqual(['2026-06-02']);
    expect(after[0].sequence).toBeGreaterThanOrEqual(before.sequence);
    await ask('PUT', '/api/entries/plan', { ...lay, version: 2, state: 'laid', date: '2026-05-14' });
    expect((await fileOf()).some(({ uid }) => uid === before.uid)).toBe(false);
  });
  it('rings when it is asked to, is thinned out by kind and bed, and leads back to its page', async () => {
    const all = await fileOf();
    expect(all.every(({ component }) => component.getFirstSubcomponent('valarm') === null)).toBe(true);
    const triggers = async (alarm: string) => {
      const rung = await events(`/api/gardens/garden/calendar.ics?alarm=${alarm}`);
      const found = rung.flatMap(({ component }) => component.getFirstSubcomponent('valarm') ?? []);
      return new Set(found.map((one) => String(one.getFirstPropertyValue('trigger'))));
    };
    expect(await triggers('morning')).toEqual(new Set(['PT8H']));
    expect(await triggers('dayBefore')).toEqual(new Set(['-PT16H']));
    const testing = await events('/api/gardens/garden/calendar.ics?kinds=testing');
    expect(testing.length).toBeGreaterThan(0);
    expect(testing.length).toBeLessThan(all.length);
    expect(await events('/api/gardens/garden/calendar.ics?beds=nobody')).toEqual([]);
    for (const event of testing) {
      expect(String(event.component.getFirstPropertyValue('url'))).toMatch(
        /\/garden\/garden\/(bed\/|calendar)/,
      );
      expect(event.description).toContain('/garden/garden/');
    }
    expect((await server.request('/api/gardens/garden/calendar.ics?alarm=loud')).status).toBe(422);
  });
  it('is served to whoever has a secret address, until that is revoked', async () => {
    const made = await ask('POST', '/api/gardens/garden/feeds', { name: 'Kitchen phone' });
    expect(made.status).toBe(201);
    const { feed, path } = made.body;
    expect((await events(path)).length).toBeGreaterThan(0);
    const listed = (await ask('GET', '/api/gardens/garden/feeds')).body.feeds;
    expect(listed.find(({ id }) => id === feed.id)?.lastReadAt).toBeTruthy();
    expect(JSON.stringify(listed)).not.toContain(path.slice(8, 20));
    expect((await server.request(`/feeds/AAAA${path.slice(11)}`)).status).toBe(404);
    expect((await ask('DELETE', `/api/feeds/${feed.id}`)).status).toBe(204);
    expect((await server.request(path)).status).toBe(404);
    expect((await ask('DELETE', `/api/feeds/${feed.id}`)).status).toBe(404);
  });
  it('leaves out what was ticked off or put off, and brings it back on its day', async () => {
    const task = (await fileOf()).find(({ uid }) => uid.startsWith('retest:'))!;
    const key = task.uid.slice(0, task.uid.indexOf('@'));
    const mark = {
      id: 'off',
      kind: 'mark',
      date: '2026-05-14',
      note: 'the laboratory is shut',
      taskKey: key,
      dueOn: task.startDate.toString(),
      untilDate: '2027-04-01',
    };
    await post({ ...mark, state: 'snoozed' });
    const put = (await fileOf()).find(({ uid }) => uid === task.uid)!;
    expect(put.startDate.toString()).toBe('2027-04-01');
    expect(put.description).toContain('the laboratory is shut');
    await post({ ...mark, id: 'done', state: 'done', untilDate: null });
    expect((await fileOf()).some(({ uid }) => uid === task.uid)).toBe(false);
  });
});
