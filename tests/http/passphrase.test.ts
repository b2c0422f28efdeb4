import { spawn } from 'node:child_process';
import { once } from 'node:events';
import { statSync } from 'node:fs';
import { join } from 'node:path';
import { afterAll, describe, expect, it } from 'vitest';
import { accessBy, setPassphrase } from '../../src/server/access.ts';
import type { Problem } from '../../src/contract/problem.ts';
import { GARDEN } from '../fixtures/books.ts';
import { raw } from './raw-request.ts';
import { askAt, newFolder, removeFolder, startServer, type RunningServer } from './server.ts';

const folder = newFolder();
const PASSPHRASE = 'chips and sawdust and straw';
const said = (passphrase: string) => ({ passphrase });
/** Where nobody has a name of their own. */
const nobody = (): never => {
  throw new Error('nobody is asked for');
};
afterAll(() => removeFolder(folder));

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
    const access = accessBy(`${file}.passphrase`, nobody, () => clock);
    for (let i = 0; i < 5; i++) expect((await access.admit(said(`wrong ${i}`), 'a')).outcome).toBe('wrong');
    expect(await access.admit(said(PASSPHRASE), 'a')).toMatchObject({ outcome: 'wait' });
    expect((await access.admit(said(PASSPHRASE), 'b')).outcome).toBe('admitted');
    clock += 15 * 60_000 + 1;
    const admission = await access.admit(said(PASSPHRASE), 'a');
    if (admission.outcome !== 'admitted') throw new Error('not admitted');
    expect(access.visitorOf(admission.token)).toEqual({ role: 'keeper' });
    clock += 31 * 24 * 3_600_000;
    expect(access.visitorOf(admission.token)).toBeUndefined();
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
    const access = accessBy(`${file}.passphrase`, nobody, () => clock);
    const visit = await access.admit(said(PASSPHRASE), 'owner');
    if (visit.outcome !== 'admitted') throw new Error('not admitted');
    await Promise.all(
      Array.from({ length: 50 }, (_, i) => access.admit(said('a wrong passphrase'), `robot ${i}`)),
    );
    expect(await access.admit(said(PASSPHRASE), 'owner')).toEqual({ outcome: 'wait', seconds: 5 });
    expect(access.visitorOf(visit.token)).toEqual({ role: 'keeper' });
    clock += 5000;
    expect((await access.admit(said(PASSPHRASE), 'owner')).outcome).toBe('admitted');
  });

  it('end every visit when the passphrase is set anew', async () => {
    const own = join(folder, 'changing.passphrase');
    await setPassphrase(own, PASSPHRASE);
    const access = accessBy(own, nobody, () => 0);
    const visit = await access.admit(said(PASSPHRASE), 'a');
    if (visit.outcome !== 'admitted') throw new Error('not admitted');
    expect(access.visitorOf(visit.token)).toEqual({ role: 'keeper' });
    await setPassphrase(own, 'another four or five words');
    expect(access.visitorOf(visit.token)).toBeUndefined();
    expect((await access.admit(said(PASSPHRASE), 'b')).outcome).toBe('wrong');
  });

  it('do not take a short passphrase', async () => {
    await expect(setPassphrase(join(folder, 'short'), 'chips')).rejects.toThrow(/at least 12/);
  });
});
