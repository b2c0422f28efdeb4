import type { z } from 'zod';
import { bedFields } from '../../records/bed.ts';
import { cropFields } from '../../records/crop.ts';
import { columnName, describe, type DescribedField } from '../../records/describe.ts';
import { entryFields } from '../../records/entry.ts';
import { date, note } from '../../records/fields.ts';
import { labResultFields } from '../../records/lab-result.ts';
import { lotFields } from '../../records/lot.ts';
import { chipsFields, figuresFields, materialFields } from '../../records/material.ts';
import { movementFields } from '../../records/movement.ts';
import { plantingFields } from '../../records/planting.ts';
import { weatherFields } from '../../records/weather.ts';
import type { CollectionName } from '../../records/collections.ts';
import type { Column } from './column.ts';
import {
  asEntry,
  asMovement,
  asObservation,
  hasMovementColumn,
  movementCells,
  observationCells,
} from './folded-records.ts';
import type { TableNames } from './table-names.ts';
import { entryTypeNamed, usualEntry, usualMovement, usualPlanting } from './usual-fields.ts';
import { amountUnitNamed } from './unit-words.ts';

/** A kind of record as rows and columns. */
export interface Table {
  readonly id: string;
  readonly title: string;
  readonly collection: CollectionName;
  readonly columns: readonly Column[];
  /** Only records of the collection that belong into this table. */
  readonly holds?: (record: object) => boolean;
  /** Where a record has more shapes than a row: flat for the row, and back. */
  readonly unfold?: (record: object) => object;
  readonly fold?: (flat: Record<string, unknown>) => object;
  /** What is usual where a new row says nothing. */
  readonly usual?: (flat: Record<string, unknown>, names: TableNames) => Record<string, unknown>;
}

const ID: Column = { field: 'id', header: 'id', kind: 'text' };

/** A record named by its id, or by what people call it. */
const named = (
  field: string,
  kind: 'bed' | 'material' | 'lot' | 'crop',
  also: readonly string[],
): readonly Column[] => [
  { field, header: `${kind}_id`, kind },
  { field, header: kind, kind, also, isName: true },
];
const BED = named('bedId', 'bed', ['plot', 'where', 'bed name']);

/** Where the field and the words of its name agree, the column is also accepted under the name. */
const isNamedAlike = (one: DescribedField): boolean => one.field === `${one.names ?? ''}Id`;

function columnsOfField(one: DescribedField, prefix: string): readonly Column[] {
  const { also, quantity, empty, isDerived, codes } = one;
  const field = `${prefix}${one.field}`;
  if (one.names && isNamedAlike(one)) return named(field, one.names, also ?? []);
  const known: Column = {
    field,
    header: one.header ?? columnName(one),
    kind: one.names ?? one.kind,
    ...(also ? { also } : {}),
    ...(quantity ? { quantity } : {}),
    ...(empty === undefined ? {} : { empty }),
    ...(isDerived ? { isDerived } : {}),
  };
  if (one.kind !== 'code') return [known];
  return [{ ...known, codes, ...(one.field === 'unit' ? { codeWord: amountUnitNamed } : {}) }];
}

/** Fields as columns, in their order; `prefix` leads to where they lie in the record. */
const columnsOf = (fields: z.core.$ZodShape, prefix = ''): Column[] =>
  describe(fields).flatMap((one) => columnsOfField(one, prefix));

/** Columns of records of several types in one table: each once, with the codes of all types that have it. */
function columnsOfTypes(types: readonly z.core.$ZodShape[], prefix = ''): Column[] {
  const byHeader = new Map<string, Column>();
  for (const column of types.flatMap((fields) => columnsOf(fields, prefix))) {
    const before = byHeader.get(column.header);
    const codes = [...new Set([...(before?.codes ?? []), ...(column.codes ?? [])])];
    byHeader.set(column.header, { ...(before ?? column), ...(codes.length > 0 ? { codes } : {}) });
  }
  return [...byHeader.values()];
}

/** Columns in another order than the fields have: these first, those last. */
function arranged(
  columns: readonly Column[],
  first: readonly string[],
  last: readonly string[] = ['note'],
): Column[] {
  const at = (header: string) => columns.filter((column) => column.header === header);
  const moved = new Set([...first, ...last]);
  return [...first.flatMap(at), ...columns.filter(({ header }) => !moved.has(header)), ...last.flatMap(at)];
}

const kindIs = (kind: string) => (record: object) => (record as { kind?: unknown }).kind === kind;
const AS_TYPED = { also: ['act', 'action', 'what was done'], empty: 'lay', codeWord: entryTypeNamed };
const typeColumn = (columns: readonly Column[], more: Partial<Column>): Column[] =>
  columns.map((column) => (column.field === 'type' ? { ...column, ...more } : column));

const ENTRY_COLUMNS = typeColumn(columnsOfTypes(Object.values(entryFields)), AS_TYPED);
const MOVEMENT_COLUMNS = arranged(
  typeColumn(columnsOfTypes(Object.values(movementFields)), { empty: 'receive' }),
  ['lot_id', 'lot', 'type', 'state', 'date', 'material_id', 'material'],
  ['temperature_c', 'water_l', 'note'],
).filter(({ field }) => hasMovementColumn(field));
const MATERIAL_BASIS = columnsOfTypes([figuresFields, chipsFields], 'basis.').map((column) =>
  column.field === 'basis.type'
    ? { ...column, header: 'basis', codes: ['chips', 'figures'], empty: 'figures' }
    : column,
);

export const GARDEN_TABLES: readonly Table[] = [
  { id: 'beds', title: 'Beds', collection: 'beds', columns: [ID, ...columnsOf(bedFields)] },
  {
    id: 'entries',
    title: 'Entries: laid, dug, fed, tested, watered',
    collection: 'entries',
    columns: [ID, ...BED, ...arranged(ENTRY_COLUMNS, ['type', 'state', 'date'])],
    fold: asEntry,
    usual: usualEntry,
  },
  {
    id: 'plantings',
    title: 'Plantings',
    collection: 'plantings',
    columns: [ID, ...BED, ...columnsOf(plantingFields)],
    usual: usualPlanting,
  },
  {
    id: 'observations',
    title: 'Observations',
    collection: 'journal',
    holds: kindIs('observation'),
    columns: [
      ID,
      ...columnsOf({ date }),
      ...BED,
      { field: 'type', header: 'type', kind: 'text', also: ['observed', 'observation', 'what'] },
      { field: 'value', header: 'value', kind: 'text', also: ['reading', 'result', 'figure'], empty: '' },
      { field: 'layerId', header: 'layer_id', kind: 'text', empty: null },
      { field: 'beganOn', header: 'began_on', kind: 'date', empty: null },
      { field: 'plantingId', header: 'planting_id', kind: 'text', empty: null },
      { field: 'photoId', header: 'photo_id', kind: 'text', empty: null },
      { field: 'morePhotoIds', header: 'more_photo_ids', kind: 'text' },
      ...columnsOf({ note }),
    ],
    unfold: observationCells,
    fold: asObservation,
  },
  { id: 'weather', title: 'Weather', collection: 'weather', columns: columnsOf(weatherFields) },
  {
    id: 'lab-results',
    title: 'Laboratory results of materials',
    collection: 'labResults',
    columns: [ID, ...columnsOf(labResultFields)],
  },
  {
    id: 'materials',
    title: 'Materials of your own',
    collection: 'materials',
    columns: [ID, ...columnsOf({ name: materialFields.name }), ...MATERIAL_BASIS, ...columnsOf({ note })],
  },
  {
    id: 'crops',
    title: 'Crops of your own',
    collection: 'crops',
    columns: [ID, ...columnsOf(cropFields)],
  },
  { id: 'lots', title: 'Stock: piles and bags', collection: 'lots', columns: [ID, ...columnsOf(lotFields)] },
  {
    id: 'stock-postings',
    title: 'Stock: what came and went',
    collection: 'movements',
    columns: [
      ID,
      ...MOVEMENT_COLUMNS,
      { field: 'details', header: 'details_json', kind: 'json' },
      ...columnsOf({ note }),
    ],
    unfold: movementCells,
    fold: asMovement,
    usual: usualMovement,
  },
];

export const findTable = (id: string): Table | undefined => GARDEN_TABLES.find((table) => table.id === id);
