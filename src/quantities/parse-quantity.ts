import { refusal, type Quantity, type Refusal, type UnitSystem } from '../refusals/refusal.ts';
import { leadingNumber, plainText, type NumberStyle } from './number-text.ts';
import { findUnit, isUnit, QUANTITIES, type Unit } from './units.ts';

export interface QuantitySetting {
  readonly quantity: Quantity;
  readonly system: UnitSystem;
  readonly style: NumberStyle;
}

/** A quantity as it was understood, in its base unit, or why it was not. */
export type Understood =
  | { readonly ok: true; readonly value: number; readonly isPlain: boolean }
  | { readonly ok: false; readonly refusal: Refusal };

/** So much of a quantity, in a unit or in none. */
interface Term {
  readonly figure: number;
  readonly unit: Unit | undefined;
}

/** Quantities whose larger and smaller units people say together: 5 ft 6 in, 2 lb 3 oz. */
const COMPOUND: ReadonlySet<Quantity> = new Set(['length', 'mass', 'volume']);

const refused = (one: Refusal): Understood => ({ ok: false, refusal: one });
const understood = (value: number, isPlain: boolean): Understood => ({ ok: true, value, isPlain });

function notUnderstood(text: string, { quantity, system }: QuantitySetting): Understood {
  const unit = leadingNumber(plainText(text), { decimal: '.', group: ',' })?.rest ?? '';
  const units = QUANTITIES[quantity].units.map(({ symbol }) => symbol);
  if (unit === '') return refused(refusal('notAQuantity', { got: text, quantity, system }));
  return refused(refusal('notItsUnit', { unit, quantity, units, isOther: isUnit(unit) }));
}

/** The terms of a plain text, each with its unit; undefined when it cannot be read. */
function termsOf(plain: string, setting: QuantitySetting): Term[] | undefined {
  const { quantity, system, style } = setting;
  const number = leadingNumber(plain, style);
  if (!number || !Number.isFinite(number.value)) return undefined;
  if (number.rest === '') return [{ figure: number.value, unit: undefined }];
  const unit = findUnit(number.rest, quantity, system);
  if (unit) return [{ figure: number.value, unit }];
  const split = COMPOUND.has(quantity) ? /^([^\d-]+?) ?(\d.*)$/.exec(number.rest) : null;
  const first = split && findUnit(split[1]!, quantity, system);
  const others = first && termsOf(split[2]!, setting);
  const isCompound = others?.every(
    (other) => other.unit !== undefined && other.unit.toBase(1) < first!.toBase(1),
  );
  return isCompound ? [{ figure: number.value, unit: first! }, ...others!] : undefined;
}

function sumOf(terms: readonly Term[], fallback: Unit): number {
  const sign = Math.sign(terms[0]!.figure) || 1;
  return terms.reduce(
    (sum, { figure, unit = fallback }, i) =>
      sum + (i === 0 ? unit.toBase(figure) : sign * unit.toBase(figure)),
    0,
  );
}

const SIDES = /^(.+?) ?(?:x|×|\*|by) ?(.+)$/i;
const ROUND = /^(.+?) ?(across|wide|round|in diameter|diameter|ø)$/i;
const RADIUS = /^(.+?) ?(radius|in radius)$/i;
const M2_PER_CM2 = 1e-4;

/** A length in cm out of a part of a shape; its unit may be said by the other part. */
function lengthIn(
  plain: string,
  setting: QuantitySetting,
  unit?: Unit,
): { cm: number; unit: Unit } | undefined {
  const terms = termsOf(plain, { ...setting, quantity: 'length' });
  const own = terms?.[0]!.unit ?? unit;
  return terms && own ? { cm: sumOf(terms, own), unit: own } : undefined;
}

/** The area of a shape in words: 4 x 8 ft, 6 ft across, 1 m radius; undefined when it is none. */
function areaOfShape(plain: string, text: string, setting: QuantitySetting): Understood | undefined {
  const needsUnit = refused(refusal('needsUnit', { got: text, system: setting.system }));
  const sides = SIDES.exec(plain);
  if (sides) {
    const second = lengthIn(sides[2]!, setting);
    const first = lengthIn(sides[1]!, setting, second?.unit);
    const other = second ?? lengthIn(sides[2]!, setting, first?.unit);
    if (first && other) return understood(first.cm * other.cm * M2_PER_CM2, false);
    const areNumbers = sides.slice(1).every((side) => termsOf(side, { ...setting, quantity: 'length' }));
    return areNumbers ? needsUnit : notUnderstood(text, setting);
  }
  const round = ROUND.exec(plain) ?? RADIUS.exec(plain);
  if (!round) return undefined;
  const radii = RADIUS.test(plain) ? 1 : 0.5;
  const length = lengthIn(round[1]!, setting);
  return length ? understood(Math.PI * (length.cm * radii) ** 2 * M2_PER_CM2, false) : needsUnit;
}

/**
 * What somebody typed for a quantity, in its base unit. A figure without a unit is in the one the garden shows. Takes
 * any unit of the quantity in either system, fractions (1 1/2), several units (5 ft 6 in), thousands and decimals as
 * the reader writes them, and for areas the sides or the width of a round bed.
 */
export function parseQuantity(text: string, setting: QuantitySetting): Understood {
  const plain = plainText(text);
  const shape = setting.quantity === 'area' ? areaOfShape(plain, text, setting) : undefined;
  if (shape) return shape;
  const shown = QUANTITIES[setting.quantity].shown[setting.system];
  const terms = termsOf(plain, setting);
  if (!terms) return notUnderstood(text, setting);
  const value = sumOf(terms, shown);
  if (!Number.isFinite(value)) return notUnderstood(text, setting);
  const isPlain =
    terms.length === 1 && (terms[0]!.unit ?? shown) === shown && /^[+-]?\d+([.,]\d{1,2})?\D*$/.test(plain);
  return understood(value, isPlain);
}
