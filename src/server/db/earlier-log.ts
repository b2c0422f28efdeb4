import type { Database } from 'better-sqlite3';
import type { LogBookName } from '../../contract/log-history.ts';
import type { EarlierLog, Store, Versioned } from '../stores.ts';

interface Row {
  readonly replacedAt: string;
  readonly recordJson: string;
}

/** What records said before they were changed. */
export function earlierLog(db: Database): EarlierLog {
  const list = db.prepare(
    `SELECT replaced_at AS replacedAt, record_json AS recordJson FROM earlier
     WHERE book = @book AND record_id = @recordId ORDER BY version DESC`,
  );
  return {
    listOf: (book, recordId) =>
      (list.all({ book, recordId }) as Row[]).map(({ replacedAt, recordJson }) => ({
        replacedAt,
        record: JSON.parse(recordJson) as Versioned,
      })),
  };
}

/** A record of the log: of a garden, or of a bed of it. */
type Logged = Versioned & { readonly gardenId?: string; readonly bedId?: string | null };

/** The writes of a store that put something in the place of what a record said: that is kept. */
export function keepingEarlier<Kept extends Logged>(
  store: Store<Kept>,
  { db, now, book }: { readonly db: Database; readonly now: () => string; readonly book: LogBookName },
): Pick<Store<Kept>, 'update' | 'upsert'> {
  const keep = db.prepare(
    `INSERT OR IGNORE INTO earlier (garden_id, book, record_id, version, replaced_at, record_json)
     VALUES (coalesce(@gardenId, (SELECT garden_id FROM bed WHERE id = @bedId)), @book, @id, @version, @replacedAt,
       @recordJson)`,
  );
  const keepIt = (record: Kept | undefined) => {
    if (!record) return;
    const { id, version, gardenId = null, bedId = null } = record;
    keep.run({ gardenId, bedId, book, id, version, replacedAt: now(), recordJson: JSON.stringify(record) });
  };
  return {
    update: (id, version, values) => {
      const before = store.find(id);
      const result = store.update(id, version, values);
      if (result.outcome === 'written') keepIt(before);
      return result;
    },
    upsert: (record) => {
      const before = store.find(record.id);
      const kept = store.upsert(record);
      keepIt(before);
      return kept;
    },
  };
}
