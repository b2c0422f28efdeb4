import { dayNumberFromIso, type DayNumber } from '../../src/core/ground/climate/calendar.ts';
import type { ClimateNormals } from '../../src/records/garden.ts';
import { CLIMATE_PATTERNS } from '../../src/core/ground/climate/patterns.ts';
import { findLibraryMaterial } from '../../src/core/ground/materials/library.ts';
import type { Material } from '../../src/core/ground/materials/material.ts';
import type { Bed } from '../../src/core/model/simulation/bed.ts';
import {
  reportCohort,
  reportCrop,
  type CohortReport,
  type CropReport,
} from '../../src/core/model/simulation/report.ts';
import { runTo, startRun, type BedRun } from '../../src/core/model/simulation/run.ts';
import {
  DEFAULT_STEPS_PER_DAY,
  SOIL_DEFAULTS,
  type ApplyMaterial,
  type BedEvent,
  type BedScenario,
  type CropPlan,
} from '../../src/core/model/simulation/scenario.ts';

/** Building blocks of the anchors. Climates are the two of docs/method.md. */
export const ROTHAMSTED = CLIMATE_PATTERNS.find(({ id }) => id === 'cool_temperate')!;
export const MILD = CLIMATE_PATTERNS.find(({ id }) => id === 'mild_maritime')!;
export const WATERED = { months: [5, 6, 7, 8, 9], trigger: 0.35, refill: 0.9 } as const;

export const day = (iso: string): DayNumber => dayNumberFromIso(iso, ['date']);
export const material = (id: string): Material => {
  const found = findLibraryMaterial(id);
  if (!found) throw new Error(`no material ${id}`);
  return found;
};

/** Constant warmth, no rain, no evaporation. */
export const constantClimate = (temperatureC: number): ClimateNormals => ({
  temperatureC: Array<number>(12).fill(temperatureC),
  rainMm: Array<number>(12).fill(0),
  evapotranspirationMm: Array<number>(12).fill(0),
});

type Changes = Partial<Omit<BedScenario, 'soil' | 'startDay' | 'endDay'>> & {
  soil?: Partial<BedScenario['soil']>;
};

export const bed = (start: string, days: number, { soil = {}, ...changes }: Changes = {}): BedScenario => ({
  startDay: day(start),
  endDay: day(start) + days,
  climate: ROTHAMSTED,
  events: [],
  crops: [],
  piles: [],
  depositionGPerM2Year: 0,
  stepsPerDay: DEFAULT_STEPS_PER_DAY,
  ...changes,
  soil: { ...SOIL_DEFAULTS, organicMatterPct: 4, bulkDensityGPerCm3: 1.2, ...soil },
});

/** Bed of the garden cases: loam, from 1 October, some deposition. */
export const garden = (days: number, changes: Changes = {}): BedScenario =>
  bed('2020-10-01', days, { depositionGPerM2Year: 1, ...changes });

export const AMPLE = { mineralNGPerM2: [50, 250] as const };

type Placing = Partial<Omit<ApplyMaterial, 'type' | 'material' | 'massFreshKgPerM2'>>;

export const apply = (
  date: string,
  of: string | Material,
  massFreshKgPerM2: number,
  placing: Placing = {},
): ApplyMaterial => ({
  type: 'apply',
  day: day(date),
  material: typeof of === 'string' ? material(of) : of,
  massFreshKgPerM2,
  dugDepthCm: 0,
  exposure: 'normal',
  isOnPath: false,
  ...placing,
});

/** Fresh mass that brings so much dry mass, or carbon, or makes such a layer. */
export const fromDry = (id: string, dryKg: number): number =>
  dryKg / (1 - material(id).moistureFractionWetBasis);
export const fromCarbon = (id: string, carbonG: number): number =>
  fromDry(id, carbonG / material(id).carbonFractionDryBasis / 1000);
export const fromThickness = (id: string, cm: number): number => (cm / 100) * material(id).bulkDensityKgPerM3;

export const crop = (
  plant: string,
  harvest: string,
  demand = 12,
  changes: Partial<CropPlan> = {},
): CropPlan => ({
  id: 'crop',
  plantDay: day(plant),
  harvestDay: day(harvest),
  nitrogenDemandGPerM2: demand,
  rootDepthCm: 40,
  isLegume: false,
  isPerennial: false,
  deepShare: 0,
  residueShare: 0,
  residueDugDepthCm: 0,
  ...changes,
});

/** Weekly feeding of nitrogen that nothing is ever short. */
export const weeklyFeed = (start: string, weeks: number, nitrogenGPerM2: number): BedEvent[] =>
  Array.from({ length: weeks }, (_, i) => ({
    type: 'feed' as const,
    day: day(start) + 7 * i,
    nitrogenGPerM2,
    depthCm: 5,
  }));

export function finished(scenario: BedScenario): BedRun {
  const run = startRun(scenario);
  runTo(run, scenario.endDay);
  return run;
}

export const cohort = (run: BedRun, i = 0): CohortReport => reportCohort(run.bed, run.bed.state.cohorts[i]);
export const grown = (run: BedRun, k = 0): CropReport => reportCrop(run.bed.state.crops[k]);

export const carbonOf = (report: CohortReport): number =>
  Object.values(report.carbonG).reduce((sum, c) => sum + c, 0);

export const freshOf = ({ carbonG }: CohortReport): number =>
  carbonG.quick + carbonG.structural + carbonG.woody;

/** Years until `isReached` holds, looked at every month; NaN when it never does. */
export function yearsUntil(scenario: BedScenario, isReached: (bed: Bed) => boolean): number {
  const run = startRun(scenario);
  while (run.day < scenario.endDay) {
    if (isReached(run.bed)) return (run.day - scenario.startDay) / 365.25;
    runTo(run, Math.min(scenario.endDay, run.day + 15));
  }
  return Number.NaN;
}
