import { beforeEach, describe, expect, it } from 'vitest';
import { bedOf, GARDEN } from '../../../tests/fixtures/books.ts';
import type { EntryRecord } from '../../records/entry.ts';
import type { Stores, Unstamped } from '../stores.ts';
import { openDatabase } from './open.ts';
import { createStores } from './stores.ts';

const garden = GARDEN;
const { createdAt, updatedAt, version, ...bed } = bedOf();
const common = { bedId: 'bed', state: 'laid' as const, date: '2026-05-01', note: '' };
const layer: Unstamped<EntryRecord> = {
  ...common,
  id: 'layer',
  type: 'lay',
  materialId: 'chips_branch',
  amount: 7,
  unit: 'cm',
  massFreshKg: 98,
  dugDepthCm: 0,
  seasonedMonths: 0,
};

let stores: Stores;
let clock: number;
beforeEach(() => {
  clock = 0;
  stores = createStores(
    openDatabase(':memory:'),
    () => `2026-05-14T00:00:${String(clock++).padStart(2, '0')}.000Z`,
  );
  stores.gardens.insert(garden);
  stores.beds.insert(bed);
});

describe('stores', () => {
  it('give back what they were given, stamped', () => {
    expect(stores.gardens.find('garden')).toMatchObject({
      ...garden,
      version: 1,
      createdAt: '2026-05-14T00:00:00.000Z',
    });
    expect(stores.beds.find('bed')).toMatchObject({ ...bed, isWatered: true });
    expect(stores.beds.find('nobody')).toBeUndefined();
  });

  it('count versions and refuse an old one without touching the record', () => {
    expect(stores.beds.update('bed', 1, { name: 'New name' })).toMatchObject({
      outcome: 'written',
      current: { version: 2, name: 'New name' },
    });
    expect(stores.beds.update('bed', 1, { name: 'Too late' })).toMatchObject({
      outcome: 'stale',
      current: { version: 2, name: 'New name' },
    });
    expect(stores.beds.update('nobody', 1, {})).toEqual({ outcome: 'missing' });
    expect(stores.beds.find('bed')).toMatchObject({
      areaM2: 5,
      createdAt: '2026-05-14T00:00:01.000Z',
      updatedAt: '2026-05-14T00:00:02.000Z',
    });
  });

  it('remove by marking, and bring back', () => {
    expect(stores.beds.remove('bed', 7)).toMatchObject({ outcome: 'stale' });
    expect(stores.beds.remove('bed', 1)).toEqual({ outcome: 'removed' });
    expect(stores.beds.find('bed')).toBeUndefined();
    expect(stores.beds.listOf('garden')).toEqual([]);
    expect(stores.beds.remove('bed', 2)).toEqual({ outcome: 'missing' });
    expect(stores.beds.restore('bed')).toMatchObject({ outcome: 'written', current: { version: 3 } });
    expect(stores.beds.listOf('garden')).toHaveLength(1);
  });

  it('hide entries and plantings of a removed bed from the garden', () => {
    stores.entries.insert(layer);
    expect(stores.entries.listOfGarden('garden')).toHaveLength(1);
    stores.beds.remove('bed', 1);
    expect(stores.entries.listOfGarden('garden')).toEqual([]);
  });

  it('hold only the fields of an entry of its type, also when it changes type', () => {
    expect(Object.keys(stores.entries.insert(layer))).not.toContain('nitrogenG');
    const fed = stores.entries.update('layer', 1, { ...common, type: 'feed', nitrogenG: 20 });
    expect(fed).toMatchObject({ outcome: 'written', current: { type: 'feed', nitrogenG: 20 } });
    expect('current' in fed && Object.keys(fed.current)).not.toContain('amount');
  });

  it('keep entries of one day in the order they were written down', () => {
    for (const id of ['c', 'a', 'b']) stores.entries.insert({ ...layer, id });
    stores.entries.insert({ ...layer, id: 'earlier', date: '2026-04-01' });
    expect(stores.entries.listOf('bed').map(({ id }) => id)).toEqual(['earlier', 'c', 'a', 'b']);
  });

  it('write all of an act or nothing', () => {
    expect(() =>
      stores.atomically(() => {
        stores.entries.insert(layer);
        throw new Error('second thoughts');
      }),
    ).toThrow('second thoughts');
    expect(stores.entries.listOf('bed')).toEqual([]);
  });

  it('list what is there after a write that was taken back, or a garden erased', () => {
    const lot = {
      id: 'lot',
      gardenId: 'garden',
      name: 'Lot',
      form: 'pile',
      keeping: 'open',
      isTurned: false,
      isHot: false,
      reserveL: 0,
      note: '',
    } as const;
    const found = {
      id: 'found',
      gardenId: 'garden',
      state: 'laid',
      date: '2026-05-14',
      note: '',
      lotId: 'lot',
    };
    const stocktake = (amount: number) =>
      ({ ...found, type: 'stocktake', amount, unit: 'kg' }) as Parameters<typeof stores.movements.insert>[0];
    const amounts = () => stores.movements.listOf('garden').map((one) => 'amount' in one && one.amount);
    stores.lots.insert(lot);
    expect(() =>
      stores.atomically(() => {
        stores.movements.insert(stocktake(5));
        expect(amounts()).toEqual([5]);
        throw new Error('second thoughts');
      }),
    ).toThrow('second thoughts');
    expect(amounts()).toEqual([]);
    stores.movements.insert(stocktake(7));
    expect(amounts()).toEqual([7]);
    stores.movements.update('found', 1, stocktake(8));
    expect(amounts()).toEqual([8]);
    expect(() => Object.assign(stores.movements.listOf('garden')[0], { note: 'x' })).toThrow(TypeError);
    const { version: _, ...garden } = stores.gardens.find('garden')!;
    stores.erase('garden');
    stores.gardens.insert(garden);
    stores.lots.insert(lot);
    stores.movements.insert(stocktake(9));
    expect(amounts()).toEqual([9]);
  });

  it('refuse an entry that names a layer nobody laid', () => {
    const off = { ...common, id: 'off', type: 'takeOff' as const, layerId: 'nothing', shareTakenOff: 1 };
    expect(() => stores.entries.insert(off)).toThrow(/FOREIGN KEY/);
  });
});
