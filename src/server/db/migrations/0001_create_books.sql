-- Gardens, their beds, and what is written down about each bed.
-- Dates are ISO dates, instants ISO in UTC. removed_at is set instead of deleting, so that it can be undone.

CREATE TABLE garden (
  id TEXT PRIMARY KEY,
  version INTEGER NOT NULL CHECK (version >= 1),
  created_at TEXT NOT NULL,
  updated_at TEXT NOT NULL,
  removed_at TEXT,
  name TEXT NOT NULL CHECK (length(name) BETWEEN 1 AND 80),
  place TEXT NOT NULL,
  climate_json TEXT NOT NULL CHECK (json_valid(climate_json)),
  deposition_g_per_m2_year REAL NOT NULL CHECK (deposition_g_per_m2_year BETWEEN 0 AND 20),
  measures TEXT NOT NULL CHECK (measures IN ('metric', 'customary'))
) STRICT;

CREATE TABLE bed (
  id TEXT PRIMARY KEY,
  version INTEGER NOT NULL CHECK (version >= 1),
  created_at TEXT NOT NULL,
  updated_at TEXT NOT NULL,
  removed_at TEXT,
  garden_id TEXT NOT NULL REFERENCES garden (id),
  name TEXT NOT NULL CHECK (length(name) BETWEEN 1 AND 80),
  kind TEXT NOT NULL,
  area_m2 REAL NOT NULL CHECK (area_m2 > 0 AND area_m2 <= 100000),
  organic_matter_pct REAL NOT NULL CHECK (organic_matter_pct BETWEEN 0 AND 100),
  bulk_density_g_per_cm3 REAL NOT NULL CHECK (bulk_density_g_per_cm3 BETWEEN 0.05 AND 2.5),
  clay_pct REAL NOT NULL CHECK (clay_pct BETWEEN 0 AND 100),
  root_zone_cm REAL NOT NULL CHECK (root_zone_cm BETWEEN 10 AND 200),
  exposure TEXT NOT NULL,
  is_watered INTEGER NOT NULL CHECK (is_watered IN (0, 1)),
  note TEXT NOT NULL
) STRICT;

CREATE INDEX bed_by_garden ON bed (garden_id);

CREATE TABLE material (
  id TEXT PRIMARY KEY,
  version INTEGER NOT NULL CHECK (version >= 1),
  created_at TEXT NOT NULL,
  updated_at TEXT NOT NULL,
  removed_at TEXT,
  garden_id TEXT NOT NULL REFERENCES garden (id),
  name TEXT NOT NULL CHECK (length(name) BETWEEN 1 AND 80),
  basis_json TEXT NOT NULL CHECK (json_valid(basis_json)),
  note TEXT NOT NULL
) STRICT;

CREATE INDEX material_by_garden ON material (garden_id);

CREATE TABLE entry (
  id TEXT PRIMARY KEY,
  version INTEGER NOT NULL CHECK (version >= 1),
  created_at TEXT NOT NULL,
  updated_at TEXT NOT NULL,
  removed_at TEXT,
  -- order of writing, set by the trigger below: on one day the earlier entry lies lower
  sequence INTEGER NOT NULL DEFAULT 0,
  bed_id TEXT NOT NULL REFERENCES bed (id),
  type TEXT NOT NULL CHECK (type IN ('lay', 'dig', 'takeOff', 'feed')),
  state TEXT NOT NULL CHECK (state IN ('laid', 'planned')),
  date TEXT NOT NULL CHECK (date GLOB '[12][0-9][0-9][0-9]-[01][0-9]-[0-3][0-9]'),
  note TEXT NOT NULL,
  -- lay: a material of the library or of the garden's own, as it was measured and what that weighs
  material_id TEXT,
  amount REAL CHECK (amount > 0 AND amount <= 1e12),
  unit TEXT,
  mass_fresh_kg REAL CHECK (mass_fresh_kg > 0 AND mass_fresh_kg <= 1e12),
  seasoned_months REAL CHECK (seasoned_months BETWEEN 0 AND 120),
  -- lay and dig
  dug_depth_cm REAL CHECK (dug_depth_cm BETWEEN 0 AND 200),
  -- dig and takeOff: the entry whose layer is meant; dig without one means all layers on top
  layer_id TEXT REFERENCES entry (id),
  share_taken_off REAL CHECK (share_taken_off BETWEEN 0 AND 1),
  -- feed, for the whole bed
  nitrogen_g REAL CHECK (nitrogen_g > 0 AND nitrogen_g <= 1e6),
  CHECK (
    CASE type
      WHEN 'lay' THEN material_id IS NOT NULL AND amount IS NOT NULL AND unit IS NOT NULL
        AND mass_fresh_kg IS NOT NULL AND seasoned_months IS NOT NULL AND dug_depth_cm IS NOT NULL
      WHEN 'dig' THEN dug_depth_cm > 0
      WHEN 'takeOff' THEN layer_id IS NOT NULL AND share_taken_off IS NOT NULL
      ELSE nitrogen_g IS NOT NULL
    END
  )
) STRICT;

CREATE INDEX entry_by_bed ON entry (bed_id, date, sequence);
CREATE INDEX entry_by_sequence ON entry (sequence);

CREATE TRIGGER entry_takes_its_place AFTER INSERT ON entry BEGIN
  UPDATE entry SET sequence = (SELECT max(sequence) + 1 FROM entry) WHERE id = NEW.id;
END;

CREATE TABLE planting (
  id TEXT PRIMARY KEY,
  version INTEGER NOT NULL CHECK (version >= 1),
  created_at TEXT NOT NULL,
  updated_at TEXT NOT NULL,
  removed_at TEXT,
  bed_id TEXT NOT NULL REFERENCES bed (id),
  state TEXT NOT NULL CHECK (state IN ('laid', 'planned')),
  crop_id TEXT NOT NULL,
  planted_on TEXT NOT NULL CHECK (planted_on GLOB '[12][0-9][0-9][0-9]-[01][0-9]-[0-3][0-9]'),
  -- null for a perennial that stays
  cleared_on TEXT CHECK (cleared_on > planted_on),
  nitrogen_demand_g_per_m2 REAL NOT NULL CHECK (nitrogen_demand_g_per_m2 BETWEEN 0 AND 100),
  root_depth_cm REAL NOT NULL CHECK (root_depth_cm BETWEEN 5 AND 500),
  note TEXT NOT NULL
) STRICT;

CREATE INDEX planting_by_bed ON planting (bed_id, planted_on);
