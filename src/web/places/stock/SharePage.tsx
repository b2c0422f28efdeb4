import { useQuery } from '@tanstack/react-query';
import { Button } from 'antd';
import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import type { GardenBooks, PlanRevision } from '../../../contract/records.ts';
import { isoDateOf } from '../../../core/climate/calendar.ts';
import type { ExplainedShare, ShareAnswer } from '../../../core/sharing/share-out.ts';
import {
  SHARE_SEASONS,
  type FixedShare,
  type ShareProblem,
  type ShareSeason,
} from '../../../core/sharing/share-problem.ts';
import { materialFinder } from '../../../core/records/garden-books.ts';
import { dayOf } from '../../../words/dates.ts';
import { ESTIMATE } from '../../../words/words.ts';
import { measuresOf, type Measures } from '../../../words/measures.ts';
import {
  barrowsCount,
  conflictInWords,
  metWords,
  reasonWords,
  SEASON_WORDS,
  unmetWords,
  wantWords,
} from '../../../words/share-words.ts';
import { sentencesOf } from '../../api/failures.ts';
import { usePlanBeds } from '../../api/habits.ts';
import { TextField } from '../../forms/inputs.tsx';
import { numberFromText } from '../../forms/parse-number.ts';
import { shareQuery } from '../../worker/questions.ts';
import { useGardenBooks } from '../shell/use-garden-books.ts';
import { useUndo } from '../shell/use-undo.tsx';
import { planCautions } from '../years/plan-cautions.ts';
import { FixShare } from './FixShare.tsx';
import '../../theme/figures-table.css';
import './share.css';

const FIRST_AIM_PCT = '6';

/** Who gets what of the stock, and why. */
export function SharePage() {
  const books = useGardenBooks();
  if (!books) return <p className="page soft">Opening the books …</p>;
  if (books.beds.length === 0 || books.lots.length === 0) {
    return (
      <div className="page">
        <h1>Share out the stock</h1>
        <div className="empty">
          <h2>{books.beds.length === 0 ? 'No bed yet' : 'Nothing in stock yet'}</h2>
          <p>
            Here every pile finds the beds that want it most.{' '}
            {books.beds.length === 0 ? (
              <Link to={`/garden/${books.garden.id}`}>Make a bed first</Link>
            ) : (
              <Link to={`/garden/${books.garden.id}/stock`}>Write down what lies in the yard</Link>
            )}
            .
          </p>
        </div>
      </div>
    );
  }
  return <OpenShares key={books.garden.id} books={books} />;
}

function OpenShares({ books }: { books: GardenBooks }) {
  const [aim, setAim] = useState(FIRST_AIM_PCT);
  const [fixed, setFixed] = useState<readonly FixedShare[]>([]);
  const measures = measuresOf(books.garden);
  const aimPct = numberFromText(aim);
  const isAim = aimPct > 0 && aimPct <= 40;
  const asked = useMemo(() => {
    const { garden, beds, entries, plantings, materials, labResults, lots, movements } = books;
    return {
      question: {
        today: books.today,
        records: { garden, beds, entries, plantings, materials, labResults, lots, movements },
      },
      reserves: Object.fromEntries(lots.map(({ id, reserveL }) => [id, reserveL])),
      aimOrganicMatterPct: isAim ? aimPct : Number(FIRST_AIM_PCT),
      fixed,
    };
  }, [books, aimPct, isAim, fixed]);
  const { data, error, isFetching } = useQuery(shareQuery(asked));
  const names = {
    bed: (id: string) => books.beds.find((bed) => bed.id === id)?.name ?? id,
    pile: (id: string) => books.lots.find((lot) => lot.id === id)?.name ?? id,
  };
  const trouble = error ? 'The solver failed; nothing was changed.' : data && !data.ok ? data.sentence : null;
  return (
    <div className="page shares">
      <header className="page-head">
        <div>
          <h1>Share out the stock</h1>
          <p className="soft">
            What is free in the yard and what is still to come, to the beds that want it most.
          </p>
        </div>
        <TextField
          name="Organic matter to aim at, %"
          value={aim}
          onChange={setAim}
          trouble={isAim ? undefined : 'must be above 0 and at most 40'}
          width={170}
        />
      </header>
      {!data && !trouble && <p className="soft">Trying every pile on every bed …</p>}
      {trouble && (
        <p className="trouble" role="alert">
          {trouble}
        </p>
      )}
      {data?.ok && (
        <div aria-busy={isFetching}>
          <Shared
            answer={data.result.answer}
            problem={data.result.problem}
            books={books}
            measures={measures}
            names={names}
          />
          <FixShare
            problem={data.result.problem}
            fixed={fixed}
            setFixed={setFixed}
            measures={measures}
            names={names}
          />
          <p className="soft estimate">{ESTIMATE}</p>
        </div>
      )}
    </div>
  );
}

export interface Names {
  readonly bed: (id: string) => string;
  readonly pile: (id: string) => string;
}

interface SharedProps {
  readonly answer: ShareAnswer;
  readonly problem: ShareProblem;
  readonly books: GardenBooks;
  readonly measures: Measures;
  readonly names: Names;
}

function Shared({ answer, problem, books, measures, names }: SharedProps) {
  if (answer.status === 'infeasible') {
    return (
      <section className="band" role="alert">
        <h2>It cannot be done like this</h2>
        <ul>
          {answer.conflicts.map((conflict, i) => (
            <li key={i}>{conflictInWords(conflict, names, measures)}</li>
          ))}
        </ul>
      </section>
    );
  }
  const { measure, even, shares, unmet } = answer;
  return (
    <>
      <p className="share-answer" role="status">
        <strong className="figure">{metWords(measure)}</strong> of what the beds want is met, with{' '}
        {barrowsCount(measure.barrows)}; sharing every pile evenly by area would meet{' '}
        <span className="figure">{metWords(even)}</span> with {barrowsCount(even.barrows)}.
      </p>
      {shares.length === 0 && <p>Nothing in stock serves what the beds want just now.</p>}
      {SHARE_SEASONS.map((season) => (
        <SeasonShares
          key={season}
          season={season}
          shares={shares.filter((one) => one.season === season)}
          books={books}
          problem={problem}
          measures={measures}
          names={names}
        />
      ))}
      <details className="unmet">
        <summary>What stays open, and what each bed was found to want</summary>
        <table className="figures-table">
          <thead>
            <tr>
              <th scope="col">Bed</th>
              <th scope="col">wants this season</th>
              <th scope="col">stays open</th>
            </tr>
          </thead>
          <tbody>
            {problem.beds.map((bed) => (
              <tr key={bed.id}>
                <th scope="row">{names.bed(bed.id)}</th>
                <td>{wantWords(bed.wants.now, measures)}</td>
                <td>
                  {unmet
                    .filter((one) => one.bedId === bed.id && one.season === 'now')
                    .map(unmetWords)
                    .join('; ') || 'nothing'}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
        <p className="soft hint">
          Measured in wants met, each weighed by the area of the bed, by what it is for and by how large the
          gap is, less a little for every barrow. What a pile does on a bed comes from running it there for
          five years. Logs, ash, raw char and bought feed are not shared out here.
        </p>
      </details>
    </>
  );
}

interface SeasonSharesProps extends Omit<SharedProps, 'answer'> {
  readonly season: ShareSeason;
  readonly shares: readonly ExplainedShare[];
}

function SeasonShares({ season, shares, books, problem, measures, names }: SeasonSharesProps) {
  if (shares.length === 0) return null;
  const piles = problem.piles.filter((pile) => shares.some(({ pileId }) => pileId === pile.id));
  return (
    <section aria-label={SEASON_WORDS[season]} className="band">
      <div className="share-head">
        <h2>{season === 'now' ? 'This season' : 'In half a year'}</h2>
        <PlanShares season={season} shares={shares} books={books} />
      </div>
      {season === 'now' && <ShareCautions shares={shares} problem={problem} books={books} />}
      {piles.map((pile) => (
        <div key={pile.id} className="share-pile">
          <h3>
            {names.pile(pile.id)}{' '}
            <span className="soft">
              {measures.volume(pile.freeL)} free
              {pile.comingL > 0 && `, ${measures.volume(pile.comingL)} to come`}
            </span>
          </h3>
          <ul>
            {shares
              .filter(({ pileId }) => pileId === pile.id)
              .toSorted((a, b) => b.litres - a.litres)
              .map((share) => (
                <li key={share.bedId}>
                  <span className="share-amount figure">{measures.volume(share.litres)}</span>
                  <span className="soft"> ({measures.barrows(share.litres)})</span> to{' '}
                  <strong>{names.bed(share.bedId)}</strong>{' '}
                  <span className="share-why">{reasonWords(share, names.bed)}.</span>
                </li>
              ))}
          </ul>
        </div>
      ))}
    </section>
  );
}

/** What to mind before it is carried. */
function ShareCautions({ shares, problem, books }: Pick<SeasonSharesProps, 'shares' | 'problem' | 'books'>) {
  const findMaterial = materialFinder(books);
  const sentences = planCautions(
    shares.flatMap(({ pileId, bedId, litres }) => {
      const bed = books.beds.find(({ id }) => id === bedId);
      const { materialId } = problem.piles.find(({ id }) => id === pileId)!;
      const density = findMaterial(materialId)?.bulkDensityKgPerM3 ?? 0;
      return bed
        ? [{ date: books.today, materialId, bed, massFreshKg: (litres * density) / 1000, dugDepthCm: 0 }]
        : [];
    }),
    findMaterial,
  );
  if (sentences.length === 0) return null;
  return (
    <details className="share-cautions">
      <summary>Mind before you carry: {sentences.length} things</summary>
      <ul className="caution-list">
        {sentences.map((sentence) => (
          <li key={sentence}>{sentence}</li>
        ))}
      </ul>
    </details>
  );
}

const SEASON_DAYS = 182;

/** The shares of a season as planned entries on all their beds. */
function PlanShares({ season, shares, books }: Pick<SeasonSharesProps, 'season' | 'shares' | 'books'>) {
  const planBeds = usePlanBeds(books.garden.id);
  const offerUndo = useUndo();
  const [isPlanned, setIsPlanned] = useState(false);
  const date = isoDateOf(dayOf(books.today) + (season === 'now' ? 7 : SEASON_DAYS));
  const plan = async () => {
    const revision = revisionOf(shares, date);
    const kept = await planBeds.mutateAsync(revision);
    setIsPlanned(true);
    offerUndo(`${shares.length} loads are planned.`, () => {
      setIsPlanned(false);
      planBeds.mutate({
        beds: revision.beds.map((bed) => ({
          ...bed,
          entries: {
            ...bed.entries,
            creates: [],
            removals: kept.entries
              .filter(({ id }) => bed.entries.creates.some((one) => one.id === id))
              .map(({ id, version }) => ({ id, version })),
          },
        })),
      });
    });
  };
  return (
    <div role="status">
      {isPlanned ? (
        <span>
          Planned. <Link to={`/garden/${books.garden.id}/laying`}>See the laying day</Link>
        </span>
      ) : (
        <Button type="primary" loading={planBeds.isPending} onClick={() => void plan()}>
          Make it the plan
        </Button>
      )}
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
