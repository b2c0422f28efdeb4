import type { Bed, SubStep } from '../bed.ts';
import type { Cohort } from '../cohort.ts';

/** Humus brought or made by a cohort decays where the cohort lies, at the pace of slow native matter. */
export function loseHumus({ state }: Bed, step: SubStep, cohort: Cohort): void {
  const { postings, contactZone, rootZone } = state;
  const inContact = cohort.dugDepthCm === 0 ? 1 : cohort.shareInContactZone;
  const fromContact = inContact * step.contactHumusLoss;
  const fromRoot = (1 - inContact) * step.rootHumusLoss;
  const lostC = cohort.humusC * (fromContact + fromRoot);
  const toContact = cohort.humusN * fromContact;
  const toRoot = cohort.humusN * fromRoot;
  cohort.humusC -= lostC;
  cohort.humusN -= toContact + toRoot;
  cohort.respiredC += lostC;
  cohort.releasedToContactZoneN += toContact;
  contactZone.nitrogenG += toContact;
  step.ammoniumToContactN += toContact;
  postings.laidHumusCarbonRespired += lostC;
  postings.laidHumusToContactZone += toContact;
  if (fromRoot > 0) {
    cohort.releasedToRootZoneN += toRoot;
    rootZone.nitrogenG += toRoot;
    step.ammoniumToRootN += toRoot;
    postings.laidHumusToRootZone += toRoot;
  }
}

/**
 * Decays a cohort in one pass if neither of its parts lacks nitrogen, and says whether it did. Both parts then lose in
 * proportion to the pools they share, so their losses are added up first, and what each sets free is four products.
 * The same arithmetic as `weighPart` and `applyDecay`, which decay what lacks nitrogen.
 */
export function decayFreely({ state, constants }: Bed, step: SubStep, cohort: Cohort): boolean {
  const { parameters: p } = constants;
  const { contactDecay, upperDecay } = cohort;
  const onSurface = cohort.dugDepthCm === 0;
  const contactShare = onSurface ? cohort.contactShare : cohort.shareInContactZone;
  const upperShare = 1 - contactShare;
  const { quickC, structuralC, woodyC, microbialC, quickN, structuralN, woodyN, microbialN } = cohort;
  const growthPerN = p.growthEfficiency / cohort.microbialCn;
  const humusPerN = cohort.woodyHumified / p.humusCarbonToNitrogen;

  // What all of a pool would set free, were it lost: its own nitrogen less what growth on it wants.
  const keptN = Math.min((cohort.biomassHumified * microbialC) / p.humusCarbonToNitrogen, microbialN);
  const quickFree = quickN - quickC * growthPerN;
  const structuralFree = structuralN - structuralC * growthPerN;
  const woodyFree = woodyN - woodyC * (p.woodyGrowthEfficiency / cohort.microbialCn + humusPerN);
  const microbialFree = microbialN - keptN;
  const contactFree =
    contactShare *
    (contactDecay.quickLoss * quickFree +
      contactDecay.structuralLoss * structuralFree +
      contactDecay.woodyLoss * woodyFree +
      contactDecay.microbialLoss * microbialFree);
  if (contactFree < 0) return false;
  const upperFree =
    upperShare *
    (upperDecay.quickLoss * quickFree +
      upperDecay.structuralLoss * structuralFree +
      upperDecay.woodyLoss * woodyFree +
      upperDecay.microbialLoss * microbialFree);
  if (upperFree < 0) return false;

  const quickLoss = contactShare * contactDecay.quickLoss + upperShare * upperDecay.quickLoss;
  const structuralLoss = contactShare * contactDecay.structuralLoss + upperShare * upperDecay.structuralLoss;
  const woodyLoss = contactShare * contactDecay.woodyLoss + upperShare * upperDecay.woodyLoss;
  const microbialLoss = contactShare * contactDecay.microbialLoss + upperShare * upperDecay.microbialLoss;
  const lostQuickC = quickLoss * quickC;
  const lostStructuralC = structuralLoss * structuralC;
  const lostWoodyC = woodyLoss * woodyC;
  const dyingC = microbialLoss * microbialC;
  const lostQuickN = quickLoss * quickN;
  const lostStructuralN = structuralLoss * structuralN;
  const lostWoodyN = woodyLoss * woodyN;
  const grownC = p.growthEfficiency * (lostQuickC + lostStructuralC) + p.woodyGrowthEfficiency * lostWoodyC;
  const woodyHumusC = cohort.woodyHumified * lostWoodyC;
  const biomassHumusC = cohort.biomassHumified * dyingC;
  const humusN = humusPerN * lostWoodyC + microbialLoss * keptN;
  const freshRespiredC = lostQuickC + lostStructuralC + lostWoodyC - grownC - woodyHumusC;
  const biomassRespiredC = dyingC - biomassHumusC;

  cohort.quickC = quickC - lostQuickC;
  cohort.structuralC = structuralC - lostStructuralC;
  cohort.woodyC = woodyC - lostWoodyC;
  cohort.quickN = quickN - lostQuickN;
  cohort.structuralN = structuralN - lostStructuralN;
  cohort.woodyN = woodyN - lostWoodyN;
  cohort.microbialC = microbialC + grownC - dyingC;
  cohort.microbialN = microbialN + grownC / cohort.microbialCn - microbialLoss * microbialN;
  cohort.humusC += woodyHumusC + biomassHumusC;
  cohort.humusN += humusN;
  cohort.humifiedC += woodyHumusC + biomassHumusC;
  cohort.respiredC += freshRespiredC + biomassRespiredC;
  cohort.decayLimit = 1;

  const { postings } = state;
  postings.freshCarbonGrown += grownC;
  postings.freshCarbonHumified += woodyHumusC;
  postings.freshCarbonRespired += freshRespiredC;
  postings.microbialCarbonHumified += biomassHumusC;
  postings.microbialCarbonRespired += biomassRespiredC;
  postings.freshNitrogenTaken += lostQuickN + lostStructuralN + lostWoodyN;
  postings.microbialNitrogenHumified += humusN;

  // The part in touch with the soil gives to the contact zone, the rest to the root zone when dug, else to its layer.
  let toContact = contactFree;
  if (onSurface) {
    let ammonia = contactFree * cohort.contactAmmonia;
    toContact -= ammonia;
    const upperAmmonia = upperFree * cohort.upperAmmonia;
    ammonia += upperAmmonia;
    const upperGiven = upperFree - upperAmmonia;
    if (cohort.traits.countsAsSoil) {
      toContact += upperGiven;
    } else if (upperGiven > 0) {
      cohort.layer.nitrogenG += upperGiven;
      cohort.releasedToLayersN += upperGiven;
      postings.mineralizedToLayers += upperGiven;
    }
    if (ammonia > 0) {
      cohort.volatilizedN += ammonia;
      postings.mineralizedVolatilized += ammonia;
    }
  } else if (upperFree > 0) {
    state.rootZone.nitrogenG += upperFree;
    step.ammoniumToRootN += upperFree;
    cohort.releasedToRootZoneN += upperFree;
    postings.mineralizedToRootZone += upperFree;
  }
  state.contactZone.nitrogenG += toContact;
  step.ammoniumToContactN += toContact;
  cohort.releasedToContactZoneN += toContact;
  postings.mineralizedToContactZone += toContact;
  return true;
}
