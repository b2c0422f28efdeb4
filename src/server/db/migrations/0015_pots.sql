-- How many pots stand for a bed; null for a bed in the ground.
ALTER TABLE bed ADD COLUMN pot_count INTEGER CHECK (pot_count BETWEEN 1 AND 10000);
