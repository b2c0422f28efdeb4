import { z } from 'zod';
import { anyEntry } from '../records/entry.ts';
import { id, MOST_AT_ONCE, version } from '../records/fields.ts';
import { anyJournalRecord } from '../records/journal.ts';
import { lotFields } from '../records/lot.ts';
import { anyMovement } from '../records/movement.ts';
import { plantingFields } from '../records/planting.ts';

/** What one thing done in the garden writes into several books at once, and what takes it back: all of it or nothing. */

const seen = z.strictObject({ id, version });
const few = <Item extends z.ZodType>(item: Item) => z.array(item).max(MOST_AT_ONCE);

export const gardenAct = z.strictObject({
  journal: z.strictObject({
    creates: few(anyJournalRecord({ id })),
    changes: few(anyJournalRecord({ id, version })),
    removals: few(seen),
  }),
  entries: z.strictObject({
    creates: few(z.strictObject({ bedId: id, draft: anyEntry({ id }) })),
    changes: few(anyEntry({ id, version })),
    removals: few(seen),
  }),
  plantings: z.strictObject({ changes: few(z.strictObject({ id, version, ...plantingFields })) }),
  /** New piles, before what comes into them. */
  lots: z
    .strictObject({ creates: few(z.strictObject({ id, ...lotFields })), removals: few(seen) })
    .default({ creates: [], removals: [] }),
  movements: z.strictObject({
    creates: few(anyMovement({ id })),
    changes: few(anyMovement({ id, version })),
    removals: few(seen),
  }),
});
export type GardenAct = z.infer<typeof gardenAct>;
