import { type DayNumber, dayNumberFromIso } from '../../ground/index.ts';
import { isMark, isObservation } from '../journal/journal-kinds.ts';
import type { Journaled, TaskMark } from '../../../records/journal.ts';
import { isLookInPassing } from './task-kinds.ts';
import type { Check, Task } from './tasks.ts';

export type AgendaState = 'open' | 'snoozed' | 'done' | 'dropped';

/** A task as it stands after what was ticked off, postponed and seen. */
export interface AgendaItem extends Task {
  readonly state: AgendaState;
  /** The day to look at it: its own, or the one it was postponed to. */
  readonly shownDay: DayNumber;
  /** Days since it was due; 0 when it is not late, or never was due. */
  readonly lateDays: number;
  /** What was said when it was ticked off or postponed; null when nobody touched it. */
  readonly mark: TaskMark | null;
}

/** A mark stands for a task that has moved by less than this; one that comes round again is another, days (set here). */
const SAME_TASK_DAYS = 90;
/** An observation this long before a check counts as that check, days (set here). */
const SEEN_BEFORE_DAYS = 10;

const SEEN_BY: Readonly<Record<Check, readonly string[]>> = {
  sweetManure: ['smell'],
  manureWorms: ['worms'],
  manureCrumbs: ['thickness', 'smell', 'worms'],
  threads: ['threads'],
  leaves: ['leafColor', 'growth'],
  thickness: ['thickness'],
};

const dayOf = (iso: string): DayNumber => dayNumberFromIso(iso, ['date']);

/** Tasks with what the journal says of them, those to look at first in front. */
export function agendaOf(
  tasks: readonly Task[],
  journal: readonly Journaled[],
  today: DayNumber,
): AgendaItem[] {
  const marks = new Map<string, TaskMark>();
  for (const mark of journal.filter(isMark)) marks.set(mark.taskKey, mark);
  return tasks
    .map((task) => itemOf({ task, known: marks.get(task.key), journal, today }))
    .sort((a, b) => a.shownDay - b.shownDay || a.key.localeCompare(b.key));
}

const isOfThisRound = (mark: TaskMark, { day }: Task): boolean =>
  Math.abs(dayOf(mark.dueOn) - day) < SAME_TASK_DAYS;

function itemOf({
  task,
  known,
  journal,
  today,
}: {
  readonly task: Task;
  readonly known: TaskMark | undefined;
  readonly journal: readonly Journaled[];
  readonly today: DayNumber;
}): AgendaItem {
  const mark = known && isOfThisRound(known, task) ? known : null;
  const state = stateOf({ task, mark, journal, today });
  const shownDay = state === 'snoozed' ? dayOf(mark!.untilDate!) : task.day;
  const lateDays = state === 'open' && !isLookInPassing(task) ? Math.max(0, today - task.day) : 0;
  return { ...task, state, shownDay, mark, lateDays };
}

function stateOf({
  task,
  mark,
  journal,
  today,
}: {
  readonly task: Task;
  readonly mark: TaskMark | null;
  readonly journal: readonly Journaled[];
  readonly today: DayNumber;
}): AgendaState {
  if (wasSeen(task, journal) || wasClosed(task, journal)) return 'done';
  if (!mark) return 'open';
  if (mark.state !== 'snoozed') return mark.state;
  return mark.untilDate !== null && dayOf(mark.untilDate) > today ? 'snoozed' : 'open';
}

/** A check is done when somebody has written down what it asks for. */
function wasSeen({ what, bedId, day }: Task, journal: readonly Journaled[]): boolean {
  if (what.code !== 'check') return false;
  return journal
    .filter(isObservation)
    .some(
      (one) =>
        one.bedId === bedId &&
        SEEN_BY[what.check].includes(one.observed.type) &&
        dayOf(one.date) >= day - SEEN_BEFORE_DAYS,
    );
}

const wasClosed = ({ what, bedId }: Task, journal: readonly Journaled[]): boolean =>
  what.code === 'closeYear' &&
  journal.some((one) => one.kind === 'yearClose' && one.bedId === bedId && one.year === what.year);
