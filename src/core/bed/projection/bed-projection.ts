import { type DayNumber, type MaterialKind, total } from '../../ground/index.ts';
import {
  BALANCE_COUNT,
  type BalanceSample,
  type Bed,
  type BedScenario,
  type Cohort,
  FLOW_COUNT,
  charCarbon,
  drawnNitrogen,
  freshCarbon,
  heldByCohort,
  heldNitrogen,
  isOnSurface,
  layerThicknessCm,
  mineralNitrogen,
  mulchHeightCm,
  normalDemandBetween,
  readBalances,
  readPostings,
  releasedNitrogen,
  reportSoil,
  resumeAt,
  rootDepthCm,
  runTo,
  startRun,
  takeBookmark,
  type Bookmark,
} from '../../model/index.ts';
import { FINISHED_RECOGNIZABLE_SHARE } from '../../yard/index.ts';

/** One layer, or what was dug in, on one day. Amounts per m2. */
export interface LayerState {
  readonly id: string;
  readonly kind: MaterialKind;
  readonly isOnTop: boolean;
  readonly dugDepthCm: number;
  readonly thicknessCm: number;
  readonly freshCarbonG: number;
  readonly microbialCarbonG: number;
  readonly humusCarbonG: number;
  readonly charCarbonG: number;
  /** Minerals that came with it, g/m2. */
  readonly mineralsG: number;
  readonly respiredCarbonG: number;
  /** All that came with it, on the day it was laid. */
  readonly laidCarbonG: number;
  readonly laidNitrogenG: number;
  /** Still bound in what is left of it, its ammonium and what its char holds included. */
  readonly boundNitrogenG: number;
  /** Of its nitrogen and what it drew: turned into humus. */
  readonly humusNitrogenG: number;
  readonly drawnNitrogenG: number;
  readonly releasedNitrogenG: number;
  readonly ammoniaNitrogenG: number;
  readonly lockedNitrogenG: number;
  /** Drawn out of each zone and still held by its microbes. */
  readonly heldContactG: number;
  readonly heldRootG: number;
}

/** Share of the carbon of a layer that still looks like what was laid, 0 to 1. */
export const recognizableShareOf = ({ freshCarbonG, laidCarbonG }: LayerState): number =>
  laidCarbonG > 0 ? freshCarbonG / laidCarbonG : 0;

/** Whether a layer is crumbs by now: held against the yardstick of a finished heap. */
export const isCrumbs = (layer: LayerState): boolean =>
  recognizableShareOf(layer) < FINISHED_RECOGNIZABLE_SHARE;

/** One crop on one day. */
export interface CropState {
  readonly id: string;
  /** Share of its growth done, 0 to 1. */
  readonly progress: number;
  readonly rootDepthCm: number;
  readonly paleness: number;
}

/** A bed on the morning of one day. Nitrogen in g/m2, carbon in g/m2. */
export interface BedSample extends BalanceSample {
  readonly day: DayNumber;
  readonly availableContactG: number;
  readonly availableRootG: number;
  /** Mineral nitrogen below the bed, where deep roots still reach it. */
  readonly belowBedG: number;
  /** Drawn out of the zone by decomposers and still held by them. */
  readonly heldContactG: number;
  readonly heldRootG: number;
  /** What the crops will want in the next 28 days. */
  readonly cropWantG: number;
  /** Crop nitrogen missed for good, running total. */
  readonly cropShortG: number;
  /** As a laboratory would find it beneath all layers. */
  readonly organicMatterPct: number;
  /** Humus proper, without what is half rotted. */
  readonly humusPct: number;
  /** Height over the first surface of the bed. */
  readonly riseCm: number;
  readonly bulkDensityGPerCm3: number;
  /** Temperature of the contact zone and of the root zone, degrees C. */
  readonly soilC: readonly [contactZone: number, rootZone: number];
  readonly humusCarbonG: number;
  readonly charCarbonG: number;
  /** By how much the soil itself has risen: what layers have become, cm. */
  readonly humusBandCm: number;
  readonly mulchCm: number;
  /** How far the contact zone has dried out: 0 when it holds all it can, 1 at its driest. */
  readonly topsoilDryness: number;
  readonly layers: readonly LayerState[];
  readonly crops: readonly CropState[];
}

export interface BedProjection {
  readonly startDay: DayNumber;
  readonly endDay: DayNumber;
  /** Ascending by day; the last one stands at endDay. */
  readonly samples: readonly BedSample[];
  /** Largest relative difference between the two sides of the books on any day. */
  readonly largestRelativeError: number;
  readonly crops: readonly CropOutcome[];
}

/** How a crop fared, or is expected to fare, by its harvest or the end of the run. */
export interface CropOutcome {
  readonly id: string;
  readonly plantDay: DayNumber;
  readonly harvestDay: DayNumber;
  readonly demandG: number;
  readonly shortG: number;
  readonly paleDays: number;
  readonly firstPaleDay: DayNumber | null;
}

/** Whether a bed is looked at on the morning of a day. */
export type LooksAt = (day: DayNumber) => boolean;

const NEAR_STEP_DAYS = 7;
const FAR_STEP_DAYS = 28;
const NEAR_BEFORE_DAYS = 100;
const NEAR_AFTER_DAYS = 400;

/** Weekly around `today`, every fourth week further off: what a drawing that time runs through needs. */
export const looksAround =
  (today: DayNumber): LooksAt =>
  (day) => {
    const isNear = day >= today - NEAR_BEFORE_DAYS && day <= today + NEAR_AFTER_DAYS;
    return (day - today) % (isNear ? NEAR_STEP_DAYS : FAR_STEP_DAYS) === 0;
  };

/** Days ahead over which what a crop wants is set beside what is available. */
export const WANT_AHEAD_DAYS = 28;

/** Runs a bed and looks at it every `everyDays` days, or where `looksAt` says so, and on every day of `alsoOn`. */
export const projectBed = (
  scenario: BedScenario,
  looksAt: number | LooksAt,
  alsoOn: readonly DayNumber[] = [],
): BedProjection => projectMarked(scenario, { looksAt, alsoOn, markOn: null, past: null }).projection;

interface Looks {
  readonly looksAt: number | LooksAt;
  readonly alsoOn: readonly DayNumber[];
  /** The morning to which another run of the same bed may go back; null for none. */
  readonly markOn: DayNumber | null;
  /** Where an earlier run of the same bed had come to; from there on it is run and looked at. */
  readonly past: Bookmark | null;
}

/** The same, with a bookmark of one morning, so that what is tried from there on need not run the years before again. */
export function projectMarked(
  scenario: BedScenario,
  { looksAt, alsoOn, markOn, past }: Looks,
): { readonly projection: BedProjection; readonly mark: Bookmark | null } {
  const run = startRun(scenario);
  if (past) resumeAt(run, past);
  let mark: Bookmark | null = null;
  const isLook: LooksAt =
    typeof looksAt === 'number' ? (day) => (day - scenario.startDay) % looksAt === 0 : looksAt;
  const wanted = new Set(alsoOn);
  const samples: BedSample[] = [];
  // One buffer for the books of all samples: it crosses to another thread as one block.
  let looks = wanted.size + 1;
  for (let day = run.day; day < scenario.endDay; day++) if (isLook(day)) looks += 1;
  const buffer = new Float64Array(looks * BOOKS_WIDTH);
  const look = (bed: Bed, day: DayNumber) => {
    const from = samples.length * BOOKS_WIDTH;
    samples.push(sample({ bed, day, scenario, books: buffer.subarray(from, from + BOOKS_WIDTH) }));
  };
  runTo(run, scenario.endDay, ({ bed, day }) => {
    if (day === markOn) mark = takeBookmark(run);
    if (isLook(day) || wanted.has(day)) look(bed, day);
  });
  look(run.bed, scenario.endDay);
  const projection = {
    startDay: scenario.startDay,
    endDay: scenario.endDay,
    samples,
    largestRelativeError: run.largestRelativeError,
    crops: cropOutcomes(run.bed, scenario),
  };
  return { projection, mark };
}

/** Balances and running totals of one sample, one after the other. */
const BOOKS_WIDTH = BALANCE_COUNT + FLOW_COUNT;

/** One sample of the bed; its ledger is added to `books`. */
function sample({
  bed,
  day,
  scenario,
  books,
}: {
  readonly bed: Bed;
  readonly day: DayNumber;
  readonly scenario: BedScenario;
  readonly books: Float64Array;
}): BedSample {
  const balances = books.subarray(0, BALANCE_COUNT);
  const flows = books.subarray(BALANCE_COUNT);
  readBalances(bed, balances);
  readPostings(bed.state.postings, flows);
  const mineral = mineralNitrogen(bed);
  const soil = reportSoil(bed);
  const mulchCm = mulchHeightCm(bed);
  const [, heldContactG, heldRootG] = heldNitrogen(bed);
  return {
    day,
    balances,
    flows,
    availableContactG: mineral.contactZoneG,
    availableRootG: mineral.rootZoneG,
    belowBedG: mineral.upperSubsoilG + mineral.lowerSubsoilG,
    heldContactG,
    heldRootG,
    cropWantG: wantAhead(bed, scenario, day),
    cropShortG: total(bed.state.crops.map(({ shortN }) => shortN)),
    organicMatterPct: soil.organicMatterPct,
    humusPct: soil.humusPct,
    riseCm: soil.riseCm,
    bulkDensityGPerCm3: soil.bulkDensityGPerCm3,
    soilC: [bed.state.contactSoilC, bed.state.rootSoilC],
    humusCarbonG: balances[2],
    charCarbonG: balances[3],
    humusBandCm: Math.max(0, soil.riseCm - mulchCm),
    mulchCm,
    topsoilDryness: bed.state.contactDeficitMm / bed.constants.contactMaximumDeficitMm,
    layers: layerStates(bed),
    crops: cropStates(bed),
  };
}

/** What the crops that stand, and those still to come, want in the next four weeks by the normals. */
function wantAhead({ constants }: Bed, { crops, climate }: BedScenario, day: DayNumber): number {
  const until = day + WANT_AHEAD_DAYS;
  return total(
    crops
      .filter(({ plantDay, harvestDay }) => plantDay < until && harvestDay > day)
      .map((crop) => normalDemandBetween(crop, climate, day, until, constants.parameters)),
  );
}

/** Thinner layers and smaller remains than these are not shown one by one. */
const THINNEST_SHOWN_CM = 0.05;
const LEAST_SHOWN_CARBON_G = 1;

function layerStates({ state, constants }: Bed): LayerState[] {
  const states: LayerState[] = [];
  for (const cohort of state.cohorts) {
    const isOnTop = isOnSurface(cohort);
    const thicknessCm = isOnTop ? layerThicknessCm(cohort, constants.parameters.settlingShare) : 0;
    const freshCarbonG = freshCarbon(cohort);
    const charCarbonG = charCarbon(cohort);
    const isSpent = freshCarbonG + cohort.microbialC + cohort.humusC + charCarbonG < LEAST_SHOWN_CARBON_G;
    if (isSpent || (isOnTop && thicknessCm < THINNEST_SHOWN_CM)) continue;
    const drawnNitrogenG = drawnNitrogen(cohort);
    const releasedNitrogenG = releasedNitrogen(cohort);
    const [, heldContactG, heldRootG] = heldByCohort(cohort);
    states.push({
      id: cohort.traits.id,
      kind: cohort.traits.kind,
      isOnTop,
      dugDepthCm: cohort.dugDepthCm,
      thicknessCm,
      freshCarbonG,
      microbialCarbonG: cohort.microbialC,
      humusCarbonG: cohort.humusC,
      charCarbonG,
      mineralsG: cohort.ashG,
      respiredCarbonG: cohort.respiredC,
      laidCarbonG: cohort.openingC,
      laidNitrogenG: cohort.openingN,
      boundNitrogenG: boundNitrogen(cohort),
      humusNitrogenG: cohort.humusN,
      drawnNitrogenG,
      releasedNitrogenG,
      ammoniaNitrogenG: cohort.volatilizedN,
      lockedNitrogenG: Math.max(0, drawnNitrogenG - releasedNitrogenG),
      heldContactG,
      heldRootG,
    });
  }
  return states;
}

/** Nitrogen in all of a cohort but its humus, ammonium and what its char holds included, g/m2. */
const boundNitrogen = (c: Cohort): number =>
  c.quickN +
  c.structuralN +
  c.woodyN +
  c.microbialN +
  c.labileCharN +
  c.stableCharN +
  c.ammoniumN +
  c.charHeldN;

function cropStates({ state, constants }: Bed): CropState[] {
  return state.crops
    .filter(({ isAlive }) => isAlive)
    .map(({ plan, progress, paleness }) => ({
      id: plan.id,
      progress,
      rootDepthCm: rootDepthCm(plan.rootDepthCm, progress, plan.isPerennial, constants.parameters),
      paleness,
    }));
}

function cropOutcomes({ state }: Bed, scenario: BedScenario): CropOutcome[] {
  return scenario.crops.flatMap((plan) => {
    const crop = state.crops.find((one) => one.plan.id === plan.id);
    if (!crop) return [];
    return {
      id: plan.id,
      plantDay: plan.plantDay,
      harvestDay: plan.harvestDay,
      demandG: crop.demandedN,
      shortG: crop.shortN,
      paleDays: crop.paleDays,
      firstPaleDay: crop.firstPaleDay,
    };
  });
}

/** The mornings on which to look at a bed so that `today`, and every day something is done, shows at its end. */
export const telltaleDays = ({ events }: BedScenario, today: DayNumber): DayNumber[] => [
  today + 1,
  ...events.map(({ day }) => day + 1),
];

/** The bed at the end of `day`, with what was done that day; or the last look at it before. */
export const atEndOf = (projection: Pick<BedProjection, 'samples'>, day: DayNumber): BedSample =>
  sampleOn(projection, day + 1);

/** The sample standing on the morning of `day`, or the last one before it. Samples are ascending and not empty. */
export function sampleOn({ samples }: Pick<BedProjection, 'samples'>, day: DayNumber): BedSample {
  let low = 0;
  let high = samples.length - 1;
  while (low < high) {
    const middle = Math.ceil((low + high) / 2);
    if (samples[middle].day <= day) low = middle;
    else high = middle - 1;
  }
  return samples[low];
}
