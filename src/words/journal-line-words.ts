import type { JournalLine } from '../core/model/index.ts';
import { calendarDateOf } from '../core/ground/index.ts';
import { MONTH_NAMES, shortDate } from './dates.ts';
import {
  ASH_WORDS,
  CARBON_WORDS,
  NITROGEN_WORDS,
  accountTerm,
  counterpartyWords,
  partyWords,
} from './words.ts';

const WORDS: Readonly<Record<JournalLine['element'], Readonly<Record<string, string>>>> = {
  carbon: CARBON_WORDS,
  nitrogen: NITROGEN_WORDS,
  ash: ASH_WORDS,
};

/** A whole month by its name, any other days from the first to the last. */
function daysWords({ fromDay, untilDay }: JournalLine): string {
  const [first, next] = [calendarDateOf(fromDay), calendarDateOf(untilDay)];
  const isMonth = first.day === 1 && next.day === 1 && untilDay - fromDay <= MOST_DAYS_OF_A_MONTH;
  if (isMonth) return `${MONTH_NAMES[first.month - 1]} ${first.year}`;
  return `${shortDate(fromDay)} to ${shortDate(untilDay - 1)}`;
}
const MOST_DAYS_OF_A_MONTH = 31;

/** A posting of the journal: its days, what it came out of and what it went into, and all of it to be searched, in small letters. */
export function journalWords(line: JournalLine): {
  readonly days: string;
  readonly from: string;
  readonly to: string;
  readonly text: string;
} {
  const { element, name, basis } = line;
  const days = daysWords(line);
  // What humus gives is told apart by its age, what it takes in is not.
  const from = counterpartyWords(name, line.from, WORDS[element][line.from]!);
  const to = partyWords(line.to, WORDS[element][line.to]!);
  const terms = [line.from, line.to].map((party) => accountTerm(element, party) ?? '');
  return { days, from, to, text: [days, element, basis, from, to, ...terms].join(' ').toLowerCase() };
}
