import { BY_NAME } from '../../ui/forms/by-name.ts';
import { DateField } from '../../ui/forms/DateField.tsx';
import { counted } from '../../../words/counted.ts';
import { useMeasures, useBooks } from '../../app/garden-context.ts';
import { Button, Select } from 'antd';
import { useMemo, useState } from 'react';
import type { BedRecord } from '../../../records/bed.ts';
import type { BuildUpRecord } from '../../../records/build-up.ts';
import type { EntryRecord } from '../../../records/entry.ts';
import {
  BUILD_UPS,
  type BuildUp,
  type BuildUpLayer,
  type Purpose,
  effortOf,
  layBuildUp,
  layingCautions,
  materialFinder,
  plantableFrom,
  totalEffort,
} from '../../../core/bed/index.ts';
import { isSouthern, isoDateOf, type Material } from '../../../core/ground/index.ts';
import type { GardenBooks } from '../../../contract/garden-books.ts';
import { useStock } from '../../ui/stock/use-stock.ts';
import type { StockedLot } from '../../worker/stock-answers.ts';
import { chosenLot } from './posting-form.ts';
import { useRemoveBuildUp, useRestoreBuildUp } from '../../api/gardens.ts';
import { QuantityInput, useReader } from '../../ui/forms/QuantityField.tsx';
import {
  figureOf,
  readQuantity,
  typedFrom,
  type QuantityAsked,
  type TypedQuantity,
} from '../../ui/forms/typed-quantity.ts';
import { BUILD_UP_WORDS, buildUpNote, PURPOSE_WORDS, waitWords } from '../../../words/build-up-words.ts';
import { dayOf, fullDate } from '../../../words/dates.ts';
import { plainFigure } from '../../../words/figures.ts';
import type { Measures } from '../../../words/measures.ts';
import { cautionInWords } from '../../../words/words.ts';
import { useFailureNotice } from '../../app/use-failure-notice.tsx';
import { useUndo } from '../../app/use-undo.tsx';
import { materialOptions, stockOptions } from '../../ui/materials/material-options.ts';
import { materialName } from '../../../words/record-names.ts';

interface BuildUpBandProps {
  readonly bed: BedRecord;
  /** Lays it on the drawing, to be changed there before it is written down. */
  readonly onTry: (entries: readonly EntryRecord[]) => void;
  readonly onClose: () => void;
}

/** What a layer of a build-up may be thick. */
const THICKNESS: QuantityAsked = { quantity: 'length', above: 0, max: 100 };

/** A layer as it is being changed: its thickness as typed. */
interface TypedLayer extends Omit<BuildUpLayer, 'thicknessCm'> {
  readonly key: string;
  readonly thickness: TypedQuantity;
}

type Choice = Omit<BuildUp, 'purpose' | 'suits'> & { readonly name: string; readonly aim: string };

const ownAsChoice = ({ id, name, layers, waitDays, note }: BuildUpRecord): Choice => ({
  id,
  name,
  aim: note,
  notes: [],
  wait: waitDays === 0 ? { until: 'none' } : { until: 'days', days: waitDays },
  layers: layers.map((layer) => ({ ...layer, afterDays: 0 })),
});

const PURPOSES: readonly Purpose[] = ['coverNow', 'soilLater'];

/** Choosing a way to build up the bed: what for, how thick, how many barrows, how long to wait. */
export function BuildUpBand({ bed, onTry, onClose }: BuildUpBandProps) {
  const [choice, setChoice] = useState<Choice | null>(null);
  return (
    <section className="band" aria-label="Build-ups">
      {choice === null ? (
        <Choices {...{ bed, onClose }} onChoose={setChoice} />
      ) : (
        <ChosenBuildUp key={choice.id} {...{ choice, bed, onTry, onClose }} onBack={() => setChoice(null)} />
      )}
    </section>
  );
}

interface ChoicesProps extends Pick<BuildUpBandProps, 'bed' | 'onClose'> {
  readonly onChoose: (choice: Choice) => void;
}

function Choices({ bed, onChoose, onClose }: ChoicesProps) {
  const books = useBooks();
  const choose = (one: BuildUp) => onChoose({ ...one, ...BUILD_UP_WORDS[one.id]! });
  const suits = (one: BuildUp) => Number(one.suits.includes(bed.kind));
  return (
    <>
      <p className="soft">What is the layer for? Everything can be changed afterwards.</p>
      <div className="build-up-columns">
        {PURPOSES.map((purpose) => (
          <div key={purpose}>
            <h3>{PURPOSE_WORDS[purpose]}</h3>
            <ul className="build-ups">
              {BUILD_UPS.filter((one) => one.purpose === purpose)
                .sort((a, b) => suits(b) - suits(a))
                .map((one) => (
                  <li key={one.id}>
                    <button type="button" className="build-up" onClick={() => choose(one)}>
                      <strong>{BUILD_UP_WORDS[one.id]!.name}</strong>
                      {one.suits.includes(bed.kind) && <span className="suits"> ● suits this bed</span>}
                      <span className="soft"> {waitWords(one.wait)}</span>
                      <span className="build-up-aim">{BUILD_UP_WORDS[one.id]!.aim}</span>
                    </button>
                  </li>
                ))}
            </ul>
          </div>
        ))}
      </div>
      {books.buildUps.length > 0 && (
        <>
          <h3>Your own</h3>
          <ul className="build-ups">
            {books.buildUps.map((one) => (
              <OwnBuildUp key={one.id} buildUp={one} onChoose={() => onChoose(ownAsChoice(one))} />
            ))}
          </ul>
        </>
      )}
      <div className="band-foot">
        <Button onClick={onClose}>Cancel</Button>
      </div>
    </>
  );
}

function OwnBuildUp({ buildUp, onChoose }: { buildUp: BuildUpRecord; onChoose: () => void }) {
  const remove = useRemoveBuildUp();
  const restore = useRestoreBuildUp();
  const undo = useUndo();
  const showFailure = useFailureNotice();
  return (
    <li>
      <button type="button" className="build-up" onClick={onChoose}>
        <strong>{buildUp.name}</strong>
        <span className="soft"> {counted(buildUp.layers.length, 'layer')}</span>
      </button>
      <Button
        size="small"
        type="link"
        onClick={() =>
          remove.mutate(buildUp, {
            onError: (failure) => showFailure(`${buildUp.name} was not deleted.`, failure),
            onSuccess: () => undo(`${buildUp.name} was deleted.`, () => restore.mutateAsync(buildUp.id)),
          })
        }
      >
        Delete
      </Button>
    </li>
  );
}

interface ChosenProps extends BuildUpBandProps {
  readonly choice: Choice;
  readonly onBack: () => void;
}

function ChosenBuildUp({ choice, bed, onTry, onClose, onBack }: ChosenProps) {
  const books = useBooks();
  const measures = useMeasures();
  const reader = useReader();
  const [date, setDate] = useState(books.today);
  const [typed, setTyped] = useState<readonly TypedLayer[]>(() =>
    choice.layers.map(({ thicknessCm, ...layer }, i) => ({
      ...layer,
      key: `${i}`,
      thickness: typedFrom(thicknessCm, 'length', { ...reader, digits: 2 }),
    })),
  );
  const { lots } = useStock(books);
  const stocked = useMemo(() => lots.flatMap(({ brief }) => brief ?? []), [lots]);
  const find = useMemo(() => sourceFinder(books, stocked), [books, stocked]);
  const options = useMemo(
    () =>
      [stockOptions(stocked, books), ...materialOptions(books)].filter((group) => group.options.length > 0),
    [books, stocked],
  );
  const set = (key: string, change: Partial<TypedLayer>) =>
    setTyped((before) => before.map((one) => (one.key === key ? { ...one, ...change } : one)));
  const layers = typed.map(({ key, thickness, ...layer }) => ({
    ...layer,
    thicknessCm: figureOf(readQuantity(thickness, THICKNESS, reader)) ?? Number.NaN,
  }));
  const isWrong = ({ thicknessCm }: { thicknessCm: number }) => Number.isNaN(thicknessCm);
  const isReadable = !layers.some(isWrong) && date !== '';
  const planned = isReadable
    ? layBuildUp({ layers, areaM2: bed.areaM2, laidDay: dayOf(date), findMaterial: find })
    : [];
  const effort = totalEffort(planned.map((one) => effortOf(find(one.materialId)!, one, bed.areaM2)));
  const ready =
    date === '' ? null : plantableFrom(choice.wait, dayOf(date), isSouthern(books.garden.climate));
  const cautions = [
    ...new Map(
      planned
        .flatMap((one) => layingCautions({ ...one, material: find(one.materialId)! }, bed))
        .map((caution) => [caution.code, cautionInWords(caution, measures)]),
    ).values(),
  ];
  const tryIt = () =>
    onTry(
      planned.map((one): EntryRecord => ({
        id: crypto.randomUUID(),
        version: 0,
        createdAt: '',
        updatedAt: '',
        bedId: bed.id,
        type: 'lay',
        state: one.date > books.today ? 'planned' : 'laid',
        date: one.date,
        note: choice.name,
        ...takenFrom(one.materialId, stocked),
        amount: one.thicknessCm,
        unit: 'cm',
        massFreshKg: one.massFreshKg,
        dugDepthCm: one.dugDepthCm,
        seasonedMonths: chosenLot(one.materialId) === null ? one.seasonedMonths : 0,
        plantFrom: ready !== null && ready > dayOf(date) ? isoDateOf(ready) : null,
      })),
    );
  return (
    <>
      <div className="section-head">
        <h2>{choice.name}</h2>
        <span className="soft">{choice.aim}</span>
      </div>
      <div className="band-fields">
        <DateField name="First spread on" value={date} onChange={setDate} />
        <div className="field">
          <span className="field-name">From the soil upwards</span>
          <ol className="build-up-layers">
            {typed.map((layer, i) => (
              <li key={layer.key}>
                <QuantityInput
                  name={`Thickness of layer ${i + 1}`}
                  quantity="length"
                  value={layer.thickness}
                  isWrong={isWrong(layers[i]!)}
                  onChange={(thickness) => set(layer.key, { thickness })}
                />
                <Select
                  aria-label={`Material of layer ${i + 1}`}
                  value={layer.materialId}
                  onChange={(materialId) => set(layer.key, { materialId })}
                  showSearch={BY_NAME}
                  options={options}
                  style={{ width: 300 }}
                />
                <span className="soft">{layerNote(layer, measures)}</span>
                <Button
                  size="small"
                  type="text"
                  aria-label={`Leave out ${sourceName(layer.materialId, books)}`}
                  onClick={() => setTyped((before) => before.filter(({ key }) => key !== layer.key))}
                >
                  ✕
                </Button>
              </li>
            ))}
          </ol>
        </div>
        <div className="build-up-facts">
          <p>
            <strong className="figure">
              {plainFigure(effort.barrows, 2)} barrows, {effort.trips} trips, {plainFigure(effort.hours, 2)} h
            </strong>{' '}
            <span className="soft">
              for {measures.area(bed.areaM2)} ({measures.mass(effort.massFreshKg)})
            </span>
          </p>
          <p>
            {ready === null
              ? `${waitWords(choice.wait)}; the answers say when.`
              : `Plant from ${fullDate(ready)} (${waitWords(choice.wait)}).`}
          </p>
          {choice.notes.map((note) => (
            <p key={note} className="soft">
              {buildUpNote(note, measures)}
            </p>
          ))}
        </div>
      </div>
      {cautions.length > 0 && (
        <ul className="cautions" aria-label="Mind">
          {cautions.map((words) => (
            <li key={words}>
              <span aria-hidden="true">⚠ </span>
              {words}
            </li>
          ))}
        </ul>
      )}
      <div className="band-foot">
        <Button type="primary" disabled={!isReadable || planned.length === 0} onClick={tryIt}>
          Try it on the bed
        </Button>
        <Button onClick={onBack}>Another build-up</Button>
        <Button onClick={onClose}>Cancel</Button>
        {!isReadable && (
          <span className="field-trouble" role="alert">
            Each thickness must be a number above 0 and at most {measures.thickness(100)}; feet or inches are
            not metres.
          </span>
        )}
      </div>
    </>
  );
}

/** Layers come from outside by their material, or out of a pile by its id; a pile is what it is today. */
function sourceFinder(books: GardenBooks, stocked: readonly StockedLot[]) {
  const known = materialFinder(books);
  return (source: string): Material | undefined => {
    const lotId = chosenLot(source);
    if (lotId === null) return known(source);
    return stocked.find((one) => one.lotId === lotId)?.material ?? undefined;
  };
}

function takenFrom(source: string, stocked: readonly StockedLot[]) {
  const lotId = chosenLot(source);
  const nearest = stocked.find((one) => one.lotId === lotId)?.nearestMaterialId;
  return lotId === null ? { materialId: source } : { lotId, materialId: nearest ?? '' };
}

function sourceName(source: string, books: GardenBooks): string {
  const lotId = chosenLot(source);
  if (lotId === null) return materialName(source, books.materials);
  return books.lots.find(({ id }) => id === lotId)?.name ?? 'a pile';
}

function layerNote(
  { materialId, dugDepthCm, seasonedMonths, afterDays }: TypedLayer,
  measures: Measures,
): string {
  return [
    ...(dugDepthCm > 0 ? [`dug in ${measures.thickness(dugDepthCm)}`] : []),
    ...(seasonedMonths > 0 && chosenLot(materialId) === null ? [`${seasonedMonths} months in a heap`] : []),
    ...(afterDays > 0 ? [`${plainFigure(afterDays / 365, 2)} year${afterDays > 365 ? 's' : ''} later`] : []),
  ].join(', ');
}
