import { Button } from 'antd';
import type { ReactNode } from 'react';
import { QuantityField, useReader } from '../forms/QuantityField.tsx';
import { quantityTrouble } from '../forms/troubles.ts';
import { useRecordForm } from '../forms/use-record-form.ts';
import {
  NOTHING_TYPED,
  readQuantity,
  retyped,
  typedFrom,
  type QuantityAsked,
} from '../forms/typed-quantity.ts';
import type { Instrument } from '../stock/use-instruments.ts';

interface ReadingFormProps {
  /** What is measured. */
  readonly label: string;
  readonly asked: QuantityAsked;
  /** Gets the figure in the base unit of its quantity. */
  readonly onReading: (value: number) => void;
  /** Fills the field with what it measures, in the base unit. */
  readonly instrument?: Instrument;
  readonly children?: ReactNode;
}

/** One measured figure, typed or read off an instrument. */
export function ReadingForm(props: ReadingFormProps) {
  const { label, asked, onReading, instrument, children } = props;
  const reader = useReader();
  const { fields, set, wasTried, submitWith } = useRecordForm(() => ({ typed: NOTHING_TYPED }));
  const { typed } = fields;
  const read = readQuantity(typed, asked, reader);
  const measure = () =>
    instrument?.read((value) =>
      set({ typed: retyped(typed, typedFrom(value, asked.quantity, reader).text) }),
    );
  return (
    <form
      className="log-panel"
      onSubmit={submitWith(() => {
        if (read.ok && read.value !== null) onReading(read.value);
      })}
    >
      <div className="band-fields">
        <QuantityField
          name={label}
          quantity={asked.quantity}
          value={typed}
          onChange={(next) => set({ typed: next })}
          autoFocus
          trouble={(wasTried ? quantityTrouble(read, label) : undefined) ?? instrument?.trouble ?? undefined}
        />
        {instrument?.isThere && (
          <div className="field">
            <span className="field-name">&nbsp;</span>
            <Button onClick={measure}>Read the probe</Button>
          </div>
        )}
        {children}
        <div className="field">
          <span className="field-name">&nbsp;</span>
          <Button type="primary" htmlType="submit">
            Save
          </Button>
        </div>
      </div>
    </form>
  );
}
