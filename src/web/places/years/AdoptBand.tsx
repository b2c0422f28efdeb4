import { Button, Select } from 'antd';
import { useState } from 'react';
import { Link } from 'react-router';
import type { EntryDraft, GardenBooks, PlanRevision } from '../../../contract/records.ts';
import type { EntryRecord, PlantingRecord } from '../../../core/records/bed-records.ts';
import { booksOfBed, materialFinder } from '../../../core/records/garden-books.ts';
import type { Habit } from '../../../core/years/habit.ts';
import { habitPlan, isPlanOf, MOST_PLANNED_YEARS } from '../../../core/years/habit-plan.ts';
import { dayOf } from '../../../words/dates.ts';
import { sentencesOf } from '../../api/failures.ts';
import { usePlanBeds } from '../../api/habits.ts';
import { useUndo } from '../shell/use-undo.tsx';
import type { Line } from './lines.ts';
import { planCautions } from './plan-cautions.ts';
import type { YearsView } from './view.ts';

interface AdoptBandProps {
  readonly line: Line;
  readonly view: YearsView;
  readonly books: GardenBooks;
}

type BedPlan = PlanRevision['beds'][number];
const NOTHING_CHANGED = { changes: [], order: [] };

/** The habit in focus as the plan of the beds shown: it goes into their books, and so into the calendar. */
export function AdoptBand({ line, view, books }: AdoptBandProps) {
  const [years, setYears] = useState(2);
  const [adopted, setAdopted] = useState<string | null>(null);
  const planBeds = usePlanBeds(books.garden.id);
  const offerUndo = useUndo();
  const beds = view.beds.flatMap(({ bed }) => bed ?? []);
  if (typeof line.followed === 'string' || beds.length === 0) {
    return (
      <section aria-label="Make it the plan" className="band">
        <h2>Make it the plan</h2>
        <p className="soft hint">
          {beds.length === 0
            ? 'Look at one bed or two to make a habit their plan.'
            : 'Choose a habit in the list above to make it the plan of these beds.'}
        </p>
      </section>
    );
  }
  const habit: Habit = line.followed;
  const plans = beds.map((bed) => bedPlan(bed.id, habit, line, years, books));
  const count = plans.reduce(
    (sum, { entries, plantings }) => sum + entries.creates.length + plantings.creates.length,
    0,
  );
  const replaced = plans.reduce(
    (sum, { entries, plantings }) => sum + entries.removals.length + plantings.removals.length,
    0,
  );
  const names = beds.map(({ name }) => name).join(' and ');
  const cautions = planCautions(
    plans.flatMap(({ entries }, i) =>
      entries.creates.flatMap((one) =>
        one.type === 'lay' ? [{ ...one, massFreshKg: one.amount, bed: beds[i]! }] : [],
      ),
    ),
    materialFinder(books),
  );
  const adopt = async () => {
    const kept = await planBeds.mutateAsync({ beds: plans });
    setAdopted(`“${line.name}” is the plan of ${names}.`);
    offerUndo(`“${line.name}” is the plan of ${names}.`, () => {
      planBeds.mutate({ beds: plans.map((plan) => takenBack(plan, kept)) });
      setAdopted(null);
    });
  };
  return (
    <section aria-label="Make it the plan" className="band adopt-band">
      <h2>Make “{line.name}” the plan</h2>
      <div className="band-foot">
        <span>for the next</span>
        <Select<number>
          aria-label="Years to plan"
          value={years}
          onChange={setYears}
          options={Array.from({ length: MOST_PLANNED_YEARS }, (_, i) => ({
            value: i + 1,
            label: i === 0 ? '1 year' : `${i + 1} years`,
          }))}
        />
        <Button
          type="primary"
          disabled={count + replaced === 0}
          loading={planBeds.isPending}
          onClick={() => void adopt()}
        >
          Plan it on {names}
        </Button>
        <span className="soft">
          {count === 0
            ? 'Nothing would be planned.'
            : `${count} ${count === 1 ? 'entry' : 'entries'} for the book and the calendar.`}
          {replaced > 0 && ` ${replaced} planned ${replaced === 1 ? 'entry makes' : 'entries make'} room.`}
        </span>
      </div>
      <div role="status">
        {adopted && (
          <p>
            {adopted} <Link to={`/garden/${books.garden.id}/calendar`}>See the calendar</Link>
          </p>
        )}
      </div>
      {cautions.length > 0 && (
        <ul className="caution-list">
          {cautions.map((sentence) => (
            <li key={sentence}>{sentence}</li>
          ))}
        </ul>
      )}
      {Object.values(sentencesOf(planBeds.error)).map((sentence) => (
        <p key={sentence} className="field-trouble" role="alert">
          {sentence}
        </p>
      ))}
    </section>
  );
}

/** What a habit writes into a bed's plan, and what it puts out of it: what was planned to be laid otherwise. */
function bedPlan(bedId: string, habit: Habit, line: Line, years: number, books: GardenBooks): BedPlan {
  const habitId = line.kept?.id ?? line.id;
  const own = booksOfBed(books, bedId, () => undefined)!;
  const findMaterial = materialFinder(books);
  const facts = { ...own, entries: own.entries.filter(({ state }) => state === 'laid') };
  const plan = habitPlan(habit, habitId, facts, { findMaterial, today: dayOf(books.today), years });
  const planned = books.entries.filter((one) => one.bedId === bedId && one.state === 'planned');
  const meant = new Set([...plan.entries, ...plan.plantings].map(({ id }) => id));
  const isThere = new Set([...books.entries, ...books.plantings].map(({ id }) => id));
  const isReplaced = (one: EntryRecord) =>
    !meant.has(one.id) && (one.type === 'lay' || one.type === 'takeOff' || isPlanOf(habitId, bedId, one.id));
  return {
    bedId,
    entries: {
      ...NOTHING_CHANGED,
      creates: plan.entries.filter(({ id }) => !isThere.has(id)).map((one) => entryDraftOf(one, line.name)),
      removals: planned.filter(isReplaced).map(({ id, version }) => ({ id, version })),
      restores: [],
    },
    plantings: {
      creates: plan.plantings
        .filter(({ id }) => !isThere.has(id))
        .map((one) => plantingDraftOf(one, line.name)),
      removals: books.plantings
        .filter((one) => one.state === 'planned' && isPlanOf(habitId, bedId, one.id) && !meant.has(one.id))
        .map(({ id, version }) => ({ id, version })),
      restores: [],
    },
  };
}

function entryDraftOf(one: EntryRecord, habit: string): EntryDraft & { id: string } {
  const note = `By the habit “${habit}”.`;
  if (one.type === 'lay') {
    const { massFreshKg, ...fields } = one;
    return { ...fields, amount: massFreshKg, unit: 'kg', note };
  }
  return { ...one, note };
}

const plantingDraftOf = (one: PlantingRecord, habit: string) => ({
  ...one,
  note: `By the habit “${habit}”.`,
});

/** The other way round: what was written goes, what made room comes back. */
function takenBack(
  { bedId, entries, plantings }: BedPlan,
  kept: {
    readonly entries: readonly { readonly id: string; readonly version: number }[];
    readonly plantings: readonly { readonly id: string; readonly version: number }[];
  },
): BedPlan {
  const seen = (all: typeof kept.entries, ids: readonly { readonly id: string }[]) =>
    all.filter(({ id }) => ids.some((one) => one.id === id)).map(({ id, version }) => ({ id, version }));
  return {
    bedId,
    entries: {
      ...NOTHING_CHANGED,
      creates: [],
      removals: seen(kept.entries, entries.creates),
      restores: entries.removals.map(({ id }) => id),
    },
    plantings: {
      creates: [],
      removals: seen(kept.plantings, plantings.creates),
      restores: plantings.removals.map(({ id }) => id),
    },
  };
}
