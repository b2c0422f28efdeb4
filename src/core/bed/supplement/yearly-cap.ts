import { calendarDateOf, total } from '../../ground/index.ts';
import type { CropPlan } from '../../model/index.ts';

/** Most nitrogen a bed with these crops may get in a calendar year, g/m2: `doseSeasonG`, or their own need when larger. */
export function yearlyCapG(crops: readonly CropPlan[], year: number, doseSeasonG: number): number {
  const standing = crops.filter(
    ({ plantDay, harvestDay }) =>
      calendarDateOf(plantDay).year <= year && year <= calendarDateOf(harvestDay).year,
  );
  return Math.max(doseSeasonG, total(standing.map(({ nitrogenDemandGPerM2 }) => nitrogenDemandGPerM2)));
}
