import { z } from 'zod';

/** What a kitchen scale answers. Nothing in a garden kitchen weighs more than its scale carries. */
export const scaleReading = z.object({
  massG: z.number().min(-50).max(50_000),
  /** False while it still swings. */
  isStable: z.boolean(),
});
export type ScaleReading = z.infer<typeof scaleReading>;

/** What a probe in a heap or in soil answers. */
export const probeReading = z.object({ temperatureC: z.number().min(-40).max(95) });
export type ProbeReading = z.infer<typeof probeReading>;
