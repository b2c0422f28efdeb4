import { useBooks } from '../../app/garden-context.ts';
import { Button, Checkbox, Segmented, Select } from 'antd';
import { lazy, Suspense, useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { type AgendaItem, TASK_GROUPS, type TaskGroup } from '../../../core/season/index.ts';
import type { DayNumber } from '../../../core/ground/index.ts';
import { dayOf, fullDate } from '../../../words/dates.ts';
import { TASK_GROUP_MARKS, TASK_GROUP_WORDS } from '../../../words/task-words.ts';
import { agendaSections, bundleItems, doneLately } from './agenda-sections.ts';
import { MonthGrid } from './MonthGrid.tsx';
import { TaskBundle } from './TaskBundle.tsx';
import { TaskRow, type TaskRowProps } from './TaskRow.tsx';
import { useAgenda } from './use-agenda.ts';
import { useTaskActs } from './use-task-acts.ts';
import './calendar.css';
import { PageHeading } from '../../ui/heading/PageHeading.tsx';

const SubscribeBand = lazy(async () => ({ default: (await import('./SubscribeBand.tsx')).SubscribeBand }));

const ALL = 'all';
const YARD = 'yard';

interface Filter {
  /** A bed's id, the yard, or all. */
  readonly place: string;
  readonly hidden: ReadonlySet<TaskGroup>;
}

const passes = ({ bedId, group }: AgendaItem, { place, hidden }: Filter): boolean =>
  !hidden.has(group) && (place === ALL || (place === YARD ? bedId === null : bedId === place));

/** What to do when, worked out from everything that was written down. */
export function CalendarPage() {
  const books = useBooks();
  const [query, setQuery] = useSearchParams();
  const [filter, setFilter] = useState<Filter>({ place: ALL, hidden: new Set() });
  const [isSubscribing, setSubscribing] = useState(false);
  const today = dayOf(books.today);
  const [day, setDay] = useState<DayNumber>(today);
  const agenda = useAgenda(books);
  const acts = useTaskActs(books);
  const items = agenda.items.filter((item) => passes(item, filter));
  const isMonth = query.get('view') === 'month';
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
          <Button onClick={printWeek}>Print the week</Button>
          <Button onClick={() => setSubscribing(!isSubscribing)}>Subscribe</Button>
        </div>
      </header>
      {isSubscribing && (
        <Suspense fallback={<p className="soft">Opening …</p>}>
          <SubscribeBand gardenId={books.garden.id} onClose={() => setSubscribing(false)} />
        </Suspense>
      )}
      <div className="calendar-bar not-printed">
        <Segmented
          value={isMonth ? 'month' : 'agenda'}
          onChange={(view) => setQuery(view === 'month' ? { view } : {}, { replace: true })}
          options={[
            { value: 'agenda', label: 'Agenda' },
            { value: 'month', label: 'Month' },
          ]}
        />
        <Select
          aria-label="Whose tasks"
          value={filter.place}
          onChange={(place: string) => setFilter({ ...filter, place })}
          popupMatchSelectWidth={false}
          style={{ width: 150 }}
          options={[
            { value: ALL, label: 'Whole garden' },
            ...books.beds.map(({ id, name }) => ({ value: id, label: name })),
            { value: YARD, label: 'Yard and fires' },
          ]}
        />
        <GroupChoice hidden={filter.hidden} onChange={(hidden) => setFilter({ ...filter, hidden })} />
      </div>
      {agenda.refusals.map((sentence) => (
        <p key={sentence} className="trouble" role="alert">
          {sentence}
        </p>
      ))}
      {isMonth ? (
        <>
          <MonthGrid items={items.filter(isStanding)} {...{ today, day }} onDay={setDay} />
          <DayList day={day} items={items} rows={rows} />
        </>
      ) : (
        <AgendaLists items={items} isWaiting={agenda.waiting > 0} rows={rows} />
      )}
      <p className="soft estimate">
        Nothing here was typed: it follows from what you spread, planned and planted, and from what the model
        expects. Change the records and it changes. Seasons follow the climate of your garden; the weather
        itself is yours to judge.
      </p>
    </div>
  );
}

/** What is late and what is due this week, on paper; the rest of the year stays on the screen. */
function printWeek(): void {
  const { body } = document;
  body.classList.add('prints-week');
  window.addEventListener('afterprint', () => body.classList.remove('prints-week'), { once: true });
  window.print();
}

const isStanding = ({ state }: AgendaItem): boolean => state === 'open' || state === 'snoozed';

function summary(items: readonly AgendaItem[], waiting: number, today: DayNumber): string {
  const standing = items.filter(isStanding);
  const late = standing.filter(({ lateDays }) => lateDays > 0).length;
  const week = standing.filter(({ shownDay }) => shownDay >= today && shownDay < today + 7).length;
  const more = waiting > 0 ? ` Working out ${waiting} more …` : '';
  if (standing.length === 0)
    return waiting > 0 ? 'Working out what is to be done …' : 'Nothing is to be done.';
  const lateWords = late > 0 ? `${late} late, ` : '';
  const weekWords = week > 0 ? `${week} this week` : 'nothing this week';
  const words = `${lateWords}${weekWords}, ${standing.length} in all within a year.${more}`;
  return words.charAt(0).toUpperCase() + words.slice(1);
}

function GroupChoice({
  hidden,
  onChange,
}: {
  hidden: ReadonlySet<TaskGroup>;
  onChange: (hidden: ReadonlySet<TaskGroup>) => void;
}) {
  return (
    <Checkbox.Group
      className="group-choice"
      aria-label="Kinds of tasks"
      value={TASK_GROUPS.filter((group) => !hidden.has(group))}
      onChange={(shown: TaskGroup[]) =>
        onChange(new Set(TASK_GROUPS.filter((group) => !shown.includes(group))))
      }
      options={TASK_GROUPS.map((group) => ({
        value: group,
        label: `${TASK_GROUP_MARKS[group]} ${TASK_GROUP_WORDS[group]}`,
      }))}
    />
  );
}

interface ListsProps {
  readonly items: readonly AgendaItem[];
  readonly isWaiting: boolean;
  readonly rows: Omit<TaskRowProps, 'item'>;
}

function AgendaLists({ items, isWaiting, rows }: ListsProps) {
  const sections = agendaSections(items, rows.today);
  const done = doneLately(items, rows.today);
  if (sections.length === 0 && !isWaiting) {
    return (
      <div className="empty">
        <h2>Nothing to do</h2>
        <p>
          Make a bed and plan something for it: a layer for autumn, a crop for spring. What follows from it,
          and when, stands here by itself.
        </p>
      </div>
    );
  }
  return (
    <>
      {sections.map(({ name, items: own }) => (
        <TaskList key={name} name={name} items={own} rows={rows} />
      ))}
      {done.length > 0 && (
        <details className="done-lately">
          <summary>Done or deleted lately ({done.length})</summary>
          <TaskList name="Done" items={done} rows={rows} />
        </details>
      )}
    </>
  );
}

/** Sections that a list for the week has. */
const WEEK: ReadonlySet<string> = new Set(['Late', 'This week']);

function TaskList({ name, items, rows }: { name: string } & Omit<ListsProps, 'isWaiting'>) {
  return (
    <section
      className={['agenda', name === 'Late' && 'is-late', WEEK.has(name) && 'is-of-week']
        .filter(Boolean)
        .join(' ')}
      aria-label={name}
    >
      <h2>{name}</h2>
      <ul className="tasks">
        {bundleItems(items).map((bundle) =>
          bundle.length === 1 ? (
            <TaskRow key={bundle[0]!.key} item={bundle[0]!} {...rows} />
          ) : (
            <TaskBundle key={bundle[0]!.key} items={bundle} {...rows} />
          ),
        )}
      </ul>
    </section>
  );
}

function DayList({ day, items, rows }: { day: DayNumber } & Omit<ListsProps, 'isWaiting'>) {
  const own = items.filter((item) => isStanding(item) && Math.max(item.shownDay, rows.today) === day);
  if (own.length === 0) return <p className="soft">Nothing on {fullDate(day)}. Choose another day.</p>;
  return <TaskList name={fullDate(day)} items={own} rows={rows} />;
}
