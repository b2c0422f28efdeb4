import {
  CROP_LIBRARY,
  MATERIAL_LIBRARY,
  findLibraryCrop,
  findLibraryMaterial,
} from '../../core/ground/index.ts';
import { finding, refusal, type Finding } from '../../refusals/refusal.ts';
import { booleanCell, dateCell, jsonCell, numberCell, type Cell, type CellStyle } from './cells.ts';
import type { Column, ColumnUnit } from './column.ts';
import type { Table } from './garden-tables.ts';

interface Named {
  readonly id: string;
  readonly name: string;
  /** What else it is called. */
  readonly synonyms?: readonly string[];
}

/** What names in cells may mean. */
export interface TableNames {
  readonly beds: readonly Named[];
  readonly lots: readonly Named[];
  readonly materials: readonly Named[];
  readonly crops: readonly Named[];
}

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
  return typeof value === 'number' || typeof value === 'string' ? String(value) : JSON.stringify(value);
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
  readonly style: CellStyle;
}

const same = (a: string, b: string): boolean => a.trim().toLowerCase() === b.trim().toLowerCase();

const MOST_SUGGESTED = 3;
const wordsOf = (text: string): string[] => text.toLowerCase().match(/[\p{L}\d]{3,}/gu) ?? [];

/** Names that share the most words with what stands there; none when none shares any. */
function nearestIn(text: string, list: readonly Named[]): string[] {
  const asked = wordsOf(text);
  const shared = list.map(({ name }) => {
    const words = wordsOf(name);
    return { name, count: asked.filter((word) => words.includes(word)).length };
  });
  const most = Math.max(0, ...shared.map(({ count }) => count));
  if (most === 0) return [];
  const nearest = shared.filter(({ count }) => count === most).slice(0, MOST_SUGGESTED);
  return nearest.map(({ name }) => name);
}

function idOf(text: string, column: Column, names: TableNames): Cell<string> {
  const lists = {
    bed: names.beds,
    lot: names.lots,
    material: [...names.materials, ...MATERIAL_LIBRARY],
    crop: [...names.crops, ...CROP_LIBRARY],
  };
  const list: readonly Named[] = lists[column.kind as keyof typeof lists];
  const byId = list.find(({ id }) => id === text.trim());
  if (byId) return { value: byId.id };
  const ofThatName = list.filter(({ name }) => same(name, text));
  const calledSo = list.filter(({ synonyms = [] }) => synonyms.some((one) => same(one, text)));
  const byName = ofThatName.length > 0 ? ofThatName : calledSo;
  if (byName.length === 1) return { value: byName[0]!.id };
  return {
    trouble:
      byName.length > 1
        ? refusal('severalNames', { text })
        : refusal('noName', {
            what: column.kind as keyof typeof lists,
            text,
            nearest: nearestIn(text, list),
          }),
  };
}

function codeOf(text: string, { codes = [], codeWords }: Column): Cell<string> {
  const known = codes.find((code) => same(code, text)) ?? codeWords?.get(text.trim().toLowerCase());
  if (known !== undefined) return { value: known };
  const loose = (word: string) => word.toLowerCase().replace(/[\s_-]/g, '');
  const nearly = codes.filter((code) => loose(code) === loose(text));
  return nearly.length === 1
    ? { value: nearly[0]! }
    : { trouble: refusal('notOneOf', { allowed: codes, got: text }) };
}

function readCell({
  text,
  column,
  unit,
  names,
  style,
}: {
  readonly text: string;
  readonly column: Column;
  readonly unit: ColumnUnit | null;
  readonly names: TableNames;
  readonly style: CellStyle;
}): Cell<unknown> {
  switch (column.kind) {
    case 'number': {
      const read = numberCell(text.replace(/%$/, ''), style);
      return 'value' in read && unit !== null ? { value: unit.toKept(read.value) } : read;
    }
    case 'date':
      return dateCell(text, style);
    case 'boolean':
      return booleanCell(text);
    case 'json':
      return jsonCell(text);
    case 'code':
      return codeOf(text, column);
    case 'bed':
    case 'lot':
    case 'material':
    case 'crop':
      return idOf(text, column, names);
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
  const record = keptFlat(table, id === '' ? undefined : kept(id));
  const given = new Set<string>();
  table.columns.forEach((column, i) => {
    if (column.isDerived || given.has(column.field)) return;
    const text = cellOf(i);
    if (text === '') {
      if (mapping.columns[i] !== null && !column.isName) clear(record, column);
      return;
    }
    const read = readCell({ text, column, unit: mapping.units[i] ?? null, names, style: mapping.style });
    given.add(column.field);
    if ('value' in read) setField(record, column.field, read.value);
    else reasons.push(finding(read.trouble, column.header));
  });
  if (mapping.amountUnit !== null && at(record, 'amount') !== undefined && at(record, 'unit') === undefined) {
    setField(record, 'unit', mapping.amountUnit);
  }
  for (const { field, empty } of table.columns) {
    if (empty !== undefined && at(record, field) === undefined) setField(record, field, empty);
  }
  const said = Object.fromEntries(Object.entries(record).filter(([, value]) => value !== undefined));
  return { record: table.fold?.(said) ?? said, reasons };
}

/** An empty cell empties what the record had. */
const clear = (record: Record<string, unknown>, { field }: Column): void => {
  if (at(record, field) !== undefined) setField(record, field, undefined);
};
