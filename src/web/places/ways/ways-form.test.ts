import { describe, expect, it } from 'vitest';
import { bedOf, GARDEN, NO_STOCK } from '../../../../tests/fixtures/books.ts';
import type { GardenBooks } from '../../../contract/garden-books.ts';
import { readerOf, retyped } from '../../ui/forms/typed-quantity.ts';
import { blankWays, LOAD_TO_COME, readWays, shownAmount } from './ways-form.ts';

const reader = readerOf('metric');
const path = bedOf({ id: 'path', kind: 'path' });
const ring = bedOf({ id: 'ring', kind: 'treeRing' });
const bed = bedOf({ id: 'bed', areaM2: 5 });
const booksOf = (beds: readonly object[], lots: readonly object[] = []): GardenBooks =>
  ({ ...NO_STOCK, garden: GARDEN, beds, lots, today: '2026-05-14' }) as unknown as GardenBooks;
const books = booksOf([path, ring, bed], [{ id: 'pile' }]);
const form = blankWays(books);
const room = (inPileL: number | null) => ({ inPileL, areaM2: 5 });
const typed = (text: string) => ({ ...form, amount: retyped(shownAmount(form, room(1000), reader), text) });

describe('the question of ways', () => {
  it('begins with the first pile for the first bed that is sown, never for a path', () => {
    expect([form.lotId, form.bedId]).toEqual(['pile', 'bed']);
    expect(blankWays(booksOf([path, ring])).bedId).toBe('ring');
    expect(blankWays(booksOf([bed])).lotId).toBe(LOAD_TO_COME);
  });
  it('proposes what does well on the bed, or all there is', () => {
    expect(readWays(form, room(1000), reader).asked?.amountL).toBe(400);
    expect(readWays(form, room(120), reader).asked?.amountL).toBe(120);
    expect(readWays({ ...form, lotId: LOAD_TO_COME }, room(null), reader).asked).toMatchObject({
      amountL: 400,
      from: { materialId: 'chips_branch', arrivesOn: '2026-05-14' },
    });
  });
  it('says nothing is wrong while it is not known what is in the pile', () => {
    expect(readWays(form, room(null), reader)).toEqual({ asked: null, trouble: undefined });
  });
  it('takes what is typed in any unit of volume, and refuses what is no amount or more than there is', () => {
    expect(readWays(typed('0.3 m3'), room(1000), reader).asked?.amountL).toBeCloseTo(300, 9);
    for (const wrong of ['much', '0', '-5', '1200']) {
      const { asked, trouble } = readWays(typed(wrong), room(1000), reader);
      expect([wrong, asked, typeof trouble]).toEqual([wrong, null, 'string']);
    }
    expect(readWays(typed('1005'), room(1000), reader).trouble).toBeUndefined();
  });
});
