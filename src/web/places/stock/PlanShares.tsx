import { counted } from '../../../words/counted.ts';
import { measuresOf } from '../../../words/measures.ts';
import { useBooks, useMeasures } from '../../app/garden-context.ts';
import { useQueries } from '@tanstack/react-query';
import { Button } from 'antd';
import type { GardenBooks } from '../../../contract/garden-books.ts';
import type { PlanRevision } from '../../../contract/requests.ts';
import { type FindMaterial, isoDateOf } from '../../../core/ground/index.ts';
import { type GardenRecords, materialFinder } from '../../../core/bed/index.ts';
import { limitInWords } from '../../../words/limit-words.ts';
import {
  type ExplainedShare,
  type ShareProblem,
  type ShareSeason,
  sharingDay,
} from '../../../core/long-run/index.ts';
import { dayOf } from '../../../words/dates.ts';
import { sentencesOf } from '../../api/failures.ts';
import { usePlanBeds } from '../../api/habits.ts';
import { useUndo } from '../../app/use-undo.tsx';
import { takenBack } from '../../ui/planning/adopt-plan.ts';
import { planCautions } from '../../ui/planning/plan-cautions.ts';
import { adviceQuery, questionAbout } from '../../worker/questions.ts';

/** When the shares of a season are planned to be laid, ISO. */
export const shareDate = (season: ShareSeason, today: string): string =>
  isoDateOf(sharingDay(dayOf(today), season));

interface PlanSharesProps {
  readonly date: string;
  readonly shares: readonly ExplainedShare[];
  /** Called with what was planned; null after undo. */
  readonly onPlanned: (what: string | null) => void;
}

/** The shares of a season as planned entries on all their beds. */
export function PlanShares({ date, shares, onPlanned }: PlanSharesProps) {
  const books = useBooks();
  const planBeds = usePlanBeds(books.garden.id);
  const offerUndo = useUndo();
  const plan = async () => {
    const { beds } = revisionOf(shares, date);
    const kept = await planBeds.mutateAsync({ beds });
    const done = `${counted(shares.length, 'load is', 'loads are')} planned.`;
    onPlanned(done);
    offerUndo(done, () => {
      onPlanned(null);
      return planBeds.mutateAsync({ beds: beds.map((bed) => takenBack(bed, kept)) });
    });
  };
  return (
    <div>
      <Button type="primary" loading={planBeds.isPending} onClick={() => void plan()}>
        Make it the plan
      </Button>
      {Object.values(sentencesOf(planBeds.error)).map((sentence) => (
        <span key={sentence} className="field-trouble" role="alert">
          {sentence}
        </span>
      ))}
    </div>
  );
}

function revisionOf(shares: readonly ExplainedShare[], date: string): PlanRevision {
  const bedIds = [...new Set(shares.map(({ bedId }) => bedId))];
  return {
    beds: bedIds.map((bedId) => ({
      bedId,
      plantings: { creates: [], removals: [], restores: [] },
      entries: {
        changes: [],
        removals: [],
        restores: [],
        order: [],
        creates: shares
          .filter((one) => one.bedId === bedId)
          .map(({ pileId, litres }) => ({
            id: crypto.randomUUID(),
            type: 'lay' as const,
            state: 'planned' as const,
            date,
            note: 'Shared out of the stock.',
            // The server says what the lot has become by then.
            materialId: 'compost_yard',
            lotId: pileId,
            amount: Number(litres.toPrecision(3)),
            unit: 'litre' as const,
            dugDepthCm: 0,
            seasonedMonths: 0,
          })),
      },
    })),
  };
}

interface ShareCautionsProps extends Omit<PlanSharesProps, 'onPlanned'> {
  readonly problem: ShareProblem;
}

/** A share as what is carried: what it is nearest to, and what it weighs. */
function carried(
  { pileId, litres }: Pick<ExplainedShare, 'pileId' | 'litres'>,
  { piles }: ShareProblem,
  findMaterial: FindMaterial,
) {
  const { materialId } = piles.find(({ id }) => id === pileId)!;
  const density = findMaterial(materialId)?.bulkDensityKgPerM3 ?? 0;
  return { materialId, massFreshKg: (litres * density) / 1000 };
}

/** What to mind before it is carried. */
export function ShareCautions({ date, shares, problem }: ShareCautionsProps) {
  const books = useBooks();
  const findMaterial = materialFinder(books);
  const sentences = planCautions(
    shares.flatMap(({ pileId, bedId, litres }) => {
      const bed = books.beds.find(({ id }) => id === bedId);
      return bed ? [{ ...carried({ pileId, litres }, problem, findMaterial), date, bed, dugDepthCm: 0 }] : [];
    }),
    findMaterial,
    measuresOf(books.garden),
  );
  const limits = useShareLimits({ date, shares, problem });
  return (
    <>
      {limits.caused.length > 0 && (
        <ul className="caution-list trouble" aria-label="More than a bed should get">
          {limits.caused.map((sentence) => (
            <li key={sentence}>{sentence}</li>
          ))}
        </ul>
      )}
      {limits.standing.length > 0 && (
        <details className="share-cautions">
          <summary>
            Over a guide value with or without these loads: {counted(limits.standing.length, 'thing')}
          </summary>
          <ul className="caution-list">
            {limits.standing.map((sentence) => (
              <li key={sentence}>{sentence}</li>
            ))}
          </ul>
        </details>
      )}
      {sentences.length > 0 && (
        <details className="share-cautions">
          <summary>Mind before you carry: {counted(sentences.length, 'thing')}</summary>
          <ul className="caution-list">
            {sentences.map((sentence) => (
              <li key={sentence}>{sentence}</li>
            ))}
          </ul>
        </details>
      )}
    </>
  );
}

interface ShareLimits {
  /** Brought about by the shares. */
  readonly caused: readonly string[];
  /** There without them too. */
  readonly standing: readonly string[];
}

/** Where the beds would get or lose more than the guide values with the shares in their plans, bed by bed. */
function useShareLimits({ date, shares, problem }: ShareCautionsProps): ShareLimits {
  const books = useBooks();
  const measures = useMeasures();
  const findMaterial = materialFinder(books);
  const entries = shares.map((share, i) => ({
    ...carried(share, problem, findMaterial),
    id: `share ${i}`,
    bedId: share.bedId,
    type: 'lay' as const,
    state: 'planned' as const,
    date,
    lotId: share.pileId,
    amount: share.litres,
    unit: 'litre' as const,
    dugDepthCm: 0,
    seasonedMonths: 0,
  }));
  const records = { ...books, entries: [...books.entries, ...entries] };
  const beds = books.beds.filter(({ id }) => shares.some(({ bedId }) => bedId === id));
  const without = usePlans(books, beds);
  const told = usePlans(records, beds).flatMap((plan, i) =>
    (plan?.limits ?? []).map((limit) => ({
      sentence: `${beds[i]!.name}: ${limitInWords(limit, measures, plan!.today)}`,
      isStanding: without[i]?.limits.some(({ code }) => code === limit.code) ?? false,
    })),
  );
  const sentences = (isStanding: boolean) =>
    told.filter((one) => one.isStanding === isStanding).map(({ sentence }) => sentence);
  return { caused: sentences(false), standing: sentences(true) };
}

/** The plans of beds by these records; undefined while one is being worked out. */
function usePlans(records: GardenRecords & { readonly today: string }, beds: GardenBooks['beds']) {
  const answers = useQueries({
    queries: beds.map(({ id }) => adviceQuery(questionAbout(records, id, records.today))),
  });
  return answers.map(({ data }) => (data?.ok ? data.result : undefined));
}
