-- Habits: what somebody means to do year after year; and what the garden's owner pays for feed and for an hour.

CREATE TABLE habit (
  id TEXT PRIMARY KEY,
  version INTEGER NOT NULL CHECK (version >= 1),
  created_at TEXT NOT NULL,
  updated_at TEXT NOT NULL,
  removed_at TEXT,
  garden_id TEXT NOT NULL REFERENCES garden (id),
  name TEXT NOT NULL CHECK (length(name) BETWEEN 1 AND 80),
  keeps_crops INTEGER NOT NULL CHECK (keeps_crops IN (0, 1)),
  -- a list of acts, each with its month and the years it is done in
  acts_json TEXT NOT NULL CHECK (json_valid(acts_json)),
  note TEXT NOT NULL
) STRICT;

CREATE INDEX habit_by_garden ON habit (garden_id);

ALTER TABLE garden ADD COLUMN prices_json TEXT CHECK (prices_json IS NULL OR json_valid(prices_json));
