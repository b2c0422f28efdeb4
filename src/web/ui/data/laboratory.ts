import { reportColumnsIn, soilReports, type SoilReport } from '../../../core/bed/index.ts';
import { GARDEN_TABLES } from '../../../contract/tables/garden-tables.ts';
import { mapColumns } from '../../../contract/tables/recognize.ts';
import { sheetParts, type Grid } from '../../../contract/tables/sheet-parts.ts';
import { InputError } from '../../../refusals/input-error.ts';
import { refusalSentence } from '../../../words/refusal-words.ts';

/** A laboratory's report on soil: its samples, or why they cannot be read. */
export type Laboratory = { readonly reports: readonly SoilReport[] } | { readonly trouble: string };

/** A header stands among the first lines. */
const MOST_TITLE_LINES = 20;
/** A table with a pH and nothing else may be anything. */
const LEAST_FINDINGS = 2;

const columnsOfOurs = (header: readonly string[]): number =>
  Math.max(...GARDEN_TABLES.map((table) => mapColumns(table, header).filter((at) => at !== null).length));

/** The line that names what was found in the soil, and more of it than any table of ours would know; -1 without one. */
function headerLine(grid: Grid): number {
  const lines = grid.slice(0, MOST_TITLE_LINES).map(reportColumnsIn);
  const most = Math.max(0, ...lines.map(({ findings }) => findings));
  if (most < LEAST_FINDINGS) return -1;
  const at = lines.findIndex(({ findings }) => findings === most);
  return lines[at]!.known > columnsOfOurs(grid[at]!) ? at : -1;
}

/** The samples of a soil laboratory's file; null for every other table. */
export function laboratoryIn(grid: Grid): Laboratory | null {
  const at = headerLine(grid);
  if (at < 0) return null;
  const { headers, rows } = sheetParts(grid.slice(at), []);
  try {
    return { reports: soilReports([headers, ...rows]) };
  } catch (error) {
    if (!(error instanceof InputError)) throw error;
    return { trouble: refusalSentence(error.path.join('.'), error.refusal) };
  }
}
