import {
  CENTIMETRES_PER_FOOT,
  CENTIMETRES_PER_INCH,
  CENTIMETRES_PER_METRE,
  SQUARE_METRES_PER_SQUARE_FOOT,
} from '../../core/ground/index.ts';

/** A unit a column may be in: what its figures times `factor` plus `offset` are in the unit that is kept. */
export interface ColumnUnit {
  readonly name: string;
  /** Spellings accepted in a header, in lower case. */
  readonly also: readonly string[];
  readonly factor: number;
  readonly offset?: number;
}

const CM_PER_MM = 0.1;
const FAHRENHEIT = { factor: 5 / 9, offset: (-32 * 5) / 9 };

/** Units by what is measured; the first of each is the one that is kept. */
export const QUANTITIES = {
  length: [
    { name: 'cm', also: [], factor: 1 },
    { name: 'mm', also: [], factor: CM_PER_MM },
    { name: 'm', also: [], factor: CENTIMETRES_PER_METRE },
    { name: 'in', also: ['inch', 'inches', '"'], factor: CENTIMETRES_PER_INCH },
    { name: 'ft', also: ['foot', 'feet'], factor: CENTIMETRES_PER_FOOT },
  ],
  waterDepth: [
    { name: 'mm', also: ['l/m2', 'l per m2'], factor: 1 },
    { name: 'cm', also: [], factor: 1 / CM_PER_MM },
    { name: 'in', also: ['inch', 'inches', '"'], factor: CENTIMETRES_PER_INCH / CM_PER_MM },
  ],
  area: [
    { name: 'm2', also: ['m²', 'sqm', 'sq m'], factor: 1 },
    { name: 'ft2', also: ['ft²', 'sqft', 'sq ft'], factor: SQUARE_METRES_PER_SQUARE_FOOT },
  ],
  temperature: [
    { name: 'C', also: ['°c', 'celsius', 'degc'], factor: 1 },
    { name: 'F', also: ['°f', 'fahrenheit', 'degf'], ...FAHRENHEIT },
  ],
  share: [
    { name: 'share', also: ['fraction', '0-1'], factor: 1 },
    { name: '%', also: ['pct', 'percent'], factor: 0.01 },
  ],
} as const satisfies Readonly<Record<string, readonly ColumnUnit[]>>;
export type Quantity = keyof typeof QUANTITIES;

export const unitsOf = (quantity: Quantity): readonly ColumnUnit[] => QUANTITIES[quantity];

export type ColumnKind =
  'text' | 'number' | 'date' | 'boolean' | 'code' | 'codes' | 'bed' | 'material' | 'lot' | 'crop' | 'json';

/** One column of a table: which field of a record it holds, and how it may be called elsewhere. */
export interface Column {
  /** Path in the record, with dots. */
  readonly field: string;
  /** As we write it, with the unit. */
  readonly header: string;
  readonly kind: ColumnKind;
  readonly also?: readonly string[];
  readonly codes?: readonly string[];
  /** Other words for codes, lower case. */
  readonly codeWords?: ReadonlyMap<string, string>;
  readonly quantity?: Quantity;
  /** What stands for an empty cell; without one the field is left out. */
  readonly empty?: unknown;
  /** Written out for people; read only when no other column gives the field. */
  readonly isName?: boolean;
  /** Worked out by the app; not read back. */
  readonly isDerived?: boolean;
}
