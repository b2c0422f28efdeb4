import { copyFileSync } from 'node:fs';
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { join } from 'node:path';
import type { GardenBooks } from '../contract/garden-books.ts';
import { bedOf, GARDEN, plantingOf } from '../../tests/fixtures/books.ts';
import { newFolder, removeFolder } from '../../tests/http/server.ts';
import { openBooks, type BooksFile } from './db/books-file.ts';
import { DEMO_GARDEN_ID, DEMO_GARDEN_IDS, plantDemoGardens } from './demo/demo-garden.ts';
import { afterChange } from '../contract/changes.ts';
import { changesSince, markOf } from './changes.ts';
import { booksSender, type SentBooks } from './sent-books.ts';

const TODAY = '2026-05-14';
const folder = newFolder();
const NOW = (): string => '2026-05-14T08:00:00.000Z';
const TEMPLATE = join(folder, 'template.sqlite');
let count = 0;
let books: BooksFile;
let sent: (gardenId?: string) => Promise<SentBooks>;

const read = ({ body }: SentBooks) => JSON.parse(new TextDecoder().decode(body)) as GardenBooks;
/** What somebody reads who has nothing yet. */
const afresh = async (): Promise<GardenBooks> =>
  read(await booksSender(books.stores, () => TODAY)(books.stores.gardens.find(DEMO_GARDEN_ID)!));
const water = (id: string, bedId: string, date = '2026-05-01') => ({
  id,
  bedId,
  type: 'water' as const,
  state: 'laid' as const,
  date,
  note: '',
  waterMm: 3,
});

beforeAll(() => {
  const template = openBooks({ file: TEMPLATE }, NOW);
  plantDemoGardens(template.stores, TODAY);
  template.close();
});
beforeEach(async () => {
  const file = join(folder, `${count++}.sqlite`);
  copyFileSync(TEMPLATE, file);
  books = openBooks({ file }, NOW);
  const remembered = booksSender(books.stores, () => TODAY);
  sent = (gardenId = DEMO_GARDEN_ID) => remembered(books.stores.gardens.find(gardenId)!);
  await sent();
});
afterAll(() => removeFolder(folder));

describe('books that are sent', () => {
  it.each<[string, (file: BooksFile) => void]>([
    ['an entry', ({ stores }) => stores.entries.insert(water('new', 'demo-ferry-strip'))],
    [
      'an entry before all others',
      ({ stores }) => stores.entries.insert(water('old', 'demo-ferry-strip', '2001-01-01')),
    ],
    [
      'another order of one day',
      ({ stores }) => {
        stores.entries.insert(water('a', 'demo-char-bed'));
        stores.entries.insert(water('b', 'demo-char-bed'));
        stores.entries.reorder(['b', 'a']);
      },
    ],
    ['an entry deleted', ({ stores }) => stores.entries.remove('demo-ferry-strip-layer-1', 1)],
    [
      'an entry that goes to another bed out of a file',
      ({ stores }) => {
        const { version, ...entry } = stores.entries.find('demo-ferry-strip-layer-1')!;
        stores.entries.upsert({ ...entry, bedId: 'demo-char-bed' });
      },
    ],
    ['a bed taken away with all that lies on it', ({ stores }) => stores.beds.remove('demo-ferry-strip', 1)],
    [
      'a bed brought back',
      ({ stores }) => {
        stores.beds.remove('demo-ferry-strip', 1);
        stores.beds.restore('demo-ferry-strip');
      },
    ],
    [
      'a planting',
      ({ stores }) => stores.plantings.insert({ ...plantingOf({ id: 'new' }), bedId: 'demo-char-bed' }),
    ],
    ['a new bed', ({ stores }) => stores.beds.insert(bedOf({ id: 'new', gardenId: DEMO_GARDEN_ID }))],
    ['the garden itself', ({ stores }) => stores.gardens.update(DEMO_GARDEN_ID, 1, { name: 'Renamed' })],
    ['another garden', ({ stores }) => stores.gardens.insert(GARDEN)],
    [
      'a pile that is gone',
      ({ stores }) => {
        const [lot] = stores.lots.listOf(DEMO_GARDEN_ID);
        stores.lots.remove(lot.id, lot.version);
      },
    ],
    [
      'something that was taken back',
      ({ stores }) => {
        const act = () =>
          stores.atomically(() => {
            stores.entries.insert(water('never', 'demo-char-bed'));
            throw new Error('taken back');
          });
        expect(act).toThrow('taken back');
      },
    ],
    [
      'the demo made afresh',
      ({ stores }) => {
        for (const id of DEMO_GARDEN_IDS) stores.erase(id);
        plantDemoGardens(stores, '2027-05-14');
      },
    ],
  ])('are what is in the file after %s, and so are those that took in the change', async (_, write) => {
    const before = read(await sent());
    const since = markOf(books.stores, DEMO_GARDEN_ID);
    write(books);
    const now = await sent();
    expect(read(now)).toEqual(await afresh());
    expect((await sent()).tag).toBe(now.tag);
    const change = changesSince({ stores: books.stores, gardenId: DEMO_GARDEN_ID, since, today: TODAY });
    expect(change.mark).toEqual(markOf(books.stores, DEMO_GARDEN_ID));
    const told = JSON.parse(JSON.stringify(change)) as typeof change;
    expect(told.isWhole).toBe(false);
    if (!told.isWhole) expect(afterChange(before, told)).toEqual(await afresh());
  });

  it('are another after a backup was restored', async () => {
    const { name } = await books.backUp('manual');
    books.stores.entries.insert(water('later', 'demo-char-bed'));
    const later = await sent();
    expect(read(later).entries.some(({ id }) => id === 'later')).toBe(true);
    await books.restore(name);
    expect(read(await sent()).entries.some(({ id }) => id === 'later')).toBe(false);
    expect((await sent()).tag).not.toBe(later.tag);
    books.close();
  });

  it('carry another mark after a write, though another garden was read in between', async () => {
    books.stores.gardens.insert(GARDEN);
    await sent(GARDEN.id);
    const before = await sent();
    books.stores.entries.insert(water('between', 'demo-char-bed'));
    await sent(GARDEN.id);
    const now = await sent();
    expect(now.tag).not.toBe(before.tag);
    expect(read(now)).toEqual(await afresh());
  });

  it('carry another mark after every write', async () => {
    const tags = new Set([(await sent()).tag]);
    for (let i = 0; i < 5; i++) {
      books.stores.entries.insert(water(`w-${i}`, 'demo-char-bed'));
      tags.add((await sent()).tag);
    }
    expect(tags.size).toBe(6);
  });
});
