/** Whether a typed ISO date is a day that has come by `today`. */
export const isPastDay = (date: string, today: string): boolean =>
  /^\d{4}-\d\d-\d\d$/.test(date) && date <= today;

/** What to say beneath the field of a day on which something was done or seen. */
export const pastDayTrouble = (date: string, today: string): string | undefined =>
  isPastDay(date, today) ? undefined : 'today or before';
