import type { MeasuredDay } from '../../../records/weather.ts';
import { calendarDateOf, CalendarWalk, dayNumberFromIso, type DayNumber } from './calendar.ts';
import { daysInMonth } from '../../../records/iso-date.ts';
import type { ClimateNormals } from '../../../records/garden.ts';
import { total } from '../numerics/total.ts';
import { q10Modifier, temperatureModifier } from './modifiers.ts';
import { monthAnomaly, type SeededWeather } from './seeded-weather.ts';

/** Weather of every day of a run, index 0 = first day. */
export interface WeatherSeries {
  readonly firstDay: DayNumber;
  /** Mean air temperature, degrees C. */
  readonly airC: Float64Array;
  /** Temperature of the surface: that of the air, tempered by snow below 0, degrees C. */
  readonly surfaceC: Float64Array;
  /** Temperature modifier of decay at the surface. */
  readonly surfaceModifier: Float64Array;
  /** Factor on what doubles with every 10 C of the air, such as the loss of ammonia. */
  readonly q10Modifier: Float64Array;
  /** Rain that falls that day (collected over the rain gap), mm. */
  readonly rainMm: Float64Array;
  /** Potential evapotranspiration, mm. */
  readonly evapotranspirationMm: Float64Array;
  /** Month of the day, 1 to 12. */
  readonly month: Uint8Array;
  /** Mean of the surface over the year by the normals, degrees C. */
  readonly yearlySurfaceC: number;
}

const MID_MONTH = 15;

/**
 * Air temperature of a day, degrees C: straight lines between monthly means placed on the 15th.
 *
 * @example
 * airTemperatureC(findClimate('mild_maritime'), dayNumberFromIso('2026-07-15')) // 20.5
 */
export function airTemperatureC(normals: ClimateNormals, dayNumber: DayNumber): number {
  const { year, month, day } = calendarDateOf(dayNumber);
  return temperatureOnDate(normals.temperatureC, year, month, day);
}

/** Sum of `of` over the air temperatures of all days from `fromDay` to the day before `untilDay`, by the normals. */
export function sumOverDays(
  normals: ClimateNormals,
  fromDay: DayNumber,
  untilDay: DayNumber,
  of: (airC: number) => number,
): number {
  const walk = new CalendarWalk(fromDay);
  let sum = 0;
  for (let i = fromDay; i < untilDay; i++) {
    sum += of(temperatureOnDate(normals.temperatureC, walk.year, walk.month, walk.day));
    walk.goOn();
  }
  return sum;
}

function temperatureOnDate(means: readonly number[], year: number, month: number, day: number): number {
  const { fromMonth, share } = betweenMiddles(year, month, day);
  const from = means[fromMonth - 1];
  const to = means[fromMonth % 12];
  return from + (to - from) * share;
}

/** The month whose 15th was the last, and how far the day stands on the way to the next 15th, 0 to 1. */
function betweenMiddles(year: number, month: number, day: number) {
  const isPast = day >= MID_MONTH;
  const fromMonth = isPast ? month : month === 1 ? 12 : month - 1;
  const fromYear = !isPast && month === 1 ? year - 1 : year;
  const span = daysInMonth(fromYear, fromMonth);
  return { fromYear, fromMonth, share: (isPast ? day - MID_MONTH : day + span - MID_MONTH) / span };
}

/** Below 0 C snow keeps the surface warmer than the air. */
const surfaceTemperatureC = (airC: number, frostFactor: number): number =>
  airC >= 0 ? airC : frostFactor * airC;

export interface WeatherRules {
  /** Rain falls on every day whose number is divisible by this, days. */
  readonly rainGapDays: number;
  readonly frozenC: number;
  readonly temperatureModifierCap: number;
  /** Surface over air temperature below 0 C. */
  readonly frostFactor: number;
}

/** What stands in the place of the monthly normals. */
export interface WeatherChanges {
  /** Days that were measured; they stand as they were. */
  readonly measured?: readonly MeasuredDay[] | undefined;
  /** Years that stray from the normals by a seed. */
  readonly seeded?: SeededWeather | undefined;
}

/**
 * Days from monthly normals: temperature by interpolation, rain gathered and let fall every few days. Seeded weather
 * strays month by month; measured days replace the normal ones.
 */
export function weatherSeries(
  normals: ClimateNormals,
  firstDay: DayNumber,
  dayCount: number,
  rules: WeatherRules,
  { measured = [], seeded }: WeatherChanges = {},
): WeatherSeries {
  const measuredOn = new Map(measured.map((one) => [dayNumberFromIso(one.date, ['weather', 'date']), one]));
  const series = {
    firstDay,
    airC: new Float64Array(dayCount),
    surfaceC: new Float64Array(dayCount),
    surfaceModifier: new Float64Array(dayCount),
    q10Modifier: new Float64Array(dayCount),
    rainMm: new Float64Array(dayCount),
    evapotranspirationMm: new Float64Array(dayCount),
    month: new Uint8Array(dayCount),
    yearlySurfaceC: total(normals.temperatureC.map((t) => surfaceTemperatureC(t, rules.frostFactor))) / 12,
  };
  const monthOf = monthlyMeans(normals, seeded);
  const walk = new CalendarWalk(firstDay);
  let gatheredRainMm = 0;
  for (let i = 0; i < dayCount; i++) {
    const { year, month, day, monthLength } = walk;
    const asMeasured = measuredOn.get(firstDay + i);
    const means = monthOf(year, month);
    let airC = asMeasured?.temperatureC;
    if (airC === undefined) {
      const { fromYear, fromMonth, share } = betweenMiddles(year, month, day);
      const from = monthOf(fromYear, fromMonth).temperatureC;
      const to = monthOf(fromMonth === 12 ? fromYear + 1 : fromYear, (fromMonth % 12) + 1).temperatureC;
      airC = from + (to - from) * share;
    }
    const surfaceC = surfaceTemperatureC(airC, rules.frostFactor);
    series.airC[i] = airC;
    series.surfaceC[i] = surfaceC;
    series.surfaceModifier[i] = temperatureModifier(surfaceC, rules.frozenC, rules.temperatureModifierCap);
    series.q10Modifier[i] = q10Modifier(airC);
    series.evapotranspirationMm[i] =
      asMeasured?.evapotranspirationMm ?? means.evapotranspirationMm / monthLength;
    series.month[i] = month;
    if (asMeasured) series.rainMm[i] = asMeasured.rainMm;
    else gatheredRainMm += means.rainMm / monthLength;
    if (!asMeasured && (firstDay + i) % rules.rainGapDays === 0) {
      series.rainMm[i] = gatheredRainMm;
      gatheredRainMm = 0;
    }
    walk.goOn();
  }
  return series;
}

interface MonthMeans {
  readonly temperatureC: number;
  readonly rainMm: number;
  readonly evapotranspirationMm: number;
}

/** The means of one month of one year: the normals, or what the seed makes of them; each worked out once. */
function monthlyMeans(
  normals: ClimateNormals,
  seeded: SeededWeather | undefined,
): (year: number, month: number) => MonthMeans {
  const normal: MonthMeans[] = normals.temperatureC.map((temperatureC, m) => ({
    temperatureC,
    rainMm: normals.rainMm[m],
    evapotranspirationMm: normals.evapotranspirationMm[m],
  }));
  if (!seeded) return (_, month) => normal[month - 1];
  const known = new Map<number, MonthMeans>();
  return (year, month) => {
    const key = year * 12 + month;
    let means = known.get(key);
    if (!means) {
      const { temperatureC, rainMm, evapotranspirationMm } = normal[month - 1];
      const strays = monthAnomaly(seeded, year, month);
      means = {
        temperatureC: temperatureC + strays.temperatureC,
        rainMm: rainMm * strays.rainFactor,
        evapotranspirationMm: evapotranspirationMm * strays.evapotranspirationFactor,
      };
      known.set(key, means);
    }
    return means;
  };
}
