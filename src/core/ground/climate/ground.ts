import type { ClimateNormals } from '../../../records/garden.ts';
import { calendarDateOf, dayNumberOf, type DayNumber } from './calendar.ts';
import { isSouthern } from './climate.ts';
import { airTemperatureC } from './weather.ts';

/** From this much clay on, ground must not be worked or trodden wet, % (set here). */
export const HEAVY_CLAY_FROM_PCT = 35;
/** Below this mean air temperature seed sits and rots, and organic feed lies idle, degrees C (common practice, no source). */
export const COLD_SOIL_BELOW_C = 8;

export type GroundWarning =
  { readonly code: 'coldSoil'; readonly temperatureC: number } | { readonly code: 'wetClay' };

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
}: {
  readonly climate: ClimateNormals;
  readonly clayPct: number;
  readonly day: DayNumber;
  readonly work: { readonly needsWarmth: boolean; readonly treadsOrDigs: boolean };
}): GroundWarning[] {
  const temperatureC = airTemperatureC(climate, day);
  return [
    ...(work.needsWarmth && temperatureC < COLD_SOIL_BELOW_C
      ? [{ code: 'coldSoil' as const, temperatureC }]
      : []),
    ...(work.treadsOrDigs && clayPct >= HEAVY_CLAY_FROM_PCT && isWetMonth(climate, day)
      ? [{ code: 'wetClay' as const }]
      : []),
  ];
}

/** The first day of a month of the northern year, half a year later in the south; on or after `from`. */
export function nextSeasonDay(climate: ClimateNormals, northernMonth: number, from: DayNumber): DayNumber {
  const month = isSouthern(climate) ? ((northernMonth + 5) % 12) + 1 : northernMonth;
  const { year } = calendarDateOf(from);
  const thisYears = dayNumberOf({ year, month, day: 1 });
  return thisYears >= from ? thisYears : dayNumberOf({ year: year + 1, month, day: 1 });
}
