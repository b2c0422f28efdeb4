import type { ClimateNormals } from '../../../records/garden.ts';
import { type DayNumber, total } from '../../ground/index.ts';
import { type BedScenario, type CropPlan, endingOn, withoutMaterials } from '../../model/index.ts';
import type { Mornings } from './bed-past.ts';
import { isTooColdToFeed } from './feeding-limits.ts';
import type { DosedProduct, FeedingPlan, FeedingRules, PlannedDose } from './feeding-plan.ts';
import { APART_DAYS, type Searched, searchDoses } from './feeding-search.ts';

/** How far ahead crops are fed, days: fifteen months. */
export const PLANNED_DAYS = 456;
/** Runs go on so long after that, so that the last dose can show what it does. */
const RUN_ON_DAYS = 28;
/** A slow product is spread so long before it has to act (set here). */
const SLOW_ACTS_AFTER_DAYS = 21;

/** Crops that are fed: no legumes, and nothing that is over or beyond the plan. */
const cropsToFeed = ({ crops }: BedScenario, today: DayNumber): CropPlan[] =>
  crops
    .filter(
      ({ isLegume, plantDay, harvestDay, nitrogenDemandGPerM2 }) =>
        !isLegume && harvestDay > today && plantDay <= today + PLANNED_DAYS && nitrogenDemandGPerM2 > 0,
    )
    .sort((a, b) => a.plantDay - b.plantDay);

/**
 * The least feeding that is worth its cost, looking ahead over all that stands or will stand here for fifteen months:
 * each dose just before it would be missed, none that is not worth the walk, none too close to harvest, in the cold, or
 * after midsummer on woody plants; never more at once than `largestDoseGPerM2`, nor in a year than the cap. Null when
 * nothing is to be fed.
 */
export function planFeeding({
  scenario,
  today,
  rules,
  mornings,
}: {
  readonly scenario: BedScenario;
  readonly today: DayNumber;
  readonly rules: FeedingRules;
  /** When they are at hand. */
  readonly mornings: Mornings | null;
}): FeedingPlan | null {
  const crops = cropsToFeed(scenario, today);
  if (crops.length === 0) return null;
  const untilDay = Math.min(
    Math.max(...crops.map(({ harvestDay }) => harvestDay)),
    today + PLANNED_DAYS + RUN_ON_DAYS,
    scenario.endDay,
  );
  const ground = endingOn(scenario, untilDay);
  const asked = { today, untilDay, plans: crops, rules };
  const fromOwn = { ...asked, morning: mornings?.own ?? null };
  const own = searchDoses(ground, fromOwn);
  const twin = searchDoses(withoutMaterials(ground), { ...asked, morning: mornings?.bare ?? null });
  const priceGPerM2 = total(own.doses.map(gramsOf)) - total(twin.doses.map(gramsOf));
  return {
    cropIds: crops.map(({ id }) => id),
    untilDay,
    ...own,
    doses: spread(withReserve(own, rules, priceGPerM2), {
      climate: scenario.climate,
      today,
      rules,
    }),
    priceGPerM2,
    postponed: rules.postponed,
    waitingCostsGPerM2:
      rules.postponed.size === 0 ? null : Math.max(0, missedBy(own) - missedBy(onTime(ground, fromOwn))),
  };
}

const missedBy = ({ fed }: Searched): number => total(fed.map(({ missedG }) => missedG));

/** The same with no dose postponed. */
const onTime = (ground: BedScenario, asked: Parameters<typeof searchDoses>[1]): Searched =>
  searchDoses(ground, { ...asked, rules: { ...asked.rules, postponed: new Map() } });

const productOf = ({ materialId }: PlannedDose, { product, quickProduct }: FeedingRules): DosedProduct =>
  materialId === product.materialId ? product : quickProduct;

const gramsOf = ({ nitrogenGPerM2 }: PlannedDose): number => nitrogenGPerM2;

/** A reserve is spread over the doses by their size, as far as each has room. */
function withReserve(
  { doses, yearG, capG }: Searched,
  rules: FeedingRules,
  priceGPerM2: number,
): PlannedDose[] {
  const sum = total(doses.map(gramsOf));
  const reserveG = Math.min(rules.reserveShare * Math.max(0, priceGPerM2), Math.max(0, capG - yearG));
  return doses.map((dose) => {
    const { largestDoseGPerM2 } = productOf(dose, rules);
    const shareG = sum > 0 ? (reserveG * dose.nitrogenGPerM2) / sum : 0;
    const reserveGPerM2 = Math.max(0, Math.min(shareG, largestDoseGPerM2 - dose.nitrogenGPerM2));
    return { ...dose, nitrogenGPerM2: dose.nitrogenGPerM2 + reserveGPerM2, reserveGPerM2 };
  });
}

/**
 * When each dose is spread: a quick product on the day it has to act, a slow one three weeks before, as far as that is
 * neither in the cold nor too near the dose before.
 */
function spread(
  doses: readonly PlannedDose[],
  {
    climate,
    today,
    rules,
  }: { readonly climate: ClimateNormals; readonly today: DayNumber; readonly rules: FeedingRules },
): PlannedDose[] {
  let earliest = today;
  return doses.map((dose, i) => {
    const from = Math.max(earliest, rules.postponed.get(i + 1) ?? today);
    let day = productOf(dose, rules).isQuick ? dose.day : Math.max(from, dose.day - SLOW_ACTS_AFTER_DAYS);
    while (day < dose.day && isTooColdToFeed(climate, day)) day += 1;
    day = Math.min(day, dose.day);
    earliest = day + APART_DAYS;
    return { ...dose, day };
  });
}
