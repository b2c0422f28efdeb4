import { statSync } from 'node:fs';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { Problem } from '../../src/contract/problem.ts';
import { GARDEN } from '../fixtures/books.ts';
import { openBooks } from './open-books.ts';
import { raw } from './raw-request.ts';
import { askAt, newFolder, removeFolder, startServer, type RunningServer } from './server.ts';

const folder = newFolder();
let server: RunningServer;
beforeAll(async () => {
  server = await startServer(join(folder, 'a.sqlite'));
  await askAt(server, 'POST', '/api/gardens', GARDEN);
});
afterAll(async () => {
  await server.stop();
  removeFolder(folder);
});

describe('who may talk to the server', () => {
  it.each([
    'vine.example',
    '10.0.0.1:4180',
    'localhost.evil.example',
    '127.0.0.1.evil.example',
    '',
    '[',
    'a b',
  ])('no page that was rebound to it: Host %j', async (host) => {
    const answer = await raw(server.address, 'GET', '/api/gardens', { host });
    expect([400, 403]).toContain(answer.status);
    expect(answer.text).not.toMatch(/Trial plot/);
  });

  it.each([
    ['another site', { origin: 'https://evil.example' }],
    ['another port of this machine', { origin: 'http://127.0.0.1:1' }],
    ['a file', { origin: 'null' }],
    ['a page without an origin, elsewhere', { 'sec-fetch-site': 'cross-site' }],
    ['a page of the same machine', { 'sec-fetch-site': 'same-site' }],
  ])('no form or script of %s writes', async (_, headers) => {
    const answer = await askAt<Problem>(server, 'POST', '/api/gardens', { ...GARDEN, id: 'evil' }, headers);
    expect(answer.status).toBe(403);
    expect(answer.body.detail).toMatch(/Another site/);
  });

  it('a form sent as text is no JSON, and nothing is kept of it', async () => {
    const answer = await raw(
      server.address,
      'POST',
      '/api/gardens',
      { 'content-type': 'text/plain' },
      JSON.stringify({ ...GARDEN, id: 'evil' }),
    );
    expect(answer.status).toBe(415);
    expect((await raw(server.address, 'GET', '/api/gardens', {})).text).not.toMatch(/evil/);
  });

  it('forbids scripts and connections from elsewhere, frames and guesses at types', async () => {
    const { headers } = await raw(server.address, 'GET', '/api/health', {});
    const policy = String(headers['content-security-policy']);
    expect(policy).toMatch(/default-src 'none'/);
    expect(policy).toMatch(/script-src 'self' 'wasm-unsafe-eval'/);
    expect(policy).not.toMatch(/unsafe-inline'.*script-src|script-src[^;]*unsafe-inline/);
    expect(policy).toMatch(/frame-ancestors 'none'/);
    expect(headers['x-content-type-options']).toBe('nosniff');
    expect(headers['access-control-allow-origin']).toBeUndefined();
  });
});

describe('what the server takes', () => {
  it.each([
    '/api/photos/..%2F..%2Fetc%2Fpasswd',
    '/api/backups/..%2f..%2fa.sqlite',
    '/assets/../../package.json',
    '/assets/..%2f..%2fpackage.json',
    '/%2e%2e/%2e%2e/etc/passwd',
    '/feeds/..%2f..%2fpackage.json.ics',
  ])('leads out of no folder: %s', async (path) => {
    const { status, text } = await raw(server.address, 'GET', path, {});
    expect(status).not.toBe(500);
    expect(text).not.toMatch(/root:|vine-ledger-test|"private"|SQLite/);
  });

  it('is answered without leave for caches to keep it, and asks nothing of other names of the domain', async () => {
    const answer = await fetch(`${server.address}/api/gardens`);
    expect(answer.headers.get('cache-control')).toBe('no-store');
    expect(answer.headers.get('strict-transport-security')).not.toMatch(/includeSubDomains/);
  });

  it('is refused when another site asks, by browsers that say so, for reading too', async () => {
    const from = (site: string) => raw(server.address, 'GET', '/api/gardens', { 'sec-fetch-site': site });
    expect((await from('cross-site')).status).toBe(403);
    expect((await from('same-site')).status).toBe(403);
    expect((await from('same-origin')).status).toBe(200);
    expect((await from('none')).status).toBe(200);
  });

  it('names a product to feed with that is known', async () => {
    const odd = { ...GARDEN, id: 'odd', feedMaterialId: 'moondust' };
    const answer = await askAt<Problem>(server, 'POST', '/api/gardens', odd);
    expect([answer.status, answer.body.errors?.[0]?.field]).toEqual([422, 'feedMaterialId']);
  });

  it('is kept in files for the owner alone', () => {
    expect(statSync(join(folder, 'a.sqlite')).mode & 0o077).toBe(0);
  });

  it('is no larger than it needs to be', async () => {
    const answer = await askAt<Problem>(server, 'POST', '/api/gardens', {
      ...GARDEN,
      place: 'x'.repeat(1_100_000),
    });
    expect([answer.status, answer.body.detail]).toEqual([413, expect.stringMatching(/more than 1 MB/)]);
  });

  it('is told so when it comes in chunks that do not say how many, and the next request is answered', async () => {
    const chunks = { 'content-type': 'application/json', 'transfer-encoding': 'chunked' };
    const large = `"${'x'.repeat(4 * 1024 * 1024)}"`;
    const answer = await raw(server.address, 'POST', '/api/gardens', chunks, large);
    expect([answer.status, answer.text]).toEqual([413, expect.stringMatching(/more than 1 MB/)]);
    // Nobody is cut off before all is sent: who is would not read the answer.
    expect(answer.headers['connection']).not.toBe('close');
    const own = JSON.stringify({ ...GARDEN, id: 'in-chunks' });
    expect((await raw(server.address, 'POST', '/api/gardens', chunks, own)).status).toBe(201);
    expect((await raw(server.address, 'GET', '/api/gardens', {})).status).toBe(200);
  });

  it('is not nested to exhaust it, in strings or out of them', async () => {
    const deep = `${'{"a":'.repeat(5000)}1${'}'.repeat(5000)}`;
    for (const path of ['/api/gardens', '/api/imports', '/api/gardens/garden/stock']) {
      expect((await askAt(server, 'POST', path, deep)).status).toBe(400);
    }
    const brackets = { ...GARDEN, id: 'brackets', place: `"${'[{'.repeat(500)}\\` };
    expect((await askAt(server, 'POST', '/api/gardens', brackets)).status).toBe(201);
  });

  it('does not reach into the objects the server is made of', async () => {
    const text = JSON.stringify({ ...GARDEN, id: 'proto' }).replace('{', '{"__proto__":{"isEvil":true},');
    const answer = await askAt(server, 'POST', '/api/gardens', text);
    expect([201, 422]).toContain(answer.status);
    expect(({} as { isEvil?: boolean }).isEvil).toBeUndefined();
    expect((await raw(server.address, 'GET', '/api/gardens', {})).text).not.toMatch(/isEvil/);
  });
});

describe('two at once', () => {
  it('a double click keeps one', async () => {
    const draft = { ...GARDEN, id: 'twice' };
    const answers = await Promise.all(
      [1, 2, 3, 4].map(() => askAt<Problem>(server, 'POST', '/api/gardens', draft)),
    );
    expect(answers.map(({ status }) => status).sort()).toEqual([200, 200, 200, 201]);
  });

  it('of two windows that write the same record one wins, and the other is given the newer one', async () => {
    await askAt(server, 'POST', '/api/gardens', { ...GARDEN, id: 'shared' });
    const { id, ...fields } = GARDEN;
    const answers = await Promise.all(
      ['North', 'South'].map((name) =>
        askAt<Problem & { name: string; current: { name: string } }>(server, 'PUT', '/api/gardens/shared', {
          ...fields,
          name,
          version: 1,
        }),
      ),
    );
    expect(answers.map(({ status }) => status).sort()).toEqual([200, 409]);
    const won = answers.find(({ status }) => status === 200)!;
    const lost = answers.find(({ status }) => status === 409)!;
    expect(lost.body.current.name).toBe(won.body.name);
    expect(lost.body.detail).toMatch(/Nothing was overwritten/);
  });
});

describe('many large bodies at once', () => {
  it('are read a few at a time; the others are asked to come again, and small ones go on', async () => {
    const ends: (() => void)[] = [];
    const openEnded = () =>
      new ReadableStream<Uint8Array>({
        start: (controller) => {
          controller.enqueue(new TextEncoder().encode('{"rows":['));
          ends.push(() => controller.close());
        },
      });
    const books = openBooks(join(folder, 'bodies.sqlite'));
    await askAt(books, 'POST', '/api/gardens', GARDEN);
    const send = () =>
      books.request('/api/gardens/garden/imports', {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: openEnded(),
        duplex: 'half',
      } as RequestInit);
    const held = [send(), send(), send(), send()];
    const fifth = await send();
    expect([fifth.status, fifth.headers.get('retry-after')]).toEqual([503, '5']);
    const small = await askAt(books, 'POST', '/api/gardens', { ...GARDEN, id: 'small' });
    expect(small.status).toBe(201);
    ends.forEach((end) => end());
    expect((await Promise.all(held)).map(({ status }) => status)).toEqual([400, 400, 400, 400]);
    const later = send();
    ends.at(-1)!();
    expect((await later).status).toBe(400);
    await books.stop();
  });
});

describe('half a character', () => {
  const HALF = String.raw`"\ud83c"`;
  const send = (path: string, body: string) =>
    server.request(path, { method: 'POST', headers: { 'content-type': 'application/json' }, body });
  it('is refused, with the field in which it stands; whole ones are kept as they are', async () => {
    const garden = JSON.stringify({ ...GARDEN, id: 'half', place: '*' });
    const refused = await send('/api/gardens', garden.replace('"*"', HALF));
    expect([refused.status, ((await refused.json()) as Problem).detail]).toEqual([
      422,
      'The text of place holds half a character, which cannot be kept. Type it anew.',
    ]);
    const whole = await send('/api/gardens', garden.replace('"*"', String.raw`"\ud83c\udf31"`));
    expect([whole.status, ((await whole.json()) as { place: string }).place]).toEqual([201, '🌱']);
  });
  it('is refused in a garden file too', async () => {
    const { body } = await askAt<object>(server, 'GET', '/api/gardens/garden/garden.json');
    const file = JSON.stringify(body).replace('"place":""', `"place":${HALF}`);
    const refused = await send('/api/imports?copy=true', file);
    expect([refused.status, ((await refused.json()) as Problem).detail]).toEqual([
      422,
      expect.stringContaining('garden.place'),
    ]);
  });
});
