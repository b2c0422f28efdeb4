import { describe, expect, it } from 'vitest';
import { bedOf, GARDEN, NO_STOCK } from '../../../../tests/fixtures/books.ts';
import type { GardenBooks } from '../../../contract/garden-books.ts';
import { readerOf, retyped } from '../../ui/forms/typed-quantity.ts';
import { ANY, blankWays, LOAD_TO_COME, readWays, type WaysForm } from './ways-form.ts';

const reader = readerOf('metric');
const path = bedOf({ id: 'path', kind: 'path' });
const ring = bedOf({ id: 'ring', kind: 'treeRing' });
const bed = bedOf({ id: 'bed', areaM2: 5 });
const booksOf = (beds: readonly object[], lots: readonly object[] = []): GardenBooks =>
  ({ ...NO_STOCK, garden: GARDEN, beds, lots, today: '2026-05-14' }) as unknown as GardenBooks;
const books = booksOf([path, ring, bed], [{ id: 'pile' }]);
const form = blankWays(books);
const room = { inPileL: 1000 };
const typed = (field: 'amount' | 'most' | 'dugDepth' | 'partnerAmount', text: string): WaysForm => ({
  ...form,
  [field]: retyped(form[field], text),
});

describe('the question of ways', () => {
  it('begins with the first pile for the first bed that is sown, never for a path', () => {
    expect([form.lotId, form.bedId]).toEqual(['pile', 'bed']);
    expect(blankWays(booksOf([path, ring])).bedId).toBe('ring');
    expect(blankWays(booksOf([bed])).lotId).toBe(LOAD_TO_COME);
  });
  it('begins with the pile and the bed that the address names, if there are such', () => {
    const two = booksOf([path, ring, bed], [{ id: 'pile' }, { id: 'heap' }]);
    expect(blankWays(two, { lotId: 'heap', bedId: 'ring' })).toMatchObject({ lotId: 'heap', bedId: 'ring' });
    expect(blankWays(two, { lotId: ANY, bedId: 'bed' })).toMatchObject({ lotId: ANY, bedId: 'bed' });
    expect(blankWays(two, { lotId: 'heap', bedId: ANY })).toMatchObject({ lotId: 'heap', bedId: ANY });
    expect(blankWays(books, { lotId: ANY, bedId: 'bed' }).lotId).toBe('pile');
    expect(blankWays(two, { lotId: 'gone', bedId: 'path' })).toMatchObject({ lotId: 'pile', bedId: 'bed' });
  });
  it('leaves to the model what nobody typed', () => {
    expect(readWays(form, room, reader).asked).toEqual({
      bedId: 'bed',
      from: { lotId: 'pile' },
      amountL: null,
      whatIf: { notBefore: null, dugDepthCm: null, mostCm: null, partner: null },
    });
    expect(readWays({ ...form, lotId: LOAD_TO_COME }, room, reader).asked).toMatchObject({
      amountL: null,
      from: { materialId: 'chips_branch', arrivesOn: '2026-05-14' },
    });
  });
  it('leaves the bed or the pile open, but not both', () => {
    expect(readWays({ ...form, bedId: ANY }, room, reader).asked).toMatchObject({ bedId: null });
    expect(
      readWays({ ...typed('amount', '5000'), lotId: ANY, bedId: 'bed' }, { inPileL: null }, reader).asked,
    ).toMatchObject({ from: null, amountL: null });
    expect(readWays({ ...form, lotId: ANY, bedId: ANY }, room, reader).asked).toBeNull();
  });
  it('takes what is typed in any unit of volume, and refuses what is no amount or more than there is', () => {
    expect(readWays(typed('amount', '0.3 m3'), room, reader).asked?.amountL).toBeCloseTo(300, 9);
    for (const wrong of ['much', '0', '-5', '1200']) {
      const { asked, troubles } = readWays(typed('amount', wrong), room, reader);
      expect([wrong, asked, typeof troubles.amount]).toEqual([wrong, null, 'string']);
    }
    expect(readWays(typed('amount', '1005'), room, reader).troubles.amount).toBeUndefined();
  });
  it('asks what if: a depth, a thickness, a day, something else in the heap', () => {
    const asked = { ...typed('most', '2 in'), notBefore: '2026-09-01' };
    expect(readWays(asked, room, reader).asked?.whatIf).toMatchObject({
      mostCm: 5.08,
      notBefore: '2026-09-01',
    });
    expect(readWays(typed('dugDepth', '200'), room, reader).troubles.dugDepth).toBeDefined();
    const heaped = { ...typed('partnerAmount', '120'), partnerId: 'grass_clippings' };
    expect(readWays(heaped, room, reader).asked?.whatIf?.partner).toEqual({
      materialId: 'grass_clippings',
      amountL: 120,
    });
    // An amount is needed as soon as it is said of what.
    const halfSaid = readWays({ ...form, partnerId: 'grass_clippings' }, room, reader);
    expect([halfSaid.asked, typeof halfSaid.troubles.partnerAmount]).toEqual([null, 'string']);
  });
});
