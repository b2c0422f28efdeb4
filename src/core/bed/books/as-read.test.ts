import { expect, it } from 'vitest';
import { bedOf, GARDEN } from '../../../../tests/fixtures/books.ts';
import { groundAsRead } from './as-read.ts';

/** What only people read, where it stands. */
const OF_GARDEN = ['name', 'place', 'location', 'measures', 'prices'];
const OF_BED = [
  ...['name', 'part', 'potCount', 'learnsFromLog', 'outline', 'note'],
  ...['version', 'createdAt', 'updatedAt'],
];

it('the model reads of a garden and its beds what decides how they fare, and not what people call them', () => {
  const bed = bedOf({ note: 'Dug in May', clayPct: 31 });
  const { garden, beds } = groundAsRead({ garden: GARDEN, beds: [bed] });
  const without = (record: object, unread: readonly string[]) =>
    Object.fromEntries(Object.entries(record).filter(([name]) => !unread.includes(name)));
  expect(garden).toEqual(without(GARDEN, OF_GARDEN));
  expect(beds).toEqual([without(bed, OF_BED)]);
  expect([garden.climate, garden.school, beds[0].clayPct]).toEqual([GARDEN.climate, GARDEN.school, 31]);
});

it('a record that has not changed is read as the same object', () => {
  const bed = bedOf();
  const first = groundAsRead({ garden: GARDEN, beds: [bed] });
  const second = groundAsRead({ garden: GARDEN, beds: [bedOf({ id: 'new' }), bed] });
  expect(second.garden).toBe(first.garden);
  expect(second.beds[1]).toBe(first.beds[0]);
});
