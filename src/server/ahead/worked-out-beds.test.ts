import { expect, it } from 'vitest';
import { bedOf, GARDEN, MILD, NO_STOCK, plantingOf } from '../../../tests/fixtures/books.ts';
import { emptyMemory } from '../../core/yard/index.ts';
import type { WorkedOutBed } from '../../contract/worked-out.ts';
import { workedOutBeds } from './worked-out-beds.ts';

const garden = { ...GARDEN, climate: MILD, version: 1, createdAt: '', updatedAt: '' };
const beds = ['one', 'two', 'three', 'four'].map((id) => bedOf({ id, name: id, organicMatterPct: 1 }));
const plantings = [
  plantingOf({ bedId: 'two', cropId: 'kale', plantedOn: '2026-04-20', nitrogenDemandGPerM2: 20 }),
];
const records = { ...NO_STOCK, garden, beds, plantings, entries: [], materials: [], journal: [] };

const asked = (change: object = {}, tag = 'as they are') => ({
  books: Buffer.from(JSON.stringify({ ...records, today: '2026-05-01', ...change })),
  tag,
});
const bedNamed = ({ beds: all }: { readonly beds: readonly WorkedOutBed[] }, id: string) =>
  all.find(({ bedId }) => bedId === id);

it('a garden is worked out once for all who ask, with others seen to between its beds', async () => {
  const bedsOf = workedOutBeds(emptyMemory());
  const first = bedsOf(asked());
  expect(bedsOf(asked())).toBe(first);
  const goingOn = new Set(['garden']);
  void first.then(() => goingOn.clear());
  let seenTo = 0;
  while (goingOn.size > 0) {
    await new Promise((resolve) => setImmediate(resolve));
    seenTo += 1;
  }
  expect(seenTo).toBeGreaterThanOrEqual(beds.length);
});

it('after a change only the bed that it touches is worked out anew, on another day all are', async () => {
  const bedsOf = workedOutBeds(emptyMemory());
  const before = await bedsOf(asked());
  const rain = { id: 'rain', bedId: 'two', type: 'water', state: 'laid', date: '2026-04-30', waterMm: 80 };
  const after = await bedsOf(asked({ entries: [rain] }, 'watered'));
  expect(bedNamed(after, 'one')).toBe(bedNamed(before, 'one'));
  expect(bedNamed(after, 'two')!.brief).not.toEqual(bedNamed(before, 'two')!.brief);
  const tomorrow = await bedsOf(asked({ today: '2026-05-02' }, 'a day later'));
  expect(bedNamed(tomorrow, 'one')!.brief.now).not.toEqual(bedNamed(before, 'one')!.brief.now);
});

it('what fails is tried again, and says what is wrong', async () => {
  const bedsOf = workedOutBeds(emptyMemory());
  const unsound = { plantings: [plantingOf({ bedId: 'two', cropId: 'kale', plantedOn: 'in spring' })] };
  await expect(bedsOf(asked(unsound))).rejects.toThrow();
  expect((await bedsOf(asked())).beds).toHaveLength(beds.length);
});
