-- A soil test keeps all that the laboratory reported, and may leave mineral nitrogen out. The table is made anew, because
-- it required that nitrogen. Triggers of other tables that name it are put aside meanwhile.
DROP TRIGGER bed_removal_counts;

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
  -- lay and soilTest: a figure as it was measured; null for a soil test that left mineral nitrogen out
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
  -- lay: from which lot of the stock, and from when the build-up may be planted
  lot_id TEXT REFERENCES lot (id),
  humus_share_taken_off REAL CHECK (humus_share_taken_off BETWEEN 0 AND 1),
  plant_from TEXT,
  -- soilTest: nutrients as extracted, salts and texture; null where not measured
  extraction TEXT CHECK (extraction IN ('olsen', 'mehlich3', 'bray1', 'cal', 'other')),
  phosphorus_mg_per_kg REAL CHECK (phosphorus_mg_per_kg BETWEEN 0 AND 20000),
  potassium_mg_per_kg REAL CHECK (potassium_mg_per_kg BETWEEN 0 AND 50000),
  magnesium_mg_per_kg REAL CHECK (magnesium_mg_per_kg BETWEEN 0 AND 50000),
  calcium_mg_per_kg REAL CHECK (calcium_mg_per_kg BETWEEN 0 AND 200000),
  sulfur_mg_per_kg REAL CHECK (sulfur_mg_per_kg BETWEEN 0 AND 20000),
  sodium_mg_per_kg REAL CHECK (sodium_mg_per_kg BETWEEN 0 AND 50000),
  iron_mg_per_kg REAL CHECK (iron_mg_per_kg BETWEEN 0 AND 50000),
  manganese_mg_per_kg REAL CHECK (manganese_mg_per_kg BETWEEN 0 AND 50000),
  zinc_mg_per_kg REAL CHECK (zinc_mg_per_kg BETWEEN 0 AND 20000),
  copper_mg_per_kg REAL CHECK (copper_mg_per_kg BETWEEN 0 AND 20000),
  boron_mg_per_kg REAL CHECK (boron_mg_per_kg BETWEEN 0 AND 5000),
  conductivity_ds_per_m REAL CHECK (conductivity_ds_per_m BETWEEN 0 AND 100),
  cation_exchange_cmol_per_kg REAL CHECK (cation_exchange_cmol_per_kg BETWEEN 0 AND 300),
  sand_pct REAL CHECK (sand_pct BETWEEN 0 AND 100),
  silt_pct REAL CHECK (silt_pct BETWEEN 0 AND 100),
  clay_pct REAL CHECK (clay_pct BETWEEN 0 AND 100),
  CHECK (
    CASE type
      WHEN 'lay' THEN material_id IS NOT NULL AND amount > 0 AND unit IS NOT NULL
        AND mass_fresh_kg IS NOT NULL AND seasoned_months IS NOT NULL AND dug_depth_cm IS NOT NULL
      WHEN 'dig' THEN dug_depth_cm > 0
      WHEN 'takeOff' THEN layer_id IS NOT NULL AND share_taken_off IS NOT NULL
      WHEN 'soilTest' THEN (amount IS NULL OR unit IS NOT NULL) AND sampled_depth_cm IS NOT NULL
      WHEN 'water' THEN water_mm IS NOT NULL
      ELSE nitrogen_g IS NOT NULL
    END
  )
) STRICT;

INSERT INTO entry_new (
  id, version, created_at, updated_at, removed_at, sequence, bed_id, type, state, date, note, material_id, amount,
  unit, mass_fresh_kg, seasoned_months, dug_depth_cm, layer_id, share_taken_off, nitrogen_g, sampled_depth_cm, ph,
  organic_matter_pct, water_mm, lot_id, humus_share_taken_off, plant_from
)
SELECT
  id, version, created_at, updated_at, removed_at, sequence, bed_id, type, state, date, note, material_id, amount,
  unit, mass_fresh_kg, seasoned_months, dug_depth_cm, layer_id, share_taken_off, nitrogen_g, sampled_depth_cm, ph,
  organic_matter_pct, water_mm, lot_id, humus_share_taken_off, plant_from
FROM entry;

DROP TABLE entry;
ALTER TABLE entry_new RENAME TO entry;

CREATE INDEX entry_by_bed ON entry (bed_id, date, sequence);
CREATE INDEX entry_by_sequence ON entry (sequence);
CREATE INDEX entry_by_lot ON entry (lot_id) WHERE lot_id IS NOT NULL AND removed_at IS NULL;

CREATE TRIGGER entry_takes_its_place AFTER INSERT ON entry BEGIN
  UPDATE entry SET sequence = (SELECT max(sequence) + 1 FROM entry) WHERE id = NEW.id;
END;

CREATE TRIGGER entry_insert_counts AFTER INSERT ON entry BEGIN
  INSERT INTO change (collection, record_id, garden_id, number)
    SELECT 'entries', NEW.id, (SELECT garden_id FROM bed WHERE id = NEW.bed_id), (SELECT coalesce(max(number), 0) + 1 FROM change WHERE garden_id = (SELECT garden_id FROM bed WHERE id = NEW.bed_id)) WHERE true
    ON CONFLICT (collection, record_id) DO UPDATE SET garden_id = excluded.garden_id, number = excluded.number;
END;

CREATE TRIGGER entry_update_counts AFTER UPDATE ON entry BEGIN
  INSERT INTO change (collection, record_id, garden_id, number)
    SELECT 'entries', NEW.id, (SELECT garden_id FROM bed WHERE id = NEW.bed_id), (SELECT coalesce(max(number), 0) + 1 FROM change WHERE garden_id = (SELECT garden_id FROM bed WHERE id = NEW.bed_id)) WHERE true
    ON CONFLICT (collection, record_id) DO UPDATE SET garden_id = excluded.garden_id, number = excluded.number;
END;

CREATE TRIGGER bed_removal_counts AFTER UPDATE OF removed_at ON bed
  WHEN OLD.removed_at IS NOT NEW.removed_at BEGIN
  INSERT INTO change (collection, record_id, garden_id, number)
    SELECT 'entries', leaning.id, NEW.garden_id, (SELECT coalesce(max(number), 0) + 1 FROM change WHERE garden_id = NEW.garden_id)
    FROM entry AS leaning WHERE leaning.bed_id = NEW.id
    ON CONFLICT (collection, record_id) DO UPDATE SET garden_id = excluded.garden_id, number = excluded.number;
  INSERT INTO change (collection, record_id, garden_id, number)
    SELECT 'plantings', leaning.id, NEW.garden_id, (SELECT coalesce(max(number), 0) + 1 FROM change WHERE garden_id = NEW.garden_id)
    FROM planting AS leaning WHERE leaning.bed_id = NEW.id
    ON CONFLICT (collection, record_id) DO UPDATE SET garden_id = excluded.garden_id, number = excluded.number;
  INSERT INTO change (collection, record_id, garden_id, number)
    SELECT 'journal', leaning.id, NEW.garden_id, (SELECT coalesce(max(number), 0) + 1 FROM change WHERE garden_id = NEW.garden_id)
    FROM journal AS leaning WHERE leaning.bed_id = NEW.id
    ON CONFLICT (collection, record_id) DO UPDATE SET garden_id = excluded.garden_id, number = excluded.number;
END;
