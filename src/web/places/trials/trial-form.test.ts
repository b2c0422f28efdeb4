import { describe, expect, it } from 'vitest';
import { TRIAL_TEMPLATES } from '../../../words/trial-words.ts';
import { fromTemplate, linesOf, newTrialForm, raisesDust, treatmentsOf } from './trial-form.ts';

const books = (measures: 'metric' | 'customary') =>
  ({ today: '2026-05-14', garden: { measures } }) as Parameters<typeof newTrialForm>[0];

describe('a trial being set up', () => {
  it('begins today with a usual trial, measured in the units of the garden', () => {
    const form = newTrialForm(books('metric'), 7);
    expect(form).toMatchObject({ date: '2026-05-14', seed: 7, unit: 'cm', name: TRIAL_TEMPLATES[0].name });
    expect(newTrialForm(books('customary'), 7).unit).toBe('in');
  });

  it.each(TRIAL_TEMPLATES)('takes over all of “$name”, and keeps the template as it is', (template) => {
    const filled = fromTemplate(template.name);
    expect(filled).toEqual(template);
    filled.treatments!.push('one more');
    expect(fromTemplate(template.name)).toEqual(template);
  });

  it('is left alone by a trial there is not', () => {
    expect(fromTemplate('something else')).toEqual({});
    expect(fromTemplate(null)).toEqual({});
  });

  it('has one treatment a line, eight at most, blank lines left out', () => {
    const lines = linesOf('no char\n\n  5 % char \n' + 'more\n'.repeat(9));
    expect(lines).toHaveLength(8);
    expect(treatmentsOf({ treatments: lines })).toEqual([
      'no char',
      '5 % char',
      ...Array<string>(5).fill('more'),
    ]);
    expect(treatmentsOf({ treatments: ['', '  '] })).toEqual([]);
  });

  it('warns of dust where char or ash is spread, and not where a word only looks like it', () => {
    expect(raisesDust(['nothing', '10 % char'])).toBe(true);
    expect(raisesDust(['Biochar, raw'])).toBe(true);
    expect(raisesDust(['wood ash'])).toBe(true);
    expect(raisesDust(['chard', 'mashed straw', 'washed sand'])).toBe(false);
  });
});
