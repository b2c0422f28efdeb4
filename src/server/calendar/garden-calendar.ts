import ical, { ICalCalendarMethod, ICalEventTransparency } from 'ical-generator';
import type { GardenRecord } from '../../records/garden.ts';
import {
  type AgendaItem,
  type YardRecords,
  agendaOf,
  bedAgenda,
  yardAgenda,
} from '../../core/season/index.ts';
import { dayNumberFromIso, isoDateOf } from '../../core/ground/index.ts';
import { MODEL_VERSION } from '../../core/model/index.ts';
import { measuresOf } from '../../words/measures.ts';
import {
  lateCostWords,
  placeWords,
  taskReason,
  taskWords,
  warningWords,
  type TaskNames,
} from '../../words/task-words.ts';

/** All that a garden's calendar is made from. */
export interface CalendarRecords extends TaskNames {
  readonly garden: GardenRecord;
  readonly yard: YardRecords;
  /** ISO date. */
  readonly today: string;
}

/** The open and put-off tasks of a whole garden, by the day to look at them. */
export function gardenAgenda({ yard, beds, today }: CalendarRecords): AgendaItem[] {
  const { journal } = yard;
  const brews = journal.filter((one) => one.kind === 'brew');
  const tasks = [
    ...beds.flatMap(({ id }) => bedAgenda({ records: yard, bedId: id, todayIso: today })),
    ...(yard.lots.length > 0 || brews.length > 0 ? yardAgenda(yard, brews, today) : []),
  ];
  return agendaOf(tasks, journal, dayNumberFromIso(today, ['today'])).filter(
    ({ state }) => state === 'open' || state === 'snoozed',
  );
}

const MINUTE_MS = 60_000;
const SEQUENCE_SINCE_MS = Date.UTC(2024, 0, 1);

/**
 * The agenda as iCalendar (RFC 5545): all-day events whose ids stay the same however often they move, each version
 * with a higher sequence, so that a calendar program moves them instead of adding new ones.
 */
export function calendarFile(records: CalendarRecords, now: Date): string {
  const measures = measuresOf(records.garden);
  const today = dayNumberFromIso(records.today, ['today']);
  const calendar = ical({
    name: `${records.garden.name}, Vine Ledger`,
    prodId: { company: 'Vine Ledger', product: `Garden calendar, model ${MODEL_VERSION}`, language: 'EN' },
    method: ICalCalendarMethod.PUBLISH,
    ttl: 6 * 60 * 60,
  });
  for (const item of gardenAgenda(records)) {
    const area = records.beds.find(({ id }) => id === item.bedId)?.areaM2 ?? 0;
    const place = placeWords(item, records);
    const details = [
      taskReason(item, measures, today),
      ...item.warnings.map((warning) => warningWords(warning, measures)),
      item.lateCost ? lateCostWords(item.lateCost, area, measures) : '',
      item.mark?.note ?? '',
    ];
    calendar.createEvent({
      id: `${item.key}@${records.garden.id}.vine-ledger`,
      sequence: Math.floor((now.getTime() - SEQUENCE_SINCE_MS) / MINUTE_MS),
      stamp: now,
      // Late ones stand on today: a calendar shows what is before one, not behind.
      start: new Date(`${isoDateOf(Math.max(item.shownDay, today))}T00:00:00Z`),
      allDay: true,
      summary:
        place === '' ? taskWords(item, records, measures) : `${place}: ${taskWords(item, records, measures)}`,
      description: details.filter((line) => line !== '').join('\n') || null,
      categories: [{ name: item.group }],
      transparency: ICalEventTransparency.TRANSPARENT,
    });
  }
  return calendar.toString();
}
