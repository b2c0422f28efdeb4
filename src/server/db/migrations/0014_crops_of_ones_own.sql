-- Crops of a garden's own, each like one of the library, which lends what is null here.
CREATE TABLE crop (
  id TEXT PRIMARY KEY,
  version INTEGER NOT NULL CHECK (version >= 1),
  created_at TEXT NOT NULL,
  updated_at TEXT NOT NULL,
  removed_at TEXT,
  garden_id TEXT NOT NULL REFERENCES garden (id),
  name TEXT NOT NULL CHECK (length(name) BETWEEN 1 AND 80),
  like_crop_id TEXT NOT NULL,
  nitrogen_demand_g_per_m2 REAL CHECK (nitrogen_demand_g_per_m2 BETWEEN 0 AND 100),
  root_depth_cm REAL CHECK (root_depth_cm BETWEEN 5 AND 300),
  days_in_ground REAL CHECK (days_in_ground BETWEEN 10 AND 730),
  starts_as TEXT CHECK (starts_as IN ('seed', 'transplant', 'set')),
  warmth TEXT CHECK (warmth IN ('hardy', 'cool', 'tender', 'heat')),
  yield_kg_per_m2 REAL CHECK (yield_kg_per_m2 BETWEEN 0 AND 50),
  note TEXT NOT NULL
) STRICT;
CREATE INDEX crop_by_garden ON crop (garden_id);

CREATE TRIGGER crop_insert_counts AFTER INSERT ON crop BEGIN
  INSERT INTO change (collection, record_id, garden_id, number)
    SELECT 'crops', NEW.id, NEW.garden_id, (SELECT coalesce(max(number), 0) + 1 FROM change WHERE garden_id = NEW.garden_id) WHERE true
    ON CONFLICT (collection, record_id) DO UPDATE SET garden_id = excluded.garden_id, number = excluded.number;
END;

CREATE TRIGGER crop_update_counts AFTER UPDATE ON crop BEGIN
  INSERT INTO change (collection, record_id, garden_id, number)
    SELECT 'crops', NEW.id, NEW.garden_id, (SELECT coalesce(max(number), 0) + 1 FROM change WHERE garden_id = NEW.garden_id) WHERE true
    ON CONFLICT (collection, record_id) DO UPDATE SET garden_id = excluded.garden_id, number = excluded.number;
END;
