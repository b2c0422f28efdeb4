import type { DayNumber } from '../../ground/index.ts';
import type { TemperatureReading } from './keeping.ts';

/** The temperature the rules go by, degrees C. */
export const HOT_FROM_C = 55;

/**
 * Hotter than this the helpers of a heap die, its nitrogen goes, and a large dry heap can begin to smoulder (NRAES-54,
 * from memory), degrees C.
 */
export const TOO_HOT_FROM_C = 70;

/**
 * Days at 55 C or more that commonly cited rules ask for: 3 in a vessel or aerated pile, 15 with five turnings in a
 * turned windrow (US EPA 40 CFR 503 and 7 CFR 205.203, from memory). Local rules decide.
 */
export const HOT_RULES = {
  vessel: { days: 3, turnings: 0 },
  windrow: { days: 15, turnings: 5 },
} as const;

export interface HotPhase {
  /** Days the probe's line ran at or above 55 C, whole. */
  readonly hotDays: number;
  readonly turningsWhileHot: number;
  readonly hottestC: number | null;
  /** The last reading was above 70 C. */
  readonly isTooHot: boolean;
  readonly meetsVessel: boolean;
  readonly meetsWindrow: boolean;
}

/** Readings further apart than this do not vouch for the days between (set here). */
const VOUCHES_DAYS = 4;

/** How long a heap was hot by its log: two hot readings vouch for the days between them. */
export function hotPhase(readings: readonly TemperatureReading[], turnings: readonly DayNumber[]): HotPhase {
  const sorted = [...readings].sort((a, b) => a.day - b.day);
  const hot = new Set<DayNumber>();
  sorted.forEach((one, i) => {
    if (one.temperatureC < HOT_FROM_C) return;
    hot.add(one.day);
    const next = sorted[i + 1];
    const vouched =
      i + 1 < sorted.length && next.temperatureC >= HOT_FROM_C && next.day - one.day <= VOUCHES_DAYS;
    if (vouched) for (let day = one.day; day < next.day; day++) hot.add(day);
  });
  const first = Math.min(...hot);
  const last = Math.max(...hot);
  const turningsWhileHot = turnings.filter((day) => day >= first && day <= last + VOUCHES_DAYS).length;
  return {
    hotDays: hot.size,
    turningsWhileHot,
    hottestC: sorted.length > 0 ? Math.max(...sorted.map(({ temperatureC }) => temperatureC)) : null,
    isTooHot: (sorted.at(-1)?.temperatureC ?? 0) > TOO_HOT_FROM_C,
    meetsVessel: hot.size >= HOT_RULES.vessel.days,
    meetsWindrow: hot.size >= HOT_RULES.windrow.days && turningsWhileHot >= HOT_RULES.windrow.turnings,
  };
}
