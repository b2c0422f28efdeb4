import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { z } from 'zod';
import { bedFields } from '../../../records/bed.ts';
import { entryFields } from '../../../records/entry.ts';
import { fieldMeta } from '../../../records/fields.ts';
import { labResultFields } from '../../../records/lab-result.ts';
import { chipsFields, figuresFields } from '../../../records/material.ts';
import { movementFields } from '../../../records/movement.ts';
import { plantingFields } from '../../../records/planting.ts';
import { askedOf } from './asked-of.ts';
import { quantityTrouble } from './troubles.ts';
import { NOTHING_TYPED, readerOf, readQuantity, retyped } from './typed-quantity.ts';

/** Twenty things that people, pasted tables and slips of the finger put into a field. */
const STRANGE = [
  'plenty',
  '--5',
  '1.2.3.4',
  '5 5 5',
  '1/0',
  '0x10',
  'Infinity',
  'NaN',
  '1e999',
  '٣',
  '五',
  '5 furlongs',
  '5 kg 5 °C',
  'x 4',
  '4 x',
  '4 x 5 x 6',
  '=A1+B1',
  '<b>5</b>',
  "5'; DROP TABLE beds;--",
  '💩',
];

type Fields = Readonly<Record<string, z.ZodType>>;
const DECLARED: readonly Fields[] = [
  bedFields,
  plantingFields,
  ...(Object.values(entryFields) as unknown as Fields[]),
  figuresFields,
  chipsFields,
  labResultFields,
  ...(Object.values(movementFields) as unknown as Fields[]),
];
const MEASURED = DECLARED.flatMap((fields) =>
  Object.entries(fields).filter(([, schema]) => fieldMeta.get(schema)?.quantity !== undefined),
);

describe('a field with a unit', () => {
  it('is declared more than once, so that there is something to try', () => {
    expect(MEASURED.length).toBeGreaterThan(15);
  });

  it.each(MEASURED.map(([field, schema]) => [field, schema] as const))(
    '%s says in words what is wrong with twenty strange strings, in both systems',
    (field, schema) => {
      const asked = askedOf(schema);
      for (const system of ['metric', 'customary'] as const) {
        for (const text of STRANGE) {
          const read = readQuantity(retyped(NOTHING_TYPED, text), asked, readerOf(system));
          expect(read.ok, `${field}: ${text}`).toBe(false);
          const trouble = quantityTrouble(read, field)!;
          expect(trouble).toMatch(/^[A-Z\p{L}].*[.?]$/su);
          expect(trouble).not.toMatch(/undefined|\bfunction\b|\[object/);
        }
      }
    },
  );

  it.each(MEASURED.map(([field, schema]) => [field, schema] as const))(
    '%s takes what lies within its bounds, or says why not, whatever is typed',
    (_, schema) => {
      const asked = askedOf(schema);
      // Round figures are where bounds lie.
      const typed = fc.oneof(
        fc.string({ maxLength: 30 }),
        fc.constantFrom('0', '1', '10', '60', '95', '99.9', '100', '200', '1000', '-1', '-60'),
      );
      fc.assert(
        fc.property(typed, fc.constantFrom('metric', 'customary'), (text, system) => {
          const read = readQuantity(retyped(NOTHING_TYPED, text), asked, readerOf(system));
          if (!read.ok) expect(quantityTrouble(read)).toMatch(/\S/);
          else if (read.value !== null) {
            expect(schema.safeParse(read.value).success).toBe(true);
          }
        }),
        { numRuns: 60 },
      );
    },
  );
});
