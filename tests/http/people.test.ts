import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { Person, Signature, Visit, Visitor } from '../../src/contract/people.ts';
import type { Problem } from '../../src/contract/problem.ts';
import { setPassphrase } from '../../src/server/access.ts';
import { bedOf, GARDEN } from '../fixtures/books.ts';
import { askAt, newFolder, removeFolder, startServer, type RunningServer } from './server.ts';

const folder = newFolder();
const KEEPERS = 'chips and sawdust and straw';
const ROBINS = 'rakes lean on the wall';
let server: RunningServer;
let keeper: { cookie: string };

const comeIn = async (login: object) => {
  const answer = await fetch(`${server.address}/api/session`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(login),
  });
  const state = (await answer.json()) as Problem & { visitor: Visitor | null };
  return { status: answer.status, state, cookie: (answer.headers.get('set-cookie') ?? '').split(';')[0] };
};
const ask = <Body>(who: { cookie: string }, method: string, path: string, body?: unknown) =>
  askAt<Body & Problem>(server, method, path, body, { cookie: who.cookie });

const watered = (id: string) => ({
  id,
  type: 'water',
  state: 'laid',
  date: '2026-05-01',
  note: '',
  waterMm: 5,
});

beforeAll(async () => {
  const file = join(folder, 'people.sqlite');
  await setPassphrase(`${file}.passphrase`, KEEPERS);
  server = await startServer(file, ['--host', '127.0.0.2']);
  keeper = await comeIn({ passphrase: KEEPERS });
  const { version, createdAt, updatedAt, gardenId, ...bed } = bedOf({});
  expect((await ask(keeper, 'POST', '/api/gardens', GARDEN)).status).toBe(201);
  expect((await ask(keeper, 'POST', '/api/gardens', { ...GARDEN, id: 'other' })).status).toBe(201);
  expect((await ask(keeper, 'POST', '/api/gardens/garden/beds', bed)).status).toBe(201);
  expect((await ask(keeper, 'POST', '/api/beds/bed/entries', watered('first'))).status).toBe(201);
  const robin = { id: 'robin', name: 'Robin', role: 'helper', passphrase: ROBINS };
  expect((await ask(keeper, 'POST', '/api/gardens/garden/people', robin)).status).toBe(201);
});
afterAll(async () => {
  await server.stop();
  removeFolder(folder);
});

describe('a helper', () => {
  it('comes in by name and passphrase, capitals or not, and sees one garden', async () => {
    const robin = await comeIn({ name: ' robin', passphrase: ROBINS });
    expect([robin.status, robin.state.visitor]).toEqual([
      200,
      { personId: 'robin', name: 'Robin', role: 'helper', isLink: false, gardenId: 'garden' },
    ]);
    const { body } = await ask<{ gardens: { id: string }[] }>(robin, 'GET', '/api/gardens');
    expect(body.gardens.map(({ id }) => id)).toEqual(['garden']);
    expect((await ask(robin, 'GET', '/api/gardens/other/books')).status).toBe(404);
    const renamed = await ask(robin, 'PUT', '/api/gardens/garden', { ...GARDEN, version: 1 });
    expect([renamed.status, renamed.body.detail]).toEqual([
      403,
      'Helpers write in the beds, the stock and the log. This is for the owner of the garden.',
    ]);
  });

  it('leaves a name under what they write and change; what the keeper writes bears none', async () => {
    const robin = await comeIn({ name: 'Robin', passphrase: ROBINS });
    expect((await ask(robin, 'POST', '/api/beds/bed/entries', watered('second'))).status).toBe(201);
    const { id, ...draft } = watered('first');
    const change = { ...draft, version: 1, waterMm: 8 };
    expect((await ask(robin, 'PUT', '/api/entries/first', change)).status).toBe(200);
    const { status } = await ask(keeper, 'PUT', `/api/entries/${id}`, { ...change, version: 2, waterMm: 9 });
    expect(status).toBe(200);
    const observed = { type: 'growth', vigor: 'steady' };
    const leaning = { bedId: 'bed', plantingId: null, photoId: null };
    const seen = { id: 'seen', kind: 'observation', date: '2026-05-02', note: 'slugs', ...leaning, observed };
    const noted = await ask(robin, 'POST', '/api/gardens/garden/journal', { records: [seen] });
    expect(noted.status).toBe(201);
    const { body } = await ask<{ signatures: Signature[] }>(robin, 'GET', '/api/gardens/garden/signatures');
    expect(body.signatures).toEqual([
      { book: 'entries', id: 'first', version: 2, name: 'Robin' },
      { book: 'entries', id: 'second', version: 1, name: 'Robin' },
      { book: 'journal', id: 'seen', version: 1, name: 'Robin' },
    ]);
    expect((await ask(robin, 'GET', '/api/gardens/other/signatures')).status).toBe(404);
  });

  it('is kept out by a wrong passphrase, another name, and the passphrase of the books under a name', async () => {
    for (const login of [
      { name: 'Robin', passphrase: KEEPERS },
      { name: 'Wren', passphrase: ROBINS },
      { passphrase: ROBINS },
    ]) {
      expect((await comeIn(login)).status).toBe(401);
    }
    expect((await comeIn({ name: 'Robin' })).status).toBe(422);
  });

  it('ends with a changed passphrase, and when removed; the name stays under what was written', async () => {
    const robin = await comeIn({ name: 'Robin', passphrase: ROBINS });
    const change = { role: 'reader', passphrase: 'another four or five words' };
    expect((await ask<Person>(keeper, 'PUT', '/api/people/robin', change)).body.role).toBe('reader');
    expect((await ask(robin, 'GET', '/api/gardens')).status).toBe(401);
    const again = await comeIn({ name: 'Robin', passphrase: change.passphrase });
    const refused = await ask(again, 'POST', '/api/beds/bed/entries', watered('third'));
    expect([refused.status, refused.body.detail]).toEqual([
      403,
      'You may read this garden, not write in it.',
    ]);
    expect((await ask(keeper, 'DELETE', '/api/people/robin')).status).toBe(204);
    expect((await ask(again, 'GET', '/api/gardens')).status).toBe(401);
    expect((await ask(keeper, 'DELETE', '/api/people/robin')).status).toBe(404);
    const { body } = await ask<{ signatures: Signature[] }>(keeper, 'GET', '/api/gardens/garden/signatures');
    expect(body.signatures.map(({ name }) => name)).toEqual(['Robin', 'Robin', 'Robin']);
  });
});

describe('what lies in another garden', () => {
  it('is reached by no request that names it in its body', async () => {
    const wren = { name: 'Wren', role: 'owner', passphrase: 'the hedge is full of nests' };
    expect((await ask(keeper, 'POST', '/api/gardens/other/people', wren)).status).toBe(201);
    const { version, createdAt, updatedAt, gardenId, ...bed } = bedOf({ id: 'own' });
    expect((await ask(keeper, 'POST', '/api/gardens/other/beds', bed)).status).toBe(201);
    const pile = { id: 'pile', name: 'Leaves', form: 'pile', keeping: 'open', isTurned: false, isHot: false };
    const lots = [{ ...pile, reserveL: 0, note: '' }];
    const stock = { materials: [], lots, movements: [] };
    expect((await ask(keeper, 'POST', '/api/gardens/garden/stock', stock)).status).toBe(201);
    expect((await ask(keeper, 'DELETE', '/api/entries/second?version=1')).status).toBe(204);

    const owner = await comeIn({ name: 'Wren', passphrase: wren.passphrase });
    const nothing = { creates: [], changes: [], removals: [], restores: [], order: [] };
    const planted = { creates: [], removals: [], restores: [] };
    const taken = { id: 'out', type: 'takeOut', state: 'laid', date: '2026-05-02', note: '', reason: 'used' };
    const took = { ...taken, lotId: 'pile', amount: 1, unit: 'litre' };
    const asked: [path: string, body: object][] = [
      ['/api/beds/own/revisions', { ...nothing, restores: ['second'] }],
      ['/api/beds/own/revisions', { ...nothing, removals: [{ id: 'first', version: 3 }] }],
      ['/api/beds/own/revisions', { ...nothing, order: ['first'] }],
      ['/api/gardens/other/plans', { beds: [{ bedId: 'bed', entries: nothing, plantings: planted }] }],
      [
        '/api/gardens/other/plans',
        { beds: [{ bedId: 'own', entries: { ...nothing, restores: ['second'] }, plantings: planted }] },
      ],
      ['/api/gardens/other/stock', { materials: [], lots: [], movements: [took] }],
      [
        '/api/gardens/other/stock/taken-back',
        { movements: [], lots: [{ id: 'pile', version: 1 }], entries: [] },
      ],
    ];
    for (const [path, body] of asked) {
      expect([path, (await ask(owner, 'POST', path, body)).status]).toEqual([path, 404]);
    }
    const { body: books } = await ask<{ entries: { id: string }[]; movements: object[] }>(
      keeper,
      'GET',
      '/api/gardens/garden/books',
    );
    expect([books.entries.map(({ id }) => id), books.movements]).toEqual([['first'], []]);
  });
});

describe('a name', () => {
  it('leads to one person in all of the books', async () => {
    const wren = { name: 'WREN', role: 'owner', passphrase: 'the hedge is full of nests' };
    const again = await ask(keeper, 'POST', '/api/gardens/garden/people', wren);
    expect([again.status, again.body.errors![0].field]).toEqual([422, 'name']);
    const short = await ask(keeper, 'POST', '/api/gardens/garden/people', { ...wren, passphrase: 'short' });
    expect([short.status, short.body.errors![0].field]).toEqual([422, 'passphrase']);
  });
});

describe('visits', () => {
  it('are listed for the keeper, and can be ended one by one', async () => {
    const wren = await comeIn({ name: 'Wren', passphrase: 'the hedge is full of nests' });
    const { body } = await ask<{ visits: Visit[] }>(keeper, 'GET', '/api/session/visits');
    const [last] = body.visits;
    expect([last.name, last.isOwn, body.visits.filter(({ isOwn }) => isOwn).map(({ name }) => name)]).toEqual(
      ['Wren', false, [null]],
    );
    expect((await ask(wren, 'GET', '/api/session/visits')).status).toBe(403);
    expect((await ask(keeper, 'DELETE', `/api/session/visits/${last.id}`)).status).toBe(204);
    expect((await ask(wren, 'GET', '/api/gardens')).status).toBe(401);
    expect((await ask(keeper, 'DELETE', `/api/session/visits/${last.id}`)).status).toBe(404);
  });
});

describe('a link', () => {
  it('lets anybody read one garden until it is ended', async () => {
    const { status, body: made } = await ask<{ person: Person; path: string }>(
      keeper,
      'POST',
      '/api/gardens/garden/links',
      { name: 'For the neighbors' },
    );
    expect([status, made.person.role, made.person.isLink]).toEqual([201, 'reader', true]);
    const link = made.path.replace('/look/', '');
    const guest = await comeIn({ link });
    expect(guest.state.visitor).toMatchObject({ role: 'reader', gardenId: 'garden' });
    expect((await ask(guest, 'GET', '/api/gardens/garden/books')).status).toBe(200);
    expect((await ask(guest, 'DELETE', '/api/entries/first?version=3')).status).toBe(403);
    expect((await ask(guest, 'GET', '/api/backups')).status).toBe(403);
    const { body } = await ask<{ people: Person[] }>(keeper, 'GET', '/api/gardens/garden/people');
    expect(JSON.stringify(body)).not.toContain(link);
    expect((await ask(keeper, 'DELETE', `/api/people/${made.person.id}`)).status).toBe(204);
    expect((await ask(guest, 'GET', '/api/gardens/garden/books')).status).toBe(401);
    const late = await comeIn({ link });
    expect([late.status, late.state.detail]).toEqual([
      401,
      'This link leads nowhere any more. Ask for another one.',
    ]);
  });
});

describe('an owner', () => {
  it('leaves a name under a large table that a thread reads in', async () => {
    const olga = { id: 'olga', name: 'Olga', role: 'owner', passphrase: 'a gate of woven hazel' };
    expect((await ask(keeper, 'POST', '/api/gardens/garden/people', olga)).status).toBe(201);
    const owner = await comeIn({ name: 'Olga', passphrase: olga.passphrase });
    const rows = Array.from({ length: 200 }, (_, i) => ({ ...watered(`table-${i}`), bedId: 'bed' }));
    const table = { collection: 'entries', summary: 'two hundred waterings', rows };
    const read = await ask<{ isWritten: boolean; importId: string }>(
      owner,
      'POST',
      '/api/gardens/garden/imports',
      table,
    );
    expect([read.status, read.body.isWritten]).toEqual([200, true]);
    const signed = await ask<{ signatures: Signature[] }>(owner, 'GET', '/api/gardens/garden/signatures');
    const own = signed.body.signatures.filter(({ id }) => id.startsWith('table-'));
    expect([own.length, new Set(own.map(({ name }) => name))]).toEqual([200, new Set(['Olga'])]);
    expect((await ask(keeper, 'POST', `/api/imports/${read.body.importId}/undo`)).status).toBe(200);
  });
});
