import type { DayNumber, FindMaterial } from '../../ground/index.ts';
import { type BedScenario, withoutMaterials } from '../../model/index.ts';
import { type Conflict, conflictsIn } from '../advice/conflicts.ts';
import { type CropProspect, cropProspects } from '../advice/crop-prospects.ts';
import { type HeldG, type LockUpWindow, heldOn, isAtHand, lockUpWindow } from '../advice/lock-up.ts';
import { type PlantingDate, plantingDates } from '../advice/planting-dates.ts';
import type { SchoolRules } from '../advice/schools.ts';
import { type HarvestWait, harvestWaits } from '../advice/waits.ts';
import { type LayerWorking, layerWorking } from '../advice/workings.ts';
import type { BedBooks } from '../books/bed-books.ts';
import { type BedProjection, atEndOf, projectMarked, telltaleDays } from '../projection/bed-projection.ts';
import type { AdviceSetting } from './advice-setting.ts';
import { type BedPast, type Mornings, TOLD_BACK_DAYS } from './bed-past.ts';
import { type ComingCrop, comingCrops } from './coming-crops.ts';
import type { FeedingPlan } from './feeding-plan.ts';
import { planFeeding } from './feeding.ts';
import { type BedLimit, leachingLimit, spreadLimits } from './limits.ts';

/** How a bed stands, the gravest word that is true of it. */
export type BedStatus = 'short' | 'pale' | 'held' | 'fed' | 'resting' | 'path';

/** How a bed stands: what is locked up, what its crops miss, and what to feed. */
export interface BedStanding {
  readonly today: DayNumber;
  readonly status: BedStatus;
  readonly contact: LockUpWindow | null;
  readonly root: LockUpWindow | null;
  /** At the end of today, whether or not it is enough for a lock-up. */
  readonly heldNowG: HeldG;
  /** Null on a path, and where nothing grows or is planned. */
  readonly feeding: FeedingPlan | null;
  /** How crops fare when nothing is fed beyond what the books say. */
  readonly prospects: readonly CropProspect[];
  readonly rules: SchoolRules;
}

/** All that is to be said and done about a bed for the next fifteen months. Every page that speaks of it reads this. */
export interface BedPlan extends BedStanding {
  /** Plantings still to come, each weighed by itself. */
  readonly coming: readonly ComingCrop[];
  /** When crops in general may start; none on paths and under woody plants. */
  readonly planting: readonly PlantingDate[];
  readonly waits: readonly HarvestWait[];
  readonly conflicts: readonly Conflict[];
  /** Where more is spread, or washed out, than a guide value allows. */
  readonly limits: readonly BedLimit[];
  /** How the layers named as causes come to draw nitrogen. */
  readonly workings: readonly LayerWorking[];
}

/** What a bed is planned from. */
export interface BedPlanSetting {
  /** With plans gone by carried forward. */
  readonly books: BedBooks;
  readonly findMaterial: FindMaterial;
  readonly scenario: BedScenario;
  /** It must reach beyond today. */
  readonly projection: BedProjection;
  /** How crops fare where nothing was ever laid. */
  readonly bare: Pick<BedProjection, 'crops'>;
  /** Where all that is tried from here on begins, so that it need not run the years before again. */
  readonly mornings: Mornings;
  readonly today: DayNumber;
  readonly advice: AdviceSetting;
}

/** How far ahead a bed is followed for its plan, days: over two winters. */
export const ADVICE_DAYS = 900;
const LOOKED_AT_EVERY_DAYS = 7;
/** Clashes older than this are past mending. */
const CONFLICTS_SINCE_DAYS = 60;
/** Leaves show a paleness of the model from here on (set here). */
export const PALENESS_SHOWN = 0.25;

/**
 * A bed looked at every week of the last year and of those to come, and after every day on which something was done or
 * planted; from its first day on, or from where `past` has it. Beside it the same bed with nothing laid.
 */
export function projectForAdvice(
  scenario: BedScenario,
  today: DayNumber,
  past: BedPast | null = null,
): Pick<BedPlanSetting, 'projection' | 'bare' | 'mornings'> {
  const { projection, mark } = projectMarked(scenario, {
    looksAt: (day) => day >= today - TOLD_BACK_DAYS && (day - scenario.startDay) % LOOKED_AT_EVERY_DAYS === 0,
    alsoOn: [...telltaleDays(scenario, today), ...scenario.crops.map(({ plantDay }) => plantDay + 1)],
    markOn: today,
    past: past?.own ?? null,
  });
  const bare = projectMarked(withoutMaterials(scenario), {
    looksAt: () => false,
    alsoOn: [],
    markOn: today,
    past: past?.bare ?? null,
  });
  return { projection, bare: bare.projection, mornings: { own: mark!, bare: bare.mark! } };
}

/** The plan of a bed, worked out once. */
export function planBed(setting: BedPlanSetting, standing = bedStanding(setting)): BedPlan {
  const { books, findMaterial, scenario, projection, mornings, today, advice } = setting;
  const { isForSowing, rules } = advice;
  const ground = { books, findMaterial, projection };
  const causes = [standing.contact, standing.root].flatMap((window) => window?.causes ?? []);
  const causeIds = [...new Set(causes.map(({ layerId }) => layerId))];
  const coming = comingCrops({ ...standing, ground, scenario, mornings });
  const comingIds = new Set(coming.map(({ plantingId }) => plantingId));
  return {
    ...standing,
    coming,
    planting: isForSowing ? plantingDates({ ground, scenario, today, rules, mornings }) : [],
    waits: harvestWaits({ ...books, findMaterial, today }),
    // What lies over the seed of a coming crop is told with that crop.
    conflicts: conflictsIn({ books, findMaterial, projection, since: today - CONFLICTS_SINCE_DAYS }).filter(
      (conflict) => conflict.code !== 'coverOverSeed' || !comingIds.has(conflict.plantingId),
    ),
    limits: [
      ...spreadLimits({ ...books, findMaterial, since: today - CONFLICTS_SINCE_DAYS }),
      ...leachingLimit(projection, books.site.climate, today),
    ],
    workings: causeIds.flatMap((id) => layerWorking(scenario, id) ?? []),
  };
}

/** How a bed stands: what a line of the garden says of it, and what its plan begins with. */
export function bedStanding({
  scenario,
  projection,
  bare,
  mornings,
  today,
  advice,
}: BedPlanSetting): BedStanding {
  const { isPath, rules } = advice;
  const { samples } = projection;
  const { feltFromG } = rules;
  const contact = lockUpWindow({ samples, zone: 'contact', today, feltFromG });
  const root = lockUpWindow({ samples, zone: 'root', today, feltFromG });
  const feeding = isPath ? null : planFeeding({ scenario, today, rules: advice.feeding, mornings });
  const prospects = cropProspects(projection, bare, rules);
  const heldNowG = heldOn(atEndOf(projection, today));
  const standing = { today, contact, root, heldNowG, feeding, prospects, rules };
  return { ...standing, status: isPath ? 'path' : statusOf(scenario, projection, standing) };
}

/** What is to be done within this is to be done now, days (set here). */
const SOON_DAYS = 14;

const isGoingOn = (window: LockUpWindow | null, today: DayNumber): boolean =>
  window !== null && isAtHand(window, today);

/** Perennials are in the ground, and none of them is in leaf. */
const isAsleep = ({ crops }: BedScenario, today: DayNumber): boolean =>
  crops.some(({ isPerennial, harvestDay }) => isPerennial && harvestDay <= today) &&
  crops.some(({ isPerennial, plantDay }) => isPerennial && plantDay > today);

function statusOf(
  scenario: BedScenario,
  projection: BedProjection,
  { contact, root, feeding, today }: Omit<BedStanding, 'status'>,
): BedStatus {
  const standing = atEndOf(projection, today).crops;
  if (standing.some(({ paleness }) => paleness > PALENESS_SHOWN)) return 'pale';
  const ids = new Set(standing.map(({ id }) => id));
  const isDue = feeding?.doses.some(
    ({ day, cropIds }) => day <= today + SOON_DAYS && cropIds.some((id) => ids.has(id)),
  );
  if (isDue) return 'short';
  if (standing.length === 0 && isAsleep(scenario, today)) return 'resting';
  if (isGoingOn(root, today) || isGoingOn(contact, today)) return 'held';
  return standing.length > 0 ? 'fed' : 'resting';
}
