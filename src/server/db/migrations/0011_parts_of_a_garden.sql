-- Beds of a large garden are found by the part of it they lie in; empty where the gardener names none.
ALTER TABLE bed ADD COLUMN part TEXT NOT NULL DEFAULT '';
