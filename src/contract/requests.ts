import { z } from 'zod';
import { bedFields } from '../records/bed.ts';
import { anyEntry } from '../records/entry.ts';
import { date, id, MOST_AT_ONCE, name, note, share, version } from '../records/fields.ts';
import { anyJournalRecord } from '../records/journal.ts';
import { gardenFields } from '../records/garden.ts';
import { lotFields } from '../records/lot.ts';
import { namedMaterialDraft } from '../records/material.ts';
import { anyMovement } from '../records/movement.ts';
import { plantingFields } from '../records/planting.ts';

/** Requests that write several records: all of them or none. */

/** Layers, or a share of them, lifted off a bed: into the stock as a lot of that name, or onto another bed. */
export const liftDraft = z.strictObject({
  id: z.string().regex(/^[A-Za-z0-9_-]{1,50}$/, 'must be 1 to 50 letters, digits, - or _'),
  date,
  note,
  layerIds: z.array(id).min(1).max(20),
  share: share.gt(0).default(1),
  to: z.discriminatedUnion('place', [
    z.strictObject({ place: z.literal('stock'), lotName: name }),
    z.strictObject({ place: z.literal('bed'), bedId: id, dugDepthCm: z.number().min(0).max(200) }),
  ]),
});
export type LiftDraft = z.infer<typeof liftDraft>;
/** As it may be sent. */
export type LiftAsked = z.input<typeof liftDraft>;

/** A garden with its first bed, what lies on it and what grows there: everything a first answer needs. */
export const begunGarden = z.strictObject({
  garden: z.strictObject({ id, ...gardenFields }),
  bed: z.strictObject({ id, ...bedFields }),
  entry: anyEntry({ id }).nullable(),
  planting: z.strictObject({ id, ...plantingFields }).nullable(),
});
export type BegunGarden = z.infer<typeof begunGarden>;

/** Beds alike, or the beds of a plan, made together. */
export const bedsPosting = z.strictObject({
  beds: z
    .array(z.strictObject({ id, ...bedFields }))
    .min(1)
    .max(MOST_AT_ONCE),
});
export type BedsPosting = z.infer<typeof bedsPosting>;

const seen = z.strictObject({ id, version });
/** Several entries of one bed written, changed, removed, brought back and put in order. */
export const bedRevision = z.strictObject({
  creates: z.array(anyEntry({ id })).max(MOST_AT_ONCE),
  changes: z.array(anyEntry({ id, version })).max(MOST_AT_ONCE),
  removals: z.array(seen).max(MOST_AT_ONCE),
  restores: z.array(id).max(MOST_AT_ONCE),
  /** Entries of one day from the soil upwards; empty leaves the order as it is. */
  order: z.array(id).max(MOST_AT_ONCE),
});
export type BedRevision = z.infer<typeof bedRevision>;

/** What is planned on several beds, written and taken back together. */
export const planRevision = z.strictObject({
  beds: z
    .array(
      z.strictObject({
        bedId: id,
        entries: bedRevision,
        plantings: z.strictObject({
          creates: z.array(z.strictObject({ id, ...plantingFields })).max(MOST_AT_ONCE),
          removals: z.array(seen).max(MOST_AT_ONCE),
          restores: z.array(id).max(MOST_AT_ONCE),
        }),
      }),
    )
    .min(1)
    .max(MOST_AT_ONCE),
});
export type PlanRevision = z.infer<typeof planRevision>;

/** New lots with what goes into them, materials described for it, movements among lots, and changes of such movements. */
export const stockPosting = z.strictObject({
  materials: z.array(namedMaterialDraft).max(MOST_AT_ONCE).default([]),
  lots: z.array(z.strictObject({ id, ...lotFields })).max(MOST_AT_ONCE),
  movements: z.array(anyMovement({ id })).max(MOST_AT_ONCE),
  changes: z.array(anyMovement({ id, version })).max(MOST_AT_ONCE).default([]),
});
export type StockPosting = z.input<typeof stockPosting>;

/** What was posted together taken back together, in the order in which one thing leans on another. */
export const takingBack = z.strictObject({
  movements: z.array(seen).max(MOST_AT_ONCE),
  lots: z.array(seen).max(MOST_AT_ONCE),
  entries: z.array(seen).max(MOST_AT_ONCE),
});
export type TakingBack = z.infer<typeof takingBack>;

/** The sender names the records, so that sending again keeps one. */
export const journalPosting = z.strictObject({
  records: z.array(anyJournalRecord({ id })).min(1).max(MOST_AT_ONCE),
});
export type JournalPosting = z.infer<typeof journalPosting>;
export type JournalDraft = JournalPosting['records'][number];

export const feedDraft = z.strictObject({ name });
