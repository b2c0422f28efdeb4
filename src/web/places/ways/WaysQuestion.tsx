import { Select } from 'antd';
import { useMemo } from 'react';
import { useBooks } from '../../app/garden-context.ts';
import { DateField } from '../../ui/forms/DateField.tsx';
import { Field } from '../../ui/forms/Field.tsx';
import { Choice } from '../../ui/forms/inputs.tsx';
import { QuantityField } from '../../ui/forms/QuantityField.tsx';
import { materialOptions } from '../../ui/materials/material-options.ts';
import { SEEN_CHIPS } from '../../ui/materials/seen-chips.ts';
import { ANY, LOAD_TO_COME, type WaysForm, type WaysTroubles } from './ways-form.ts';

interface WaysFormProps {
  readonly form: WaysForm;
  readonly onChange: (form: WaysForm) => void;
}

/** Which stuff, how much of it, for which bed. `trouble` is that of the amount. */
export function WaysQuestion({
  form,
  onChange,
  trouble,
}: WaysFormProps & { readonly trouble: string | undefined }) {
  const books = useBooks();
  const set = (change: Partial<WaysForm>) => onChange({ ...form, ...change });
  const isLoad = form.lotId === LOAD_TO_COME;
  return (
    <div className="band-fields ways-question">
      <Choice
        name="What"
        value={form.lotId}
        onChange={(lotId) => set({ lotId })}
        options={[
          ...books.lots.map(({ id, name }) => ({ value: id, label: name })),
          { value: LOAD_TO_COME, label: 'A load to come …' },
          ...(books.lots.length > 1 ? [{ value: ANY, label: 'Whatever does the bed most good' }] : []),
        ]}
        width={230}
      />
      {isLoad && (
        <>
          <MaterialChoice
            name="Of what"
            value={form.materialId}
            onChange={(materialId) => set({ materialId })}
          />
          <DateField name="Arrives" value={form.arrivesOn} onChange={(arrivesOn) => set({ arrivesOn })} />
        </>
      )}
      {form.lotId !== ANY && (
        <QuantityField
          name="How much"
          quantity="volume"
          value={form.amount}
          onChange={(amount) => set({ amount })}
          trouble={trouble}
          hint="empty: as much as does well"
          width={150}
        />
      )}
      <Choice
        name="For"
        value={form.bedId}
        onChange={(bedId) => set({ bedId })}
        options={[
          ...books.beds
            .filter(({ kind }) => kind !== 'path')
            .map(({ id, name }) => ({ value: id, label: name })),
          ...(books.beds.length > 1 ? [{ value: ANY, label: 'Wherever it does most good' }] : []),
        ]}
        width={230}
      />
    </div>
  );
}

/** Other dates, depths and partners than would be proposed; all of it may stay empty. */
export function WhatIfFields({
  form,
  onChange,
  troubles,
}: WaysFormProps & { readonly troubles: WaysTroubles }) {
  const set = (change: Partial<WaysForm>) => onChange({ ...form, ...change });
  return (
    <details>
      <summary>What if …</summary>
      <div className="band-fields">
        <DateField
          name="Not before"
          value={form.notBefore}
          onChange={(notBefore) => set({ notBefore })}
          hint="empty: as soon as it is there"
        />
        <QuantityField
          name="At most, thick"
          quantity="length"
          value={form.most}
          onChange={(most) => set({ most })}
          trouble={troubles.most}
          hint="empty: what does well"
          width={150}
        />
        <QuantityField
          name="Dug in to"
          quantity="length"
          value={form.dugDepth}
          onChange={(dugDepth) => set({ dugDepth })}
          trouble={troubles.dugDepth}
          hint="empty: as a spade mixes"
          width={150}
        />
        <MaterialChoice
          name="Heaped with"
          value={form.partnerId}
          onChange={(partnerId) => set({ partnerId })}
          none="what balances it"
        />
        {form.partnerId !== '' && (
          <QuantityField
            name="How much of that"
            quantity="volume"
            value={form.partnerAmount}
            onChange={(partnerAmount) => set({ partnerAmount })}
            trouble={troubles.partnerAmount}
            width={150}
          />
        )}
      </div>
    </details>
  );
}

interface MaterialChoiceProps {
  readonly name: string;
  readonly value: string;
  readonly onChange: (materialId: string) => void;
  /** What stands for none, where there may be none. */
  readonly none?: string;
}

function MaterialChoice({ name, value, onChange, none }: MaterialChoiceProps) {
  const books = useBooks();
  const options = useMemo(() => materialOptions(books).map(withoutSeenChips), [books]);
  return (
    <Field name={name}>
      {(control) => (
        <Select
          {...control}
          value={value}
          onChange={onChange}
          showSearch={{ optionFilterProp: 'label' }}
          style={{ width: 260 }}
          popupMatchSelectWidth={false}
          options={none === undefined ? options : [{ value: '', label: none }, ...options]}
        />
      )}
    </Field>
  );
}

type Group = ReturnType<typeof materialOptions>[number];

/** Chips that are only seen are described where a load is received. */
const withoutSeenChips = (group: Group): Group => ({
  ...group,
  options: group.options.filter(({ value }) => value !== SEEN_CHIPS),
});
