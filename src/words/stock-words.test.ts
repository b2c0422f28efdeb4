import { describe, expect, it } from 'vitest';
import type { AshReason } from '../core/yard/ash/ash-gate.ts';
import { BREWS } from '../core/yard/brews/brew-recipes.ts';
import { ASH_RECIPES } from '../core/yard/ash/ash-recipes.ts';
import { BURN_METHOD_FACTS } from '../core/yard/char/burn-methods.ts';
import type { MixCaution } from '../core/yard/mixing/mix-cautions.ts';
import type { LotBrief } from '../core/yard/stock/lot-outlook.ts';
import type { LotWhat } from '../core/yard/stock/lot-what.ts';
import type { MovementRecord } from '../records/movement.ts';
import { ASH_RECIPE_WORDS, ashRateWords, ashReasonWords } from './ash-words.ts';
import { BREW_CAUTION_WORDS, BREW_STEP_WORDS, GO_WORDS, INGREDIENT_WORDS } from './brew-words.ts';
import { BURN_WARNING_WORDS, STEP_WORDS, yieldWords } from './char-words.ts';
import { dayOf } from './dates.ts';
import { measuresOf } from './measures.ts';
import { fixWords, missWords, mixCautionWords } from './mix-words.ts';
import {
  movementInWords,
  powerWords,
  ratioFigure,
  readyWords,
  treatmentWords,
  whatWords,
} from './stock-words.ts';

const METRIC = measuresOf({ measures: 'metric' });
const CUSTOMARY = measuresOf({ measures: 'customary' });
const TODAY = dayOf('2026-05-14');
const stamp = {
  id: 'm',
  version: 1,
  createdAt: '',
  updatedAt: '',
  gardenId: 'g',
  note: '',
  state: 'laid' as const,
  date: '2026-05-01',
  lotId: 'a',
};
const NOTHING_READ = {
  temperatureC: null,
  moistureFractionWetBasis: null,
  bulkDensityKgPerM3: null,
  carbonFractionDryBasis: null,
  nitrogenFractionDryBasis: null,
};
const nameOf = (id: string) => `heap ${id}`;

describe('every code has words', () => {
  it('of burns, brews and ash', () => {
    for (const { steps, warnings } of Object.values(BURN_METHOD_FACTS)) {
      for (const { code } of steps) expect(STEP_WORDS[code], code).toBeTruthy();
      for (const code of warnings) expect(BURN_WARNING_WORDS[code], code).toBeTruthy();
    }
    for (const { steps, go, noGo, cautions, perLitre } of BREWS) {
      for (const { code } of steps) expect(BREW_STEP_WORDS[code], code).toBeTruthy();
      for (const code of [...go, ...noGo]) expect(GO_WORDS[code], code).toBeTruthy();
      for (const code of cautions) expect(BREW_CAUTION_WORDS[code], code).toBeTruthy();
      for (const { what } of perLitre) expect(INGREDIENT_WORDS[what], what).toBeTruthy();
    }
    for (const { id } of ASH_RECIPES) expect(ASH_RECIPE_WORDS[id], id).toBeTruthy();
  });
});

describe('a posting of the stock', () => {
  const say = (movement: object, lotId = 'a') =>
    movementInWords({ ...stamp, ...movement } as MovementRecord, lotId, { nameOf, measures: METRIC });
  const amount = { amount: 3, unit: 'barrow85L' };
  it('is told from the side of the lot', () => {
    const move = { type: 'move', ...amount, toLotId: 'b' };
    expect(say(move)).toBe('3 barrows (85 L) to heap b');
    expect(say(move, 'b')).toBe('3 barrows (85 L) from heap a');
    const make = { type: 'make', ingredients: [{}, {}], waterL: 0, isLayered: true };
    expect(say(make)).toBe('Made of 2 things, layered');
    expect(say(make, 'b')).toBe('Into heap a');
    const burn = { type: 'burn', feedstock: [{ lotId: 'b' }], unburntToLotId: 'c' };
    expect(say(burn)).toBe('Char out of the fire');
    expect(say(burn, 'b')).toBe('Burnt to heap a');
    expect(say(burn, 'c')).toBe('Pieces that did not char');
  });
  it('says what was done, found and seen', () => {
    expect(say({ type: 'receive', ...amount })).toBe('Received 3 barrows (85 L)');
    expect(say({ type: 'takeOut', ...amount, reason: 'given' })).toContain('given away');
    expect(say({ type: 'stocktake', amount: 0, unit: 'kg' })).toBe('Counted: nothing left');
    expect(say({ type: 'water', waterL: 40 })).toBe('Watered with 40 L');
    expect(say({ type: 'turn' })).toBe('Turned');
    expect(say({ type: 'sign', signs: ['earthySmell', 'worms'] })).toBe('smells of earth, worms in it');
    expect(say({ type: 'crush', fineness: 'pea' })).toBe('Crushed: pea');
    expect(
      say({ type: 'reading', ...NOTHING_READ, temperatureC: 58.4, moistureFractionWetBasis: 0.55 }),
    ).toBe('Measured 58 °C inside, moisture 55 %');
    expect(say({ type: 'keep', keeping: 'roofed', isTurned: false, isHot: true })).toBe(
      'Now dry, under a roof, left still, heats up',
    );
    expect(treatmentWords({ keeping: 'open', isTurned: true, isHot: false })).toContain(
      'turned now and then',
    );
  });
});

describe('a lot in words', () => {
  const brief = (change: Partial<LotBrief>): LotBrief =>
    ({ now: {}, finishedOn: null, needsSeasoning: false, seasonedOn: null, ...change }) as LotBrief;
  it('is named as what it has become', () => {
    const named = (what: LotWhat['what'], hasChar = false) => whatWords({ what, hasChar });
    expect(named({ code: 'material', materialId: 'worm_castings' })).toBe('worm castings');
    expect(named({ code: 'material', materialId: 'leaf_mould' })).toBe('leaf mould (2 years)');
    expect(named({ code: 'material', materialId: 'mine' })).toBe('a material of your own');
    expect(named({ code: 'finishedCompost' }, true)).toBe('finished compost with char');
    expect(named({ code: 'mix' })).toBe('a mix, rotting');
    expect(named({ code: 'kind', kind: 'wood' })).toBe('wood');
  });
  it('is seasoned, finished, or on its way', () => {
    expect(readyWords(brief({ now: null }), TODAY)).toBe('');
    expect(readyWords(brief({}), TODAY)).toBe('');
    expect(readyWords(brief({ finishedOn: TODAY - 1 }), TODAY)).toBe('');
    expect(readyWords(brief({ finishedOn: TODAY + 100 }), TODAY)).toBe('compost late August');
    expect(readyWords(brief({ needsSeasoning: true }), TODAY)).toMatch(/^not seasoned/);
    expect(readyWords(brief({ needsSeasoning: true, seasonedOn: TODAY - 9 }), TODAY)).toBe('seasoned');
    expect(readyWords(brief({ needsSeasoning: true, seasonedOn: TODAY + 9 }), TODAY)).toBe(
      'seasoned late May',
    );
  });
  it('takes, gives, or does neither', () => {
    expect(powerWords({ peakLockGPerKgDry: 3.21, availableShare: -0.5 }, METRIC)).toBe(
      'locks up to 3.2 g N per kg dry matter',
    );
    expect(powerWords({ peakLockGPerKgDry: 0, availableShare: 0.24 }, METRIC)).toBe('gives 24 % of its N');
    expect(powerWords({ peakLockGPerKgDry: 0.1, availableShare: 0 }, METRIC)).toBe(
      'neither locks up nor gives nitrogen',
    );
    expect([ratioFigure(null), ratioFigure(0), ratioFigure(12.94), ratioFigure(51.42)]).toEqual([
      'no N',
      'no C',
      '13',
      '51.4',
    ]);
  });
});

describe('what a fire gave', () => {
  it('is held against what such fires give in one system of units', () => {
    const result = { dryWoodKg: 54, dryCharKg: 8.2 };
    expect(yieldWords('conePit', result, METRIC)).toBe(
      '8.2 kg of dry char out of 54 kg of dry wood (15 %), what such fires give (8.1 kg to 13.5 kg).',
    );
    expect(yieldWords('conePit', result, CUSTOMARY)).toBe(
      '18.1 lb of dry char out of 119 lb of dry wood (15 %), what such fires give (17.9 lb to 29.8 lb).',
    );
    expect(yieldWords('conePit', { dryWoodKg: 54, dryCharKg: 15 }, METRIC)).toContain(
      'more than such fires give: weigh again',
    );
  });
});

describe('a mix in words', () => {
  const aim = { aim: 28, tolerance: 2 };
  it('says what it misses and what would mend it, in the units of the garden', () => {
    expect(missWords({ what: 'carbonToNitrogen', is: 41.26, aim }, METRIC)).toContain(
      'C:N 41.3, not 26 to 30',
    );
    expect(missWords({ what: 'moisture', is: 0.7, aim: { aim: 0.55, tolerance: 0.05 } }, METRIC)).toBe(
      'It would be 70 % water, not 50 % to 60 %.',
    );
    expect(missWords({ what: 'volume', isL: 400, wantedL: 1200 }, METRIC)).toBe(
      'It comes to 400 L, not 1.2 m³.',
    );
    const grass = [{ materialId: 'g', massFreshKg: 10, volumeL: 40 }];
    const fix = { code: 'addNitrogen' as const, nitrogenG: 130, with: grass };
    expect(fixWords(fix, () => 'Grass', METRIC)).toBe(
      '130 g of nitrogen would do it: 10 kg (40 L) of grass.',
    );
    expect(fixWords(fix, () => 'Grass', CUSTOMARY)).toContain('22 lb (1.4 cu ft)');
    expect(fixWords({ code: 'addWater', waterL: 12 }, () => '', METRIC)).toBe('12 L of water would do it.');
    expect(fixWords({ code: 'addDry', with: grass }, () => 'Straw', METRIC)).toContain('Something dry');
    expect(fixWords({ code: 'addCarbon', with: grass }, () => 'Straw', METRIC)).toContain('More carbon');
    expect(fixWords({ code: 'getMore', litres: 200 }, () => '', METRIC)).toContain('200 L more');
    expect(fixWords({ code: 'getMore', litres: -200 }, () => '', METRIC)).toContain('200 L less');
  });
  it('warns in whole sentences', () => {
    const cautions: MixCaution[] = [
      { code: 'ammoniaLoss', ammoniumShare: 0.2 },
      { code: 'richMix', carbonToNitrogen: 12 },
      { code: 'tooWet', moisture: 0.7 },
      { code: 'tooDry', moisture: 0.2 },
      { code: 'littleAir', freeAirShare: 0.2 },
      { code: 'salty', share: 0.4 },
      { code: 'rawManure' },
      { code: 'persistentWeedkiller' },
      { code: 'metals' },
      { code: 'plastic' },
      { code: 'ashWithAmmonium' },
    ];
    for (const caution of cautions) expect(mixCautionWords(caution)).toMatch(/^.{20,}\.$/s);
    expect(mixCautionWords({ code: 'tooWet', moisture: 0.7 })).toContain('70 % water');
  });
});

describe('ash in words', () => {
  it('says why not, and from when', () => {
    const say = (reason: AshReason) => ashReasonWords(reason, TODAY, METRIC);
    expect(say({ code: 'phTooHigh', ph: 7.8 })).toContain('pH 7.8: above 7.5');
    expect(say({ code: 'nearAmmonium', entryId: 'e', day: TODAY - 4, freeFrom: TODAY + 17 })).toMatch(
      /10 May.*From 31 May on.*Finished compost would be fine/,
    );
    expect(say({ code: 'capReached', givenGPerM2: 101, againFrom: TODAY + 30 })).toContain('13 June');
    expect(say({ code: 'wrongSeason', fromMonth: 10, untilMonth: 3 })).toContain('from Oct to Mar');
    expect(say({ code: 'retestFirst', since: TODAY - 200 })).toContain('test the pH in spring');
    for (const code of ['phUnknown', 'sooty', 'dirtyWood', 'sieveFirst', 'damp'] as const) {
      expect(say({ code })).toMatch(/\.$/);
    }
    expect(say({ code: 'growingPlants', plantingId: 'p' })).toContain('caustic');
    expect(ashRateWords([4, 4.8], 'pots', METRIC)).toBe('4 to 4.8 g/L');
    expect(ashRateWords([4, 4.8], 'pots', CUSTOMARY)).toBe('0.53 to 0.64 oz/gal');
    expect(ashRateWords([100, 100], 'bed', METRIC)).toBe('100 g/m²');
    expect(ashRateWords([100, 100], 'bed', CUSTOMARY)).toBe('20 lb/1000 sq ft');
  });
});

describe('measures of a heap', () => {
  it('are said as volume, barrows, density, warmth and spoons, either way', () => {
    expect([METRIC.volume(342), METRIC.volume(2340), METRIC.barrows(2340), METRIC.barrows(85)]).toEqual([
      '340 L',
      '2.3 m³',
      '28 barrows',
      '1 barrow',
    ]);
    expect([CUSTOMARY.volume(10), CUSTOMARY.volume(850), CUSTOMARY.barrows(850)]).toEqual([
      '2.6 gal',
      '30 cu ft',
      '10 barrows',
    ]);
    expect([METRIC.density(296), CUSTOMARY.density(296)]).toEqual(['300 kg/m³', '18 lb/cu ft']);
    expect([METRIC.warmth(55), CUSTOMARY.warmth(55)]).toEqual(['55 °C', '131 °F']);
    expect([METRIC.spoons(0.005), METRIC.spoons(0.5)]).toEqual(['1 tsp', '2.1 cups']);
    expect([METRIC.smallVolume(0.2366), CUSTOMARY.smallVolume(0.2366)]).toEqual(['1 cup', '1 cup']);
  });
});
