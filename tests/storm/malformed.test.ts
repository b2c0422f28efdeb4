import fc from 'fast-check';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { ImportReport } from '../../src/contract/imports.ts';
import { askAt, newFolder, removeFolder, startServer, type RunningServer } from '../http/server.ts';
import { CORPUS, REQUESTS, type ValidRequest } from './requests.ts';
import { stormy } from './size.ts';

const REQUEST_RUNS = stormy(3000);
const FILE_RUNS = stormy(300);
const PATIENCE_MS = 10 * 60_000;
const folder = newFolder();
let server: RunningServer;
let before: string;
let count = 0;

const gardenText = async (): Promise<string> =>
  (await fetch(`${server.address}/api/gardens/ternhollow/garden.json`)).text();
const gardenCount = async (): Promise<number> =>
  ((await (await fetch(`${server.address}/api/gardens`)).json()) as { gardens: unknown[] }).gardens.length;

beforeAll(async () => {
  server = await startServer(join(folder, 'malformed.sqlite'), ['--demo']);
  before = await gardenText();
  count = await gardenCount();
});
afterAll(async () => {
  await server.stop();
  removeFolder(folder);
});

/** Sends once more where the line had been idle so long that the server closed it in that very moment. */
async function sent(address: string, init: RequestInit): Promise<Response> {
  try {
    return await fetch(address, init);
  } catch (error) {
    const { code } = ((error as Error).cause ?? {}) as { code?: string };
    if (code !== 'UND_ERR_SOCKET') throw error;
    return fetch(address, init);
  }
}

const STACK = /\bat .+:\d+:\d+|node_modules|\.ts:\d+|SQLITE|SqliteError|ZodError/;

/** Sends something that cannot be accepted: it must be refused in words, as problem details, without a trace of the inside. */
async function mustBeRefused(
  { method, path }: ValidRequest,
  text: string | Uint8Array<ArrayBuffer>,
): Promise<void> {
  const response = await sent(server.address + path, {
    method,
    headers: { 'content-type': 'application/json' },
    body: text,
  });
  const answer = await response.text();
  const shown = `${method} ${path} ${typeof text === 'string' ? text.slice(0, 300) : 'bytes'}`;
  expect(response.status, shown).toBeGreaterThanOrEqual(400);
  expect(response.status, shown).toBeLessThan(500);
  expect(response.headers.get('content-type'), shown).toMatch(/application\/problem\+json/);
  const problem = JSON.parse(answer) as { detail: string };
  expect(problem.detail.length, shown).toBeGreaterThan(5);
  expect(answer, shown).not.toMatch(STACK);
}

type Path = readonly (string | number)[];

/** Every place in a body, the body itself first. */
function placesIn(value: unknown, path: Path = []): Path[] {
  if (typeof value !== 'object' || value === null) return [path];
  const inner = Array.isArray(value) ? value.map((one, i) => [i, one] as const) : Object.entries(value);
  return [path, ...inner.flatMap(([key, one]) => placesIn(one, [...path, key]))];
}

const at = (value: unknown, path: Path): unknown =>
  path.reduce<unknown>((inner, key) => (inner as Record<string | number, unknown>)[key], value);

function replaced(value: unknown, path: Path, by: unknown): unknown {
  if (path.length === 0) return by;
  const [key, ...rest] = path;
  if (Array.isArray(value))
    return value.map((one: unknown, i) => (i === key ? replaced(one, rest, by) : one));
  return { ...(value as object), [key]: replaced((value as Record<string, unknown>)[key], rest, by) };
}

const OTHERWISE: readonly unknown[] = [{ odd: [1] }, [[{}]], { toString: 'x' }];

/** Values that can never stand where this one stands. */
function impossible(value: unknown): readonly unknown[] {
  if (typeof value === 'number') return ['much', '12', true, 1e300, -1e300, ...OTHERWISE];
  if (typeof value === 'string') return [42, false, 1e99, ...OTHERWISE];
  if (typeof value === 'boolean') return ['yes', 2, ...OTHERWISE];
  if (Array.isArray(value)) return ['list', 7, true, { 0: 'a' }];
  if (value === null) return [{ odd: 1 }, [[]]];
  return ['object', 7, [], true];
}

/** One thing wrong with a body that is otherwise good. */
const spoiltBody = (request: ValidRequest): fc.Arbitrary<string> => {
  const places = placesIn(request.body).filter((path) => !request.free?.includes(path.join('.')));
  const objects = places.filter((path) => {
    const value = at(request.body, path);
    return typeof value === 'object' && value !== null && !Array.isArray(value);
  });
  const text = JSON.stringify(request.body);
  return fc.oneof(
    fc
      .constantFrom(...places)
      .chain((path) =>
        fc.constantFrom(...impossible(at(request.body, path))).map((by) => replaced(request.body, path, by)),
      )
      .map((body) => JSON.stringify(body)),
    fc
      .tuple(
        fc.constantFrom(...objects),
        fc.stringMatching(/^[a-z]{3,9}Surplus$/),
        fc.jsonValue({ maxDepth: 2 }),
      )
      .map(([path, key, value]) =>
        JSON.stringify(replaced(request.body, path, { ...(at(request.body, path) as object), [key]: value })),
      ),
    fc.constantFrom(...request.needed).map((key) => {
      const { [key]: _, ...rest } = request.body;
      return JSON.stringify(rest);
    }),
    fc.integer({ min: 0, max: text.length - 1 }).map((end) => text.slice(0, end)),
    fc.string({ maxLength: 60, unit: 'binary' }).filter((odd) => !isJsonObject(odd)),
  );
};

function isJsonObject(text: string): boolean {
  try {
    const value: unknown = JSON.parse(text);
    return typeof value === 'object' && value !== null && !Array.isArray(value);
  } catch {
    return false;
  }
}

it('is spoilt from requests the server would carry out', async () => {
  const other = await startServer(join(folder, 'good.sqlite'), ['--demo']);
  try {
    const refused: string[] = [];
    for (const { method, path, body } of REQUESTS) {
      const { status, body: answer } = await askAt<object>(other, method, path, body);
      if (status >= 300) refused.push(`${path} ${status} ${JSON.stringify(answer)}`);
    }
    expect(refused).toEqual([]);
  } finally {
    await other.stop();
  }
});

describe('what is malformed', () => {
  it(
    `is refused in words: ${REQUEST_RUNS} requests with one thing wrong`,
    { timeout: PATIENCE_MS },
    async () => {
      const anyOne = fc
        .constantFrom(...REQUESTS)
        .chain((request) => spoiltBody(request).map((text) => ({ request, text })));
      await fc.assert(
        fc.asyncProperty(anyOne, ({ request, text }) => mustBeRefused(request, text)),
        { numRuns: REQUEST_RUNS, endOnFailure: true },
      );
      expect(await gardenText()).toBe(before);
      expect(await gardenCount()).toBe(count);
    },
  );

  it.each(CORPUS)('is refused in words wherever it is sent: %s', async (_, bytes) => {
    for (const request of REQUESTS) await mustBeRefused(request, bytes);
    expect(await gardenCount()).toBe(count);
  });

  it(
    `leaves the books as they are: ${FILE_RUNS} garden files with one thing wrong`,
    { timeout: PATIENCE_MS },
    async () => {
      const file = JSON.parse(before) as Record<string, unknown>;
      // A file of the whole demo each time would take minutes and try the same fields again and again.
      const small = Object.fromEntries(
        Object.entries(file).map(([key, value]) => [
          key,
          Array.isArray(value) && key !== 'beds' ? value.slice(0, 3) : value,
        ]),
      );
      const request: ValidRequest = {
        method: 'POST',
        path: '/api/imports',
        body: small,
        needed: ['format', 'version', 'garden', 'beds', 'entries', 'journal', 'weather'],
      };
      let refused = 0;
      await fc.assert(
        fc.asyncProperty(spoiltBody(request), async (text) => {
          const response = await fetch(`${server.address}/api/imports`, {
            method: 'POST',
            headers: { 'content-type': 'application/json' },
            body: text,
          });
          const answer = await response.text();
          expect(response.status).toBeLessThan(500);
          expect(answer).not.toMatch(STACK);
          if (response.status === 200)
            expect((JSON.parse(answer) as ImportReport).isWritten, text.slice(0, 400)).toBe(false);
          else refused += 1;
        }),
        { numRuns: FILE_RUNS, endOnFailure: true },
      );
      expect(refused).toBeGreaterThan(0);
      expect(await gardenText()).toBe(before);
    },
  );
});
