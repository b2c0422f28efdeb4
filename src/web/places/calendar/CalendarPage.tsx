import { Button } from 'antd';
import { lazy, Suspense, useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import type { AgendaItem } from '../../../core/season/index.ts';
import type { DayNumber } from '../../../core/ground/index.ts';
import { dayOf, fullDate } from '../../../words/dates.ts';
import { useBooks } from '../../app/garden-context.ts';
import { PageHeading } from '../../ui/heading/PageHeading.tsx';
import { isOpen } from './agenda-sections.ts';
import { AgendaLists, TaskList } from './AgendaLists.tsx';
import { ALL_TASKS, tasksFor } from './calendar-filter.ts';
import { CalendarBar, VIEWS, type View } from './CalendarBar.tsx';
import { MonthGrid } from './MonthGrid.tsx';
import type { TaskRowProps } from './TaskRow.tsx';
import { useAgenda } from '../../ui/planning/use-agenda.ts';
import { useTaskActs } from './use-task-acts.ts';
import { YearView } from './YearView.tsx';
import './calendar.css';
import { capitalized } from '../../../words/capitalized.ts';

const SubscribeBand = lazy(async () => ({ default: (await import('./SubscribeBand.tsx')).SubscribeBand }));

/** What to do when, worked out from everything that was written down. */
export function CalendarPage() {
  const books = useBooks();
  const [query, setQuery] = useSearchParams();
  const [filter, setFilter] = useState(ALL_TASKS);
  const [isSubscribing, setSubscribing] = useState(false);
  const today = dayOf(books.today);
  const [day, setDay] = useState<DayNumber>(today);
  const agenda = useAgenda(books);
  const acts = useTaskActs(books);
  const items = tasksFor(agenda.items, filter, books.beds);
  const view = VIEWS.find((one) => one === query.get('view')) ?? 'agenda';
  const show = (next: View) => setQuery(next === 'agenda' ? {} : { view: next }, { replace: true });
  const rows: Omit<TaskRowProps, 'item'> = { today, acts };
  return (
    <div className="page">
      <header className="page-head">
        <div>
          <PageHeading>Calendar from {fullDate(today)}</PageHeading>
          <p className="soft">{summary(agenda.items, agenda.waiting, today)}</p>
        </div>
        <div className="actions">
          <Link className="button-link" to={`/garden/${books.garden.id}/laying`}>
            Spreading day
          </Link>
          <Link className="button-link" to={`/garden/${books.garden.id}/week`}>
            The week on a page
          </Link>
          <Button onClick={() => setSubscribing(!isSubscribing)}>Reminders</Button>
        </div>
      </header>
      {isSubscribing && (
        <Suspense fallback={<p className="soft">Opening …</p>}>
          <SubscribeBand gardenId={books.garden.id} onClose={() => setSubscribing(false)} />
        </Suspense>
      )}
      <CalendarBar view={view} onView={show} filter={filter} onFilter={setFilter} />
      {agenda.refusals.map((sentence) => (
        <p key={sentence} className="trouble" role="alert">
          {sentence}
        </p>
      ))}
      {view === 'agenda' && <AgendaLists items={items} isWaiting={agenda.waiting > 0} rows={rows} />}
      {view === 'month' && (
        <>
          <MonthGrid items={items.filter(isOpen)} {...{ today, day }} onDay={setDay} />
          <DayList day={day} items={items} rows={rows} />
        </>
      )}
      {view === 'year' && (
        <YearView
          items={items.filter(isOpen)}
          today={today}
          onMonth={(first) => {
            setDay(first);
            show('month');
          }}
        />
      )}
      <p className="soft estimate">
        Nothing here was typed: it follows from what you spread, planned and planted, and from what the model
        expects. Change the records and it changes. Seasons follow the climate of your garden; the weather
        itself is yours to judge.
      </p>
    </div>
  );
}

function summary(items: readonly AgendaItem[], waiting: number, today: DayNumber): string {
  const standing = items.filter(isOpen);
  const late = standing.filter(({ lateDays }) => lateDays > 0).length;
  const week = standing.filter(({ shownDay }) => shownDay >= today && shownDay < today + 7).length;
  const more = waiting > 0 ? ` Working out ${waiting} more …` : '';
  if (standing.length === 0)
    return waiting > 0 ? 'Working out what is to be done …' : 'Nothing is to be done.';
  const lateWords = late > 0 ? `${late} late, ` : '';
  const weekWords = week > 0 ? `${week} this week` : 'nothing this week';
  const words = `${lateWords}${weekWords}, ${standing.length} in all within a year.${more}`;
  return capitalized(words);
}

interface DayListProps {
  readonly day: DayNumber;
  readonly items: readonly AgendaItem[];
  readonly rows: Omit<TaskRowProps, 'item'>;
}

function DayList({ day, items, rows }: DayListProps) {
  const own = items.filter((item) => isOpen(item) && Math.max(item.shownDay, rows.today) === day);
  if (own.length === 0) return <p className="soft">Nothing on {fullDate(day)}. Choose another day.</p>;
  return <TaskList name={fullDate(day)} items={own} rows={rows} />;
}
