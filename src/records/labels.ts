import type { z } from 'zod';
import { bedFields } from './bed.ts';
import { cropFields } from './crop.ts';
import { describe } from './describe.ts';
import { entryFields } from './entry.ts';
import type { FieldQuantity } from './fields.ts';
import { gardenFields } from './garden.ts';
import { recurringFields } from './habit.ts';
import { lotFields } from './lot.ts';
import { movementFields } from './movement.ts';
import { plantingFields } from './planting.ts';

const LABELED: readonly z.core.$ZodShape[] = [
  gardenFields,
  bedFields,
  plantingFields,
  cropFields,
  lotFields,
  recurringFields,
  ...Object.values(entryFields),
  ...Object.values(movementFields),
];

/** The quantity a field holds, by its name. */
export const QUANTITY_OF_FIELD: ReadonlyMap<string, FieldQuantity> = new Map(
  LABELED.flatMap(describe).flatMap(({ field, quantity }) => (quantity ? [[field, quantity]] : [])),
);

/** What fields are called in messages, where the words of their names do not do. */
export const FIELD_LABELS: ReadonlyMap<string, string> = new Map(
  LABELED.flatMap(describe).flatMap(({ field, label }) => (label === undefined ? [] : [[field, label]])),
);
