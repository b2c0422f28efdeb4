import { useQuery } from '@tanstack/react-query';
import { Button } from 'antd';
import { useDeferredValue, useMemo } from 'react';
import type { PlantingDraft } from '../../../records/planting.ts';
import { isoDateOf } from '../../../core/ground/index.ts';
import { dateNear, dayOf } from '../../../words/dates.ts';
import { comingSentence } from '../../../words/planting-words.ts';
import { useBooks, useMeasures } from '../../app/garden-context.ts';
import { bedNames } from '../../ui/garden/naming.ts';
import { adviceQuery, questionAbout } from '../../worker/questions.ts';

type Draft = PlantingDraft & { readonly id: string };

interface PlantingAdviceProps {
  readonly bedId: string;
  readonly draft: Draft;
  /** Takes an ISO date. */
  readonly onDay: (plantedOn: string) => void;
}

/** What the plan of the bed would say of a planting that is not saved yet, with better days to choose. */
export function PlantingAdvice({ bedId, draft, onDay }: PlantingAdviceProps) {
  const books = useBooks();
  const measures = useMeasures();
  const today = dayOf(books.today);
  const key = useDeferredValue(JSON.stringify(draft));
  const withDraft = useMemo(() => {
    const planned = {
      ...(JSON.parse(key) as Draft),
      bedId,
      state: 'planned' as const,
      version: 0,
      createdAt: '',
      updatedAt: '',
    };
    return { ...books, plantings: [...books.plantings.filter(({ id }) => id !== planned.id), planned] };
  }, [books, bedId, key]);
  const isAhead = draft.plantedOn >= books.today;
  const question = useMemo(
    () => questionAbout(withDraft, bedId, books.today),
    [withDraft, bedId, books.today],
  );
  const { data } = useQuery({ ...adviceQuery(question), enabled: isAhead });
  const coming = data?.ok ? data.result.coming.find(({ plantingId }) => plantingId === draft.id) : undefined;
  if (!isAhead || !coming) return null;
  const isBad = coming.objections.length > 0;
  const better = [coming.goodBefore, coming.goodAfter].flatMap((day) => day ?? []);
  return (
    <div className={isBad ? 'trouble' : 'soft'} role="status" aria-label="What speaks against it">
      <p>{comingSentence(coming, today, { measures, names: bedNames(withDraft) })}</p>
      {better.length > 0 && (
        <div className="actions">
          {better.map((day) => (
            <Button key={day} size="small" onClick={() => onDay(isoDateOf(day))}>
              {coming.isSown ? 'Sow' : 'Plant'} on {dateNear(day, today)}
            </Button>
          ))}
        </div>
      )}
    </div>
  );
}
