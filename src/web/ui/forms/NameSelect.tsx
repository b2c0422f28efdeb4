import { Select, type SelectProps } from 'antd';
import { useMemo, useState } from 'react';
import { searchNames, type Named } from '../../../words/name-search.ts';
import type { FieldControl } from './Field.tsx';

interface Choosable extends Named {
  readonly id: string;
}

interface NameSelectProps<One extends Choosable> {
  readonly control: FieldControl;
  readonly value: string;
  readonly all: readonly One[];
  /** Under which heading one stands while nothing is typed. */
  readonly headingOf: (one: One) => string;
  readonly onChange: (id: string) => void;
  readonly width: number;
}

/** One of many by any of its names: under headings at first, the best answers first once something is typed. */
export function NameSelect<One extends Choosable>({
  control,
  value,
  all,
  headingOf,
  onChange,
  width,
}: NameSelectProps<One>) {
  const [typed, setTyped] = useState('');
  const options = useMemo((): NonNullable<SelectProps['options']> => {
    const optionOf = ({ id, name }: One) => ({ value: id, label: name });
    if (typed.trim() !== '') return searchNames(typed, all).map(optionOf);
    return [...new Set(all.map(headingOf))].map((heading) => ({
      label: heading,
      options: all.filter((one) => headingOf(one) === heading).map(optionOf),
    }));
  }, [typed, all, headingOf]);
  return (
    <Select
      {...control}
      value={value}
      onChange={(id: string) => onChange(id)}
      showSearch={{ filterOption: false, onSearch: setTyped }}
      style={{ width }}
      options={options}
      notFoundContent="Nothing is called so. Try another of its names."
    />
  );
}
