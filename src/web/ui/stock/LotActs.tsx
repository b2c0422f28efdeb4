import { useMeasures, useBooks } from '../../app/garden-context.ts';
import { Checkbox, Segmented } from 'antd';
import { useState } from 'react';
import type { LotRecord } from '../../../records/lot.ts';
import { READINESS_SIGNS, REASONS_TAKEN } from '../../../records/vocabulary.ts';
import { DateField } from '../forms/DateField.tsx';
import { useRecordForm } from '../forms/use-record-form.ts';
import { AmountField, Choice, TextField } from '../forms/inputs.tsx';
import { FormFoot } from '../forms/FormFoot.tsx';
import { QuantityField, useReader } from '../forms/QuantityField.tsx';
import { typedFrom, type TypedQuantity } from '../forms/typed-quantity.ts';
import { REASON_WORDS, SIGN_WORDS } from '../../../words/stock-words.ts';
import { actPosting, ACTS, actTroubles, blankAct, type Act, type ActForm } from './act-form.ts';
import { MoveFields, ReadingFields } from './ActFields.tsx';
import { Judging } from './JudgingTools.tsx';
import { TreatmentFields } from './TreatmentFields.tsx';
import { otherTroubles, useStockPost } from './use-stock-post.ts';

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
  takeOut: 'Taken from stock.',
  turn: 'Turned.',
  water: 'Watered.',
  reading: 'Measured.',
  sign: 'Noted.',
  stocktake: 'Counted; the difference is posted.',
  keep: 'Kept otherwise from now on.',
};

interface LotActsProps {
  readonly lot: LotRecord;
  readonly onClose: () => void;
  readonly first?: Act;
}

/** Something is done to a lot, or found out about it. */
export function LotActs({ lot, onClose, first = 'move' }: LotActsProps) {
  const books = useBooks();
  const measures = useMeasures();
  const reader = useReader();
  const [act, setAct] = useState<Act>(first);
  const {
    fields: form,
    set,
    submitWith,
  } = useRecordForm<ActForm>(() => blankAct(books, lot, { measures, reader }));
  const { send, troubles: refused, isSaving } = useStockPost(books.garden.id);
  const [triedAct, setTriedAct] = useState<Act | null>(null);
  const typedWrong = actTroubles(act, form, reader);
  const troubles = { ...refused, ...(triedAct === act ? typedWrong : {}) };
  const fields = { form, set, troubles };
  const shown = { ...reader, digits: 3 };
  const setFigure = (field: string, value: TypedQuantity) =>
    set({ figures: { ...form.figures, [field]: value } });
  return (
    <form
      className="band"
      aria-label="Something is done"
      onSubmit={submitWith(() => {
        setTriedAct(act);
        if (Object.keys(typedWrong).length > 0) return;
        send(actPosting({ act, form, lot, today: books.today, reader }), DONE_WORDS[act], onClose);
      })}
    >
      <Segmented
        className="band-types"
        value={act}
        onChange={setAct}
        options={ACTS.map((value) => ({ value, label: ACT_WORDS[value] }))}
      />
      <div className="band-fields">
        {act === 'move' && <MoveFields {...fields} lot={lot} />}
        {act === 'takeOut' && (
          <>
            <AmountField
              name="How much"
              value={form.amount}
              onChange={(amount) => set({ amount })}
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
          <QuantityField
            name="Water"
            quantity="volume"
            value={form.water}
            onChange={(water) => set({ water })}
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
            trouble={troubles['amount']}
            hint="0 when nothing is left"
            autoFocus
          />
        )}
        {act === 'keep' && <TreatmentFields name="From now on" treatment={form} onChange={set} />}
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
          onDensity={(density) => setFigure('bulkDensityKgPerM3', typedFrom(density, 'bulkDensity', shown))}
          onMoisture={(share) => setFigure('moistureFractionWetBasis', typedFrom(share, 'share', shown))}
        />
      )}
      <FormFoot
        label={form.date > books.today ? 'Save planned entry' : 'Save entry'}
        isSaving={isSaving}
        onClose={onClose}
        troubles={otherTroubles(troubles, SHOWN)}
      />
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
