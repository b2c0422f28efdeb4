import type { DayNumber } from '../climate/calendar.ts';
import { atEndOf, projectBed, type BedProjection, type CropOutcome } from '../projection/bed-projection.ts';
import { withoutMaterials, type BedScenario } from '../simulation/scenario.ts';
import { dosePlan, type DosePlan } from './dose-plan.ts';
import { lockUpWindow, type LockUpWindow } from './lock-up.ts';
import { HARMLESS_SHARE, plantingDates, type PlantingDate } from './planting-dates.ts';

/** What a crop misses as the books stand, and what it would miss had nothing been laid. */
export interface CropProspect extends CropOutcome {
  readonly shortWithoutMaterialsG: number;
}

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
}

/** All that can be said of a bed on a day. */
export interface BedAdvice extends BedStanding {
  readonly planting: readonly PlantingDate[];
}

const PALENESS_SHOWN = 0.25;

/** How crops fare as the books stand, beside the same bed with nothing laid. */
function prospectsOf(scenario: BedScenario, projection: BedProjection): CropProspect[] {
  const bare = projectBed(withoutMaterials(scenario), scenario.endDay - scenario.startDay);
  const shortOnBare = new Map(bare.crops.map(({ id, shortG }) => [id, shortG]));
  return projection.crops.map((crop) => ({
    ...crop,
    shortWithoutMaterialsG: shortOnBare.get(crop.id) ?? 0,
  }));
}

/**
 * How a bed stands on `today` by its projection, which must reach beyond today. `isPath` beds grow nothing, so
 * they get no doses.
 */
export function bedStanding(
  scenario: BedScenario,
  projection: BedProjection,
  today: DayNumber,
  isPath: boolean,
): BedStanding {
  const contact = lockUpWindow(projection.samples, 'contact', today);
  const root = lockUpWindow(projection.samples, 'root', today);
  const doses = isPath ? null : dosePlan(scenario, today);
  const prospects = prospectsOf(scenario, projection);
  const status = isPath ? 'path' : statusOf(projection, prospects, doses, { contact, root }, today);
  return { today, status, contact, root, doses, prospects };
}

/** The standing of a bed, and when young plants may go in. */
export const adviseBed = (
  scenario: BedScenario,
  projection: BedProjection,
  today: DayNumber,
  isPath: boolean,
): BedAdvice => ({
  ...bedStanding(scenario, projection, today, isPath),
  planting: isPath ? [] : plantingDates(scenario, today),
});

const isGoingOn = (window: LockUpWindow | null, today: DayNumber): boolean =>
  window !== null && window.fromDay <= today;

function statusOf(
  projection: BedProjection,
  prospects: readonly CropProspect[],
  doses: DosePlan | null,
  { contact, root }: Pick<BedAdvice, 'contact' | 'root'>,
  today: DayNumber,
): BedStatus {
  const concerned = prospects.filter(({ id }) => doses?.cropIds.includes(id));
  const isStanding = concerned.some(({ plantDay }) => plantDay <= today);
  const missesMuch = concerned.some(({ shortG, demandG }) => shortG > HARMLESS_SHARE * demandG);
  const isPale = atEndOf(projection, today).crops.some(({ paleness }) => paleness > PALENESS_SHOWN);
  if (isPale) return 'pale';
  if (missesMuch && (doses?.doses.some(({ nitrogenGPerM2 }) => nitrogenGPerM2 > 0) ?? false)) return 'short';
  if (isGoingOn(root, today) || isGoingOn(contact, today)) return 'held';
  return isStanding ? 'fed' : 'resting';
}
