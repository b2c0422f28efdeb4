import { describe, expect, it } from 'vitest';
import type { YearBrief } from '../core/season/index.ts';
import { measuresOf } from './measures.ts';
import { briefSentences, changeOfMatter, yieldsInWords } from './year-brief-words.ts';

const setting = { names: { crops: [] }, measures: measuresOf({ measures: 'metric' }) };
const brief: YearBrief = {
  year: 2026,
  isOver: false,
  yields: [
    { cropId: 'tomato', massKg: 8 },
    { cropId: null, massKg: 1.5 },
  ],
  yieldKg: 9.5,
  hours: 2.5,
  carbonInKg: 12,
  nitrogenInG: 300,
  fedNitrogenG: 20,
  washedOutG: 40,
  openingOrganicMatterPct: 4.1,
  closingOrganicMatterPct: 4.26,
  paleDays: 1,
  unexpected: [],
  isEmpty: false,
};

describe('a year in short', () => {
  it('says what was harvested, worked, spread, and what came of it', () => {
    expect(briefSentences(brief, { ...brief, yieldKg: 7 }, setting)).toEqual([
      'Harvested 9.5 kg: 8 kg of tomato, 1.5 kg of something; 7 kg the year before.',
      'The work took 2.5 hours.',
      '12 kg of carbon and 300 g of nitrogen were spread, and 20 g fed.',
      'Organic matter went from 4.10 to 4.26 %.',
      'By the model 40 g of nitrogen were washed out.',
      'The crop that was worst off stood pale for 1 day.',
      'Nothing was seen that the model did not expect.',
    ]);
  });
  it('says of a year in which nothing was done that nothing was', () => {
    const empty = { ...brief, yields: [], yieldKg: 0, hours: 0, carbonInKg: 0, fedNitrogenG: 0, paleDays: 0 };
    expect(briefSentences(empty, null, setting).slice(0, 2)).toEqual([
      'No harvest was written down.',
      'Nothing was spread.',
    ]);
  });
  it('tells a single crop once, and a change by its sign', () => {
    const single = { ...brief, yields: [{ cropId: 'leek', massKg: 4 }], yieldKg: 4, hours: 1 };
    expect(briefSentences(single, null, setting).slice(0, 2)).toEqual([
      'Harvested 4 kg of leek.',
      'The work took 1 hour.',
    ]);
    expect([0.12, -0.5, 0.001].map(changeOfMatter)).toEqual(['+0.12 %', '−0.50 %', 'no change']);
    expect(yieldsInWords([], setting)).toBe('');
  });
});
