import { Validator } from '@seriousme/openapi-schema-validator';
import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { GardenBooks } from '../../src/contract/garden-books.ts';
import { EXAMPLE_IDS, EXAMPLES } from '../../src/server/api-docs/examples.ts';
import { ROUTE_WORDS } from '../../src/server/api-docs/route-words.ts';
import { newFolder, removeFolder, startServer, type RunningServer } from './server.ts';

interface Operation {
  readonly parameters?: readonly { readonly in: string; readonly name: string; readonly example?: string }[];
  readonly summary: string;
  readonly operationId: string;
  readonly requestBody?: {
    readonly content: Record<string, { readonly schema: object; readonly example?: unknown }>;
  };
  readonly responses: Record<string, unknown>;
}
interface Description {
  readonly openapi: string;
  readonly paths: Record<string, Record<string, Operation>>;
}

const folder = newFolder();
let server: RunningServer;
let description: Description;
beforeAll(async () => {
  server = await startServer(join(folder, 'api.sqlite'));
  description = (await (await fetch(`${server.address}/api/openapi.json`)).json()) as Description;
});
afterAll(async () => {
  await server.stop();
  removeFolder(folder);
});

const operations = () =>
  Object.entries(description.paths).flatMap(([path, methods]) =>
    Object.entries(methods).map(([method, operation]) => ({
      key: `${method.toUpperCase()} ${path}`,
      operation,
    })),
  );

describe('the API describes itself', () => {
  it('as OpenAPI 3.1: every route there is, each in words and known by one name', () => {
    expect(description.openapi).toBe('3.1.0');
    expect(
      operations()
        .map(({ key }) => key)
        .toSorted(),
    ).toEqual(Object.keys(ROUTE_WORDS).toSorted());
    const ids = operations().map(({ operation }) => operation.operationId);
    expect(new Set(ids).size).toBe(ids.length);
    for (const { operation } of operations()) {
      expect(operation.summary).toMatch(/^[A-Z].*[^.]$/);
      expect(Object.keys(operation.responses)).toContain('422');
    }
  });
  it('well-formed to a validator of OpenAPI', async () => {
    const { valid, errors } = await new Validator().validate({ ...structuredClone(description) });
    expect(errors ?? []).toEqual([]);
    expect(valid).toBe(true);
  });
  it('with the schema of each body: what it asks for is asked for', () => {
    const makesBed = description.paths['/api/gardens/{gardenId}/beds'].post;
    const { schema } = makesBed.requestBody!.content['application/json'] as {
      readonly schema: { readonly required: readonly string[]; readonly properties: Record<string, object> };
    };
    expect(schema.required).toEqual(expect.arrayContaining(['name', 'areaM2', 'clayPct']));
    expect(schema.properties['areaM2']).toMatchObject({ type: 'number', exclusiveMinimum: 0 });
    expect(JSON.stringify(description.paths['/api/beds/{bedId}/plantings'])).toContain(
      '"plantedOn":{"type":"string","format":"date"}',
    );
  });
  it('as a page that fetches nothing', async () => {
    const answer = await fetch(`${server.address}/api/docs`);
    const page = await answer.text();
    expect(answer.headers.get('content-type')).toMatch(/^text\/html/);
    expect(page).toContain('POST /api/gardens/{gardenId}/beds');
    expect(page).not.toMatch(/<script|<link|src=|https?:\/\//);
  });
  it('and the example of the documentation does what it says', async () => {
    const [, code] = /```js\n([\s\S]*?)```/.exec(
      readFileSync(join(import.meta.dirname, '../../docs/api.md'), 'utf8'),
    )!;
    const file = join(folder, 'example.mjs');
    writeFileSync(file, `export const run = async (address) => {\n${code}\nreturn books;\n};\n`);
    const { run } = (await import(pathToFileURL(file).href)) as {
      readonly run: (address: string) => Promise<GardenBooks>;
    };
    const books = await run(server.address);
    expect([books.beds.length, books.entries.length, books.plantings.length]).toEqual([1, 1, 1]);
  });
});

describe('every path', () => {
  it('shows what may stand in it', () => {
    for (const { key, operation } of operations()) {
      const named = [...key.matchAll(/\{(\w+)\}/g)].map(([, name]) => name);
      const shown = (operation.parameters ?? []).filter(
        (one) => one.in === 'path' && one.example !== undefined,
      );
      expect([key, shown.map(({ name }) => name)]).toEqual([key, named]);
    }
  });
});

describe('every example of a body', () => {
  it('is there wherever JSON is asked for', () => {
    const asked = operations().filter(({ key, operation }) => {
      const { content } = operation.requestBody ?? {};
      return content?.['application/json'] !== undefined && key !== 'POST /api/imports';
    });
    expect(asked.map(({ key }) => key).toSorted()).toEqual(Object.keys(EXAMPLES).toSorted());
    for (const { operation } of asked) {
      expect(operation.requestBody!.content['application/json'].example).toBeDefined();
    }
  });
  it('is taken as it stands, in the order they are listed', async () => {
    const other = await startServer(join(folder, 'examples.sqlite'));
    const answers: (readonly [key: string, status: number, said: string])[] = [];
    for (const [key, body] of Object.entries(EXAMPLES)) {
      const [method, pattern] = key.split(' ');
      const path = pattern.replaceAll(/\{(\w+)\}/g, (_, name: string) => EXAMPLE_IDS[name]);
      const answer = await fetch(`${other.address}${path}`, {
        method,
        headers: { 'Content-Type': 'application/json' },
        body: JSON.stringify(body),
      });
      answers.push([key, answer.status, answer.ok ? '' : await answer.text()]);
    }
    await other.stop();
    expect(answers.filter(([, status]) => status >= 300)).toEqual([]);
  });
});

describe('what is asked for wrongly', () => {
  const status = async (method: string, path: string, init: RequestInit = {}) => {
    const answer = await fetch(`${server.address}${path}`, { method, ...init });
    return [answer.status, answer.headers.get('allow'), ((await answer.json()) as { detail: string }).detail];
  };
  it('with a method that a path does not take: 405 and those it takes', async () => {
    expect(await status('PUT', '/api/gardens')).toEqual([
      405,
      'GET, POST',
      '/api/gardens takes GET or POST, not PUT.',
    ]);
    expect((await status('GET', '/api/nothing'))[0]).toBe(404);
  });
  it('with a body that is not JSON by its name: 415; by its signs: 400; by its fields: 422', async () => {
    const text = { 'Content-Type': 'text/csv' };
    const json = { 'Content-Type': 'application/json' };
    expect((await status('POST', '/api/gardens', { body: 'a,b', headers: text }))[0]).toBe(415);
    expect((await status('POST', '/api/gardens', { body: '{', headers: json }))[0]).toBe(400);
    expect((await status('POST', '/api/gardens', { body: '{}', headers: json }))[0]).toBe(422);
  });
});
