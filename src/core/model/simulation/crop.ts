import type { DayNumber } from '../../ground/index.ts';
import type { CropPlan } from './scenario.ts';

/** A crop standing, or that stood, on a bed. The number fields start as NaN so that engines keep them as doubles. */
export class Crop {
  plan: CropPlan;
  isLegume: boolean;
  isPerennial: boolean;
  /** Nitrogen it takes up when nothing is short, g/m2. */
  demandN = NaN;
  fullRootDepthCm = NaN;
  deepShare = NaN;
  /** Day-degrees it needs until harvest, or days where the normals never warm it. */
  growthNeeded = NaN;
  isGrownByWarmth = true;
  isAlive = true;
  fixedShare = NaN;
  rootCarbonG = NaN;
  /** Share of its growth done, 0 to 1. */
  progress = NaN;
  // nitrogen, g/m2
  standingN = NaN;
  /** Gained less what its roots keep or gave back: what a trial finds in the tops. */
  inCropN = NaN;
  demandedN = NaN;
  takenN = NaN;
  fixedN = NaN;
  subsoilN = NaN;
  shortN = NaN;
  backlogN = NaN;
  // roots that live until harvest, g/m2; the nitrogen is part of what stands
  waitingRootC = NaN;
  waitingRootN = NaN;
  /** Root carbon given to the soil so far, g/m2. */
  rootGivenC = NaN;
  paleness = NaN;
  palestSoFar = NaN;
  paleDays = NaN;
  firstPaleDay: DayNumber | null = null;
  // the current sub-step
  wantedN = NaN;
  gotN = NaN;
  askedN = NaN;
  growth = NaN;
  gainedOutsideN = NaN;
  contactWeight = NaN;
  rootZoneReach = NaN;
  upperSubsoilReach = NaN;
  lowerSubsoilReach = NaN;
  /** Progress at the end of each of the last days, by day modulo their number. */
  readonly pastProgress: Float64Array;

  constructor(plan: CropPlan, pastDays: number) {
    this.plan = plan;
    this.isLegume = plan.isLegume;
    this.isPerennial = plan.isPerennial;
    this.pastProgress = new Float64Array(pastDays);
  }
}

type NumberField = { [Name in keyof Crop]: Crop[Name] extends number ? Name : never }[keyof Crop];

const NUMBER_FIELDS = Object.entries(new Crop({} as CropPlan, 1)).flatMap(([name, value]) =>
  typeof value === 'number' ? [name as NumberField] : [],
);

/** A crop with all its numbers at 0, which remembers its progress over `pastDays` days. */
export function emptyCrop(plan: CropPlan, pastDays: number): Crop {
  const crop = new Crop(plan, pastDays);
  for (const name of NUMBER_FIELDS) crop[name] = 0;
  crop.demandN = plan.nitrogenDemandGPerM2;
  crop.fullRootDepthCm = plan.rootDepthCm;
  crop.deepShare = plan.deepShare;
  return crop;
}

/** Makes `target` equal to `source`. Mutates target. */
export function copyCrop(source: Crop, target: Crop): void {
  target.plan = source.plan;
  target.isLegume = source.isLegume;
  target.isPerennial = source.isPerennial;
  target.isGrownByWarmth = source.isGrownByWarmth;
  target.isAlive = source.isAlive;
  target.firstPaleDay = source.firstPaleDay;
  target.pastProgress.set(source.pastProgress);
  for (const name of NUMBER_FIELDS) target[name] = source[name];
}
