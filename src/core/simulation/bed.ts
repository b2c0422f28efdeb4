import { lostShare } from '../numerics/exponential-loss.ts';
import type { DayNumber } from '../climate/calendar.ts';
import { clayFactor, maximumDeficitPer23Cm } from '../climate/modifiers.ts';
import { clamp } from '../numerics/interpolation.ts';
import { FLOW_COUNT } from '../ledger/flows.ts';
import { copyCohorts, createCohortTable, type CohortTable } from './cohort-table.ts';
import { copyCrops, createCropTable, type CropTable } from './crop-table.ts';
import { createDecayClasses, type DecayClasses } from './decay-classes.ts';
import type { ModelParameters } from './parameters.ts';
import type { DecayTask } from './nitrogen-limited-decay.ts';
import { createParts } from './parts.ts';
import { CONTACT_ZONE_CM, type SoilStart } from './scenario.ts';

/** Where the mineral nitrogen of the two soil zones and of the surface layers is kept. */
export const CONTACT_ZONE = 0;
export const ROOT_ZONE = 1;
const FIRST_LAYER = 2;
/** Mineral nitrogen lying in the layer of a cohort. */
export const layerAccount = (cohort: number): number => FIRST_LAYER + cohort;

const RAIN_GAUGE_DEPTH_CM = 23;
const SATURATED_CLAY_PCT = 50;
const NO_DENITRIFICATION_CLAY_PCT = 10;
const CARBON_FROM_ORGANIC_MATTER = 1.724;

/** What follows from soil and parameters and stays the same through a run. */
export interface BedConstants {
  readonly parameters: ModelParameters;
  readonly stepsPerDay: number;
  readonly dtDays: number;
  readonly depositionGPerM2Year: number;
  readonly rootZoneCm: number;
  readonly soilMassGPerM2: number;
  readonly inertC: number;
  readonly inertN: number;
  /** Share of native humus in the contact zone. */
  readonly contactHumusShare: number;
  readonly maximumDeficitMm: readonly [number, number];
  readonly waterMm: readonly [number, number];
  readonly heldAmmoniumG: readonly [number, number];
  readonly denitrificationWeight: number;
  readonly biomassHumified: number;
  readonly woodyHumified: number;
  /** Largest share of a zone taken in one sub-step, by microbes and by crops. */
  readonly microbialDraw: number;
  readonly cropDraw: number;
  readonly charFilling: number;
  readonly charLargestDraw: number;
  readonly charFouling: number;
  readonly labileCharLoss: number;
  readonly settlingKept: number;
  readonly humusMixingKept: number;
}

/** Everything that changes from one sub-step to the next. */
export interface BedState {
  nativeHumusC: number;
  nativeHumusN: number;
  contactDeficitMm: number;
  rootDeficitMm: number;
  drainedMm: number;
  /** g/m2: contact zone, root zone, then one layer per cohort. */
  readonly mineralN: Float64Array;
  readonly cohorts: CohortTable;
  readonly crops: CropTable;
  /** Running total of every posting, g/m2. */
  readonly flows: Float64Array;
}

/** A bed under simulation: fixed constants, mutable state, and scratch that carries nothing over. */
export interface Bed {
  readonly constants: BedConstants;
  readonly state: BedState;
  readonly classes: DecayClasses;
  /** What decomposition works on; its parts carry nothing over. */
  readonly decay: DecayTask;
}

/** One sub-step: the weather it has, and what earlier processes of the same sub-step found. */
export interface SubStep {
  day: DayNumber;
  waterMm: number;
  evapotranspirationMm: number;
  temperatureModifier: number;
  q10Modifier: number;
  contactMoisture: number;
  rootMoisture: number;
  /** Water that left each zone downwards, mm. */
  contactDrainMm: number;
  rootDrainMm: number;
  mulchCm: number;
  /** Share of rain that passes all sheets lying on the soil. */
  soilShield: number;
  /** Share of humus lost in the contact zone and in the root zone. */
  contactHumusLoss: number;
  rootHumusLoss: number;
}

export const createSubStep = (): SubStep => ({
  day: 0,
  waterMm: 0,
  evapotranspirationMm: 0,
  temperatureModifier: 0,
  q10Modifier: 0,
  contactMoisture: 1,
  rootMoisture: 1,
  contactDrainMm: 0,
  rootDrainMm: 0,
  mulchCm: 0,
  soilShield: 1,
  contactHumusLoss: 0,
  rootHumusLoss: 0,
});

/** Inert carbon, g/m2, from all organic carbon in g/m2 (Falloon et al. 1998 form in t/ha, from memory). */
export const inertCarbon = (organicC: number): number =>
  Math.min(organicC, 100 * 0.049 * (organicC / 100) ** 1.139);

/** Mass of soil the organic matter figure holds for, g/m2. */
const soilMass = (soil: SoilStart): number => soil.bulkDensityGPerCm3 * soil.samplingDepthCm * 10_000;

/** Organic carbon of the sampled depth at the start, g/m2. */
export const organicCarbon = (soil: SoilStart): number =>
  (soil.organicMatterPct / 100 / CARBON_FROM_ORGANIC_MATTER) * soilMass(soil);

export function bedConstants(
  soil: SoilStart,
  p: ModelParameters,
  stepsPerDay: number,
  depositionGPerM2Year: number,
): BedConstants {
  const dt = 1 / stepsPerDay;
  const belowCm = soil.rootZoneCm - CONTACT_ZONE_CM;
  const maximum = maximumDeficitPer23Cm(soil.clayPct);
  const theta = p.fieldCapacityBase + p.fieldCapacityPerClayPct * soil.clayPct;
  const heldPerCm = p.heldAmmoniumGPerM2Cm * clamp(soil.clayPct / 20, 0.2, 1.5);
  const byClay = clayFactor(soil.clayPct, p.referenceClayPct);
  const inertC = inertCarbon(organicCarbon(soil));
  return {
    parameters: p,
    stepsPerDay,
    dtDays: dt,
    depositionGPerM2Year,
    rootZoneCm: soil.rootZoneCm,
    soilMassGPerM2: soilMass(soil),
    inertC,
    inertN: inertC / soil.carbonToNitrogen,
    contactHumusShare: CONTACT_ZONE_CM / Math.max(soil.samplingDepthCm, CONTACT_ZONE_CM),
    maximumDeficitMm: [
      (maximum * CONTACT_ZONE_CM) / RAIN_GAUGE_DEPTH_CM,
      (maximum * belowCm) / RAIN_GAUGE_DEPTH_CM,
    ],
    waterMm: [theta * CONTACT_ZONE_CM * 10, theta * belowCm * 10],
    heldAmmoniumG: [heldPerCm * CONTACT_ZONE_CM, heldPerCm * belowCm],
    denitrificationWeight: clamp(
      (soil.clayPct - NO_DENITRIFICATION_CLAY_PCT) / (SATURATED_CLAY_PCT - NO_DENITRIFICATION_CLAY_PCT),
      0,
      1,
    ),
    biomassHumified: p.biomassHumifiedShare * byClay,
    woodyHumified: p.woodyHumifiedShare * byClay,
    microbialDraw: 1 - (1 - p.microbialDrawPerDay) ** dt,
    cropDraw: 1 - (1 - p.cropDrawPerDay) ** dt,
    charFilling: lostShare(dt / p.charFillingDays),
    charLargestDraw: 1 - 0.9 ** dt,
    charFouling: Math.exp((-p.charFoulingPerYear * dt) / 365),
    labileCharLoss: lostShare(dt / p.labileCharResidenceDays),
    settlingKept: Math.exp(-dt / p.settlingDays),
    humusMixingKept: Math.exp((-p.humusMixingPerYear * dt) / 365),
  };
}

export function createBed(
  constants: BedConstants,
  soil: SoilStart,
  cohortCapacity: number,
  cropCapacity: number,
): Bed {
  const nativeHumusC = organicCarbon(soil) - constants.inertC;
  const mineralN = new Float64Array(FIRST_LAYER + cohortCapacity);
  mineralN[CONTACT_ZONE] = soil.mineralNGPerM2[0];
  mineralN[ROOT_ZONE] = soil.mineralNGPerM2[1];
  const classes = createDecayClasses();
  const cohorts = createCohortTable(cohortCapacity);
  const flows = new Float64Array(FLOW_COUNT);
  return {
    constants,
    classes,
    decay: {
      parts: createParts(cohortCapacity * 2, mineralN.length),
      cohorts,
      classes,
      mineralN,
      flows,
      parameters: constants.parameters,
      microbialDraw: constants.microbialDraw,
      biomassHumified: constants.biomassHumified,
      woodyHumified: constants.woodyHumified,
    },
    state: {
      nativeHumusC,
      nativeHumusN: nativeHumusC / soil.carbonToNitrogen,
      contactDeficitMm: soil.deficitMm[0],
      rootDeficitMm: soil.deficitMm[1],
      drainedMm: 0,
      mineralN,
      cohorts,
      crops: createCropTable(cropCapacity),
      flows,
    },
  };
}

/** Makes `target` equal to `source`; both belong to the same scenario. Mutates target. */
export function copyState(source: BedState, target: BedState): void {
  target.nativeHumusC = source.nativeHumusC;
  target.nativeHumusN = source.nativeHumusN;
  target.contactDeficitMm = source.contactDeficitMm;
  target.rootDeficitMm = source.rootDeficitMm;
  target.drainedMm = source.drainedMm;
  target.mineralN.set(source.mineralN);
  target.flows.set(source.flows);
  copyCohorts(source.cohorts, target.cohorts);
  copyCrops(source.crops, target.crops);
}
