import type { JournalChange, JournalRecord } from '../../records/journal.ts';
import type { BedChange, BedRecord } from '../../records/bed.ts';
import type { EntryChange, EntryRecord } from '../../records/entry.ts';
import type { PlantingChange, PlantingRecord } from '../../records/planting.ts';
import type { MovementChange, MovementRecord } from '../../records/movement.ts';

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
