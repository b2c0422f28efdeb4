import { spawn } from 'node:child_process';
import { once } from 'node:events';
import { request } from 'node:http';
import { statSync } from 'node:fs';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { accessBy, setPassphrase } from '../../src/server/access.ts';
import type { Problem } from '../../src/contract/problem.ts';
import { GARDEN } from '../fixtures/books.ts';
import { openBooks } from './open-books.ts';
import { askAt, newFolder, removeFolder, startServer, type RunningServer } from './server.ts';

const folder = newFolder();
const PASSPHRASE = 'chips and sawdust and straw';
let server: RunningServer;
beforeAll(async () => {
  server = await startServer(join(folder, 'a.sqlite'));
  await askAt(server, 'POST', '/api/gardens', GARDEN);
});
afterAll(async () => {
  await server.stop();
  removeFolder(folder);
});

/** A request with headers and paths that fetch would put right. */
function raw(address: string, method: string, path: string, headers: Record<string, string>, body = '') {
  const { hostname, port } = new URL(address);
  return new Promise<{ status: number; text: string; headers: Record<string, unknown> }>(
    (resolve, reject) => {
      const sent = request(
        { hostname, port, method, path, headers, setHost: !('host' in headers) },
        (answer) => {
          let text = '';
          answer.on('data', (chunk: Buffer) => (text += chunk.toString()));
          answer.on('end', () => resolve({ status: answer.statusCode ?? 0, text, headers: answer.headers }));
        },
      );
      sent.on('error', reject);
      sent.end(body);
    },
  );
}

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
    const answer = await raw(
      server.address,
      'POST',
      '/api/gardens',
      chunks,
      `"${'x'.repeat(4 * 1024 * 1024)}"`,
    );
    expect([answer.status, answer.text]).toEqual([413, expect.stringMatching(/more than 1 MB/)]);
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

describe('books that other machines can reach', () => {
  const file = join(folder, 'open.sqlite');

  it('are not opened without a passphrase', async () => {
    const child = spawn(
      process.execPath,
      ['.cache/server/main.mjs', '--port', '0', '--host', '127.0.0.2', '--db', join(folder, 'x.sqlite')],
      { stdio: ['ignore', 'ignore', 'pipe'] },
    );
    let said = '';
    child.stderr.on('data', (chunk: Buffer) => (said += chunk.toString()));
    const [code] = (await once(child, 'close')) as [number];
    expect(code).toBe(1);
    expect(said).toMatch(/npm run passphrase/);
  });

  it('are shown to nobody before the passphrase is said, and to whoever has said it', async () => {
    await setPassphrase(`${file}.passphrase`, PASSPHRASE);
    expect(statSync(`${file}.passphrase`).mode & 0o077).toBe(0);
    const shared = await startServer(file, ['--host', '127.0.0.2']);
    try {
      const at = shared.address;
      for (const path of [
        '/api/gardens',
        '/api/backups',
        '/api/gardens/garden/garden.json',
        '/api/gardens/garden/calendar.ics',
      ]) {
        expect((await raw(at, 'GET', path, {})).status).toBe(401);
      }
      expect((await askAt(shared, 'POST', '/api/gardens', GARDEN)).status).toBe(401);
      // Nothing is read of what somebody sends who is not admitted, however much it is.
      const much = { ...GARDEN, place: 'x'.repeat(1_100_000) };
      expect((await askAt(shared, 'POST', '/api/gardens', much)).status).toBe(401);
      expect((await askAt(shared, 'POST', '/api/session', { passphrase: 'chips' })).status).toBe(401);
      const admitted = await fetch(`${at}/api/session`, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({ passphrase: PASSPHRASE }),
      });
      expect(admitted.status).toBe(200);
      const set = admitted.headers.get('set-cookie')!;
      expect(set).toMatch(/HttpOnly/i);
      expect(set).toMatch(/SameSite=Strict/i);
      const cookie = set.split(';')[0];
      expect((await askAt(shared, 'POST', '/api/gardens', GARDEN, { cookie })).status).toBe(201);
      expect((await askAt(shared, 'GET', '/api/gardens', undefined, { cookie: `${cookie}x` })).status).toBe(
        401,
      );
      expect((await raw(at, 'GET', '/api/gardens', { host: 'my-garden.local', cookie })).status).toBe(403);
      expect((await askAt(shared, 'DELETE', '/api/session', undefined, { cookie })).status).toBe(204);
      expect((await askAt(shared, 'GET', '/api/gardens', undefined, { cookie })).status).toBe(401);
    } finally {
      await shared.stop();
    }
  });

  it('slow down whoever guesses, however many guesses come at once', async () => {
    const shared = await startServer(file, ['--host', '127.0.0.2', '--allow-host', 'my-garden.local']);
    try {
      const guesses = await Promise.all(
        Array.from({ length: 12 }, (_, i) =>
          askAt<Problem>(shared, 'POST', '/api/session', { passphrase: `a wrong passphrase ${i}` }),
        ),
      );
      const statuses = guesses.map(({ status }) => status).sort();
      expect(statuses).toEqual([...Array<number>(5).fill(401), ...Array<number>(7).fill(429)]);
      const right = await askAt<Problem>(shared, 'POST', '/api/session', { passphrase: PASSPHRASE });
      expect([right.status, right.body.detail]).toEqual([
        429,
        expect.stringMatching(/Try again in 15 minutes/),
      ]);
      const named = await raw(shared.address, 'GET', '/api/health', { host: 'my-garden.local' });
      expect(named.status).toBe(200);
    } finally {
      await shared.stop();
    }
  });

  it('let a guesser try again when the time is over, and end a visit after a month', async () => {
    let clock = 0;
    const access = accessBy(`${file}.passphrase`, () => clock);
    for (let i = 0; i < 5; i++) expect((await access.admit(`wrong ${i}`, 'a')).outcome).toBe('wrong');
    expect(await access.admit(PASSPHRASE, 'a')).toMatchObject({ outcome: 'wait' });
    expect((await access.admit(PASSPHRASE, 'b')).outcome).toBe('admitted');
    clock += 15 * 60_000 + 1;
    const admission = await access.admit(PASSPHRASE, 'a');
    if (admission.outcome !== 'admitted') throw new Error('not admitted');
    expect(access.isAdmitted(admission.token)).toBe(true);
    clock += 31 * 24 * 3_600_000;
    expect(access.isAdmitted(admission.token)).toBe(false);
  });

  it('are not opened without a passphrase either when another name or a proxy leads to them', async () => {
    for (const way of [['--allow-host', 'my-garden.example'], ['--trust-proxy']]) {
      await expect(startServer(join(folder, 'y.sqlite'), way)).rejects.toThrow(/npm run passphrase/);
    }
  });

  it('count the guesses of each caller behind a proxy, and believe nobody without one', async () => {
    await setPassphrase(`${file}.passphrase`, PASSPHRASE);
    const guess = (at: RunningServer, from: string, passphrase = 'a wrong passphrase') =>
      askAt(
        at,
        'POST',
        '/api/session',
        { passphrase },
        { 'x-forwarded-for': from, 'x-forwarded-proto': 'https' },
      );
    const behind = await startServer(file, ['--trust-proxy']);
    try {
      for (let i = 0; i < 5; i++) expect((await guess(behind, '203.0.113.9')).status).toBe(401);
      expect((await guess(behind, '203.0.113.9', PASSPHRASE)).status).toBe(429);
      // What a caller writes there of itself stands before what the proxy adds.
      expect((await guess(behind, '198.51.100.7, 203.0.113.9', PASSPHRASE)).status).toBe(429);
      const owner = await fetch(`${behind.address}/api/session`, {
        method: 'POST',
        headers: {
          'content-type': 'application/json',
          'x-forwarded-for': '198.51.100.7',
          'x-forwarded-proto': 'https',
        },
        body: JSON.stringify({ passphrase: PASSPHRASE }),
      });
      expect([owner.status, owner.headers.get('set-cookie')]).toEqual([
        200,
        expect.stringMatching(/^__Host-vine_ledger_session=.*Path=\/.*Secure/),
      ]);
    } finally {
      await behind.stop();
    }
    const alone = await startServer(file, ['--host', '127.0.0.2']);
    try {
      for (let i = 0; i < 5; i++) expect((await guess(alone, `203.0.113.${i}`)).status).toBe(401);
      expect((await guess(alone, '203.0.113.99', PASSPHRASE)).status).toBe(429);
    } finally {
      await alone.stop();
    }
  });

  it('let one in who has not guessed, however many others do, and one visitor on', async () => {
    let clock = 0;
    const access = accessBy(`${file}.passphrase`, () => clock);
    const visit = await access.admit(PASSPHRASE, 'owner');
    if (visit.outcome !== 'admitted') throw new Error('not admitted');
    for (let i = 0; i < 50; i++) await access.admit('a wrong passphrase', `robot ${i}`);
    expect(await access.admit(PASSPHRASE, 'owner')).toEqual({ outcome: 'wait', seconds: 5 });
    expect(access.isAdmitted(visit.token)).toBe(true);
    clock += 5000;
    expect((await access.admit(PASSPHRASE, 'owner')).outcome).toBe('admitted');
  });

  it('end every visit when the passphrase is set anew', async () => {
    const own = join(folder, 'changing.passphrase');
    await setPassphrase(own, PASSPHRASE);
    const access = accessBy(own, () => 0);
    const visit = await access.admit(PASSPHRASE, 'a');
    if (visit.outcome !== 'admitted') throw new Error('not admitted');
    expect(access.isAdmitted(visit.token)).toBe(true);
    await setPassphrase(own, 'another four or five words');
    expect(access.isAdmitted(visit.token)).toBe(false);
    expect((await access.admit(PASSPHRASE, 'b')).outcome).toBe('wrong');
  });

  it('do not take a short passphrase', async () => {
    await expect(setPassphrase(join(folder, 'short'), 'chips')).rejects.toThrow(/at least 12/);
  });
});
