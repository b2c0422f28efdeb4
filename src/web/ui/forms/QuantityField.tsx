import { Input } from 'antd';
import { useMemo } from 'react';
import { formatQuantity } from '../../../quantities/format-quantity.ts';
import { QUANTITIES } from '../../../quantities/units.ts';
import type { Quantity } from '../../../refusals/refusal.ts';
import { useBooks } from '../../app/garden-context.ts';
import { Field } from './Field.tsx';
import { readerOf, retyped, understoodValue, type Reader, type TypedQuantity } from './typed-quantity.ts';

/** The units of the open garden, and how this reader writes numbers. */
export function useReader(): Reader {
  const { measures } = useBooks().garden;
  return useMemo(() => readerOf(measures), [measures]);
}

interface QuantityFieldProps {
  readonly name: string;
  readonly quantity: Quantity;
  readonly value: TypedQuantity;
  readonly onChange: (value: TypedQuantity) => void;
  readonly trouble?: string | undefined;
  readonly hint?: string | undefined;
  readonly width?: number;
  readonly autoFocus?: boolean;
  /** Other units than the garden's, while they are being chosen. */
  readonly reader?: Reader;
}

/** A figure with its unit, in the units of the open garden or others. */
export function QuantityField({ reader, ...field }: QuantityFieldProps) {
  const ownReader = useReader();
  return <QuantityFieldIn {...field} reader={reader ?? ownReader} />;
}

/** The same where no garden is open: takes any unit of its quantity, and says how it understood what was typed. */
export function QuantityFieldIn({
  name,
  quantity,
  value,
  onChange,
  trouble,
  hint,
  width = 110,
  autoFocus = false,
  reader,
}: QuantityFieldProps & { readonly reader: Reader }) {
  const { symbol } = QUANTITIES[quantity].shown[reader.system];
  const understood = understoodValue(value, quantity, reader);
  const echo = understood === null ? undefined : `= ${formatQuantity(understood, quantity, reader.system)}`;
  return (
    <Field name={`${name}, ${symbol}`} trouble={trouble} hint={echo ?? hint}>
      {(control) => (
        <Input
          {...control}
          value={value.text}
          onChange={(event) => onChange(retyped(value, event.target.value))}
          style={{ width }}
          autoFocus={autoFocus}
        />
      )}
    </Field>
  );
}

interface QuantityInputProps {
  readonly name: string;
  readonly quantity: Quantity;
  readonly value: TypedQuantity;
  readonly onChange: (value: TypedQuantity) => void;
  readonly isWrong: boolean;
  readonly width?: number;
}

/** The same within a line of other things: its unit behind the figure, its name for screen readers only. */
export function QuantityInput({ name, quantity, value, onChange, isWrong, width = 96 }: QuantityInputProps) {
  const { system } = useReader();
  const { symbol } = QUANTITIES[quantity].shown[system];
  return (
    <Input
      aria-label={`${name}, ${symbol}`}
      value={value.text}
      suffix={symbol}
      status={isWrong ? 'error' : ''}
      onChange={(event) => onChange(retyped(value, event.target.value))}
      style={{ width }}
    />
  );
}
