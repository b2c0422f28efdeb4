import { useMeasures, useBooks } from '../../app/garden-context.ts';
import { Button } from 'antd';
import type { AgendaItem } from '../../../core/season/index.ts';
import {
  COLD_SOIL_BELOW_C,
  type DayNumber,
  airTemperatureC,
  calendarDateOf,
} from '../../../core/ground/index.ts';
import { dateNear, fullDate, monthAndYear } from '../../../words/dates.ts';
import { shortTaskWords } from '../../../words/short-task-words.ts';
import { placeWords, TASK_GROUP_MARKS, taskWords } from '../../../words/task-words.ts';
import { monthWeeks } from './agenda-sections.ts';
import { groundOfMonth } from './ground-of-month.ts';
import { itemsByDay, monthFrom } from './month-days.ts';

interface MonthGridProps {
  readonly items: readonly AgendaItem[];
  readonly today: DayNumber;
  /** A day of the month shown, and the day whose tasks are listed. */
  readonly day: DayNumber;
  readonly onDay: (day: DayNumber) => void;
}

const WEEKDAYS = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'];
const MOST_SHOWN = 3;

/** A month on one page: what falls on which day, and where the ground is cold or wet. */
export function MonthGrid({ items, today, day, onDay }: MonthGridProps) {
  const books = useBooks();
  const measures = useMeasures();
  const { month } = calendarDateOf(day);
  const { climate } = books.garden;
  const byDay = itemsByDay(items, today);
  return (
    <section aria-label="Month">
      <div className="month-head">
        <Button size="small" onClick={() => onDay(monthFrom(day, -1))} aria-label="The month before">
          ‹
        </Button>
        <h2>{monthAndYear(day)}</h2>
        <Button size="small" onClick={() => onDay(monthFrom(day, 1))} aria-label="The next month">
          ›
        </Button>
        <span className="soft month-ground">{groundOfMonth(climate, day, measures)}</span>
      </div>
      <table className="month">
        <thead>
          <tr>
            {WEEKDAYS.map((name) => (
              <th key={name}>{name}</th>
            ))}
          </tr>
        </thead>
        <tbody>
          {monthWeeks(day).map((week) => (
            <tr key={week[0]}>
              {week.map((one) => (
                <td
                  key={one}
                  className={[
                    calendarDateOf(one).month === month ? '' : 'other-month',
                    one === today ? 'is-today' : '',
                    one === day ? 'is-chosen' : '',
                    airTemperatureC(climate, one) < COLD_SOIL_BELOW_C ? 'is-cold' : '',
                  ].join(' ')}
                >
                  <DayCell day={one} items={byDay.get(one) ?? []} onDay={onDay} />
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
      <MonthInWords byDay={byDay} {...{ day, today }} onDay={onDay} />
    </section>
  );
}

/** The days of the month that have something, in words, where the squares have no room for them. */
function MonthInWords({
  byDay,
  day,
  today,
  onDay,
}: {
  readonly byDay: ReadonlyMap<DayNumber, readonly AgendaItem[]>;
} & Omit<MonthGridProps, 'items'>) {
  const books = useBooks();
  const [first, next] = [monthFrom(day, 0), monthFrom(day, 1)];
  const days = [...byDay.keys()].filter((one) => one >= first && one < next).toSorted((a, b) => a - b);
  return (
    <ul className="month-words" aria-label="The month in words">
      {days.map((one) => (
        <li key={one}>
          <button type="button" onClick={() => onDay(one)}>
            {dateNear(one, today)}
          </button>{' '}
          {byDay
            .get(one)!
            .map((item) => [shortTaskWords(item, books), placeWords(item, books)].filter(Boolean).join(', '))
            .join('; ')}
        </li>
      ))}
    </ul>
  );
}

function DayCell({ day, items, onDay }: Pick<MonthGridProps, 'items' | 'onDay' | 'day'>) {
  const books = useBooks();
  const measures = useMeasures();
  const words = items.map((item) => `${placeWords(item, books)}: ${taskWords(item, books, measures)}`);
  return (
    <button
      type="button"
      className="day-cell"
      onClick={() => onDay(day)}
      aria-label={`${fullDate(day)}${items.length > 0 ? `, ${items.length} to do: ${words.join('; ')}` : ''}`}
    >
      <span className="day-number figure">{calendarDateOf(day).day}</span>
      {items.slice(0, MOST_SHOWN).map((item) => (
        <span key={item.key} className="day-task">
          <span aria-hidden="true">{TASK_GROUP_MARKS[item.group]}</span>{' '}
          <span className="day-task-words">
            {shortTaskWords(item, books)} <span className="soft">{placeWords(item, books)}</span>
          </span>
        </span>
      ))}
      {items.length > MOST_SHOWN && <span className="day-more">{items.length - MOST_SHOWN} more</span>}
    </button>
  );
}
