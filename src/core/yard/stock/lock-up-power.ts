import {
  drawnNitrogen,
  releasedNitrogen,
  runTo,
  seasonTrial,
  startRun,
  withOverrides,
} from '../../model/index.ts';
import { dryG, nitrogenG, scaleContents, type LotContents } from './lot-contents.ts';
import { openingOfContents } from './lot-figures.ts';

/** What it would do to soil it is dug into. */
export interface LockUpPower {
  /** Most nitrogen it holds at one time, g per kg of dry mass; 0 for what only gives. */
  readonly peakLockGPerKgDry: number;
  /** Nitrogen it has given by the end of the season as a share of what it brought; below 0 when it has taken. */
  readonly availableShare: number;
}

const DRY_KG_PER_M2 = 1;

/** Lock-up power of what a lot holds, worked out on a bed of its own. Not for an empty lot. */
export function lockUpPower(contents: LotContents): LockUpPower {
  const sample = scaleContents(contents, (DRY_KG_PER_M2 * 1000) / dryG(contents));
  const opening = openingOfContents(sample, withOverrides());
  const run = startRun(seasonTrial({ opening, massFreshKgPerM2: DRY_KG_PER_M2 }));
  runTo(run, run.scenario.endDay);
  const [tried] = run.bed.state.cohorts;
  const brought = nitrogenG(sample);
  return {
    peakLockGPerKgDry: tried.peakLockedN / DRY_KG_PER_M2,
    availableShare: brought > 0 ? (releasedNitrogen(tried) - drawnNitrogen(tried)) / brought : 0,
  };
}
