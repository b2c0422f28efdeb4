import { z } from 'zod';
import { fieldMeta } from '../../../records/fields.ts';
import type { Quantity } from '../../../refusals/refusal.ts';
import type { QuantityAsked } from './typed-quantity.ts';

/** The schema without what lets it be null or left out. */
function innermost(schema: z.core.$ZodType): z.core.$ZodType {
  const isWrapping =
    schema instanceof z.ZodDefault || schema instanceof z.ZodNullable || schema instanceof z.ZodOptional;
  return isWrapping ? innermost(schema.unwrap()) : schema;
}

/**
 * What the declaration of a field asks of a figure: its quantity and its bounds. `quantity` is for figures whose columns
 * are in one unit only, and so declare none. Throws when there is neither.
 */
export function askedOf(
  field: z.ZodType,
  quantity: Quantity | undefined = fieldMeta.get(field)?.quantity,
): QuantityAsked {
  if (quantity === undefined) throw new Error('this field declares no quantity');
  const { minimum, maximum, exclusiveMinimum, exclusiveMaximum } = z.toJSONSchema(innermost(field));
  return {
    quantity,
    ...(minimum === undefined ? {} : { min: minimum }),
    ...(maximum === undefined ? {} : { max: maximum }),
    ...(typeof exclusiveMinimum === 'number' ? { above: exclusiveMinimum } : {}),
    ...(typeof exclusiveMaximum === 'number' ? { below: exclusiveMaximum } : {}),
    isOptional: field.safeParse(null).success,
  };
}
