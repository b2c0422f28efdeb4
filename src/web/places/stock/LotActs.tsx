import { Button, Checkbox, Segmented } from 'antd';
import { useState } from 'react';
import type { GardenBooks } from '../../../contract/records.ts';
import type { LotRecord, StockPosting } from '../../../contract/stock-records.ts';
import { KEEPINGS, type Keeping } from '../../../core/stock/keeping.ts';
import {
  LOT_FORMS,
  READINESS_SIGNS,
  REASONS_TAKEN,
  type LotForm,
  type ReadinessSign,
} from '../../../core/stock/stock-records.ts';
import { AmountField, Choice, DateField, TextField, type TypedAmount } from '../../forms/inputs.tsx';
import { numberFromText } from '../../forms/parse-number.ts';
import { fixed, plainFigure } from '../../format/figures.ts';
import type { Measures } from '../../format/measures.ts';
import { KEEPING_WORDS, LOT_FORM_WORDS, REASON_WORDS, SIGN_WORDS } from '../../format/stock-words.ts';
import { Judging } from './JudgingTools.tsx';
import { useProbe } from './use-instruments.ts';
import { otherTroubles, useStockPost } from './use-stock-post.ts';

const ACTS = ['move', 'takeOut', 'turn', 'water', 'reading', 'sign', 'stocktake', 'keep'] as const;
export type Act = (typeof ACTS)[number];

const ACT_WORDS: Record<Act, string> = {
  move: 'Move, split or bag',
  takeOut: 'Give away',
  turn: 'Turn',
  water: 'Water',
  reading: 'Measure',
  sign: 'Look and smell',
  stocktake: 'Count',
  keep: 'Keep otherwise',
};

const DONE_WORDS: Record<Act, string> = {
  move: 'Moved.',
  takeOut: 'Taken out of the stock.',
  turn: 'Turned.',
  water: 'Watered.',
  reading: 'Measured.',
  sign: 'Noted.',
  stocktake: 'Counted; the difference is posted.',
  keep: 'Kept otherwise from now on.',
};

interface Form {
  readonly id: string;
  readonly date: string;
  readonly note: string;
  readonly amount: TypedAmount;
  readonly toLotId: string;
  readonly newLotId: string;
  readonly newName: string;
  readonly newForm: LotForm;
  readonly reason: (typeof REASONS_TAKEN)[number];
  readonly waterL: string;
  readonly temperatureC: string;
  readonly moisturePct: string;
  readonly density: string;
  readonly carbonPct: string;
  readonly nitrogenPct: string;
  readonly signs: readonly ReadinessSign[];
  readonly keeping: Keeping;
  readonly isTurned: boolean;
  readonly isHot: boolean;
}

const blankForm = (books: GardenBooks, lot: LotRecord, measures: Measures): Form => ({
  id: crypto.randomUUID(),
  date: books.today,
  note: '',
  amount: { amount: '', unit: measures.barrowUnit },
  toLotId: '',
  newLotId: crypto.randomUUID(),
  newName: '',
  newForm: 'bag',
  reason: 'given',
  waterL: '',
  temperatureC: '',
  moisturePct: '',
  density: '',
  carbonPct: '',
  nitrogenPct: '',
  signs: [],
  keeping: lot.keeping,
  isTurned: lot.isTurned,
  isHot: lot.isHot,
});

const PERCENT = 100;
const optional = (text: string, scale = 1): number | null =>
  text.trim() === '' ? null : numberFromText(text) / scale;

/** What an act amounts to as a posting. */
function postingOf(act: Act, form: Form, lot: LotRecord, today: string): StockPosting {
  const common = {
    id: form.id,
    state: form.date > today ? ('planned' as const) : ('laid' as const),
    date: form.date,
    note: form.note,
    lotId: lot.id,
  };
  const amount = { amount: numberFromText(form.amount.amount), unit: form.amount.unit };
  const one = (movement: StockPosting['movements'][number]): StockPosting => ({
    lots: [],
    movements: [movement],
  });
  switch (act) {
    case 'move': {
      const isNew = form.toLotId === '';
      const posting = one({
        ...common,
        type: 'move',
        ...amount,
        toLotId: isNew ? form.newLotId : form.toLotId,
      });
      const { keeping, isTurned, isHot } = lot;
      const closed = form.newForm === 'bag' || form.newForm === 'drum';
      const made = {
        id: form.newLotId,
        name: form.newName.trim() === '' ? `${lot.name}, ${LOT_FORM_WORDS[form.newForm]}` : form.newName,
        form: form.newForm,
        keeping: closed ? ('shut' as const) : keeping,
        isTurned: closed ? false : isTurned,
        isHot: closed ? false : isHot,
        reserveL: 0,
        note: '',
      };
      return { ...posting, lots: isNew ? [made] : [] };
    }
    case 'takeOut':
      return one({ ...common, type: 'takeOut', ...amount, reason: form.reason });
    case 'turn':
      return one({ ...common, type: 'turn' });
    case 'water':
      return one({ ...common, type: 'water', waterL: numberFromText(form.waterL) });
    case 'reading':
      return one({
        ...common,
        type: 'reading',
        temperatureC: optional(form.temperatureC),
        moistureFractionWetBasis: optional(form.moisturePct, PERCENT),
        bulkDensityKgPerM3: optional(form.density),
        carbonFractionDryBasis: optional(form.carbonPct, PERCENT),
        nitrogenFractionDryBasis: optional(form.nitrogenPct, PERCENT),
      });
    case 'sign':
      return one({ ...common, type: 'sign', signs: [...form.signs] });
    case 'stocktake':
      return one({ ...common, type: 'stocktake', ...amount });
    case 'keep':
      return one({
        ...common,
        type: 'keep',
        keeping: form.keeping,
        isTurned: form.isTurned,
        isHot: form.isHot,
      });
  }
}

interface LotActsProps {
  readonly books: GardenBooks;
  readonly lot: LotRecord;
  readonly measures: Measures;
  readonly onClose: () => void;
  readonly first?: Act;
}

/** Something is done to a lot, or found out about it. */
export function LotActs({ books, lot, measures, onClose, first = 'move' }: LotActsProps) {
  const [act, setAct] = useState<Act>(first);
  const [form, setForm] = useState(() => blankForm(books, lot, measures));
  const set = (change: Partial<Form>) => setForm((before) => ({ ...before, ...change }));
  const { send, troubles, isSaving } = useStockPost(books.garden.id);
  const fields = { form, set, troubles, measures };
  return (
    <form
      className="band"
      aria-label="Something is done"
      onSubmit={(event) => {
        event.preventDefault();
        send(postingOf(act, form, lot, books.today), DONE_WORDS[act], onClose);
      }}
    >
      <Segmented
        className="band-types"
        value={act}
        onChange={setAct}
        options={ACTS.map((value) => ({ value, label: ACT_WORDS[value] }))}
      />
      <div className="band-fields">
        {act === 'move' && <MoveFields {...fields} books={books} lot={lot} />}
        {act === 'takeOut' && (
          <>
            <AmountField
              name="How much"
              value={form.amount}
              onChange={(amount) => set({ amount })}
              measures={measures}
              trouble={troubles['amount']}
              autoFocus
            />
            <Choice
              name="It was"
              value={form.reason}
              onChange={(reason) => set({ reason })}
              options={REASONS_TAKEN.map((value) => ({ value, label: REASON_WORDS[value] }))}
              width={150}
            />
          </>
        )}
        {act === 'water' && (
          <TextField
            name="Water, L"
            value={form.waterL}
            onChange={(waterL) => set({ waterL })}
            trouble={troubles['waterL']}
            autoFocus
          />
        )}
        {act === 'reading' && <ReadingFields {...fields} />}
        {act === 'stocktake' && (
          <AmountField
            name="Found"
            value={form.amount}
            onChange={(amount) => set({ amount })}
            measures={measures}
            trouble={troubles['amount']}
            hint="0 when nothing is left"
            autoFocus
          />
        )}
        {act === 'keep' && <KeepFields {...fields} />}
        {act === 'sign' && (
          <div className="field">
            <span className="field-name">What do nose, eye and hand say?</span>
            <Checkbox.Group
              value={[...form.signs]}
              onChange={(signs) => set({ signs })}
              options={READINESS_SIGNS.map((value) => ({ value, label: SIGN_WORDS[value] }))}
            />
            {troubles['signs'] !== undefined && <span className="field-trouble">{troubles['signs']}</span>}
          </div>
        )}
        <DateField
          name="When"
          value={form.date}
          onChange={(date) => set({ date })}
          trouble={troubles['date']}
        />
        <TextField
          name="Note"
          isNumber={false}
          value={form.note}
          onChange={(note) => set({ note })}
          width={220}
        />
      </div>
      {act === 'reading' && (
        <Judging
          measures={measures}
          onDensity={(density) => set({ density: plainFigure(density) })}
          onMoisture={(moisture) => set({ moisturePct: plainFigure(moisture * PERCENT) })}
        />
      )}
      <div className="band-foot">
        <Button type="primary" htmlType="submit" loading={isSaving}>
          {form.date > books.today ? 'Write into the plan' : 'Write into the book'}
        </Button>
        <Button onClick={onClose}>Cancel</Button>
        {otherTroubles(troubles, SHOWN).map((sentence) => (
          <span key={sentence} className="field-trouble" role="alert">
            {sentence}
          </span>
        ))}
      </div>
    </form>
  );
}

const SHOWN = [
  'amount',
  'waterL',
  'date',
  'signs',
  'temperatureC',
  'moistureFractionWetBasis',
  'bulkDensityKgPerM3',
  'carbonFractionDryBasis',
  'nitrogenFractionDryBasis',
  'toLotId',
];

interface FieldsProps {
  readonly form: Form;
  readonly set: (change: Partial<Form>) => void;
  readonly troubles: Record<string, string>;
  readonly measures: Measures;
}

function MoveFields({
  form,
  set,
  troubles,
  measures,
  books,
  lot,
}: FieldsProps & { books: GardenBooks; lot: LotRecord }) {
  return (
    <>
      <AmountField
        name="How much"
        value={form.amount}
        onChange={(amount) => set({ amount })}
        measures={measures}
        trouble={troubles['amount']}
        autoFocus
      />
      <Choice
        name="To"
        value={form.toLotId}
        onChange={(toLotId) => set({ toLotId })}
        trouble={troubles['toLotId']}
        options={[
          { value: '', label: 'a place of its own' },
          ...books.lots.filter(({ id }) => id !== lot.id).map(({ id, name }) => ({ value: id, label: name })),
        ]}
      />
      {form.toLotId === '' && (
        <>
          <TextField
            name="Call it"
            isNumber={false}
            value={form.newName}
            onChange={(newName) => set({ newName })}
            width={200}
          />
          <Choice
            name="As"
            value={form.newForm}
            onChange={(newForm) => set({ newForm })}
            options={LOT_FORMS.map((value) => ({ value, label: LOT_FORM_WORDS[value] }))}
            width={90}
          />
        </>
      )}
    </>
  );
}

function ReadingFields({ form, set, troubles }: FieldsProps) {
  const probe = useProbe();
  return (
    <>
      <TextField
        name="Inside, °C"
        value={form.temperatureC}
        onChange={(temperatureC) => set({ temperatureC })}
        trouble={troubles['temperatureC'] ?? probe.trouble ?? undefined}
        autoFocus
      />
      {probe.isThere && (
        <div className="field">
          <span className="field-name">From the probe</span>
          <span className="tool-result">
            <Button
              size="small"
              onClick={() => probe.read((celsius) => set({ temperatureC: fixed(celsius, 1) }))}
            >
              read it
            </Button>
          </span>
        </div>
      )}
      <TextField
        name="Water in it, %"
        value={form.moisturePct}
        onChange={(moisturePct) => set({ moisturePct })}
        trouble={troubles['moistureFractionWetBasis']}
        width={110}
      />
      <TextField
        name="Lies at, kg/m³"
        value={form.density}
        onChange={(density) => set({ density })}
        trouble={troubles['bulkDensityKgPerM3']}
        width={110}
      />
      <TextField
        name="Carbon, % of dry"
        value={form.carbonPct}
        onChange={(carbonPct) => set({ carbonPct })}
        trouble={troubles['carbonFractionDryBasis']}
        width={120}
        hint="by a laboratory"
      />
      <TextField
        name="Nitrogen, % of dry"
        value={form.nitrogenPct}
        onChange={(nitrogenPct) => set({ nitrogenPct })}
        trouble={troubles['nitrogenFractionDryBasis']}
        width={130}
        hint="by a laboratory"
      />
    </>
  );
}

function KeepFields({ form, set }: FieldsProps) {
  return (
    <>
      <Choice
        name="From now on"
        value={form.keeping}
        onChange={(keeping) => set({ keeping })}
        options={KEEPINGS.map((value) => ({ value, label: KEEPING_WORDS[value] }))}
        width={220}
      />
      <div className="field">
        <span className="field-name">And</span>
        <span className="tool-result">
          <Checkbox checked={form.isTurned} onChange={(event) => set({ isTurned: event.target.checked })}>
            turned now and then
          </Checkbox>
          <Checkbox checked={form.isHot} onChange={(event) => set({ isHot: event.target.checked })}>
            heats up by itself
          </Checkbox>
        </span>
      </div>
    </>
  );
}
