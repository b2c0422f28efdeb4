import type { UnitSystem } from '../../refusals/refusal.ts';
import type { AmountUnit } from '../../records/vocabulary.ts';
import { DATE_ORDERS, dateCell, numberCell, type CellStyle, type DateOrder } from './cells.ts';
import { unitNamed, unitsOf, type Column, type ColumnUnit } from './column.ts';
import type { Table } from './garden-tables.ts';
import type { Mapping } from './table-rows.ts';
import { nameKey } from './name-match.ts';
import { AMOUNT_UNIT_WORDS, amountUnitNamed } from './unit-words.ts';

/** A header without its unit, and the unit: "Depth (in)" is depth and in. */
function partsOf(header: string): { readonly name: string; readonly unit: string } {
  const text = header.trim().toLowerCase().replaceAll('_', ' ');
  const bracketed = /^(.*?)\s*[([]\s*([^)\]]+?)\s*[)\]]\s*$/.exec(text);
  if (bracketed) return { name: bracketed[1]!.trim(), unit: bracketed[2]! };
  const after = /^(.*?)\s*,\s*([^,]+)$/.exec(text);
  return after ? { name: after[1]!.trim(), unit: after[2]! } : { name: text, unit: '' };
}

/** Where a header may name its unit: set apart, or as its last word. */
function unitTextsOf(header: string): readonly [apart: string, lastWord: string] {
  const { name, unit } = partsOf(header);
  return [unit, name.split(' ').at(-1) ?? ''];
}

/** The unit a header names for a column; null when it names none that we know. */
export function unitIn(header: string, { quantity }: Column): ColumnUnit | null {
  if (!quantity) return null;
  const [unit, lastWord] = unitTextsOf(header);
  return unitNamed(unit, quantity) ?? unitNamed(lastWord, quantity) ?? null;
}

/** The unit a header names for the amounts below it: "Amount (kg)", "how much lb"; null when it names none. */
function amountUnitIn(header: string, system: UnitSystem): AmountUnit | null {
  const [unit, lastWord] = unitTextsOf(header);
  return amountUnitNamed(unit, system) ?? amountUnitNamed(lastWord, system) ?? null;
}

/** Words a header of the column may end with to say its unit. */
function unitWordsOf({ field, quantity }: Column): readonly string[] {
  if (field === 'amount') return AMOUNT_UNIT_WORDS.flatMap((word) => [word, `${word}s`]);
  const words = quantity ? unitsOf(quantity).flatMap(({ name, also }) => [name.toLowerCase(), ...also]) : [];
  return words.flatMap((word) => [word, `${word}s`]);
}

/** How well a header fits a column: our own word best, then what else it is called, with or without its unit. */
function fit(header: string, column: Column): number {
  const text = header.trim().toLowerCase();
  if (text === column.header) return 3;
  const { name } = partsOf(header);
  const own = column.header.replaceAll('_', ' ');
  if (name === own) return 3;
  const words = [own, ...(column.also ?? [])];
  if (words.includes(name) || words.some((word) => nameKey(word) === nameKey(name))) return 2;
  // "kg" above a column of figures is its amount.
  if (column.field === 'amount' && amountUnitNamed(name, 'metric') !== undefined) return 1;
  const unit = unitWordsOf(column).find((word) => name.endsWith(` ${word}`));
  const withoutUnit = unit === undefined ? name : name.slice(0, -unit.length - 1);
  return words.includes(withoutUnit) || own.startsWith(`${withoutUnit} `) ? 1 : 0;
}

/** Which column of the file goes where: every one once, the best fit first. */
export function mapColumns(table: Table, headers: readonly string[]): (number | null)[] {
  const fits = table.columns
    .flatMap((column, to) =>
      headers.map((header, from) => ({ to, from, score: column.isDerived ? 0 : fit(header, column) })),
    )
    .filter(({ score }) => score > 0)
    .sort((a, b) => b.score - a.score || a.to - b.to);
  const mapped = table.columns.map((): number | null => null);
  const used = new Set<number>();
  for (const { to, from } of fits) {
    if (mapped[to] !== null || used.has(from)) continue;
    mapped[to] = from;
    used.add(from);
  }
  return mapped;
}

/** Decimal sign of these cells: a comma when figures with one are no figures otherwise. */
export function decimalIn(cells: readonly string[]): CellStyle['decimal'] {
  const score = (decimal: CellStyle['decimal']) =>
    cells.filter((text) => 'value' in numberCell(text, { decimal })).length;
  const decimals = cells.filter((text) => /^\s*[+-]?\d+,\d{1,2}\s*$/.test(text)).length;
  const [comma, point] = [score(','), score('.')];
  return comma > point || (comma === point && decimals > 0) ? ',' : '.';
}

const datesAmong = (cells: readonly string[], dateOrder: DateOrder): number =>
  cells.filter((text) => 'value' in dateCell(text, { dateOrder })).length;

/**
 * The orders of day, month and year in which most of these cells are dates: one that is none in any order, such as 31.02.,
 * does not speak against the others. Several when the cells leave it open.
 */
export function dateOrdersIn(cells: readonly string[]): DateOrder[] {
  const dates = cells.filter((text) => text.trim() !== '');
  const counts = DATE_ORDERS.map((dateOrder) => datesAmong(dates, dateOrder));
  const most = Math.max(...counts);
  if (most === 0 && dates.length > 0) return ['ymd'];
  return DATE_ORDERS.filter((_, i) => counts[i] === most);
}

/** What stands in one column, empty cells left out. */
const cellsAt = (rows: readonly (readonly string[])[], from: number): string[] =>
  rows.map((row) => row[from] ?? '').filter((text) => text.trim() !== '');

/** A column is one of dates when this share of its cells are. */
const MOSTLY = 0.8;
const areDates = (cells: readonly string[]): boolean =>
  cells.length > 0 && DATE_ORDERS.some((dateOrder) => datesAmong(cells, dateOrder) >= MOSTLY * cells.length);

/** The header of a sheet and its rows: all that is looked at to recognize it. */
export interface HeadedRows {
  readonly headers: readonly string[];
  readonly rows: readonly (readonly string[])[];
}

export interface Recognized {
  readonly mapping: Mapping;
  /** More than one when days and months could be either: the gardener says which. */
  readonly dateOrders: readonly DateOrder[];
}

/** A first reading of a file with a header row: columns, units, decimal sign, order of dates. All of it can be changed. */
export function recognize(table: Table, { headers, rows }: HeadedRows, system: UnitSystem): Recognized {
  const columns = mapColumns(table, headers);
  const cellsOf = (kind: Column['kind']) =>
    table.columns.flatMap((column, i) => {
      const from = columns[i];
      return column.kind === kind && from !== null && from !== undefined ? cellsAt(rows, from) : [];
    });
  const dates = cellsOf('date');
  const numbers = cellsOf('number');
  // Columns that nobody has placed yet show how the file is written all the same.
  const all = headers.map((_, i) => cellsAt(rows, i));
  const dateOrders = dateOrdersIn(dates.length > 0 ? dates : all.filter(areDates).flat());
  const amountAt = columns[table.columns.findIndex(({ field }) => field === 'amount')] ?? null;
  return {
    mapping: {
      columns,
      units: table.columns.map((column, i) => {
        const from = columns[i];
        return from === null || from === undefined ? null : unitIn(headers[from] ?? '', column);
      }),
      amountUnit: amountAt === null ? null : amountUnitIn(headers[amountAt] ?? '', system),
      system,
      values: {},
      everyRow: {},
      style: {
        decimal: decimalIn(numbers.length > 0 ? numbers : all.filter((cells) => !areDates(cells)).flat()),
        dateOrder: dateOrders[0]!,
      },
    },
    dateOrders,
  };
}

/** The table a file most likely is: the first of those whose columns its headers fit best. */
export function likelyTable(tables: readonly Table[], headers: readonly string[]): Table {
  const score = (table: Table) => mapColumns(table, headers).filter((one) => one !== null).length;
  return tables.reduce((best, table) => (score(table) > score(best) ? table : best));
}
