import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import {
  afterChange,
  type AnswerWithChange,
  type BooksChange,
  type BooksMark,
} from '../../src/contract/changes.ts';
import type { GardenBooks } from '../../src/contract/garden-books.ts';
import { openBooks } from './open-books.ts';
import { askAt, newFolder, removeFolder, type Answering } from './server.ts';

const GARDEN = 'ternhollow';

describe('changes instead of whole gardens', () => {
  const folder = newFolder();
  let server: Answering;
  beforeAll(() => {
    server = openBooks(`${folder}/books.sqlite`, ['--demo']);
  });
  afterAll(async () => {
    await server.stop();
    removeFolder(folder);
  });

  const readWhole = async (): Promise<{ books: GardenBooks; mark: BooksMark }> => {
    const response = await server.request(`/api/gardens/${GARDEN}/books`);
    const [epoch, number] = response.headers.get('etag')!.replaceAll('"', '').split(' ');
    return { books: (await response.json()) as GardenBooks, mark: { epoch, number: Number(number) } };
  };
  const changesAfter = async ({ epoch, number }: BooksMark): Promise<BooksChange> =>
    (await askAt<BooksChange>(server, 'GET', `/api/gardens/${GARDEN}/changes?since=${number}&epoch=${epoch}`))
      .body;
  const send = (method: string, path: string, body: unknown, mark?: BooksMark) =>
    server.request(path, {
      method,
      headers: {
        ...(body === undefined ? {} : { 'Content-Type': 'application/json' }),
        ...(mark ? { 'Changes-Since': `${GARDEN} ${mark.epoch} ${mark.number}` } : {}),
      },
      ...(body === undefined ? {} : { body: JSON.stringify(body) }),
    });
  const water = (id: string) => ({
    id,
    type: 'water',
    state: 'laid',
    date: '2026-05-01',
    note: '',
    waterMm: 4,
  });

  it('are nothing when nothing was written', async () => {
    const { books, mark } = await readWhole();
    const change = await changesAfter(mark);
    expect(change).toMatchObject({ isWhole: false, mark, garden: null, lists: {} });
    if (!change.isWhole) expect(afterChange(books, change)).toBe(books);
  });

  it('come with the answer of a write, and are small', async () => {
    const { books, mark } = await readWhole();
    const [bed] = books.beds;
    const plain = await send('POST', `/api/beds/${bed.id}/entries`, water('plain'));
    const record = (await plain.json()) as object;
    expect(record).toMatchObject({ id: 'plain', version: 1 });

    const answered = await send('POST', `/api/beds/${bed.id}/entries`, water('with-change'), mark);
    expect(answered.status).toBe(201);
    const text = await answered.text();
    expect(text.length).toBeLessThan(20_000);
    const { answer, change } = JSON.parse(text) as AnswerWithChange;
    expect(answer).toMatchObject({ id: 'with-change', version: 1 });
    if (change.isWhole) throw new Error('was sent whole');
    expect(change.lists.entries?.written.map(({ id }) => id)).toEqual(['plain', 'with-change']);
    const after = afterChange(books, change);
    expect(after).toEqual((await readWhole()).books);
    expect(after.journal).toBe(books.journal);

    const removed = await send('DELETE', '/api/entries/plain?version=1', undefined, change.mark);
    expect(removed.status).toBe(200);
    const gone = (await removed.json()) as AnswerWithChange;
    expect(gone).toMatchObject({ answer: null, change: { lists: { entries: { removed: ['plain'] } } } });
  });

  it('of another window are seen, and a write that was refused changes nothing', async () => {
    const first = await readWhole();
    const bed = first.books.beds[0];
    const refused = await send(
      'POST',
      `/api/beds/${bed.id}/entries`,
      { ...water('no'), waterMm: -1 },
      first.mark,
    );
    expect(refused.status).toBe(422);
    expect(refused.headers.get('change-included')).toBeNull();
    expect((await changesAfter(first.mark)).mark).toEqual(first.mark);
    await send('POST', `/api/beds/${bed.id}/entries`, water('elsewhere'));
    const change = await changesAfter(first.mark);
    if (change.isWhole) throw new Error('was sent whole');
    expect(afterChange(first.books, change).entries.some(({ id }) => id === 'elsewhere')).toBe(true);
  });

  it('are told to be read whole by who has the books of another opening, or from the future', async () => {
    const { mark } = await readWhole();
    expect(await changesAfter({ ...mark, epoch: 'before' })).toEqual({ mark, isWhole: true });
    expect(await changesAfter({ ...mark, number: mark.number + 1 })).toEqual({ mark, isWhole: true });
    const bad = await askAt(server, 'GET', `/api/gardens/${GARDEN}/changes?since=-1&epoch=x`);
    expect(bad.status).toBe(422);
    expect((await askAt(server, 'GET', '/api/gardens/none/changes?since=0&epoch=x')).status).toBe(404);
  });
});
