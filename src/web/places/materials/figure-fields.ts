import { labResultFields } from '../../../records/lab-result.ts';
import { chipsFields, figuresFields } from '../../../records/material.ts';
import type { Quantity } from '../../../refusals/refusal.ts';
import { askedOf } from '../../ui/forms/asked-of.ts';
import { quantityTrouble } from '../../ui/forms/troubles.ts';
import {
  figureOf,
  readQuantity,
  typedFrom,
  type QuantityAsked,
  type Reader,
  type TypedQuantity,
} from '../../ui/forms/typed-quantity.ts';

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

/** What a material of one's own states itself. */
export const OWN_FIGURES: readonly FigureField[] = [
  share('moistureFractionWetBasis', 'Moisture', askedOf(figuresFields.moistureFractionWetBasis)),
  share('carbonFractionDryBasis', 'Carbon in dry matter', askedOf(figuresFields.carbonFractionDryBasis)),
  share(
    'nitrogenFractionDryBasis',
    'Nitrogen in dry matter',
    askedOf(figuresFields.nitrogenFractionDryBasis),
  ),
  {
    field: 'bulkDensityKgPerM3',
    name: 'Bulk density',
    quantity: 'bulkDensity',
    asked: askedOf(figuresFields.bulkDensityKgPerM3, 'bulkDensity'),
  },
];

/** What chips are described by. */
export const CHIPS_FIGURES: readonly FigureField[] = [
  {
    field: 'branchDiameterCm',
    name: 'Thickness of the branches',
    quantity: 'length',
    asked: askedOf(chipsFields.branchDiameterCm),
  },
  share('leafShare', 'Leaf', askedOf(chipsFields.leafShare)),
  share('coniferShare', 'Conifer', askedOf(chipsFields.coniferShare)),
];

/** What a laboratory reports; each may be left out. */
export const LAB_FIGURES: readonly FigureField[] = [
  share('moistureFractionWetBasis', 'Moisture', askedOf(labResultFields.moistureFractionWetBasis)),
  share('carbonFractionDryBasis', 'Carbon in dry matter', askedOf(labResultFields.carbonFractionDryBasis)),
  share(
    'nitrogenFractionDryBasis',
    'Nitrogen in dry matter',
    askedOf(labResultFields.nitrogenFractionDryBasis),
  ),
  share(
    'ammoniumShareOfNitrogen',
    'Of that nitrogen, ammonium',
    askedOf(labResultFields.ammoniumShareOfNitrogen),
  ),
  {
    field: 'bulkDensityKgPerM3',
    name: 'Bulk density',
    quantity: 'bulkDensity',
    asked: askedOf(labResultFields.bulkDensityKgPerM3, 'bulkDensity'),
  },
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
