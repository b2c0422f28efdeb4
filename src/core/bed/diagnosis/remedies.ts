import { type DayNumber, type Material, massFreshKgFromAmount } from '../../ground/index.ts';
import { PALENESS_SHOWN } from '../plan/bed-plan.ts';
import type { FeedingPlan } from '../plan/feeding-plan.ts';
import { projectBed, type BedProjection } from '../projection/bed-projection.ts';
import {
  type BedEvent,
  type BedScenario,
  CONTACT_ZONE_CM,
  endingOn,
  runTo,
  startRun,
} from '../../model/index.ts';
import type { Cause } from './causes.ts';

/** One of the doses that a remedy comes in. */
export interface RemedyDose {
  readonly day: DayNumber;
  readonly nitrogenGPerM2: number;
}

/** What to do, with amounts for one square meter; the page multiplies by the area. */
export type RemedyWhat =
  | { readonly code: 'feed'; readonly doses: readonly RemedyDose[] }
  | {
      readonly code: 'workIn';
      readonly materialId: string;
      readonly thicknessCm: number;
      readonly depthCm: number;
    }
  | { readonly code: 'water'; readonly waterMm: number }
  | { readonly code: 'wait' };

/** What the model expects after a remedy, beside doing nothing. Crops concerned only, per m2. */
export interface RemedyOutcome {
  readonly what: RemedyWhat;
  /** First day on which the leaves are no longer pale; null when they are not by the end, or were not pale. */
  readonly greenDay: DayNumber | null;
  readonly missedG: number;
}

export interface Remedies {
  /** Whether the model sees the crop pale at all: otherwise nitrogen is not expected to help. */
  readonly isPaleByModel: boolean;
  /** The first is doing nothing. */
  readonly outcomes: readonly RemedyOutcome[];
}

/** About half an inch of castings worked into the top 2 to 3 cm (common practice, no source). */
const WORK_IN = { materialId: 'worm_castings', thicknessCm: 1, depthCm: 3 } as const;
const FOLLOWED_DAYS = 120;
const LOOK_EVERY_DAYS = 3;
/** A first small dose when the solver sees no need but the gardener does, g/m2 (set here). */
const SMALL_DOSE_G = 2;
/** A dose that is due within this can as well be given today; those after it belong to the remedy. */
const DUE_DAYS = 14;
const NEAR_DAYS = 42;

export interface RemedySetting {
  readonly scenario: BedScenario;
  readonly today: DayNumber;
  readonly cropIds: readonly string[];
  /** How the bed is fed; null when nothing is to be fed. */
  readonly feeding: FeedingPlan | null;
  /** The material that is worked in. */
  readonly castings: Material;
}

/** Causes that nitrogen would mend. */
export const MENDED_BY_NITROGEN: ReadonlySet<Cause> = new Set<Cause>(['lockUp', 'hunger', 'rawChar']);

/** What is done, and what that is for the model. */
type Remedy = readonly [what: RemedyWhat, events: readonly BedEvent[]];

/** Tries the remedies that can be reckoned on the bed itself. */
export function tryRemedies(setting: RemedySetting): Remedies {
  const { scenario, today } = setting;
  const short = endingOn(scenario, today + FOLLOWED_DAYS);
  const nothing = outcome(setting, short, [{ code: 'wait' }, []]);
  return {
    isPaleByModel: palenessAt(project(short, today), setting.cropIds, today) >= PALENESS_SHOWN,
    outcomes: [
      nothing,
      outcome(setting, short, feeding(setting)),
      outcome(setting, short, [{ code: 'workIn', ...WORK_IN }, [castings(setting)]]),
      outcome(setting, short, watering(short, today)),
    ],
  };
}

/** The doses of the plan that are near, the first of them today; a small one where the plan has none. */
function feeding({ feeding: plan, today }: RemedySetting): Remedy {
  const isDue = plan?.doses.some(({ day }) => day <= today + DUE_DAYS) ?? false;
  const near = isDue ? plan!.doses.filter(({ day }) => day <= today + NEAR_DAYS) : [];
  const doses: RemedyDose[] =
    near.length > 0
      ? near.map(({ day, nitrogenGPerM2 }, i) => ({ day: i === 0 ? today : day, nitrogenGPerM2 }))
      : [{ day: today, nitrogenGPerM2: SMALL_DOSE_G }];
  return [
    { code: 'feed', doses },
    doses.map((dose) => ({ type: 'feed', ...dose, depthCm: CONTACT_ZONE_CM })),
  ];
}

function castings({ today, castings: material }: RemedySetting): BedEvent {
  const { bulkDensityKgPerM3 } = material;
  return {
    type: 'apply',
    id: 'remedy',
    day: today,
    material,
    massFreshKgPerM2: massFreshKgFromAmount({
      amount: WORK_IN.thicknessCm,
      unit: 'cm',
      measured: { bulkDensityKgPerM3, areaM2: 1 },
    }),
    dugDepthCm: WORK_IN.depthCm,
    exposure: 'normal',
    isOnPath: false,
  };
}

/** As much water as both zones lack. */
function watering(scenario: BedScenario, today: DayNumber): Remedy {
  const run = startRun(scenario);
  runTo(run, today);
  const waterMm = run.bed.state.contactDeficitMm + run.bed.state.rootDeficitMm;
  return [{ code: 'water', waterMm }, waterMm > 0 ? [{ type: 'irrigate', day: today, waterMm }] : []];
}

const project = (scenario: BedScenario, today: DayNumber): BedProjection =>
  projectBed(scenario, (day) => day >= today && (day - today) % LOOK_EVERY_DAYS === 0);

function palenessAt({ samples }: BedProjection, cropIds: readonly string[], day: DayNumber): number {
  const sample = samples.find((one) => one.day >= day);
  const crops = sample?.crops.filter(({ id }) => cropIds.includes(id)) ?? [];
  return Math.max(0, ...crops.map(({ paleness }) => paleness));
}

function outcome(
  { today, cropIds }: RemedySetting,
  scenario: BedScenario,
  [what, events]: Remedy,
): RemedyOutcome {
  const projection = project({ ...scenario, events: [...scenario.events, ...events] }, today);
  const isPale = (day: DayNumber) => palenessAt(projection, cropIds, day) >= PALENESS_SHOWN;
  const green = projection.samples.find(({ day }) => day > today && !isPale(day));
  return {
    what,
    greenDay: isPale(today) ? (green?.day ?? null) : null,
    missedG: projection.crops
      .filter(({ id }) => cropIds.includes(id))
      .reduce((sum, { shortG }) => sum + shortG, 0),
  };
}
