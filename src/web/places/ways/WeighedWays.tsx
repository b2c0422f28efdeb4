import { useQueries } from '@tanstack/react-query';
import { Button } from 'antd';
import { type ReactNode, useState } from 'react';
import {
  type AimWeights,
  aheadShare,
  type DrawnWay,
  type RankedWay,
  type Way,
  type WayOutcome,
  rankWays,
  spreadOfWay,
  TOLD_AFTER_YEARS,
} from '../../../core/long-run/index.ts';
import { lowered } from '../../../words/capitalized.ts';
import { counted } from '../../../words/counted.ts';
import { ageInWords } from '../../../words/dates.ts';
import { conflictInWords, waitInWords } from '../../../words/conflict-words.ts';
import { formatAtMost, formatFixed, formatPercent } from '../../../words/figures.ts';
import { limitInWords } from '../../../words/limit-words.ts';
import { cropName, materialName } from '../../../words/record-names.ts';
import {
  beatenWords,
  beyondWords,
  decidedWords,
  fromWhenWords,
  leftWords,
  likelyWords,
  stepWords,
  sureWords,
  toAddWords,
  wayTitle,
  type WayNames,
} from '../../../words/way-words.ts';
import { useAct, undoOf } from '../../api/acts.ts';
import { isSparing } from '../../app/sparing.ts';
import { useBooks, useMeasures } from '../../app/garden-context.ts';
import { useFailureNotice } from '../../app/use-failure-notice.tsx';
import { useUndo } from '../../app/use-undo.tsx';
import { wayDrawsQuery, wayQuery } from '../../worker/questions.ts';
import type { ProposedWays, WaysAsked } from '../../worker/ways-answers.ts';
import { actOfWay } from './way-act.ts';
import { SchoolsAtTable } from './SchoolsAtTable.tsx';
import { WayPicture } from './WayPicture.tsx';
import { ProofLink } from '../../ui/proof/ProofLink.tsx';

interface WeighedWaysProps {
  readonly asked: WaysAsked;
  readonly ways: ProposedWays['ways'];
  readonly today: number;
  readonly weights: AimWeights;
  readonly onPlanned: () => void;
}

/** What these ways come to as things may be, the first ones first, as far as that is worked out; nothing on a device that is spared. */
function useDraws(asked: WaysAsked, ways: readonly RankedWay[]): ReadonlyMap<string, DrawnWay[]> {
  const keys = isSparing() ? [] : ways.map(({ outcome }) => outcome.way.key);
  const answers = useQueries({ queries: keys.map((key, i) => wayDrawsQuery(asked, key, i)) });
  return new Map(
    answers.flatMap(({ data }, i): [string, DrawnWay[]][] => (data?.ok ? [[keys[i]!, data.result]] : [])),
  );
}

/** The bed or the pile a way is of, where several are compared. */
function useTitles({ asked: { bedId, from } }: WaysAsked): (way: Way) => string {
  const { beds, lots } = useBooks();
  return (way) => {
    if (way.key === way.code) return wayTitle(way.code, null);
    const [kind, id] = bedId === null ? [beds, way.bedId] : from === null ? [lots, way.lotId] : [[], ''];
    return wayTitle(way.code, kind.find((one) => one.id === id)?.name ?? id);
  };
}

/** All ways as they are weighed, one after the other: the best first. */
export function WeighedWays({ asked, ways, today, weights, onPlanned }: WeighedWaysProps) {
  const { materials } = useBooks();
  const titleOf = useTitles(asked);
  const titleOfKey = (key: string) => titleOf(ways.find((way) => way.key === key)!);
  const answers = useQueries({ queries: ways.map(({ key }, i) => wayQuery(asked, { key }, i)) });
  const outcomes = answers.flatMap(({ data }): WayOutcome[] => (data?.ok ? [data.result] : []));
  const failed = answers.flatMap(({ data }, i) =>
    data && !data.ok ? [{ way: ways[i]!, sentence: data.sentence }] : [],
  );
  const { ways: ranked, decided } = rankWays(outcomes, weights);
  const waiting = ways.length - outcomes.length - failed.length;
  const [isAllOpen, setAllOpen] = useState(false);
  const standing = ranked.filter(({ beatenBy }) => beatenBy === null);
  const beaten = ranked.filter((one): one is RankedWay & { beatenBy: string } => one.beatenBy !== null);
  const drawn = useDraws(asked, waiting > 0 ? [] : isAllOpen ? ranked : standing);
  const sure =
    decided === null
      ? null
      : aheadShare(drawn.get(decided.first) ?? [], drawn.get(decided.second) ?? [], decided.by);
  const card = (one: RankedWay) => {
    const { key } = one.outcome.way;
    const { materialId } = ways.find((way) => way.key === key)!;
    return (
      <WayCard
        key={key}
        title={titleOfKey(key)}
        ranked={one}
        draws={drawn.get(key)}
        today={today}
        together={asked.asked.bedId === null ? ', all beds' : ''}
        stuff={materialName(materialId, materials)}
        onPlanned={onPlanned}
      />
    );
  };
  return (
    <>
      <p role="status" className="ways-decided">
        {waiting > 0
          ? `Weighing ${counted(waiting, 'more way')} …`
          : decided
            ? `${decidedWords(decided, titleOfKey)} ${sureWords(sure)}`
            : aloneOrAlike(ways)}
      </p>
      {drawn.size > 0 && (
        <p className="soft">
          <ProofLink groups={['carbon', 'char', 'losses', 'lock-up']} bedId={asked.asked.bedId} />
        </p>
      )}
      <div className="ways-list">{standing.map(card)}</div>
      <SchoolsAtTable {...{ asked, ways, today, weights, titleOf }} />
      {failed.map(({ way, sentence }) => (
        <p key={way.key} className="soft">
          {titleOf(way)} could not be weighed: {sentence}
        </p>
      ))}
      {beaten.length > 0 && (
        <details
          className="ways-beaten"
          open={isAllOpen}
          onToggle={(event) => setAllOpen(event.currentTarget.open)}
        >
          <summary>
            {beaten.length === 1 ? 'One way' : `${beaten.length} ways`} that another beats in everything
          </summary>
          <ul>
            {beaten.map((one) => (
              <li key={one.outcome.way.key}>{beatenWords(one, titleOfKey)}</li>
            ))}
          </ul>
          <div className="ways-list">{beaten.map(card)}</div>
        </details>
      )}
    </>
  );
}

const aloneOrAlike = (ways: readonly Way[]): string =>
  ways.length === 1
    ? 'There is one sensible way.'
    : 'These ways come to nearly the same for what matters to you.';

interface WayCardProps {
  readonly title: string;
  readonly ranked: RankedWay;
  /** Undefined until they are there. */
  readonly draws: DrawnWay[] | undefined;
  readonly today: number;
  /** Ends the names of what is told of all beds that are compared. */
  readonly together: string;
  readonly stuff: string;
  readonly onPlanned: () => void;
}

function WayCard({ title, ranked: { outcome }, draws, today, together, stuff, onPlanned }: WayCardProps) {
  const books = useBooks();
  const measures = useMeasures();
  const { way } = outcome;
  const names: WayNames = {
    material: (id) => materialName(id, books.materials),
    bed: (id) => books.beds.find((bed) => bed.id === id)?.name ?? id,
    lot: (id) => books.lots.find((lot) => lot.id === id)?.name ?? null,
  };
  const left = leftWords(way, measures);
  return (
    <article className="way-card" aria-label={title}>
      <header>
        <WayPicture way={way} materials={books.materials} />
        <div>
          <h2>{title}</h2>
          <ol className="way-steps">
            {way.steps.map((step, i) => (
              <li key={i}>{stepWords(step, names, { measures, today })}</li>
            ))}
          </ol>
          {left !== '' && <p className="soft">{left}</p>}
        </div>
      </header>
      <Figures outcome={outcome} draws={draws} today={today} together={together} />
      <Against outcome={outcome} today={today} />
      <PlanIt title={title} way={way} stuff={stuff} onPlanned={onPlanned} />
    </article>
  );
}

function Figures({
  outcome,
  draws,
  today,
  together,
}: Pick<WayCardProps, 'draws' | 'today' | 'together'> & { readonly outcome: WayOutcome }) {
  const measures = useMeasures();
  const { garden } = useBooks();
  const { way, organicMatterPct, plantFrom, sowFrom, money } = outcome;
  const soilKg = outcome.humusKg + outcome.lastingCharKg;
  const spread = draws && spreadOfWay(draws);
  const lines: (readonly [name: string, figure: ReactNode])[] = [
    [`Quick nitrogen to add${together}`, toAddWords(outcome.nitrogenToAddG, measures)],
    [`Pale leaves${together}`, outcome.paleDays === 0 ? 'none' : ageInWords(outcome.paleDays)],
    [
      `Growth lost unfed${together}`,
      outcome.missedShare < 0.005 ? 'none' : formatPercent(outcome.missedShare),
    ],
    ['Young plants from', fromWhenWords(plantFrom, today)],
    ['Seeds from', fromWhenWords(sowFrom, today)],
    [
      `Organic matter after ${TOLD_AFTER_YEARS.join(', ')} years`,
      `${organicMatterPct.map((pct) => formatFixed(pct, 1)).join(', ')} %`,
    ],
    [
      'Carbon in humus and char after 20 years',
      ranged(
        beyondWords(soilKg, measures.mass, LEAST_KG),
        spread && likelyWords(spread.soilKg, measures.mass, LEAST_KG),
      ),
    ],
    [
      'Of it char that lasts',
      outcome.lastingCharKg < 0.01 ? 'none' : `${measures.mass(outcome.lastingCharKg)} carbon`,
    ],
    ['Water saved in a year', outcome.waterSavedL < 1 ? 'none' : measures.volume(outcome.waterSavedL)],
    [
      'Ground covered',
      outcome.coveredDays === 0 ? 'never' : `${ageInWords(outcome.coveredDays)} of the year`,
    ],
    [
      'Nitrogen lost',
      ranged(
        beyondWords(outcome.nitrogenLostG, measures.nitrogen, LEAST_G),
        spread && likelyWords(spread.lostG, measures.nitrogen, LEAST_G),
      ),
    ],
    ['Work', `${formatAtMost(way.hours, 1)} h, ${counted(way.trips, 'barrow')}`],
    ...(money === null || garden.prices === null ? [] : [['Costs', formatAtMost(money, 2)] as const]),
  ];
  return (
    <dl className="way-figures">
      {lines.map(([name, figure]) => (
        <div key={name}>
          <dt>{name}</dt>
          <dd>{figure}</dd>
        </div>
      ))}
    </dl>
  );
}

/** Less than this is none, kg and g. */
const LEAST_KG = 0.005;
const LEAST_G = 0.5;

/** A figure with its likely range beneath it, once that is known. */
const ranged = (figure: string, likely: string | null | undefined): ReactNode =>
  likely ? (
    <>
      {figure}
      <br />
      <span className="soft">{likely}</span>
    </>
  ) : (
    figure
  );

/** What speaks against a way: guide values, clashes, waits. */
function Against({
  outcome: { limits, conflicts, waits, way },
  today,
}: {
  readonly outcome: WayOutcome;
  readonly today: number;
}) {
  const books = useBooks();
  const measures = useMeasures();
  const materialOf = new Map(way.records.entries.map(({ id, materialId }) => [id, materialId]));
  const names = {
    entry: (id: string) => materialName(materialOf.get(id) ?? id, books.materials),
    planting: (id: string) => cropName(books.plantings.find((one) => one.id === id)?.cropId ?? id, books),
  };
  const [early, kept] = [
    waits.filter(({ isTooEarly }) => isTooEarly),
    waits.filter((one) => !one.isTooEarly),
  ];
  const against = [
    ...limits.map((limit) => limitInWords(limit, measures, today)),
    ...conflicts.map((conflict) => conflictInWords({ conflict, names, measures, today })),
    ...early.map((wait) => waitInWords(wait, names, today)),
  ];
  const toMind = kept.map((wait) => waitInWords(wait, names, today));
  return (
    <>
      <Sentences
        summary={`${against.length === 1 ? 'One thing speaks' : `${against.length} things speak`} against it`}
        sentences={against}
      />
      <Sentences
        summary={toMind.length === 1 ? 'One wait to keep' : `${toMind.length} waits to keep`}
        sentences={toMind}
      />
    </>
  );
}

function Sentences({ summary, sentences }: { readonly summary: string; readonly sentences: string[] }) {
  if (sentences.length === 0) return null;
  return (
    <details className="way-against">
      <summary>{summary}</summary>
      <ul>
        {sentences.map((sentence) => (
          <li key={sentence}>{sentence}</li>
        ))}
      </ul>
    </details>
  );
}

function PlanIt({
  title,
  way,
  stuff,
  onPlanned,
}: {
  readonly title: string;
  readonly way: Way;
  readonly stuff: string;
  readonly onPlanned: () => void;
}) {
  const books = useBooks();
  const act = useAct(books.garden.id);
  const offerUndo = useUndo();
  const showFailure = useFailureNotice();
  // The ways are weighed anew as soon as one is the plan, and this button with them: nothing may hang on it.
  const plan = async () => {
    try {
      const kept = await act.mutateAsync(actOfWay(way, `${stuff}, ${lowered(wayTitle(way.code, null))}`));
      onPlanned();
      offerUndo(`“${title}” is the plan; the calendar has its days.`, () =>
        act.mutateAsync(undoOf(kept, books)),
      );
    } catch (failure) {
      showFailure('It was not planned.', failure);
    }
  };
  return (
    <Button type="primary" loading={act.isPending} onClick={() => void plan()}>
      Make it the plan
    </Button>
  );
}
