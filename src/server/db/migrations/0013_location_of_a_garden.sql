-- Where a garden lies: what evaporates is worked out from its latitude, and frost is told by its months.
ALTER TABLE garden ADD COLUMN location_json TEXT CHECK (location_json IS NULL OR json_valid(location_json));
