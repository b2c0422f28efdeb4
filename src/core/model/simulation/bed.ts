import { type DayNumber, clamp, clayFactor, lostShare, maximumDeficitPer23Cm } from '../../ground/index.ts';
import { openPostings, copyPostings, type Postings } from '../ledger/postings.ts';
import { copyCohort, emptyCohort, type Cohort } from './cohort.ts';
import { copyCrop, emptyCrop, type Crop } from './crop.ts';
import { Modifiers, type DecayClass } from './decay-classes.ts';
import { MineralAccount } from './decay-part.ts';
import type { ModelParameters } from './parameters.ts';
import { CONTACT_ZONE_CM, type SoilStart } from './scenario.ts';

const RAIN_GAUGE_DEPTH_CM = 23;
const SATURATED_CLAY_PCT = 50;
const NO_DENITRIFICATION_CLAY_PCT = 10;
/** Organic matter is taken to be 58 % carbon (van Bemmelen, from memory). */
export const ORGANIC_MATTER_PER_CARBON = 1.724;
const SQUARE_CM_PER_M2 = 10_000;

/**
 * What follows from soil and parameters and stays the same through a run. Its numbers start as NaN so that engines keep
 * them as plain doubles.
 */
export class BedConstants {
  readonly parameters: ModelParameters;
  stepsPerDay = NaN;
  dtDays = NaN;
  depositionGPerM2Year = NaN;
  /** Depth of the bed, and of each of the two subsoil cells below it, cm. */
  rootZoneCm = NaN;
  subsoilCellCm = NaN;
  samplingDepthCm = NaN;
  soilMassGPerM2 = NaN;
  /** Organic and mineral part of that mass at the start. */
  organicMassGPerM2 = NaN;
  mineralMassGPerM2 = NaN;
  /** Density of the mineral part alone. */
  mineralDensityGPerCm3 = NaN;
  inertC = NaN;
  inertN = NaN;
  /** Share of native organic matter in the contact zone. */
  contactHumusShare = NaN;
  contactMaximumDeficitMm = NaN;
  rootMaximumDeficitMm = NaN;
  /** Water that nitrate is mixed into, mm. */
  contactWaterMm = NaN;
  rootWaterMm = NaN;
  subsoilWaterMm = NaN;
  contactHeldN = NaN;
  rootHeldN = NaN;
  denitrificationWeight = NaN;
  ammoniaPhFactor = NaN;
  clayFactor = NaN;
  /** Largest share of a zone taken in one sub-step, by microbes, roots, roots below the bed, and char. */
  microbialDraw = NaN;
  cropDraw = NaN;
  deepDraw = NaN;
  charDraw = NaN;
  charFilling = NaN;
  charFouling = NaN;
  labileCharPerDay = NaN;
  settlingKept = NaN;
  humusMixingKept = NaN;

  constructor(parameters: ModelParameters) {
    this.parameters = parameters;
  }
}

/**
 * Everything that changes from one sub-step to the next. Its numbers start as NaN so that engines keep them as plain
 * doubles.
 */
export class BedState {
  activeHumusC = NaN;
  activeHumusN = NaN;
  slowHumusC = NaN;
  slowHumusN = NaN;
  contactDeficitMm = NaN;
  rootDeficitMm = NaN;
  drainedMm = NaN;
  contactSoilC = NaN;
  rootSoilC = NaN;
  /** Share of the mineral nitrogen of the two zones that is ammonium. */
  contactAmmoniumShare = NaN;
  rootAmmoniumShare = NaN;
  upperSubsoilN = NaN;
  lowerSubsoilN = NaN;
  readonly contactZone = new MineralAccount('contactZone');
  readonly rootZone = new MineralAccount('rootZone');
  /** In order of application: the lowest layer first. */
  readonly cohorts: Cohort[] = [];
  /** Root litter of all crops; null until a root has given some. */
  roots: Cohort | null = null;
  /** In order of planting. */
  readonly crops: Crop[] = [];
  /** No crop before this one is alive: what loops over the living starts here. */
  firstLiving = 0;
  readonly postings: Postings = openPostings();
}

/** A bed under simulation: fixed constants, mutable state, and what is worked out once and kept. */
export interface Bed {
  readonly constants: BedConstants;
  readonly state: BedState;
  readonly classes: DecayClass[];
}

/** One sub-step: the weather it has, and what earlier processes of the same sub-step found. */
export class SubStep {
  day: DayNumber = NaN;
  waterMm = NaN;
  evapotranspirationMm = NaN;
  airC = NaN;
  surfaceC = NaN;
  yearlySurfaceC = NaN;
  surfaceWarmth = NaN;
  q10Modifier = NaN;
  /** Temperature modifiers of the two soil zones. */
  contactWarmth = NaN;
  rootWarmth = NaN;
  contactMoisture = NaN;
  rootMoisture = NaN;
  readonly modifiers = new Modifiers();
  /** Water that left each zone downwards, mm. */
  contactDrainMm = NaN;
  rootDrainMm = NaN;
  mulchCm = NaN;
  insulationCm = NaN;
  /** Insulation the two lags below were worked out for. */
  laggedInsulationCm = NaN;
  contactFollowing = NaN;
  rootFollowing = NaN;
  /** Share of rain that passes all sheets lying on the soil. */
  soilShield = NaN;
  /** Share of cohort humus lost in the contact zone and in the root zone. */
  contactHumusLoss = NaN;
  rootHumusLoss = NaN;
  labileCharLoss = NaN;
  /** Factor of soil warmth on char decay. */
  charPace = NaN;
  /** Mineral nitrogen of the zones after deposition, and what came to them since, g/m2. */
  contactBeforeN = NaN;
  rootBeforeN = NaN;
  ammoniumToContactN = NaN;
  ammoniumToRootN = NaN;
  washedToContactN = NaN;
  nitrateToContactN = NaN;
}

/**
 * Inert carbon, g/m2, from all organic carbon in g/m2 (Falloon et al. 1998 form in t/ha, from memory).
 *
 * @example
 * inertCarbon(6000) // 519
 */
export const inertCarbon = (organicC: number): number =>
  Math.min(organicC, 100 * 0.049 * (organicC / 100) ** 1.139);

/** Mass of soil the organic matter figure holds for, g/m2. */
const soilMass = (soil: SoilStart): number =>
  soil.bulkDensityGPerCm3 * soil.samplingDepthCm * SQUARE_CM_PER_M2;

/** Organic carbon of the sampled depth at the start, g/m2. */
export const organicCarbon = (soil: SoilStart): number =>
  (soil.organicMatterPct / 100 / ORGANIC_MATTER_PER_CARBON) * soilMass(soil);

/** Density of the mineral part: volumes of organic and mineral matter add up (Adams 1973, Stewart; from memory). */
function mineralDensity({ organicMatterPct, bulkDensityGPerCm3 }: SoilStart, p: ModelParameters): number {
  const organicShare = organicMatterPct / 100;
  const mineralVolume = 1 / bulkDensityGPerCm3 - organicShare / p.organicMatterDensityGPerCm3;
  return mineralVolume <= 0
    ? p.densestMineralSoil
    : clamp((1 - organicShare) / mineralVolume, p.lightestMineralSoil, p.densestMineralSoil);
}

export function bedConstants(
  soil: SoilStart,
  p: ModelParameters,
  stepsPerDay: number,
  depositionGPerM2Year: number,
): BedConstants {
  const dt = 1 / stepsPerDay;
  // A bed entered deeper is worked to this depth; what lies below is subsoil.
  const rootZoneCm = Math.min(soil.rootZoneCm, p.workedDepthCm);
  const belowCm = rootZoneCm - CONTACT_ZONE_CM;
  const subsoilCellCm = (p.subsoilBottomCm - rootZoneCm) / 2;
  const maximum = maximumDeficitPer23Cm(soil.clayPct);
  const theta = p.fieldCapacityBase + p.fieldCapacityPerClayPct * soil.clayPct;
  const heldPerCm = p.heldAmmoniumGPerM2Cm * clamp(soil.clayPct / 20, 0.2, 1.5);
  const inertC = inertCarbon(organicCarbon(soil));
  const mass = soilMass(soil);
  const organicMass = (mass * soil.organicMatterPct) / 100;
  const drawn = (perDay: number): number => 1 - (1 - perDay) ** dt;
  return Object.assign(new BedConstants(p), {
    stepsPerDay,
    dtDays: dt,
    depositionGPerM2Year,
    rootZoneCm,
    subsoilCellCm,
    samplingDepthCm: soil.samplingDepthCm,
    soilMassGPerM2: mass,
    organicMassGPerM2: organicMass,
    mineralMassGPerM2: mass - organicMass,
    mineralDensityGPerCm3: mineralDensity(soil, p),
    inertC,
    inertN: inertC / soil.carbonToNitrogen,
    contactHumusShare: CONTACT_ZONE_CM / Math.max(soil.samplingDepthCm, CONTACT_ZONE_CM),
    contactMaximumDeficitMm: (maximum * CONTACT_ZONE_CM) / RAIN_GAUGE_DEPTH_CM,
    rootMaximumDeficitMm: (maximum * belowCm) / RAIN_GAUGE_DEPTH_CM,
    contactWaterMm: theta * CONTACT_ZONE_CM * 10,
    rootWaterMm: theta * belowCm * 10,
    subsoilWaterMm: theta * subsoilCellCm * 10,
    contactHeldN: heldPerCm * CONTACT_ZONE_CM,
    rootHeldN: heldPerCm * belowCm,
    denitrificationWeight: clamp(
      (soil.clayPct - NO_DENITRIFICATION_CLAY_PCT) / (SATURATED_CLAY_PCT - NO_DENITRIFICATION_CLAY_PCT),
      0,
      1,
    ),
    ammoniaPhFactor: clamp(
      Math.exp(p.ammoniaPhSlope * (soil.ph - p.ammoniaReferencePh)),
      p.leastPhFactor,
      p.largestPhFactor,
    ),
    clayFactor: clayFactor(soil.clayPct, p.referenceClayPct),
    microbialDraw: drawn(p.microbialDrawPerDay),
    cropDraw: drawn(p.cropDrawPerDay),
    deepDraw: drawn(p.deepDrawPerDay),
    charDraw: drawn(p.charDrawPerDay),
    charFilling: lostShare(dt / p.charFillingDays),
    charFouling: Math.exp((-p.charFoulingPerYear * dt) / 365),
    labileCharPerDay: dt / p.labileCharResidenceDays,
    settlingKept: Math.exp(-dt / p.settlingDays),
    humusMixingKept: Math.exp((-p.humusMixingPerYear * dt) / 365),
  });
}

/** A bed on its first morning, the surface at `surfaceC` degrees C. */
export function createBed(constants: BedConstants, soil: SoilStart, surfaceC: number): Bed {
  const p = constants.parameters;
  const humusC = organicCarbon(soil) - constants.inertC;
  const [contactN, rootN, upperSubsoilN = 0, lowerSubsoilN = 0] = soil.mineralNGPerM2;
  const state = new BedState();
  state.activeHumusC = humusC * p.activeShare[soil.history];
  state.slowHumusC = humusC - state.activeHumusC;
  state.activeHumusN = state.activeHumusC / soil.carbonToNitrogen;
  state.slowHumusN = state.slowHumusC / soil.carbonToNitrogen;
  state.contactDeficitMm = soil.deficitMm[0];
  state.rootDeficitMm = soil.deficitMm[1];
  state.drainedMm = 0;
  state.contactSoilC = surfaceC;
  state.rootSoilC = surfaceC;
  state.contactAmmoniumShare = p.ammoniumShareAtStart;
  state.rootAmmoniumShare = p.ammoniumShareAtStart;
  state.contactZone.nitrogenG = contactN;
  state.rootZone.nitrogenG = rootN;
  state.upperSubsoilN = upperSubsoilN;
  state.lowerSubsoilN = lowerSubsoilN;
  return { constants, state, classes: [] };
}

/** Makes `target` equal to `source`; both belong to the same scenario. Mutates target. */
export function copyState(source: BedState, target: BedState): void {
  target.activeHumusC = source.activeHumusC;
  target.activeHumusN = source.activeHumusN;
  target.slowHumusC = source.slowHumusC;
  target.slowHumusN = source.slowHumusN;
  target.contactDeficitMm = source.contactDeficitMm;
  target.rootDeficitMm = source.rootDeficitMm;
  target.drainedMm = source.drainedMm;
  target.contactSoilC = source.contactSoilC;
  target.rootSoilC = source.rootSoilC;
  target.contactAmmoniumShare = source.contactAmmoniumShare;
  target.rootAmmoniumShare = source.rootAmmoniumShare;
  target.upperSubsoilN = source.upperSubsoilN;
  target.lowerSubsoilN = source.lowerSubsoilN;
  target.contactZone.nitrogenG = source.contactZone.nitrogenG;
  target.rootZone.nitrogenG = source.rootZone.nitrogenG;
  target.firstLiving = source.firstLiving;
  copyPostings(source.postings, target.postings);
  copyList(source.cohorts, target.cohorts, copyOf, copyCohort);
  copyList(source.crops, target.crops, (crop) => emptyCrop(crop.plan, crop.pastProgress.length), copyCrop);
  if (source.roots === null) target.roots = null;
  else copyCohort(source.roots, (target.roots ??= copyOf(source.roots)));
}

const copyOf = ({ traits, contactDecay, upperDecay }: Cohort): Cohort =>
  emptyCohort(traits, contactDecay, upperDecay);

/** Makes `target` as long as `source` and each of its items equal. Mutates target. */
function copyList<T>(
  source: readonly T[],
  target: T[],
  emptyLike: (one: T) => T,
  copy: (from: T, into: T) => void,
): void {
  target.length = Math.min(target.length, source.length);
  for (let i = 0; i < source.length; i++) {
    if (i === target.length) target.push(emptyLike(source[i]));
    copy(source[i], target[i]);
  }
}
