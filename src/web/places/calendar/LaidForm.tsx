import { useMeasures } from '../../app/garden-context.ts';
import { Button, Select } from 'antd';
import type { LayEntry } from '../../../records/entry.ts';
import type { AmountUnit } from '../../../records/vocabulary.ts';
import { plainFigure } from '../../../words/figures.ts';
import { unitsFor, UNIT_WORDS } from '../../../words/measures.ts';
import { Field } from '../../ui/forms/Field.tsx';
import { DateField } from '../../ui/forms/DateField.tsx';
import { TextField } from '../../ui/forms/inputs.tsx';
import { numberFromText } from '../../ui/forms/parse-number.ts';
import { useRecordForm } from '../../ui/forms/use-record-form.ts';
import { isPastDay, pastDayTrouble } from '../../ui/forms/past-day.ts';
import type { ReallyLaid } from './done-acts.ts';

interface LaidFormProps {
  readonly entry: LayEntry;
  /** ISO date. */
  readonly today: string;
  readonly isSaving: boolean;
  readonly onLaid: (laid: ReallyLaid) => void;
  readonly onClose: () => void;
}

interface LaidFields {
  readonly amount: string;
  readonly unit: AmountUnit;
  readonly date: string;
}

/** What was really spread: the plan's amount to begin with, corrected where it came out otherwise. */
export function LaidForm({ entry, today, isSaving, onLaid, onClose }: LaidFormProps) {
  const measures = useMeasures();
  const { fields, set, submitWith } = useRecordForm<LaidFields>(() => ({
    amount: plainFigure(entry.amount ?? entry.massFreshKg, 4),
    unit: entry.unit ?? 'kg',
    date: today,
  }));
  const { amount, unit, date } = fields;
  const figure = numberFromText(amount);
  const isFit = figure > 0;
  const isPast = isPastDay(date, today);
  return (
    <form
      className="task-form"
      aria-label="What was really spread"
      onSubmit={submitWith(() => {
        if (isFit && isPast) onLaid({ amount: figure, unit, date });
      })}
    >
      <div className="band-fields">
        <TextField
          name="Really spread"
          value={amount}
          onChange={(next) => set({ amount: next })}
          width={84}
          trouble={isFit ? undefined : 'above 0'}
        />
        <Field name="of">
          {(control) => (
            <Select
              {...control}
              value={unit}
              onChange={(next) => set({ unit: next })}
              style={{ width: 142 }}
              popupMatchSelectWidth={false}
              options={unitsFor(measures).map((one) => ({ value: one, label: UNIT_WORDS[one] }))}
            />
          )}
        </Field>
        <DateField
          name="on"
          value={date}
          onChange={(next) => set({ date: next })}
          trouble={pastDayTrouble(date, today)}
        />
      </div>
      <div className="band-foot">
        <Button size="small" type="primary" htmlType="submit" loading={isSaving}>
          Save as spread
        </Button>
        <Button size="small" type="text" onClick={onClose}>
          Cancel
        </Button>
      </div>
    </form>
  );
}
