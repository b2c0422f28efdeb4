-- Stock: lots, what moves among them, laboratory reports on materials, recipes; and beds that draw on a lot.

CREATE TABLE lot (
  id TEXT PRIMARY KEY,
  version INTEGER NOT NULL CHECK (version >= 1),
  created_at TEXT NOT NULL,
  updated_at TEXT NOT NULL,
  removed_at TEXT,
  garden_id TEXT NOT NULL REFERENCES garden (id),
  name TEXT NOT NULL CHECK (length(name) BETWEEN 1 AND 80),
  form TEXT NOT NULL,
  keeping TEXT NOT NULL,
  is_turned INTEGER NOT NULL CHECK (is_turned IN (0, 1)),
  is_hot INTEGER NOT NULL CHECK (is_hot IN (0, 1)),
  reserve_l REAL NOT NULL CHECK (reserve_l >= 0),
  note TEXT NOT NULL
) STRICT;

CREATE INDEX lot_by_garden ON lot (garden_id);

CREATE TABLE stock_movement (
  id TEXT PRIMARY KEY,
  version INTEGER NOT NULL CHECK (version >= 1),
  created_at TEXT NOT NULL,
  updated_at TEXT NOT NULL,
  removed_at TEXT,
  -- order of writing, set by the trigger below: on one day the earlier movement comes first
  sequence INTEGER NOT NULL DEFAULT 0,
  garden_id TEXT NOT NULL REFERENCES garden (id),
  lot_id TEXT NOT NULL REFERENCES lot (id),
  type TEXT NOT NULL,
  state TEXT NOT NULL CHECK (state IN ('laid', 'planned')),
  date TEXT NOT NULL CHECK (date GLOB '[12][0-9][0-9][0-9]-[01][0-9]-[0-3][0-9]'),
  note TEXT NOT NULL,
  -- the fields that only this type of movement has
  details_json TEXT NOT NULL CHECK (json_valid(details_json))
) STRICT;

CREATE INDEX stock_movement_by_garden ON stock_movement (garden_id, date, sequence);
CREATE INDEX stock_movement_by_sequence ON stock_movement (sequence);

CREATE TRIGGER stock_movement_takes_its_place AFTER INSERT ON stock_movement BEGIN
  UPDATE stock_movement SET sequence = (SELECT max(sequence) + 1 FROM stock_movement) WHERE id = NEW.id;
END;

CREATE TABLE lab_result (
  id TEXT PRIMARY KEY,
  version INTEGER NOT NULL CHECK (version >= 1),
  created_at TEXT NOT NULL,
  updated_at TEXT NOT NULL,
  removed_at TEXT,
  garden_id TEXT NOT NULL REFERENCES garden (id),
  -- a material of the library or of the garden's own
  material_id TEXT NOT NULL,
  date TEXT NOT NULL CHECK (date GLOB '[12][0-9][0-9][0-9]-[01][0-9]-[0-3][0-9]'),
  laboratory TEXT NOT NULL,
  moisture_fraction_wet_basis REAL CHECK (moisture_fraction_wet_basis BETWEEN 0 AND 1),
  carbon_fraction_dry_basis REAL CHECK (carbon_fraction_dry_basis BETWEEN 0 AND 1),
  nitrogen_fraction_dry_basis REAL CHECK (nitrogen_fraction_dry_basis BETWEEN 0 AND 1),
  ammonium_share_of_nitrogen REAL CHECK (ammonium_share_of_nitrogen BETWEEN 0 AND 1),
  bulk_density_kg_per_m3 REAL CHECK (bulk_density_kg_per_m3 > 0),
  note TEXT NOT NULL
) STRICT;

CREATE INDEX lab_result_by_garden ON lab_result (garden_id, material_id, date);

CREATE TABLE recipe (
  id TEXT PRIMARY KEY,
  version INTEGER NOT NULL CHECK (version >= 1),
  created_at TEXT NOT NULL,
  updated_at TEXT NOT NULL,
  removed_at TEXT,
  garden_id TEXT NOT NULL REFERENCES garden (id),
  name TEXT NOT NULL CHECK (length(name) BETWEEN 1 AND 80),
  purpose TEXT NOT NULL,
  ingredients_json TEXT NOT NULL CHECK (json_valid(ingredients_json)),
  water_l REAL NOT NULL CHECK (water_l >= 0),
  is_layered INTEGER NOT NULL CHECK (is_layered IN (0, 1)),
  note TEXT NOT NULL
) STRICT;

CREATE INDEX recipe_by_garden ON recipe (garden_id);

ALTER TABLE entry ADD COLUMN lot_id TEXT REFERENCES lot (id);
