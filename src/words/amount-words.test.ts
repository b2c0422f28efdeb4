import { describe, expect, it } from 'vitest';
import { AMOUNT_UNITS } from '../records/vocabulary.ts';
import { amountInWords, amountOnArea, unitWords } from './amount-words.ts';
import { measuresOf } from './measures.ts';

const METRIC = measuresOf({ measures: 'metric' });
const CUSTOMARY = measuresOf({ measures: 'customary' });

describe('an amount in words', () => {
  it.each([
    [{ amount: 1, unit: 'bucket10L' }, METRIC, '1 bucket (10 L)'],
    [{ amount: 2.5, unit: 'barrow85L' }, METRIC, '2.5 barrows (85 L)'],
    [{ amount: 3, unit: 'inch' }, CUSTOMARY, '3 inches thick'],
    [{ amount: 3, unit: 'cup' }, METRIC, '3 cups'],
    // Typed in the units of the other system.
    [{ amount: 5.08, unit: 'cm' }, CUSTOMARY, '2 in thick'],
    [{ amount: 4, unit: 'kg' }, CUSTOMARY, '8.82 lb'],
    [{ amount: 1.5, unit: 'barrow85L' }, CUSTOMARY, '4.5 cu ft'],
    [{ amount: 1, unit: 'foot' }, METRIC, '30 cm thick'],
    [{ amount: 10, unit: 'pound' }, METRIC, '4.54 kg'],
  ] as const)('%j', (amount, measures, words) => {
    expect(amountInWords(amount, measures)).toBe(words);
  });

  it('never has a unit of the other system, whatever was typed', () => {
    for (const unit of AMOUNT_UNITS) {
      expect(amountInWords({ amount: 7, unit }, METRIC)).not.toMatch(/\b(in|ft|cu ft|lb|gal|inch|pound)\b/);
      expect(amountInWords({ amount: 7, unit }, CUSTOMARY)).not.toMatch(/\b(cm|L|kg|g|liters|m³)\b/);
    }
  });

  it('counts one as one', () => {
    for (const unit of AMOUNT_UNITS) expect(unitWords(unit, 1)).not.toMatch(/s( \(| thick|$)/);
  });

  it('is told for the area people measure in', () => {
    expect(amountOnArea({ amount: 2, unit: 'kg' }, METRIC)).toBe('2 kg on each m²');
    expect(amountOnArea({ amount: 2, unit: 'pound' }, CUSTOMARY)).toBe('18.6 lb on each 100 sq ft');
    expect(amountOnArea({ amount: 2, unit: 'inch' }, CUSTOMARY)).toBe('2 inches thick');
  });
});
