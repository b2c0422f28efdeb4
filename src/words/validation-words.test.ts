import { describe, expect, it } from 'vitest';
import { CHECK_GROUPS, PUBLISHED_CHECKS } from '../core/model/validation/published-checks.ts';
import {
  CHECK_GROUP_WORDS,
  checkFigure,
  checkFigures,
  checkText,
  validationSummary,
} from './validation-words.ts';

describe('published results in words', () => {
  it('have three digits, and rounding noise is nothing', () => {
    expect([0.72543, 118.4, -11.07, 3e-9, 0].map(checkFigure)).toEqual(['0.725', '118', '-11.1', '0', '0']);
  });
  it('are set as pages set units, and leave C:N alone', () => {
    expect(checkText('168 days in soil, 15 C')).toBe('168 days in soil, 15 °C');
    expect(checkText('Crop residue of C:N 50 at 19 C:N, 3 kg per m2')).toBe(
      'Crop residue of C:N 50 at 19 C:N, 3 kg per m²',
    );
    const check = { ...PUBLISHED_CHECKS[0], value: -11.07, low: -22, high: -5, unit: 'mg N/g C' };
    expect(checkFigures(check)).toBe('model −11.1, published −22 to −5 mg N/g C');
  });
  it('are counted, and every group has a name', () => {
    expect(validationSummary()[0]).toMatch(/^\d+ of 123 published results/);
    for (const group of CHECK_GROUPS) expect(CHECK_GROUP_WORDS[group]).not.toBe('');
  });
});
