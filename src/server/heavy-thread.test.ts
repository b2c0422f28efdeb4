import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { afterAll, afterEach, beforeAll, expect, it } from 'vitest';
import { heavyThread, type HeavyThread } from './heavy-thread.ts';

/** What the thread of these tests can be asked. */
interface Program {
  count(): number;
  /** Answers when it is released. */
  hold(): Promise<string>;
  release(): void;
  grow(): void;
  fail(): void;
}

const LIMITS = { memoryMb: 64, answerMs: 60_000, idleMs: 60_000, questions: 3 };
const folder = mkdtempSync(join(tmpdir(), 'vine-ledger-thread-'));
const program = join(folder, 'program.mjs');
let thread: HeavyThread<Program> | undefined;

beforeAll(() => {
  const comlink = createRequire(import.meta.url).resolve('comlink');
  const [esm, adapter] = ['comlink.mjs', 'node-adapter.mjs'].map(
    (file) => pathToFileURL(join(comlink, '..', '..', 'esm', file)).href,
  );
  writeFileSync(
    program,
    `import { expose } from '${esm}';
     import nodeEndpoint from '${adapter}';
     import { parentPort } from 'node:worker_threads';
     let asked = 0;
     const held = [];
     expose({
       count: () => ++asked,
       hold: () => new Promise((resolve) => held.push(() => resolve('released'))),
       release: () => held.splice(0).forEach((letGo) => letGo()),
       grow: () => { const all = []; for (;;) all.push(new Array(10000).fill(asked)); },
       fail: () => { throw new Error('a fault of the question'); },
     }, nodeEndpoint(parentPort));`,
  );
});
afterEach(() => thread?.end());
afterAll(() => rmSync(folder, { recursive: true }));

const threadWith = (limits: Partial<typeof LIMITS> = {}): HeavyThread<Program> =>
  (thread = heavyThread<Program>(program, { ...LIMITS, ...limits }));

it('a thread keeps what it knows between questions, and a question that fails does not end it', async () => {
  const { ask } = threadWith();
  expect(await ask((api) => api.count())).toBe(1);
  await expect(ask((api) => api.fail())).rejects.toThrow('a fault of the question');
  expect(await ask((api) => api.count())).toBe(2);
});

it('answers others while one waits, and asks whoever is one too many to come again', async () => {
  const { ask } = threadWith({ questions: 3 });
  const long = ask((api) => api.hold());
  expect(await ask((api) => api.count())).toBe(1);
  const [second, third, fourth] = [
    ask((api) => api.hold()),
    ask((api) => api.release()),
    ask((api) => api.count()),
  ];
  await expect(fourth).rejects.toMatchObject({ status: 503, title: 'Busy' });
  expect(await Promise.all([long, second, third])).toEqual(['released', 'released', undefined]);
  expect(await ask((api) => api.count())).toBe(2);
});

it('gives up what takes too long, for all who asked, and begins anew', async () => {
  const { ask } = threadWith({ answerMs: 5000 });
  expect(await ask((api) => api.count())).toBe(1);
  const both = await Promise.allSettled([ask((api) => api.hold()), ask((api) => api.hold())]);
  expect(both.map(({ status }) => status)).toEqual(['rejected', 'rejected']);
  expect(await ask((api) => api.count())).toBe(1);
});

it('ends what takes too much memory, and answers the next question', async () => {
  const { ask } = threadWith();
  await expect(ask((api) => api.grow())).rejects.toMatchObject({ status: 503 });
  expect(await ask((api) => api.count())).toBe(1);
});

it('goes when nobody asks for a while', async () => {
  const { ask } = threadWith({ idleMs: 20 });
  expect(await ask((api) => api.count())).toBe(1);
  await new Promise((resolve) => setTimeout(resolve, 200));
  expect(await ask((api) => api.count())).toBe(1);
});
