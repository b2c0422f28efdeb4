import type { Database } from 'better-sqlite3';
import type { Person, Signature } from '../../contract/people.ts';
import type { Secret } from '../secret.ts';
import type { PeopleStore } from '../stores.ts';

const PERSON = `id, garden_id AS gardenId, name, role, link_sha256 IS NOT NULL AS isLink, created_at AS createdAt`;
/** Tables of the books in which lines of the log stand. */
const BOOK_OF_TABLE = {
  entry: 'entries',
  journal: 'journal',
  planting: 'plantings',
  stock_movement: 'movements',
} as const satisfies Record<string, Signature['book']>;

type PersonRow = Omit<Person, 'isLink'> & { readonly isLink: number };
const asPerson = (row: PersonRow): Person => ({ ...row, isLink: row.isLink === 1 });

/** Names that differ in capitals only are one name. */
const folded = (name: string): string => name.normalize('NFC').trim().toLowerCase();

/** People with names and links of their own; those removed are not found, but what they wrote keeps their name. */
export function peopleStore(db: Database, now: () => string): PeopleStore {
  const select = (where: string) =>
    db.prepare(`SELECT ${PERSON} FROM person WHERE ${where} AND removed_at IS NULL ORDER BY created_at, id`);
  const byId = select('id = @id');
  const ofGarden = select('garden_id = @gardenId');
  const named = select('link_sha256 IS NULL');
  const byLink = select('link_sha256 = @digest');
  const find = (id: string): Person | undefined => {
    const row = byId.get({ id }) as PersonRow | undefined;
    return row && asPerson(row);
  };
  const keep = (
    person: Omit<Person, 'createdAt' | 'isLink'>,
    { secret = null, digest = null }: { readonly secret?: Secret | null; readonly digest?: string | null },
  ): Person => {
    db.prepare(
      `INSERT INTO person (id, garden_id, name, role, secret_json, link_sha256, created_at)
       VALUES (@id, @gardenId, @name, @role, @secret, @digest, @now)`,
    ).run({ ...person, secret: secret && JSON.stringify(secret), digest, now: now() });
    return find(person.id)!;
  };
  return {
    find,
    listOf: (gardenId) => (ofGarden.all({ gardenId }) as PersonRow[]).map(asPerson),
    findByName: (name) =>
      (named.all() as PersonRow[]).map(asPerson).find((one) => folded(one.name) === folded(name)),
    findByLink: (digest) => {
      const row = byLink.get({ digest }) as PersonRow | undefined;
      return row && asPerson(row);
    },
    secretOf: (id) => {
      const text = db.prepare('SELECT secret_json FROM person WHERE id = @id').pluck().get({ id });
      return typeof text === 'string' ? (JSON.parse(text) as Secret) : undefined;
    },
    insert: (person, secret) => keep(person, { secret }),
    insertLink: (person, digest) => keep({ ...person, role: 'reader' }, { digest }),
    change: (id, { role, secret }) => {
      db.prepare(
        `UPDATE person SET role = coalesce(@role, role), secret_json = coalesce(@secret, secret_json)
         WHERE id = @id AND removed_at IS NULL AND link_sha256 IS NULL`,
      ).run({ id, role: role ?? null, secret: secret ? JSON.stringify(secret) : null });
      return find(id);
    },
    remove: (id) =>
      db
        .prepare('UPDATE person SET removed_at = @now WHERE id = @id AND removed_at IS NULL')
        .run({ id, now: now() }).changes === 1,
    signaturesOf: (gardenId) => {
      const rows = db
        .prepare(
          `SELECT record_table AS tableName, record_id AS id, version, name
           FROM signature JOIN person ON person.id = person_id
           WHERE garden_id = @gardenId ORDER BY record_table, record_id, version`,
        )
        .all({ gardenId }) as { tableName: string; id: string; version: number; name: string }[];
      return rows.flatMap(({ tableName, ...row }) =>
        tableName in BOOK_OF_TABLE
          ? [{ ...row, book: BOOK_OF_TABLE[tableName as keyof typeof BOOK_OF_TABLE] }]
          : [],
      );
    },
  };
}
