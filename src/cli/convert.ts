import Papa from 'papaparse';
import { asWritten } from '../contract/tables/csv.ts';
import { gardenFileText, type GardenFile } from '../contract/garden-file.ts';
import { rowSchemas } from '../records/collections.ts';
import { findingsOf } from '../contract/problem-fields.ts';
import { findTable, GARDEN_TABLES, type Table } from '../contract/tables/garden-tables.ts';
import { likelyTable, recognize } from '../contract/tables/recognize.ts';
import { sheetParts } from '../contract/tables/sheet-parts.ts';
import { readRow, tableCells } from '../contract/tables/table-rows.ts';
import { oneWord, UsageError, type Arguments } from './arguments.ts';
import { gardenIn, readJson, readText } from './files.ts';
import { csvText } from './output.ts';
import { refusalSentence } from '../words/refusal-words.ts';
import { InvalidFile } from './validate.ts';

function tableAsked(id: string): Table {
  const table = findTable(id);
  if (!table)
    throw new UsageError(
      `--table must be one of ${GARDEN_TABLES.map((one) => one.id).join(', ')}; got ${id}`,
    );
  return table;
}

const isCsv = (fileName: string): boolean => /\.(csv|tsv|txt)$/i.test(fileName);

/** A field as its column is headed. */
const headerOf = (table: Table, field: string): string =>
  table.columns.find((column) => column.field === field)?.header ?? field;

/** A table somebody else wrote, in our columns, units and dates. */
function tableFromTable(fileName: string, { options }: Arguments): string {
  const parsed = Papa.parse<string[]>(readText(fileName).replace(/^\ufeff/, ''), {
    transform: asWritten,
  });
  const parts = sheetParts(parsed.data, GARDEN_TABLES);
  const { headers, rows, lines } = parts;
  const garden: GardenFile | undefined =
    options.garden === undefined ? undefined : gardenIn(readJson(options.garden));
  const table = options.table === undefined ? likelyTable(GARDEN_TABLES, headers) : tableAsked(options.table);
  const { mapping, dateOrders } = recognize(table, parts, garden?.garden.measures ?? 'metric');
  if (dateOrders.length > 1 && !dateOrders.includes('ymd')) {
    throw new UsageError('Days and months of the dates cannot be told apart; write them as 2026-05-14.');
  }
  const names = garden ?? { beds: [], lots: [], materials: [], crops: [] };
  const read = rows.map((row) => readRow({ table, cells: row, mapping, names, kept: () => undefined }));
  const faults = read.flatMap(({ record, reasons }, i) => {
    const checked = rowSchemas[table.collection].safeParse(record);
    const all = reasons.length > 0 || checked.success ? reasons : findingsOf(checked.error);
    return all.map((found) => `row ${lines[i]}: ${refusalSentence(headerOf(table, found.at.field), found)}`);
  });
  if (faults.length > 0) throw new InvalidFile(faults.join('\n'));
  return csvText(
    tableCells(
      table,
      read.map(({ record }) => record),
      names,
    ),
  );
}

/** A garden file as the newest version has it, or one table of it; or a table in our own columns. */
export function convert(args: Arguments): string {
  const fileName = oneWord(args, 'a garden file or a table');
  if (isCsv(fileName)) return tableFromTable(fileName, args);
  const file = gardenIn(readJson(fileName));
  const { table: id } = args.options;
  if (id === undefined) return gardenFileText(file);
  const table = tableAsked(id);
  return csvText(tableCells(table, file[table.collection], file));
}
