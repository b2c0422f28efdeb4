import type { DayNumber } from '../../ground/index.ts';
import type { BedAgendaSetting } from './bed-agenda-setting.ts';
import type { Task, TaskGroup, TaskWhat } from './tasks.ts';

/** A task of a bed that no record plans, with nothing known of what it costs to be late. */
export const bedTask = (
  { books }: Pick<BedAgendaSetting, 'books'>,
  task: {
    readonly key: string;
    readonly group: TaskGroup;
    readonly day: DayNumber;
    readonly what: TaskWhat;
  },
): Task => ({ ...task, bedId: books.bed.id, lotId: null, record: null, warnings: [], lateCost: null });
