import { describe, expect, it } from 'vitest';
import { MILD } from '../../../../tests/fixtures/books.ts';
import { dayNumberFromIso } from '../../ground/climate/calendar.ts';
import { findLibraryMaterial } from '../../ground/materials/library.ts';
import { defaultParameters } from '../../model/simulation/parameters.ts';
import { contentsOfMaterial } from '../stock/lot-contents.ts';
import { BURN_METHOD_FACTS } from './burn-methods.ts';
import { isFoundCold, judgeYield } from './burn-yield.ts';
import { checkBurn } from './check-burn.ts';
import type { InputError } from '../../../refusals/input-error.ts';
import { BURN_METHODS, CHARGE_RECIPE_IDS } from '../../../records/vocabulary.ts';
import { charDose } from './char-dose.ts';
import { CHARGE_RECIPES, charFactorForClay, findChargeRecipe, scaleCharge } from './charge-recipes.ts';
import { isRawChar, previewCharge } from './charging.ts';
import { lastingCarbon, leastLeftByHydrogen } from './permanence.ts';

describe('burns', () => {
  it.each(BURN_METHODS)('by %s have steps to the cold check, warnings and a range of yields', (method) => {
    const { steps, warnings, yieldShare } = BURN_METHOD_FACTS[method];
    const codes = steps.map(({ code }) => code);
    expect(codes.indexOf('quench')).toBeLessThan(codes.indexOf('coldCheck'));
    expect(codes.indexOf('coldCheck')).toBeLessThan(codes.indexOf('magnet'));
    expect(warnings).toContain('localRules');
    expect(yieldShare[0]).toBeLessThan(yieldShare[1]);
  });
  it('are judged by what such fires give', () => {
    expect(judgeYield('conePit', 100, 20)).toMatchObject({ verdict: 'usual', share: 0.2 });
    const [low, high] = BURN_METHOD_FACTS.conePit.yieldShare;
    expect(judgeYield('conePit', 100, 5).verdict).toBe('muchLess');
    expect(judgeYield('conePit', 100, 100 * low * 0.95).verdict).toBe('less');
    expect(judgeYield('conePit', 100, 100 * high * 1.05).verdict).toBe('more');
    expect(judgeYield('emberRescue', 100, 40).verdict).toBe('muchMore');
    expect(() => judgeYield('conePit', 100, 101)).toThrow(/dryCharKg/);
  });
});

describe('a cold check', () => {
  it('counts only on a later day', () => {
    expect(isFoundCold('2026-05-01', '2026-05-02')).toBe(true);
    expect(isFoundCold('2026-05-01', '2026-05-01')).toBe(false);
    expect(isFoundCold('2026-05-01', null)).toBe(false);
  });
});

describe('a burn written down', () => {
  const log = {
    method: 'conePit',
    isOneThickness: true,
    dryness: 'dry',
    quench: 'water',
    quenchWaterL: null,
    isMagnetPassed: true,
    steps: [],
  } as const;
  const char = { amount: 40, unit: 'litre', moistureFractionWetBasis: 0.3 } as const;
  const codeOf = (found: typeof char | null, coldCheckedOn: string | null) => {
    try {
      const burn = { date: '2026-05-01', yield: found, log: { ...log, steps: [], coldCheckedOn } };
      checkBurn(burn, '2026-05-14');
      return null;
    } catch (error) {
      return (error as InputError).refusal.code;
    }
  };
  it('gives no char before it was found cold, on a later day that has come', () => {
    expect(codeOf(null, null)).toBeNull();
    expect(codeOf(char, '2026-05-02')).toBeNull();
    expect(codeOf(char, null)).toBe('notFoundCold');
    expect(codeOf(char, '2026-05-01')).toBe('coldTooSoon');
    expect(codeOf(null, '2026-05-20')).toBe('inTheFuture');
  });
});

describe('char that lasts', () => {
  // IPCC 2019 Refinement, volume 4, appendix 4 (from memory).
  it.each([
    ['low', 0.65],
    ['medium', 0.8],
    ['high', 0.89],
  ] as const)('fired %s keeps %d of its carbon for a century', (fired, share) => {
    const { lastingKg, co2Kg } = lastingCarbon(10, fired);
    expect(lastingKg[1]).toBeCloseTo(10 * share, 12);
    expect(lastingKg[0]).toBeLessThan(lastingKg[1]);
    expect(lastingKg[2]).toBeLessThanOrEqual(10);
    expect(co2Kg[1] / lastingKg[1]).toBeCloseTo(44 / 12, 2);
    // The model's own decay of stable char ends at the same share.
    expect(defaultParameters.charLeftAfter100Years[fired]).toBe(share);
  });
});

describe('charging', () => {
  it('has every recipe once, of materials that exist', () => {
    expect(CHARGE_RECIPES.map(({ id }) => id)).toEqual([...CHARGE_RECIPE_IDS]);
    for (const { perLitreOfChar } of CHARGE_RECIPES)
      for (const { materialId } of perLitreOfChar) expect(findLibraryMaterial(materialId)).toBeDefined();
  });
  it('scales a slurry of one cup of char to a gallon and a cup of compost', () => {
    const { ingredients, waterL } = scaleCharge(findChargeRecipe('slurry'), 10);
    expect(ingredients).toEqual([{ materialId: 'compost_garden', litres: 10 }]);
    expect(waterL).toBeCloseTo(160, 9);
    expect(() => scaleCharge(findChargeRecipe('slurry'), 0)).toThrow(/^charL /);
  });
  it('fills char by the model, urine more than castings, never above what it holds', () => {
    const char = contentsOfMaterial({
      materialId: 'biochar_raw',
      material: findLibraryMaterial('biochar_raw')!,
      dryG: 10_000,
      p: defaultParameters,
    });
    const charge = (id: (typeof CHARGE_RECIPE_IDS)[number]) =>
      previewCharge({
        char,
        charL: 57,
        recipeId: id,
        startDay: dayNumberFromIso('2026-05-01', []),
        climate: MILD,
      });
    const urine = charge('nitrogenSoak');
    expect(urine.capacityG).toBeCloseTo(7, 9);
    expect(urine.heldWhenReadyG).toBeGreaterThan(charge('castingsBlend').heldWhenReadyG);
    expect(urine.heldWhenReadyG + urine.missingG).toBeCloseTo(7, 9);
    expect(urine.capacityRangeG[0]).toBeLessThan(urine.capacityG);
  });
});

describe('char of which a laboratory measured H:C', () => {
  it('keeps the more, the less hydrogen is left in it, and above 0.7 nobody vouches', () => {
    expect([0, 0.4, 0.41, 0.7, 0.71].map(leastLeftByHydrogen)).toEqual([0.7, 0.7, 0.5, 0.5, null]);
    expect(() => leastLeftByHydrogen(-1)).toThrow(/^hydrogenToCarbon /);
  });
});

describe('raw char', () => {
  const holding = (charHeldNitrogenG: number) => isRawChar({ charCarbonKg: 3, charHeldNitrogenG });
  it('is what holds less than a quarter of what such char takes up', () => {
    // 0.7 g to a kilogram of 75 % carbon: 2.8 g for 3 kg of carbon.
    expect(holding(0)).toBe(true);
    expect(holding(0.69)).toBe(true);
    expect(holding(0.71)).toBe(false);
  });
});

describe('char for a bed', () => {
  it('is a tenth of the top 15 cm, which brings four times as much compost', () => {
    expect(charDose({ areaM2: 4, clayPct: 20 })).toMatchObject({
      atOnceLPerM2: 15,
      atOnceL: 60,
      compostLPerM2: 60,
      years: 15,
    });
  });
  it('is more on sand and less on clay', () => {
    expect(charFactorForClay(5)).toBeGreaterThan(1);
    expect(charFactorForClay(40)).toBeLessThan(1);
  });
});
