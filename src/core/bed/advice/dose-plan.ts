import type { DayNumber } from '../../ground/index.ts';
import { type BedScenario, type CropPlan, endingOn } from '../../model/index.ts';
import { leastDoses, type Dose } from '../supplement/least-doses.ts';

const LOOK_AHEAD_DAYS = 365;
const DOSE_EVERY_DAYS = 28;
/** So close to the harvest a dose no longer becomes crop (common practice, no source). */
const LAST_DOSE_BEFORE_HARVEST_DAYS = 21;
const MOST_DOSES = 5;

export interface DosePlan {
  readonly cropIds: readonly string[];
  readonly untilDay: DayNumber;
  /** Allowed dates with the least dose for each; a dose may be 0. */
  readonly doses: readonly PlannedDose[];
}

export interface PlannedDose extends Dose {
  /** What a cautious garden adds for what the book may underrate; part of the dose. */
  readonly reserveGPerM2: number;
}

/** The crop in the ground today, or the next to come within a year, and all that stand beside it. */
export function cropsConcerned(crops: readonly CropPlan[], today: DayNumber): CropPlan[] {
  const ahead = crops
    .filter(({ plantDay, harvestDay }) => harvestDay > today && plantDay <= today + LOOK_AHEAD_DAYS)
    .sort((a, b) => a.plantDay - b.plantDay);
  const first = ahead.at(0);
  if (!first) return [];
  return ahead.filter(({ plantDay }) => plantDay < Math.max(first.harvestDay, today + 1));
}

/** Least dated doses for the crops concerned; null when nothing grows or is planned. */
export function dosePlan(scenario: BedScenario, today: DayNumber, reserveShare: number): DosePlan | null {
  const crops = cropsConcerned(scenario.crops, today);
  if (crops.length === 0) return null;
  const untilDay = Math.max(...crops.map(({ harvestDay }) => harvestDay));
  const firstDay = Math.max(today, Math.min(...crops.map(({ plantDay }) => plantDay)));
  const lastDay = Math.max(firstDay, untilDay - LAST_DOSE_BEFORE_HARVEST_DAYS);
  const days: DayNumber[] = [];
  for (let day = firstDay; day <= lastDay && days.length < MOST_DOSES; day += DOSE_EVERY_DAYS) days.push(day);
  const cropIds = crops.map(({ id }) => id);
  const doses = leastDoses(endingOn(scenario, untilDay), { days, cropIds, availability: 1 });
  return { cropIds, untilDay, doses: doses.map((dose) => withReserve(dose, reserveShare)) };
}

function withReserve(dose: Dose, reserveShare: number): PlannedDose {
  const reserveGPerM2 = reserveShare * Math.max(0, dose.priceGPerM2);
  return { ...dose, nitrogenGPerM2: dose.nitrogenGPerM2 + reserveGPerM2, reserveGPerM2 };
}
