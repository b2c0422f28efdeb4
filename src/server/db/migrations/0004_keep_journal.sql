-- The journal: what was seen, ticked off, tried, brewed and closed; photos beside the database; calendar feeds;
-- and whether a bed's forecasts are weighed by what its log says.

CREATE TABLE journal (
  id TEXT PRIMARY KEY,
  version INTEGER NOT NULL CHECK (version >= 1),
  created_at TEXT NOT NULL,
  updated_at TEXT NOT NULL,
  removed_at TEXT,
  -- order of writing, set by the trigger below
  sequence INTEGER NOT NULL DEFAULT 0,
  garden_id TEXT NOT NULL REFERENCES garden (id),
  bed_id TEXT REFERENCES bed (id),
  kind TEXT NOT NULL,
  date TEXT NOT NULL CHECK (date GLOB '[12][0-9][0-9][0-9]-[01][0-9]-[0-3][0-9]'),
  note TEXT NOT NULL,
  -- the fields that only this kind of record has
  details_json TEXT NOT NULL CHECK (json_valid(details_json))
) STRICT;

CREATE INDEX journal_by_garden ON journal (garden_id, date, sequence);
CREATE INDEX journal_by_sequence ON journal (sequence);

CREATE TRIGGER journal_takes_its_place AFTER INSERT ON journal BEGIN
  UPDATE journal SET sequence = (SELECT max(sequence) + 1 FROM journal) WHERE id = NEW.id;
END;

CREATE TABLE photo (
  id TEXT PRIMARY KEY,
  garden_id TEXT NOT NULL REFERENCES garden (id),
  media_type TEXT NOT NULL,
  bytes INTEGER NOT NULL CHECK (bytes > 0),
  -- of the picture as it was sent: the same one sent again is known by it
  sent_sha256 TEXT NOT NULL,
  created_at TEXT NOT NULL
) STRICT;

CREATE TABLE feed (
  id TEXT PRIMARY KEY,
  garden_id TEXT NOT NULL REFERENCES garden (id),
  name TEXT NOT NULL CHECK (length(name) BETWEEN 1 AND 80),
  -- the secret itself is not kept
  token_sha256 TEXT NOT NULL UNIQUE,
  created_at TEXT NOT NULL,
  last_read_at TEXT,
  revoked_at TEXT
) STRICT;

ALTER TABLE bed ADD COLUMN learns_from_log INTEGER NOT NULL DEFAULT 1 CHECK (learns_from_log IN (0, 1));

-- Lifting a finished layer takes the humus it has made with it.
ALTER TABLE entry ADD COLUMN humus_share_taken_off REAL CHECK (humus_share_taken_off BETWEEN 0 AND 1);
