import { describe, expect, it } from 'vitest';
import { InputError } from '../refusals/input-error.ts';
import { finding, refusal } from '../refusals/refusal.ts';
import {
  orRefused,
  refusalSentence,
  describeProblem,
  titledSentence,
  describeFinding,
} from './refusal-words.ts';

const chips = {
  id: 'line-48242ab7',
  type: 'lay',
  state: 'laid',
  date: '2026-05-01',
  bedId: 'b',
  materialId: 'chips_mixed',
  massFreshKg: 10,
  dugDepthCm: 0,
  seasonedMonths: 0,
} as const;
const records = { beds: [{ id: 'b', name: 'Ferry Strip' }], entries: [chips] };

describe('a refusal in words', () => {
  it('names the record by its own name and the field as people call it, never by an id', () => {
    const thick = refusal('layerTooThick', { thicknessCm: 140.4, mostCm: 100 });
    const sentence = titledSentence(
      finding(thick, 'amount', { collection: 'entries', id: chips.id }),
      records,
    );
    expect(sentence).toMatch(
      /^.+, laid on Ferry Strip on 2026-05-01: amount makes a layer 140 cm \(55\.3 in\) thick; at most 100 cm \(39\.4 in\) can be spread at once\. Is the unit right/,
    );
    expect(sentence).not.toContain('line-');
    expect(
      titledSentence(
        finding(refusal('outOfRange', { above: 0, got: -1 }), 'areaM2', { collection: 'beds', id: 'b' }),
        records,
      ),
    ).toBe('Ferry Strip: area must be greater than 0; got -1.');
  });

  it('says what was given only where it is known', () => {
    expect(refusalSentence('pH', refusal('outOfRange', { min: 2, max: 11, got: undefined }))).toBe(
      'pH must be between 2 and 11.',
    );
    expect(refusalSentence('pH', refusal('notANumber', { got: 'acid' }))).toBe(
      'pH must be a finite number; got "acid".',
    );
  });

  it.each([
    [1, 'name must be at least 1 character long.'],
    [5, 'name must be at least 5 characters long.'],
  ])('counts %d as people do', (min, sentence) => {
    expect(refusalSentence('name', refusal('wrongLength', { min, of: 'characters' }))).toBe(sentence);
  });

  it.each([
    [
      12,
      13,
      /on that day only 12 kg \(26\.5 lb\), or 200 L \(52\.8 gal\), of "Lane chips" is in stock, and this asks for 13 kg \(28\.7 lb\)\.$/,
    ],
    [12, 120, /Is the unit right\?\.?$/],
    [0, 5, /nothing of "Lane chips" is in stock on that day/],
  ])('tells %d kg there and %d kg asked for', (thereKg, askedKg, sentence) => {
    const facts = { lotName: 'Lane chips', thereKg, thereL: 200, askedKg };
    expect(refusalSentence('amount', refusal('moreThanThere', facts))).toMatch(sentence);
  });

  it('is the same wherever it is told, under the name the field has there', () => {
    const problem = describeFinding(finding(refusal('notWhole', { got: 1.5 }), 'acts.0.everyYears'));
    expect(problem).toMatchObject({ field: 'acts.0.everyYears', code: 'notWhole', facts: { got: 1.5 } });
    expect(problem.sentence).toBe('every years must be a whole number; got 1.5.');
    expect(describeProblem('every_years', problem)).toBe('every_years must be a whole number; got 1.5.');
  });

  it('comes back as data, and all else is thrown on', () => {
    const work = () => {
      throw new InputError(['massFreshKg'], 'farTooLarge', { amount: 1e300 });
    };
    expect(orRefused(work)).toEqual({ refused: { code: 'farTooLarge', facts: { amount: 1e300 } } });
    expect(orRefused(() => 7)).toEqual({ result: 7 });
    expect(() =>
      orRefused(() => {
        throw new RangeError('ours');
      }),
    ).toThrow(RangeError);
  });
});
