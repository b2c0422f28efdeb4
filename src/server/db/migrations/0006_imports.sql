-- What was read in from files, with what stood there before, so that it can be taken back.

CREATE TABLE import (
  id TEXT PRIMARY KEY,
  garden_id TEXT NOT NULL REFERENCES garden (id),
  at TEXT NOT NULL,
  summary TEXT NOT NULL,
  -- a list of records written: what kind, which version it was given, and the record that stood there
  writes_json TEXT NOT NULL CHECK (json_valid(writes_json)),
  undone_at TEXT
) STRICT;

CREATE INDEX import_by_garden ON import (garden_id, at);
