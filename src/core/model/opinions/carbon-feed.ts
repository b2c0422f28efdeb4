import { type DayNumber, type MaterialKind, calendarDateOf, dayNumberOf } from '../../ground/index.ts';
import type { ClimateNormals } from '../../../records/garden.ts';

/** The inputs of a bed for models of soil carbon that have neither layers nor nitrogen. Carbon in g/m2. */
export interface OpinionSetting {
  readonly climate: ClimateNormals;
  readonly clayPct: number;
  /** Organic carbon of the sampled depth on the first day, char left out. */
  readonly openingCarbonG: number;
  /** Part of it that never decays, as the five-pool model has it. */
  readonly inertCarbonG: number;
  readonly startDay: DayNumber;
  readonly inputs: readonly FedCarbon[];
  /** Months, 1 to 12, in which the soil is covered by plants. */
  readonly plantedMonths: ReadonlySet<number>;
  /** Mornings on which to look, ascending. */
  readonly lookDays: readonly DayNumber[];
}

/** Carbon that reached the bed on a day. */
export interface FedCarbon {
  readonly day: DayNumber;
  readonly kind: MaterialKind;
  readonly carbonG: number;
}

/** Months from the first day on, and in which of them what arrives. */
export function byMonth<Feed>(
  startDay: DayNumber,
  lastDay: DayNumber,
  inputs: readonly (Feed & { readonly day: DayNumber })[],
): { readonly month: number; readonly untilDay: DayNumber; readonly inputs: readonly Feed[] }[] {
  const months: { month: number; untilDay: DayNumber; inputs: Feed[] }[] = [];
  let from = startDay;
  while (from < lastDay) {
    const { year, month } = calendarDateOf(from);
    const next = dayNumberOf(
      month === 12 ? { year: year + 1, month: 1, day: 1 } : { year, month: month + 1, day: 1 },
    );
    const untilDay = Math.min(next, lastDay);
    const [a, b] = [from, untilDay];
    months.push({ month, untilDay, inputs: inputs.filter(({ day }) => day >= a && day < b) });
    from = untilDay;
  }
  return months;
}
