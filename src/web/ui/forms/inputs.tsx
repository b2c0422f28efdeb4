import { useMeasures } from '../../app/garden-context.ts';
import { Input, Select } from 'antd';
import type { AmountUnit } from '../../../records/vocabulary.ts';
import { stockUnits, UNIT_WORDS } from '../../../words/measures.ts';
import { Field } from './Field.tsx';

interface Common {
  readonly name: string;
  readonly trouble?: string | undefined;
  readonly hint?: string | undefined;
}

interface TextFieldProps extends Common {
  readonly value: string;
  readonly onChange: (value: string) => void;
  readonly width?: number;
  /** Figures get the number keys of a phone. */
  readonly isNumber?: boolean;
  readonly autoFocus?: boolean;
}

/** A line of text or a figure, as typed. */
export function TextField({
  value,
  onChange,
  width = 90,
  isNumber = true,
  autoFocus = false,
  ...field
}: TextFieldProps) {
  return (
    <Field {...field}>
      {(control) => (
        <Input
          {...control}
          value={value}
          onChange={(event) => onChange(event.target.value)}
          inputMode={isNumber ? 'decimal' : 'text'}
          style={{ width }}
          autoFocus={autoFocus}
        />
      )}
    </Field>
  );
}

export interface TypedAmount {
  readonly amount: string;
  readonly unit: AmountUnit;
}

interface AmountFieldProps extends Common {
  readonly value: TypedAmount;
  readonly onChange: (value: TypedAmount) => void;
  readonly autoFocus?: boolean;
}

/** So much of something, in whatever unit is at hand. */
export function AmountField({ value, onChange, autoFocus = false, ...field }: AmountFieldProps) {
  const measures = useMeasures();
  return (
    <>
      <TextField
        {...field}
        value={value.amount}
        onChange={(amount) => onChange({ ...value, amount })}
        width={84}
        autoFocus={autoFocus}
      />
      <Field name="of">
        {(control) => (
          <Select
            {...control}
            value={value.unit}
            onChange={(unit: AmountUnit) => onChange({ ...value, unit })}
            style={{ width: 142 }}
            popupMatchSelectWidth={false}
            options={stockUnits(measures).map((unit) => ({ value: unit, label: UNIT_WORDS[unit] }))}
          />
        )}
      </Field>
    </>
  );
}

interface ChoiceProps<Value extends string> extends Common {
  readonly value: Value | null;
  readonly onChange: (value: Value) => void;
  readonly options: readonly { readonly value: Value; readonly label: string }[];
  readonly width?: number;
  readonly placeholder?: string;
}

/** One of a list. */
export function Choice<Value extends string>({
  value,
  onChange,
  options,
  width = 200,
  placeholder,
  ...field
}: ChoiceProps<Value>) {
  return (
    <Field {...field}>
      {(control) => (
        <Select<Value>
          {...control}
          {...(value === null ? {} : { value })}
          onChange={onChange}
          style={{ width }}
          placeholder={placeholder}
          popupMatchSelectWidth={false}
          showSearch={{ optionFilterProp: 'label' }}
          options={[...options]}
        />
      )}
    </Field>
  );
}
