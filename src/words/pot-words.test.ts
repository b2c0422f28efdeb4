import { describe, expect, it } from 'vitest';
import { soilOfFill, FILL_RECIPES } from '../core/bed/index.ts';
import { FILL_RECIPE_NAMES, fillSentences } from './fill-words.ts';
import { measuresOf } from './measures.ts';
import { eachPotWords, sizeWords } from './pot-words.ts';

const metric = measuresOf({ measures: 'metric' });

describe('pots in words', () => {
  it('say what each gets and holds', () => {
    expect(eachPotWords(12, 8, metric)).toBe('1.5 g for each of 8 pots');
    expect(eachPotWords(12, 1, metric)).toBe('for the pot');
    const bed = { areaM2: 0.6, rootZoneCm: 30 };
    expect(sizeWords({ ...bed, potCount: 12 }, metric)).toBe('12 pots of 15 L');
    expect(sizeWords({ ...bed, potCount: 1 }, metric)).toBe('a pot of 180 L');
    expect(sizeWords({ ...bed, potCount: null }, metric)).toBe('0.6 m²');
  });
  it('say what a mix is, and where a laboratory would find more', () => {
    const [soil] = fillSentences(soilOfFill([{ id: 'topsoil', parts: 1 }]));
    expect(soil).toBe('The mix begins with 4.0 % organic matter and 20 % clay.');
    const coir = fillSentences(soilOfFill([{ id: 'coir', parts: 1 }])).join(' ');
    expect(coir).toMatch(/A laboratory would find .* by their nitrogen/);
    const half = fillSentences(soilOfFill(FILL_RECIPES.find(({ id }) => id === 'halfAndHalf')!.mix)).join(
      ' ',
    );
    expect(half).toMatch(/salty at first and settles/);
    expect(Object.keys(FILL_RECIPE_NAMES)).toEqual(FILL_RECIPES.map(({ id }) => id));
  });
});
