-- A build-up may ask to wait before planting; the wait stays with what was laid, as long as it lasts.
ALTER TABLE entry ADD COLUMN plant_from TEXT;
