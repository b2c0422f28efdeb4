import {
  CROP_LIBRARY,
  MATERIAL_LIBRARY,
  findLibraryCrop,
  findLibraryMaterial,
} from '../../core/ground/index.ts';
import { finding, refusal, type Finding } from '../../refusals/refusal.ts';
import type { AmountUnit } from '../../records/vocabulary.ts';
import type { UnitSystem } from '../../refusals/refusal.ts';
import {
  booleanCell,
  dateCell,
  figureAndRest,
  figureText,
  jsonCell,
  numberCell,
  type Cell,
  type CellStyle,
} from './cells.ts';
import { unitNamed, type Column, type ColumnUnit } from './column.ts';
import type { Table } from './garden-tables.ts';
import type { TableNames } from './table-names.ts';
import { nameKey, namedBy, nearestTo, type Named } from './name-match.ts';
import { amountUnitNamed } from './unit-words.ts';

const at = (record: unknown, field: string): unknown =>
  field
    .split('.')
    .reduce<unknown>((value, key) => (value as Record<string, unknown> | null | undefined)?.[key], record);

function nameOf(id: unknown, { kind }: Column, names: TableNames): string {
  if (typeof id !== 'string') return '';
  const named = (list: readonly Named[]) => list.find((one) => one.id === id)?.name ?? '';
  if (kind === 'bed') return named(names.beds);
  if (kind === 'lot') return named(names.lots);
  if (kind === 'crop') return named(names.crops) || (findLibraryCrop(id)?.name ?? '');
  return named(names.materials) || (findLibraryMaterial(id)?.name ?? '');
}

function cellText(value: unknown, column: Column, names: TableNames): string {
  if (column.isName) return nameOf(value, column, names);
  if (value === undefined || value === null) return '';
  if (column.kind === 'boolean') return value === true ? 'yes' : 'no';
  if (column.kind === 'json') return JSON.stringify(value);
  if (typeof value === 'number') return figureText(value);
  return typeof value === 'string' ? value : JSON.stringify(value);
}

/** Records of a table as a header and rows of text. */
export function tableCells(
  table: Table,
  records: readonly object[],
  names: TableNames,
): { readonly fields: string[]; readonly data: string[][] } {
  const rows = records
    .filter((record) => table.holds?.(record) ?? true)
    .map((record) => {
      const flat = table.unfold?.(record) ?? record;
      return table.columns.map((column) => cellText(at(flat, column.field), column, names));
    });
  return { fields: table.columns.map(({ header }) => header), data: rows };
}

/** Which column of a file goes where, and in which unit it is. */
export interface Mapping {
  /** By index in `table.columns`: index of the column in the file, or null when the file has none. */
  readonly columns: readonly (number | null)[];
  /** By index in `table.columns`; null for the unit that is kept. */
  readonly units: readonly (ColumnUnit | null)[];
  /** What `unit` is when no column says it. */
  readonly amountUnit: string | null;
  /** What a barrow and a bucket hold. */
  readonly system: UnitSystem;
  readonly style: CellStyle;
  /** What words of the file mean, by `placeKey`: placed by hand. */
  readonly values: Readonly<Record<string, string>>;
  /** By field: what every row has that the file does not say, such as the bed. */
  readonly everyRow: Readonly<Record<string, string>>;
}

export type NameKind = 'bed' | 'lot' | 'material' | 'crop';
const NAME_KINDS: ReadonlySet<string> = new Set(['bed', 'lot', 'material', 'crop'] satisfies NameKind[]);

/** Whether a column names something that a word of a file can be placed with. */
export const isNameColumn = ({ kind }: Column): boolean => NAME_KINDS.has(kind);

/** By what a word is known that was placed by hand: what it names, and how it is written, loosely. */
export const placeKey = (kind: string, text: string): string => `${kind} ${nameKey(text)}`;

type NamedLists = Readonly<Record<NameKind, readonly Named[]>>;
const lists = new WeakMap<TableNames, NamedLists>();

/** All that a word may name, own things first; the same list for the same names. */
export function namedList(kind: NameKind, names: TableNames): readonly Named[] {
  const own = lists.get(names) ?? {
    bed: names.beds,
    lot: names.lots,
    material: [...names.materials, ...MATERIAL_LIBRARY],
    crop: [...names.crops, ...CROP_LIBRARY],
  };
  lists.set(names, own);
  return own[kind];
}

const MOST_SUGGESTED = 3;

function idOf(text: string, { kind }: Column, { names, values }: Reading): Cell<string> {
  const what = kind as NameKind;
  const list = namedList(what, names);
  const placed = Object.keys(values).length > 0 ? values[placeKey(what, text)] : undefined;
  if (placed !== undefined && list.some(({ id }) => id === placed)) return { value: placed };
  const meant = namedBy(text, list);
  if (meant.length === 1) return { value: meant[0]!.id };
  if (meant.length > 1) return { trouble: refusal('severalNames', { text }) };
  const nearest = nearestTo(text, list)
    .slice(0, MOST_SUGGESTED)
    .map(({ name }) => name);
  return { trouble: refusal('noName', { what, text, nearest }) };
}

function codeOf(text: string, { codes = [], codeWord }: Column, system: UnitSystem): Cell<string> {
  const isSame = (code: string) => code.toLowerCase() === text.trim().toLowerCase();
  const known = codes.find(isSame) ?? codeWord?.(text, system);
  if (known !== undefined) return { value: known };
  const loose = (word: string) => word.toLowerCase().replace(/[\s_-]/g, '');
  const nearly = codes.filter((code) => loose(code) === loose(text));
  return nearly.length === 1
    ? { value: nearly[0]! }
    : { trouble: refusal('notOneOf', { allowed: codes, got: text }) };
}

/** How the cells of a file are read, and what its words mean. */
interface Reading {
  readonly names: TableNames;
  readonly style: CellStyle;
  readonly system: UnitSystem;
  readonly values: Mapping['values'];
}

/** A figure in the unit of its column, or in the unit that stands after it. */
function figureOf(
  text: string,
  { quantity }: Column,
  { unit, style }: { readonly unit: ColumnUnit | null; readonly style: CellStyle },
): Cell<number> {
  const own = quantity ? figureAndRest(text, style) : null;
  const ownUnit = own && quantity ? unitNamed(own.rest, quantity) : undefined;
  if (own && ownUnit) return { value: ownUnit.toKept(own.value) };
  const read = numberCell(text.replace(/%$/, ''), style);
  return 'value' in read && unit !== null ? { value: unit.toKept(read.value) } : read;
}

function readCell(
  text: string,
  column: Column,
  { unit, ...reading }: Reading & { readonly unit: ColumnUnit | null },
): Cell<unknown> {
  const { style } = reading;
  switch (column.kind) {
    case 'number':
      return figureOf(text, column, { unit, style });
    case 'date':
      return dateCell(text, style);
    case 'boolean':
      return booleanCell(text);
    case 'json':
      return jsonCell(text);
    case 'code':
      return codeOf(text, column, reading.system);
    case 'bed':
    case 'lot':
    case 'material':
    case 'crop':
      return idOf(text, column, reading);
    default:
      return { value: text.trim() };
  }
}

function setField(record: Record<string, unknown>, field: string, value: unknown): void {
  const [first = '', ...rest] = field.split('.');
  if (rest.length === 0) record[first] = value;
  else {
    const inner = (record[first] ?? {}) as Record<string, unknown>;
    record[first] = inner;
    setField(inner, rest.join('.'), value);
  }
}

/** A row of a file as the record it makes, with what keeps it from being one. */
export interface TableRow {
  readonly record: object;
  readonly reasons: readonly Finding[];
}

/** Fields of a kept record as a row gives them, so that columns a file lacks leave it as it is. */
function keptFlat(table: Table, kept: object | undefined): Record<string, unknown> {
  if (!kept) return {};
  const flat = table.unfold?.(kept) ?? kept;
  const record: Record<string, unknown> = {};
  for (const { field, isDerived } of table.columns) {
    const value = at(flat, field);
    if (!isDerived && value !== undefined) setField(record, field, structuredCopy(value));
  }
  return record;
}

const structuredCopy = (value: unknown): unknown => JSON.parse(JSON.stringify(value)) as unknown;

/** A figure that was written out and not changed is the one that is kept, to its last digit. */
const asKept = (read: unknown, kept: unknown): unknown =>
  typeof kept === 'number' && typeof read === 'number' && figureText(kept) === figureText(read) ? kept : read;

/** Reads one row. `kept` finds the record a row changes, by its id. */
export function readRow({
  table,
  cells,
  mapping,
  names,
  kept,
}: {
  readonly table: Table;
  readonly cells: readonly string[];
  readonly mapping: Mapping;
  readonly names: TableNames;
  readonly kept: (id: string) => object | undefined;
}): TableRow {
  const reasons: Finding[] = [];
  const cellOf = (i: number): string => {
    const index = mapping.columns[i];
    return index === null || index === undefined ? '' : (cells[index] ?? '').trim();
  };
  const idColumn = table.columns.findIndex(({ field }) => field === 'id');
  const id = idColumn < 0 ? '' : cellOf(idColumn);
  const old = id === '' ? undefined : kept(id);
  const record = keptFlat(table, old);
  const given = new Set<string>();
  table.columns.forEach((column, i) => {
    if (column.isDerived || given.has(column.field)) return;
    const text = cellOf(i);
    if (text === '') {
      if (mapping.columns[i] !== null && !column.isName) clear(record, column);
      return;
    }
    given.add(column.field);
    const withUnit = column.field === 'amount' ? amountWithUnit(text, mapping) : null;
    if (withUnit) {
      setField(record, 'amount', withUnit.amount);
      setField(record, 'unit', withUnit.unit);
      return;
    }
    const read = readCell(text, column, { ...mapping, names, unit: mapping.units[i] ?? null });
    if ('value' in read) setField(record, column.field, asKept(read.value, at(record, column.field)));
    else reasons.push(finding(read.trouble, column.header));
  });
  if (mapping.amountUnit !== null && at(record, 'amount') !== undefined && at(record, 'unit') === undefined) {
    setField(record, 'unit', mapping.amountUnit);
  }
  fill(record, mapping.everyRow);
  // What a kept record left open was left open on purpose.
  if (!old) fill(record, table.usual?.(record, names) ?? {});
  fill(record, Object.fromEntries(table.columns.map(({ field, empty }) => [field, empty])));
  const said = Object.fromEntries(Object.entries(record).filter(([, value]) => value !== undefined));
  return { record: table.fold?.(said) ?? said, reasons };
}

/** An amount whose cell says its unit too: "2 barrows"; null for any other. */
function amountWithUnit(
  text: string,
  { style, system }: Pick<Mapping, 'style' | 'system'>,
): { readonly amount: number; readonly unit: AmountUnit } | null {
  const read = figureAndRest(text, style);
  const unit = read && amountUnitNamed(read.rest.replace(/^of\b/, ''), system);
  return read && unit ? { amount: read.value, unit } : null;
}

/** Gives these values to the fields that a row leaves open. Mutates record. */
function fill(record: Record<string, unknown>, values: Readonly<Record<string, unknown>>): void {
  for (const [field, value] of Object.entries(values)) {
    if (value !== undefined && at(record, field) === undefined) setField(record, field, value);
  }
}

/** An empty cell empties what the record had. */
const clear = (record: Record<string, unknown>, { field }: Column): void => {
  if (at(record, field) !== undefined) setField(record, field, undefined);
};
