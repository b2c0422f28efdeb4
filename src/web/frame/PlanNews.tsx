import { App } from 'antd';
import { useQueryClient } from '@tanstack/react-query';
import { useEffect, useRef } from 'react';
import type { GardenBooks } from '../../contract/garden-books.ts';
import { planChangeSentence } from '../../words/plan-change-words.ts';
import { dayOf } from '../../words/dates.ts';
import { useBooks, useMeasures } from '../app/garden-context.ts';
import { isSparing } from '../app/sparing.ts';
import { bedNames } from '../ui/garden/naming.ts';
import { asksTheSame, planChangesQuery, questionAbout } from '../worker/questions.ts';

/** A change of more beds than this is a change of the garden or an import, and is told on its own page. */
const MOST_BEDS = 3;
const MOST_TOLD = 4;
const SECONDS_TO_READ = 20;

interface Changed {
  readonly bed: GardenBooks['beds'][number];
  readonly before: ReturnType<typeof questionAbout>;
  readonly after: ReturnType<typeof questionAbout>;
}

/** The beds that were there before and whose plans depend on something that was changed. */
function changedBeds(before: GardenBooks, after: GardenBooks): Changed[] {
  if (before.today !== after.today) return [];
  const known = new Set(before.beds.map(({ id }) => id));
  return after.beds
    .filter(({ id }) => known.has(id))
    .map((bed) => ({
      bed,
      before: questionAbout(before, bed.id, before.today),
      after: questionAbout(after, bed.id, after.today),
    }))
    .filter((one) => !asksTheSame(one.before, one.after));
}

/** Sentences in a list, the rest of a long one left to the page of the bed. */
function NewsList({ sentences }: { sentences: readonly string[] }) {
  return (
    <ul className="plan-news">
      {sentences.slice(0, MOST_TOLD).map((sentence) => (
        <li key={sentence}>{sentence}</li>
      ))}
      {sentences.length > MOST_TOLD && <li>The rest stands on the page of the bed.</li>}
    </ul>
  );
}

/**
 * Says at the edge of the page what a change of the records changed in the plan of its bed, whatever page it was made on:
 * a plan that is made anew in silence would not be noticed.
 */
export function PlanNews() {
  const books = useBooks();
  const measures = useMeasures();
  const last = useRef(books);
  const queries = useQueryClient();
  const { notification } = App.useApp();
  useEffect(() => {
    const tell = async ({ bed, before, after }: Changed) => {
      const answer = await queries.query(planChangesQuery(before, after));
      if (!answer.ok || answer.result.length === 0) return;
      const setting = { areaM2: bed.areaM2, today: dayOf(books.today), names: bedNames(books), measures };
      notification.info({
        key: `plan of ${bed.id}`,
        title: `${bed.name}: its plan was made anew`,
        description: <NewsList sentences={answer.result.map((one) => planChangeSentence(one, setting))} />,
        placement: 'bottomLeft',
        duration: SECONDS_TO_READ,
      });
    };
    const before = last.current;
    last.current = books;
    if (before === books || isSparing()) return;
    const changed = changedBeds(before, books);
    if (changed.length > MOST_BEDS) return;
    // What cannot be worked out is said on the page that shows the bed.
    for (const one of changed) tell(one).catch(() => undefined);
  }, [books, measures, notification, queries]);
  return null;
}
