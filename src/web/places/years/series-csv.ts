import Papa from 'papaparse';
import { yearsTable, type NamedSeries } from '../../../contract/tables/years-table.ts';

export type { NamedSeries };

/** Every line of the page year by year as CSV (RFC 4180). */
export const seriesCsv = (series: readonly NamedSeries[]): string =>
  Papa.unparse(yearsTable(series), { newline: '\r\n' });
