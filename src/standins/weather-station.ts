import { Hono } from 'hono';
import {
  type ClimatePattern,
  type DayNumber,
  airTemperatureC,
  dayNumberFromIso,
  isoDateOf,
  seededStream,
} from '../core/ground/index.ts';
import { drawAround } from './around.ts';
import { faultsOf, type Faults } from './faults.ts';

/** How weather strays from its normals (all set here). */
const STRAYS = {
  /** Spread of a day's temperature, degrees C, and how much of yesterday's is left. */
  temperatureC: 3.2,
  memory: 0.7,
  /** Chance of rain after a dry and after a wet day. */
  wetAfterDry: 0.25,
  wetAfterWet: 0.6,
} as const;
/** In the long run the share of wet days of such a chain. */
const WET_SHARE = STRAYS.wetAfterDry / (1 + STRAYS.wetAfterDry - STRAYS.wetAfterWet);
const DAYS_PER_MONTH = 365 / 12;
/** Every history begins here, so that a day is the same whoever asks for it. */
const BEGINS: DayNumber = dayNumberFromIso('2015-01-01', []);
const LONGEST_SPAN = 4000;

interface StationDay {
  readonly date: string;
  readonly temperatureC: number;
  readonly rainMm: number;
  readonly evapotranspirationMm: number;
}

const oneDecimal = (value: number): number => Math.round(value * 10) / 10;

/** Days one after the other: temperature strays with a memory, rain comes in spells, both around the pattern. */
function* weatherOf(climate: ClimatePattern, seed: number): Generator<StationDay> {
  const next = seededStream(seed);
  let strayC = 0;
  let isWet = false;
  for (let day = BEGINS; ; day++) {
    const date = isoDateOf(day);
    const month = Number(date.slice(5, 7)) - 1;
    strayC =
      STRAYS.memory * strayC + Math.sqrt(1 - STRAYS.memory ** 2) * STRAYS.temperatureC * drawAround(next);
    isWet = next() < (isWet ? STRAYS.wetAfterWet : STRAYS.wetAfterDry);
    const meanOnWetDays = (climate.rainMm[month] ?? 0) / DAYS_PER_MONTH / WET_SHARE;
    const rainMm = isWet ? -Math.log(1 - next()) * meanOnWetDays : 0;
    const dry = Math.max(0.2, 1 + 0.06 * strayC - (isWet ? 0.35 : -0.15));
    yield {
      date,
      temperatureC: oneDecimal(airTemperatureC(climate, day) + strayC),
      rainMm: oneDecimal(rainMm),
      evapotranspirationMm: oneDecimal(((climate.evapotranspirationMm[month] ?? 0) / DAYS_PER_MONTH) * dry),
    };
  }
}

/**
 * A weather station that is not there: `GET /days?from=&until=` gives whole days, `GET /today?on=` the running one. The
 * same seed gives the same weather. With faults it leaves days out, and now and then says what cannot be.
 */
export function weatherStation(climate: ClimatePattern, seed: number, faults: Faults = faultsOf(false)) {
  const told: StationDay[] = [];
  const source = weatherOf(climate, seed);
  const upTo = (count: number) => {
    while (told.length < count) told.push(source.next().value as StationDay);
  };
  const span = (from: string, until: string): StationDay[] => {
    const first = Math.max(0, dayNumberFromIso(from, ['from']) - BEGINS);
    const end = Math.min(dayNumberFromIso(until, ['until']) - BEGINS + 1, first + LONGEST_SPAN);
    upTo(end);
    return told.slice(first, end);
  };
  return new Hono()
    .use(faults.late)
    .get('/days', (c) => {
      const days = span(c.req.query('from') ?? '', c.req.query('until') ?? '');
      return c.json({ days: days.flatMap((day, i) => spoilt(day, i, faults)) }, 200);
    })
    .get('/today', (c) => {
      const on = c.req.query('on') ?? '';
      const [day] = span(on, on);
      return day ? c.json(day, 200) : c.json({ error: 'no such day' }, 404);
    });
}

/** Sensors freeze, batteries run down: a day goes missing, or says minus 999. */
function spoilt(day: StationDay, index: number, { isFaulty }: Faults): object[] {
  if (!isFaulty) return [day];
  if (index % 7 === 3) return [];
  if (index % 11 === 5) return [{ ...day, temperatureC: -999 }];
  if (index % 13 === 6) return [{ ...day, rainMm: null }];
  return [day];
}
