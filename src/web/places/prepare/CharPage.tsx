import { useMeasures, useBooks } from '../../app/garden-context.ts';
import { useQuery } from '@tanstack/react-query';
import { Button } from 'antd';
import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import type { DayNumber } from '../../../core/ground/index.ts';
import { type BurnResult, isFoundCold, isRawChar, lastingCarbon } from '../../../core/yard/index.ts';
import { dateNear, dayOf } from '../../../words/dates.ts';
import {
  CHARGE_WORDS,
  CHAR_DUST,
  FINENESS_WORDS,
  METHOD_WORDS,
  yieldWords,
} from '../../../words/char-words.ts';
import { burnsQuery, questionAboutStock } from '../../worker/questions.ts';
import { useStock, type ListedLot } from '../../ui/stock/use-stock.ts';
import { BurnBand } from './BurnBand.tsx';
import type { BurnRecord } from './burn-form.ts';
import { CharDoses } from './CharDoses.tsx';
import { ChargeBand } from './ChargeBand.tsx';
import { CrushBand } from './CrushBand.tsx';
import '../../ui/stock/stock.css';
import './prepare.css';
import type { Measures } from '../../../words/measures.ts';
import type { StockedLot } from '../../worker/stock-answers.ts';
import { HydrogenTool } from './HydrogenTool.tsx';
import { PageHeading } from '../../ui/heading/PageHeading.tsx';

type Open =
  | { readonly what: 'burn'; readonly burn: BurnRecord | null }
  | { readonly what: 'crush' | 'charge'; readonly lotId: string };

const MIN_CHAR_KG = 0.1;

/** Burn, quench, crush, charge: from wood to char a bed can do with. */
export function CharPage() {
  const books = useBooks();
  const [open, setOpen] = useState<Open | null>(null);
  const today = dayOf(books.today);
  const { lots } = useStock(books);
  const question = useMemo(() => questionAboutStock(books, books.today), [books]);
  const { data: burnt } = useQuery(burnsQuery(question));
  const burns = books.movements.filter((one): one is BurnRecord => one.type === 'burn');
  const chars = lots.filter(({ brief }) => (brief?.now?.charCarbonKg ?? 0) > MIN_CHAR_KG);
  const close = () => setOpen(null);
  return (
    <div className="page">
      <header className="page-head">
        <div>
          <PageHeading>Char yard</PageHeading>
          <p className="soft">{CHAR_DUST}</p>
        </div>
        <div className="actions">
          <Button type="primary" onClick={() => setOpen({ what: 'burn', burn: null })}>
            Record a burn
          </Button>
        </div>
      </header>
      {open?.what === 'burn' && <BurnBand key={open.burn?.id ?? 'new'} burn={open.burn} onClose={close} />}
      {open?.what === 'crush' && <CrushBand lotId={open.lotId} onClose={close} />}
      {open?.what === 'charge' && (
        <ChargeBand
          key={open.lotId}
          lotId={open.lotId}
          thereL={chars.find(({ lot }) => lot.id === open.lotId)?.brief?.now?.volumeL ?? 0}
          onClose={close}
        />
      )}
      {burns.length === 0 && chars.length === 0 && open === null && (
        <div className="empty">
          <h2>No char yet</h2>
          <p>
            Record a burn: the wood, the way, each step with a clock, the quench, the cold check next day, and
            what came out of it. Char you bought is received in the stock.
          </p>
        </div>
      )}
      {burns.length > 0 && (
        <section aria-label="Burns">
          <div className="section-head">
            <h2>Burns</h2>
          </div>
          <ul className="plain-list burns">
            {burns.toReversed().map((burn) => (
              <Burn
                key={burn.id}
                burn={burn}
                result={burnt?.ok ? burnt.result[burn.id] : undefined}
                today={today}
                onOpen={() => setOpen({ what: 'burn', burn })}
              />
            ))}
          </ul>
        </section>
      )}
      {chars.length > 0 && <CharLots chars={chars} today={today} onOpen={setOpen} />}
      <HydrogenTool />
      <CharDoses beds={books.beds} />
    </div>
  );
}

interface BurnProps {
  readonly burn: BurnRecord;
  readonly result: BurnResult | undefined;
  readonly today: DayNumber;
  readonly onOpen: () => void;
}

function Burn({ burn, result, today, onOpen }: BurnProps) {
  const measures = useMeasures();
  const { log } = burn;
  const isMeasured = burn.yield !== null;
  const cold = log.coldCheckedOn;
  return (
    <li>
      <strong>
        {dateNear(dayOf(burn.date), today)}, {METHOD_WORDS[log.method].name.toLowerCase()}
      </strong>
      {result && !isMeasured && `: ${measures.mass(result.dryWoodKg)} of dry wood, not measured yet.`}
      {result && isMeasured && `: ${yieldWords(log.method, result, measures)}`}{' '}
      {cold === null || !isFoundCold(burn.date, cold) ? (
        <span className="status-stop">▲ the cold check of the day after is missing</span>
      ) : (
        `Cold on ${dateNear(dayOf(cold), today)}.`
      )}
      {!log.isMagnetPassed && ' No magnet yet.'}{' '}
      <Button size="small" onClick={onOpen}>
        {isMeasured ? 'Open' : 'Go on'}
      </Button>
      {result && isMeasured && <LastingWords burn={burn} result={result} />}
    </li>
  );
}

function LastingWords({ burn, result }: Pick<BurnProps, 'burn'> & { result: BurnResult }) {
  const measures = useMeasures();
  const { lastingKg, co2Kg, carbonKg } = lastingCarbon(result.charCarbonKg, burn.charTemperature);
  return (
    <p className="soft">
      {measures.mass(carbonKg)} of carbon, of which {measures.mass(lastingKg[1])} (
      {measures.mass(lastingKg[0])} to {measures.mass(lastingKg[2])}) outlasts a century by the factors of
      IPCC 2019: {measures.mass(co2Kg[1])} of carbon dioxide ({measures.mass(co2Kg[0])} to{' '}
      {measures.mass(co2Kg[2])}) not in the air. It leaves out smoke and methane of the fire, and what else
      would have become of the wood; it is no credit.
    </p>
  );
}

/** By the class it was fired in; a bought char is taken for what the library says of it. */
function lastingRange({ now, material }: StockedLot, measures: Measures): string {
  const { lastingKg } = lastingCarbon(now!.charCarbonKg, material!.charTemperature);
  return `${measures.mass(lastingKg[0])} to ${measures.mass(lastingKg[2])}`;
}

interface CharLotsProps {
  readonly chars: readonly ListedLot[];
  readonly today: DayNumber;
  readonly onOpen: (open: Open) => void;
}

function CharLots({ chars, today, onOpen }: CharLotsProps) {
  const books = useBooks();
  const measures = useMeasures();
  return (
    <section aria-label="Char in stock">
      <div className="section-head">
        <h2>Char in stock</h2>
      </div>
      <table className="ledger lot-rows">
        <thead>
          <tr>
            <th>pile</th>
            <th>how far it is</th>
            <th>in stock</th>
            <th>char carbon</th>
            <th>of it, after 100 years</th>
            <th>N on it</th>
            <th>living</th>
            <th>fed</th>
            <th aria-label="do" />
          </tr>
        </thead>
        <tbody>
          {chars.map(({ lot, brief }) => {
            const now = brief!.now!;
            const crushed = books.movements.findLast((one) => one.type === 'crush' && one.lotId === lot.id);
            const made = books.movements.findLast(
              (one) => one.type === 'make' && one.lotId === lot.id && one.chargeRecipe,
            );
            const recipe = made?.type === 'make' ? made.chargeRecipe : null;
            const readyOn = made?.type === 'make' && made.readyOn !== null ? dayOf(made.readyOn) : null;
            const isRaw = isRawChar(now);
            return (
              <tr key={lot.id}>
                <td>
                  <Link className="bed-name" to={`/garden/${books.garden.id}/stock/${lot.id}`}>
                    {lot.name}
                  </Link>
                </td>
                <td className="words">
                  {recipe
                    ? `${CHARGE_WORDS[recipe].name.toLowerCase()}${readyOn === null ? '' : readyOn <= today ? ', ready' : `, ready ${dateNear(readyOn, today)}`}`
                    : isRaw
                      ? 'raw: on a bed it would lock up nitrogen first'
                      : 'not charged by a recipe'}
                  {crushed?.type === 'crush' && `, ${FINENESS_WORDS[crushed.fineness]}`}
                </td>
                <td data-name="in stock">{measures.volume(now.volumeL)}</td>
                <td data-name="char carbon">{measures.mass(now.charCarbonKg)}</td>
                <td data-name="of it, after 100 years">{lastingRange(brief!, measures)}</td>
                <td data-name="N on it">{measures.nitrogen(now.charHeldNitrogenG)}</td>
                <td data-name="living">{recipe && recipe !== 'nitrogenSoak' ? '✓ yes' : 'no'}</td>
                <td data-name="fed">{isRaw ? 'no' : '✓ yes'}</td>
                <td>
                  <Button size="small" onClick={() => onOpen({ what: 'crush', lotId: lot.id })}>
                    Crush
                  </Button>{' '}
                  <Button size="small" onClick={() => onOpen({ what: 'charge', lotId: lot.id })}>
                    Charge
                  </Button>
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </section>
  );
}
