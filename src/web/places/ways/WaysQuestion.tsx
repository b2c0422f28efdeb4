import { Select } from 'antd';
import { useMemo } from 'react';
import { useBooks } from '../../app/garden-context.ts';
import { DateField } from '../../ui/forms/DateField.tsx';
import { Field } from '../../ui/forms/Field.tsx';
import { Choice } from '../../ui/forms/inputs.tsx';
import { QuantityField, useReader } from '../../ui/forms/QuantityField.tsx';
import { materialOptions } from '../../ui/materials/material-options.ts';
import { SEEN_CHIPS } from '../../ui/materials/seen-chips.ts';
import { LOAD_TO_COME, type Room, shownAmount, type WaysForm } from './ways-form.ts';

interface WaysQuestionProps {
  readonly form: WaysForm;
  readonly room: Room;
  readonly trouble: string | undefined;
  readonly onChange: (form: WaysForm) => void;
}

/** Which stuff, how much of it, for which bed. */
export function WaysQuestion({ form, room, trouble, onChange }: WaysQuestionProps) {
  const books = useBooks();
  const reader = useReader();
  const set = (change: Partial<WaysForm>) => onChange({ ...form, ...change });
  const options = useMemo(() => materialOptions(books).map(withoutSeenChips), [books]);
  const isLoad = form.lotId === LOAD_TO_COME;
  return (
    <div className="band-fields ways-question">
      <Choice
        name="What"
        value={form.lotId}
        onChange={(lotId) => set({ lotId, amount: null })}
        options={[
          ...books.lots.map(({ id, name }) => ({ value: id, label: name })),
          { value: LOAD_TO_COME, label: 'A load to come …' },
        ]}
        width={200}
      />
      {isLoad && (
        <>
          <Field name="Of what">
            {(control) => (
              <Select
                {...control}
                value={form.materialId}
                onChange={(materialId) => set({ materialId })}
                showSearch={{ optionFilterProp: 'label' }}
                style={{ width: 260 }}
                popupMatchSelectWidth={false}
                options={options}
              />
            )}
          </Field>
          <DateField name="Arrives" value={form.arrivesOn} onChange={(arrivesOn) => set({ arrivesOn })} />
        </>
      )}
      <QuantityField
        name="How much"
        quantity="volume"
        value={shownAmount(form, room, reader)}
        onChange={(amount) => set({ amount })}
        trouble={trouble}
        width={110}
      />
      <Choice
        name="For"
        value={form.bedId}
        onChange={(bedId) => set({ bedId })}
        options={books.beds
          .filter(({ kind }) => kind !== 'path')
          .map(({ id, name }) => ({ value: id, label: name }))}
        width={200}
      />
    </div>
  );
}

type Group = ReturnType<typeof materialOptions>[number];

/** Chips that are only seen are described where a load is received. */
const withoutSeenChips = (group: Group): Group => ({
  ...group,
  options: group.options.filter(({ value }) => value !== SEEN_CHIPS),
});
