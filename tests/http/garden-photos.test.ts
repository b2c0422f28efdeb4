import { readdirSync, readFileSync, rmSync } from 'node:fs';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { GardenFile } from '../../src/contract/garden-file.ts';
import type { ImportReport } from '../../src/contract/imports.ts';
import type { Problem } from '../../src/contract/problem.ts';
import { grayJpeg, grayPng } from '../fixtures/photos.ts';
import { openBooks } from './open-books.ts';
import { askAt, newFolder, removeFolder, startServer, type Answering, type RunningServer } from './server.ts';

const GARDEN = 'ternhollow';
const MEGABYTE = 1024 * 1024;
const asBase64 = (picture: Uint8Array) => Buffer.from(picture).toString('base64');

/** A JPEG of about `bytes`: what comes between its head and its end is drawn, and no camera would mind. */
function largeJpeg(bytes: number): Uint8Array {
  const jpeg = Buffer.from(grayJpeg());
  return Buffer.concat([jpeg.subarray(0, -2), Buffer.alloc(bytes, 0x5a), jpeg.subarray(-2)]);
}

const photo = (id: string, base64: string, mediaType: 'image/jpeg' | 'image/png') => ({
  id,
  createdAt: '2026-05-01T08:00:00.000Z',
  mediaType,
  base64,
});

describe('a garden with more photos than fit in memory at once', () => {
  const folder = newFolder();
  let server: RunningServer;
  let file: GardenFile;
  let text: string;
  const photoFolder = () => `${folder}/photos.sqlite-photos`;
  const highestRssMb = () =>
    Number(/VmHWM:\s+(\d+) kB/.exec(readFileSync(`/proc/${server.pid}/status`, 'utf8'))![1]) / 1024;
  const send = async (query = '', body = text): Promise<ImportReport> => {
    const answer = await server.request(`/api/imports${query}`, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body,
    });
    expect(answer.status).toBe(200);
    return (await answer.json()) as ImportReport;
  };

  beforeAll(async () => {
    const demo = openBooks(`${folder}/demo.sqlite`, ['--demo']);
    file = (await askAt<GardenFile>(demo, 'GET', `/api/gardens/${GARDEN}/garden.json`)).body;
    await demo.stop();
    const large = asBase64(largeJpeg(6 * MEGABYTE));
    const photos = [
      ...Array.from({ length: 2002 }, (_, i) =>
        photo(`small-${i + 10_000}`, asBase64(grayPng()), 'image/png'),
      ),
      ...Array.from({ length: 9 }, (_, i) => photo(`wide-${i + 10}`, large, 'image/jpeg')),
    ];
    text = `${JSON.stringify({ ...file, photos }, null, 1)}\n`;
    expect(text.length).toBeGreaterThan(70 * MEGABYTE);
    server = await startServer(`${folder}/photos.sqlite`);
  });
  afterAll(async () => {
    await server.stop();
    removeFolder(folder);
  });

  it('is tried and leaves nothing behind, comes in, and goes out byte for byte', async () => {
    // What the thread takes that reads records in is not about photos.
    await send('?dryRun=true', JSON.stringify({ ...file, photos: [] }));
    const restingMb = highestRssMb();
    expect(await send('?dryRun=true')).toMatchObject({ isWritten: false, counts: { rejected: 0 } });
    expect(readdirSync(folder)).not.toContain('photos.sqlite-photos');
    expect(await send()).toMatchObject({ isWritten: true, counts: { rejected: 0 } });
    expect(readdirSync(photoFolder())).toHaveLength(2011);
    const out = await (await server.request(`/api/gardens/${GARDEN}/garden.json`)).text();
    expect(out === text).toBe(true);
    // Read whole it would be there four times over: as bytes, as text, as values and as pictures.
    expect(highestRssMb() - restingMb).toBeLessThan((4 * text.length) / MEGABYTE);
    expect((await send('?dryRun=true')).counts).toMatchObject({ added: 0, changed: 0, rejected: 0 });
  });
  it('goes out without a photo whose file is gone, and what shows it says so no more', async () => {
    const shown = {
      id: 'seen-it',
      kind: 'observation',
      date: '2026-05-10',
      bedId: file.beds[0].id,
      plantingId: null,
      photoId: 'small-10001',
      morePhotoIds: ['small-10002'],
      observed: { type: 'growth', vigor: 'steady' },
      note: '',
    };
    const { status } = await askAt(server, 'POST', `/api/gardens/${GARDEN}/journal`, { records: [shown] });
    expect(status).toBe(201);
    rmSync(`${photoFolder()}/small-10001`);
    const out = (await askAt<GardenFile>(server, 'GET', `/api/gardens/${GARDEN}/garden.json`)).body;
    expect(out.photos).toHaveLength(2010);
    expect(out.journal.find(({ id }) => id === 'seen-it')).toMatchObject({
      photoId: null,
      morePhotoIds: ['small-10002'],
    });
  });
});

describe('a garden file that comes in wrongly', () => {
  const folder = newFolder();
  let books: Answering;
  let file: GardenFile;
  beforeAll(async () => {
    books = openBooks(`${folder}/books.sqlite`, ['--demo']);
    file = (await askAt<GardenFile>(books, 'GET', `/api/gardens/${GARDEN}/garden.json`)).body;
  });
  afterAll(async () => {
    await books.stop();
    removeFolder(folder);
  });
  const send = async (body: string | object) => {
    const { status, body: said } = await askAt<Problem>(books, 'POST', '/api/imports?copy=true', body);
    return [status, said.detail] as const;
  };
  const leftOver = () =>
    readdirSync(folder).flatMap((name) => (name.endsWith('-photos') ? readdirSync(`${folder}/${name}`) : []));

  it.each([
    ['', /not JSON/],
    ['{"format":', /not JSON/],
    ['{"format": tru}', /not JSON/],
    ['{"format": 1}}', /not JSON/],
    ['"vine-ledger-garden"', /no garden file/],
  ])('%j is refused', async (text, why) => {
    const [status, said] = await send(text);
    expect(status).toBeGreaterThanOrEqual(400);
    expect(said).toMatch(why);
  });
  it('names the photo that is none, and keeps none of the others', async () => {
    const good = photo('one', asBase64(grayPng()), 'image/png');
    const picture = asBase64(Buffer.from('not a picture'));
    for (const [photos, why] of [
      [[good, { ...good, id: 'two', base64: picture }], /The photo two is not a whole picture/],
      [
        [good, { ...good, id: 'two', mediaType: 'image/jpeg' }],
        /The photo two is not a whole picture of the kind image\/jpeg/,
      ],
      [[good, 5], /photos/],
      [{ one: good }, /photos/],
    ] as const) {
      const [status, said] = await send({ ...file, photos });
      expect([status, said]).toEqual([422, expect.stringMatching(why)]);
    }
    expect(leftOver()).toEqual([]);
  });
  it('with two lists of photos is refused: pictures would go to the wrong lines', async () => {
    const one = photo('one', asBase64(grayPng()), 'image/png');
    const twice = JSON.stringify({ ...file, photos: [one] }).replace(
      '"photos":',
      `"photos":[${JSON.stringify(one)}],"photos":`,
    );
    expect((await send(twice))[0]).toBe(422);
    expect(leftOver()).toEqual([]);
  });
  it('is told so when it is too large beside its photos', async () => {
    const [status, said] = await send(`{"note": "${'x'.repeat(76 * MEGABYTE)}"}`);
    expect([status, said]).toEqual([413, expect.stringContaining('64 MB beside its photos')]);
  });
});
