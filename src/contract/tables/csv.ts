import Papa from 'papaparse';
import { figureText } from './cells.ts';

/** Rows under their headings; figures as figures. */
export interface CsvTable {
  readonly fields: readonly string[];
  readonly data: readonly (readonly unknown[])[];
}

/** Spreadsheets run a cell that begins so as a formula. A negative number is none. */
const FORMULA = /^(?:[=+@\t\r]|-(?![\d.]))/;
/** What keeps them from it, put before such a cell; it belongs to the file and not to what was written. */
const QUOTE = "'";

/** A table as CSV by RFC 4180, in which nothing that somebody wrote is run as a formula. */
export const asCsv = ({ fields, data }: CsvTable): string =>
  Papa.unparse(
    {
      fields: [...fields],
      data: data.map((row) => row.map((cell) => (typeof cell === 'number' ? figureText(cell) : cell))),
    },
    { newline: '\r\n', escapeFormulae: FORMULA },
  );

/** A cell as it was written, without what kept it from being run. */
export const asWritten = (cell: string): string =>
  cell.startsWith(QUOTE) && FORMULA.test(cell.slice(QUOTE.length)) ? cell.slice(QUOTE.length) : cell;
