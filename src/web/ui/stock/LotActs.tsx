import { useMeasures, useBooks } from '../../app/garden-context.ts';
import { Checkbox, Segmented } from 'antd';
import { useState } from 'react';
import type { LotRecord } from '../../../records/lot.ts';
import { READINESS_SIGNS, REASONS_TAKEN } from '../../../records/vocabulary.ts';
import { AmountField, Choice, DateField, TextField } from '../forms/inputs.tsx';
import { FormFoot } from '../forms/FormFoot.tsx';
import { plainFigure } from '../../../words/figures.ts';
import { REASON_WORDS, SIGN_WORDS } from '../../../words/stock-words.ts';
import { actPosting, ACTS, blankAct, type Act, type ActForm } from './act-form.ts';
import { MoveFields, ReadingFields } from './ActFields.tsx';
import { Judging } from './JudgingTools.tsx';
import { PERCENT } from './receive-form.ts';
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
  takeOut: 'Taken out of the stock.',
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
  const [act, setAct] = useState<Act>(first);
  const [form, setForm] = useState(() => blankAct(books, lot, measures));
  const set = (change: Partial<ActForm>) => setForm((before) => ({ ...before, ...change }));
  const { send, troubles, isSaving } = useStockPost(books.garden.id);
  const fields = { form, set, troubles, measures };
  return (
    <form
      className="band"
      aria-label="Something is done"
      onSubmit={(event) => {
        event.preventDefault();
        send(actPosting({ act, form, lot, today: books.today }), DONE_WORDS[act], onClose);
      }}
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
          onDensity={(density) => set({ density: plainFigure(density) })}
          onMoisture={(moisture) => set({ moisturePct: plainFigure(moisture * PERCENT) })}
        />
      )}
      <FormFoot
        label={form.date > books.today ? 'Write into the plan' : 'Write into the book'}
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
