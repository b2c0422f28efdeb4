import { asCsv } from '../contract/tables/csv.ts';

type Cell = string | number;
export interface Rows {
  readonly fields: readonly string[];
  readonly data: readonly (readonly Cell[])[];
}

/** CSV by RFC 4180. */
export const csvText = (rows: Rows): string => `${asCsv(rows)}\r\n`;

export const jsonText = (value: unknown): string => `${JSON.stringify(value, null, 1)}\n`;

/** Every figure of a nested report under a name made of the path to it: mineral_n.Z0, pools.0. */
function flattened(value: unknown, path: string): [string, Cell][] {
  if (value === null || value === undefined) return [[path, '']];
  if (typeof value === 'number' || typeof value === 'string') return [[path, value]];
  if (typeof value === 'boolean') return [[path, value ? 'yes' : 'no']];
  return Object.entries(value).flatMap(([key, inner]) =>
    flattened(inner, path === '' ? key : `${path}.${key}`),
  );
}

/** Reports one below the other; a column for every name that any of them has. */
export function rowsOf(reports: readonly object[]): Rows {
  const flat = reports.map((report) => new Map(flattened(report, '')));
  const fields = [...new Set(flat.flatMap((row) => [...row.keys()]))];
  return { fields, data: flat.map((row) => fields.map((field) => row.get(field) ?? '')) };
}
