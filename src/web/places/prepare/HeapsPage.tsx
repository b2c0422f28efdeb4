import { counted } from '../../../words/counted.ts';
import { useMeasures, useBooks } from '../../app/garden-context.ts';
import { Button } from 'antd';
import { useState } from 'react';
import { Link } from 'react-router';
import type { LotRecord } from '../../../records/lot.ts';
import type { DayNumber } from '../../../core/ground/index.ts';
import {
  HOT_FROM_C,
  HOT_RULES,
  type HeapLog,
  type HeapRipeness,
  type SignVerdict,
  heapLog,
} from '../../../core/yard/index.ts';
import { Pictured } from '../../drawing/Pictured.tsx';
import { HeapTemperature } from '../../charts/heap-temperature.tsx';
import { aboutWhen, ageInWords, dateNear, dayOf } from '../../../words/dates.ts';
import { formatPercent } from '../../../words/figures.ts';
import {
  powerWords,
  ratioFigure,
  readyWords,
  RIPENESS_SIGN_WORDS,
  SIGN_WORDS,
  STAGE_WORDS,
  tooHotWords,
  treatmentWords,
} from '../../../words/stock-words.ts';
import type { StockedLot } from '../../worker/stock-answers.ts';
import type { Act } from '../../ui/stock/act-form.ts';
import { LotActs } from '../../ui/stock/LotActs.tsx';
import { useStock } from '../../ui/stock/use-stock.ts';
import '../../ui/stock/stock.css';
import './prepare.css';
import { PageHeading } from '../../ui/heading/PageHeading.tsx';

interface Heap {
  readonly lot: LotRecord;
  readonly brief: StockedLot;
  readonly log: HeapLog;
}

/** Compost heaps with their log, chips being seasoned, leaves becoming mould. */
export function HeapsPage() {
  const books = useBooks();
  const measures = useMeasures();
  const today = dayOf(books.today);
  const { lots } = useStock(books);
  const heaps = lots.flatMap(({ lot, brief }): Heap[] =>
    brief?.now ? [{ lot, brief, log: heapLog(lot.id, books.movements) }] : [],
  );
  const isMade = ({ lot }: Heap) =>
    books.movements.some((one) => one.type === 'make' && one.lotId === lot.id && !one.chargeRecipe);
  const composts = heaps.filter((heap) => isMade(heap) || heap.log.readings.length > 0);
  const lying = heaps.filter((heap) => !composts.includes(heap) && heap.brief.needsSeasoning);
  const hrefOf = (lotId: string) => `/garden/${books.garden.id}/stock/${lotId}`;
  const isWorking = lots.some(({ brief }) => !brief);
  return (
    <div className="page">
      <header className="page-head">
        <div>
          <PageHeading>Heaps</PageHeading>
          <p className="soft">
            {isWorking
              ? 'Working out how they have rotted …'
              : `${composts.length} making compost, ${lying.length} left to season.`}
          </p>
        </div>
        <div className="actions">
          <Link to={`/garden/${books.garden.id}/prepare`}>
            <Button type={composts.length === 0 ? 'primary' : 'default'}>Mix a new heap</Button>
          </Link>
        </div>
      </header>
      {!isWorking && composts.length + lying.length === 0 && (
        <div className="empty">
          <h2>No heaps yet</h2>
          <p>
            Mix one on the bench, or receive a load of chips, leaves or manure in the stock: it is followed
            here until it is ready, with what your probe, nose and hand say of it.
          </p>
        </div>
      )}
      {composts.map((heap) => (
        <CompostHeap key={heap.lot.id} heap={heap} today={today} href={hrefOf(heap.lot.id)} />
      ))}
      {lying.length > 0 && (
        <>
          <div className="section-head">
            <h2>Left to season, and leaves on their way to mould</h2>
          </div>
          <table className="ledger lot-rows">
            <thead>
              <tr>
                <th>pile</th>
                <th>how it lies</th>
                <th>age</th>
                <th>C:N</th>
                <th>moisture</th>
                <th>still recognizable</th>
                <th>dug in now</th>
                <th>according to the model</th>
              </tr>
            </thead>
            <tbody>
              {lying.map(({ lot, brief }) => (
                <tr key={lot.id}>
                  <td>
                    <Link className="bed-name" to={hrefOf(lot.id)}>
                      {lot.name}
                    </Link>
                  </td>
                  <td className="words">{treatmentWords(lot)}</td>
                  <td data-name="age">
                    {brief.openedOn === null ? '—' : ageInWords(today - brief.openedOn)}
                  </td>
                  <td data-name="C:N">{ratioFigure(brief.now!.carbonToNitrogen)}</td>
                  <td data-name="moisture">{formatPercent(brief.now!.moistureFractionWetBasis)}</td>
                  <td data-name="still recognizable">{formatPercent(brief.now!.recognizableShare)}</td>
                  <td className="words">{brief.power ? powerWords(brief.power, measures) : ''}</td>
                  <td className="words">{readyWords(brief, today)}</td>
                </tr>
              ))}
            </tbody>
          </table>
          <p className="soft estimate">
            Seasoned means here: dug in, it would hold half as much nitrogen as when it came. The trade says a
            season at least, better twelve months; leaves take one or two years to mould. Fresh chips are fine
            on paths and round trees.
          </p>
        </>
      )}
    </div>
  );
}

const VERDICT_WORDS: Record<SignVerdict, string> = {
  none: 'No signs noted yet.',
  sour: 'It smelt bad when you last looked: turn it, mix in something coarse and dry.',
  ripening: 'Some signs of ripeness, not all.',
  ripe: 'By nose, hand and eye it is ripe.',
};

/** What makes compost of a heap, met and unmet. */
function RipenessSigns({ signs }: Pick<HeapRipeness, 'signs'>) {
  const told = (met: boolean) =>
    signs
      .filter(({ isMet }) => isMet === met)
      .map(({ sign }) => RIPENESS_SIGN_WORDS[sign][met ? 'met' : 'unmet'])
      .join('; ');
  const missing = told(false);
  return (
    <span className="soft">
      {' '}
      {told(true) !== '' && `There already: ${told(true)}. `}
      {missing === '' ? 'Nothing is missing.' : `Still missing: ${missing}.`}
    </span>
  );
}

interface CompostHeapProps {
  readonly heap: Heap;
  readonly today: DayNumber;
  readonly href: string;
}

function CompostHeap({ heap: { lot, brief, log }, today, href }: CompostHeapProps) {
  const measures = useMeasures();
  const [act, setAct] = useState<Act | null>(null);
  const now = brief.now!;
  const buttons: readonly (readonly [Act, string])[] = [
    ['reading', 'Log the temperature'],
    ['turn', 'Turned it'],
    ['water', 'Watered it'],
    ['sign', 'Looked and smelt'],
  ];
  return (
    <section className="heap" aria-label={lot.name}>
      <div className="section-head">
        <h2>
          <Link className="bed-name" to={href}>
            {lot.name}
          </Link>
        </h2>
        <span className="tool-result">
          {buttons.map(([value, words]) => (
            <Button key={value} size="small" onClick={() => setAct(value)}>
              {words}
            </Button>
          ))}
        </span>
      </div>
      {act !== null && <LotActs key={act} lot={lot} first={act} onClose={() => setAct(null)} />}
      <div className="two-columns">
        <div>
          {log.readings.length + brief.predictedWarmth.length > 0 && (
            <Pictured title="temperatures of a heap">
              <HeapTemperature
                readings={log.readings}
                predicted={brief.predictedWarmth}
                turnings={log.turnings}
                today={today}
                format={measures.warmth}
              />
            </Pictured>
          )}
          <p className="soft">
            {brief.predictedWarmth.length > 0 &&
              'The broken line is what the model expects of a heap said to be hot. '}
            {log.readings.length === 0
              ? 'No temperatures yet. Put a probe into the middle and log what it says.'
              : 'Where a probe was read, its temperature is used.'}
          </p>
        </div>
        <ul className="plain-list">
          <li>
            {brief.openedOn !== null && `${ageInWords(today - brief.openedOn)} old, `}
            {measures.volume(now.volumeL)}, C:N {ratioFigure(now.carbonToNitrogen)},{' '}
            {formatPercent(now.moistureFractionWetBasis)} water, {formatPercent(now.recognizableShare)} still
            recognizable.
          </li>
          {log.hot.isTooHot && (
            <li className="status-stop" role="status">
              {tooHotWords(measures)}
            </li>
          )}
          <li>
            <strong>By the model:</strong> {brief.heap && `${STAGE_WORDS[brief.heap.stage]} `}
            {brief.finishedOn === null
              ? 'Not finished within two years as it lies; turning, water or more greens would hasten it.'
              : brief.finishedOn > today && `Compost ${aboutWhen(brief.finishedOn, today)}.`}
            {brief.heap && <RipenessSigns signs={brief.heap.signs} />}
          </li>
          <li>
            <strong>By the signs:</strong> {VERDICT_WORDS[log.verdict]}{' '}
            {log.signs.length > 0 && (
              <span className="soft">
                {log.signs
                  .slice(0, 4)
                  .map(({ sign, day }) => `${SIGN_WORDS[sign]} (${dateNear(day, today)})`)
                  .join(', ')}
              </span>
            )}
          </li>
          <li>
            <HotWords log={log} />
          </li>
          <li className="soft">
            Turned {counted(log.turnings.length, 'time')}, watered {log.waterings.length}. Damp it down before
            turning: dry compost dust can carry mold and Legionella. No face over it, wash hands.
          </li>
        </ul>
      </div>
    </section>
  );
}

function HotWords({ log: { hot, readings } }: { log: HeapLog }) {
  const measures = useMeasures();
  const line = measures.warmth(HOT_FROM_C);
  if (readings.length === 0)
    return <span className="soft">Whether it got hot enough cannot be told without a probe.</span>;
  const { vessel, windrow } = HOT_RULES;
  return (
    <>
      <strong>
        {counted(hot.hotDays, 'day')} at {line} or more
      </strong>
      {hot.hottestC !== null && `, ${measures.warmth(hot.hottestC)} at most`}, turned {hot.turningsWhileHot}{' '}
      times meanwhile. The commonly cited rule (US EPA 40 CFR 503, 7 CFR 205.203) asks for {vessel.days} days
      in a vessel
      {hot.meetsVessel ? ' (met, were it one)' : ''}, or {windrow.days} days with {windrow.turnings} turnings
      in a heap that is turned ({hot.meetsWindrow ? 'met' : 'not met'}). Local rules decide.
    </>
  );
}
