import type { DayNumber } from '../climate/calendar.ts';
import { FLOW } from '../ledger/flows.ts';
import { CONTACT_ZONE, layerAccount, type Bed } from './bed.ts';
import { carbonPools, livingCarbon, nitrogenPools, type CohortTable } from './cohort-table.ts';

/** Which cohorts are old enough, and which must stay because something will still be done to them. */
export interface Folding {
  /** Cohorts opened on or after this day stay as they are. */
  readonly openedBefore: DayNumber;
  readonly openedOn: (cohortId: string) => DayNumber | undefined;
  readonly isNamedLater: (cohortId: string) => boolean;
}

/**
 * Lays old cohorts of the same make and place together, so that a run of decades does not carry one for everything
 * that was ever laid. Pools, memo counters and layer nitrogen are added up, so the books do not move; what is a
 * property (biomass C:N, looseness, residence of char) becomes the mean by mass. Mutates bed.state.
 */
export function foldCohorts(bed: Bed, folding: Folding): void {
  const { cohorts } = bed.state;
  postTraces(bed);
  const isOld = (i: number): boolean => {
    const id = cohorts.ids[i];
    const opened = folding.openedOn(id);
    return opened !== undefined && opened < folding.openedBefore && !folding.isNamedLater(id);
  };
  for (let from = cohorts.count - 1; from > 0; from--) {
    if (!isOld(from)) continue;
    const into = olderTwin(cohorts, from, isOld);
    if (into === undefined) continue;
    merge(bed, into, from);
    removeCohort(bed, from);
  }
}

/** Less than this lies in a layer for the day's arithmetic alone, g N/m2. */
const TRACE_G = 1e-9;

/** Traces of ammonium and nitrate that rain would go on washing out of old layers for ever go down at once, posted. */
function postTraces({ state: { cohorts: t, mineralN, flows } }: Bed): void {
  for (let i = 0; i < t.count; i++) {
    const layer = layerAccount(i);
    if (t.ammoniumN[i] > 0 && t.ammoniumN[i] < TRACE_G) {
      mineralN[CONTACT_ZONE] += t.ammoniumN[i];
      flows[FLOW.ammoniumToContactZone] += t.ammoniumN[i];
      t.ammoniumN[i] = 0;
    }
    if (mineralN[layer] > 0 && mineralN[layer] < TRACE_G) {
      mineralN[CONTACT_ZONE] += mineralN[layer];
      flows[FLOW.layersToContactZone] += mineralN[layer];
      mineralN[layer] = 0;
    }
  }
}

function olderTwin(t: CohortTable, from: number, isOld: (i: number) => boolean): number | undefined {
  for (let i = 0; i < from; i++) if (areAlike(t, i, from) && isOld(i)) return i;
  return undefined;
}

const areAlike = (t: CohortTable, a: number, b: number): boolean =>
  t.kinds[a] === t.kinds[b] &&
  t.decayRateFactor[a] === t.decayRateFactor[b] &&
  t.contactClass[a] === t.contactClass[b] &&
  t.upperClass[a] === t.upperClass[b] &&
  t.dugDepthCm[a] === t.dugDepthCm[b] &&
  t.vaporBarrier[a] === t.vaporBarrier[b];

/** Columns that are amounts. */
const amountsOf = (t: CohortTable): Float64Array[] => [
  ...carbonPools(t),
  ...nitrogenPools(t),
  t.ammoniumN,
  t.charHeldN,
  t.charCapacityN,
  t.unmixedHumusC,
  t.openingStructuralC,
  t.openingC,
  t.openingN,
  t.respiredC,
  t.humifiedC,
  t.drawnFromLayersN,
  t.drawnFromContactZoneN,
  t.drawnFromRootZoneN,
  t.releasedToLayersN,
  t.releasedToContactZoneN,
  t.releasedToRootZoneN,
  t.volatilizedN,
];

function merge({ state: { cohorts: t, mineralN } }: Bed, into: number, from: number): void {
  const charC = (i: number) => t.labileCharC[i] + t.stableCharC[i];
  const looseC = (i: number) => livingCarbon(t, i) + charC(i) + t.unmixedHumusC[i];
  setMean(t.thicknessCmPerG, into, from, looseC);
  setMean(t.unsettledShare, into, from, looseC);
  setMean(t.stableCharResidenceDays, into, from, charC);
  setMean(t.microbialCn, into, from, (i) => t.microbialC[i]);
  for (const column of amountsOf(t)) column[into] += column[from];
  t.peakLockedN[into] = Math.max(t.peakLockedN[into], t.peakLockedN[from]);
  mineralN[layerAccount(into)] += mineralN[layerAccount(from)];
}

function setMean(column: Float64Array, into: number, from: number, weigh: (i: number) => number): void {
  const [a, b] = [weigh(into), weigh(from)];
  if (a + b > 0) column[into] = (column[into] * a + column[from] * b) / (a + b);
}

function removeCohort({ state: { cohorts: t, mineralN } }: Bed, gone: number): void {
  const capacity = t.quickC.length;
  const columns = t.values.length / capacity;
  for (let c = 0; c < columns; c++) {
    t.values.copyWithin(c * capacity + gone, c * capacity + gone + 1, c * capacity + t.count);
  }
  mineralN.copyWithin(layerAccount(gone), layerAccount(gone + 1), layerAccount(t.count));
  mineralN[layerAccount(t.count - 1)] = 0;
  // Whoever opens a cohort there next finds the row empty.
  for (let c = 0; c < columns; c++) t.values[c * capacity + t.count - 1] = 0;
  t.ids.splice(gone, 1);
  t.kinds.splice(gone, 1);
  t.count -= 1;
}
