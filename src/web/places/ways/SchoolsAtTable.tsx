import { useQueries } from '@tanstack/react-query';
import { useState } from 'react';
import { type AimWeights, rankWays, type Way, type WayOutcome } from '../../../core/long-run/index.ts';
import { SCHOOLS } from '../../../records/vocabulary.ts';
import type { Measures } from '../../../words/measures.ts';
import { SAME_PHYSICS, schoolWords } from '../../../words/school-words.ts';
import { fromWhenWords, toAddWords } from '../../../words/way-words.ts';
import { useBooks, useMeasures } from '../../app/garden-context.ts';
import { wayQuery } from '../../worker/questions.ts';
import type { ProposedWays, WaysAsked } from '../../worker/ways-answers.ts';

interface SchoolsAtTableProps {
  readonly asked: WaysAsked;
  readonly ways: ProposedWays['ways'];
  readonly today: number;
  readonly weights: AimWeights;
  readonly titleOf: (way: Way) => string;
}

/** What each of the three schools would pick among the same ways, and why they differ. */
export function SchoolsAtTable(props: SchoolsAtTableProps) {
  const [isOpen, setOpen] = useState(false);
  return (
    <details className="ways-schools" onToggle={(event) => setOpen(event.currentTarget.open)}>
      <summary>What the three schools would pick</summary>
      {isOpen && <Picks {...props} />}
    </details>
  );
}

function Picks({ asked, ways, today, weights, titleOf }: SchoolsAtTableProps) {
  const { garden } = useBooks();
  const measures = useMeasures();
  const answers = useQueries({
    queries: SCHOOLS.flatMap((school) =>
      ways.map(({ key }, turn) =>
        // By the garden's own school they are weighed already.
        wayQuery(asked, school === garden.school ? { key } : { key, school }, turn),
      ),
    ),
  });
  return (
    <>
      <div className="ways-list">
        {SCHOOLS.map((school, i) => {
          const { name, belief, changes } = schoolWords(school, measures);
          const bySchool = answers.slice(i * ways.length, (i + 1) * ways.length).map(({ data }) => data);
          const outcomes = bySchool.flatMap((data) => (data?.ok ? [data.result] : []));
          const refused = bySchool.flatMap((data) => (data && !data.ok ? [data.sentence] : []));
          return (
            <section key={school} aria-label={name}>
              <h3>
                {name}
                {school === garden.school && <span className="soft"> (your garden)</span>}
              </h3>
              <p className="soft">{belief}</p>
              {bySchool.includes(undefined) ? (
                <p className="soft">Asking …</p>
              ) : (
                <Pick {...{ outcomes, weights, today, titleOf, measures }} />
              )}
              {outcomes.length === 0 && refused.length > 0 && <p className="trouble">{refused[0]}</p>}
              <p>{changes}</p>
            </section>
          );
        })}
      </div>
      <p className="soft">{SAME_PHYSICS}</p>
    </>
  );
}

function Pick({
  outcomes,
  weights,
  today,
  titleOf,
  measures,
}: {
  readonly outcomes: readonly WayOutcome[];
  readonly weights: AimWeights;
  readonly today: number;
  readonly titleOf: (way: Way) => string;
  readonly measures: Measures;
}) {
  const [first] = rankWays(outcomes, weights).ways;
  if (!first) return null;
  const { way, nitrogenToAddG, plantFrom } = first.outcome;
  return (
    <p>
      <strong>{titleOf(way)}</strong>: quick nitrogen to add {toAddWords(nitrogenToAddG, measures)}, young
      plants from {fromWhenWords(plantFrom, today)}.
    </p>
  );
}
