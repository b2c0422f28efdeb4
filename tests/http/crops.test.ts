import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { GardenBooks } from '../../src/contract/garden-books.ts';
import type { GardenFile } from '../../src/contract/garden-file.ts';
import type { Problem } from '../../src/contract/problem.ts';
import { bedOf, GARDEN, ownCropOf, plantingOf } from '../fixtures/books.ts';
import { openBooks } from './open-books.ts';
import { askAt, newFolder, removeFolder, type Answering } from './server.ts';

const folder = newFolder();
let server: Answering;
const ask = <Body = Problem>(method: string, path: string, json?: unknown) =>
  askAt<Body>(server, method, path, json);
const books = async () => (await ask<GardenBooks>('GET', '/api/gardens/garden/books')).body;
const unstamped = ({ version, createdAt, updatedAt, ...draft }: ReturnType<typeof bedOf>) => {
  const { gardenId, ...rest } = draft;
  return rest;
};
const planted = ({ version, createdAt, updatedAt, bedId, ...draft }: ReturnType<typeof plantingOf>) => draft;

beforeAll(async () => {
  server = openBooks(join(folder, 'crops.sqlite'));
  await ask('POST', '/api/gardens', GARDEN);
  await ask('POST', '/api/gardens/garden/beds', unstamped(bedOf()));
});
afterAll(async () => {
  await server.stop();
  removeFolder(folder);
});

const crop = { ...ownCropOf({ nitrogenDemandGPerM2: 30 }), note: '' };
const { id: CROP_ID, ...fields } = crop;
const keep = (change: object = {}) => ask('POST', '/api/gardens/garden/crops', { ...crop, ...change });

describe('a crop of one’s own in the book', () => {
  it('is kept once, and changed by who has seen it', async () => {
    expect((await keep()).status).toBe(201);
    expect((await keep()).status).toBe(200);
    expect((await keep({ name: 'Another' })).status).toBe(409);
    const changed = { ...fields, name: 'Old giant', version: 1 };
    expect((await ask('PUT', '/api/crops/own', changed)).status).toBe(200);
    expect((await ask('PUT', '/api/crops/own', changed)).status).toBe(409);
    expect((await books()).crops).toMatchObject([{ id: CROP_ID, name: 'Old giant', version: 2 }]);
  });
  it.each([
    ['roots of five meters', { id: 'deep', rootDepthCm: 500 }, 'rootDepthCm', /at most 300/],
    ['likeness to nothing known', { id: 'odd', likeCropId: 'dandelion' }, 'likeCropId', /no crop/],
    ['a harvest beyond its nitrogen', { id: 'fat', yieldKgPerM2: 45 }, 'yieldKgPerM2', /takes up/],
    ['a warmth nobody knows', { id: 'warm', warmth: 'tropical' }, 'warmth', /hardy, cool, tender/],
  ])('is refused with %s, naming the field', async (_, change, field, sentence) => {
    const { status, body } = await keep(change);
    expect(status).toBe(422);
    expect(body.errors?.[0]?.field).toBe(field);
    expect(body.errors?.[0]?.sentence).toMatch(sentence);
    expect((await books()).crops).toHaveLength(1);
  });
  it('cannot take the id of one of the library', async () => {
    const { status, body } = await keep({ id: 'leek' });
    expect([status, body.detail]).toEqual([422, 'id "leek" belongs to a crop of the library.']);
  });
  it('is planted, stays as long as it is used, and is named where it is in the way', async () => {
    const draft = planted(plantingOf({ id: 'row', cropId: CROP_ID }));
    expect((await ask('POST', '/api/beds/bed/plantings', draft)).status).toBe(201);
    const second = await ask('POST', '/api/beds/bed/plantings', { ...draft, id: 'second', cropId: 'kale' });
    expect(second.body.errors?.[0]?.sentence).toMatch(/overlaps Old giant/);
    const inUse = await ask('DELETE', '/api/crops/own?version=2');
    expect([inUse.status, inUse.body.detail]).toEqual([422, expect.stringMatching(/planted on a bed/)]);
    expect((await ask('PUT', '/api/crops/own', { ...fields, likeCropId: 'pea', version: 2 })).status).toBe(
      200,
    );
  });
  it('goes out with the garden file, and comes in as a copy under a new id', async () => {
    const { body: file } = await ask<GardenFile>('GET', '/api/gardens/garden/garden.json');
    expect(file.crops).toMatchObject([{ id: CROP_ID, likeCropId: 'pea', nitrogenDemandGPerM2: 30 }]);
    const copied = await ask<{ gardenId: string }>('POST', '/api/imports?copy=true', file);
    expect(copied.status).toBe(200);
    const { body: copy } = await ask<GardenBooks>('GET', `/api/gardens/${copied.body.gardenId}/books`);
    expect(copy.crops[0].id).not.toBe(CROP_ID);
    expect(copy.plantings[0].cropId).toBe(copy.crops[0].id);
  });
  it('is deleted when nothing grows it any more, and brought back', async () => {
    await ask('DELETE', '/api/plantings/row?version=1');
    expect((await ask('DELETE', '/api/crops/own?version=3')).status).toBe(204);
    expect((await books()).crops).toEqual([]);
    expect((await ask('POST', '/api/crops/own/restore')).status).toBe(200);
    expect((await books()).crops).toHaveLength(1);
  });
});
