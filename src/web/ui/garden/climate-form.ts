import { climateNormals } from '../../../records/garden.ts';
import type { Quantity } from '../../../refusals/refusal.ts';
import { askedOf } from '../forms/asked-of.ts';
import {
  figureOf,
  readQuantity,
  typedFrom,
  type QuantityAsked,
  type Reader,
  type ReadQuantity,
  type TypedQuantity,
} from '../forms/typed-quantity.ts';

export type ClimateField = 'temperatureC' | 'rainMm' | 'evapotranspirationMm';

/** Twelve months as typed, by what was measured. */
export type TypedClimate = Readonly<Record<ClimateField, readonly TypedQuantity[]>>;

interface ClimateRow {
  readonly field: ClimateField;
  readonly name: string;
  readonly quantity: Quantity;
}

export const CLIMATE_ROWS: readonly ClimateRow[] = [
  { field: 'temperatureC', name: 'Temperature', quantity: 'temperature' },
  { field: 'rainMm', name: 'Rain', quantity: 'waterDepth' },
  { field: 'evapotranspirationMm', name: 'Evaporation', quantity: 'waterDepth' },
];

/** Enough of a month's mean to see; the whole figure is kept as long as nobody types another. */
const SHOWN_DIGITS = 3;

const byRow = <Value>(of: (row: ClimateRow) => Value): Record<ClimateField, Value> =>
  Object.fromEntries(CLIMATE_ROWS.map((row) => [row.field, of(row)])) as Record<ClimateField, Value>;

/** What evaporates need not be told: it follows from the temperature and the latitude. */
const ASKED: Readonly<Record<ClimateField, QuantityAsked>> = byRow(({ field, quantity }) => ({
  ...askedOf(climateNormals.shape[field].element, quantity),
  isOptional: field === 'evapotranspirationMm',
}));

/** Twelve months as they first stand in their fields. */
export const typedClimate = (
  climate: Readonly<Record<ClimateField, readonly number[]>>,
  reader: Reader,
): TypedClimate =>
  byRow(({ field, quantity }) =>
    climate[field].map((value) => typedFrom(value, quantity, { ...reader, digits: SHOWN_DIGITS })),
  );

/** Every month as it was read, by the field of the record: `climate.rainMm.3` for April. */
export const readClimate = (typed: TypedClimate, reader: Reader): Record<string, ReadQuantity> =>
  Object.fromEntries(
    CLIMATE_ROWS.flatMap(({ field }) =>
      typed[field].map((month, i) => [`climate.${field}.${i}`, readQuantity(month, ASKED[field], reader)]),
    ),
  );

/** The figures for the schema, which refuses what could not be read. */
export const climateFigures = (
  typed: TypedClimate,
  reader: Reader,
): Record<ClimateField, (number | null)[]> =>
  byRow(({ field }) => typed[field].map((month) => figureOf(readQuantity(month, ASKED[field], reader))));

/** The same months in other units; what cannot be read stays as it is. */
export const climateInUnits = (typed: TypedClimate, from: Reader, to: Reader): TypedClimate =>
  byRow(({ field, quantity }) =>
    typed[field].map((month) => {
      const read = readQuantity(month, ASKED[field], from);
      return read.ok ? typedFrom(read.value, quantity, { ...to, digits: SHOWN_DIGITS }) : month;
    }),
  );
