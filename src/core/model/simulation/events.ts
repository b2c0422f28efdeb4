import type { ClimateNormals } from '../../../records/garden.ts';
import { clamp } from '../../ground/index.ts';
import type { Bed } from './bed.ts';
import { openingFromDryMass, openingFromFreshMass, type CohortOpening } from './cohort-opening.ts';
import { isOnSurface } from './cohort.ts';
import { digCohort, openCohort, soakIn, takeOffCohort } from './cohorts.ts';
import { emptyCrop } from './crop.ts';
import { normalDayDegrees } from './crop-growth.ts';
import type { ModelParameters } from './parameters.ts';
import { openingFromPile, type PileResult } from './pile.ts';
import { giveWaitingRoots } from './root-litter.ts';
import {
  CONTACT_ZONE_CM,
  FEED_AMMONIUM_SHARE,
  isFromPile,
  isFromStock,
  type Apply,
  type BedEvent,
  type CropPlan,
  type Dig,
  type Feed,
  type Remove,
  type SoilTest,
} from './scenario.ts';
import { addToContactZone, addToRootZone } from './soil-zones.ts';

/** Finished piles by id. */
export type Piles = ReadonlyMap<string, PileResult>;

/** Carries out an event and returns the water it brings, mm. Mutates bed.state. */
export function carryOut(bed: Bed, event: BedEvent, piles: Piles): number {
  switch (event.type) {
    case 'apply':
      apply(bed, event, piles);
      return 0;
    case 'dig':
      dig(bed, event);
      return 0;
    case 'feed':
      feed(bed, event);
      return 0;
    case 'remove':
      remove(bed, event);
      return 0;
    case 'soilTest':
      adjustToTest(bed, event);
      return 0;
    case 'irrigate':
      return event.waterMm;
  }
}

/** What an application opens its cohort with. */
export function openingOf(event: Apply, piles: Piles, p: ModelParameters): CohortOpening {
  if (isFromStock(event)) return event.opening;
  return isFromPile(event)
    ? openingFromPile(piles.get(event.pileId)!, event.massFreshKgPerM2, p)
    : openingFromFreshMass(event.material, event.massFreshKgPerM2, p);
}

function apply(bed: Bed, event: Apply, piles: Piles): void {
  const opening = openingOf(event, piles, bed.constants.parameters);
  const cohort = openCohort(bed, opening, { ...event, origin: 'materials' });
  if (event.dugDepthCm > 0) digCohort(bed, cohort, event.dugDepthCm);
  else if (opening.isLiquid) soakIn(bed, cohort);
}

function dig(bed: Bed, { cohortIds, depthCm }: Dig): void {
  for (const cohort of bed.state.cohorts) {
    const isMeant = cohortIds === 'all' || cohortIds.includes(cohort.traits.id);
    if (isMeant && isOnSurface(cohort)) digCohort(bed, cohort, depthCm);
  }
}

function feed({ state, constants }: Bed, event: Feed): void {
  const { nitrogenGPerM2, depthCm, ammoniumShare = FEED_AMMONIUM_SHARE } = event;
  const depth = clamp(depthCm, CONTACT_ZONE_CM, constants.rootZoneCm);
  const toContact = (nitrogenGPerM2 * CONTACT_ZONE_CM) / depth;
  const toRoot = nitrogenGPerM2 - toContact;
  addToContactZone(state, toContact, ammoniumShare);
  addToRootZone(state, toRoot, ammoniumShare);
  state.postings.fedToContactZone += toContact;
  state.postings.fedToRootZone += toRoot;
}

/** A dose of quick nitrogen worked out by the supplement solver, all into the contact zone. Mutates bed.state. */
export function giveDose({ state }: Bed, nitrogenGPerM2: number): void {
  addToContactZone(state, nitrogenGPerM2, FEED_AMMONIUM_SHARE);
  state.postings.fedToContactZone += nitrogenGPerM2;
}

function remove(bed: Bed, { cohortId, share, humusShare = 0 }: Remove): void {
  const cohort = bed.state.cohorts.find(({ traits }) => traits.id === cohortId)!;
  takeOffCohort(bed, cohort, share, humusShare);
}

function adjustToTest({ state }: Bed, { mineralNGPerM2 }: SoilTest): void {
  const { contactZone, rootZone, postings } = state;
  const [contactN, rootN, upperN = state.upperSubsoilN, lowerN = state.lowerSubsoilN] = mineralNGPerM2;
  postings.testedContactZone += contactN - contactZone.nitrogenG;
  postings.testedRootZone += rootN - rootZone.nitrogenG;
  postings.testedUpperSubsoil += upperN - state.upperSubsoilN;
  postings.testedLowerSubsoil += lowerN - state.lowerSubsoilN;
  contactZone.nitrogenG = contactN;
  rootZone.nitrogenG = rootN;
  state.upperSubsoilN = upperN;
  state.lowerSubsoilN = lowerN;
}

/** Sets a crop in the ground. Its day-degrees are those of the normals, whatever the weather brings. Mutates bed.state. */
export function plantCrop({ state, constants }: Bed, plan: CropPlan, climate: ClimateNormals): void {
  const p = constants.parameters;
  const crop = emptyCrop(plan, p.paleWindowDays);
  const dayDegrees = normalDayDegrees(climate, plan.plantDay, plan.harvestDay, p);
  crop.isGrownByWarmth = dayDegrees > 0;
  crop.growthNeeded = crop.isGrownByWarmth ? dayDegrees : plan.harvestDay - plan.plantDay;
  crop.fixedShare = plan.fixedShare ?? p.legumeFixedShare;
  crop.rootCarbonG = plan.rootCarbonGPerM2 ?? p.rootCarbonGPerM2;
  state.crops.push(crop);
}

export const residueId = (cropId: string): string => `${cropId}_residue`;

/** Harvests a crop; what stays becomes a cohort holding exactly that nitrogen. Mutates bed.state. */
export function harvestCrop(bed: Bed, plan: CropPlan): void {
  const { state } = bed;
  const { crops, postings } = state;
  const crop = crops.find((one) => one.plan.id === plan.id)!;
  crop.shortN += crop.backlogN;
  crop.backlogN = 0;
  crop.paleness = 0;
  crop.isAlive = false;
  while (state.firstLiving < crops.length && !crops[state.firstLiving].isAlive) state.firstLiving += 1;
  giveWaitingRoots(bed, crop);
  const standing = crop.standingN;
  crop.standingN = 0;
  const residueN = plan.residueMaterial ? standing * plan.residueShare : 0;
  postings.harvested += standing - residueN;
  if (residueN > 0 && plan.residueMaterial) layResidue(bed, plan, plan.residueMaterial, residueN);
}

function layResidue(
  bed: Bed,
  crop: CropPlan,
  material: NonNullable<CropPlan['residueMaterial']>,
  nitrogenG: number,
): void {
  const dryG = nitrogenG / material.nitrogenFractionDryBasis;
  const opening = openingFromDryMass(material, dryG, bed.constants.parameters);
  const cohort = openCohort(bed, opening, {
    id: residueId(crop.id),
    exposure: 'normal',
    isOnPath: false,
    origin: 'crops',
  });
  if (crop.residueDugDepthCm > 0) digCohort(bed, cohort, crop.residueDugDepthCm);
}
