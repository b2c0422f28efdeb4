import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { afterAll, expect, it } from 'vitest';
import type { GardenBooks } from '../../src/contract/garden-books.ts';
import type { Signature } from '../../src/contract/people.ts';
import { seededStream } from '../../src/core/ground/numerics/seeded-stream.ts';
import { setPassphrase } from '../../src/server/access.ts';
import { bedOf, GARDEN } from '../fixtures/books.ts';
import { grayPng } from '../fixtures/photos.ts';
import {
  askAt,
  type Answer,
  newFolder,
  removeFolder,
  startServer,
  type RunningServer,
} from '../http/server.ts';
import { STORM } from './size.ts';

/** A minute at full length; two hours with VINE_STORM=120. */
const SOAK_MS = 60_000 * STORM;
const HELPERS = 16;
const READERS = 4;
const BEDS = 8;
/** Far busier than people are, and not so busy that the garden outgrows any real one within hours. */
const HELPERS_PAUSE_MS = 1500;
const READERS_PAUSE_MS = 3000;
/** Lines that a helper lets stand. A garden that grows for hours would hide a leak behind its own size. */
const KEPT_BY_A_HELPER = 120;
/** What engines keep at hand beside what is in use swings by so much; a leak goes on. */
const LEAK_MB = 60;
const SETTLING_SHARE = 0.3;
const KEEPERS = 'chips and sawdust and straw';
const GARDEN_AT = '/api/gardens/garden';

const folder = newFolder();
afterAll(() => removeFolder(folder));

interface Somebody {
  readonly name: string;
  readonly cookie: string;
  readonly next: () => number;
}

const memoryMb = ({ pid }: RunningServer): number =>
  Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))![1]) / 1024;

async function comeIn(server: RunningServer, login: object): Promise<string> {
  const answer = await fetch(`${server.address}/api/session`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(login),
  });
  expect(answer.status).toBe(200);
  return answer.headers.get('set-cookie')!.split(';')[0];
}

/** What somebody's requests came to, one after the other; whoever finds a fault throws. */
function visit(server: RunningServer, { cookie }: Pick<Somebody, 'cookie'>) {
  return async (method: string, path: string, body?: unknown): Promise<Answer<object>> => {
    const answer = await askAt<object>(server, method, path, body, { cookie });
    if (answer.status >= 500) throw new Error(`${method} ${path} answered ${answer.status}`);
    return answer;
  };
}

const water = (id: string, waterMm: number) => ({
  id,
  type: 'water',
  state: 'laid',
  date: '2026-05-10',
  note: '',
  waterMm,
});

/** One helper: waters, looks, corrects, deletes, takes a photo now and then, and sees what the others did. */
async function helps(
  server: RunningServer,
  who: Somebody,
  until: number,
  kept: Map<string, string>,
): Promise<void> {
  const ask = visit(server, who);
  const { name, next } = who;
  const standing = new Map<string, number>();
  const remove = async (id: string) => {
    expect((await ask('DELETE', `/api/entries/${id}?version=${standing.get(id)}`)).status).toBe(204);
    standing.delete(id);
    kept.delete(id);
  };
  for (let i = 0; Date.now() < until; i++) {
    const id = `${name}-${i}`;
    const bed = `bed-${Math.floor(next() * BEDS)}`;
    const { status } = await ask('POST', `/api/beds/${bed}/entries`, water(id, 5));
    expect(status).toBe(201);
    kept.set(id, name);
    standing.set(id, 1);
    if (standing.size > KEPT_BY_A_HELPER) await remove(standing.keys().next().value!);
    const act = next();
    if (act < 0.3) {
      const { id: _, ...draft } = water(id, 7);
      expect((await ask('PUT', `/api/entries/${id}`, { ...draft, version: 1 })).status).toBe(200);
      standing.set(id, 2);
    } else if (act < 0.6) {
      await remove(id);
    } else if (act < 0.65) {
      const { status: put } = await fetch(`${server.address}${GARDEN_AT}/photos/${id}`, {
        method: 'PUT',
        headers: { 'content-type': 'image/png', cookie: who.cookie },
        body: grayPng(),
      });
      expect(put).toBe(201);
    } else if (act < 0.7) {
      await fetch(`${server.address}${GARDEN_AT}/calendar.ics`, { headers: { cookie: who.cookie } });
    } else {
      expect((await ask('GET', `${GARDEN_AT}/changes?epoch=x&since=0`)).status).toBe(200);
    }
    await new Promise((resolve) => setTimeout(resolve, next() * HELPERS_PAUSE_MS));
  }
}

/** One who only reads, and now and then tries to write. */
async function reads(server: RunningServer, who: Somebody, until: number): Promise<void> {
  const ask = visit(server, who);
  for (let i = 0; Date.now() < until; i++) {
    expect((await ask('GET', `${GARDEN_AT}/books`)).status).toBe(200);
    expect((await ask('POST', '/api/beds/bed-1/entries', water(`no-${who.name}-${i}`, 5))).status).toBe(403);
    await new Promise((resolve) => setTimeout(resolve, who.next() * READERS_PAUSE_MS));
  }
}

it(
  `twenty people write and read for ${Math.round(SOAK_MS / 1000)} s: nothing fails, is lost, or leaks`,
  { timeout: SOAK_MS * 2 + 180_000 },
  async () => {
    const file = join(folder, 'soak.sqlite');
    await setPassphrase(`${file}.passphrase`, KEEPERS);
    const server = await startServer(file, ['--host', '127.0.0.2']);
    try {
      const keeper = visit(server, { cookie: await comeIn(server, { passphrase: KEEPERS }) });
      await keeper('POST', '/api/gardens', GARDEN);
      for (let i = 0; i < BEDS; i++) {
        const { version, createdAt, updatedAt, gardenId, ...bed } = bedOf({
          id: `bed-${i}`,
          name: `Bed ${i}`,
        });
        expect((await keeper('POST', `${GARDEN_AT}/beds`, bed)).status).toBe(201);
      }
      const helpers: Somebody[] = [];
      for (let i = 0; i < HELPERS; i++) {
        const [name, passphrase] = [`helper-${i}`, `four words of helper ${i}`];
        await keeper('POST', `${GARDEN_AT}/people`, { id: name, name, role: 'helper', passphrase });
        helpers.push({ name, cookie: await comeIn(server, { name, passphrase }), next: seededStream(i + 1) });
      }
      const { body: made } = await keeper('POST', `${GARDEN_AT}/links`, { name: 'Neighbors' });
      const { path } = made as { readonly path: string };
      const readers: Somebody[] = [];
      for (let i = 0; i < READERS; i++) {
        const cookie = await comeIn(server, { link: path.replace('/look/', '') });
        readers.push({ name: `reader-${i}`, cookie, next: seededStream(100 + i) });
      }

      const until = Date.now() + SOAK_MS;
      const kept = new Map<string, string>();
      let settledMb = 0;
      setTimeout(() => (settledMb = memoryMb(server)), SOAK_MS * SETTLING_SHARE);
      await Promise.all([
        ...helpers.map((who) => helps(server, who, until, kept)),
        ...readers.map((who) => reads(server, who, until)),
      ]);
      const grownMb = memoryMb(server) - settledMb;

      const { entries } = (await keeper('GET', `${GARDEN_AT}/books`)).body as GardenBooks;
      expect(new Set(entries.map(({ id }) => id))).toEqual(new Set(kept.keys()));
      const signed = (await keeper('GET', `${GARDEN_AT}/signatures`)).body as { signatures: Signature[] };
      const writers = new Map(
        signed.signatures.filter(({ version }) => version === 1).map(({ id, name }) => [id, name]),
      );
      expect([...kept].filter(([id, name]) => writers.get(id) !== name)).toEqual([]);
      console.log(
        `${writers.size} lines written, ${kept.size} of them stand; memory grew by ${grownMb.toFixed(1)} MB`,
      );
      expect(grownMb).toBeLessThan(LEAK_MB);
    } finally {
      await server.stop();
    }
  },
);
