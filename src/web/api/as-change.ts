import type { JournalChange, JournalRecord } from '../../contract/journal-records.ts';
import type {
  BedChange,
  BedRecord,
  EntryChange,
  EntryRecord,
  PlantingChange,
  PlantingRecord,
} from '../../contract/records.ts';
import type { MovementChange, MovementRecord } from '../../contract/stock-records.ts';

/** Records as the change that leaves them as they are. */
export function entryAsChange(entry: EntryRecord): EntryChange {
  if (entry.type === 'lay') {
    const { id, bedId, createdAt, updatedAt, massFreshKg, ...change } = entry;
    return change;
  }
  const { id, bedId, createdAt, updatedAt, ...change } = entry;
  return change;
}

export function plantingAsChange(planting: PlantingRecord): PlantingChange {
  const { id, bedId, createdAt, updatedAt, ...change } = planting;
  return change;
}

export function bedAsChange(bed: BedRecord): BedChange {
  const { id, gardenId, createdAt, updatedAt, ...change } = bed;
  return change;
}

export function movementAsChange(movement: MovementRecord): MovementChange {
  const { id, gardenId, createdAt, updatedAt, ...change } = movement;
  return change;
}

export function journalAsChange(record: JournalRecord): JournalChange {
  const { id, gardenId, createdAt, updatedAt, ...change } = record;
  return change;
}
