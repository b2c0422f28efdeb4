-- People who come in under a name of their own, or by a link: into one garden each. Removed ones stay, because lines bear their names.

CREATE TABLE person (
  id TEXT PRIMARY KEY,
  garden_id TEXT NOT NULL REFERENCES garden (id),
  name TEXT NOT NULL,
  role TEXT NOT NULL CHECK (role IN ('owner', 'helper', 'reader')),
  -- What a passphrase can be checked against; null for a link.
  secret_json TEXT,
  -- The digest of the secret in a link; null for a name.
  link_sha256 TEXT UNIQUE,
  created_at TEXT NOT NULL,
  removed_at TEXT,
  CHECK ((secret_json IS NULL) <> (link_sha256 IS NULL)),
  CHECK (link_sha256 IS NULL OR role = 'reader')
) STRICT;
CREATE INDEX person_by_garden ON person (garden_id);

-- Who wrote which version of a record; nothing where the keeper of the books did.
CREATE TABLE signature (
  record_table TEXT NOT NULL,
  record_id TEXT NOT NULL,
  version INTEGER NOT NULL,
  person_id TEXT NOT NULL REFERENCES person (id),
  PRIMARY KEY (record_table, record_id, version)
) STRICT, WITHOUT ROWID;
CREATE INDEX signature_by_person ON signature (person_id);
