import type { ClimateNormals } from '../../../records/garden.ts';
import { calendarDateOf, dayNumberOf, type DayNumber } from './calendar.ts';
import { isSouthern } from './climate.ts';
import { airTemperatureC } from './weather.ts';

/** From this much clay on, ground must not be worked or trodden wet, % (set here). */
export const HEAVY_CLAY_FROM_PCT = 35;
/** Below this mean air temperature seed sits and rots, and organic feed lies idle, degrees C (common practice, no source). */
export const COLD_SOIL_BELOW_C = 8;

/** So much rain in the last days lies in clay, whatever is usual then, mm; less than the second leaves it dry (set here). */
const CLAY_WET_FROM_MM = 15;
const CLAY_DRY_UP_TO_MM = 3;
/** After so much rain in the last days what is fed may be washed out before roots have it, mm (set here). */
const DOWNPOUR_FROM_MM = 30;

export type GroundWarning =
  | { readonly code: 'coldSoil'; readonly temperatureC: number }
  /** `rainMm` was measured in the last days; null where only the usual rain of the month is known. */
  | { readonly code: 'wetClay'; readonly rainMm: number | null }
  | { readonly code: 'downpour'; readonly rainMm: number };

/** A month that brings more rain than the air takes up again: what drains badly is wet then. */
export function isWetMonth({ rainMm, evapotranspirationMm }: ClimateNormals, day: DayNumber): boolean {
  const month = calendarDateOf(day).month - 1;
  return rainMm[month] > evapotranspirationMm[month];
}

/** What the ground of a bed is like on a day for somebody who means to sow, plant or dig. */
export function groundWarnings({
  climate,
  clayPct,
  day,
  work,
  rainLatelyMm,
}: {
  readonly climate: ClimateNormals;
  readonly clayPct: number;
  readonly day: DayNumber;
  readonly work: {
    readonly needsWarmth: boolean;
    readonly treadsOrDigs: boolean;
    readonly isFeeding?: boolean;
  };
  /** Rain measured in the last days, where the work is near and it was measured. */
  readonly rainLatelyMm: number | null;
}): GroundWarning[] {
  const temperatureC = airTemperatureC(climate, day);
  return [
    ...(work.needsWarmth && temperatureC < COLD_SOIL_BELOW_C
      ? [{ code: 'coldSoil' as const, temperatureC }]
      : []),
    ...(work.treadsOrDigs && clayPct >= HEAVY_CLAY_FROM_PCT && isClayWet(climate, day, rainLatelyMm)
      ? [{ code: 'wetClay' as const, rainMm: rainLatelyMm }]
      : []),
    ...(work.isFeeding === true && rainLatelyMm !== null && rainLatelyMm >= DOWNPOUR_FROM_MM
      ? [{ code: 'downpour' as const, rainMm: rainLatelyMm }]
      : []),
  ];
}

/** By the rain that fell where it was measured and says enough; by the month otherwise. */
function isClayWet(climate: ClimateNormals, day: DayNumber, rainLatelyMm: number | null): boolean {
  if (rainLatelyMm !== null && rainLatelyMm >= CLAY_WET_FROM_MM) return true;
  if (rainLatelyMm !== null && rainLatelyMm <= CLAY_DRY_UP_TO_MM) return false;
  return isWetMonth(climate, day);
}

/** The first day of a month of the northern year, half a year later in the south; on or after `from`. */
export function nextSeasonDay(climate: ClimateNormals, northernMonth: number, from: DayNumber): DayNumber {
  const month = isSouthern(climate) ? ((northernMonth + 5) % 12) + 1 : northernMonth;
  const { year } = calendarDateOf(from);
  const thisYears = dayNumberOf({ year, month, day: 1 });
  return thisYears >= from ? thisYears : dayNumberOf({ year: year + 1, month, day: 1 });
}
