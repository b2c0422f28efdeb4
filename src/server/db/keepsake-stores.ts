import type { Database } from 'better-sqlite3';
import type { FeedRecord, PhotoRecord } from '../../contract/keepsakes.ts';
import type { FeedStore, ImportLog, ImportRecord, PhotoStore } from '../stores.ts';

type KeptPhoto = PhotoRecord & { readonly sentSha256: string };

/** Photos are never changed: they are added, and let go when nothing shows them. */
export function photoStore(db: Database, now: () => string): PhotoStore {
  const find = (id: string) =>
    db
      .prepare(
        `SELECT id, garden_id AS gardenId, media_type AS mediaType, bytes, created_at AS createdAt,
                sent_sha256 AS sentSha256 FROM photo WHERE id = @id`,
      )
      .get({ id }) as KeptPhoto | undefined;
  return {
    find,
    listOf: (gardenId) =>
      db
        .prepare(
          `SELECT id, garden_id AS gardenId, media_type AS mediaType, bytes, created_at AS createdAt
           FROM photo WHERE garden_id = @gardenId ORDER BY created_at, id`,
        )
        .all({ gardenId }) as PhotoRecord[],
    unshownOf: (gardenId, { since, before }) =>
      db
        .prepare(
          `WITH line AS (
             SELECT details_json FROM journal
             WHERE garden_id = @gardenId AND (removed_at IS NULL OR removed_at >= @since)
           ), shown AS (
             SELECT json_extract(details_json, '$.photoId') AS id FROM line
             UNION SELECT one.value FROM line, json_each(details_json, '$.morePhotoIds') AS one
           )
           SELECT id, garden_id AS gardenId, media_type AS mediaType, bytes, created_at AS createdAt
           FROM photo
           WHERE garden_id = @gardenId AND created_at < @before
             AND id NOT IN (SELECT id FROM shown WHERE id IS NOT NULL)
           ORDER BY created_at, id`,
        )
        .all({ gardenId, since, before }) as PhotoRecord[],
    remove: (id) => void db.prepare('DELETE FROM photo WHERE id = @id').run({ id }),
    insert: (photo) => {
      db.prepare(
        `INSERT INTO photo (id, garden_id, media_type, bytes, sent_sha256, created_at)
         VALUES (@id, @gardenId, @mediaType, @bytes, @sentSha256, @createdAt)`,
      ).run({ createdAt: now(), ...photo });
      return find(photo.id)!;
    },
  };
}

const FEED = 'id, garden_id AS gardenId, name, created_at AS createdAt, last_read_at AS lastReadAt';

export function feedStore(db: Database, now: () => string): FeedStore {
  const find = (id: string) =>
    db.prepare(`SELECT ${FEED} FROM feed WHERE id = @id`).get({ id }) as FeedRecord | undefined;
  return {
    find,
    listOf: (gardenId) =>
      db
        .prepare(
          `SELECT ${FEED} FROM feed WHERE garden_id = @gardenId AND revoked_at IS NULL ORDER BY created_at, id`,
        )
        .all({ gardenId }) as FeedRecord[],
    insert: (feed, tokenSha256) => {
      db.prepare(
        `INSERT INTO feed (id, garden_id, name, token_sha256, created_at)
         VALUES (@id, @gardenId, @name, @tokenSha256, @now)`,
      ).run({ ...feed, tokenSha256, now: now() });
      return find(feed.id)!;
    },
    opened: (tokenSha256) => {
      const feed = db
        .prepare(`SELECT ${FEED} FROM feed WHERE token_sha256 = @tokenSha256 AND revoked_at IS NULL`)
        .get({ tokenSha256 }) as FeedRecord | undefined;
      if (feed)
        db.prepare('UPDATE feed SET last_read_at = @now WHERE id = @id').run({ id: feed.id, now: now() });
      return feed;
    },
    revoke: (id) =>
      db
        .prepare('UPDATE feed SET revoked_at = @now WHERE id = @id AND revoked_at IS NULL')
        .run({ id, now: now() }).changes === 1,
  };
}

const IMPORT = 'id, garden_id AS gardenId, at, summary, undone_at AS undoneAt';
type ImportRow = Omit<ImportRecord, 'writes'> & { readonly writes: string };

/** What was read in, and what stood there before. */
export function importLog(db: Database, now: () => string): ImportLog {
  const find = (id: string): ImportRecord | undefined => {
    const row = db
      .prepare(`SELECT ${IMPORT}, writes_json AS writes FROM import WHERE id = @id`)
      .get({ id }) as ImportRow | undefined;
    return row && { ...row, writes: JSON.parse(row.writes) as ImportRecord['writes'] };
  };
  return {
    find,
    insert: (record) => {
      db.prepare(
        `INSERT INTO import (id, garden_id, at, summary, writes_json)
         VALUES (@id, @gardenId, @now, @summary, @writes)`,
      ).run({ ...record, writes: JSON.stringify(record.writes), now: now() });
      return find(record.id)!;
    },
    listOf: (gardenId) =>
      db
        .prepare(
          `SELECT ${IMPORT} FROM import WHERE garden_id = @gardenId ORDER BY at DESC, rowid DESC LIMIT 20`,
        )
        .all({ gardenId }) as Omit<ImportRecord, 'writes'>[],
    markUndone: (id) =>
      db
        .prepare('UPDATE import SET undone_at = @now WHERE id = @id AND undone_at IS NULL')
        .run({ id, now: now() }).changes === 1,
  };
}
