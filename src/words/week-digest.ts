import type { DayNumber } from '../core/ground/index.ts';
import { type AgendaItem, isLookInPassing } from '../core/season/index.ts';
import { counted } from './counted.ts';
import { dateNear, fullDate } from './dates.ts';
import type { Measures } from './measures.ts';
import {
  minutesInWords,
  minutesOf,
  placeWords,
  taskReason,
  taskWords,
  warningWords,
  type TaskNames,
} from './task-words.ts';

const WEEK_DAYS = 7;
const AHEAD_DAYS = 21;

export interface DigestLine {
  readonly key: string;
  /** "14 May", or nothing where the day does not matter. */
  readonly when: string;
  readonly what: string;
  /** "about 20 min", or nothing. */
  readonly howLong: string;
  readonly why: string;
}

export interface DigestSection {
  readonly name: string;
  readonly lines: readonly DigestLine[];
}

/** A week on a page: what is late, what is due, what one looks at in passing, and what comes after. */
export interface WeekDigest {
  readonly title: string;
  readonly sections: readonly DigestSection[];
}

interface DigestSetting {
  readonly today: DayNumber;
  readonly names: TaskNames & { readonly garden: { readonly name: string } };
  readonly measures: Measures;
}

/** The open tasks of a garden as a page for the coming week; sections in which nothing stands are left out. */
export function weekDigest(items: readonly AgendaItem[], setting: DigestSetting): WeekDigest {
  const { today, names } = setting;
  const open = items.filter(({ state }) => state === 'open' || state === 'snoozed');
  const due = open.filter((item) => !isLookInPassing(item));
  const within = (from: number, until: number) => (item: AgendaItem) =>
    item.lateDays === 0 && item.shownDay >= today + from && item.shownDay < today + until;
  const section = (name: string, own: readonly AgendaItem[], isBrief = false): DigestSection[] =>
    own.length === 0 ? [] : [{ name, lines: own.map((item) => lineOf(item, setting, isBrief)) }];
  const looks = open.filter((item) => isLookInPassing(item) && item.shownDay < today + WEEK_DAYS);
  return {
    title: `${names.garden.name}: week from ${fullDate(today)}`,
    sections: [
      ...section(
        'Late',
        due.filter(({ lateDays }) => lateDays > 0),
      ),
      ...section('This week', due.filter(within(0, WEEK_DAYS))),
      ...section('When you pass by', looks),
      ...section('After that', due.filter(within(WEEK_DAYS, AHEAD_DAYS)), true),
    ],
  };
}

function lineOf(item: AgendaItem, { today, names, measures }: DigestSetting, isBrief: boolean): DigestLine {
  const place = placeWords(item, names);
  const why = [taskReason(item, measures, today), ...item.warnings.map((one) => warningWords(one, measures))];
  return {
    key: item.key,
    when: isLookInPassing(item) ? '' : dateNear(item.shownDay, today),
    what: `${place === '' ? '' : `${place}: `}${taskWords(item, names, measures)}`,
    howLong: minutesInWords(minutesOf(item, names)),
    why: isBrief ? '' : why.filter((part) => part !== '').join(' '),
  };
}

/** The page as plain text, to send or to paste. */
export const digestText = ({ title, sections }: WeekDigest): string =>
  [
    title,
    ...sections.flatMap(({ name, lines }) => [
      '',
      name,
      ...lines.map(({ when, what, howLong, why }) => {
        const long = howLong === '' ? '' : ` (${howLong})`;
        const head = `[ ] ${when === '' ? '' : `${when}  `}${what}${long}`;
        return why === '' ? head : `${head}\n    ${why}`;
      }),
    ]),
    ...(sections.length === 0 ? ['', 'Nothing is to be done.'] : []),
  ].join('\n');

/** What a notice of the day says; null on a day on which nothing is due. */
export interface DayNotice {
  readonly title: string;
  readonly body: string;
}

const MOST_IN_NOTICE = 4;

/** What is due on a day or late, as a short notice: the late ones first. */
export function dayNotice(items: readonly AgendaItem[], setting: DigestSetting): DayNotice | null {
  const { today, names } = setting;
  const due = items
    .filter((item) => (item.state === 'open' || item.state === 'snoozed') && !isLookInPassing(item))
    .filter((item) => item.lateDays > 0 || item.shownDay === today)
    .toSorted((a, b) => b.lateDays - a.lateDays);
  if (due.length === 0) return null;
  const late = due.filter(({ lateDays }) => lateDays > 0).length;
  const lines = due.slice(0, MOST_IN_NOTICE).map((item) => lineOf(item, setting, true).what);
  const rest = due.length - lines.length;
  return {
    title: `${names.garden.name}: ${counted(due.length, 'thing')} to do${late > 0 ? `, ${late} late` : ''}`,
    body: [...lines, ...(rest > 0 ? [`and ${rest} more`] : [])].join('\n'),
  };
}
