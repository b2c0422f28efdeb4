import {
  COLD_SOIL_BELOW_C,
  type DayNumber,
  airTemperatureC,
  calendarDateOf,
  isWetMonth,
} from '../../../core/ground/index.ts';
import type { ClimateNormals } from '../../../records/garden.ts';
import type { Measures } from '../../../words/measures.ts';

/** How warm and how wet the month of a day usually is. */
export function groundOfMonth(climate: ClimateNormals, day: DayNumber, measures: Measures): string {
  const middle = day - calendarDateOf(day).day + 15;
  const warmth = airTemperatureC(climate, middle);
  const cold = warmth < COLD_SOIL_BELOW_C ? ', too cold to sow' : '';
  const wet = isWetMonth(climate, middle) ? '; more rain than the air takes up: keep off clay' : '';
  return `about ${measures.warmth(warmth)}${cold}${wet}`;
}
