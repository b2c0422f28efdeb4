import { describe, expect, it } from 'vitest';
import type { HabitAct } from '../records/habit.ts';
import { yearPointOf } from '../../tests/fixtures/years.ts';
import { measuresOf } from './measures.ts';
import {
  conflictInWords,
  idleWords,
  loadsWords,
  passedWords,
  reasonWords,
  unmetWords,
  wantWords,
} from './share-words.ts';
import { actWords, amountWords, measureCaption, measureInWords, signed, targetWords } from './years-words.ts';

const metric = measuresOf({ measures: 'metric' });
const customary = measuresOf({ measures: 'customary' });
const COMPOST: HabitAct = {
  type: 'lay',
  materialId: 'biochar_charged',
  amount: 0.5,
  unit: 'litre',
  dugDepthCm: 10,
  seasonedMonths: 0,
  month: 3,
  everyYears: 2,
  fromYear: 2,
  untilYear: 10,
};

describe('habits in words', () => {
  it('an act says what, how much, how deep, when and how long', () => {
    const words = actWords({ act: COMPOST, materials: [], crops: [], measures: metric, isSouth: false });
    expect(words).toContain(
      '0.5 liters on each m², dug in to 10 cm: March, every second year, years 2 to 10',
    );
    expect(actWords({ act: COMPOST, materials: [], crops: [], measures: metric, isSouth: true })).toContain(
      'September',
    );
    expect(
      actWords({ act: COMPOST, materials: [], crops: [], measures: customary, isSouth: false }),
    ).toContain('dug in to 3.9 in');
  });
  it('a depth is told in the measures of the garden, whatever it was entered in', () => {
    const layer: HabitAct = { ...COMPOST, amount: 2, unit: 'cm', dugDepthCm: 0 };
    expect(actWords({ act: layer, materials: [], crops: [], measures: metric, isSouth: false })).toContain(
      ', 2 cm thick:',
    );
    expect(actWords({ act: layer, materials: [], crops: [], measures: customary, isSouth: false })).toContain(
      ', 0.8 in thick:',
    );
    expect(measureCaption('organicMatterPct', 20, customary)).toContain('top 8 in beneath');
    expect(measureCaption('nitrogenGivenG', 20, metric)).toMatch(/, g\/m²$/);
  });
  it('figures carry their unit, in either measure', () => {
    expect(measureInWords(5230, 'humusCarbonG', metric)).toBe('5.23 kg/m²');
    expect(measureInWords(5230, 'humusCarbonG', customary)).toBe('1 071.2 lb/1000 sq ft');
    expect(measureInWords(4.04, 'organicMatterPct', metric)).toBe('4.0 %');
    expect(measureInWords(5.08, 'mulchCm', customary)).toBe('2.0 in');
  });
  it('a difference has a sign', () => {
    expect(signed('1.2')).toBe('+1.2');
    expect(signed('-1.2')).toBe('−1.2');
  });
  it('a target says its unit', () => {
    expect(targetWords({ type: 'lastingCarbon', massKg: 1000, areaM2: 1 }, metric)).toContain(
      'kg of lasting carbon',
    );
    expect(targetWords({ type: 'organicMatter', pct: 6 }, metric)).toBe('6 % organic matter');
  });
});

describe('an amount that was found', () => {
  const NO_LIMITS = { passed: [], within: null };
  const solved = (amount: number) => ({
    status: 'solved' as const,
    amount,
    low: amount - 0.01,
    high: amount + 0.01,
    runs: 7,
    way: NO_LIMITS,
  });
  it('has the bracket, and what draws ask for', () => {
    const drawn = [1, 1.2, 1.4, 1.6, 1.8, 2, 2.2, 2.4, 2.6, 2.8].map(solved);
    const words = amountWords({ own: solved(1.9), drawn, unit: 'cm thick', perUnit: 1, byYear: 10 });
    expect(words).toContain('1.9 cm thick each time (between 1.89 and 1.91');
    expect(words).toContain('8 times out of 10 it takes 1.2 to 2.6');
  });
  it('says the most that passes no limit, and what it comes to', () => {
    const within = { amount: 0.5, point: yearPointOf(10, { organicMatterPct: 5.2 }) };
    const own = { ...solved(2), way: { passed: [], within } };
    expect(amountWords({ own, drawn: [], unit: 'cm thick', perUnit: 1, byYear: 10 })).toContain(
      'The most that does not is 0.5 cm thick each time; by year 10 it comes to 5.2 % organic matter',
    );
  });
  it('says how many draws never get there', () => {
    const never = { status: 'infeasible' as const, most: 25, shortfall: 1, runs: 2, way: NO_LIMITS };
    expect(
      amountWords({
        own: solved(2),
        drawn: [solved(2), never, never],
        unit: 'cm thick',
        perUnit: 1,
        byYear: 10,
      }),
    ).toContain('In 2 of 3 likely cases no amount gets there');
    expect(amountWords({ own: never, drawn: [], unit: 'cm thick', perUnit: 1, byYear: 5 })).toMatch(
      /cannot be done: even 25 cm thick .* year 5/,
    );
    expect(
      amountWords({ own: { status: 'notNeeded', runs: 1 }, drawn: [], unit: 'cm', perUnit: 1, byYear: 4 }),
    ).toContain('without any of it');
  });
});

describe('sharing out in words', () => {
  const names = { bed: (id: string) => `bed ${id}`, pile: (id: string) => `pile ${id}` };
  it('says what it serves, what the roots bear and who is next', () => {
    const words = reasonWords(
      { serves: [{ purpose: 'cover', share: 1 }], bearsLockUp: true, runnerUpBedId: 'b', isFixed: false },
      names.bed,
    );
    expect(words).toContain('cover');
    expect(words).toContain('above the roots');
    expect(words).toContain('next in line is bed b');
  });
  it('says why something stays open', () => {
    const open = { bedId: 'a', season: 'now', purpose: 'feed', metShare: 0.4, cause: 'lockUp' } as const;
    expect(unmetWords(open)).toMatch(/feed met to 40 %: .*hold back/);
  });
  it('says what own choices ask that cannot be', () => {
    const conflict = { type: 'beyondStock', pileId: 'p', season: 'now', fixedL: 500, thereL: 120 } as const;
    expect(conflictInWords(conflict, names, metric)).toContain('500 L of pile p, and 120 L can be given');
  });
  it('names the room that a limit leaves', () => {
    const conflict = { type: 'beyondBound', bedId: 'a', code: 'phosphorus', usedG: 32, roomG: 0 } as const;
    expect(conflictInWords(conflict, names, metric)).toMatch(
      /bed a brings 32 g of phosphorus.*room for none/,
    );
  });
  it('says why a pile is not used up, beds of one reason together', () => {
    const beds = [
      { bedId: 'a', reason: 'wantsNone' },
      { bedId: 'b', reason: 'phosphorus' },
      { bedId: 'c', reason: 'wantsNone' },
    ] as const;
    expect(idleWords({ pileId: 'p', leftL: 90, neverShared: null, beds }, names.bed)).toBe(
      'all that is wanted of it is met on bed a and bed c; phosphorus is at or over the guide value on bed b',
    );
    expect(passedWords([{ bedId: 'a', code: 'lockUp' }], names.bed)).toBe('nitrogen held back on bed a');
    expect(passedWords([], names.bed)).toBe('none');
  });
  it('counts barrows, and buckets where a barrow is too much', () => {
    const carrier = { barrowL: 85, bucketL: 10 };
    expect(loadsWords(170, carrier)).toBe('2 barrows');
    expect(loadsWords(10, carrier)).toBe('1 bucket');
    expect(loadsWords(120, carrier)).toBe('12 buckets');
    expect(loadsWords(42.5, carrier)).toBe('0.5 barrows');
  });
  it('a bed that wants nothing wants nothing', () => {
    expect(wantWords({ cover: 0, humus: 0, feed: 0, char: 0 }, metric)).toBe('nothing');
    expect(wantWords({ cover: 120, humus: 0, feed: 30, char: 0 }, metric)).toBe(
      '120 L of cover, 30 g of nitrogen',
    );
  });
});
