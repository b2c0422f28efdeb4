import { counted } from '../../../words/counted.ts';
import { useMeasures, useBooks } from '../../app/garden-context.ts';
import { Button, Segmented, Select } from 'antd';
import { useRef, useState } from 'react';
import type { GardenBooks } from '../../../contract/garden-books.ts';
import { InputError } from '../../../refusals/input-error.ts';
import { refusalSentence } from '../../../words/refusal-words.ts';
import { type Target, type TargetOdds, checkTarget, targetOdds } from '../../../core/long-run/index.ts';
import { dayOf } from '../../../words/dates.ts';
import { formatPercent } from '../../../words/figures.ts';
import { limitInWords } from '../../../words/limit-words.ts';
import { UNIT_WORDS } from '../../../words/measures.ts';
import { materialName } from '../../../words/record-names.ts';
import { amountWords, targetWords } from '../../../words/years-words.ts';
import { TextField } from '../../ui/forms/inputs.tsx';
import { numberFromText } from '../../ui/forms/parse-number.ts';
import { QuantityField, useReader } from '../../ui/forms/QuantityField.tsx';
import { quantityTrouble } from '../../ui/forms/troubles.ts';
import {
  figureOf,
  readQuantity,
  typedFrom,
  type QuantityAsked,
  type Reader,
  type TypedQuantity,
} from '../../ui/forms/typed-quantity.ts';
import type { FoundAmounts } from '../../worker/years-workers.ts';
import { findAmount } from '../../worker/years-workers.ts';
import type { YearsPlan } from '../../worker/years-answers.ts';
import { areaOf, AREA_WORDS } from '../../../words/amount-words.ts';
import { LineKey } from './HabitList.tsx';
import type { ViewedBed, ViewedLine, YearsView } from './view.ts';

interface TargetBandProps {
  readonly view: YearsView;
  readonly plan: YearsPlan;
  readonly form: TargetForm;
  readonly setForm: (form: TargetForm) => void;
}

/** A round figure in either system (set here). */
const FIRST_MASS_KG = { metric: 100, customary: 90.718474 } as const;

export const firstTarget = (reader: Reader): TargetForm => ({
  type: 'organicMatter',
  pct: '6',
  mass: typedFrom(FIRST_MASS_KG[reader.system], 'mass', reader),
});

type TargetType = Target['type'];
const TYPE_WORDS: Record<TargetType, string> = {
  organicMatter: 'organic matter',
  noBoughtNitrogen: 'no bought nitrogen',
  lastingCarbon: 'lasting carbon',
};
const AMOUNT_DRAWS = 12;
/** Of a garden every draw runs every bed. */
const GARDEN_DRAWS = 4;

export interface TargetForm {
  readonly type: TargetType;
  readonly pct: string;
  readonly mass: TypedQuantity;
}

const MASS: QuantityAsked = { quantity: 'mass', above: 0 };

/** The target as typed, or what is wrong with it. */
export function readTarget(
  form: TargetForm,
  areaM2: number,
  reader: Reader,
): { target: Target } | { trouble: string } {
  const mass = readQuantity(form.mass, MASS, reader);
  const massTrouble = quantityTrouble(mass, 'massKg');
  if (form.type === 'lastingCarbon' && massTrouble !== undefined) return { trouble: massTrouble };
  const target: Target =
    form.type === 'organicMatter'
      ? { type: 'organicMatter', pct: numberFromText(form.pct) }
      : form.type === 'lastingCarbon'
        ? { type: 'lastingCarbon', massKg: figureOf(mass)!, areaM2 }
        : { type: 'noBoughtNitrogen' };
  try {
    checkTarget(target);
    return { target };
  } catch (error) {
    if (!(error instanceof InputError)) throw error;
    return { trouble: refusalSentence('The target', error.refusal) };
  }
}

/** When a target is reached under each habit; and how much of something it takes. */
export function TargetBand({ view, plan, form, setForm }: TargetBandProps) {
  const reader = useReader();
  const set = (change: Partial<TargetForm>) => setForm({ ...form, ...change });
  const read = readTarget(form, view.beds[0]!.areaM2, reader);
  return (
    <section aria-label="Target" className="band target-band">
      <h2>When is it reached?</h2>
      <div className="band-fields">
        <div className="field">
          <span className="field-name">Target</span>
          <Segmented<TargetType>
            aria-label="Target"
            value={form.type}
            onChange={(type) => set({ type })}
            options={(Object.keys(TYPE_WORDS) as TargetType[]).map((type) => ({
              value: type,
              label: TYPE_WORDS[type],
            }))}
          />
        </div>
        {form.type === 'organicMatter' && (
          <TextField
            name="At least, %"
            value={form.pct}
            onChange={(pct) => set({ pct })}
            trouble={'trouble' in read ? read.trouble : undefined}
          />
        )}
        {form.type === 'lastingCarbon' && (
          <QuantityField
            name="At least so much carbon"
            quantity="mass"
            value={form.mass}
            onChange={(mass) => set({ mass })}
            trouble={'trouble' in read ? read.trouble : undefined}
            hint={reader.system === 'metric' ? '1000 kg is a tonne' : '2000 lb is a short ton'}
            width={150}
          />
        )}
      </div>
      {'target' in read && (
        <>
          {view.beds.map((bed) => (
            <Reached key={bed.id} bed={bed} target={onBed(read.target, bed)} years={view.years} />
          ))}
          <AmountSearch view={view} plan={plan} target={read.target} />
        </>
      )}
    </section>
  );
}

const onBed = (target: Target, { areaM2 }: ViewedBed): Target =>
  target.type === 'lastingCarbon' ? { ...target, areaM2 } : target;

interface ReachedProps {
  readonly bed: ViewedBed;
  readonly target: Target;
  readonly years: number;
}

function Reached({ bed, target, years }: ReachedProps) {
  const measures = useMeasures();
  return (
    <div className="reached">
      <h3>
        {bed.name}: {targetWords(target, measures)}
      </h3>
      <ul>
        {bed.lines.map((line) => (
          <li key={line.line.id}>
            <LineKey place={line.place} /> {line.line.name}:{' '}
            <ReachedWords line={line} target={target} years={years} />
          </li>
        ))}
      </ul>
    </div>
  );
}

function ReachedWords({ line, target, years }: { line: ViewedLine; target: Target; years: number }) {
  const odds = targetOdds(target, line.points, line.draws);
  return (
    <>
      <strong>{firstYearWords(odds, years)}</strong>
      {odds.draws >= 8 && <span className="soft">; {oddsWords(odds, years)}</span>}
    </>
  );
}

function firstYearWords({ firstYear }: TargetOdds, years: number): string {
  if (firstYear === null) return `not within ${counted(years, 'year')}`;
  return firstYear === 0 ? 'met already today' : `in year ${firstYear}`;
}

function oddsWords({ reachedShare, draws }: TargetOdds, years: number): string {
  const by = reachedShare.at(-1)!;
  const half = reachedShare.findIndex((share) => share >= 0.5);
  const even = half > 0 ? `, half of them by year ${half}` : '';
  return `${formatPercent(by)} of ${draws} likely cases within ${years} years${even}`;
}

interface AmountSearchProps extends Omit<TargetBandProps, 'form' | 'setForm'> {
  readonly target: Target;
}

/** The other way round: what amount each time reaches the target by a year. */
function AmountSearch({ view, plan, target }: AmountSearchProps) {
  const books = useBooks();
  const measures = useMeasures();
  const reader = useReader();
  const choices = laysOf(view, books);
  const [chosen, setChosen] = useState<string | null>(null);
  const [byYear, setByYear] = useState('10');
  const [state, setState] = useState<SearchState | null>(null);
  const searching = useRef<AbortController | null>(null);
  const choice = choices.find(({ value }) => value === chosen) ?? choices[0];
  if (!choice)
    return (
      <p className="soft hint">Compare a habit that lays something to find out how much of it it takes.</p>
    );
  const year = numberFromText(byYear);
  const yearTrouble =
    Number.isInteger(year) && year >= 1 && year <= 30 ? undefined : 'must be a whole year from 1 to 30';
  const search = async () => {
    searching.current?.abort();
    const ending = new AbortController();
    searching.current = ending;
    const about = { target: targetWords(target, measures), choice, year };
    setState({ ...about, found: [], isSearching: true, refusal: null });
    const found: FoundOnBed[] = [];
    for (const [i, viewed] of view.beds.entries()) {
      const own = { ...plan, key: `${plan.key} ${i}` };
      const bed = viewed.bed ? i : null;
      const answer = await findAmount({
        plan: own,
        asked: { bed, habit: choice.habit, act: choice.act, target: onBed(target, viewed), byYear: year },
        draws: bed === null ? GARDEN_DRAWS : AMOUNT_DRAWS,
        signal: ending.signal,
        onRefusal: (refusal) => setState((before) => before && { ...before, refusal, isSearching: false }),
      });
      if (ending.signal.aborted) return;
      if (answer) found.push({ name: viewed.name, amounts: answer });
    }
    setState((before) => before && { ...before, found, isSearching: false });
  };
  const stop = () => {
    searching.current?.abort();
    setState(null);
  };
  return (
    <div className="amount-search" role="group" aria-label="Find the amount">
      <div className="band-fields">
        <div className="field">
          <span className="field-name">How much each time of</span>
          <Select<string>
            aria-label="How much of"
            value={choice.value}
            onChange={setChosen}
            popupMatchSelectWidth={false}
            style={{ minWidth: 260 }}
            options={choices.map(({ value, label }) => ({ value, label }))}
          />
        </div>
        <TextField
          name="to get there by year"
          value={byYear}
          onChange={setByYear}
          trouble={yearTrouble}
          width={100}
        />
        <div className="field">
          <span className="field-name">&nbsp;</span>
          {state?.isSearching ? (
            <Button onClick={stop}>Stop</Button>
          ) : (
            <Button type="primary" disabled={yearTrouble !== undefined} onClick={() => void search()}>
              Find the amount
            </Button>
          )}
        </div>
      </div>
      <div role="status">
        {state?.isSearching && <p className="soft">Trying amounts …</p>}
        {state?.refusal && <p className="field-trouble">{state.refusal}</p>}
        {state?.found.map(({ name, amounts }) => (
          <p key={name} className="found-amount">
            {state.target} on {name} by year {state.year}, {state.choice.name}:{' '}
            <strong>
              {amountWords({
                own: amounts.own,
                drawn: amounts.drawn,
                ...amountUnitOf(state.choice.unit, reader),
                byYear: state.year,
              })}
            </strong>
            <PassedOnTheWay amounts={amounts} />
          </p>
        ))}
      </div>
    </div>
  );
}

/** The limits that the amount found passes before it gets there. */
function PassedOnTheWay({ amounts: { own } }: { readonly amounts: FoundAmounts }) {
  const measures = useMeasures();
  const { today } = useBooks();
  if (own.status === 'notNeeded') return null;
  return own.way.passed.map(({ yearsAhead, limit }) => (
    <span key={limit.code} className="trouble found-limit">
      ⚠ In year {yearsAhead}: {limitInWords(limit, measures, dayOf(today))}
    </span>
  ));
}

/** In what an amount is said: how thick, or how much on an area. */
function amountUnitOf(unit: keyof typeof UNIT_WORDS, reader: Reader): { unit: string; perUnit: number } {
  const areaM2 = areaOf(unit, reader.system);
  if (areaM2 === null) return { unit: UNIT_WORDS[unit], perUnit: 1 };
  return { unit: `${UNIT_WORDS[unit]} on each ${AREA_WORDS[reader.system]}`, perUnit: areaM2 };
}

interface FoundOnBed {
  readonly name: string;
  readonly amounts: FoundAmounts;
}
interface SearchState {
  readonly target: string;
  readonly choice: LayChoice;
  readonly year: number;
  readonly found: readonly FoundOnBed[];
  readonly isSearching: boolean;
  readonly refusal: string | null;
}

interface LayChoice {
  readonly value: string;
  readonly label: string;
  readonly name: string;
  readonly habit: number;
  readonly act: number;
  readonly unit: keyof typeof UNIT_WORDS;
}

/** Everything that is laid under one of the habits. */
function laysOf(view: YearsView, { materials }: GardenBooks): LayChoice[] {
  return view.beds[0]!.lines.flatMap(({ line, place: habit }) => {
    if (typeof line.followed === 'string') return [];
    return line.followed.acts.flatMap((one, act): LayChoice[] => {
      if (one.type !== 'lay') return [];
      const name = materialName(one.materialId, materials).toLowerCase();
      return [
        {
          value: `${habit} ${act}`,
          label: `${name}, in “${line.name}”`,
          name,
          habit,
          act,
          unit: one.unit,
        },
      ];
    });
  });
}
