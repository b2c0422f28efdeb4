import type { ZodType } from 'zod';
import { labResultFields } from '../../../records/lab-result.ts';
import { chipsFields, figuresFields } from '../../../records/material.ts';
import { movementFields } from '../../../records/movement.ts';
import type { Quantity } from '../../../refusals/refusal.ts';
import { askedOf } from '../forms/asked-of.ts';
import { quantityTrouble } from '../forms/troubles.ts';
import {
  figureOf,
  readQuantity,
  typedFrom,
  type QuantityAsked,
  type Reader,
  type TypedQuantity,
} from '../forms/typed-quantity.ts';

/** One figure that describes a material, as forms ask for it. */
export interface FigureField {
  readonly field: string;
  readonly name: string;
  readonly quantity: Quantity;
  readonly asked: QuantityAsked;
}

const share = (field: string, name: string, asked: QuantityAsked): FigureField => ({
  field,
  name,
  quantity: 'share',
  asked,
});
/** Of what was weighed wet, so that something dry is always left; the schema says so in a sentence of its own. */
const moisture = (declared: ZodType) =>
  share('moistureFractionWetBasis', 'Moisture', { ...askedOf(declared, 'share'), below: 1 });
const carbon = (declared: ZodType) =>
  share('carbonFractionDryBasis', 'Carbon in dry matter', askedOf(declared, 'share'));
const nitrogen = (declared: ZodType) =>
  share('nitrogenFractionDryBasis', 'Nitrogen in dry matter', askedOf(declared, 'share'));
const density = (declared: ZodType): FigureField => ({
  field: 'bulkDensityKgPerM3',
  name: 'Bulk density',
  quantity: 'bulkDensity',
  asked: askedOf(declared, 'bulkDensity'),
});

/** What a material of one's own states itself. */
export const OWN_FIGURES: readonly FigureField[] = [
  moisture(figuresFields.moistureFractionWetBasis),
  carbon(figuresFields.carbonFractionDryBasis),
  nitrogen(figuresFields.nitrogenFractionDryBasis),
  density(figuresFields.bulkDensityKgPerM3),
];

const BRANCHES: FigureField = {
  field: 'branchDiameterCm',
  name: 'Thickness of the branches',
  quantity: 'length',
  asked: askedOf(chipsFields.branchDiameterCm),
};
/** What chips are described by. */
export const CHIPS_FIGURES: readonly FigureField[] = [
  BRANCHES,
  share('leafShare', 'Leaf', askedOf(chipsFields.leafShare)),
  share('coniferShare', 'Conifer', askedOf(chipsFields.coniferShare)),
];
/** The same with the bark, for a load one can look at. */
export const LOAD_CHIPS_FIGURES: readonly FigureField[] = [
  ...CHIPS_FIGURES,
  share('barkShare', 'Bark', askedOf(chipsFields.barkShare)),
];

/** What is judged of a load that arrives; each may be left out. */
export const LOAD_FIGURES: readonly FigureField[] = [
  moisture(movementFields.receive.moistureFractionWetBasis),
  density(movementFields.receive.bulkDensityKgPerM3),
];

/** What is measured of a heap; each may be left out. */
export const HEAP_TEMPERATURE: FigureField = {
  field: 'temperatureC',
  name: 'Temperature inside',
  quantity: 'temperature',
  asked: askedOf(movementFields.reading.temperatureC),
};
export const HEAP_FIGURES: readonly FigureField[] = [
  HEAP_TEMPERATURE,
  moisture(movementFields.reading.moistureFractionWetBasis),
  density(movementFields.reading.bulkDensityKgPerM3),
  carbon(movementFields.reading.carbonFractionDryBasis),
  nitrogen(movementFields.reading.nitrogenFractionDryBasis),
];

/** What a laboratory reports; each may be left out. */
export const LAB_FIGURES: readonly FigureField[] = [
  moisture(labResultFields.moistureFractionWetBasis),
  carbon(labResultFields.carbonFractionDryBasis),
  nitrogen(labResultFields.nitrogenFractionDryBasis),
  share(
    'ammoniumShareOfNitrogen',
    'Of that nitrogen, ammonium',
    askedOf(labResultFields.ammoniumShareOfNitrogen),
  ),
  density(labResultFields.bulkDensityKgPerM3),
];

export type TypedFigures = Readonly<Record<string, TypedQuantity>>;

/** Figures as they first stand in their fields; empty where there are none. */
export const typedFigures = (
  fields: readonly FigureField[],
  known: Readonly<Record<string, unknown>>,
  reader: Reader,
): TypedFigures =>
  Object.fromEntries(
    fields.map(({ field, quantity }) => {
      const value = known[field];
      return [field, typedFrom(typeof value === 'number' ? value : null, quantity, reader)];
    }),
  );

export interface ReadFigures {
  readonly values: Readonly<Record<string, number | null>>;
  /** By field; empty when all can be read. */
  readonly troubles: Readonly<Record<string, string>>;
}

/** What was typed, and what is wrong with it. */
export function readFigures(
  fields: readonly FigureField[],
  typed: TypedFigures,
  reader: Reader,
): ReadFigures {
  const read = fields.map(({ field, asked }) => [field, readQuantity(typed[field]!, asked, reader)] as const);
  return {
    values: Object.fromEntries(read.map(([field, one]) => [field, figureOf(one)])),
    troubles: Object.fromEntries(
      read.flatMap(([field, one]) => {
        const trouble = quantityTrouble(one, field);
        return trouble === undefined ? [] : [[field, trouble]];
      }),
    ),
  };
}
