import { counted } from '../../../words/counted.ts';
import { measuresOf } from '../../../words/measures.ts';
import { useBooks } from '../../app/garden-context.ts';
import { Button, Select } from 'antd';
import { useState } from 'react';
import { Link } from 'react-router';
import type { Habit } from '../../../records/habit.ts';
import { materialFinder } from '../../../core/bed/index.ts';
import { MOST_PLANNED_YEARS } from '../../../core/long-run/index.ts';
import { sentencesOf } from '../../api/failures.ts';
import { usePlanBeds } from '../../api/habits.ts';
import { useUndo } from '../../app/use-undo.tsx';
import { bedPlan, countsOf, newStamp, takenBack, type Adopted } from '../../ui/planning/adopt-plan.ts';
import type { Line } from './lines.ts';
import { planCautions } from '../../ui/planning/plan-cautions.ts';
import type { YearsView } from './view.ts';

interface AdoptBandProps {
  readonly line: Line;
  readonly view: YearsView;
}

/** The habit in focus as the plan of the beds shown: it goes into their books, and so into the calendar. */
export function AdoptBand({ line, view }: AdoptBandProps) {
  const books = useBooks();
  const [years, setYears] = useState(2);
  const [done, setDone] = useState<string | null>(null);
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
  const adopted: Adopted = { id: line.kept?.id ?? line.id, name: line.name, habit, years };
  const plansWith = (stamp: string) => beds.map((bed) => bedPlan({ bedId: bed.id, adopted, books, stamp }));
  const plans = plansWith('');
  const { written, replaced } = countsOf(plans);
  const names = beds.map(({ name }) => name).join(' and ');
  const cautions = planCautions(
    plans.flatMap(({ entries }, i) =>
      entries.creates.flatMap((one) =>
        one.type === 'lay' ? [{ ...one, massFreshKg: one.amount, bed: beds[i]! }] : [],
      ),
    ),
    materialFinder(books),
    measuresOf(books.garden),
  );
  const adopt = async () => {
    const stamped = plansWith(newStamp());
    const kept = await planBeds.mutateAsync({ beds: stamped });
    setDone(`“${line.name}” is the plan of ${names}.`);
    offerUndo(`“${line.name}” is the plan of ${names}.`, () => {
      setDone(null);
      return planBeds.mutateAsync({ beds: stamped.map((plan) => takenBack(plan, kept)) });
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
          disabled={written + replaced === 0}
          loading={planBeds.isPending}
          onClick={() => void adopt()}
        >
          Plan it on {names}
        </Button>
        <span className="soft">
          {written === 0
            ? 'Nothing would be planned.'
            : `${counted(written, 'entry', 'entries')} for the bed and the calendar.`}
          {replaced > 0 && ` ${replaced} planned ${replaced === 1 ? 'entry makes' : 'entries make'} room.`}
        </span>
      </div>
      <div role="status">
        {done && (
          <p>
            {done} <Link to={`/garden/${books.garden.id}/calendar`}>See the calendar</Link>
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
