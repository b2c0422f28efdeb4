import type { Bed } from '../bed.ts';
import { drawnNitrogen, releasedNitrogen } from '../cohort-table.ts';

/** Layers settle, arriving humus sinks in, and the largest lock-up so far is noted. */
export function age({ state, constants }: Bed): void {
  const { cohorts } = state;
  for (let i = 0; i < cohorts.count; i++) {
    cohorts.unsettledShare[i] *= constants.settlingKept;
    cohorts.unmixedHumusC[i] *= constants.humusMixingKept;
    const lockedN = drawnNitrogen(cohorts, i) - releasedNitrogen(cohorts, i);
    if (lockedN > cohorts.peakLockedN[i]) cohorts.peakLockedN[i] = lockedN;
  }
}
