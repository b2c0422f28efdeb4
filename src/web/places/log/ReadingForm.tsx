import { Button } from 'antd';
import { useState, type ReactNode } from 'react';
import { formatFixed } from '../../../words/figures.ts';
import { TextField } from '../../ui/forms/inputs.tsx';
import { numberFromText } from '../../ui/forms/parse-number.ts';
import type { Instrument } from '../../ui/stock/use-instruments.ts';

interface ReadingFormProps<Reading> {
  /** What is measured, with its unit. */
  readonly label: string;
  /** What is written down for a figure in that unit; null when the records cannot hold it. */
  readonly readingOf: (figure: number) => Reading | null;
  readonly onReading: (reading: Reading) => void;
  /** Fills the field with what it measures. */
  readonly instrument?: Instrument;
  readonly children?: ReactNode;
}

/** One measured figure, typed or read off an instrument. */
export function ReadingForm<Reading>(props: ReadingFormProps<Reading>) {
  const { label, readingOf, onReading, instrument, children } = props;
  const [typed, setTyped] = useState('');
  const [isTried, setTried] = useState(false);
  const reading = readingOf(numberFromText(typed));
  return (
    <form
      className="log-panel"
      onSubmit={(event) => {
        event.preventDefault();
        setTried(true);
        if (reading !== null) onReading(reading);
      }}
    >
      <div className="band-fields">
        <TextField
          name={label}
          value={typed}
          onChange={setTyped}
          width={110}
          autoFocus
          trouble={isTried && reading === null ? 'a figure that can be' : (instrument?.trouble ?? undefined)}
        />
        {instrument?.isThere && (
          <div className="field">
            <span className="field-name">&nbsp;</span>
            <Button onClick={() => instrument.read((figure) => setTyped(formatFixed(figure, 1)))}>
              Read the probe
            </Button>
          </div>
        )}
        {children}
        <div className="field">
          <span className="field-name">&nbsp;</span>
          <Button type="primary" htmlType="submit">
            Write it down
          </Button>
        </div>
      </div>
    </form>
  );
}
