import type { GardenAct } from '../../contract/act.ts';
import type { EntryRecord } from '../../records/entry.ts';
import type { JournalRecord } from '../../records/journal.ts';
import type { LotRecord } from '../../records/lot.ts';
import type { MovementRecord } from '../../records/movement.ts';
import type { PlantingRecord } from '../../records/planting.ts';
import { entryAsChange, journalAsChange, movementAsChange, plantingAsChange } from './as-change.ts';
import { bodyOf, client } from './client.ts';
import { useWrite } from './use-write.ts';

const { gardens } = client.api;

/** What one thing done writes into log, books and stock: all of it or nothing. */
export const useAct = (gardenId: string) =>
  useWrite((act: GardenAct) => bodyOf(gardens[':gardenId'].acts.$post({ param: { gardenId }, json: act })));

type Parts = { readonly [Book in keyof GardenAct]?: Partial<GardenAct[Book]> };

/** An act of which only some parts are anything. */
export const actOf = ({ journal, entries, plantings, lots, movements }: Parts): GardenAct => ({
  journal: { creates: [], changes: [], removals: [], ...journal },
  entries: { creates: [], changes: [], removals: [], ...entries },
  plantings: { changes: [], ...plantings },
  lots: { creates: [], removals: [], ...lots },
  movements: { creates: [], changes: [], removals: [], ...movements },
});

/** Records as they are kept: before an act, or as it left them. */
interface ActRecords {
  readonly journal: readonly JournalRecord[];
  readonly entries: readonly EntryRecord[];
  readonly plantings: readonly PlantingRecord[];
  readonly lots: readonly LotRecord[];
  readonly movements: readonly MovementRecord[];
}

const seen = ({ id, version }: { readonly id: string; readonly version: number }) => ({ id, version });

/** What takes an act back: what it made is removed, what it changed is again as it was `before`. */
export function undoOf(kept: ActRecords, before: ActRecords): GardenAct {
  const split = <Kept extends { readonly id: string; readonly version: number }>(
    now: readonly Kept[],
    then: readonly Kept[],
  ) => {
    const known = new Map(then.map((one) => [one.id, one]));
    return {
      removals: now.filter(({ id }) => !known.has(id)).map(seen),
      changed: now.flatMap((one) => {
        const old = known.get(one.id);
        return old ? [{ ...old, version: one.version }] : [];
      }),
    };
  };
  const journal = split(kept.journal, before.journal);
  const entries = split(kept.entries, before.entries);
  const movements = split(kept.movements, before.movements);
  return actOf({
    journal: {
      removals: journal.removals,
      changes: journal.changed.map((one) => ({ id: one.id, ...journalAsChange(one) })),
    },
    entries: {
      removals: entries.removals,
      changes: entries.changed.map((one) => ({ id: one.id, ...entryAsChange(one) })),
    },
    plantings: {
      changes: split(kept.plantings, before.plantings).changed.map((one) => ({
        id: one.id,
        ...plantingAsChange(one),
      })),
    },
    lots: { removals: split(kept.lots, before.lots).removals },
    movements: {
      removals: movements.removals,
      changes: movements.changed.map((one) => ({ id: one.id, ...movementAsChange(one) })),
    },
  });
}
