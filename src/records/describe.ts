import { z } from 'zod';
import { fieldMeta, type FieldMeta } from './fields.ts';

/** What a field holds, its default and its being allowed to be empty put aside. */
export type FieldKind = 'text' | 'date' | 'number' | 'boolean' | 'code' | 'json';

export interface DescribedField extends FieldMeta {
  readonly field: string;
  readonly kind: FieldKind;
  /** The words a code may be; empty for all else. */
  readonly codes: readonly string[];
}

/** A schema and what it wraps, the outermost first. */
function layersOf(schema: z.core.$ZodType): z.core.$ZodType[] {
  const isWrapping =
    schema instanceof z.ZodDefault || schema instanceof z.ZodNullable || schema instanceof z.ZodOptional;
  return isWrapping ? [schema, ...layersOf(schema.unwrap())] : [schema];
}

function kindOf(schema: z.core.$ZodType, { isDate }: FieldMeta): FieldKind {
  if (isDate) return 'date';
  if (schema instanceof z.ZodNumber) return 'number';
  if (schema instanceof z.ZodBoolean) return 'boolean';
  if (schema instanceof z.ZodEnum || schema instanceof z.ZodLiteral) return 'code';
  return schema instanceof z.ZodString ? 'text' : 'json';
}

function codesOf(schema: z.core.$ZodType): readonly string[] {
  if (schema instanceof z.ZodEnum) return schema.options.map(String);
  return schema instanceof z.ZodLiteral ? [...schema.values].map(String) : [];
}

/** The fields of a record in their order, each with what its schema and its metadata say of it. */
export const describe = (fields: z.core.$ZodShape): DescribedField[] =>
  Object.entries(fields).map(([field, schema]) => {
    const layers = layersOf(schema);
    const meta = Object.assign(
      {},
      ...layers.map((layer) => fieldMeta.get(layer) ?? {}).reverse(),
    ) as FieldMeta;
    const innermost = layers.at(-1)!;
    return { ...meta, field, kind: kindOf(innermost, meta), codes: codesOf(innermost) };
  });

/** Name of a field as a column: areaM2 is area_m2, and what is kept as JSON ends by saying so. */
export const columnName = ({ field, kind }: Pick<DescribedField, 'field' | 'kind'>): string =>
  `${field.replace(/[A-Z]/g, (letter) => `_${letter.toLowerCase()}`)}${kind === 'json' ? '_json' : ''}`;
