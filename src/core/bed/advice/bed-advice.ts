import type { DayNumber } from '../../ground/index.ts';
import { atEndOf, projectBed, telltaleDays, type BedProjection } from '../projection/bed-projection.ts';
import type { BedScenario } from '../../model/index.ts';
import { cropProspects, type CropProspect } from './crop-prospects.ts';
import type { AdviceSetting } from '../plan/advice-setting.ts';
import type { FeedingPlan } from '../plan/feeding-plan.ts';
import { planFeeding } from '../plan/feeding.ts';
import { lockUpWindow, type LockUpWindow } from './lock-up.ts';
import { plantingDates, type PlantingDate } from './planting-dates.ts';
import type { SchoolRules } from './schools.ts';
import { layerWorking, type LayerWorking } from './workings.ts';

/** How a bed stands, the gravest word that is true of it. */
export type BedStatus = 'short' | 'pale' | 'held' | 'fed' | 'resting' | 'path';

/** How a bed stands: what is locked up, what its crops miss, and what to feed. */
export interface BedStanding {
  readonly today: DayNumber;
  readonly status: BedStatus;
  readonly contact: LockUpWindow | null;
  readonly root: LockUpWindow | null;
  /** Null on a path, and where nothing grows or is planned. */
  readonly feeding: FeedingPlan | null;
  readonly prospects: readonly CropProspect[];
  readonly rules: SchoolRules;
}

/** How far ahead a bed is followed for advice, days: over two winters. */
export const ADVICE_DAYS = 900;
const LOOKED_AT_EVERY_DAYS = 7;

/** A bed looked at every week, and after every day on which something was done. */
export const projectForAdvice = (scenario: BedScenario, today: DayNumber): BedProjection =>
  projectBed(scenario, LOOKED_AT_EVERY_DAYS, telltaleDays(scenario, today));

/** All that can be said of a bed on a day. */
export interface BedAdvice extends BedStanding {
  readonly planting: readonly PlantingDate[];
  /** How the layers named as causes come to draw nitrogen. */
  readonly workings: readonly LayerWorking[];
}

/** Leaves show a paleness of the model from here on (set here). */
export const PALENESS_SHOWN = 0.25;

/** How a bed stands on `today` by its projection, which must reach beyond today. */
export function bedStanding({
  scenario,
  projection,
  today,
  setting: { isPath, rules, feeding: feedingRules },
}: {
  readonly scenario: BedScenario;
  readonly projection: BedProjection;
  readonly today: DayNumber;
  readonly setting: AdviceSetting;
}): BedStanding {
  const contact = lockUpWindow({
    samples: projection.samples,
    zone: 'contact',
    today,
    feltFromG: rules.feltFromG,
  });
  const root = lockUpWindow({ samples: projection.samples, zone: 'root', today, feltFromG: rules.feltFromG });
  const feeding = isPath ? null : planFeeding(scenario, today, feedingRules);
  const prospects = cropProspects(scenario, projection, rules);
  const standing = { today, contact, root, feeding, prospects, rules };
  return { ...standing, status: isPath ? 'path' : statusOf(scenario, projection, standing) };
}

/** The standing of a bed, when young plants may go in, and the workings behind it. */
export function adviseBed({
  scenario,
  projection,
  today,
  setting,
}: {
  readonly scenario: BedScenario;
  readonly projection: BedProjection;
  readonly today: DayNumber;
  readonly setting: AdviceSetting;
}): BedAdvice {
  const standing = bedStanding({ scenario, projection, today, setting });
  const causes = [standing.contact, standing.root].flatMap((window) => window?.causes ?? []);
  const causeIds = [...new Set(causes.map(({ layerId }) => layerId))];
  return {
    ...standing,
    planting: setting.isPath ? [] : plantingDates(scenario, today, setting.rules),
    workings: causeIds.flatMap((id) => layerWorking(scenario, id) ?? []),
  };
}

/** What is to be done within this is to be done now, days (set here). */
const SOON_DAYS = 14;

const isGoingOn = (window: LockUpWindow | null, today: DayNumber): boolean =>
  window !== null && window.fromDay <= today;

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
  if (feeding?.doses.some(({ day }) => day <= today + SOON_DAYS)) return 'short';
  if (standing.length === 0 && isAsleep(scenario, today)) return 'resting';
  if (isGoingOn(root, today) || isGoingOn(contact, today)) return 'held';
  return standing.length > 0 ? 'fed' : 'resting';
}
