import { QUANTITIES, writtenPlainly, type Unit } from '../../quantities/units.ts';
import type { FieldQuantity } from '../../records/fields.ts';
import type { UnitSystem } from '../../refusals/refusal.ts';

/** A unit a column may be in. */
export interface ColumnUnit {
  /** As headers of our own files write it. */
  readonly name: string;
  /** Other spellings accepted in a header, written plainly. */
  readonly also: readonly string[];
  /** A figure in this unit as it is kept. */
  readonly toKept: (figure: number) => number;
}

/** Headers are plain letters: m2, C. */
const HEADER_NAMES: Readonly<Record<string, string>> = {
  'm²': 'm2',
  'cm²': 'cm2',
  'sq ft': 'ft2',
  'sq in': 'in2',
  'sq yd': 'yd2',
  '°C': 'C',
  '°F': 'F',
};

const columnUnit = ({ symbol, spellings, toBase }: Unit): ColumnUnit => ({
  name: HEADER_NAMES[symbol] ?? symbol,
  also: [symbol, ...spellings].map(writtenPlainly),
  toKept: toBase,
});

/** What is kept is a share of one; people write percent. */
const SHARE_OF_ONE: ColumnUnit = { name: 'share', also: ['fraction', '0-1'], toKept: (figure) => figure };

/** Units of a quantity; the first is the one that is kept. */
export function unitsOf(quantity: FieldQuantity): readonly ColumnUnit[] {
  const units = QUANTITIES[quantity].units.map(columnUnit);
  if (quantity === 'share') return [SHARE_OF_ONE, ...units];
  return units.toSorted((a, b) => Number(isKept(b)) - Number(isKept(a)));
}

/** Whether a unit is called so. */
export const isUnitNamed = ({ name, also }: ColumnUnit, text: string): boolean =>
  text !== '' && (writtenPlainly(name) === writtenPlainly(text) || also.includes(writtenPlainly(text)));

/** The unit of a quantity that a word names. */
export const unitNamed = (text: string, quantity: FieldQuantity): ColumnUnit | undefined =>
  unitsOf(quantity).find((unit) => isUnitNamed(unit, text));

const isKept = ({ toKept }: ColumnUnit): boolean => toKept(0) === 0 && toKept(1) === 1;

export type ColumnKind =
  | 'text'
  | 'number'
  | 'date'
  | 'boolean'
  | 'code'
  | 'codes'
  | 'bed'
  | 'material'
  | 'lot'
  | 'crop'
  | 'json';

/** One column of a table: which field of a record it holds, and how it may be called elsewhere. */
export interface Column {
  /** Path in the record, with dots. */
  readonly field: string;
  /** As we write it, with the unit. */
  readonly header: string;
  readonly kind: ColumnKind;
  readonly also?: readonly string[];
  readonly codes?: readonly string[];
  /** The code that another word means where people measure so; undefined when it means none. */
  readonly codeWord?: (word: string, system: UnitSystem) => string | undefined;
  readonly quantity?: FieldQuantity;
  /** What stands for an empty cell; without one the field is left out. */
  readonly empty?: unknown;
  /** Written out for people; read only when no other column gives the field. */
  readonly isName?: boolean;
  /** Worked out by the app; not read back. */
  readonly isDerived?: boolean;
}
