import { useMeasures, useBooks } from '../../app/garden-context.ts';
import { Button } from 'antd';
import type { GardenBooks } from '../../../contract/garden-books.ts';
import type { AgendaItem } from '../../../core/season/index.ts';
import {
  COLD_SOIL_BELOW_C,
  type DayNumber,
  airTemperatureC,
  calendarDateOf,
  dayNumberOf,
  isWetMonth,
} from '../../../core/ground/index.ts';
import { fullDate, monthAndYear } from '../../../words/dates.ts';
import type { Measures } from '../../../words/measures.ts';
import { placeWords, TASK_GROUP_MARKS, taskWords } from '../../../words/task-words.ts';
import { monthWeeks } from './agenda-sections.ts';

interface MonthGridProps {
  readonly items: readonly AgendaItem[];
  readonly today: DayNumber;
  /** A day of the month shown, and the day whose tasks are listed. */
  readonly day: DayNumber;
  readonly onDay: (day: DayNumber) => void;
}

const WEEKDAYS = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'];
const MOST_SHOWN = 3;

function shiftMonth(day: DayNumber, by: number): DayNumber {
  const { year, month } = calendarDateOf(day);
  const index = year * 12 + month - 1 + by;
  return dayNumberOf({ year: Math.floor(index / 12), month: (index % 12) + 1, day: 1 });
}

/** A month on one page: what falls on which day, and where the ground is cold or wet. */
export function MonthGrid({ items, today, day, onDay }: MonthGridProps) {
  const books = useBooks();
  const measures = useMeasures();
  const { month } = calendarDateOf(day);
  const { climate } = books.garden;
  const byDay = new Map<DayNumber, AgendaItem[]>();
  for (const item of items) {
    const shown = Math.max(item.shownDay, today);
    byDay.set(shown, [...(byDay.get(shown) ?? []), item]);
  }
  return (
    <section aria-label="Month">
      <div className="month-head">
        <Button size="small" onClick={() => onDay(shiftMonth(day, -1))} aria-label="The month before">
          ‹
        </Button>
        <h2>{monthAndYear(day)}</h2>
        <Button size="small" onClick={() => onDay(shiftMonth(day, 1))} aria-label="The next month">
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
    </section>
  );
}

function groundOfMonth(
  climate: GardenBooks['garden']['climate'],
  day: DayNumber,
  measures: Measures,
): string {
  const middle = day - calendarDateOf(day).day + 15;
  const warmth = airTemperatureC(climate, middle);
  const cold = warmth < COLD_SOIL_BELOW_C ? ', too cold to sow' : '';
  const wet = isWetMonth(climate, middle) ? '; more rain than the air takes up: keep off clay' : '';
  return `about ${measures.warmth(warmth)}${cold}${wet}`;
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
            {placeWords(item, books) || taskWords(item, books, measures)}
          </span>
        </span>
      ))}
      {items.length > MOST_SHOWN && <span className="day-more">{items.length - MOST_SHOWN} more</span>}
    </button>
  );
}
