import { useMeasures, useBooks } from '../../app/garden-context.ts';
import type { Names } from './share-names.ts';
import { useQuery } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import {
  type ExplainedShare,
  SHARE_SEASONS,
  type ShareAnswer,
  type ShareProblem,
  type ShareSeason,
  inAllL,
} from '../../../core/long-run/index.ts';
import type { Measures } from '../../../words/measures.ts';
import { ESTIMATE } from '../../../words/words.ts';
import {
  barrowsCount,
  conflictInWords,
  loadsWords,
  metWords,
  reasonWords,
  SEASON_WORDS,
} from '../../../words/share-words.ts';
import { TextField } from '../../ui/forms/inputs.tsx';
import { numberFromText } from '../../ui/forms/parse-number.ts';
import { capitalized } from '../../../words/capitalized.ts';
import { recordsForYears, shareQuery } from '../../worker/questions.ts';
import { FixShare, litresPer } from './FixShare.tsx';
import { IdleStock, WaysOfSharing, WhatStaysOpen } from './ShareFindings.tsx';
import { useOwnChoices } from './own-choices.ts';
import { PlanShares, ShareCautions, shareDate } from './PlanShares.tsx';
import '../../theme/figures-table.css';
import './share.css';
import { PageHeading } from '../../ui/heading/PageHeading.tsx';

const FIRST_AIM_PCT = '6';

/** Who gets what of the stock, and why. */
export function SharePage() {
  const books = useBooks();
  if (books.beds.length === 0 || books.lots.length === 0) {
    return (
      <div className="page">
        <PageHeading>Share out the stock</PageHeading>
        <div className="empty">
          <h2>{books.beds.length === 0 ? 'No bed yet' : 'Nothing in stock yet'}</h2>
          <p>
            Here every pile finds the beds that need it most.{' '}
            {books.beds.length === 0 ? (
              <Link to={`/garden/${books.garden.id}`}>Make a bed first</Link>
            ) : (
              <Link to={`/garden/${books.garden.id}/stock`}>Record what lies in the yard</Link>
            )}
            .
          </p>
        </div>
      </div>
    );
  }
  return <OpenShares />;
}

function OpenShares() {
  const books = useBooks();
  const [aim, setAim] = useState(FIRST_AIM_PCT);
  const measures = useMeasures();
  const [fixed, setFixed] = useOwnChoices(books);
  const [planned, setPlanned] = useState<string | null>(null);
  const aimPct = numberFromText(aim);
  const isAim = aimPct > 0 && aimPct <= 40;
  const asked = useMemo(() => {
    return {
      question: { today: books.today, records: recordsForYears(books) },
      reserves: Object.fromEntries(books.lots.map(({ id, reserveL }) => [id, reserveL])),
      aimOrganicMatterPct: isAim ? aimPct : Number(FIRST_AIM_PCT),
      fixed,
      carrier: { barrowL: litresPer(measures.barrowUnit), bucketL: litresPer(measures.bucketUnit) },
    };
  }, [books, aimPct, isAim, fixed, measures]);
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
          <PageHeading>Share out the stock</PageHeading>
          <p className="soft">
            What is available in the yard and still to come goes to the beds that need it most.
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
      <div role="status">
        {planned && (
          <p>
            {planned} <Link to={`/garden/${books.garden.id}/laying`}>See the spreading day</Link>
          </p>
        )}
      </div>
      {data?.ok && (
        <div aria-busy={isFetching}>
          <Shared
            answer={data.result.answer}
            problem={data.result.problem}
            names={names}
            onPlanned={setPlanned}
          />
          <FixShare problem={data.result.problem} fixed={fixed} setFixed={setFixed} names={names} />
          <p className="soft estimate">{ESTIMATE}</p>
        </div>
      )}
    </div>
  );
}

interface SharedProps {
  readonly answer: ShareAnswer;
  readonly problem: ShareProblem;
  readonly names: Names;
  /** Called with what was planned; null after undo. */
  readonly onPlanned: (what: string | null) => void;
}

function Shared({ answer, problem, names, onPlanned }: SharedProps) {
  const measures = useMeasures();
  if (answer.status === 'infeasible') {
    return (
      <section className="band" role="alert">
        <h2>It cannot be done like this</h2>
        <ul>
          {answer.conflicts.map((conflict, i) => (
            <li key={i}>{conflictInWords(conflict, names, measures)}</li>
          ))}
        </ul>
        <p>Change or remove one of your own choices below.</p>
      </section>
    );
  }
  const { measure, shares, unmet } = answer;
  return (
    <>
      <p className="share-answer" role="status">
        <strong className="figure">{metWords(measure)}</strong> of what the beds need is met within every
        limit, with {barrowsCount(measure.barrows)}.
      </p>
      <WaysOfSharing answer={answer} hasOwn={problem.fixed.length > 0} names={names} />
      {shares.length === 0 && <p>Nothing in stock serves what the beds want just now.</p>}
      {SHARE_SEASONS.map((season) => (
        <SeasonShares
          key={season}
          season={season}
          shares={shares.filter((one) => one.season === season)}
          problem={problem}
          names={names}
          onPlanned={onPlanned}
        />
      ))}
      <IdleStock idle={answer.idle} names={names} />
      <WhatStaysOpen problem={problem} unmet={unmet} names={names} />
    </>
  );
}

/** What can be given of a pile now, and what is still to come. */
function thereWords(pile: ShareProblem['piles'][number], measures: Measures): string {
  const comingL = inAllL(pile) - pile.thereL.now;
  const coming = comingL > 0 ? `, ${measures.volume(comingL)} to come` : '';
  return `${measures.volume(pile.thereL.now)} available${coming}`;
}

interface SeasonSharesProps extends Omit<SharedProps, 'answer'> {
  readonly season: ShareSeason;
  readonly shares: readonly ExplainedShare[];
}

function SeasonShares({ season, shares, problem, names, onPlanned }: SeasonSharesProps) {
  const books = useBooks();
  const measures = useMeasures();
  if (shares.length === 0) return null;
  const date = shareDate(season, books.today);
  const piles = problem.piles.filter((pile) => shares.some(({ pileId }) => pileId === pile.id));
  return (
    <section aria-label={SEASON_WORDS[season]} className="band">
      <div className="share-head">
        <h2>{capitalized(SEASON_WORDS[season])}</h2>
        <PlanShares date={date} shares={shares} onPlanned={onPlanned} />
      </div>
      <ShareCautions date={date} shares={shares} problem={problem} />
      {piles.map((pile) => (
        <div key={pile.id} className="share-pile">
          <h3>
            {names.pile(pile.id)} <span className="soft">{thereWords(pile, measures)}</span>
          </h3>
          <ul>
            {shares
              .filter(({ pileId }) => pileId === pile.id)
              .toSorted((a, b) => b.litres - a.litres)
              .map((share) => (
                <li key={share.bedId}>
                  <span className="share-amount figure">{measures.volume(share.litres)}</span>
                  <span className="soft"> ({loadsWords(share.litres, problem.carrier)})</span> to{' '}
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
