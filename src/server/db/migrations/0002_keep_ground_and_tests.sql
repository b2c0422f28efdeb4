-- What is known of the ground, soil tests and waterings, plantings side by side, saved build-ups, the garden's school.

ALTER TABLE garden ADD COLUMN school TEXT NOT NULL DEFAULT 'byDepth'
  CHECK (school IN ('cautious', 'byDepth', 'relaxed'));
ALTER TABLE garden ADD COLUMN feed_material_id TEXT NOT NULL DEFAULT 'feather_meal';

-- null: nobody remembers
ALTER TABLE bed ADD COLUMN started_on TEXT
  CHECK (started_on GLOB '[12][0-9][0-9][0-9]-[01][0-9]-[0-3][0-9]');
-- null: not measured
ALTER TABLE bed ADD COLUMN ph REAL CHECK (ph BETWEEN 2 AND 11);
ALTER TABLE bed ADD COLUMN cropping_before TEXT NOT NULL DEFAULT 'unknown'
  CHECK (cropping_before IN ('unknown', 'hard', 'ordinary', 'rested'));

ALTER TABLE planting ADD COLUMN starts_as TEXT NOT NULL DEFAULT 'seed'
  CHECK (starts_as IN ('seed', 'transplant', 'set'));
ALTER TABLE planting ADD COLUMN area_share REAL NOT NULL DEFAULT 1 CHECK (area_share > 0 AND area_share <= 1);
ALTER TABLE planting ADD COLUMN is_undersown INTEGER NOT NULL DEFAULT 0 CHECK (is_undersown IN (0, 1));
UPDATE planting SET starts_as = 'transplant'
  WHERE crop_id IN ('leek', 'cabbage', 'kale', 'tomato', 'pepper', 'pumpkin', 'cucumber', 'strawberry',
                    'currant', 'raspberry', 'hazel', 'quince');
UPDATE planting SET starts_as = 'set' WHERE crop_id IN ('onion', 'garlic', 'potato', 'asparagus');

CREATE TABLE build_up (
  id TEXT PRIMARY KEY,
  version INTEGER NOT NULL CHECK (version >= 1),
  created_at TEXT NOT NULL,
  updated_at TEXT NOT NULL,
  removed_at TEXT,
  garden_id TEXT NOT NULL REFERENCES garden (id),
  name TEXT NOT NULL CHECK (length(name) BETWEEN 1 AND 80),
  layers_json TEXT NOT NULL CHECK (json_valid(layers_json)),
  wait_days INTEGER NOT NULL CHECK (wait_days BETWEEN 0 AND 1000),
  note TEXT NOT NULL
) STRICT;
CREATE INDEX build_up_by_garden ON build_up (garden_id);

-- Two more types of entry: the table is made anew, for its checks name the types.
CREATE TABLE entry_new (
  id TEXT PRIMARY KEY,
  version INTEGER NOT NULL CHECK (version >= 1),
  created_at TEXT NOT NULL,
  updated_at TEXT NOT NULL,
  removed_at TEXT,
  -- order of writing, set by the trigger below: on one day the earlier entry lies lower
  sequence INTEGER NOT NULL DEFAULT 0,
  bed_id TEXT NOT NULL REFERENCES bed (id),
  type TEXT NOT NULL CHECK (type IN ('lay', 'dig', 'takeOff', 'feed', 'soilTest', 'water')),
  state TEXT NOT NULL CHECK (state IN ('laid', 'planned')),
  date TEXT NOT NULL CHECK (date GLOB '[12][0-9][0-9][0-9]-[01][0-9]-[0-3][0-9]'),
  note TEXT NOT NULL,
  -- lay: a material of the library or of the garden's own, as it was measured and what that weighs
  material_id TEXT,
  -- lay and soilTest: a figure as it was measured
  amount REAL CHECK (amount >= 0 AND amount <= 1e12),
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
  -- soilTest; pH and organic matter null where not measured
  sampled_depth_cm REAL CHECK (sampled_depth_cm BETWEEN 5 AND 200),
  ph REAL CHECK (ph BETWEEN 2 AND 11),
  organic_matter_pct REAL CHECK (organic_matter_pct BETWEEN 0 AND 100),
  -- water, over the whole bed
  water_mm REAL CHECK (water_mm > 0 AND water_mm <= 500),
  CHECK (
    CASE type
      WHEN 'lay' THEN material_id IS NOT NULL AND amount > 0 AND unit IS NOT NULL
        AND mass_fresh_kg IS NOT NULL AND seasoned_months IS NOT NULL AND dug_depth_cm IS NOT NULL
      WHEN 'dig' THEN dug_depth_cm > 0
      WHEN 'takeOff' THEN layer_id IS NOT NULL AND share_taken_off IS NOT NULL
      WHEN 'soilTest' THEN amount IS NOT NULL AND unit IS NOT NULL AND sampled_depth_cm IS NOT NULL
      WHEN 'water' THEN water_mm IS NOT NULL
      ELSE nitrogen_g IS NOT NULL
    END
  )
) STRICT;

INSERT INTO entry_new (
  id, version, created_at, updated_at, removed_at, sequence, bed_id, type, state, date, note, material_id, amount,
  unit, mass_fresh_kg, seasoned_months, dug_depth_cm, layer_id, share_taken_off, nitrogen_g
)
SELECT
  id, version, created_at, updated_at, removed_at, sequence, bed_id, type, state, date, note, material_id, amount,
  unit, mass_fresh_kg, seasoned_months, dug_depth_cm, layer_id, share_taken_off, nitrogen_g
FROM entry;

DROP TABLE entry;
ALTER TABLE entry_new RENAME TO entry;

CREATE INDEX entry_by_bed ON entry (bed_id, date, sequence);
CREATE INDEX entry_by_sequence ON entry (sequence);

CREATE TRIGGER entry_takes_its_place AFTER INSERT ON entry BEGIN
  UPDATE entry SET sequence = (SELECT max(sequence) + 1 FROM entry) WHERE id = NEW.id;
END;
