import ical, { ICalAlarmType, ICalCalendarMethod, ICalEventTransparency } from 'ical-generator';
import type { GardenBooks } from '../../contract/garden-books.ts';
import type { AgendaItem, TaskGroup } from '../../core/season/index.ts';
import { dayNumberFromIso, isoDateOf } from '../../core/ground/index.ts';
import { MODEL_VERSION } from '../../core/model/index.ts';
import { measuresOf } from '../../words/measures.ts';
import {
  lateCostWords,
  placeWords,
  TASK_GROUP_WORDS,
  taskReason,
  taskWords,
  warningWords,
  type TaskNames,
} from '../../words/task-words.ts';

/** What of the books stands in the file of a calendar. */
export type CalendarNames = TaskNames & Pick<GardenBooks, 'garden' | 'today'>;

/** When a calendar program rings for a task. */
export const ALARMS = ['none', 'morning', 'dayBefore'] as const;
export type Alarm = (typeof ALARMS)[number];

/** What of the agenda goes into a file, and how. */
export interface CalendarChoice {
  readonly alarm: Alarm;
  /** Null for all kinds of tasks. */
  readonly groups: readonly TaskGroup[] | null;
  /** Null for the whole garden, yard and all. */
  readonly bedIds: readonly string[] | null;
  /** Where the pages are, for a link back: "http://127.0.0.1:4173". */
  readonly origin: string;
}

const MINUTE_MS = 60_000;
const HOUR_S = 3600;
const SEQUENCE_SINCE_MS = Date.UTC(2024, 0, 1);
const RINGS_AT_HOUR = 8;

const isChosen = ({ group, bedId }: AgendaItem, { groups, bedIds }: CalendarChoice): boolean =>
  (groups === null || groups.includes(group)) &&
  (bedIds === null || (bedId !== null && bedIds.includes(bedId)));

/** Of an all-day event, which begins at midnight. */
const alarmOf = (alarm: Exclude<Alarm, 'none'>, summary: string) => ({
  type: ICalAlarmType.display,
  description: summary,
  ...(alarm === 'morning'
    ? { triggerAfter: RINGS_AT_HOUR * HOUR_S }
    : { triggerBefore: (24 - RINGS_AT_HOUR) * HOUR_S }),
});

/**
 * Tasks as iCalendar (RFC 5545): all-day events whose ids stay the same however often they move, each version with a
 * higher sequence, so that a calendar program moves them instead of adding new ones. A late task keeps its day, and
 * says that it is late.
 */
export function calendarFile(
  books: CalendarNames,
  items: readonly AgendaItem[],
  { now, ...choice }: CalendarChoice & { readonly now: Date },
): string {
  const measures = measuresOf(books.garden);
  const today = dayNumberFromIso(books.today, ['today']);
  const gardenAt = `${choice.origin}/garden/${books.garden.id}`;
  const calendar = ical({
    name: `${books.garden.name}, Vine Ledger`,
    prodId: { company: 'Vine Ledger', product: `Garden calendar, model ${MODEL_VERSION}`, language: 'EN' },
    method: ICalCalendarMethod.PUBLISH,
    ttl: 6 * 60 * 60,
  });
  for (const item of items.filter((one) => isChosen(one, choice))) {
    const area = books.beds.find(({ id }) => id === item.bedId)?.areaM2 ?? 0;
    const place = placeWords(item, books);
    const address = item.bedId === null ? `${gardenAt}/calendar` : `${gardenAt}/bed/${item.bedId}`;
    const details = [
      taskReason(item, measures, today),
      ...item.warnings.map((warning) => warningWords(warning, measures)),
      item.lateCost ? lateCostWords(item.lateCost, area, measures) : '',
      item.mark?.note ?? '',
      address,
    ];
    const words = taskWords(item, books, measures);
    const summary = `${item.shownDay < today ? 'Late: ' : ''}${place === '' ? '' : `${place}: `}${words}`;
    const event = calendar.createEvent({
      id: `${item.key}@${books.garden.id}.vine-ledger`,
      sequence: Math.floor((now.getTime() - SEQUENCE_SINCE_MS) / MINUTE_MS),
      stamp: now,
      start: new Date(`${isoDateOf(item.shownDay)}T00:00:00Z`),
      allDay: true,
      summary,
      description: details.filter((line) => line !== '').join('\n'),
      url: address,
      categories: [{ name: TASK_GROUP_WORDS[item.group] }],
      transparency: ICalEventTransparency.TRANSPARENT,
    });
    if (choice.alarm !== 'none' && item.shownDay >= today) event.createAlarm(alarmOf(choice.alarm, summary));
  }
  return calendar.toString();
}
