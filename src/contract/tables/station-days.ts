import { dateCell, figureText, numberCell } from './cells.ts';
import { findTable } from './garden-tables.ts';
import { dateOrdersIn, decimalIn, unitIn } from './recognize.ts';
import { sheetParts, type Grid, type SheetParts } from './sheet-parts.ts';

type Reading = 'date' | 'time' | 'lowest' | 'highest' | 'mean' | 'rain' | 'evapotranspiration';

const NO_AIR = String.raw`(?!.*\b(dew|soil|indoor|inside|room|feels|index|chill)\b)`;
const AIR = String.raw`^${NO_AIR}(?=.*\b(t|temp|temperature|tmin|tmax|tn|tx|low|high)\b)`;

/** By what a station's own headers call them; of one reading the first pattern that fits a header. */
const READINGS: readonly (readonly [Reading, RegExp])[] = [
  ['date', /^(date|day|datum)\b|\bdate$/],
  ['date', /^(time|timestamp|observed)\b/],
  ['time', /^(time|hour|zeit)\b/],
  ['evapotranspiration', /^(et|et0|eto|pet|evapotranspiration|evaporation)\b/],
  ['rain', /^(?=.*\b(daily|today|since midnight)\b).*\b(rain|rainfall|precip|precipitation)\b/],
  ['rain', /^(?!.*\b(rate|weekly|monthly|yearly|event)\b).*\b(rain|rainfall|precip|precipitation|prcp)\b/],
  ['lowest', new RegExp(String.raw`${AIR}.*\b(min|minimum|low|lowest|tmin|tn)\b`)],
  ['highest', new RegExp(String.raw`${AIR}.*\b(max|maximum|high|highest|tmax|tx)\b`)],
  ['mean', new RegExp(String.raw`^${NO_AIR}.*\b(tavg|tmean|temp|temperature|t)\b`)],
];
/** Rain of the last hour, told more often than once an hour. */
const OF_AN_HOUR = /\bhour(ly)?\b/;
/** Rain that is counted on from midnight, not anew for each line. */
const COUNTED_UP = /\b(daily|today|since midnight)\b/;

const words = (header: string): string => header.toLowerCase().replaceAll(/[_.]/g, ' ').trim();

type Places = Readonly<Partial<Record<Reading, number>>>;

function placesOf(headers: readonly string[]): Places {
  const places: Partial<Record<Reading, number>> = {};
  const taken = new Set<number>();
  for (const [reading, pattern] of READINGS) {
    const at = headers.findIndex((header, i) => !taken.has(i) && pattern.test(words(header)));
    if (at < 0 || places[reading] !== undefined) continue;
    places[reading] = at;
    taken.add(at);
  }
  return places;
}

const mean = (values: readonly number[]): number => values.reduce((sum, one) => sum + one, 0) / values.length;

interface StationFile {
  readonly parts: SheetParts;
  readonly places: Places;
  readonly decimal: '.' | ',';
}

/** Lines of the file by their day, each day in the place of its first line; lines without one are left out. */
function linesByDay({ parts, places }: StationFile): Map<string, (readonly string[])[]> {
  const days = parts.rows.map((row) => row[places.date!] ?? '');
  const [dateOrder] = dateOrdersIn(days);
  const byDay = new Map<string, (readonly string[])[]>();
  parts.rows.forEach((row, i) => {
    const read = dateCell(days[i]!, { dateOrder: dateOrder! });
    if (!('value' in read)) return;
    const before = byDay.get(read.value);
    if (before) before.push(row);
    else byDay.set(read.value, [row]);
  });
  return byDay;
}

const CLOCK = /(\d{1,2}):\d{2}(?::\d{2})?\s*([ap])?/i;

/** The hour of the clock in which a line was written, as it is written there; null where none is told. */
function hourOf(line: readonly string[], { date, time }: Places): string | null {
  const told = [date, time].map((at) => (at === undefined ? '' : (line[at] ?? ''))).join(' ');
  const [, hour, half = ''] = CLOCK.exec(told) ?? [];
  return hour === undefined ? null : `${hour}${half.toLowerCase()}`;
}

/** What was told last of each hour: rain of the last hour is told anew by every line. */
function lastOfEachHour(
  readings: readonly { readonly hour: string | null; readonly value: number }[],
): number[] {
  const hours = new Map<string, number>();
  readings.forEach(({ hour, value }, i) => hours.set(hour ?? `line ${i}`, value));
  return [...hours.values()];
}

/** What one day comes to: its mean temperature, the rain and the evapotranspiration of all of it. */
function dayCells({ parts, places, decimal }: StationFile, lines: readonly (readonly string[])[]): string[] {
  const readingsAt = (reading: Reading) => {
    const at = places[reading];
    if (at === undefined) return [];
    return lines.flatMap((line) => {
      const read = numberCell(line[at] ?? '', { decimal });
      return 'value' in read ? [{ hour: hourOf(line, places), value: read.value }] : [];
    });
  };
  const valuesAt = (reading: Reading): number[] => readingsAt(reading).map(({ value }) => value);
  const [lowest, highest] = [valuesAt('lowest'), valuesAt('highest')];
  const means = valuesAt('mean');
  const between = lowest.length > 0 && highest.length > 0 ? [Math.min(...lowest), Math.max(...highest)] : [];
  const temperatures = means.length > 0 ? means : between;
  const summed = (reading: Reading): number | null => {
    const values = valuesAt(reading);
    if (values.length === 0) return null;
    const header = words(parts.headers[places[reading]!] ?? '');
    if (lines.length > 1 && COUNTED_UP.test(header)) return Math.max(...values);
    const apart = OF_AN_HOUR.test(header) ? lastOfEachHour(readingsAt(reading)) : values;
    return apart.reduce((sum, one) => sum + one, 0);
  };
  const asText = (value: number | null): string => (value === null ? '' : figureText(value));
  return [
    asText(temperatures.length > 0 ? mean(temperatures) : null),
    asText(summed('rain')),
    asText(summed('evapotranspiration')),
  ];
}

const WEATHER = findTable('weather')!;

/** A column of ours, with the unit that the file's header names. */
function headerOf(field: string, own: string | undefined): string {
  const column = WEATHER.columns.find((one) => one.field === field)!;
  const unit = own === undefined ? null : unitIn(words(own), column);
  const name = field.replace(/(C|Mm)$/, '');
  return unit ? `${name} (${unit.name})` : name;
}

/** What a file must have to be a station's: days, rain, and temperatures in one of the two ways. */
const isWhole = ({ date, rain, mean, lowest, highest }: Places): boolean =>
  date !== undefined &&
  rain !== undefined &&
  (mean !== undefined || (lowest !== undefined && highest !== undefined));

/**
 * The days of a weather station's file as a table of ours, where it has several lines a day, or the least and the most
 * temperature of a day instead of its mean. Null for every other table. The mean of a day is that of its readings, or half
 * way between the least and the most (common practice of weather services before loggers, no source).
 */
export function stationDays(grid: Grid): Grid | null {
  const parts = sheetParts(grid, [WEATHER]);
  const places = placesOf(parts.headers);
  if (!isWhole(places)) return null;
  const cellsAt = (at: number | undefined) =>
    at === undefined ? [] : parts.rows.map((row) => row[at] ?? '');
  const { date, time, ...figures } = places;
  const decimal = decimalIn(Object.values(figures).flatMap(cellsAt));
  const byDay = linesByDay({ parts, places, decimal });
  const means = cellsAt(places.mean).filter((text) => text.trim() !== '');
  const isDailyMean = means.length > 0 && byDay.size === parts.rows.length;
  if (isDailyMean || byDay.size === 0) return null;
  const header = [
    'date',
    headerOf('temperatureC', parts.headers[places.mean ?? places.lowest!]),
    headerOf('rainMm', parts.headers[places.rain!]),
    headerOf('evapotranspirationMm', parts.headers[places.evapotranspiration ?? -1]),
  ];
  return [header, ...[...byDay].map(([day, lines]) => [day, ...dayCells({ parts, places, decimal }, lines)])];
}
