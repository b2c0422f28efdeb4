import type { Database } from 'better-sqlite3';
import type { DayList } from '../../contract/changes.ts';
import type { ChangeLog } from '../stores.ts';
import { ON_BEDS_OF_GARDEN } from './store-over.ts';

const DAY_TABLES: Readonly<Record<DayList, readonly [table: string, ownedBy: string]>> = {
  entries: ['entry', ON_BEDS_OF_GARDEN],
  movements: [
    'stock_movement',
    'lot_id IN (SELECT id FROM lot WHERE removed_at IS NULL AND garden_id = @value)',
  ],
  journal: [
    'journal',
    'garden_id = @value AND (bed_id IS NULL OR bed_id IN (SELECT id FROM bed WHERE removed_at IS NULL))',
  ],
};

export function changeLog(db: Database): ChangeLog {
  const latest = db
    .prepare('SELECT coalesce(max(number), 0) FROM change WHERE garden_id = @gardenId')
    .pluck();
  const after = db.prepare(
    `SELECT collection, record_id AS recordId FROM change
     WHERE garden_id = @gardenId AND number > @number ORDER BY number LIMIT @most`,
  );
  return {
    numberOf: (gardenId) => latest.get({ gardenId }) as number,
    since: (gardenId, number, most) =>
      after.all({ gardenId, number, most }) as { collection: string; recordId: string }[],
    idsOfDay: (list, gardenId, date) => {
      const [table, ownedBy] = DAY_TABLES[list];
      return db
        .prepare(
          `SELECT id FROM ${table}
           WHERE date = @date AND removed_at IS NULL AND ${ownedBy} ORDER BY sequence`,
        )
        .pluck()
        .all({ value: gardenId, date }) as string[];
    },
  };
}
