import { QUANTITIES, writtenPlainly } from '../../quantities/units.ts';
import { numberCell } from './cells.ts';
import type { Table } from './garden-tables.ts';
import { mapColumns, type HeadedRows } from './recognize.ts';
import { amountUnitNamed } from './unit-words.ts';

export type Grid = readonly (readonly string[])[];

/** A line of a file that is none of its rows: a title, a sum, a note. */
export interface SkippedLine {
  /** Counted from 1. */
  readonly line: number;
  readonly text: string;
}

/** What is the header of a sheet, what its rows, and what neither. */
export interface SheetParts extends HeadedRows {
  /** The line of the file each row stands in, counted from 1. */
  readonly lines: readonly number[];
  readonly skipped: readonly SkippedLine[];
}

/** A header stands among the first lines. */
const MOST_TITLE_LINES = 20;
const SUMS = /^(grand |sub)?(total|sum|average|mean|gesamt|summe|somme|totale|suma|média|media)s?\b/i;

const filled = (row: readonly string[]): string[] => row.filter((cell) => cell.trim() !== '');
const isFigure = (cell: string): boolean => 'value' in numberCell(cell, { decimal: '.' });

/** How well a line would do as the header of one of the tables. */
function headerFit(row: readonly string[], tables: readonly Table[]): number {
  const cells = filled(row);
  if (cells.length < 2 || cells.filter(isFigure).length > cells.length / 2) return 0;
  return Math.max(...tables.map((table) => mapColumns(table, row).filter((at) => at !== null).length));
}

/** The line of the header: the first of those that fit best; without any, the first that has something in most columns. */
function headerLine(grid: Grid, tables: readonly Table[]): number {
  const first = grid.slice(0, MOST_TITLE_LINES);
  const fits = first.map((row) => headerFit(row, tables));
  const best = Math.max(0, ...fits);
  if (best > 0) return fits.indexOf(best);
  const width = Math.max(0, ...first.map((row) => filled(row).length));
  return Math.max(
    0,
    first.findIndex((row) => filled(row).length > width / 2),
  );
}

const UNIT_NAMES: ReadonlySet<string> = new Set(
  Object.values(QUANTITIES).flatMap(({ units }) =>
    units.flatMap(({ symbol, spellings }) => [symbol, ...spellings].map(writtenPlainly)),
  ),
);
const bare = (cell: string): string => cell.trim().replace(/^[([]\s*(.*?)\s*[)\]]$/, '$1');
const isUnit = (cell: string): boolean =>
  amountUnitNamed(bare(cell), 'metric') !== undefined || UNIT_NAMES.has(writtenPlainly(bare(cell)));

const areUnits = (row: readonly string[] | undefined): row is readonly string[] =>
  row !== undefined && filled(row).length > 0 && filled(row).every(isUnit);

/** Headers over two lines: what stands above an empty one, and units below. */
function headersAt(grid: Grid, at: number): { readonly headers: string[]; readonly height: number } {
  const [above, own, below] = [grid[at - 1], grid[at] ?? [], grid[at + 1]];
  const names = own.map((cell, i) => (cell.trim() === '' ? (above?.[i] ?? '').trim() : cell.trim()));
  if (!areUnits(below)) return { headers: names, height: 1 };
  const unitOf = (i: number) => bare(below[i] ?? '');
  return {
    headers: names.map((name, i) => (unitOf(i) === '' ? name : `${name} (${unitOf(i)})`)),
    height: 2,
  };
}

/** Why a line below the header is no row: it repeats the header, sums up, or is a remark in one cell of a wide sheet. */
function isNoRow(row: readonly string[], headers: readonly string[]): boolean {
  const cells = filled(row);
  const isHeaderAgain = row.every((cell, i) => cell.trim() === (headers[i] ?? ''));
  const isRemark = cells.length === 1 && filled(headers).length > 2;
  return isHeaderAgain || isRemark || SUMS.test(cells[0]!.trim());
}

/** Finds header and rows of a sheet among titles, units, sums and remarks. */
export function sheetParts(grid: Grid, tables: readonly Table[]): SheetParts {
  const at = headerLine(grid, tables);
  const { headers, height } = headersAt(grid, at);
  const skipped: SkippedLine[] = [];
  const rows: (readonly string[])[] = [];
  const lines: number[] = [];
  grid.forEach((row, i) => {
    if (filled(row).length === 0 || (i >= at && i < at + height)) return;
    if (i < at || isNoRow(row, headers)) {
      skipped.push({ line: i + 1, text: filled(row).join(', ') });
      return;
    }
    rows.push(row);
    lines.push(i + 1);
  });
  return { headers, rows, lines, skipped };
}
