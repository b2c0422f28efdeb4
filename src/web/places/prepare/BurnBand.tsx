import { BY_NAME } from '../../ui/forms/by-name.ts';
import { useMeasures, useBooks } from '../../app/garden-context.ts';
import { Button, Checkbox, Segmented, Select } from 'antd';
import type { ComponentProps } from 'react';
import type { GardenBooks } from '../../../contract/garden-books.ts';
import { BURN_METHODS, CHAR_TEMPERATURES } from '../../../records/vocabulary.ts';
import { BURN_METHOD_FACTS, FEEDSTOCK_SHAPES, isFoundCold } from '../../../core/yard/index.ts';
import { sentencesOf } from '../../api/failures.ts';
import { useChangeMovement } from '../../api/stock.ts';
import { DateField } from '../../ui/forms/DateField.tsx';
import { AmountField, Choice, TextField } from '../../ui/forms/inputs.tsx';
import { FormFoot } from '../../ui/forms/FormFoot.tsx';
import { useRecordForm } from '../../ui/forms/use-record-form.ts';
import { Field } from '../../ui/forms/Field.tsx';
import {
  BURN_WARNING_WORDS,
  DRYNESS_WORDS,
  firingWords,
  METHOD_WORDS,
  SHAPE_WORDS,
} from '../../../words/char-words.ts';
import type { Measures } from '../../../words/measures.ts';
import { materialOptions } from '../../ui/materials/material-options.ts';
import { SEEN_CHIPS } from '../../ui/materials/seen-chips.ts';
import { QuantityField, useReader } from '../../ui/forms/QuantityField.tsx';
import { quantityTroubles } from '../../ui/forms/troubles.ts';
import type { Reader } from '../../ui/forms/typed-quantity.ts';
import { BurnSteps } from './BurnSteps.tsx';
import { otherTroubles, useStockPost } from '../../ui/stock/use-stock-post.ts';
import {
  blankBurn,
  burnFormOf,
  burnPosting,
  readQuenchWater,
  withStep,
  type BurnForm,
  type BurnRecord,
  type Load,
} from './burn-form.ts';

interface BurnBandProps {
  /** The burn to go on with; null for a new one. */
  readonly burn: BurnRecord | null;
  readonly onClose: () => void;
}

/** A burn from the sorted wood to measured char: a checklist with a clock, saved whenever one likes. */
export function BurnBand({ burn, onClose }: BurnBandProps) {
  const books = useBooks();
  const measures = useMeasures();
  const reader = useReader();
  const {
    fields: form,
    set,
    submitWith,
  } = useRecordForm<BurnForm>(() => startOf(books, burn, { measures, reader }));
  const { send, troubles: refused, isSaving } = useStockPost(books.garden.id);
  const change = useChangeMovement();
  const ofWater = quantityTroubles({ 'log.quenchWaterL': readQuenchWater(form, reader) });
  const troubles = { ...sentencesOf(change.error), ...refused, ...ofWater };
  const facts = BURN_METHOD_FACTS[form.method];
  const name = form.lotName.trim() === '' ? `Char of ${form.date}` : form.lotName;
  const save = () => {
    const { id, ...movement } = burnPosting(form, reader);
    if (burn) {
      change.mutate(
        { movementId: id, change: { ...movement, version: burn.version } },
        { onSuccess: onClose },
      );
      return;
    }
    const lot = {
      id: form.lotId,
      name,
      form: 'drum' as const,
      keeping: 'shut' as const,
      isTurned: false,
      isHot: false,
      reserveL: 0,
      note: '',
    };
    const isNewLot = !books.lots.some((one) => one.id === form.lotId);
    const lots = isNewLot ? [lot] : [];
    send({ lots, movements: [{ id, ...movement }] }, 'The burn is saved.', onClose);
  };
  return (
    <form
      className="band"
      aria-label={burn ? 'Go on with a burn' : 'Record a burn'}
      onSubmit={submitWith(() => {
        if (Object.keys(ofWater).length === 0) save();
      })}
    >
      <Warnings warnings={facts.warnings} />
      <div className="two-columns">
        <div>
          <FeedFields form={form} set={set} troubles={troubles} isNew={!burn} />
          <CharFields form={form} set={set} troubles={troubles} />
        </div>
        <BurnSteps form={form} onTick={(step) => set(withStep(form, step, new Date().toISOString()))} />
      </div>
      <FormFoot
        label={form.char.amount === '' ? 'Save the burn so far' : 'Save the char'}
        isSaving={isSaving || change.isPending}
        onClose={onClose}
        troubles={otherTroubles(troubles, SHOWN)}
      />
    </form>
  );
}

const SHOWN = [
  'feedstock.0.amount',
  'yield.amount',
  'yield.moistureFractionWetBasis',
  'unburntShare',
  'date',
  'log.quenchWaterL',
  'log.coldCheckedOn',
];

function startOf(
  books: GardenBooks,
  burn: BurnRecord | null,
  { measures, reader }: { readonly measures: Measures; readonly reader: Reader },
): BurnForm {
  const blank = blankBurn(books.today, 'material:log_wood', {
    mass: measures.massUnit,
    volume: measures.bucketUnit,
  });
  if (!burn) return blank;
  return burnFormOf(burn, books.lots.find(({ id }) => id === burn.lotId)?.name ?? '', { blank, reader });
}

function Warnings({ warnings }: { warnings: readonly string[] }) {
  return (
    <div className="trouble burn-warnings" role="note">
      <strong>Before you light anything</strong>
      <ul className="caution-list">
        {warnings.map((code) => (
          <li key={code}>{BURN_WARNING_WORDS[code]}</li>
        ))}
      </ul>
    </div>
  );
}

interface FieldsProps {
  readonly form: BurnForm;
  readonly set: (change: Partial<BurnForm>) => void;
  readonly troubles: Record<string, string>;
}

function FeedFields({ form, set, troubles, isNew }: FieldsProps & { isNew: boolean }) {
  const books = useBooks();
  const measures = useMeasures();
  // A pile in stock has a moisture of its own.
  const isFromOutside = [form, ...form.moreLoads].some(({ source }) => source.startsWith('material:'));
  const charLots = books.lots.filter(({ id }) =>
    books.movements.some((one) => one.type === 'burn' && one.lotId === id),
  );
  const options = [
    { label: 'In stock', options: books.lots.map(({ id, name }) => ({ value: `lot:${id}`, label: name })) },
    ...materialOptions(books).map(({ label, options: all }) => ({
      label,
      options: all
        .filter(({ value }) => value !== SEEN_CHIPS)
        .map(({ value, label: words }) => ({ value: `material:${value}`, label: words })),
    })),
  ];
  return (
    <>
      <div className="band-fields">
        <Choice
          name="How"
          value={form.method}
          onChange={(method) => set({ method, charTemperature: BURN_METHOD_FACTS[method].charTemperature })}
          options={BURN_METHODS.map((value) => ({ value, label: METHOD_WORDS[value].name }))}
          width={200}
        />
        <DateField
          name="On"
          value={form.date}
          onChange={(date) => set({ date })}
          trouble={troubles['date']}
        />
        {isNew && (
          <Choice
            name="Its char goes"
            value={charLots.some(({ id }) => id === form.lotId) ? form.lotId : ''}
            onChange={(lotId) => set({ lotId: lotId === '' ? crypto.randomUUID() : lotId })}
            options={[
              { value: '', label: 'into a new drum' },
              ...charLots.map(({ id, name }) => ({ value: id, label: `to ${name}` })),
            ]}
            width={180}
          />
        )}
        {isNew && !charLots.some(({ id }) => id === form.lotId) && (
          <TextField
            name="Call the char"
            isNumber={false}
            value={form.lotName}
            onChange={(lotName) => set({ lotName })}
            width={180}
          />
        )}
      </div>
      <p className="soft hint">{METHOD_WORDS[form.method].how(measures)}</p>
      <LoadFields
        name="Wood"
        load={form}
        onChange={set}
        options={options}
        trouble={troubles['feedstock.0.amount']}
      />
      {form.moreLoads.map((load, i) => (
        <LoadFields
          key={i}
          name={`Load ${i + 2}`}
          load={load}
          onChange={(change) =>
            set({ moreLoads: form.moreLoads.map((one, j) => (j === i ? { ...one, ...change } : one)) })
          }
          onRemove={() => set({ moreLoads: form.moreLoads.filter((_, j) => j !== i) })}
          options={options}
          trouble={troubles[`feedstock.${i + 1}.amount`]}
        />
      ))}
      <Button
        type="text"
        size="small"
        onClick={() =>
          set({
            moreLoads: [
              ...form.moreLoads,
              { source: form.source, wood: { amount: '', unit: form.wood.unit } },
            ],
          })
        }
      >
        Another load on the same fire
      </Button>
      <div className="band-fields">
        {isFromOutside && (
          <div className="field">
            <span className="field-name">It is</span>
            <Segmented<BurnForm['dryness']>
              value={form.dryness}
              onChange={(dryness) => set({ dryness })}
              options={[
                { value: 'dry', label: 'dry' },
                { value: 'halfDry', label: 'some green among it' },
                { value: 'green', label: 'green' },
              ]}
            />
          </div>
        )}
        <div className="field">
          <span className="field-name">In</span>
          <Segmented
            value={form.shape}
            onChange={(shape) => set({ shape })}
            options={FEEDSTOCK_SHAPES.map((value) => ({ value, label: SHAPE_WORDS[value] }))}
          />
        </div>
        <div className="field">
          <span className="field-name">Sorted</span>
          <Checkbox
            checked={form.isOneThickness}
            onChange={(event) => set({ isOneThickness: event.target.checked })}
          >
            all one thickness
          </Checkbox>
        </div>
      </div>
      {isFromOutside && <p className="soft hint">{DRYNESS_WORDS[form.dryness]}</p>}
      {(!form.isOneThickness || (isFromOutside && form.dryness !== 'dry')) && (
        <p className="soft hint">
          {!form.isOneThickness && 'Thin pieces turn to ash while thick ones stay brown: sort them. '}
          {isFromOutside && form.dryness !== 'dry' && 'Green wood is possible among dry, slow and smoky.'}
        </p>
      )}
    </>
  );
}

interface LoadFieldsProps {
  readonly name: string;
  readonly load: Load;
  readonly onChange: (change: Partial<Load>) => void;
  readonly onRemove?: () => void;
  readonly options: NonNullable<ComponentProps<typeof Select>['options']>;
  readonly trouble: string | undefined;
}

/** One load of wood: what, and how much. */
function LoadFields({ name, load, onChange, onRemove, options, trouble }: LoadFieldsProps) {
  return (
    <div className="band-fields">
      <Field name={name}>
        {(control) => (
          <Select
            {...control}
            value={load.source}
            onChange={(source) => onChange({ source })}
            showSearch={BY_NAME}
            style={{ width: 220 }}
            popupMatchSelectWidth={340}
            options={options}
          />
        )}
      </Field>
      <AmountField
        name="How much"
        value={load.wood}
        onChange={(wood) => onChange({ wood })}
        trouble={trouble}
      />
      {onRemove && (
        <div className="field">
          <span className="field-name">&nbsp;</span>
          <Button type="text" size="small" aria-label={`Remove: ${name}`} onClick={onRemove}>
            Remove
          </Button>
        </div>
      )}
    </div>
  );
}

/** Quenched char holds its own weight of water and more; by hand one tells no more than this (set here). */
const CHAR_FEELS = {
  dusty: { words: 'dry, it dusts', moisturePct: '10' },
  damp: { words: 'damp, no water runs', moisturePct: '35' },
  dripping: { words: 'dripping wet', moisturePct: '60' },
} as const;
type CharFeel = keyof typeof CHAR_FEELS;
const CHAR_FEEL_NAMES = Object.keys(CHAR_FEELS) as CharFeel[];

const feltAs = (moisturePct: string): CharFeel | undefined =>
  CHAR_FEEL_NAMES.find((feel) => CHAR_FEELS[feel].moisturePct === moisturePct.trim());

function CharFields({ form, set, troubles }: FieldsProps) {
  const measures = useMeasures();
  return (
    <>
      <div className="band-fields">
        <div className="field">
          <span className="field-name">Quenched with</span>
          <Segmented<BurnForm['quench']>
            value={form.quench}
            onChange={(quench) => set({ quench })}
            options={[
              { value: 'water', label: 'water' },
              { value: 'soil', label: 'soil' },
              { value: 'closed', label: 'closed up' },
            ]}
          />
        </div>
        {form.quench === 'water' && (
          <QuantityField
            name="Water"
            quantity="volume"
            value={form.quenchWater}
            onChange={(quenchWater) => set({ quenchWater })}
            trouble={troubles['log.quenchWaterL']}
            hint="catch it in a heap"
          />
        )}
        <DateField
          name="Found cold to the bottom on"
          value={form.coldCheckedOn}
          onChange={(coldCheckedOn) => set({ coldCheckedOn })}
          trouble={troubles['log.coldCheckedOn']}
          hint={
            form.coldCheckedOn !== '' && !isFoundCold(form.date, form.coldCheckedOn)
              ? 'look again the day after: heaps re-light hours later'
              : 'the day after, at the earliest'
          }
        />
      </div>
      {form.quench !== 'water' && (
        <p className="soft hint">
          Smothered it takes longer: check for two days. Char left to cool dry sheds water for a long time.
        </p>
      )}
      <div className="band-fields">
        <TextField
          name="Not charred, % of the wood"
          value={form.unburntPct}
          onChange={(unburntPct) => set({ unburntPct })}
          trouble={troubles['unburntShare']}
          hint={form.source.startsWith('lot:') ? 'goes back to the pile' : 'leaves the books with the wood'}
          width={170}
        />
        <AmountField
          name="Char"
          value={form.char}
          onChange={(char) => set({ char })}
          trouble={troubles['yield.amount']}
          hint="empty until it is cold and measured"
        />
        <Field name="It feels">
          {(control) => (
            <Select
              {...control}
              value={feltAs(form.charMoisturePct) ?? null}
              placeholder="measured"
              onChange={(feel: CharFeel) => set({ charMoisturePct: CHAR_FEELS[feel].moisturePct })}
              style={{ width: 190 }}
              options={CHAR_FEEL_NAMES.map((value) => ({ value, label: CHAR_FEELS[value].words }))}
            />
          )}
        </Field>
        <TextField
          name="Moisture, %"
          value={form.charMoisturePct}
          onChange={(charMoisturePct) => set({ charMoisturePct })}
          trouble={troubles['yield.moistureFractionWetBasis']}
          hint="better: weigh some, dry it, weigh again"
          width={110}
        />
        <Choice
          name="Fired at"
          value={form.charTemperature}
          onChange={(charTemperature) => set({ charTemperature })}
          options={CHAR_TEMPERATURES.map((value) => ({ value, label: firingWords(value, measures) }))}
          width={150}
        />
        <TextField
          name="Note"
          isNumber={false}
          value={form.note}
          onChange={(note) => set({ note })}
          width={200}
        />
      </div>
    </>
  );
}
