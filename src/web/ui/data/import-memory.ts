import { z } from 'zod';
import { remember, remembered } from '../../app/device-memory.ts';
import { withMapping, type Sheet } from './import-form.ts';

const MEMORY = z.object({
  /** What words of files mean, by the key they are placed under. */
  values: z.record(z.string(), z.string()),
  /** For each table and set of headers, which column goes where. */
  columns: z.record(z.string(), z.array(z.number().nullable())),
});
type Memory = z.infer<typeof MEMORY>;

const keyOf = (gardenId: string): string => `vine-ledger:imports:${gardenId}`;
const headersKey = ({ table, parts }: Sheet): string =>
  JSON.stringify([table.id, ...parts.headers.map((header) => header.trim().toLowerCase())]);

function kept(gardenId: string): Memory {
  try {
    return MEMORY.parse(JSON.parse(remembered(keyOf(gardenId)) ?? ''));
  } catch {
    // Nothing yet, or of an earlier version: then all is as at the first time.
    return { values: {}, columns: {} };
  }
}

/** A sheet with what was placed by hand in earlier ones. */
export function asLastTime(sheet: Sheet, gardenId: string): Sheet {
  const { values, columns } = kept(gardenId);
  const own = columns[headersKey(sheet)];
  return withMapping(sheet, {
    values,
    ...(own?.length === sheet.table.columns.length ? { columns: own } : {}),
  });
}

/** Keeps on this device what was placed by hand, for the next time. */
export function rememberMapping(sheet: Sheet, gardenId: string): void {
  const before = kept(gardenId);
  const memory: Memory = {
    values: { ...before.values, ...sheet.mapping.values },
    columns: { ...before.columns, [headersKey(sheet)]: [...sheet.mapping.columns] },
  };
  remember(keyOf(gardenId), JSON.stringify(memory));
}
