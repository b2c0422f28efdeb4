import { setImmediate as othersFirst } from 'node:timers/promises';
import { type BedPast, type PastKeeper, planOfBed, stockRuns } from '../../core/bed/index.ts';
import { dayNumberFromIso } from '../../core/ground/index.ts';
import { type AgendaItem, agendaOf, bedAgenda, yardAgenda } from '../../core/season/index.ts';
import { emptyMemory } from '../../core/yard/index.ts';
import type { CalendarRecords } from './garden-calendar.ts';

/** Gardens whose agendas are kept: programs ask often, and several gardens are subscribed to. */
const MOST_AGENDAS = 4;
/** Beds of which is kept how they came to be what they are: tomorrow's agenda is worked out from there. */
const MOST_PASTS = 200;

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

/** Works out agendas of gardens and keeps the last ones while nothing changes. */
export function gardenAgendas() {
  const kept = new Map<string, Promise<readonly AgendaItem[]>>();
  const keeper = keepOfLast(MOST_PASTS);
  const memory = emptyMemory();

  /** The open and put-off tasks of a whole garden, by the day to look at them; bed by bed, with others seen to in between. */
  async function workOut({ yard, beds, today }: CalendarRecords): Promise<AgendaItem[]> {
    const { journal } = yard;
    const brews = journal.filter((one) => one.kind === 'brew');
    const tasks = [];
    for (const { id: bedId } of beds) {
      await othersFirst();
      const planned = planOfBed({ records: yard, bedId, todayIso: today, keeper });
      tasks.push(...bedAgenda({ records: yard, bedId, todayIso: today, planned, memory }));
    }
    if (yard.lots.length > 0 || brews.length > 0) {
      await othersFirst();
      const runs = stockRuns(yard, today, memory);
      tasks.push(...yardAgenda({ records: yard, brews, todayIso: today, runs }));
    }
    return agendaOf(tasks, journal, dayNumberFromIso(today, ['today'])).filter(
      ({ state }) => state === 'open' || state === 'snoozed',
    );
  }

  return (records: CalendarRecords): Promise<readonly AgendaItem[]> => {
    const key = JSON.stringify(records);
    const agenda = kept.get(key) ?? workOut(records);
    kept.delete(key);
    kept.set(key, agenda);
    for (const old of [...kept.keys()].slice(0, -MOST_AGENDAS)) kept.delete(old);
    agenda.catch(() => kept.delete(key));
    return agenda;
  };
}
