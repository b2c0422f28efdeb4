import { AMOUNT_UNITS } from '../../../records/vocabulary.ts';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { amountFromMassFreshKg, massFreshKgFromAmount } from './amount.ts';

const chips = { bulkDensityKgPerM3: 280, areaM2: 6 };

describe('amounts', () => {
  it.each([
    [5, 'cm', 84],
    [1, 'cubicMetre', 280],
    [10, 'bucket10L', 28],
    [1, 'barrow85L', 23.8],
    [1, 'inch', 42.672],
    [1, 'bucket5Gal', 5.299576],
    [1, 'cubicYard', 214.0754],
    [1, 'pound', 0.45359237],
    [250, 'gram', 0.25],
  ] as const)('%d %s of chips weigh %d kg', (amount, unit, massKg) => {
    expect(massFreshKgFromAmount({ amount, unit, measured: chips })).toBeCloseTo(massKg, 3);
  });

  it('go there and back in every unit', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...AMOUNT_UNITS),
        fc.double({ min: 0.01, max: 1000, noNaN: true }),
        (unit, amount) => {
          const back = amountFromMassFreshKg(
            massFreshKgFromAmount({ amount, unit, measured: chips }),
            unit,
            chips,
          );
          expect(Math.abs(back / amount - 1)).toBeLessThan(1e-12);
        },
      ),
    );
  });

  it.each([0, -1, NaN, Infinity, 1e308])('%d is refused by name', (amount) => {
    expect(() =>
      massFreshKgFromAmount({
        amount,
        unit: 'cubicMetre',
        measured: { bulkDensityKgPerM3: 280, areaM2: 1e10 },
      }),
    ).toThrow(/^amount /);
  });
});
