import { describe, expect, it } from 'vitest';
import { bedOf, GARDEN, NO_STOCK } from '../../tests/fixtures/books.ts';
import type { GardenBooks } from '../contract/garden-books.ts';
import { valueWords } from './value-words.ts';

const BOOKS = {
  ...NO_STOCK,
  garden: GARDEN,
  beds: [bedOf({ id: 'north', name: 'North bed' })],
  materials: [],
  crops: [],
} as unknown as GardenBooks;
const CUSTOMARY = { ...BOOKS, garden: { ...BOOKS.garden, measures: 'customary' } } as GardenBooks;

describe('a value in words', () => {
  it.each([
    ['areaM2', 12.5, '12.5 m²'],
    ['rootZoneCm', 30, '30 cm'],
    ['nitrogenG', 17.25, '17.25'],
    ['organicMatterPct', 5.5, '5.5 %'],
    ['isWatered', true, 'yes'],
    ['isWatered', false, 'no'],
    ['note', '', 'nothing'],
    ['clearedOn', null, 'nothing'],
    ['date', '2026-05-14', '14 May 2026'],
    ['materialId', 'straw_cereal', 'Cereal straw'],
    ['cropId', 'leek', 'Leek'],
    ['bedId', 'north', 'North bed'],
    ['bedId', 'no-such-bed', 'no-such-bed'],
    ['shape', { type: 'round', diameterCm: 120 }, 'type round, diameter 120'],
    ['crops', ['a', 'b'], 'a, b'],
  ])('%s %j is “%s”', (field, value, words) => {
    expect(valueWords(field, value, BOOKS)).toBe(words);
  });
  it('is in the units of the garden', () => {
    expect(valueWords('areaM2', 10, CUSTOMARY)).toBe('108 sq ft');
  });
});
