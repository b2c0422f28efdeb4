import fc from 'fast-check';
import Qty from 'js-quantities';
import { describe, expect, it } from 'vitest';
import type { Quantity, UnitSystem } from '../refusals/refusal.ts';
import { refusalSentence } from '../words/refusal-words.ts';
import { fieldText, formatQuantity } from './format-quantity.ts';
import { numberStyleOf, type NumberStyle } from './number-text.ts';
import { parseQuantity } from './parse-quantity.ts';
import { QUANTITIES } from './units.ts';

const AMERICAN: NumberStyle = { decimal: '.', group: ',' };
const GERMAN: NumberStyle = { decimal: ',', group: '.' };

const read = (text: string, quantity: Quantity, system: UnitSystem = 'customary', style = AMERICAN) =>
  parseQuantity(text, { quantity, system, style });
const valueOf = (...of: Parameters<typeof read>): number => {
  const one = read(...of);
  if (!one.ok) throw new Error(refusalSentence(of[1], one.refusal));
  return one.value;
};
const sentenceFor = (...of: Parameters<typeof read>): string => {
  const one = read(...of);
  return one.ok ? `taken for ${one.value}` : refusalSentence('Area', one.refusal);
};

describe('a quantity as people type it', () => {
  it.each<[string, Quantity, number]>([
    ['2', 'length', 5.08],
    ['2 in', 'length', 5.08],
    ['2"', 'length', 5.08],
    ['2 inches', 'length', 5.08],
    ['1/2', 'length', 1.27],
    ['1 1/2', 'length', 3.81],
    ['1½ in.', 'length', 3.81],
    ['¾ inch', 'length', 1.905],
    ['5 ft 6 in', 'length', 167.64],
    [`5' 6"`, 'length', 167.64],
    ['5′6″', 'length', 167.64],
    ['-2 in', 'length', -5.08],
    ['−2 in', 'length', -5.08],
    ['30 cm', 'length', 30],
    ['1.2 m', 'length', 120],
    ['4 x 8 ft', 'area', 2.97289728],
    ["4' x 8'", 'area', 2.97289728],
    ['4 ft by 8 ft', 'area', 2.97289728],
    ['4 × 8 feet', 'area', 2.97289728],
    ['48 in x 8 ft', 'area', 2.97289728],
    ['1.2 x 2.5 m', 'area', 3],
    ['6 ft across', 'area', (Math.PI * 1.8288 ** 2) / 4],
    ['2 m round', 'area', Math.PI],
    ['1 m radius', 'area', Math.PI],
    ['32', 'area', 2.97289728],
    ['32 square feet', 'area', 2.97289728],
    ['10 sq. m', 'area', 10],
    ['12 m²', 'area', 12],
    ['1/4 acre', 'area', 1011.7141056],
    ['2 ha', 'area', 20_000],
    ['1.5 cu yd', 'volume', 1146.832286976],
    ['2 cubic feet', 'volume', 56.633693184],
    ['3 gallons', 'volume', 11.356235352],
    ['2 barrows', 'volume', 169.901079552],
    ['40 L', 'volume', 40],
    ['1 gal 2 qt', 'volume', 5.678117676],
    ['2 lb 3 oz', 'mass', 0.992233309375],
    ['5 lbs', 'mass', 2.26796185],
    ['500 g', 'mass', 0.5],
    ['77 F', 'temperature', 25],
    ['77°F', 'temperature', 25],
    ['77', 'temperature', 25],
    ['77°', 'temperature', 25],
    ['25 °C', 'temperature', 25],
    ['−4 °F', 'temperature', -20],
    ['20 lb/cu ft', 'bulkDensity', 320.369267479],
    ['0.3 kg/L', 'bulkDensity', 300],
    ['1', 'massPerArea', 4.8824276367],
    ['1 lb per 1000 sq ft', 'massPerArea', 4.8824276367],
    ['50 kg/ha', 'massPerArea', 5],
    ['1 in', 'waterDepth', 25.4],
    ['10 L/m²', 'waterDepth', 10],
    ['40 %', 'share', 0.4],
    ['40', 'share', 0.4],
  ])('%s is understood as a %s', (text, quantity, value) => {
    expect(valueOf(text, quantity)).toBeCloseTo(value, 8);
  });

  it('is in the unit the garden shows when none is said', () => {
    expect(valueOf('2', 'length', 'metric')).toBe(2);
    expect(valueOf('77', 'temperature', 'metric')).toBe(77);
    expect(valueOf('2 barrows', 'volume', 'metric')).toBe(170);
  });

  it.each<[string, number, number]>([
    ['1,234', 1234, 1.234],
    ['1.234', 1.234, 1234],
    ['1,234.5', 1234.5, 1234.5],
    ['1.234,5', 1234.5, 1234.5],
    ['1,234,567', 1_234_567, 1_234_567],
    ['1 234', 1234, 1234],
    ['1 234,5', 1234.5, 1234.5],
    ["1'234.5", 1234.5, 1234.5],
    ['2,5', 2.5, 2.5],
    ['0,125', 0.125, 0.125],
    ['0.125', 0.125, 0.125],
    ['.5', 0.5, 0.5],
    ['3.', 3, 3],
  ])('%s: the reader’s own decimals decide where it could be either', (text, american, german) => {
    expect(valueOf(`${text} cm`, 'length', 'metric', AMERICAN)).toBeCloseTo(american, 9);
    expect(valueOf(`${text} cm`, 'length', 'metric', GERMAN)).toBeCloseTo(german, 9);
  });

  it('takes its decimals from the language of the reader', () => {
    expect(numberStyleOf('en-US')).toEqual(AMERICAN);
    expect(numberStyleOf('de-DE')).toEqual(GERMAN);
  });
});

describe('what is no quantity', () => {
  it.each<[string, Quantity]>([
    ['', 'length'],
    [' ', 'area'],
    ['abc', 'mass'],
    ['1/0', 'length'],
    ['1.23.456', 'length'],
    ['1,23,4', 'length'],
    ['--3', 'temperature'],
    ['3 - 4 in', 'length'],
    ['1e999', 'mass'],
    ['Infinity', 'mass'],
    ['NaN', 'mass'],
    ['0x10', 'mass'],
    ['5 kg', 'length'],
    ['5 furlongs', 'length'],
    ['5 6 in', 'mass'],
    ['6 in 5 ft', 'length'],
    ['4 x', 'area'],
    ['x 8 ft', 'area'],
    ['4 x 8', 'area'],
    ['4 x 8 kg', 'area'],
    ['4 x 8 x 2 ft', 'area'],
    ['round', 'area'],
    ['6 across', 'area'],
    ['<b>3</b>', 'volume'],
    ['٣ cm', 'length'],
    ['3 °K', 'temperature'],
    ['50 % of it', 'share'],
  ])('%j is refused in words', (text, quantity) => {
    const one = read(text, quantity);
    expect(one.ok).toBe(false);
    if (!one.ok) expect(refusalSentence('Field', one.refusal)).toMatch(/^[A-Z].{10,}\.$/);
  });

  it('says what would be right', () => {
    expect(sentenceFor('4 x 8', 'area')).toBe(
      'Area needs a unit: "4 x 8" can be feet or meters. Write for example 4 x 8 ft.',
    );
    expect(sentenceFor('5 kg', 'area', 'metric')).toBe(
      'Area cannot be in kg; use m², cm², a, ha, sq ft, sq in, sq yd, or acre.',
    );
    expect(sentenceFor('5 furlongs', 'length')).toBe(
      'Area has a unit that is not known, "furlongs"; use mm, cm, m, in, ft, or yd.',
    );
    expect(sentenceFor('plenty', 'temperature', 'metric')).toBe(
      'Area cannot be read: "plenty" is not a temperature. Write for example 20 °C.',
    );
  });

  it('never throws and never lets through what is not finite', () => {
    const quantity = fc.constantFrom(...(Object.keys(QUANTITIES) as Quantity[]));
    const piece = fc.oneof(
      fc.constantFrom(
        ' ',
        '.',
        ',',
        '/',
        'x',
        '-',
        '−',
        '½',
        'ft',
        'in',
        'm',
        '"',
        "'",
        '°',
        'F',
        'kg',
        '%',
        'e9',
        '1',
        '12',
        '000',
      ),
      fc.string({ maxLength: 3 }),
    );
    fc.assert(
      fc.property(fc.array(piece, { maxLength: 8 }), quantity, (pieces, of) => {
        const one = read(pieces.join(''), of);
        expect(one.ok ? Number.isFinite(one.value) : refusalSentence('Field', one.refusal)).toBeTruthy();
      }),
      { numRuns: 3000, seed: 4 },
    );
  });
});

describe('a quantity that is shown', () => {
  it('is read back as what it says, in either system', () => {
    const quantity = fc.constantFrom(...(Object.keys(QUANTITIES) as Quantity[]));
    const system = fc.constantFrom<UnitSystem>('metric', 'customary');
    fc.assert(
      fc.property(
        quantity,
        system,
        fc.double({ min: -9e4, max: 9e4, noNaN: true }),
        (of, inSystem, value) => {
          const back = valueOf(formatQuantity(value, of, inSystem), of, inSystem);
          const inUnit = QUANTITIES[of].shown[inSystem];
          const [a, b] = [inUnit.fromBase(back), inUnit.fromBase(value)];
          expect(Math.abs(a - b)).toBeLessThanOrEqual(Math.abs(b) * 0.0051 + 1e-9);
          for (const style of [AMERICAN, GERMAN]) {
            const text = fieldText(value, { quantity: of, system: inSystem, decimal: style.decimal });
            const [c] = [inUnit.fromBase(valueOf(`${text} ${inUnit.symbol}`, of, inSystem, style))];
            if (!/^−?[1-9]\d{0,2}[.,]\d{3}$/.test(text))
              expect(Math.abs(c - b)).toBeLessThanOrEqual(Math.abs(b) * 1e-5 + 1e-9);
          }
        },
      ),
      { numRuns: 500, seed: 7 },
    );
  });

  it('has three figures at most and never an exponent', () => {
    expect(formatQuantity(1e-9, 'mass', 'metric')).toBe('0.000000001 kg');
    expect(formatQuantity(123_456_789, 'area', 'metric')).toBe('123000000 m²');
    expect(formatQuantity(-20, 'temperature', 'customary')).toBe('−4 °F');
    expect(formatQuantity(-0, 'length', 'metric')).toBe('0 cm');
  });
});

describe('factors', () => {
  const QTY_NAMES: Partial<Record<Quantity, [base: string, names: Readonly<Record<string, string>>]>> = {
    length: ['cm', { mm: 'mm', m: 'm', in: 'in', ft: 'ft', yd: 'yd' }],
    area: ['m2', { ha: 'hectare', 'sq ft': 'ft2', 'sq in': 'in2', 'sq yd': 'yd2', acre: 'acre' }],
    volume: [
      'L',
      {
        mL: 'mL',
        'm³': 'm3',
        tsp: 'tsp',
        tbsp: 'tbsp',
        cups: 'cup',
        'fl oz': 'floz',
        pt: 'pt',
        qt: 'qt',
        gal: 'gal',
        'cu ft': 'ft3',
        'cu yd': 'yd3',
      },
    ],
    mass: ['kg', { g: 'g', t: 'tonne', oz: 'oz', lb: 'lb', tons: 'ton' }],
    bulkDensity: [
      'kg/m3',
      { 'kg/L': 'kg/L', 'lb/cu ft': 'lb/ft3', 'lb/cu yd': 'lb/yd3', 'lb/gal': 'lb/gal' },
    ],
    massPerArea: ['g/m2', { 'kg/m²': 'kg/m2', 'kg/ha': 'kg/hectare', 'lb/acre': 'lb/acre' }],
  };
  it('are those of a library of units', () => {
    for (const [quantity, [base, names]] of Object.entries(QTY_NAMES)) {
      for (const [symbol, name] of Object.entries(names)) {
        const ours = QUANTITIES[quantity as Quantity].units.find((one) => one.symbol === symbol)!.toBase(1);
        expect(ours / Qty(1, name).to(base).scalar, symbol).toBeCloseTo(1, 7);
      }
    }
  });
});
