import { Button } from 'antd';
import { useMemo } from 'react';
import type { DayNumber } from '../../../core/ground/index.ts';
import type { AgendaItem } from '../../../core/season/index.ts';
import { dateNear, monthAndYear } from '../../../words/dates.ts';
import { shortTaskWords } from '../../../words/short-task-words.ts';
import { placeWords, TASK_GROUP_MARKS } from '../../../words/task-words.ts';
import { useBooks, useMeasures } from '../../app/garden-context.ts';
import { groundOfMonth } from './ground-of-month.ts';
import { yearOfJobs } from './month-days.ts';

interface YearViewProps {
  readonly items: readonly AgendaItem[];
  readonly today: DayNumber;
  /** Gets the first day of the month. */
  readonly onMonth: (first: DayNumber) => void;
}

/** The twelve months to come, each with what falls into it in words and what the ground is like. */
export function YearView({ items, today, onMonth }: YearViewProps) {
  const books = useBooks();
  const measures = useMeasures();
  const months = useMemo(
    () =>
      yearOfJobs(items, today, {
        ofTask: (item) => shortTaskWords(item, books),
        ofPlace: (item) => placeWords(item, books),
      }),
    [items, today, books],
  );
  return (
    <section aria-label="Year" className="year-view">
      {months.map(({ first, jobs }) => (
        <article key={first} className="year-month">
          <h2>
            <Button type="link" onClick={() => onMonth(Math.max(first, today))}>
              {monthAndYear(first)}
            </Button>
          </h2>
          <p className="soft">{groundOfMonth(books.garden.climate, first, measures)}</p>
          {jobs.length === 0 ? (
            <p className="soft">Nothing is to be done.</p>
          ) : (
            <ul>
              {jobs.map(({ item, places }) => (
                <li key={item.key}>
                  <span aria-hidden="true" className="task-mark">
                    {TASK_GROUP_MARKS[item.group]}
                  </span>
                  <span>
                    {shortTaskWords(item, books)}
                    <span className="soft">
                      {' '}
                      {[places.join(', '), `from ${dateNear(Math.max(item.shownDay, today), today)}`]
                        .filter((part) => part !== '')
                        .join(', ')}
                    </span>
                  </span>
                </li>
              ))}
            </ul>
          )}
        </article>
      ))}
    </section>
  );
}
