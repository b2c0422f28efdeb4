-- What a line of the log said before it was changed, so that a correction hides nothing.
CREATE TABLE earlier (
  garden_id TEXT NOT NULL,
  -- the list of the books it stands in: entries, journal, plantings, movements
  book TEXT NOT NULL CHECK (book IN ('entries', 'journal', 'plantings', 'movements')),
  record_id TEXT NOT NULL,
  version INTEGER NOT NULL CHECK (version >= 1),
  -- the instant at which the next version took its place
  replaced_at TEXT NOT NULL,
  record_json TEXT NOT NULL CHECK (json_valid(record_json)),
  PRIMARY KEY (book, record_id, version)
) STRICT, WITHOUT ROWID;
