import { describe, expect, it } from 'vitest';
import { WAY_AIMS, WAY_CODES, type RankedWay, type WayCode, type WayStep } from '../core/long-run/index.ts';
import { dayOf } from './dates.ts';
import { measuresOf } from './measures.ts';
import { GARDEN } from '../../tests/fixtures/books.ts';
import {
  AIM_WORDS,
  beatenWords,
  beyondWords,
  decidedWords,
  leftWords,
  likelyWords,
  stepWords,
  sureWords,
  WAY_WORDS,
  wayTitle,
} from './way-words.ts';

const metric = measuresOf(GARDEN);
const customary = measuresOf({ ...GARDEN, measures: 'customary' });
const today = dayOf('2026-05-14');
const titleOf = (key: string) => wayTitle(key as WayCode, null);
const names = { material: () => 'Straw', bed: () => 'First bed', lot: () => 'Straw stack' };

const STEPS: readonly WayStep[] = [
  { code: 'arrives', day: today, amountL: 500, materialId: 'straw_cereal' },
  {
    code: 'lay',
    day: today + 1,
    bedId: 'bed',
    lotId: null,
    materialId: 'straw_cereal',
    amountL: 400,
    thicknessCm: 8,
    dugDepthCm: 0,
  },
  { code: 'makeHeap', day: today, amountL: 400, partnerId: 'cattle_fym', partnerL: 150, turns: 3 },
  { code: 'setAside', day: today, amountL: 400 },
  { code: 'layOnPath', day: today, bedId: 'path', amountL: 400 },
  { code: 'burn', day: today, amountL: 400, charL: 60 },
];

describe('a way in words', () => {
  it.each(STEPS)('tells the step $code with its day, in the units of the garden', (step) => {
    const told = stepWords(step, names, { measures: metric, today });
    expect(told).toMatch(/^\d+ May: .+\.$/);
    expect(told).not.toMatch(/\d (cu ft|cu yd|gal|in)\b/);
    expect(stepWords(step, names, { measures: customary, today })).not.toMatch(/\d (L|cm|m³)\b/);
  });
  it('names the pile it is out of', () => {
    const laid = { ...STEPS[1], lotId: 'stack' } as WayStep;
    expect(stepWords(laid, names, { measures: metric, today })).toMatch(
      /400 L of “Straw stack” on First bed/,
    );
  });
  it('says that a fire needs the leave of local rules', () => {
    expect(stepWords(STEPS.at(-1)!, names, { measures: metric, today })).toMatch(
      /local rules.*water at hand/,
    );
  });
  it('has a name for each way, and for each thing that matters', () => {
    expect(new Set(WAY_CODES.map((code) => WAY_WORDS[code])).size).toBe(WAY_CODES.length);
    expect(new Set(WAY_AIMS.map((aim) => AIM_WORDS[aim])).size).toBe(WAY_AIMS.length);
  });
  it('is called by its bed or pile where there are several', () => {
    expect(wayTitle('onTop', 'First bed')).toBe('First bed: on top now');
  });
  it('says what decides, and what would turn it', () => {
    expect(
      decidedWords(
        { first: 'compostBeneath', second: 'onTop', by: 'soilLater', against: 'leastWork' },
        titleOf,
      ),
    ).toBe(
      '“On top, over compost” comes before “On top now” because it leaves more humus and char. “On top now” would lead if it mattered more to you that it is less work.',
    );
    expect(decidedWords({ first: 'onTop', second: 'dugIn', by: 'foodNow', against: null }, titleOf)).toMatch(
      /“Dug in now” leads in nothing that matters to you\.$/,
    );
  });
  it('says why a way is folded away, and what stays where it is', () => {
    const beaten = { outcome: { way: { key: 'dugIn' } }, beatenBy: 'onTop' } as RankedWay & {
      beatenBy: 'onTop';
    };
    expect(beatenWords(beaten, titleOf)).toBe(
      '“Dug in now”: “On top now” is as good or better in everything.',
    );
    expect(leftWords({ leftL: 120 } as Parameters<typeof leftWords>[0], metric)).toMatch(/^120 L more/);
    expect(leftWords({ leftL: 0.2 } as Parameters<typeof leftWords>[0], metric)).toBe('');
  });
  it('says how much more or less, within what, and how sure', () => {
    const kg = (amount: number) => `${amount} kg`;
    expect([beyondWords(2, kg, 0.1), beyondWords(-2, kg, 0.1), beyondWords(0.01, kg, 0.1)]).toEqual([
      '2 kg more',
      '2 kg less',
      'as without it',
    ]);
    expect(likelyWords({ low: -1, high: 3 }, kg, 0.1)).toBe('likely 1 kg less to 3 kg more');
    expect([sureWords(null), sureWords(0.81)]).toEqual([
      '',
      'With soil, materials and weather as they may be, that holds 8 times out of 10.',
    ]);
  });
});
