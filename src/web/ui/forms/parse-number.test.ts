import { describe, expect, it } from 'vitest';
import { numberFromText } from './parse-number.ts';

describe('numbers as they are typed', () => {
  it.each([
    ['7', 7],
    ['7,5', 7.5],
    [' 1 200 ', 1200],
    ['1e3', 1000],
    ['-2', -2],
    ['−2', -2],
    ['1 1/2', 1.5],
    ['½', 0.5],
    ['12 %', 12],
    ['1,234', 1234],
    ['1,234.5', 1234.5],
  ])('%j', (text, value) => expect(numberFromText(text)).toBe(value));
  it.each(['', 'seven', '7 cm', '1.2.3', '--1'])('%j is not one', (text) =>
    expect(numberFromText(text)).toBeNaN(),
  );
});
