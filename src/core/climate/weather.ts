import { calendarDateOf, dayNumberFromIso, daysInMonth, type DayNumber } from './calendar.ts';
import type { ClimateNormals } from './climate.ts';
import { q10Modifier, temperatureModifier } from './modifiers.ts';

/** Weather of every day of a run, index 0 = first day. */
export interface WeatherSeries {
  readonly firstDay: DayNumber;
  /** Temperature modifier of decay. */
  readonly temperatureModifier: Float64Array;
  /** Factor on what doubles with every 10 C, such as the loss of ammonia. */
  readonly q10Modifier: Float64Array;
  /** Rain that falls that day (collected over the rain gap), mm. */
  readonly rainMm: Float64Array;
  /** Potential evapotranspiration, mm. */
  readonly evapotranspirationMm: Float64Array;
  /** Month of the day, 1 to 12. */
  readonly month: Uint8Array;
}

/** What a station measured on one day. */
export interface MeasuredDay {
  /** ISO date. */
  readonly date: string;
  /** Mean of the day, degrees C. */
  readonly temperatureC: number;
  readonly rainMm: number;
  /** Null where the station does not work it out: the normal then stands. */
  readonly evapotranspirationMm: number | null;
}

const MID_MONTH = 15;

/** Air temperature of a day, degrees C: straight lines between monthly means placed on the 15th. */
export function airTemperatureC(normals: ClimateNormals, dayNumber: DayNumber): number {
  const { year, month, day } = calendarDateOf(dayNumber);
  return temperatureOnDate(normals.temperatureC, year, month, day);
}

function temperatureOnDate(means: readonly number[], year: number, month: number, day: number): number {
  const fromMonth = day >= MID_MONTH ? month : month === 1 ? 12 : month - 1;
  const fromYear = day < MID_MONTH && month === 1 ? year - 1 : year;
  const span = daysInMonth(fromYear, fromMonth);
  const elapsed = day >= MID_MONTH ? day - MID_MONTH : day + span - MID_MONTH;
  const from = means[fromMonth - 1];
  const to = means[fromMonth % 12];
  return from + ((to - from) * elapsed) / span;
}

export interface WeatherRules {
  /** Rain falls on every day whose number is divisible by this, days. */
  readonly rainGapDays: number;
  readonly frozenC: number;
  readonly temperatureModifierCap: number;
}

/**
 * Days from monthly normals: temperature by interpolation, rain gathered and let fall every few days. Days that were
 * measured stand in their place as they were.
 */
export function weatherSeries(
  normals: ClimateNormals,
  firstDay: DayNumber,
  dayCount: number,
  rules: WeatherRules,
  measured: readonly MeasuredDay[] = [],
): WeatherSeries {
  const measuredOn = new Map(measured.map((one) => [dayNumberFromIso(one.date, ['weather', 'date']), one]));
  const series = {
    firstDay,
    temperatureModifier: new Float64Array(dayCount),
    q10Modifier: new Float64Array(dayCount),
    rainMm: new Float64Array(dayCount),
    evapotranspirationMm: new Float64Array(dayCount),
    month: new Uint8Array(dayCount),
  };
  let { year, month, day } = calendarDateOf(firstDay);
  let monthLength = daysInMonth(year, month);
  let gatheredRainMm = 0;
  for (let i = 0; i < dayCount; i++) {
    const asMeasured = measuredOn.get(firstDay + i);
    const airC = asMeasured?.temperatureC ?? temperatureOnDate(normals.temperatureC, year, month, day);
    series.temperatureModifier[i] = temperatureModifier(airC, rules.frozenC, rules.temperatureModifierCap);
    series.q10Modifier[i] = q10Modifier(airC);
    series.evapotranspirationMm[i] =
      asMeasured?.evapotranspirationMm ?? normals.evapotranspirationMm[month - 1] / monthLength;
    series.month[i] = month;
    if (asMeasured) series.rainMm[i] = asMeasured.rainMm;
    else gatheredRainMm += normals.rainMm[month - 1] / monthLength;
    if (!asMeasured && (firstDay + i) % rules.rainGapDays === 0) {
      series.rainMm[i] = gatheredRainMm;
      gatheredRainMm = 0;
    }
    day += 1;
    if (day > monthLength) {
      day = 1;
      month = month === 12 ? 1 : month + 1;
      if (month === 1) year += 1;
      monthLength = daysInMonth(year, month);
    }
  }
  return series;
}
