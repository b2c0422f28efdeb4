import { setImmediate as othersFirst } from 'node:timers/promises';
import { stockRuns } from '../../core/bed/index.ts';
import { dayNumberFromIso } from '../../core/ground/index.ts';
import { type AgendaItem, agendaOf, yardAgenda } from '../../core/season/index.ts';
import type { StockMemory } from '../../core/yard/index.ts';
import type { BooksAsked, WorkedOutBeds } from '../ahead/worked-out-beds.ts';
import { type CalendarChoice, calendarFile } from './calendar-file.ts';

/** A calendar somebody asks for. */
export interface CalendarAsked extends BooksAsked {
  readonly choice: CalendarChoice;
}

/** The open and put-off tasks of a whole garden, by the day to look at them. */
export function gardenAgenda({ books, beds }: WorkedOutBeds, memory: StockMemory): readonly AgendaItem[] {
  const { lots, journal, today } = books;
  const brews = journal.filter((one) => one.kind === 'brew');
  const hasYard = lots.length > 0 || brews.length > 0;
  const yard = hasYard
    ? yardAgenda({ records: books, brews, todayIso: today, runs: stockRuns(books, today, memory) })
    : [];
  const tasks = [...beds.flatMap((bed) => bed.tasks), ...yard];
  return agendaOf(tasks, journal, dayNumberFromIso(today, ['today'])).filter(
    ({ state }) => state === 'open' || state === 'snoozed',
  );
}

/** Works out the files of calendars; the agenda of a garden is kept as long as its beds are. */
export function gardenCalendars(
  bedsOf: (asked: BooksAsked) => Promise<WorkedOutBeds>,
  memory: StockMemory,
): (asked: CalendarAsked, now: Date) => Promise<string> {
  const agendas = new WeakMap<WorkedOutBeds, readonly AgendaItem[]>();
  return async (asked, now) => {
    const garden = await bedsOf(asked);
    await othersFirst();
    const items = agendas.get(garden) ?? gardenAgenda(garden, memory);
    agendas.set(garden, items);
    return calendarFile(garden.books, items, { ...asked.choice, now });
  };
}
