import { describe, expect, it } from 'vitest';
import { fieldWords, inFieldWords } from './field-words.ts';

describe('fields in words', () => {
  it.each([
    ['areaM2', 'area'],
    ['dugDepthCm', 'dug depth'],
    ['organicMatterPct', 'organic matter'],
    ['bulkDensityGPerCm3', 'bulk density'],
    ['moistureFractionWetBasis', 'moisture'],
    ['acts.0.untilYear', 'last year'],
    ['records.3.observed.temperatureC', 'temperature'],
    ['climate.rainMm.4', 'rain of May'],
    ['materialId', 'material'],
    ['ph', 'pH'],
    ['name', 'name'],
    ['amount', 'amount'],
  ])('%s is the %s', (field, words) => {
    expect(fieldWords(field)).toBe(words);
  });

  it('take the place of the name at the beginning of a sentence, and nowhere else', () => {
    expect(inFieldWords('areaM2', 'areaM2 must be greater than 0.')).toBe('area must be greater than 0.');
    expect(inFieldWords('areaM2', 'The bed is gone.')).toBe('The bed is gone.');
  });
});
