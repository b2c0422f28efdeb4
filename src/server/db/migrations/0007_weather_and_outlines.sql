-- Weather as a station measured it, one record a day; and where on the earth a bed lies.

CREATE TABLE weather (
  id TEXT PRIMARY KEY,
  version INTEGER NOT NULL CHECK (version >= 1),
  created_at TEXT NOT NULL,
  updated_at TEXT NOT NULL,
  removed_at TEXT,
  garden_id TEXT NOT NULL REFERENCES garden (id),
  date TEXT NOT NULL CHECK (date GLOB '[12][0-9][0-9][0-9]-[01][0-9]-[0-3][0-9]'),
  -- mean of the day
  temperature_c REAL NOT NULL CHECK (temperature_c BETWEEN -60 AND 55),
  rain_mm REAL NOT NULL CHECK (rain_mm BETWEEN 0 AND 600),
  -- null where the station does not work it out
  evapotranspiration_mm REAL CHECK (evapotranspiration_mm BETWEEN 0 AND 25)
) STRICT;

CREATE UNIQUE INDEX weather_of_a_day ON weather (garden_id, date) WHERE removed_at IS NULL;

-- corners by longitude and latitude, null when nobody has mapped it
ALTER TABLE bed ADD COLUMN outline_json TEXT CHECK (outline_json IS NULL OR json_valid(outline_json));
