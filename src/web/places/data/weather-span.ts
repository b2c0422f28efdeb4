import { dayNumberFromIso, isoDateOf } from '../../../core/ground/index.ts';

/** Without any measured weather, so many days are read from the station at first. */
const FIRST_SPAN_DAYS = 120;

const daysAfter = (date: string, days: number): string => isoDateOf(dayNumberFromIso(date, ['date']) + days);

/** The days to read from a station: those after the last measured one, up to yesterday. ISO dates. */
export const unreadSpan = (
  weather: readonly { readonly date: string }[],
  today: string,
): { readonly from: string; readonly until: string } => {
  const last = weather.at(-1)?.date;
  return {
    from: last === undefined ? daysAfter(today, -FIRST_SPAN_DAYS) : daysAfter(last, 1),
    until: daysAfter(today, -1),
  };
};
