import type { Grid } from '../../../contract/tables/sheet-parts.ts';

/** One sheet of a workbook. */
export interface NamedGrid {
  readonly name: string;
  readonly grid: Grid;
}

/** Larger files are no tables of a garden, bytes (set here). */
const MOST_BYTES = 20_000_000;
const MOST_LINES = 60_000;
const DAY = 'yyyy-mm-dd'.length;

export const isWorkbook = ({ name }: Pick<File, 'name'>): boolean => /\.(xlsx|xlsm|xls|ods)$/i.test(name);

/** A file that cannot be read, with a sentence that says why. */
export class UnreadableWorkbook extends Error {}

const cellText = (value: unknown): string => {
  if (value instanceof Date) return value.toISOString().slice(0, DAY);
  return typeof value === 'string' || typeof value === 'number' || typeof value === 'boolean'
    ? String(value)
    : '';
};

/**
 * The sheets of an .xlsx or .ods file that hold anything, every cell as text: dates as ISO, figures unrounded. Throws
 * UnreadableWorkbook for anything that is none.
 */
export async function sheetsOf(file: Pick<File, 'size' | 'arrayBuffer'>): Promise<NamedGrid[]> {
  if (file.size > MOST_BYTES) {
    throw new UnreadableWorkbook(
      'The file is larger than 20 MB. Save the sheet you mean as CSV, or split it.',
    );
  }
  const { read, utils } = await import('@e965/xlsx');
  const sheets: NamedGrid[] = [];
  try {
    const book = read(await file.arrayBuffer(), {
      cellDates: true,
      UTC: true,
      dense: true,
      sheetRows: MOST_LINES,
    });
    for (const name of book.SheetNames) {
      const lines: unknown[][] = utils.sheet_to_json(book.Sheets[name]!, {
        header: 1,
        raw: true,
        defval: '',
        UTC: true,
        blankrows: true,
      });
      const grid = lines.map((line) => Array.from(line, cellText));
      if (grid.some((line) => line.some((cell) => cell !== ''))) sheets.push({ name, grid });
    }
  } catch {
    throw new UnreadableWorkbook(
      'This is no workbook that can be read. Save it as .xlsx, .ods or CSV, and try again.',
    );
  }
  if (sheets.length === 0) throw new UnreadableWorkbook('There is nothing in the sheets of this file.');
  return sheets;
}
