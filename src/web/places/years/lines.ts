import type { HabitRecord, Habit } from '../../../records/habit.ts';
import type { GardenBooks } from '../../../contract/garden-books.ts';
import { HABIT_TEMPLATE_IDS, type HabitTemplateId, habitFromTemplate } from '../../../core/long-run/index.ts';
import { TEMPLATE_WORDS } from '../../../words/years-words.ts';
import type { FollowedHabit } from '../../worker/years-answers.ts';

/** So many are drawn beside each other at most. */
export const MOST_LINES = 6;

/** One habit among those compared. */
export interface Line {
  /** `planned`, `soFar`, the name of a template, or `kept:` and the id of a habit in the book. */
  readonly id: string;
  readonly name: string;
  readonly what: string;
  readonly followed: FollowedHabit;
  /** The habit in the book it stands for; null for any other. */
  readonly kept: HabitRecord | null;
  /** It has been changed here and is not in the book like this. */
  readonly isChanged: boolean;
}

/** A habit as it is being changed on the page. */
export interface HabitDraftOnPage {
  readonly name: string;
  readonly habit: Habit;
}
export type Drafts = Readonly<Record<string, HabitDraftOnPage>>;

const KEPT = 'kept:';
export const keptLineId = (habitId: string): string => `${KEPT}${habitId}`;

const isTemplate = (id: string): id is HabitTemplateId =>
  (HABIT_TEMPLATE_IDS as readonly string[]).includes(id);

const habitOf = ({ acts, keepsCrops }: HabitRecord): Habit => ({ acts, keepsCrops });

function plainLine(id: string, habits: readonly HabitRecord[]): Line | null {
  const common = { id, kept: null, isChanged: false };
  if (id === 'planned') {
    return {
      ...common,
      name: 'As planned',
      what: 'Your records as they stand and nothing spread beyond the plan; last year’s crops grow again.',
      followed: 'planned',
    };
  }
  if (id === 'soFar') {
    return {
      ...common,
      name: 'As done so far',
      what: 'What you really spread, repeated at the same rhythm.',
      followed: 'soFar',
    };
  }
  if (isTemplate(id)) return { ...common, ...TEMPLATE_WORDS[id], followed: habitFromTemplate(id) };
  const kept = habits.find((habit) => keptLineId(habit.id) === id);
  return kept ? { ...common, name: kept.name, what: 'Saved.', followed: habitOf(kept), kept } : null;
}

/** The line of an id, with what was changed on the page; null when nothing is called that any more. */
export function lineOf(id: string, { habits }: Pick<GardenBooks, 'habits'>, drafts: Drafts): Line | null {
  const line = plainLine(id, habits);
  const draft = drafts[id];
  if (!line || !draft) return line;
  return { ...line, name: draft.name, followed: draft.habit, isChanged: true };
}

/** Everything that can be compared. */
export function allLineIds({ habits }: Pick<GardenBooks, 'habits'>): string[] {
  return ['planned', 'soFar', ...habits.map(({ id }) => keptLineId(id)), ...HABIT_TEMPLATE_IDS];
}

const FIRST_SHOWN = ['planned', 'compostYearly', 'nothing'];

/** What the address says is to be shown; three to start from when it says nothing. */
export function shownIds(asked: string | null): string[] {
  if (asked === null) return FIRST_SHOWN;
  const ids = asked.split(',').filter((id) => id !== '');
  return [...new Set(ids)].slice(0, MOST_LINES);
}

/** Comparisons people ask for, at one press. */
export const COMPARISONS: readonly { readonly name: string; readonly ids: readonly string[] }[] = [
  { name: 'Stack, pull or rotate', ids: ['stack', 'pullYearly', 'rotate', 'nothing'] },
  {
    name: 'What feeds the soil',
    ids: ['compostYearly', 'compostAndChar', 'thinFeeding', 'coverCrops', 'nothing'],
  },
  {
    name: 'One thing or all',
    ids: ['chipsOnly', 'manureUnderCard', 'pathFactory', 'wholeProgram', 'nothing'],
  },
];
