import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { gardenFile, gardenFileText, type GardenFile } from '../../src/contract/garden-file.ts';
import type { ImportEntry, ImportReport } from '../../src/contract/imports.ts';
import type { GardenBooks } from '../../src/contract/garden-books.ts';
import type { Problem } from '../../src/contract/problem.ts';
import { phoneJpeg } from '../fixtures/photos.ts';
import { openBooks } from './open-books.ts';
import { askAt, newFolder, removeFolder, type Answering } from './server.ts';

const GARDEN = 'ternhollow';

const textAt = async (books: Answering, gardenId = GARDEN, query = ''): Promise<string> => {
  const response = await books.request(`/api/gardens/${gardenId}/garden.json${query}`);
  expect(response.status).toBe(200);
  return response.text();
};

describe('a garden as a file', () => {
  const folder = newFolder();
  let demo: Answering;
  let empty: Answering;
  let text: string;

  beforeAll(async () => {
    demo = openBooks(`${folder}/demo.sqlite`, ['--demo']);
    empty = openBooks(`${folder}/empty.sqlite`);
    const picture = await demo.request(`/api/gardens/${GARDEN}/photos/leaf-1`, {
      method: 'PUT',
      body: phoneJpeg(),
      headers: { 'Content-Type': 'image/jpeg' },
    });
    expect(picture.status).toBe(201);
    text = await textAt(demo);
  });
  afterAll(async () => {
    await Promise.all([demo.stop(), empty.stop()]);
    removeFolder(folder);
  });

  const read = (books: Answering, file: unknown, query = '') =>
    askAt<ImportReport & Problem>(books, 'POST', `/api/imports${query}`, file);

  it('holds everything that was written down', async () => {
    const file = gardenFile.parse(JSON.parse(text));
    const { body: books } = await askAt<GardenBooks>(demo, 'GET', `/api/gardens/${GARDEN}/books`);
    expect(file.entries).toHaveLength(books.entries.length);
    expect(file.journal).toHaveLength(books.journal.length);
    expect(file.movements).toHaveLength(books.movements.length);
    expect(file.photos).toHaveLength(1);
    expect(file.beds.map(({ name }) => name)).toEqual(books.beds.map(({ name }) => name));
  });

  it('comes piece by piece as the text it is whole', () => {
    expect(text).toBe(gardenFileText(gardenFile.parse(JSON.parse(text))));
  });

  it('holds what is written while it is being read, though that month was passed already', async () => {
    const reading = textAt(demo);
    const [first] = [...gardenFile.parse(JSON.parse(text)).entries].sort((a, b) =>
      a.date < b.date ? -1 : 1,
    );
    const watered = { id: 'meanwhile', type: 'water', state: 'laid', date: first.date, note: '', waterMm: 5 };
    expect((await askAt(demo, 'POST', `/api/beds/${first.bedId}/entries`, watered)).status).toBe(201);
    expect(await reading).toContain('"meanwhile"');
    expect((await askAt(demo, 'DELETE', '/api/entries/meanwhile?version=1')).status).toBe(204);
  });

  it('is copied under another name, as a template without what was done, and bed by bed', async () => {
    const file = gardenFile.parse(JSON.parse(text));
    const copied = async (isTemplate: boolean) => {
      const copy = { name: `Ternhollow ${isTemplate ? 'begun' : 'again'}`, isTemplate };
      const { status, body } = await askAt<ImportReport>(demo, 'POST', `/api/gardens/${GARDEN}/copies`, copy);
      expect([status, body.counts.rejected, body.gardenName]).toEqual([201, 0, copy.name]);
      return gardenFile.parse(JSON.parse(await textAt(demo, body.gardenId)));
    };
    const again = await copied(false);
    expect([again.entries.length, again.photos!.length]).toEqual([file.entries.length, 1]);
    expect(again.photos![0].base64).toBe(file.photos![0].base64);
    const begun = await copied(true);
    expect(begun.beds).toHaveLength(file.beds.length);
    expect([begun.entries, begun.journal, begun.movements, begun.photos]).toEqual([[], [], [], []]);
    for (const { id, name } of file.beds) {
      const part = gardenFile.parse(JSON.parse(await textAt(demo, GARDEN, `?bed=${id}`)));
      expect(part.beds.map((bed) => bed.name)).toEqual([name]);
      expect(part.entries.length).toBeGreaterThan(0);
      const { counts, rows } = (await read(demo, part, '?copy=true&dryRun=true')).body;
      expect([name, counts.rejected, rows.filter(({ outcome }) => outcome === 'rejected')]).toEqual([
        name,
        0,
        [],
      ]);
    }
  });

  it('comes out of another database byte for byte as it went in, and the books there are the same', async () => {
    const tried = await read(empty, text, '?dryRun=true');
    expect(tried.body.counts.rejected).toBe(0);
    expect(tried.body.isWritten).toBe(false);
    expect((await askAt<{ gardens: unknown[] }>(empty, 'GET', '/api/gardens')).body.gardens).toEqual([]);

    const { status, body } = await read(empty, text);
    expect(status).toBe(200);
    expect(body).toMatchObject({
      isWritten: true,
      gardenName: 'Ternhollow',
      counts: { changed: 0, rejected: 0 },
    });
    expect(await textAt(empty)).toBe(text);

    const again = await read(empty, text);
    expect(again.body.counts).toMatchObject({ added: 0, changed: 0, rejected: 0 });
    expect(again.body.importId).toBeNull();
    expect(await textAt(empty)).toBe(text);
  });

  it('changes what the file has otherwise, says which field, and takes it back', async () => {
    const file = JSON.parse(text) as GardenFile;
    const bed = file.beds[0];
    file.beds[0] = { ...bed, areaM2: bed.areaM2 + 1, note: 'measured anew' };
    const { body } = await read(empty, file);
    expect(body.counts.changed).toBe(1);
    expect(body.rows).toEqual([
      {
        collection: 'beds',
        index: 0,
        id: bed.id,
        title: bed.name,
        outcome: 'changed',
        fields: ['areaM2', 'note'],
        reasons: [],
      },
    ]);
    expect(await textAt(empty)).not.toBe(text);

    const list = await askAt<{ imports: ImportEntry[] }>(empty, 'GET', `/api/gardens/${GARDEN}/imports`);
    expect(list.body.imports[0]).toMatchObject({ id: body.importId, undoneAt: null });
    const undone = await askAt(empty, 'POST', `/api/imports/${body.importId}/undo`);
    expect(undone.status).toBe(200);
    expect(await textAt(empty)).toBe(text);
    expect((await askAt<Problem>(empty, 'POST', `/api/imports/${body.importId}/undo`)).status).toBe(409);
  });

  it('will not take back what was changed since', async () => {
    const file = JSON.parse(text) as GardenFile;
    const recipe = { ...file.recipes[0], note: 'out of a file' };
    const { body } = await read(empty, { ...file, recipes: [recipe, ...file.recipes.slice(1)] });
    await read(empty, {
      ...file,
      recipes: [{ ...recipe, note: 'and later' }, ...file.recipes.slice(1)],
    });
    const refused = await askAt<Problem>(empty, 'POST', `/api/imports/${body.importId}/undo`);
    expect(refused.status).toBe(409);
    expect(refused.body.detail).toMatch(/changed since/);
    await read(empty, text);
    expect(await textAt(empty)).toBe(text);
  });

  it('is taken in as a copy with ids of its own, once more the same books', async () => {
    const { body } = await read(empty, text, '?copy=true');
    expect(body).toMatchObject({ isWritten: true, counts: { rejected: 0 } });
    expect(body.gardenId).not.toBe(GARDEN);
    const copy = JSON.parse(await textAt(empty, body.gardenId)) as GardenFile;
    const original = JSON.parse(text) as GardenFile;
    expect(copy.entries.map(({ date, type }) => [date, type])).toEqual(
      original.entries.map(({ date, type }) => [date, type]),
    );
    const ids = new Set(original.entries.map(({ id }) => id));
    expect(copy.entries.some(({ id }) => ids.has(id))).toBe(false);
    const undone = await askAt(empty, 'POST', `/api/imports/${body.importId}/undo`);
    expect(undone.status).toBe(200);
    expect(await textAt(empty)).toBe(text);
  });

  it('says why a record cannot be, by its own name, even where the database refused it first', async () => {
    const file = JSON.parse(text) as GardenFile;
    const planting = file.plantings.find(({ clearedOn }) => clearedOn !== null)!;
    const plantings = file.plantings.map((one) =>
      one.id === planting.id ? { ...one, clearedOn: one.plantedOn } : one,
    );
    const { body } = await read(empty, { ...file, plantings });
    expect(body).toMatchObject({ isWritten: false, counts: { rejected: 1 } });
    const [row] = body.rows.filter(({ outcome }) => outcome === 'rejected');
    const bed = file.beds.find(({ id }) => id === planting.bedId)!;
    expect(row.title).toMatch(new RegExp(`, planted on ${bed.name} on ${planting.plantedOn}$`));
    expect(row.reasons).toMatchObject([
      {
        field: 'clearedOn',
        sentence: 'the day it is cleared must be after planting; is the year right?',
        code: 'notAfterPlanting',
        at: { collection: 'plantings', id: planting.id },
      },
    ]);
    expect(await textAt(empty)).toBe(text);
  });

  it('is refused whole, row by row and column by column, when anything in it cannot be', async () => {
    const file = JSON.parse(text) as GardenFile;
    const entries = file.entries as unknown as Record<string, unknown>[];
    const lay = entries.findIndex((entry) => entry['type'] === 'lay');
    const spoilt = {
      ...file,
      garden: { ...file.garden, name: 'Spoilt' },
      beds: file.beds.map((bed, i) => (i === 0 ? { ...bed, areaM2: -1 } : bed)),
      entries: entries.map((entry, i) => (i === lay ? { ...entry, amount: 'much' } : entry)),
    };
    const { status, body } = await read(empty, spoilt);
    expect(status).toBe(200);
    expect(body.isWritten).toBe(false);
    const reasons = body.rows.filter(({ outcome }) => outcome === 'rejected');
    expect(reasons).toEqual(
      expect.arrayContaining([
        expect.objectContaining({
          collection: 'beds',
          index: 0,
          reasons: [expect.objectContaining({ field: 'areaM2' })],
        }),
        expect.objectContaining({
          collection: 'entries',
          index: lay,
          reasons: [expect.objectContaining({ field: 'amount' })],
        }),
      ]),
    );
    expect(await textAt(empty)).toBe(text);
  });

  it('is refused when it does not say which model it was made with', async () => {
    for (const model of [{ odd: [1] }, 'three', null, 0]) {
      const { status, body } = await read(empty, { ...(JSON.parse(text) as GardenFile), model });
      expect(status).toBe(422);
      expect(body.detail).toContain('model');
    }
  });

  it('names the record the model would refuse', async () => {
    const file = JSON.parse(text) as GardenFile;
    const index = file.entries.findIndex((entry) => entry.type === 'lay' && !entry.lotId);
    const entries = file.entries.map((entry, i) =>
      i === index ? { ...entry, materialId: 'moon-dust' } : entry,
    );
    const { body } = await read(empty, { ...file, entries });
    expect(body.isWritten).toBe(false);
    expect(body.rows.filter(({ outcome }) => outcome === 'rejected')).toEqual([
      expect.objectContaining({
        collection: 'entries',
        id: file.entries[index].id,
        reasons: [expect.objectContaining({ field: 'materialId' })],
      }),
    ]);
  });

  it.each([
    [{ format: 'something-else', version: 1 }, /no garden file/],
    [{ format: 'vine-ledger-garden', version: 999 }, /update Vine Ledger/],
    [{ format: 'vine-ledger-garden', version: 'new' }, /whole number/],
    ['[1, 2', /JSON/],
    [[], /no garden file/],
  ])('refuses what is no garden file of a version it knows: %j', async (file, sentence) => {
    const { status, body } = await read(empty, file);
    expect(status).toBeGreaterThanOrEqual(400);
    expect(status).toBeLessThan(500);
    expect(body.detail).toMatch(sentence);
  });

  it('refuses a file that is nested to exhaust its reader', async () => {
    const { status, body } = await read(empty, `${'['.repeat(100_000)}${']'.repeat(100_000)}`);
    expect(status).toBe(400);
    expect(body.detail).toMatch(/nested deeper/);
  });
});
