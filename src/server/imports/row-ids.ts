import { createHash } from 'node:crypto';
import type { Garden, NamedRow, ReadRow } from './rows.ts';

const digestOf = (text: string): string => createHash('sha256').update(text).digest('hex').slice(0, 24);

/**
 * An id that goes with what a line says, and with how many the same have come before it. There is one weather a day:
 * it is known by its date.
 */
export function withIds({ stores, gardenId }: Garden, rows: readonly ReadRow[]): NamedRow[] {
  const seen = new Map<string, number>();
  const weather = new Map(stores.weather.listOf(gardenId).map(({ date, id }) => [date, id]));
  return rows.map((row) => {
    if (row.record.id !== undefined) return { ...row, id: row.record.id };
    if (row.collection === 'weather' && 'date' in row.record) {
      const date = String(row.record.date);
      return { ...row, id: weather.get(date) ?? `day-${digestOf(`${gardenId} ${date}`)}` };
    }
    const content = JSON.stringify([row.collection, row.record]);
    const nth = seen.get(content) ?? 0;
    seen.set(content, nth + 1);
    return {
      ...row,
      id: `line-${digestOf(`${nth} ${gardenId} ${content}`)}`,
    };
  });
}
