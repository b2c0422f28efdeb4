import { useMeasures, useBooks } from '../../app/garden-context.ts';
import { Button } from 'antd';
import { useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { lotFields, type LotRecord } from '../../../records/lot.ts';
import type { DayNumber } from '../../../core/ground/index.ts';
import { mayTakeFire } from '../../../core/yard/index.ts';
import { useChangeLot, useRemoveLot, useRestoreLot } from '../../api/stock.ts';
import { Pictured } from '../../drawing/Pictured.tsx';
import { LotCourseChart } from '../../charts/lot-course.tsx';
import { TextField } from '../../ui/forms/inputs.tsx';
import { askedOf } from '../../ui/forms/asked-of.ts';
import { QuantityField, useReader } from '../../ui/forms/QuantityField.tsx';
import { quantityTrouble } from '../../ui/forms/troubles.ts';
import { useRecordForm } from '../../ui/forms/use-record-form.ts';
import { readQuantity, typedFrom } from '../../ui/forms/typed-quantity.ts';
import { ageInWords, aboutWhen, dateNear, dayOf } from '../../../words/dates.ts';
import { formatFixed, formatPercent, plainFigure } from '../../../words/figures.ts';
import {
  FIRE_CAUTION,
  LOT_FORM_WORDS,
  LOCK_UNITS,
  lockFigure,
  powerWords,
  ratioFigure,
  readyWords,
  treatmentWords,
  whatWords,
} from '../../../words/stock-words.ts';
import { COLORS } from '../../theme/tokens.ts';
import type { LotAnswer, StockedLot } from '../../worker/stock-answers.ts';
import { useUndo } from '../../app/use-undo.tsx';
import { LotAccount } from './LotAccount.tsx';
import { LotActs } from '../../ui/stock/LotActs.tsx';
import { PlannedPostings } from '../../ui/stock/PlannedPostings.tsx';
import { LotTimeline } from './LotTimeline.tsx';
import { useLot, useStock } from '../../ui/stock/use-stock.ts';
import '../../ui/stock/stock.css';
import { PageHeading } from '../../ui/heading/PageHeading.tsx';
import { useSameName } from '../../ui/forms/use-same-name.ts';

/** One lot: what it is, how it has moved and will, and its account. */
export function LotPage() {
  const books = useBooks();
  const { lotId = '' } = useParams();
  const lot = books.lots.find(({ id }) => id === lotId);
  if (!lot) {
    return (
      <div className="page empty">
        <PageHeading>No such pile</PageHeading>
        <p>It may have been removed.</p>
        <Link to={`/garden/${books.garden.id}/stock`}>Back to the stock</Link>
      </div>
    );
  }
  return <OpenLot key={lot.id} lot={lot} />;
}

/** What lies below would move under the finger when the age comes. */
const ROOM_FOR_AGE = (
  <span aria-hidden style={{ visibility: 'hidden' }}>
    {' '}
    · 10 months old
  </span>
);

function OpenLot({ lot }: { lot: LotRecord }) {
  const books = useBooks();
  const navigate = useNavigate();
  const [open, setOpen] = useState<'act' | 'change' | null>(null);
  const today = dayOf(books.today);
  const { lots } = useStock(books);
  const brief = lots.find((one) => one.lot.id === lot.id)?.brief;
  const answer = useLot(books, lot.id);
  const close = () => setOpen(null);
  const ready = brief ? readyWords(brief, today) : '';
  return (
    <div className="page">
      <header className="page-head">
        <div>
          <PageHeading>{lot.name}</PageHeading>
          <p className="soft">
            <Link to={`/garden/${books.garden.id}/stock`}>Stock</Link> · {LOT_FORM_WORDS[lot.form]},{' '}
            {treatmentWords(lot)}
            {!brief && ROOM_FOR_AGE}
            {brief?.openedOn != null && ` · ${ageInWords(today - brief.openedOn)} old`}
            {lot.note !== '' && <span translate="no"> · {lot.note}</span>}
          </p>
        </div>
        <div className="actions">
          <Button
            type="text"
            onClick={() => void navigate(`/garden/${books.garden.id}/ways?pile=${lot.id}&bed=any`)}
          >
            Which way to use it?
          </Button>
          <Button type="text" onClick={() => setOpen('change')}>
            Rename, reserve
          </Button>
          <Button type="primary" onClick={() => setOpen('act')}>
            Do or measure something
          </Button>
        </div>
      </header>
      {open === 'act' && <LotActs lot={lot} onClose={close} />}
      {open === 'change' && <ChangeLot lot={lot} gardenId={books.garden.id} onClose={close} />}
      {brief?.now ? (
        <Figures brief={brief} ready={ready} />
      ) : (
        <p className="soft">{brief ? 'There is nothing in it today.' : 'Working it out …'}</p>
      )}
      <FireCaution brief={brief} />
      {answer && answer.course.openedOn !== null && <Courses answer={answer} brief={brief} today={today} />}
      {answer && brief && <LotTimeline points={answer.timeline} brief={brief} />}
      {brief && brief.promises.promised.length > 0 && <Promised brief={brief} reserveL={lot.reserveL} />}
      <PlannedPostings lotId={lot.id} />
      <div className="section-head">
        <h2>Account</h2>
      </div>
      {answer && answer.account.length > 0 ? (
        <LotAccount lotId={lot.id} lines={answer.account} balanceError={answer.course.balanceError} />
      ) : (
        <p className="soft">Nothing has come into it or gone out of it yet.</p>
      )}
    </div>
  );
}

function FireCaution({ brief }: { brief: StockedLot | undefined }) {
  if (!brief?.now || !mayTakeFire(brief.kind, brief.now.volumeL)) return null;
  return (
    <p className="cautions" role="status">
      {FIRE_CAUTION}
    </p>
  );
}

interface CoursesProps {
  readonly answer: LotAnswer;
  readonly brief: StockedLot | undefined;
  readonly today: DayNumber;
}

/** How it has moved, and will. */
function Courses({ answer, brief, today }: CoursesProps) {
  const measures = useMeasures();
  const seasonedOn = brief?.seasonedOn ?? undefined;
  return (
    <div className="courses">
      <Pictured title="Carbon to nitrogen of a pile">
        <LotCourseChart
          title="C:N"
          points={answer.course.course.flatMap(({ day, figures }) =>
            figures.carbonToNitrogen ? [{ day, value: figures.carbonToNitrogen }] : [],
          )}
          today={today}
          color={COLORS.carbon}
          format={(value) => plainFigure(value, 2)}
        />
      </Pictured>
      <Pictured title="Volume of a pile">
        <LotCourseChart
          title={`Volume with plans carried out, ${measures.volumeUnit}`}
          points={answer.planned.course.map(({ day, figures }) => ({
            day,
            value: measures.volumeFigure(figures.volumeL),
          }))}
          today={today}
          color={COLORS.ink}
          format={(value) => formatFixed(value, 0)}
        />
      </Pictured>
      <Pictured title="Nitrogen a pile would lock up">
        <LotCourseChart
          title={`Nitrogen it would lock up, ${LOCK_UNITS[measures.system]}${seasonedOn === undefined ? '' : ` · seasoned ${aboutWhen(seasonedOn, today)}`}`}
          points={answer.course.power.map(({ day, peakLockGPerKgDry }) => ({
            day,
            value: lockFigure(peakLockGPerKgDry, measures),
          }))}
          today={today}
          color={COLORS.stop}
          format={(value) => plainFigure(value, 2)}
          mark={seasonedOn}
        />
      </Pictured>
    </div>
  );
}

function Figures({ brief, ready }: { brief: StockedLot; ready: string }) {
  const measures = useMeasures();
  const now = brief.now!;
  const figures: [string, string][] = [
    ['what', `${brief.what ? whatWords(brief.what) : ''}${ready === '' ? '' : `, ${ready}`}`],
    ['in stock', `${measures.volume(now.volumeL)} · ${measures.barrows(now.volumeL)}`],
    ['weighs', measures.mass(now.freshKg)],
    ['C:N', ratioFigure(now.carbonToNitrogen)],
    [
      'nitrogen',
      `${measures.nitrogen(now.nitrogenG)}, ${plainFigure(now.nitrogenFractionDryBasis * 100, 2)} % of dry`,
    ],
    ['readily available N', measures.nitrogen(now.mineralNitrogenG)],
    ['moisture', formatPercent(now.moistureFractionWetBasis)],
    ['bulk density', measures.density(now.bulkDensityKgPerM3)],
    ['inside', brief.warmthC === null ? '—' : measures.warmth(brief.warmthC)],
    ['still recognizable', formatPercent(now.recognizableShare)],
    ['dug in, it', brief.power ? powerWords(brief.power, measures) : '—'],
    ['P and K', `${measures.nitrogen(now.phosphorusG)} and ${measures.nitrogen(now.potassiumG)}`],
    ...(now.charCarbonKg > 0.05
      ? ([
          ['char carbon', measures.mass(now.charCarbonKg)],
          ['N on char', measures.nitrogen(now.charHeldNitrogenG)],
        ] as [string, string][])
      : []),
  ];
  return (
    <dl className="figures-row">
      {figures.map(([name, value]) => (
        <div key={name}>
          <dt>{name}</dt>
          <dd>{value}</dd>
        </div>
      ))}
    </dl>
  );
}

interface PromisedProps {
  readonly brief: StockedLot;
  readonly reserveL: number;
}

/** What is meant to be taken, against what will be there. */
function Promised({ brief, reserveL }: PromisedProps) {
  const books = useBooks();
  const measures = useMeasures();
  const today = dayOf(books.today);
  const { promised, promisedL, freeL, nextArrival } = brief.promises;
  const target = (cause: (typeof promised)[number]['cause']) => {
    if (cause.type === 'bed') return books.beds.find(({ id }) => id === cause.bedId)?.name ?? 'a bed';
    const movement =
      cause.type === 'movement' ? books.movements.find(({ id }) => id === cause.movementId) : undefined;
    const lotId = movement?.type === 'move' ? movement.toLotId : movement?.lotId;
    return books.lots.find(({ id }) => id === lotId)?.name ?? 'elsewhere';
  };
  return (
    <section aria-label="Reserved">
      <div className="section-head">
        <h2>Reserved</h2>
        <span className="soft">
          {measures.volume(promisedL)} reserved,{' '}
          {reserveL > 0 ? `${measures.volume(reserveL)} kept back, ` : ''}
          {measures.volume(freeL)} available
          {nextArrival === null
            ? '; no delivery is planned'
            : ` until the delivery of ${dateNear(nextArrival, today)}`}
        </span>
      </div>
      <ul className="plain-list">
        {promised.map(({ day, cause, litres, missingL }) => (
          <li key={`${day} ${JSON.stringify(cause)}`}>
            {dateNear(day, today)}: {measures.volume(litres)} ({measures.barrows(litres)}) to {target(cause)}
            {missingL > 0 && (
              <span className="status-stop"> · {measures.volume(missingL)} will not be there</span>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}

const RESERVE = askedOf(lotFields.reserveL, 'volume');

function ChangeLot({ lot, gardenId, onClose }: { lot: LotRecord; gardenId: string; onClose: () => void }) {
  const reader = useReader();
  const { fields, set, submitWith, forget } = useRecordForm(() => ({
    name: lot.name,
    reserve: typedFrom(lot.reserveL, 'volume', reader),
    note: lot.note,
  }));
  const { name, reserve, note } = fields;
  const kept = readQuantity(reserve, RESERVE, reader);
  const sameName = useSameName('lots', name, lot.id);
  const change = useChangeLot();
  const remove = useRemoveLot();
  const restore = useRestoreLot();
  const offerUndo = useUndo();
  const navigate = useNavigate();
  const { id, form, keeping, isTurned, isHot } = lot;
  // The pile as it was when the form was opened, whatever another window writes.
  const [version] = useState(lot.version);
  const failure = change.error ?? remove.error;
  return (
    <form
      className="band"
      aria-label="Edit the pile"
      onSubmit={submitWith(() => {
        if (!kept.ok || kept.value === null) return;
        change.mutate(
          {
            lotId: id,
            change: {
              version,
              name,
              form,
              keeping,
              isTurned,
              isHot,
              reserveL: kept.value,
              note,
            },
          },
          { onSuccess: onClose },
        );
      })}
    >
      <div className="band-fields">
        <TextField
          name="Name"
          isNumber={false}
          value={name}
          onChange={(next) => set({ name: next })}
          hint={sameName}
          width={260}
          autoFocus
        />
        <QuantityField
          name="Keep back"
          quantity="volume"
          value={reserve}
          onChange={(next) => set({ reserve: next })}
          trouble={quantityTrouble(kept, 'reserveL')}
          hint="you are warned before it is touched"
          width={120}
        />
        <TextField
          name="Note"
          isNumber={false}
          value={note}
          onChange={(next) => set({ note: next })}
          width={260}
        />
      </div>
      <div className="band-foot">
        <Button type="primary" htmlType="submit" loading={change.isPending}>
          Save the change
        </Button>
        <Button onClick={onClose}>Cancel</Button>
        <Button
          danger
          type="text"
          onClick={() =>
            remove.mutate(lot, {
              onSuccess: () => {
                forget();
                offerUndo(`${lot.name} is deleted.`, () => restore.mutateAsync(id));
                void navigate(`/garden/${gardenId}/stock`);
              },
            })
          }
        >
          Remove it with its account
        </Button>
        {failure && (
          <span className="field-trouble" role="alert">
            {failure.message}
          </span>
        )}
      </div>
    </form>
  );
}
