import { findingsOf } from '../contract/problem-fields.ts';
import { describeFinding } from '../words/refusal-words.ts';
import { stationDays, type StationReading } from '../contract/weather-station.ts';
import { weatherRow } from '../records/weather.ts';
import { dayNumberFromIso, isoDateOf } from '../core/ground/index.ts';
import { askInstrument, type InstrumentAddresses } from './instruments.ts';

const MOST_DAYS = 3660;

/**
 * Whole days from a station, each judged by itself: what is missing, absurd, sent twice or not asked for is left out
 * with the reason, and the normals go on standing for it.
 */
export async function readWeather(
  { weather }: InstrumentAddresses,
  { from, until }: { readonly from: string; readonly until: string },
): Promise<StationReading> {
  const first = dayNumberFromIso(from, ['from']);
  const last = Math.min(dayNumberFromIso(until, ['until']), first + MOST_DAYS);
  const path = `/days?from=${from}&until=${isoDateOf(last)}`;
  const answer = await askInstrument({
    address: weather,
    schema: stationDays,
    what: 'weather station',
    asked: { path },
  });
  const days = new Map<string, StationReading['days'][number]>();
  const leftOut: { date: string; sentence: string }[] = [];
  for (const raw of answer.days) {
    const read = weatherRow.safeParse(raw);
    const date = typeof raw['date'] === 'string' ? raw['date'] : '';
    if (!read.success) {
      leftOut.push({ date, sentence: describeFinding(findingsOf(read.error)[0]!).sentence });
    } else if (date < from || date > isoDateOf(last)) {
      leftOut.push({ date, sentence: 'was not asked for.' });
    } else if (days.has(date)) {
      leftOut.push({ date, sentence: 'is told twice; the first was taken.' });
    } else {
      const { temperatureC, rainMm, evapotranspirationMm } = read.data;
      days.set(date, { date, temperatureC, rainMm, evapotranspirationMm });
    }
  }
  for (let day = first; day <= last; day++) {
    const date = isoDateOf(day);
    if (!days.has(date) && !leftOut.some((one) => one.date === date))
      leftOut.push({ date, sentence: 'is missing at the station.' });
  }
  return { days: [...days.values()].sort((a, b) => a.date.localeCompare(b.date)), leftOut };
}
