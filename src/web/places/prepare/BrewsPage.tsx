import { useMeasures, useBooks } from '../../app/garden-context.ts';
import { Button, Segmented } from 'antd';
import { useState } from 'react';
import { journalFields } from '../../../records/journal.ts';
import type { BrewId } from '../../../records/vocabulary.ts';
import {
  BREWS,
  type ScaledBrew,
  brewDates,
  findBrew,
  litresForVessel,
  scaleBrew,
} from '../../../core/yard/index.ts';
import { findLibraryMaterial, isoDateOf, LITRES_PER_GALLON } from '../../../core/ground/index.ts';
import { sentencesOf } from '../../api/failures.ts';
import { useRemoveJournal, useWriteJournal } from '../../api/journal.ts';
import { useRemoveEntry, useWriteEntry } from '../../api/gardens.ts';
import { DateField } from '../../ui/forms/DateField.tsx';
import { Choice } from '../../ui/forms/inputs.tsx';
import { askedOf } from '../../ui/forms/asked-of.ts';
import { QuantityField, useReader } from '../../ui/forms/QuantityField.tsx';
import { quantityTrouble } from '../../ui/forms/troubles.ts';
import { figureOf, NOTHING_TYPED, readQuantity, typedFrom } from '../../ui/forms/typed-quantity.ts';
import {
  BREW_CAUTION_WORDS,
  BREW_STEP_WORDS,
  BREW_WORDS,
  GO_WORDS,
  INGREDIENT_WORDS,
} from '../../../words/brew-words.ts';
import { dateNear, dayOf, fullDate } from '../../../words/dates.ts';
import { formatPercent } from '../../../words/figures.ts';
import { GoingBrews } from './GoingBrews.tsx';
import { pouredEntry } from './poured-entry.ts';
import { useUndo } from '../../app/use-undo.tsx';
import { otherTroubles } from '../../ui/stock/use-stock-post.ts';
import '../../ui/stock/stock.css';
import './prepare.css';
import { PageHeading } from '../../ui/heading/PageHeading.tsx';

const BREW = askedOf(journalFields.brew.litres, 'volume');
/** A bucket of it, to begin with (set here). */
const USUAL_LITRES = { metric: 10, customary: 2.5 * LITRES_PER_GALLON } as const;

/** Small brews: scaled, dated, checked, and what they bring to the books. */
export function BrewsPage() {
  const books = useBooks();
  const [id, setId] = useState<BrewId>('compostTea');
  const reader = useReader();
  const [typed, setTyped] = useState(() =>
    typedFrom(USUAL_LITRES[reader.system], 'volume', { ...reader, digits: 2 }),
  );
  const [vessel, setVessel] = useState(NOTHING_TYPED);
  const [date, setDate] = useState(books.today);
  const read = readQuantity(typed, BREW, reader);
  const litres = figureOf(read)!;
  const scaled = read.ok ? scaleBrew(id, litres) : null;
  const hasDate = /^\d{4}-\d\d-\d\d$/.test(date);
  return (
    <div className="page">
      <header className="page-head">
        <div>
          <PageHeading>Brews</PageHeading>
          <p className="soft">
            {BREW_WORDS[id].name}: {BREW_WORDS[id].aim}. All of it common practice without a source.
          </p>
        </div>
      </header>
      <GoingBrews />
      <Segmented
        className="band-types"
        value={id}
        onChange={setId}
        options={BREWS.map((brew) => ({ value: brew.id, label: BREW_WORDS[brew.id].name }))}
      />
      <div className="band-fields brew-scale">
        <QuantityField
          name="Make"
          quantity="volume"
          value={typed}
          onChange={setTyped}
          trouble={quantityTrouble(read, 'litres')}
        />
        <QuantityField
          name="or as much as fits a vessel of"
          quantity="volume"
          value={vessel}
          onChange={(next) => {
            setVessel(next);
            const holds = readQuantity(next, BREW, reader);
            const fits = holds.ok ? litresForVessel(id, figureOf(holds)!) : null;
            if (fits !== null) setTyped(typedFrom(fits, 'volume', { ...reader, digits: 2 }));
          }}
          hint={`filled to ${formatPercent(findBrew(id).fillShare)}`}
        />
        <DateField name="Begun on" value={date} onChange={setDate} />
      </div>
      {scaled && hasDate && (
        <div className="two-columns">
          <Recipe id={id} scaled={scaled} date={date} />
          <Checks id={id} />
        </div>
      )}
      {scaled && hasDate && <BeginBrew key={`begin ${id}`} id={id} litres={litres} date={date} />}
      {scaled && hasDate && scaled.adds.length > 0 && <OnBed key={id} id={id} scaled={scaled} date={date} />}
    </div>
  );
}

interface BrewProps {
  readonly id: BrewId;
  readonly scaled: ScaledBrew;
  readonly date: string;
}

function Recipe({ id, scaled, date }: BrewProps) {
  const books = useBooks();
  const measures = useMeasures();
  const brew = findBrew(id);
  const start = dayOf(date);
  const { readyFrom, readyBy, useBy } = brewDates(id, start);
  const today = dayOf(books.today);
  return (
    <section aria-label="Recipe">
      <table className="ledger">
        <tbody>
          {scaled.ingredients.map(({ what, litres }) => (
            <tr key={what}>
              <td>{INGREDIENT_WORDS[what]}</td>
              <td>{what === 'water' ? measures.liquid(litres) : measures.spoons(litres)}</td>
            </tr>
          ))}
          {brew.dilution !== 1 && (
            <tr className="closing">
              <td>thinned, it gives</td>
              <td>{measures.liquid(scaled.givesL)}</td>
            </tr>
          )}
        </tbody>
      </table>
      <p>
        {useBy === start ? (
          <strong>Use it the same day.</strong>
        ) : (
          <>
            <strong>Ready {fullDate(readyFrom)}</strong>
            {readyBy > readyFrom && ` to ${fullDate(readyBy)}`}; use it by <strong>{fullDate(useBy)}</strong>.
          </>
        )}
      </p>
      <ol className="burn-steps brew-steps">
        {brew.steps.map(({ code, day }) => (
          <li key={`${code} ${day}`}>
            <strong>{dateNear(start + day, today)}</strong>: {BREW_STEP_WORDS[code]}
          </li>
        ))}
      </ol>
    </section>
  );
}

function Checks({ id }: { id: BrewId }) {
  const { go, noGo, cautions } = findBrew(id);
  return (
    <ul className="plain-list">
      {go.map((code) => (
        <li key={code}>
          <span className="status status-good">● go</span> {GO_WORDS[code]}
        </li>
      ))}
      {noGo.map((code) => (
        <li key={code}>
          <span className="status status-stop">▲ stop</span> {GO_WORDS[code]}
        </li>
      ))}
      {cautions.map((code) => (
        <li key={code} className="soft">
          {BREW_CAUTION_WORDS[code]}
        </li>
      ))}
    </ul>
  );
}

/** What it brings to a bed's books, written there for the day it is ready. */
function OnBed({ id, scaled, date }: BrewProps) {
  const books = useBooks();
  const measures = useMeasures();
  const [bedId, setBedId] = useState(books.beds[0]?.id ?? '');
  const write = useWriteEntry(bedId);
  const remove = useRemoveEntry();
  const offerUndo = useUndo();
  const bed = books.beds.find((one) => one.id === bedId);
  const pourOn = isoDateOf(brewDates(id, dayOf(date)).readyBy);
  const main = scaled.adds[0];
  const troubles = sentencesOf(write.error);
  if (!bed || !main) return null;
  const litresWords = measures.liquid(scaled.givesL);
  const draft = pouredEntry(id, scaled, { date: pourOn, today: books.today, litresWords });
  const pour = () =>
    draft &&
    write.mutate(draft, {
      onSuccess: (entry) =>
        offerUndo(`${BREW_WORDS[id].name} is saved for ${bed.name}.`, () => remove.mutateAsync(entry)),
    });
  return (
    <section className="tool" aria-label="On a bed">
      <div className="band-fields">
        <Choice
          name="Poured on"
          value={bedId}
          onChange={setBedId}
          options={books.beds.map(({ id: value, name }) => ({ value, label: name }))}
        />
        <div className="field">
          <span className="field-name">brings to its books</span>
          <span className="tool-result">
            {measures.spoons(main.litres)} of {findLibraryMaterial(main.materialId)!.name.toLowerCase()}:{' '}
            {measures.mass(scaled.carbonG / 1000)} of carbon, {measures.nitrogen(scaled.nitrogenG)} of
            nitrogen
          </span>
        </div>
        <div className="field">
          <span className="field-name">&nbsp;</span>
          <Button type="primary" loading={write.isPending} onClick={pour}>
            {pourOn > books.today
              ? `Plan it for ${dateNear(dayOf(pourOn), dayOf(books.today))}`
              : 'Save entry'}
          </Button>
        </div>
      </div>
      {scaled.nitrogenCostG > 0.05 && (
        <p className="soft hint">
          Its sugar is eaten in days, and what eats it takes about {measures.nitrogen(scaled.nitrogenCostG)}{' '}
          of nitrogen that is not in it: {measures.rate(scaled.nitrogenCostG / bed.areaM2)} on this bed, given
          back later.
        </p>
      )}
      {otherTroubles(troubles, []).map((sentence) => (
        <p key={sentence} className="field-trouble" role="alert">
          {sentence}
        </p>
      ))}
    </section>
  );
}

/** A brew that takes days is saved when it is begun; its steps then appear in the calendar. */
function BeginBrew({ id, litres, date }: Pick<BrewProps, 'id' | 'date'> & { litres: number }) {
  const books = useBooks();
  const measures = useMeasures();
  const write = useWriteJournal(books.garden.id);
  const remove = useRemoveJournal();
  const offerUndo = useUndo();
  const { readyFrom, useBy } = brewDates(id, dayOf(date));
  if (useBy === dayOf(date)) return null;
  const begin = () =>
    write.mutate(
      [{ kind: 'brew', id: crypto.randomUUID(), date, note: '', brewId: id, litres, state: 'going' }],
      {
        onSuccess: ({ records }) =>
          offerUndo(`${BREW_WORDS[id].name} is begun; its steps are in the calendar.`, () =>
            remove.mutateAsync(records[0]!),
          ),
      },
    );
  return (
    <section className="tool" aria-label="Begin it">
      <Button loading={write.isPending} onClick={begin}>
        Begin it: {measures.liquid(litres)}, ready {dateNear(readyFrom, dayOf(books.today))}
      </Button>
      {Object.values(sentencesOf(write.error)).map((sentence) => (
        <p key={sentence} className="field-trouble" role="alert">
          {sentence}
        </p>
      ))}
    </section>
  );
}
