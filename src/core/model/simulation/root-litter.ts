import type { Bed } from './bed.ts';
import { microbialCnForFeed } from './cohort-opening.ts';
import { placeInSoil, setHumification } from './cohorts.ts';
import { emptyCohort, traits, type Cohort } from './cohort.ts';
import type { Crop } from './crop.ts';
import { decayClassFor } from './decay-classes.ts';

export const ROOTS_ID = 'roots';

/** The account of root litter, opened by the first crop that gives some. */
function openRoots(bed: Bed): Cohort {
  const { constants, classes } = bed;
  const p = constants.parameters;
  const roots = emptyCohort(
    traits({
      id: ROOTS_ID,
      kind: 'residue',
      decayRateFactor: 1,
      sievedShare: p.sievedShare.fine,
      humificationFactor: p.rootHumification,
      ammoniaExposure: 0,
      ammoniaProneShare: 0,
      vaporBarrier: 0,
      countsAsSoil: false,
      isLiftCapped: false,
    }),
    decayClassFor(classes, 1, 1, 'contactZone'),
    decayClassFor(classes, 1, 1, 'rootZone'),
  );
  roots.microbialCn = microbialCnForFeed(p.rootFeedCn, p);
  setHumification(bed, roots);
  placeInSoil(bed, roots, p.rootLitterDepthCm);
  return roots;
}

/**
 * What a crop gave its roots in this sub-step, g C/m2 and g N/m2: of an annual a share lives until harvest and waits,
 * the rest dies and passes at once. Mutates bed.state.
 */
export function growRoots(bed: Bed, crop: Crop, carbonG: number, nitrogenG: number): void {
  const { rootLateShare } = bed.constants.parameters;
  const late = crop.isPerennial ? 0 : rootLateShare;
  crop.waitingRootC += late * carbonG;
  crop.waitingRootN += late * nitrogenG;
  pass(bed, crop, (1 - late) * carbonG, (1 - late) * nitrogenG);
}

/** At harvest the roots that lived until then die. Mutates bed.state. */
export function giveWaitingRoots(bed: Bed, crop: Crop): void {
  const { waitingRootC, waitingRootN } = crop;
  crop.waitingRootC = 0;
  crop.waitingRootN = 0;
  pass(bed, crop, waitingRootC, Math.min(waitingRootN, crop.standingN));
}

function pass(bed: Bed, crop: Crop, carbonG: number, nitrogenG: number): void {
  if (!(carbonG > 0)) return;
  const { state, constants } = bed;
  const p = constants.parameters;
  const roots = (state.roots ??= openRoots(bed));
  const quick = p.rootQuickShare;
  const woody = p.rootWoodyShare;
  const structural = 1 - quick - woody;
  const perWeight =
    nitrogenG /
    (quick * p.quickNitrogenWeight + structural * p.structuralNitrogenWeight + woody * p.woodyNitrogenWeight);
  roots.quickC += quick * carbonG;
  roots.structuralC += structural * carbonG;
  roots.woodyC += woody * carbonG;
  roots.quickN += quick * p.quickNitrogenWeight * perWeight;
  roots.structuralN += structural * p.structuralNitrogenWeight * perWeight;
  roots.woodyN += woody * p.woodyNitrogenWeight * perWeight;
  roots.openingC += carbonG;
  roots.openingN += nitrogenG;
  crop.standingN -= nitrogenG;
  crop.rootGivenC += carbonG;
  state.postings.rootCarbonToFresh += carbonG;
  state.postings.rootNitrogenToFresh += nitrogenG;
}
