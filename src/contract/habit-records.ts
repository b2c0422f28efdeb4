import { z } from 'zod';
import { MOST_YEARS } from '../core/years/habit.ts';
import { AMOUNT_UNITS } from '../core/units/amount.ts';
import { creation, filed, finite, id, name, note, stamp, version } from './fields.ts';

const recurring = {
  month: z.int().min(1).max(12),
  everyYears: z.int().min(1).max(MOST_YEARS),
  fromYear: z.int().min(1).max(MOST_YEARS),
  untilYear: z.int().min(1).max(MOST_YEARS).nullable(),
};
const habitAct = z.discriminatedUnion('type', [
  z.strictObject({
    ...recurring,
    type: z.literal('lay'),
    materialId: id,
    amount: finite.gt(0).max(1e6),
    unit: z.enum(AMOUNT_UNITS),
    dugDepthCm: finite.min(0).max(200),
    seasonedMonths: finite.min(0).max(120),
  }),
  z.strictObject({ ...recurring, type: z.literal('grow'), cropId: id }),
  z.strictObject({ ...recurring, type: z.literal('feed'), nitrogenGPerM2: finite.gt(0).max(100) }),
  z.strictObject({ ...recurring, type: z.literal('pull') }),
]);

const MOST_ACTS = 20;
const habitFields = {
  name,
  keepsCrops: z.boolean(),
  acts: z.array(habitAct).max(MOST_ACTS),
  note,
};
export const habitDraft = z.strictObject({ ...creation, ...habitFields });
export const habitChange = z.strictObject({ version, ...habitFields });
export const habitRecord = z.object({ ...stamp, gardenId: id, ...habitFields });
export const habitFiled = z.strictObject({ ...filed, ...habitFields });
export type HabitDraft = z.infer<typeof habitDraft>;
export type HabitChange = z.infer<typeof habitChange>;
export type HabitRecord = z.infer<typeof habitRecord>;
