-- Which beds draw on the stock is asked for at every posting of it.
CREATE INDEX entry_by_lot ON entry (lot_id) WHERE lot_id IS NOT NULL AND removed_at IS NULL;
