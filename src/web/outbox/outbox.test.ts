import { describe, expect, it } from 'vitest';
import {
  createOutbox,
  shelfWithSpare,
  pageShelf,
  type Exclusively,
  type HandOver,
  type NewParcel,
  type Parcel,
  type Shelf,
} from './outbox.ts';

const note = (text: string): NewParcel => ({
  type: 'journal',
  gardenId: 'garden',
  record: {
    kind: 'observation',
    id: text,
    date: '2026-05-14',
    note: text,
    bedId: 'bed',
    plantingId: null,
    photoId: null,
    observed: { type: 'note' },
  },
});
const textOf = (parcel: Parcel): string => (parcel.type === 'journal' ? parcel.record.note : '');

/** A shelf in memory, one thing at a time, and books that can be cut off. */
function setUp() {
  const shelf = pageShelf();
  const last = new Map<string, Promise<unknown>>();
  const exclusively: Exclusively = (name, act) => {
    const turn = (last.get(name) ?? Promise.resolve()).then(act);
    last.set(
      name,
      turn.catch(() => undefined),
    );
    return turn;
  };
  const world = { isOnline: true, kept: [] as string[], losesAnswers: false };
  const handOver: HandOver = (parcel) => {
    if (!world.isOnline) return Promise.reject(new Error('no connection'));
    if (textOf(parcel) === 'wrong') return Promise.resolve({ refusal: 'date lies in the future' });
    if (!world.kept.includes(textOf(parcel))) world.kept.push(textOf(parcel));
    return world.losesAnswers ? Promise.reject(new Error('answer lost')) : Promise.resolve('kept');
  };
  const open = () => createOutbox({ shelf, handOver, exclusively, now: () => '2026-05-14T10:00:00Z' });
  return { world, open, shelf, exclusively };
}

describe('what is written in the garden', () => {
  it('waits while there is no connection, and goes in once and in order when it is back', async () => {
    const { world, open } = setUp();
    const box = open();
    world.isOnline = false;
    await box.add([note('first')]);
    expect(await box.flush()).toBe(false);
    await box.add([note('second'), note('third')]);
    expect([await box.flush(), box.parcels().length, world.kept]).toEqual([false, 3, []]);
    world.isOnline = true;
    expect(await box.flush()).toBe(true);
    expect([box.parcels(), world.kept]).toEqual([[], ['first', 'second', 'third']]);
  });
  it('outlives the page', async () => {
    const { world, open } = setUp();
    world.isOnline = false;
    await open().add([note('kept on the device')]);
    world.isOnline = true;
    const later = open();
    await later.open();
    expect(later.parcels().map(textOf)).toEqual(['kept on the device']);
    await later.flush();
    expect(world.kept).toEqual(['kept on the device']);
  });
  it('is doubled neither by two windows nor by an answer that is lost', async () => {
    const { world, open } = setUp();
    const [one, two] = [open(), open()];
    await one.add([note('a'), note('b')]);
    await Promise.all([one.flush(), two.flush(), one.flush()]);
    expect(world.kept).toEqual(['a', 'b']);
    world.losesAnswers = true;
    await one.add([note('c')]);
    expect(await one.flush()).toBe(false);
    world.losesAnswers = false;
    await one.flush();
    expect([world.kept, one.parcels()]).toEqual([['a', 'b', 'c'], []]);
  });
  it('stays with the reason when it is refused, and does not hold up what comes after', async () => {
    const { world, open, shelf } = setUp();
    const box = open();
    await box.add([note('wrong'), note('right')]);
    expect(await box.flush()).toBe(true);
    expect(world.kept).toEqual(['right']);
    expect(box.parcels().map(({ refusal }) => refusal)).toEqual(['date lies in the future']);
    const [{ id }] = box.parcels();
    await box.retry(id);
    await box.flush();
    expect(box.parcels()).toHaveLength(1);
    await box.discard(id);
    expect(await shelf.read()).toEqual([]);
  });
  it('tells whoever listens, until they stop', async () => {
    const { open } = setUp();
    const box = open();
    let told = 0;
    const stop = box.subscribe(() => (told += 1));
    await box.add([note('a')]);
    const first = told;
    stop();
    await box.flush();
    expect([first > 0, told]).toEqual([true, first]);
  });
  it('lies on the page where the browser stores nothing', async () => {
    const broken: Shelf = {
      read: () => Promise.reject(new Error('storage is off')),
      write: () => Promise.reject(new Error('storage is off')),
    };
    const kept: string[] = [];
    const box = createOutbox({
      shelf: shelfWithSpare(broken, pageShelf()),
      handOver: (parcel) =>
        Promise.resolve(kept.push(textOf(parcel)) > 0 ? ('kept' as const) : { refusal: '' }),
      exclusively: (_, act) => act(),
      now: () => '2026-05-14T10:00:00Z',
    });
    await box.add([note('still written')]);
    expect([await box.flush(), kept]).toEqual([true, ['still written']]);
  });
  it('is on the shelf at once, though something before it hangs on its way', async () => {
    const { shelf, exclusively } = setUp();
    let release: () => void = () => undefined;
    const hanging = new Promise<'kept'>((resolve) => (release = () => resolve('kept')));
    const box = createOutbox({
      shelf,
      handOver: () => hanging,
      exclusively,
      now: () => '2026-05-14T10:00:00Z',
    });
    await box.add([note('hangs')]);
    const sending = box.flush();
    await box.add([note('written meanwhile')]);
    expect((await shelf.read()).map(textOf)).toEqual(['hangs', 'written meanwhile']);
    release();
    expect([await sending, await shelf.read()]).toEqual([true, []]);
  });
});
