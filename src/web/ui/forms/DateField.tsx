import { CalendarOutlined } from '@ant-design/icons';
import { Button, Input } from 'antd';
import { useRef, useState } from 'react';
import { ownFigureOrder, readDate, shownDate } from './date-text.ts';
import { Field } from './Field.tsx';

interface DateFieldProps {
  readonly name: string;
  /** An ISO date; empty for none. */
  readonly value: string;
  /** Gets an ISO date, or nothing while what is typed is no date. */
  readonly onChange: (value: string) => void;
  readonly trouble?: string | undefined;
  readonly hint?: string | undefined;
}

const order = ownFigureOrder();

/** A day, typed as people write one, or chosen from the calendar of the browser. */
export function DateField({ name, value, onChange, trouble, hint }: DateFieldProps) {
  const [typed, setTyped] = useState<{ readonly text: string; readonly iso: string } | null>(null);
  const [near, setNear] = useState(value);
  const chooser = useRef<HTMLInputElement>(null);
  const isOwn = typed?.iso === value;
  const text = isOwn ? typed.text : shownDate(value);
  const take = (iso: string) => {
    if (iso !== '') setNear(iso);
    onChange(iso);
  };
  const type = (next: string) => {
    const iso = readDate(next, near, order) ?? '';
    setTyped({ text: next, iso });
    take(iso);
  };
  const isUnreadable = isOwn && value === '' && text.trim() !== '';
  return (
    <Field
      name={name}
      trouble={isUnreadable ? `${name}: write a date, for example 14 May 2026.` : trouble}
      hint={hint}
    >
      {(control) => (
        <span className="date-field">
          <Input
            {...control}
            value={text}
            onChange={(event) => type(event.target.value)}
            onBlur={() => value !== '' && setTyped(null)}
            autoComplete="off"
            style={{ width: 116 }}
          />
          <Button
            aria-label="Choose a day from the calendar"
            icon={<CalendarOutlined />}
            onClick={() => chooser.current?.showPicker()}
          />
          <input
            ref={chooser}
            type="date"
            tabIndex={-1}
            aria-hidden="true"
            value={value}
            onChange={(event) => {
              setTyped(null);
              take(event.target.value);
            }}
          />
        </span>
      )}
    </Field>
  );
}
