import type { DayNumber } from '../../ground/index.ts';
import { atEndOf, projectBed, telltaleDays, type BedProjection } from '../projection/bed-projection.ts';
import type { BedScenario } from '../../model/index.ts';
import { cropProspects, type CropProspect } from './crop-prospects.ts';
import { dosePlan, type DosePlan } from './dose-plan.ts';
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
  readonly doses: DosePlan | null;
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

/** What the advice depends on apart from the bed itself. */
export interface AdviceSetting {
  /** Paths grow nothing, so they get no doses and no planting dates. */
  readonly isPath: boolean;
  readonly rules: SchoolRules;
}

/** Leaves show a paleness of the model from here on (set here). */
export const PALENESS_SHOWN = 0.25;

/** How a bed stands on `today` by its projection, which must reach beyond today. */
export function bedStanding({
  scenario,
  projection,
  today,
  setting: { isPath, rules },
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
  const doses = isPath ? null : dosePlan(scenario, today, rules.reserveShare);
  const prospects = cropProspects(scenario, projection, rules);
  const standing = { today, contact, root, doses, prospects, rules };
  return { ...standing, status: isPath ? 'path' : statusOf(projection, standing) };
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

const isGoingOn = (window: LockUpWindow | null, today: DayNumber): boolean =>
  window !== null && window.fromDay <= today;

function statusOf(
  projection: BedProjection,
  { contact, root, doses, prospects, rules, today }: Omit<BedStanding, 'status'>,
): BedStatus {
  const concerned = prospects.filter(({ id }) => doses?.cropIds.includes(id));
  const isStanding = concerned.some(({ plantDay }) => plantDay <= today);
  const missesMuch = concerned.some(({ shortG, demandG }) => shortG > rules.harmlessShare * demandG);
  const isPale = atEndOf(projection, today).crops.some(({ paleness }) => paleness > PALENESS_SHOWN);
  if (isPale) return 'pale';
  if (missesMuch && (doses?.doses.some(({ nitrogenGPerM2 }) => nitrogenGPerM2 > 0) ?? false)) return 'short';
  if (isGoingOn(root, today) || isGoingOn(contact, today)) return 'held';
  return isStanding ? 'fed' : 'resting';
}
