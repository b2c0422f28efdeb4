import { FLOW } from '../ledger/flows.ts';
import { clamp } from '../numerics/interpolation.ts';
import { CONTACT_ZONE, ROOT_ZONE, type Bed } from './bed.ts';
import { openingFromDryMass, openingFromFreshMass, type CohortOpening } from './cohort-opening.ts';
import { isOnSurface } from './cohort-table.ts';
import { digCohort, openCohort, soakIn, takeOffCohort } from './cohorts.ts';
import type { ModelParameters } from './parameters.ts';
import { openingFromPile, type PileResult } from './pile.ts';
import {
  CONTACT_ZONE_CM,
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
  const { cohorts } = bed.state;
  for (let i = 0; i < cohorts.count; i++) {
    const isMeant = cohortIds === 'all' || cohortIds.includes(cohorts.ids[i]);
    if (isMeant && isOnSurface(cohorts, i)) digCohort(bed, i, depthCm);
  }
}

function feed(bed: Bed, { nitrogenGPerM2, depthCm }: Feed): void {
  const depth = clamp(depthCm, CONTACT_ZONE_CM, bed.constants.rootZoneCm);
  const toContact = (nitrogenGPerM2 * CONTACT_ZONE_CM) / depth;
  feedZone(bed, CONTACT_ZONE, toContact);
  feedZone(bed, ROOT_ZONE, nitrogenGPerM2 - toContact);
}

function feedZone({ state }: Bed, zone: number, nitrogenG: number): void {
  state.mineralN[zone] += nitrogenG;
  state.flows[zone === CONTACT_ZONE ? FLOW.fedToContactZone : FLOW.fedToRootZone] += nitrogenG;
}

/** A dose of quick nitrogen worked out by the supplement solver, all into the contact zone. Mutates bed.state. */
export const giveDose = (bed: Bed, nitrogenGPerM2: number): void =>
  feedZone(bed, CONTACT_ZONE, nitrogenGPerM2);

function remove(bed: Bed, { cohortId, share, humusShare = 0 }: Remove): void {
  takeOffCohort(bed, bed.state.cohorts.ids.indexOf(cohortId), share, humusShare);
}

function adjustToTest({ state }: Bed, { mineralNGPerM2 }: SoilTest): void {
  const { mineralN, flows } = state;
  flows[FLOW.testedContactZone] += mineralNGPerM2[0] - mineralN[CONTACT_ZONE];
  flows[FLOW.testedRootZone] += mineralNGPerM2[1] - mineralN[ROOT_ZONE];
  mineralN[CONTACT_ZONE] = mineralNGPerM2[0];
  mineralN[ROOT_ZONE] = mineralNGPerM2[1];
}

/** Sets a crop in the ground. Mutates bed.state. */
export function plantCrop({ state, constants }: Bed, crop: CropPlan): void {
  const { crops } = state;
  const k = crops.count++;
  crops.ids[k] = crop.id;
  crops.demandAtHarvest[k] = crop.nitrogenDemandGPerM2;
  crops.lengthDays[k] = crop.harvestDay - crop.plantDay;
  crops.rootDepthCm[k] = crop.rootDepthCm;
  crops.fixedShare[k] = crop.fixedShare ?? constants.parameters.legumeFixedShare;
  crops.deepShare[k] = crop.deepShare;
  crops.isLegume[k] = crop.isLegume ? 1 : 0;
  crops.isPerennial[k] = crop.isPerennial ? 1 : 0;
  crops.isAlive[k] = 1;
}

export const residueId = (cropId: string): string => `${cropId}_residue`;

/** Harvests a crop; what stays becomes a cohort holding exactly that nitrogen. Mutates bed.state. */
export function harvestCrop(bed: Bed, crop: CropPlan): void {
  const { crops, flows } = bed.state;
  const k = crops.ids.indexOf(crop.id);
  crops.shortN[k] += crops.backlogN[k];
  crops.backlogN[k] = 0;
  crops.paleness[k] = 0;
  crops.isAlive[k] = 0;
  while (crops.firstLiving < crops.count && !crops.isAlive[crops.firstLiving]) crops.firstLiving += 1;
  const standing = crops.standingN[k];
  crops.standingN[k] = 0;
  const residueN = crop.residueMaterial ? standing * crop.residueShare : 0;
  flows[FLOW.harvested] += standing - residueN;
  if (residueN > 0 && crop.residueMaterial) layResidue(bed, crop, crop.residueMaterial, residueN);
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
