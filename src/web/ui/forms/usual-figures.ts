import type { UnitSystem } from '../../../refusals/refusal.ts';

/** What forms begin with: round figures in either system, cm. Common practice, no source. */
export const USUAL_CM: Readonly<
  Record<UnitSystem, Readonly<Record<'rootZone' | 'dug' | 'soilSample' | 'branch', number>>>
> = {
  metric: { rootZone: 30, dug: 20, soilSample: 30, branch: 6 },
  customary: { rootZone: 30.48, dug: 20.32, soilSample: 30.48, branch: 6.35 },
};
