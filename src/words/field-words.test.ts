import { describe, expect, it } from 'vitest';
import { fieldWords } from './field-words.ts';

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
});
