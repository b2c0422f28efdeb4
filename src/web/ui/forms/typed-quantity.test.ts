import { describe, expect, it } from 'vitest';
import { bedFields } from '../../../records/bed.ts';
import { refusalSentence } from '../../../words/refusal-words.ts';
import { askedOf } from './asked-of.ts';
import {
  readQuantity,
  retyped,
  typedFrom,
  understoodValue,
  type QuantityAsked,
  type Reader,
} from './typed-quantity.ts';

const CUSTOMARY: Reader = { system: 'customary', style: { decimal: '.', group: ',' } };
const GERMAN: Reader = { system: 'metric', style: { decimal: ',', group: '.' } };
const AREA: QuantityAsked = { quantity: 'area', above: 0, max: 100_000 };
const ROOTS: QuantityAsked = { quantity: 'length', min: 10, max: 200 };
const AIR: QuantityAsked = { quantity: 'temperature', min: -30, max: 60 };

const typing = (text: string, asked: QuantityAsked, reader: Reader, from: number | null = null) =>
  readQuantity(retyped(typedFrom(from, asked.quantity, reader), text), asked, reader);
const sentence = (...of: Parameters<typeof typing>): string => {
  const read = typing(...of);
  return read.ok ? `taken: ${read.value}` : refusalSentence('It', read.refusal);
};

describe('what a field asks for', () => {
  it('is what its record declares', () => {
    expect(askedOf(bedFields.areaM2)).toEqual({
      quantity: 'area',
      above: 0,
      max: 100_000,
      isOptional: false,
    });
    expect(askedOf(bedFields.rootZoneCm)).toEqual({
      quantity: 'length',
      min: 10,
      max: 200,
      isOptional: false,
    });
    expect(() => askedOf(bedFields.clayPct)).toThrow(/declares no quantity/);
  });
});

describe('a quantity in its field', () => {
  it.each([30, 29.97, 1234.56, 0.1 + 0.2, 1 / 3])('that nobody touches stays %d to the last bit', (value) => {
    for (const reader of [CUSTOMARY, GERMAN]) {
      const typed = typedFrom(value, 'length', reader);
      expect(readQuantity(typed, { quantity: 'length' }, reader)).toEqual({ ok: true, value });
      const backAgain = retyped(retyped(typed, '7'), typed.text);
      expect(readQuantity(backAgain, { quantity: 'length' }, reader)).toEqual({ ok: true, value });
    }
  });

  it('is shown in the decimals of the reader', () => {
    expect(typedFrom(2.5, 'length', GERMAN).text).toBe('2,5');
    expect(typedFrom(2.97289728, 'area', CUSTOMARY).text).toBe('32');
    expect(typedFrom(null, 'area', CUSTOMARY).text).toBe('');
  });

  it('is read in any unit, and kept within its bounds', () => {
    expect(typing('4 x 8 ft', AREA, CUSTOMARY)).toMatchObject({ ok: true, value: 2.97289728 });
    expect(sentence('0', AREA, CUSTOMARY)).toBe(
      'It must be more than 0 sq ft and at most 1080000 sq ft; 0 sq ft was typed.',
    );
    expect(sentence('2 in', ROOTS, CUSTOMARY)).toBe(
      'It must be between 3.94 in and 78.7 in; 2 in was typed.',
    );
    expect(sentence('77', AIR, GERMAN)).toBe('It must be between −30 °C and 60 °C; 77 °C was typed.');
    expect(typing('77 F', AIR, GERMAN)).toMatchObject({ ok: true });
    expect(sentence('200', AIR, CUSTOMARY)).toBe('It must be between −22 °F and 140 °F; 200 °F was typed.');
  });

  it('may be left empty only where that is allowed', () => {
    expect(typing(' ', { ...AREA, isOptional: true }, CUSTOMARY)).toEqual({ ok: true, value: null });
    expect(typing('', AREA, CUSTOMARY, 3).ok).toBe(false);
    expect(typing('', AREA, CUSTOMARY).ok).toBe(false);
  });

  it('says how it was understood when it was not typed as it is shown', () => {
    const understood = (text: string, quantity: 'area' | 'length', reader = CUSTOMARY) =>
      understoodValue(retyped(typedFrom(null, quantity, reader), text), quantity, reader);
    expect(understood('4 x 8 ft', 'area')).toBeCloseTo(2.97289728, 9);
    expect(understood('1,234', 'area', GERMAN)).toBeCloseTo(1.234, 9);
    expect(understood('1 1/2', 'length')).toBeCloseTo(3.81, 9);
    expect(understood('30 cm', 'length')).toBe(30);
    expect(understood('12', 'length')).toBeNull();
    expect(understood('12 in', 'length')).toBeNull();
    expect(understood('plenty', 'length')).toBeNull();
    expect(understood('', 'length')).toBeNull();
  });
});
