import type { DayNumber } from '../../ground/index.ts';
import type { CropPlan } from '../../model/index.ts';

const LOOK_AHEAD_DAYS = 365;

/**
 * The crop that takes nitrogen from the ground today, or the next one to come within a year, and all such that stand beside
 * it. Legumes never go short.
 */
export function cropsConcerned(crops: readonly CropPlan[], today: DayNumber): CropPlan[] {
  const ahead = crops
    .filter(
      ({ plantDay, harvestDay, isLegume }) =>
        !isLegume && harvestDay > today && plantDay <= today + LOOK_AHEAD_DAYS,
    )
    .sort((a, b) => a.plantDay - b.plantDay);
  const first = ahead.at(0);
  if (!first) return [];
  return ahead.filter(({ plantDay }) => plantDay < Math.max(first.harvestDay, today + 1));
}
