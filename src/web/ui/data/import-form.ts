import { asWritten } from '../../../contract/tables/csv.ts';
import { refusalSentence, describeProblem } from '../../../words/refusal-words.ts';
import Papa from 'papaparse';
import type { GardenBooks } from '../../../contract/garden-books.ts';
import { GARDEN_FILE_FORMAT } from '../../../contract/garden-file-format.ts';
import type { ImportReport, ImportRow } from '../../../contract/imports.ts';
import { numberCell, type DateOrder } from '../../../contract/tables/cells.ts';
import { findTable, GARDEN_TABLES, type Table } from '../../../contract/tables/garden-tables.ts';
import type { Column } from '../../../contract/tables/column.ts';
import { namedBy, nearestTo } from '../../../contract/tables/name-match.ts';
import { likelyTable, recognize } from '../../../contract/tables/recognize.ts';
import { sheetParts, type Grid, type SheetParts } from '../../../contract/tables/sheet-parts.ts';
import {
  isNameColumn,
  namedList,
  placeKey,
  readRow,
  type Mapping,
  type NameKind,
  type TableRow,
} from '../../../contract/tables/table-rows.ts';

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
  readonly grid: Grid;
  readonly parts: SheetParts;
  readonly table: Table;
  readonly mapping: Mapping;
  readonly dateOrders: readonly DateOrder[];
  /** Days and months look alike, and nobody has said yet which is which. */
  readonly isDateOrderOpen: boolean;
}

/** Text out of a file or the clipboard as lines of cells. */
export function gridOf(text: string, separator?: Separator): { grid: Grid; separator: Separator } {
  const parsed = Papa.parse<string[]>(text.replace(/^\ufeff/, '').trim(), {
    delimiter: separator ?? '',
    delimitersToGuess: [...SEPARATORS],
    transform: asWritten,
  });
  return { grid: parsed.data, separator: parsed.meta.delimiter as Separator };
}

/** A first reading of a table; what was told replaces what was guessed. */
export function sheetOf(grid: Grid, books: Pick<GardenBooks, 'garden'>, tableId?: string): Sheet {
  const asked = tableId === undefined ? undefined : findTable(tableId);
  const parts = sheetParts(grid, asked ? [asked] : GARDEN_TABLES);
  const table = asked ?? likelyTable(GARDEN_TABLES, parts.headers);
  const { mapping, dateOrders } = recognize(table, parts, books.garden.measures);
  return {
    grid,
    parts,
    table,
    mapping,
    dateOrders,
    isDateOrderOpen: dateOrders.length > 1 && !dateOrders.includes('ymd'),
  };
}

/** The same with one cell written anew, and everything else as it was put right. */
export function withCell(sheet: Sheet, { row, column, text }: CellAt & { readonly text: string }): Sheet {
  const rows = sheet.parts.rows.map((cells, i) =>
    i === row
      ? Array.from({ length: Math.max(cells.length, column + 1) }, (_, c) =>
          c === column ? text : (cells[c] ?? ''),
        )
      : cells,
  );
  return { ...sheet, parts: { ...sheet.parts, rows } };
}

/** A cell by its place among the rows and the columns of the file, from 0. */
export interface CellAt {
  readonly row: number;
  readonly column: number;
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

/** Column of the file in which a field stands; null when in none. */
export const fileColumn = ({ table, mapping }: Sheet, isMeant: (column: Column) => boolean): number | null =>
  mapping.columns.find((from, i) => from !== null && isMeant(table.columns[i]!)) ?? null;

/** Plain figures without a unit of their own need one for all of them. */
export function needsAmountUnit(sheet: Sheet): boolean {
  const amountAt = fileColumn(sheet, ({ field }) => field === 'amount');
  if (amountAt === null || fileColumn(sheet, ({ field }) => field === 'unit') !== null) return false;
  return sheet.parts.rows.some((row) => 'value' in numberCell(row[amountAt] ?? '', sheet.mapping.style));
}

/** What every record of the table belongs to, when the file does not say to which. */
export const ownerMissing = (sheet: Sheet): Column | null => {
  const owner = sheet.table.columns.find(
    ({ field, isName, empty }) =>
      (field === 'bedId' || field === 'lotId') && isName === true && empty === undefined,
  );
  if (!owner) return null;
  const isSaid = fileColumn(sheet, ({ field }) => field === owner.field) !== null;
  return isSaid ? null : owner;
};

/** Every row as the record it makes, changes laid over what is kept. */
export function readSheet({ table, parts, mapping }: Sheet, books: GardenBooks): TableRow[] {
  const list: readonly object[] = books[table.collection];
  const kept = new Map(list.map((record) => ['id' in record ? record.id : undefined, record]));
  return parts.rows.map((row) =>
    readRow({ table, cells: row, mapping, names: books, kept: (id) => kept.get(id) }),
  );
}

/** A word of the file that names nothing of ours, with what it may be meant for. */
export interface OpenName {
  readonly kind: NameKind;
  readonly text: string;
  readonly rows: number;
  readonly nearest: readonly string[];
}

/** The words to be placed by hand, each once, the most frequent first. */
export function openNames({ table, parts, mapping }: Sheet, books: GardenBooks): OpenName[] {
  const found = new Map<string, OpenName>();
  table.columns.forEach((column, i) => {
    const from = mapping.columns[i];
    if (from === null || from === undefined || !isNameColumn(column)) return;
    const kind = column.kind as NameKind;
    const list = namedList(kind, books);
    for (const row of parts.rows) {
      const text = (row[from] ?? '').trim();
      if (text === '' || namedBy(text, list).length === 1) continue;
      const key = placeKey(kind, text);
      const known = found.get(key);
      const nearest =
        known?.nearest ??
        nearestTo(text, list)
          .slice(0, MOST_OFFERED)
          .map(({ id }) => id);
      found.set(key, { kind, text: known?.text ?? text, rows: (known?.rows ?? 0) + 1, nearest });
    }
  });
  return [...found.values()].toSorted((a, b) => b.rows - a.rows);
}
const MOST_OFFERED = 5;

/** What would become of one row, in the words of the file. */
export interface JudgedRow {
  /** Line of the file, counted from 1; null for what is about no line. */
  readonly line: number | null;
  readonly name: string;
  readonly outcome: ImportRow['outcome'];
  readonly details: readonly { readonly column: string; readonly sentence: string }[];
}

/** Field of a record as the column it stands in. */
const columnOf = (field: string, table: Table | undefined): string =>
  table?.columns.find((one) => one.field === field)?.header ?? field;

/** What the app itself could not read of a table. */
export const unreadRows = (read: readonly TableRow[], { lines }: Pick<SheetParts, 'lines'>): JudgedRow[] =>
  read.flatMap(({ reasons }, i) =>
    reasons.length === 0
      ? []
      : [
          {
            line: lines[i]!,
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
