import { z } from 'zod';
import { finite, id, name, note } from './fields.ts';
import { shapesOf } from './shapes.ts';

/** What lies on what, from the soil upwards. */
const buildUpLayer = z.strictObject({
  materialId: id,
  thicknessCm: finite.gt(0).max(100),
  dugDepthCm: finite.min(0).max(200),
  seasonedMonths: finite.min(0).max(120),
});
export const buildUpFields = {
  name,
  layers: z.array(buildUpLayer).min(1).max(20),
  waitDays: z.int().min(0).max(1000),
  note,
};
export const { draft: buildUpDraft, record: buildUpRecord, filed: buildUpFiled } = shapesOf(buildUpFields);
export type BuildUpDraft = z.infer<typeof buildUpDraft>;
export type BuildUpRecord = z.infer<typeof buildUpRecord>;
