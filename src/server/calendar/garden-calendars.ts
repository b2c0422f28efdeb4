import { setImmediate as othersFirst } from 'node:timers/promises';
import type { GardenBooks } from '../../contract/garden-books.ts';
import { type BedPast, type PastKeeper, planOfBed, stockRuns } from '../../core/bed/index.ts';
import { dayNumberFromIso } from '../../core/ground/index.ts';
import { type AgendaItem, agendaOf, bedAgenda, yardAgenda } from '../../core/season/index.ts';
import { emptyMemory } from '../../core/yard/index.ts';
import { type CalendarChoice, calendarFile } from './calendar-file.ts';

/** Gardens whose agendas are kept: programs ask often, and several gardens are subscribed to. */
const MOST_AGENDAS = 4;
/** Beds of which is kept how they came to be what they are: tomorrow's agenda is worked out from there. */
const MOST_PASTS = 200;

/** A calendar somebody asks for; `books` are JSON in UTF-8, of which `tag` is another whenever they are. */
export interface CalendarAsked {
  readonly books: Uint8Array;
  readonly tag: string;
  readonly choice: CalendarChoice;
}

/** Keeps the last so many. */
function keepOfLast(most: number): PastKeeper {
  const pasts = new Map<string, BedPast>();
  return {
    find: (key) => pasts.get(key),
    keep: (key, past) => {
      if (pasts.size >= most) pasts.delete(pasts.keys().next().value!);
      pasts.set(key, past);
    },
  };
}

interface GardenAgenda {
  readonly books: GardenBooks;
  readonly items: readonly AgendaItem[];
}

/** Works out agendas of gardens and keeps the last ones while their books stay the same. */
export function gardenAgendas() {
  const kept = new Map<string, Promise<GardenAgenda>>();
  const keeper = keepOfLast(MOST_PASTS);
  const memory = emptyMemory();

  /** The open and put-off tasks of a whole garden, by the day to look at them; bed by bed, in turns with other gardens. */
  async function workOut(bytes: Uint8Array): Promise<GardenAgenda> {
    const books = JSON.parse(new TextDecoder().decode(bytes)) as GardenBooks;
    const { beds, lots, journal, today } = books;
    const brews = journal.filter((one) => one.kind === 'brew');
    const tasks = [];
    for (const { id: bedId } of beds) {
      await othersFirst();
      const planned = planOfBed({ records: books, bedId, todayIso: today, keeper });
      tasks.push(...bedAgenda({ records: books, bedId, todayIso: today, planned, memory }));
    }
    if (lots.length > 0 || brews.length > 0) {
      await othersFirst();
      const runs = stockRuns(books, today, memory);
      tasks.push(...yardAgenda({ records: books, brews, todayIso: today, runs }));
    }
    const items = agendaOf(tasks, journal, dayNumberFromIso(today, ['today'])).filter(
      ({ state }) => state === 'open' || state === 'snoozed',
    );
    return { books, items };
  }

  return ({ books, tag }: Omit<CalendarAsked, 'choice'>): Promise<GardenAgenda> => {
    const agenda = kept.get(tag) ?? workOut(books);
    kept.delete(tag);
    kept.set(tag, agenda);
    for (const old of [...kept.keys()].slice(0, -MOST_AGENDAS)) kept.delete(old);
    agenda.catch(() => kept.delete(tag));
    return agenda;
  };
}

/** Works out the files of calendars. */
export function gardenCalendars() {
  const agendaFor = gardenAgendas();
  return async (asked: CalendarAsked, now: Date): Promise<string> => {
    const { books, items } = await agendaFor(asked);
    return calendarFile(books, items, { ...asked.choice, now });
  };
}

export type GardenCalendars = ReturnType<typeof gardenCalendars>;
