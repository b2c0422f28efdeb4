import { describe, expect, it } from 'vitest';
import type { ListedLot } from '../../ui/stock/use-stock.ts';
import { ashPosting, ashToWeighG } from './ash-mix.ts';

const heap = {
  lot: { id: 'heap', name: 'Old heap' },
  brief: { now: { volumeL: 100, woodAshG: 500 } },
} as unknown as ListedLot;
const today = '2026-05-14';

describe('ash mixed into something', () => {
  it('is weighed by the lowest recipe, less what a heap has, more of it when damp', () => {
    expect(ashToWeighG({ use: 'compost', litres: 10 }, { isDamp: false })).toBeCloseTo(113.6, 1);
    expect(ashToWeighG({ use: 'compost', litres: 10 }, { isDamp: true })).toBeCloseTo(189.3, 1);
    // 100 L less the litre of ash in it.
    expect(ashToWeighG({ heap }, { isDamp: false })).toBeCloseTo(624, 0);
  });
  it('is booked from its pile, or received into the heap from outside', () => {
    const booked = (fromLotId: string) => ashPosting({ heap }, { weighedG: 636, fromLotId, today });
    expect(booked('ash')!.movements).toMatchObject([
      { type: 'move', lotId: 'ash', toLotId: 'heap', amount: 636, unit: 'gram' },
    ]);
    expect(booked('')!.movements).toMatchObject([
      { type: 'receive', lotId: 'heap', materialId: 'wood_ash', amount: 636 },
    ]);
  });
  it('leaves the stock for a bucket or pots, and books nothing where there is nothing to book', () => {
    const pots = { use: 'pots', litres: 10 } as const;
    expect(ashPosting(pots, { weighedG: 19, fromLotId: 'ash', today })!.movements).toMatchObject([
      { type: 'takeOut', lotId: 'ash', reason: 'used' },
    ]);
    expect(ashPosting(pots, { weighedG: 19, fromLotId: '', today })).toBeNull();
    expect(ashPosting({ heap }, { weighedG: 0, fromLotId: 'ash', today })).toBeNull();
  });
});
