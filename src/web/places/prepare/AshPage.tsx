import { useMeasures, useBooks } from '../../app/garden-context.ts';
import { Button, Checkbox } from 'antd';
import { useQuery } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import type { BedRecord } from '../../../records/bed.ts';
import {
  ASH_KG_PER_M3,
  ASH_RECIPES,
  ASH_YEARLY_CAP_G_PER_M2,
  type AshCondition,
  type AshGate,
  type AshUse,
  ashEffect,
  ashGate,
  ashVolumeL,
  ratePerM2,
  weighedAshG,
} from '../../../core/yard/index.ts';
import { materialFinder } from '../../../core/bed/index.ts';
import { sentencesOf } from '../../api/failures.ts';
import { useRemoveEntry, useWriteEntry } from '../../api/gardens.ts';
import { DateField } from '../../ui/forms/DateField.tsx';
import { Choice } from '../../ui/forms/inputs.tsx';
import { QuantityField, useReader } from '../../ui/forms/QuantityField.tsx';
import { quantityTrouble } from '../../ui/forms/troubles.ts';
import { useRecordForm } from '../../ui/forms/use-record-form.ts';
import {
  figureOf,
  readQuantity,
  typedFrom,
  type QuantityAsked,
  type TypedQuantity,
} from '../../ui/forms/typed-quantity.ts';
import { ASH_CAUTION, ASH_RECIPE_WORDS, ashRateWords, ashReasonWords } from '../../../words/ash-words.ts';
import { dateNear, dayOf } from '../../../words/dates.ts';
import { formatFixed, plainFigure } from '../../../words/figures.ts';
import { useUndo } from '../../app/use-undo.tsx';
import { otherTroubles } from '../../ui/stock/use-stock-post.ts';
import { ashTakenQuery, questionAboutStock } from '../../worker/questions.ts';
import { useStock, type ListedLot } from '../../ui/stock/use-stock.ts';
import '../../ui/stock/stock.css';
import './prepare.css';
import { AshIntoMixes } from './AshIntoMixes.tsx';
import { ashPiles } from './ash-mix.ts';
import { PageHeading } from '../../ui/heading/PageHeading.tsx';

const USES: readonly (readonly [AshUse, string])[] = [
  ['bed', 'On a bed'],
  ['compost', 'Into compost'],
  ['topsoil', 'Into topsoil'],
  ['pots', 'Into potting mix'],
];

const NONE_TAKEN = {};

/** Every recipe for ash in one unit, under one cap for each bed, and what stops it. */
export function AshPage() {
  const books = useBooks();
  const [bedId, setBedId] = useState(books.beds[0]?.id ?? '');
  const [date, setDate] = useState(books.today);
  const [condition, setCondition] = useState<AshCondition>({
    isSieved: true,
    isDamp: false,
    isSooty: false,
    isCleanWood: true,
  });
  const { lots } = useStock(books);
  const question = useMemo(() => questionAboutStock(books, books.today), [books]);
  const { data: taken } = useQuery(ashTakenQuery(question));
  const takenG = taken?.ok ? taken.result : NONE_TAKEN;
  const bed = books.beds.find(({ id }) => id === bedId);
  const tick = (field: keyof AshCondition, words: string) => (
    <Checkbox
      checked={condition[field]}
      onChange={(event) => setCondition({ ...condition, [field]: event.target.checked })}
    >
      {words}
    </Checkbox>
  );
  return (
    <div className="page">
      <header className="page-head">
        <div>
          <PageHeading>Wood ash</PageHeading>
          <p className="soft">Lime and potassium, no nitrogen. {ASH_CAUTION}</p>
        </div>
      </header>
      <div className="two-columns">
        <section aria-label="On a bed">
          {books.beds.length === 0 ? (
            <p className="soft">Make a bed first; then it can be weighed whether ash may go on it.</p>
          ) : (
            <div className="band-fields">
              <Choice
                name="Bed"
                value={bedId}
                onChange={setBedId}
                options={books.beds.map(({ id, name }) => ({ value: id, label: name }))}
              />
              <DateField name="On" value={date} onChange={setDate} />
              <div className="field">
                <span className="field-name">The ash is</span>
                <span className="tool-result">
                  {tick('isCleanWood', 'of clean wood only')}
                  {tick('isSieved', 'sieved')}
                  {tick('isDamp', 'damp')}
                  {tick('isSooty', 'sooty')}
                </span>
              </div>
            </div>
          )}
          {bed && /^\d{4}-\d\d-\d\d$/.test(date) && (
            <BedAsh key={bed.id} {...{ bed, date, condition, lots, takenG }} />
          )}
          <AshIntoMixes lots={lots} condition={condition} />
        </section>
        <Recipes />
      </div>
    </div>
  );
}

const ASH_RATE: QuantityAsked = { quantity: 'massPerArea', above: 0, max: 10_000 };

interface BedAshProps {
  readonly bed: BedRecord;
  readonly date: string;
  readonly condition: AshCondition;
  readonly lots: readonly ListedLot[];
  /** Ash in what the stock gave for entries, g by entry. */
  readonly takenG: Readonly<Record<string, number>>;
}

function BedAsh({ bed, date, condition, lots, takenG }: BedAshProps) {
  const books = useBooks();
  const measures = useMeasures();
  const today = dayOf(books.today);
  const gate = ashGate(
    {
      bed,
      entries: books.entries.filter((entry) => entry.bedId === bed.id),
      plantings: books.plantings.filter((planting) => planting.bedId === bed.id),
      climate: books.garden.climate,
      day: dayOf(date),
      condition,
      takenG,
    },
    materialFinder(books),
  );
  return (
    <>
      <div className="outcome-head ash-verdict">
        {gate.isOpen ? (
          <span className="figure outcome-ratio">{measures.areaMass(gate.leftGPerM2)} at most</span>
        ) : (
          <span className="figure outcome-ratio status-stop">▲ No ash here</span>
        )}
        <span className="soft">
          {gate.ph === null
            ? 'pH unknown'
            : `pH ${formatFixed(gate.ph.value, 1)}${gate.ph.day === null ? '' : `, tested ${dateNear(gate.ph.day, today)}`}`}
          ; {measures.areaMass(gate.givenGPerM2)} of {measures.areaMass(gate.capGPerM2)} given within a year
          {gate.givenInCompostGPerM2 > 0 &&
            `, ${measures.areaMass(gate.givenInCompostGPerM2)} of it with compost`}
        </span>
      </div>
      {gate.stops.length > 0 && (
        <ul className="caution-list trouble" role="alert">
          {gate.stops.map((reason) => (
            <li key={reason.code}>{ashReasonWords(reason, today, measures)}</li>
          ))}
        </ul>
      )}
      {gate.minds.length > 0 && (
        <ul className="caution-list">
          {gate.minds.map((reason) => (
            <li key={reason.code}>{ashReasonWords(reason, today, measures)}</li>
          ))}
        </ul>
      )}
      {gate.isOpen && <GiveAsh {...{ bed, date, condition, lots, takenG, gate }} />}
    </>
  );
}

interface GiftFields {
  /** As typed; null for what is proposed. */
  readonly rate: TypedQuantity | null;
  /** Empty for ash from outside; null for the first pile of ash there is. */
  readonly lotId: string | null;
}
const NOTHING_CHOSEN: GiftFields = { rate: null, lotId: null };

function GiveAsh({ bed, date, condition, lots, gate }: BedAshProps & { gate: AshGate }) {
  const books = useBooks();
  const measures = useMeasures();
  const reader = useReader();
  const proposed = Math.min(ASH_YEARLY_CAP_G_PER_M2, gate.leftGPerM2);
  const { fields, set, submitWith } = useRecordForm<GiftFields>(() => NOTHING_CHOSEN);
  const typed = fields.rate ?? typedFrom(proposed, 'massPerArea', { ...reader, digits: 3 });
  const read = readQuantity(typed, ASH_RATE, reader);
  const write = useWriteEntry(bed.id);
  const remove = useRemoveEntry();
  const offerUndo = useUndo();
  const ashLots = ashPiles(lots);
  const rate = figureOf(read) ?? Number.NaN;
  const isOver = rate > gate.leftGPerM2 + 1e-9;
  // What is typed is dry ash; of damp ash more is weighed out for the same.
  const effect = ashEffect(rate > 0 ? rate : 0, bed.clayPct);
  const grams = rate * bed.areaM2;
  const weighedG = weighedAshG(grams, condition);
  const source = fields.lotId ?? ashLots[0]?.lot.id ?? '';
  const troubles = sentencesOf(write.error);
  const give = () =>
    write.mutate(
      {
        type: 'lay',
        state: date > books.today ? 'planned' : 'laid',
        date,
        note: condition.isDamp
          ? `${measures.mass(weighedG / 1000)} of damp ash, which counts as ${measures.mass(grams / 1000)} of dry.`
          : '',
        materialId: 'wood_ash',
        lotId: source === '' ? null : source,
        amount: grams,
        unit: 'gram',
        dugDepthCm: 0,
        seasonedMonths: 0,
      },
      {
        onSuccess: (entry) => {
          set(NOTHING_CHOSEN);
          offerUndo(`Ash is saved for ${bed.name}.`, () => remove.mutateAsync(entry));
        },
      },
    );
  return (
    <form className="tool" aria-label="Give ash" onSubmit={submitWith(give)}>
      <div className="band-fields">
        <QuantityField
          name="Give"
          quantity="massPerArea"
          value={typed}
          onChange={(rate) => set({ rate })}
          trouble={
            isOver
              ? `At most ${measures.areaMass(gate.leftGPerM2)} more this year.`
              : quantityTrouble(read, 'amount')
          }
        />
        <Choice
          name="From"
          value={source}
          onChange={(lotId) => set({ lotId })}
          options={[
            { value: '', label: 'outside' },
            ...ashLots.map(({ lot }) => ({ value: lot.id, label: lot.name })),
          ]}
          width={150}
        />
        <div className="field">
          <span className="field-name">{condition.isDamp ? 'of damp ash that is' : 'that is'}</span>
          <span className="tool-result figure">
            {measures.mass(weighedG / 1000)}, {measures.smallVolume(ashVolumeL(weighedG))}
          </span>
        </div>
        <div className="field">
          <span className="field-name">&nbsp;</span>
          <Button type="primary" htmlType="submit" disabled={isOver || !(rate > 0)} loading={write.isPending}>
            {date > books.today ? 'Plan it' : 'Save entry'}
          </Button>
        </div>
      </div>
      {otherTroubles(troubles, []).map((sentence) => (
        <p key={sentence} className="field-trouble" role="alert">
          {sentence}
        </p>
      ))}
      <p className="soft hint">
        Limes like {measures.areaMass(effect.limeGPerM2[1])} of garden lime (
        {measures.areaMass(effect.limeGPerM2[0])} to {measures.areaMass(effect.limeGPerM2[2])}; general
        literature): pH up by about {plainFigure(effect.phRise[1], 1)} ({plainFigure(effect.phRise[0], 1)} to{' '}
        {plainFigure(effect.phRise[2], 1)}) in the top {measures.rule('length', 20)}
        {gate.ph !== null &&
          `, from ${formatFixed(gate.ph.value, 1)} to between ${formatFixed(gate.ph.value + effect.phRise[0], 1)} and ${formatFixed(gate.ph.value + effect.phRise[2], 1)}`}
        . Gives {measures.areaMass(effect.potassiumGPerM2)} of potassium and{' '}
        {measures.areaMass(effect.calciumGPerM2)} of calcium. A soil test and your advisory service come
        first.
      </p>
    </form>
  );
}

const SHOWN_DEPTH_CM = 2;

/** All the trade's recipes in one unit, with how far they disagree. */
function Recipes() {
  const measures = useMeasures();
  return (
    <section aria-label="Recipes">
      {USES.map(([use, words]) => {
        const recipes = ASH_RECIPES.filter((one) => one.use === use);
        const rates = recipes.flatMap(({ rate }) => rate);
        const lowest = Math.min(...rates);
        const times = Math.max(...rates) / lowest;
        return (
          <div key={use}>
            <div className="section-head">
              <h2>{words}</h2>
              <span className="soft">
                {times > 1.3 ? `they differ ${plainFigure(times, 2)} times; the lowest counts` : ''}
              </span>
            </div>
            <table className="ledger">
              <tbody>
                {recipes.map(({ id, rate }) => (
                  <tr key={id} className={rate[0] === lowest ? 'closing' : undefined}>
                    {/* In the trade's own words and units. */}
                    <td translate="no">{ASH_RECIPE_WORDS[id]}</td>
                    <td>{ashRateWords(rate, use, measures)}</td>
                    {use === 'compost' && (
                      <td className="soft">
                        {measures.areaMass(ratePerM2(rate[0], SHOWN_DEPTH_CM))} under{' '}
                        {measures.thickness(SHOWN_DEPTH_CM)}
                      </td>
                    )}
                  </tr>
                ))}
              </tbody>
            </table>
          </div>
        );
      })}
      <p className="soft estimate">
        All of it common practice without a source, converted with ash of {measures.density(ASH_KG_PER_M3)}.
        Ash counts toward the limit of a bed, {measures.areaMass(ASH_YEARLY_CAP_G_PER_M2)} a year, whichever
        way it comes: spread, or in a compost it was mixed into.{' '}
        <Link to="../stock">Ash in stock is weighed when it is taken.</Link>
      </p>
    </section>
  );
}
