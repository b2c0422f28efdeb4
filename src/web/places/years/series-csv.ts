import { asCsv } from '../../../contract/tables/csv.ts';
import { tableInUnits } from '../../../contract/tables/table-in-units.ts';
import type { UnitSystem } from '../../../refusals/refusal.ts';
import { yearsTable, type NamedSeries } from '../../../contract/tables/years-table.ts';

export type { NamedSeries };

/** Every line of the page year by year as CSV (RFC 4180), in the units of the garden. */
export const seriesCsv = (series: readonly NamedSeries[], system: UnitSystem): string =>
  asCsv(tableInUnits(yearsTable(series), system));
