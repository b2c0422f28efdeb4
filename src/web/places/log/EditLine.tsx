import { observedFields } from '../../../records/journal.ts';
import type { LogLine } from '../../../words/log-lines.ts';
import { useBooks } from '../../app/garden-context.ts';
import { askedOf } from '../../ui/forms/asked-of.ts';
import { DateField } from '../../ui/forms/DateField.tsx';
import { FormFoot } from '../../ui/forms/FormFoot.tsx';
import { TextField } from '../../ui/forms/inputs.tsx';
import { numberFromText } from '../../ui/forms/parse-number.ts';
import { QuantityField, useReader } from '../../ui/forms/QuantityField.tsx';
import { quantityTrouble } from '../../ui/forms/troubles.ts';
import { readQuantity, typedFrom, type QuantityAsked } from '../../ui/forms/typed-quantity.ts';
import { useRecordForm } from '../../ui/forms/use-record-form.ts';
import { isPastDay, pastDayTrouble } from '../../ui/forms/past-day.ts';
import { figureOf, type LineActs } from './use-line-acts.ts';

/** Figures that are quantities, with what the record declares of them; counts and hours are plain numbers. */
const ASKED: Readonly<Record<string, QuantityAsked>> = {
  thicknessCm: askedOf(observedFields.thickness.thicknessCm, 'length'),
  temperatureC: askedOf(observedFields.soilTemperature.temperatureC, 'temperature'),
  massKg: askedOf(observedFields.yield.massKg, 'mass'),
};

/** A line of the log corrected: its day, its words, and its figure where it has one. */
export function EditLine({
  line,
  acts,
  onClose,
}: {
  readonly line: LogLine;
  readonly acts: LineActs;
  readonly onClose: () => void;
}) {
  const { today } = useBooks();
  const reader = useReader();
  const figure = figureOf(line);
  const asked = figure ? ASKED[figure.field] : undefined;
  const { fields, set, wasTried, submitWith, forget } = useRecordForm(() => ({
    date: line.date,
    note: line.note,
    typed: typedFrom(figure && asked ? figure.value : null, asked?.quantity ?? 'length', reader),
    plain: figure && !asked ? String(figure.value) : '',
  }));
  const { date, note, typed, plain } = fields;
  const read = asked ? readQuantity(typed, asked, reader) : null;
  const isPast = isPastDay(date, today);
  const plainValue = figure && !asked ? numberFromText(plain) : null;
  const hasNote = line.book !== 'plantings' || line.key === line.record.id;
  const save = () => {
    if (!isPast || (read && !read.ok) || Number.isNaN(plainValue)) return;
    const value = read?.ok ? read.value : plainValue;
    acts.correct(line, { date, note: note.trim(), value }, () => {
      forget();
      onClose();
    });
  };
  return (
    <form className="task-form" aria-label="Correct the line" onSubmit={submitWith(save)}>
      <div className="band-fields">
        <DateField
          name="On"
          value={date}
          onChange={(next) => set({ date: next })}
          trouble={pastDayTrouble(date, today)}
        />
        {asked && read && (
          <QuantityField
            name="Figure"
            quantity={asked.quantity}
            value={typed}
            onChange={(next) => set({ typed: next })}
            trouble={wasTried ? quantityTrouble(read, 'figure') : undefined}
          />
        )}
        {figure && !asked && (
          <TextField
            name="Figure"
            value={plain}
            onChange={(next) => set({ plain: next })}
            trouble={wasTried && Number.isNaN(plainValue) ? 'a number' : undefined}
          />
        )}
        {hasNote && (
          <TextField
            name="Note"
            value={note}
            onChange={(next) => set({ note: next })}
            width={260}
            isNumber={false}
          />
        )}
      </div>
      <FormFoot
        label="Save the line"
        isSaving={acts.isSaving}
        onClose={onClose}
        troubles={Object.values(acts.troubles)}
      />
    </form>
  );
}
