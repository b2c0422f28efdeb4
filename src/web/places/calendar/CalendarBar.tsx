import { Checkbox, Segmented, Select } from 'antd';
import { useState } from 'react';
import { TASK_GROUPS, type TaskGroup } from '../../../core/season/index.ts';
import { TASK_GROUP_MARKS, TASK_GROUP_WORDS } from '../../../words/task-words.ts';
import { useBooks } from '../../app/garden-context.ts';
import { placesOf, type CalendarFilter } from './calendar-filter.ts';

export const VIEWS = ['agenda', 'month', 'year'] as const;
export type View = (typeof VIEWS)[number];
const VIEW_WORDS: Readonly<Record<View, string>> = { agenda: 'Agenda', month: 'Month', year: 'Year' };

interface CalendarBarProps {
  readonly view: View;
  readonly onView: (view: View) => void;
  readonly filter: CalendarFilter;
  readonly onFilter: (filter: CalendarFilter) => void;
}

/** How the calendar is looked at, and what of it. */
export function CalendarBar({ view, onView, filter, onFilter }: CalendarBarProps) {
  const { beds } = useBooks();
  const [isWide] = useState(() => window.matchMedia('(min-width: 721px)').matches);
  return (
    <div className="calendar-bar not-printed">
      <Segmented
        value={view}
        onChange={onView}
        options={VIEWS.map((value) => ({ value, label: VIEW_WORDS[value] }))}
      />
      <details className="calendar-filters" open={isWide}>
        <summary>Show only some</summary>
        <div>
          <Select
            aria-label="Whose tasks"
            value={filter.place}
            onChange={(place: string) => onFilter({ ...filter, place })}
            popupMatchSelectWidth={false}
            style={{ width: 170 }}
            options={placesOf(beds)}
          />
          <Checkbox
            checked={filter.isOnlyFromStock}
            onChange={(event) => onFilter({ ...filter, isOnlyFromStock: event.target.checked })}
          >
            only what needs stock
          </Checkbox>
          <Checkbox.Group
            className="group-choice"
            aria-label="Kinds of tasks"
            value={TASK_GROUPS.filter((group) => !filter.hidden.has(group))}
            onChange={(shown: TaskGroup[]) =>
              onFilter({ ...filter, hidden: new Set(TASK_GROUPS.filter((group) => !shown.includes(group))) })
            }
            options={TASK_GROUPS.map((group) => ({
              value: group,
              label: `${TASK_GROUP_MARKS[group]} ${TASK_GROUP_WORDS[group]}`,
            }))}
          />
        </div>
      </details>
    </div>
  );
}
