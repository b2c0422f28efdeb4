import { refusalOf } from '../../../../tests/fixtures/refused.ts';
import { describe, expect, it } from 'vitest';
import { plantingOf } from '../../../../tests/fixtures/books.ts';
import { checkRoom } from './planting-clash.ts';

const leek = plantingOf({ id: 'leek', plantedOn: '2026-04-20', clearedOn: '2026-10-01' });
const kale = plantingOf({ id: 'kale', cropId: 'kale', plantedOn: '2026-07-01', clearedOn: '2027-01-01' });

describe('room on a bed', () => {
  it('is refused to a crop where another fills the bed, naming it and the ways out', () => {
    expect(refusalOf(() => checkRoom(kale, [leek], []))).toMatch(
      /overlaps Leek \(until 2026-10-01\).*share.*undersown/,
    );
  });
  it('is there again on the day the other is cleared', () => {
    expect(() => checkRoom({ ...kale, plantedOn: '2026-10-01' }, [leek], [])).not.toThrow();
  });
  it('is shared as long as the shares fit', () => {
    expect(() => checkRoom({ ...kale, areaShare: 0.4 }, [{ ...leek, areaShare: 0.6 }], [])).not.toThrow();
    expect(
      refusalOf(() => checkRoom({ ...kale, areaShare: 0.5 }, [{ ...leek, areaShare: 0.6 }], [])),
    ).toMatch(/overlaps/);
  });
  it('is never taken by what is undersown', () => {
    const mulch = plantingOf({ id: 'mulch', cropId: 'white_clover', isUndersown: true, clearedOn: null });
    expect(() => checkRoom(kale, [mulch], [])).not.toThrow();
    expect(() => checkRoom(mulch, [leek], [])).not.toThrow();
  });
  it('is not refused to a planting by its own older self', () => {
    expect(() => checkRoom({ ...leek, clearedOn: '2026-11-01' }, [leek], [])).not.toThrow();
  });
  it('counts a crop that comes later within the time of this one', () => {
    const late = plantingOf({ id: 'late', cropId: 'pea', plantedOn: '2026-09-01', clearedOn: '2026-12-01' });
    expect(refusalOf(() => checkRoom(leek, [late], []))).toMatch(/overlaps Pea/);
  });
});
