import type { Check, Task } from './tasks.ts';

/** Looks of which nothing is lost when they are left out: they sharpen the model, or please. */
const IN_PASSING: ReadonlySet<Check> = new Set(['threads', 'thickness', 'manureWorms', 'manureCrumbs']);

/** A look for when somebody passes by: never due, so never late. */
export const isLookInPassing = ({ what }: Pick<Task, 'what'>): boolean =>
  what.code === 'check' && IN_PASSING.has(what.check);

/** Whether something has to be carried there: material, feed, or what is short. */
export function needsStock({ what }: Pick<Task, 'what'>): boolean {
  switch (what.code) {
    case 'dose':
    case 'topUp':
    case 'short':
      return true;
    case 'entry':
      return what.entry.type === 'lay' || what.entry.type === 'feed';
    case 'movement':
      return what.movement.type === 'make';
    default:
      return false;
  }
}
