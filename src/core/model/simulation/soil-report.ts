import { ORGANIC_MATTER_PER_CARBON, type Bed } from './bed.ts';
import { charCarbon, freshCarbon, humusOnTop, isOnSurface, type Cohort } from './cohort.ts';
import { mulchHeightCm } from './report.ts';

const SQUARE_CM_PER_M2 = 10_000;

/** What a bed is made of where a laboratory would sample it, and how high it stands. */
export interface SoilReport {
  /** As a laboratory reports it: all that passes a 2 mm sieve and burns, what is half rotted included, %. */
  readonly organicMatterPct: number;
  /** The part of it that is humus proper, old and new: slower and steadier, %. */
  readonly humusPct: number;
  /** All humus of the bed against the mass of the soil at its start, %: what ash adds to the soil does not thin it. */
  readonly humusOfFirstSoilPct: number;
  /** Height of the bed over its first surface, cm. */
  readonly riseCm: number;
  /** Of the sampled depth by the volumes of its organic and mineral parts (Adams 1973, from memory), g/cm3. */
  readonly bulkDensityGPerCm3: number;
}

/** Humus of a cohort that lies in the soil. */
const humusInSoil = (cohort: Cohort): number => cohort.humusC - humusOnTop(cohort);

const bodyCarbon = (cohort: Cohort): number => freshCarbon(cohort) + charCarbon(cohort);

/** Carbon of a cohort, apart from humus, that a laboratory would measure: of a layer on top only compost that has sunk in. */
function sievedCarbon(cohort: Cohort): number {
  const { sievedShare, countsAsSoil } = cohort.traits;
  if (!isOnSurface(cohort)) return sievedShare * bodyCarbon(cohort) + cohort.microbialC;
  if (!countsAsSoil) return 0;
  return sievedShare * (1 - cohort.onTopShare) * (bodyCarbon(cohort) + cohort.microbialC);
}

/** Carbon, apart from humus, that has become part of the soil of the bed, sieved or not. */
function buriedCarbon(cohort: Cohort): number {
  const all = bodyCarbon(cohort) + cohort.microbialC;
  if (!isOnSurface(cohort)) return all;
  return cohort.traits.countsAsSoil ? (1 - cohort.onTopShare) * all : 0;
}

const sunkAsh = (cohort: Cohort): number => cohort.ashG * (1 - cohort.onTopShare);

export function reportSoil(bed: Bed): SoilReport {
  const { state, constants } = bed;
  const { parameters: p, samplingDepthCm, soilMassGPerM2 } = constants;
  const nativeC = constants.inertC + state.activeHumusC + state.slowHumusC;
  let laboratoryC = nativeC;
  let humusC = nativeC;
  let sampledHumusC = nativeC;
  let buriedC = nativeC;
  let sampledAshG = 0;
  let ashG = 0;
  for (const cohort of state.roots ? [...state.cohorts, state.roots] : state.cohorts) {
    const sampledShare = isOnSurface(cohort) ? 1 : Math.min(1, samplingDepthCm / cohort.dugDepthCm);
    const inSoilC = humusInSoil(cohort);
    laboratoryC += sampledShare * (inSoilC + sievedCarbon(cohort));
    humusC += inSoilC;
    sampledHumusC += sampledShare * inSoilC;
    buriedC += inSoilC + buriedCarbon(cohort);
    sampledAshG += sampledShare * sunkAsh(cohort);
    ashG += sunkAsh(cohort);
  }
  const organicG = ORGANIC_MATTER_PER_CARBON * laboratoryC;
  const sampledG = organicG + constants.mineralMassGPerM2 + sampledAshG;
  const addedOrganicG = ORGANIC_MATTER_PER_CARBON * buriedC - constants.organicMassGPerM2;
  const addedCm =
    (addedOrganicG / p.organicMatterDensityGPerCm3 + ashG / constants.mineralDensityGPerCm3) /
    SQUARE_CM_PER_M2;
  const volumeCm =
    (organicG / p.organicMatterDensityGPerCm3 +
      (constants.mineralMassGPerM2 + sampledAshG) / constants.mineralDensityGPerCm3) /
    SQUARE_CM_PER_M2;
  return {
    organicMatterPct: (100 * organicG) / sampledG,
    humusPct: (100 * ORGANIC_MATTER_PER_CARBON * sampledHumusC) / sampledG,
    humusOfFirstSoilPct: (100 * ORGANIC_MATTER_PER_CARBON * humusC) / soilMassGPerM2,
    riseCm: Math.max(0, mulchHeightCm(bed) + addedCm),
    bulkDensityGPerCm3: sampledG / SQUARE_CM_PER_M2 / volumeCm,
  };
}

/** Organic matter as a laboratory would report it, %. */
export const organicMatterPct = (bed: Bed): number => reportSoil(bed).organicMatterPct;
