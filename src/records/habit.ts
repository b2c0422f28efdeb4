import { z } from 'zod';
import { field, finite, id, name, note } from './fields.ts';
import { shapesOf, type Unchanging } from './shapes.ts';
import { AMOUNT_UNITS, MOST_YEARS } from './vocabulary.ts';

/** In which month, in which of the years ahead; year 1 is the twelve months from today on. */
export const recurringFields = {
  /** Month of the northern year, 1 to 12; half a year later in the south. */
  month: z.int().min(1).max(12),
  everyYears: z.int().min(1).max(MOST_YEARS),
  fromYear: field(z.int().min(1).max(MOST_YEARS), { label: 'first year' }),
  /** Null for as long as is looked ahead. */
  untilYear: field(z.int().min(1).max(MOST_YEARS).nullable(), { label: 'last year' }),
};
/** A material laid on every square metre: so much by depth, or by volume or weight per m2. */
export const layAct = z.strictObject({
  ...recurringFields,
  type: z.literal('lay'),
  materialId: id,
  amount: finite.gt(0).max(1e6),
  unit: z.enum(AMOUNT_UNITS),
  dugDepthCm: finite.min(0).max(200),
  seasonedMonths: finite.min(0).max(120),
});
/** A cover crop that is cut and left where it grew. */
const growAct = z.strictObject({ ...recurringFields, type: z.literal('grow'), cropId: id });
/** Bought quick nitrogen. */
export const feedAct = z.strictObject({
  ...recurringFields,
  type: z.literal('feed'),
  nitrogenGPerM2: finite.gt(0).max(100),
});
/** All mulch that lies on top is taken off. */
const pullAct = z.strictObject({ ...recurringFields, type: z.literal('pull') });
const habitAct = z.discriminatedUnion('type', [layAct, growAct, feedAct, pullAct]);

const MOST_ACTS = 20;
export const habitFields = {
  name,
  /** Whether what grew in the last twelve months is grown again every year. */
  keepsCrops: z.boolean(),
  acts: z.array(habitAct).max(MOST_ACTS),
  note,
};
export const {
  draft: habitDraft,
  change: habitChange,
  record: habitRecord,
  filed: habitFiled,
} = shapesOf(habitFields);
export type HabitDraft = z.infer<typeof habitDraft>;
export type HabitChange = z.infer<typeof habitChange>;
export type HabitRecord = z.infer<typeof habitRecord>;

export type LayAct = Unchanging<z.infer<typeof layAct>>;
export type GrowAct = Unchanging<z.infer<typeof growAct>>;
export type FeedAct = Unchanging<z.infer<typeof feedAct>>;
export type PullAct = Unchanging<z.infer<typeof pullAct>>;
export type HabitAct = LayAct | GrowAct | FeedAct | PullAct;

/** What somebody means to do year after year. */
export interface Habit {
  readonly acts: readonly HabitAct[];
  readonly keepsCrops: boolean;
}
