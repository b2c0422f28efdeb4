import { type AgendaItem, isLookInPassing } from '../../../core/season/index.ts';
import { type DayNumber, calendarDateOf } from '../../../core/ground/index.ts';
import { monthAndYear } from '../../../words/dates.ts';

export interface AgendaSection {
  readonly name: string;
  readonly items: readonly AgendaItem[];
  /** Looks that may wait until somebody passes by. */
  readonly inPassing: readonly AgendaItem[];
}

const WEEK_DAYS = 7;
const SOON_DAYS = 28;
/** Things ticked off this long ago are still shown, to be brought back. */
const DONE_TOLD_DAYS = 30;

export const isOpen = ({ state }: AgendaItem): boolean => state === 'open' || state === 'snoozed';

/** Open tasks by when they are due: late, this week, soon, then month by month. */
export function agendaSections(items: readonly AgendaItem[], today: DayNumber): AgendaSection[] {
  const sections = new Map<string, AgendaItem[]>();
  for (const item of items.filter(isOpen).toSorted((a, b) => b.lateDays - a.lateDays)) {
    const name = sectionName(item, today);
    sections.set(name, [...(sections.get(name) ?? []), item]);
  }
  return [...sections].map(([name, own]) => ({
    name,
    items: own.filter((item) => !isLookInPassing(item)),
    inPassing: own.filter(isLookInPassing),
  }));
}

function sectionName({ shownDay, lateDays }: AgendaItem, today: DayNumber): string {
  if (lateDays > 0) return 'Late';
  if (shownDay < today + WEEK_DAYS) return 'This week';
  if (shownDay < today + SOON_DAYS) return 'The next four weeks';
  return monthAndYear(shownDay);
}

/** From this number on, tasks that are the same for several beds are listed as one. */
const FEWEST_BUNDLED = 3;

/** What items have in common that are listed as one; null for a task that stands alone. */
function bundleKey({ what, shownDay, state }: AgendaItem): string | null {
  switch (what.code) {
    case 'closeYear':
    case 'retest':
      return `${what.code} ${shownDay} ${state}`;
    // Looking at a bed is not due on one day only: all looks of a section can be one round.
    case 'check':
      return `${what.check} ${state}`;
    default:
      return null;
  }
}

/** Items in order, those that are the same on many beds together. */
export function bundleItems(items: readonly AgendaItem[]): AgendaItem[][] {
  const bundles: AgendaItem[][] = [];
  for (const item of items) {
    const key = bundleKey(item);
    const same = key === null ? undefined : bundles.find(([first]) => bundleKey(first!) === key);
    if (same) same.push(item);
    else bundles.push([item]);
  }
  return bundles.flatMap((bundle) =>
    bundle.length >= FEWEST_BUNDLED ? [bundle] : bundle.map((item) => [item]),
  );
}

/** What was done or deleted lately, the last first. */
export const doneLately = (items: readonly AgendaItem[], today: DayNumber): AgendaItem[] =>
  items
    .filter((item) => !isOpen(item) && item.mark !== null && item.day >= today - DONE_TOLD_DAYS)
    .toReversed();

/** Days of the weeks that a month touches, Monday first. */
export function monthWeeks(day: DayNumber): DayNumber[][] {
  const { day: dayOfMonth } = calendarDateOf(day);
  const first = day - dayOfMonth + 1;
  // Day 1 of the count, 1 January of year 1, was a Monday.
  const monday = first - ((first - 1) % WEEK_DAYS);
  const weeks: DayNumber[][] = [];
  for (
    let start = monday;
    start === monday || calendarDateOf(start).month === calendarDateOf(first).month;
    start += WEEK_DAYS
  ) {
    weeks.push(Array.from({ length: WEEK_DAYS }, (_, i) => start + i));
  }
  return weeks;
}
