import { useBooks, useMeasures } from '../../app/garden-context.ts';
import type { AgendaItem } from '../../../core/season/index.ts';
import { dateNear } from '../../../words/dates.ts';
import { TASK_GROUP_MARKS, taskReason, tasksWords } from '../../../words/task-words.ts';
import { TaskRow, type TaskRowProps } from './TaskRow.tsx';

/** The same task on many beds as one line that opens; its day is the first of theirs. */
export function TaskBundle({
  items,
  ...rows
}: { items: readonly AgendaItem[] } & Omit<TaskRowProps, 'item'>) {
  const first = items[0]!;
  const books = useBooks();
  const measures = useMeasures();
  const { today } = rows;
  return (
    <li className="task-bundle">
      <details>
        <summary className="task">
          <span className="task-date figure">{dateNear(first.shownDay, today)}</span>
          <span className="task-mark">{TASK_GROUP_MARKS[first.group]}</span>
          <span className="task-body">
            <span className="task-what">{tasksWords(items, books, measures)}</span>
            {first.what.code !== 'check' && (
              <span className="soft"> {taskReason(first, measures, today)}</span>
            )}
          </span>
        </summary>
        <ul className="tasks">
          {items.map((item) => (
            <TaskRow key={item.key} item={item} {...rows} />
          ))}
        </ul>
      </details>
    </li>
  );
}
