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

/** A sample of a bed as it is handed in, with what the book says the ground holds: the laboratory that is not there needs some ground. */
export interface SampleSent {
  readonly bedId: string;
  readonly bedName: string;
  /** ISO date. */
  readonly date: string;
  readonly sampledDepthCm: number;
  readonly ph: number | null;
  readonly organicMatterPct: number;
  readonly mineralNitrogenKgPerHa: number;
}

/** A sample that lies in a laboratory. */
export const labSample = z.object({
  id: z.string().regex(/^\w{1,40}$/),
  bedId: z.string(),
  sentOn: z.string(),
  readyOn: z.string(),
});
export type LabSample = z.infer<typeof labSample>;
export const labSamples = z.object({ samples: z.array(labSample).max(1000) });

/** What the laboratory found; absurd figures are no report. */
export const labReport = z.object({
  sample: z.string().max(200),
  date: z.string(),
  sampledDepthCm: z.number().min(1).max(200),
  ph: z.number().min(2).max(11),
  organicMatterPct: z.number().min(0).max(100),
  mineralNitrogenKgPerHa: z.number().min(0).max(2000),
});
export type LabReport = z.infer<typeof labReport>;
