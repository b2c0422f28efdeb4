-- What was written last, and in which order: by it a page asks for what it does not have yet.
-- One row for each record, with the number of its latest change; numbers count within a garden.
-- Triggers keep it, so that no way of writing can forget to.

CREATE TABLE change (
  collection TEXT NOT NULL,
  record_id TEXT NOT NULL,
  garden_id TEXT NOT NULL,
  number INTEGER NOT NULL,
  PRIMARY KEY (collection, record_id)
) STRICT, WITHOUT ROWID;
CREATE INDEX change_by_garden ON change (garden_id, number);

CREATE TRIGGER bed_insert_counts AFTER INSERT ON bed BEGIN
  INSERT INTO change (collection, record_id, garden_id, number)
    SELECT 'beds', NEW.id, NEW.garden_id, (SELECT coalesce(max(number), 0) + 1 FROM change WHERE garden_id = NEW.garden_id) WHERE true
    ON CONFLICT (collection, record_id) DO UPDATE SET garden_id = excluded.garden_id, number = excluded.number;
END;

CREATE TRIGGER bed_update_counts AFTER UPDATE ON bed BEGIN
  INSERT INTO change (collection, record_id, garden_id, number)
    SELECT 'beds', NEW.id, NEW.garden_id, (SELECT coalesce(max(number), 0) + 1 FROM change WHERE garden_id = NEW.garden_id) WHERE true
    ON CONFLICT (collection, record_id) DO UPDATE SET garden_id = excluded.garden_id, number = excluded.number;
END;

CREATE TRIGGER material_insert_counts AFTER INSERT ON material BEGIN
  INSERT INTO change (collection, record_id, garden_id, number)
    SELECT 'materials', NEW.id, NEW.garden_id, (SELECT coalesce(max(number), 0) + 1 FROM change WHERE garden_id = NEW.garden_id) WHERE true
    ON CONFLICT (collection, record_id) DO UPDATE SET garden_id = excluded.garden_id, number = excluded.number;
END;

CREATE TRIGGER material_update_counts AFTER UPDATE ON material BEGIN
  INSERT INTO change (collection, record_id, garden_id, number)
    SELECT 'materials', NEW.id, NEW.garden_id, (SELECT coalesce(max(number), 0) + 1 FROM change WHERE garden_id = NEW.garden_id) WHERE true
    ON CONFLICT (collection, record_id) DO UPDATE SET garden_id = excluded.garden_id, number = excluded.number;
END;

CREATE TRIGGER build_up_insert_counts AFTER INSERT ON build_up BEGIN
  INSERT INTO change (collection, record_id, garden_id, number)
    SELECT 'buildUps', NEW.id, NEW.garden_id, (SELECT coalesce(max(number), 0) + 1 FROM change WHERE garden_id = NEW.garden_id) WHERE true
    ON CONFLICT (collection, record_id) DO UPDATE SET garden_id = excluded.garden_id, number = excluded.number;
END;

CREATE TRIGGER build_up_update_counts AFTER UPDATE ON build_up BEGIN
  INSERT INTO change (collection, record_id, garden_id, number)
    SELECT 'buildUps', NEW.id, NEW.garden_id, (SELECT coalesce(max(number), 0) + 1 FROM change WHERE garden_id = NEW.garden_id) WHERE true
    ON CONFLICT (collection, record_id) DO UPDATE SET garden_id = excluded.garden_id, number = excluded.number;
END;

CREATE TRIGGER habit_insert_counts AFTER INSERT ON habit BEGIN
  INSERT INTO change (collection, record_id, garden_id, number)
    SELECT 'habits', NEW.id, NEW.garden_id, (SELECT coalesce(max(number), 0) + 1 FROM change WHERE garden_id = NEW.garden_id) WHERE true
    ON CONFLICT (collection, record_id) DO UPDATE SET garden_id = excluded.garden_id, number = excluded.number;
END;

CREATE TRIGGER habit_update_counts AFTER UPDATE ON habit BEGIN
  INSERT INTO change (collection, record_id, garden_id, number)
    SELECT 'habits', NEW.id, NEW.garden_id, (SELECT coalesce(max(number), 0) + 1 FROM change WHERE garden_id = NEW.garden_id) WHERE true
    ON CONFLICT (collection, record_id) DO UPDATE SET garden_id = excluded.garden_id, number = excluded.number;
END;

CREATE TRIGGER lot_insert_counts AFTER INSERT ON lot BEGIN
  INSERT INTO change (collection, record_id, garden_id, number)
    SELECT 'lots', NEW.id, NEW.garden_id, (SELECT coalesce(max(number), 0) + 1 FROM change WHERE garden_id = NEW.garden_id) WHERE true
    ON CONFLICT (collection, record_id) DO UPDATE SET garden_id = excluded.garden_id, number = excluded.number;
END;

CREATE TRIGGER lot_update_counts AFTER UPDATE ON lot BEGIN
  INSERT INTO change (collection, record_id, garden_id, number)
    SELECT 'lots', NEW.id, NEW.garden_id, (SELECT coalesce(max(number), 0) + 1 FROM change WHERE garden_id = NEW.garden_id) WHERE true
    ON CONFLICT (collection, record_id) DO UPDATE SET garden_id = excluded.garden_id, number = excluded.number;
END;

CREATE TRIGGER stock_movement_insert_counts AFTER INSERT ON stock_movement BEGIN
  INSERT INTO change (collection, record_id, garden_id, number)
    SELECT 'movements', NEW.id, NEW.garden_id, (SELECT coalesce(max(number), 0) + 1 FROM change WHERE garden_id = NEW.garden_id) WHERE true
    ON CONFLICT (collection, record_id) DO UPDATE SET garden_id = excluded.garden_id, number = excluded.number;
END;

CREATE TRIGGER stock_movement_update_counts AFTER UPDATE ON stock_movement BEGIN
  INSERT INTO change (collection, record_id, garden_id, number)
    SELECT 'movements', NEW.id, NEW.garden_id, (SELECT coalesce(max(number), 0) + 1 FROM change WHERE garden_id = NEW.garden_id) WHERE true
    ON CONFLICT (collection, record_id) DO UPDATE SET garden_id = excluded.garden_id, number = excluded.number;
END;

CREATE TRIGGER lab_result_insert_counts AFTER INSERT ON lab_result BEGIN
  INSERT INTO change (collection, record_id, garden_id, number)
    SELECT 'labResults', NEW.id, NEW.garden_id, (SELECT coalesce(max(number), 0) + 1 FROM change WHERE garden_id = NEW.garden_id) WHERE true
    ON CONFLICT (collection, record_id) DO UPDATE SET garden_id = excluded.garden_id, number = excluded.number;
END;

CREATE TRIGGER lab_result_update_counts AFTER UPDATE ON lab_result BEGIN
  INSERT INTO change (collection, record_id, garden_id, number)
    SELECT 'labResults', NEW.id, NEW.garden_id, (SELECT coalesce(max(number), 0) + 1 FROM change WHERE garden_id = NEW.garden_id) WHERE true
    ON CONFLICT (collection, record_id) DO UPDATE SET garden_id = excluded.garden_id, number = excluded.number;
END;

CREATE TRIGGER recipe_insert_counts AFTER INSERT ON recipe BEGIN
  INSERT INTO change (collection, record_id, garden_id, number)
    SELECT 'recipes', NEW.id, NEW.garden_id, (SELECT coalesce(max(number), 0) + 1 FROM change WHERE garden_id = NEW.garden_id) WHERE true
    ON CONFLICT (collection, record_id) DO UPDATE SET garden_id = excluded.garden_id, number = excluded.number;
END;

CREATE TRIGGER recipe_update_counts AFTER UPDATE ON recipe BEGIN
  INSERT INTO change (collection, record_id, garden_id, number)
    SELECT 'recipes', NEW.id, NEW.garden_id, (SELECT coalesce(max(number), 0) + 1 FROM change WHERE garden_id = NEW.garden_id) WHERE true
    ON CONFLICT (collection, record_id) DO UPDATE SET garden_id = excluded.garden_id, number = excluded.number;
END;

CREATE TRIGGER weather_insert_counts AFTER INSERT ON weather BEGIN
  INSERT INTO change (collection, record_id, garden_id, number)
    SELECT 'weather', NEW.id, NEW.garden_id, (SELECT coalesce(max(number), 0) + 1 FROM change WHERE garden_id = NEW.garden_id) WHERE true
    ON CONFLICT (collection, record_id) DO UPDATE SET garden_id = excluded.garden_id, number = excluded.number;
END;

CREATE TRIGGER weather_update_counts AFTER UPDATE ON weather BEGIN
  INSERT INTO change (collection, record_id, garden_id, number)
    SELECT 'weather', NEW.id, NEW.garden_id, (SELECT coalesce(max(number), 0) + 1 FROM change WHERE garden_id = NEW.garden_id) WHERE true
    ON CONFLICT (collection, record_id) DO UPDATE SET garden_id = excluded.garden_id, number = excluded.number;
END;

CREATE TRIGGER journal_insert_counts AFTER INSERT ON journal BEGIN
  INSERT INTO change (collection, record_id, garden_id, number)
    SELECT 'journal', NEW.id, NEW.garden_id, (SELECT coalesce(max(number), 0) + 1 FROM change WHERE garden_id = NEW.garden_id) WHERE true
    ON CONFLICT (collection, record_id) DO UPDATE SET garden_id = excluded.garden_id, number = excluded.number;
END;

CREATE TRIGGER journal_update_counts AFTER UPDATE ON journal BEGIN
  INSERT INTO change (collection, record_id, garden_id, number)
    SELECT 'journal', NEW.id, NEW.garden_id, (SELECT coalesce(max(number), 0) + 1 FROM change WHERE garden_id = NEW.garden_id) WHERE true
    ON CONFLICT (collection, record_id) DO UPDATE SET garden_id = excluded.garden_id, number = excluded.number;
END;

CREATE TRIGGER garden_insert_counts AFTER INSERT ON garden BEGIN
  INSERT INTO change (collection, record_id, garden_id, number)
    SELECT 'garden', NEW.id, NEW.id, (SELECT coalesce(max(number), 0) + 1 FROM change WHERE garden_id = NEW.id) WHERE true
    ON CONFLICT (collection, record_id) DO UPDATE SET garden_id = excluded.garden_id, number = excluded.number;
END;

CREATE TRIGGER garden_update_counts AFTER UPDATE ON garden BEGIN
  INSERT INTO change (collection, record_id, garden_id, number)
    SELECT 'garden', NEW.id, NEW.id, (SELECT coalesce(max(number), 0) + 1 FROM change WHERE garden_id = NEW.id) WHERE true
    ON CONFLICT (collection, record_id) DO UPDATE SET garden_id = excluded.garden_id, number = excluded.number;
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

CREATE TRIGGER planting_insert_counts AFTER INSERT ON planting BEGIN
  INSERT INTO change (collection, record_id, garden_id, number)
    SELECT 'plantings', NEW.id, (SELECT garden_id FROM bed WHERE id = NEW.bed_id), (SELECT coalesce(max(number), 0) + 1 FROM change WHERE garden_id = (SELECT garden_id FROM bed WHERE id = NEW.bed_id)) WHERE true
    ON CONFLICT (collection, record_id) DO UPDATE SET garden_id = excluded.garden_id, number = excluded.number;
END;

CREATE TRIGGER planting_update_counts AFTER UPDATE ON planting BEGIN
  INSERT INTO change (collection, record_id, garden_id, number)
    SELECT 'plantings', NEW.id, (SELECT garden_id FROM bed WHERE id = NEW.bed_id), (SELECT coalesce(max(number), 0) + 1 FROM change WHERE garden_id = (SELECT garden_id FROM bed WHERE id = NEW.bed_id)) WHERE true
    ON CONFLICT (collection, record_id) DO UPDATE SET garden_id = excluded.garden_id, number = excluded.number;
END;

-- What leans on a bed or a lot goes and comes back with it.
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

CREATE TRIGGER lot_removal_counts AFTER UPDATE OF removed_at ON lot
  WHEN OLD.removed_at IS NOT NEW.removed_at BEGIN
  INSERT INTO change (collection, record_id, garden_id, number)
    SELECT 'movements', leaning.id, NEW.garden_id, (SELECT coalesce(max(number), 0) + 1 FROM change WHERE garden_id = NEW.garden_id)
    FROM stock_movement AS leaning WHERE leaning.lot_id = NEW.id
    ON CONFLICT (collection, record_id) DO UPDATE SET garden_id = excluded.garden_id, number = excluded.number;
END;
