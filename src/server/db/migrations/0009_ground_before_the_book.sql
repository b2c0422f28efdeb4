-- What a bed was before its book began may now also be old grass or bare ground: both change what its soil gives.
ALTER TABLE bed ADD COLUMN ground_before TEXT NOT NULL DEFAULT 'unknown'
  CHECK (ground_before IN ('unknown', 'hard', 'ordinary', 'rested', 'turf', 'bare'));
UPDATE bed SET ground_before = cropping_before;
ALTER TABLE bed DROP COLUMN cropping_before;
ALTER TABLE bed RENAME COLUMN ground_before TO cropping_before;
