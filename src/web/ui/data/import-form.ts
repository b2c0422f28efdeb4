import { asWritten } from '../../../contract/tables/csv.ts';
import { refusalSentence, describeProblem } from '../../../words/refusal-words.ts';
import Papa from 'papaparse';
import type { GardenBooks } from '../../../contract/garden-books.ts';
import { GARDEN_FILE_FORMAT } from '../../../contract/garden-file-format.ts';
import type { ImportReport, ImportRow } from '../../../contract/imports.ts';
import type { DateOrder } from '../../../contract/tables/cells.ts';
import { findTable, GARDEN_TABLES, type Table } from '../../../contract/tables/garden-tables.ts';
import { likelyTable, recognize } from '../../../contract/tables/recognize.ts';
import { readRow, type Mapping, type TableRow } from '../../../contract/tables/table-rows.ts';

/** What was handed in, by its looks. */
export type FileKind = 'garden' | 'outlines' | 'table' | 'nothing';

export function kindOf(text: string): FileKind {
  const trimmed = text.trim();
  if (trimmed === '') return 'nothing';
  if (!trimmed.startsWith('{')) return 'table';
  return trimmed.slice(0, 200).includes(GARDEN_FILE_FORMAT) ? 'garden' : 'outlines';
}

export const SEPARATORS = [',', ';', '\t', '|'] as const;
export type Separator = (typeof SEPARATORS)[number];

/** A table as it is being understood; every part of it can be put right by hand. */
export interface Sheet {
  readonly separator: Separator;
  readonly headers: readonly string[];
  readonly rows: readonly (readonly string[])[];
  readonly table: Table;
  readonly mapping: Mapping;
  readonly dateOrders: readonly DateOrder[];
  /** Days and months look alike, and nobody has said yet which is which. */
  readonly isDateOrderOpen: boolean;
}

interface Told {
  readonly separator?: Separator;
  readonly tableId?: string;
}

/** A first reading of a table; what the gardener states replaces what was guessed. */
export function sheetOf(text: string, { separator, tableId }: Told = {}): Sheet {
  const parsed = Papa.parse<string[]>(text.replace(/^\ufeff/, '').trim(), {
    skipEmptyLines: 'greedy',
    delimiter: separator ?? '',
    delimitersToGuess: [...SEPARATORS],
    transform: asWritten,
  });
  const [headers = [], ...rows] = parsed.data;
  const table =
    (tableId === undefined ? undefined : findTable(tableId)) ?? likelyTable(GARDEN_TABLES, headers);
  const { mapping, dateOrders } = recognize(table, headers, rows);
  return {
    separator: parsed.meta.delimiter as Separator,
    headers,
    rows,
    table,
    mapping,
    dateOrders,
    isDateOrderOpen: dateOrders.length > 1 && !dateOrders.includes('ymd'),
  };
}

export const withMapping = (sheet: Sheet, change: Partial<Mapping>): Sheet => ({
  ...sheet,
  mapping: { ...sheet.mapping, ...change },
});

export const withStyle = (sheet: Sheet, style: Partial<Mapping['style']>): Sheet => ({
  ...withMapping(sheet, { style: { ...sheet.mapping.style, ...style } }),
  isDateOrderOpen: style.dateOrder === undefined && sheet.isDateOrderOpen,
});

export const replacedAt = <Value>(list: readonly Value[], index: number, value: Value): Value[] =>
  list.map((one, i) => (i === index ? value : one));

/** Amounts without a unit of their own need one for all of them. */
export function needsAmountUnit({ table, mapping }: Sheet): boolean {
  const at = (field: string) =>
    mapping.columns[table.columns.findIndex((column) => column.field === field)] ?? null;
  return at('amount') !== null && at('unit') === null;
}

/** Every row as the record it makes, changes laid over what is kept. */
export function readSheet({ table, rows, mapping }: Sheet, books: GardenBooks): TableRow[] {
  const list: readonly object[] = books[table.collection];
  const kept = new Map(list.map((record) => ['id' in record ? record.id : undefined, record]));
  return rows.map((row) => readRow({ table, cells: row, mapping, names: books, kept: (id) => kept.get(id) }));
}

/** What would become of one row, in the words of the file. */
export interface JudgedRow {
  /** Row of the file, the header being the first; null for what is about no row. */
  readonly line: number | null;
  readonly name: string;
  readonly outcome: ImportRow['outcome'];
  readonly details: readonly { readonly column: string; readonly sentence: string }[];
}

/** Field of a record as the column it stands in. */
const columnOf = (field: string, table: Table | undefined): string =>
  table?.columns.find((one) => one.field === field)?.header ?? field;

/** What the app itself could not read of a table. */
export const unreadRows = (read: readonly TableRow[]): JudgedRow[] =>
  read.flatMap(({ reasons }, i) =>
    reasons.length === 0
      ? []
      : [
          {
            line: i + 2,
            name: '',
            outcome: 'rejected' as const,
            details: reasons.map((found) => ({
              column: found.at.field,
              sentence: refusalSentence(found.at.field, found),
            })),
          },
        ],
  );

/** A report row by row; `lines` gives the row of the file for each record that was sent. */
export function judgedRows(
  report: ImportReport,
  table: Table | undefined,
  lines: readonly number[] | null,
): JudgedRow[] {
  return report.rows.map((row) => ({
    line: lines === null || row.index < 0 ? null : (lines[row.index] ?? null),
    name: row.title,
    outcome: row.outcome,
    details:
      row.outcome === 'changed'
        ? row.fields.map((field) => ({
            column: columnOf(field, table),
            sentence: 'is another',
          }))
        : row.reasons.map((reason) => {
            const column = columnOf(reason.field, table);
            return { column, sentence: table ? describeProblem(column, reason) : reason.sentence };
          }),
  }));
}

const RANK: Readonly<Record<ImportRow['outcome'], number>> = { rejected: 0, changed: 1, added: 2, same: 3 };
/** What must be seen to first. */
export const worstFirst = (rows: readonly JudgedRow[]): JudgedRow[] =>
  [...rows].sort((a, b) => RANK[a.outcome] - RANK[b.outcome] || (a.line ?? 0) - (b.line ?? 0));
