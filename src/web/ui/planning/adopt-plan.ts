import type { EntryDraft, Entry } from '../../../records/entry.ts';
import type { GardenBooks } from '../../../contract/garden-books.ts';
import type { PlanRevision } from '../../../contract/requests.ts';
import type { Planting } from '../../../records/planting.ts';
import type { Habit } from '../../../records/habit.ts';
import { isoDateOf } from '../../../core/ground/index.ts';
import { writtenOfBed, materialFinder } from '../../../core/bed/index.ts';
import { habitPlan, isPlanOf } from '../../../core/long-run/index.ts';
import { dayOf } from '../../../words/dates.ts';

export type BedPlan = PlanRevision['beds'][number];

/** A habit on its way into the plan. */
export interface Adopted {
  readonly id: string;
  readonly name: string;
  readonly habit: Habit;
  /** For how many years it is planned. */
  readonly years: number;
}

const NOTHING_CHANGED = { changes: [], order: [] };
/** What was planned and taken back keeps its id, so every planning has a mark of its own at the end. */
const STAMP = /-r[0-9a-f]{4}$/;
export const newStamp = (): string => `-r${crypto.randomUUID().slice(0, 4)}`;
const unstamped = (id: string): string => id.replace(STAMP, '');

/**
 * What a habit writes into a bed's plan, and what it puts out of it: what was planned to be laid otherwise in those
 * years. What it has planned there before stays as it is.
 */
export function bedPlan({
  bedId,
  adopted: { id: habitId, name, habit, years },
  books,
  stamp,
}: {
  readonly bedId: string;
  readonly adopted: Adopted;
  readonly books: GardenBooks;
  readonly stamp: string;
}): BedPlan {
  const own = writtenOfBed(books, bedId)!;
  const today = dayOf(books.today);
  const facts = { ...own, entries: own.entries.filter(({ state }) => state === 'laid') };
  const plan = habitPlan({
    habit,
    habitId,
    books: facts,
    setting: { findMaterial: materialFinder(books), today, years },
  });
  const until = isoDateOf(today + Math.round(years * 365.25));
  const meant = new Set([...plan.entries, ...plan.plantings].map(({ id }) => id));
  const there = new Map([...books.entries, ...books.plantings].map(({ id }) => [unstamped(id), id]));
  const isNew = ({ id }: { readonly id: string }) => !there.has(id);
  const idOf = (id: string) => there.get(id) ?? (meant.has(id) ? `${id}${stamp}` : id);
  const isReplaced = (one: Entry) =>
    !meant.has(unstamped(one.id)) &&
    (isPlanOf(habitId, bedId, one.id) ||
      ((one.type === 'lay' || one.type === 'takeOff') && one.date <= until));
  const note = `By the habit “${name}”.`;
  return {
    bedId,
    entries: {
      ...NOTHING_CHANGED,
      creates: plan.entries.filter(isNew).map((one) => entryDraftOf(one, idOf, note)),
      removals: books.entries
        .filter((one) => one.bedId === bedId && one.state === 'planned' && isReplaced(one))
        .map(seenOf),
      restores: [],
    },
    plantings: {
      creates: plan.plantings.filter(isNew).map((one) => plantingDraftOf(one, idOf, note)),
      removals: books.plantings
        .filter(
          (one) =>
            one.state === 'planned' && isPlanOf(habitId, bedId, one.id) && !meant.has(unstamped(one.id)),
        )
        .map(seenOf),
      restores: [],
    },
  };
}

interface Seen {
  readonly id: string;
  readonly version: number;
}
const seenOf = ({ id, version }: Seen): Seen => ({ id, version });

function entryDraftOf(one: Entry, idOf: (id: string) => string, note: string): EntryDraft & { id: string } {
  const id = idOf(one.id);
  switch (one.type) {
    case 'lay': {
      const { massFreshKg, ...fields } = one;
      return { ...fields, id, amount: massFreshKg, unit: 'kg', note };
    }
    case 'takeOff':
      return { ...one, id, layerId: idOf(one.layerId), note };
    default:
      return { ...one, id, note };
  }
}

const plantingDraftOf = (one: Planting, idOf: (id: string) => string, note: string) => ({
  ...one,
  id: idOf(one.id),
  note,
});

/** How many records a plan writes, and how many make room for them. */
export const countsOf = (
  plans: readonly BedPlan[],
): { readonly written: number; readonly replaced: number } => ({
  written: plans.reduce((sum, one) => sum + one.entries.creates.length + one.plantings.creates.length, 0),
  replaced: plans.reduce((sum, one) => sum + one.entries.removals.length + one.plantings.removals.length, 0),
});

/** The way back: what was written goes, what made room comes again. */
export function takenBack(
  { bedId, entries, plantings }: BedPlan,
  kept: { readonly entries: readonly Seen[]; readonly plantings: readonly Seen[] },
): BedPlan {
  const written = (all: readonly Seen[], creates: readonly { readonly id: string }[]) =>
    all.filter(({ id }) => creates.some((one) => one.id === id)).map(seenOf);
  return {
    bedId,
    entries: {
      ...NOTHING_CHANGED,
      creates: [],
      removals: written(kept.entries, entries.creates),
      restores: entries.removals.map(({ id }) => id),
    },
    plantings: {
      creates: [],
      removals: written(kept.plantings, plantings.creates),
      restores: plantings.removals.map(({ id }) => id),
    },
  };
}
