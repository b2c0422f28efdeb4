import { Button, Checkbox, Segmented, Select } from 'antd';
import type { ComponentProps } from 'react';
import { BURN_METHODS } from '../../../records/vocabulary.ts';
import { BURN_METHOD_FACTS, FEEDSTOCK_SHAPES } from '../../../core/yard/index.ts';
import { DRYNESS_WORDS, METHOD_WORDS, SHAPE_WORDS } from '../../../words/char-words.ts';
import { useBooks, useMeasures } from '../../app/garden-context.ts';
import { BY_NAME } from '../../ui/forms/by-name.ts';
import { DateField } from '../../ui/forms/DateField.tsx';
import { Field } from '../../ui/forms/Field.tsx';
import { AmountField, Choice, TextField } from '../../ui/forms/inputs.tsx';
import { materialOptions } from '../../ui/materials/material-options.ts';
import { SEEN_CHIPS } from '../../ui/materials/seen-chips.ts';
import type { BurnFieldsProps, BurnForm, Load } from './burn-form.ts';
import { useSameName } from '../../ui/forms/use-same-name.ts';

/** What is burnt, how and when, load by load. */
export function BurnFeedFields({ form, set, troubles, isNew }: BurnFieldsProps & { isNew: boolean }) {
  const books = useBooks();
  const measures = useMeasures();
  // A pile in stock has a moisture of its own.
  const isFromOutside = [form, ...form.moreLoads].some(({ source }) => source.startsWith('material:'));
  const sameName = useSameName('lots', form.lotName);
  const charLots = books.lots.filter(({ id }) =>
    books.movements.some((one) => one.type === 'burn' && one.lotId === id),
  );
  const options = [
    { label: 'In stock', options: books.lots.map(({ id, name }) => ({ value: `lot:${id}`, label: name })) },
    ...materialOptions(books).map(({ label, options: all }) => ({
      label,
      options: all
        .filter(({ value }) => value !== SEEN_CHIPS)
        .map(({ value, label: words }) => ({ value: `material:${value}`, label: words })),
    })),
  ];
  return (
    <>
      <div className="band-fields">
        <Choice
          name="How"
          value={form.method}
          onChange={(method) => set({ method, charTemperature: BURN_METHOD_FACTS[method].charTemperature })}
          options={BURN_METHODS.map((value) => ({ value, label: METHOD_WORDS[value].name }))}
          width={200}
        />
        <DateField
          name="On"
          value={form.date}
          onChange={(date) => set({ date })}
          trouble={troubles['date']}
        />
        {isNew && (
          <Choice
            name="Its char goes"
            value={charLots.some(({ id }) => id === form.lotId) ? form.lotId : ''}
            onChange={(lotId) => set({ lotId: lotId === '' ? crypto.randomUUID() : lotId })}
            options={[
              { value: '', label: 'into a new drum' },
              ...charLots.map(({ id, name }) => ({ value: id, label: `to ${name}` })),
            ]}
            width={180}
          />
        )}
        {isNew && !charLots.some(({ id }) => id === form.lotId) && (
          <TextField
            name="Call the char"
            isNumber={false}
            value={form.lotName}
            onChange={(lotName) => set({ lotName })}
            hint={sameName}
            width={180}
          />
        )}
      </div>
      <p className="soft hint">{METHOD_WORDS[form.method].how(measures)}</p>
      <LoadFields
        name="Wood"
        load={form}
        onChange={set}
        options={options}
        trouble={troubles['feedstock.0.amount']}
      />
      {form.moreLoads.map((load, i) => (
        <LoadFields
          key={i}
          name={`Load ${i + 2}`}
          load={load}
          onChange={(change) =>
            set({ moreLoads: form.moreLoads.map((one, j) => (j === i ? { ...one, ...change } : one)) })
          }
          onRemove={() => set({ moreLoads: form.moreLoads.filter((_, j) => j !== i) })}
          options={options}
          trouble={troubles[`feedstock.${i + 1}.amount`]}
        />
      ))}
      <Button
        type="text"
        size="small"
        onClick={() =>
          set({
            moreLoads: [
              ...form.moreLoads,
              { source: form.source, wood: { amount: '', unit: form.wood.unit } },
            ],
          })
        }
      >
        Another load on the same fire
      </Button>
      <div className="band-fields">
        {isFromOutside && (
          <div className="field">
            <span className="field-name">It is</span>
            <Segmented<BurnForm['dryness']>
              value={form.dryness}
              onChange={(dryness) => set({ dryness })}
              options={[
                { value: 'dry', label: 'dry' },
                { value: 'halfDry', label: 'some green among it' },
                { value: 'green', label: 'green' },
              ]}
            />
          </div>
        )}
        <div className="field">
          <span className="field-name">In</span>
          <Segmented
            value={form.shape}
            onChange={(shape) => set({ shape })}
            options={FEEDSTOCK_SHAPES.map((value) => ({ value, label: SHAPE_WORDS[value] }))}
          />
        </div>
        <div className="field">
          <span className="field-name">Sorted</span>
          <Checkbox
            checked={form.isOneThickness}
            onChange={(event) => set({ isOneThickness: event.target.checked })}
          >
            all one thickness
          </Checkbox>
        </div>
      </div>
      {isFromOutside && <p className="soft hint">{DRYNESS_WORDS[form.dryness]}</p>}
      {(!form.isOneThickness || (isFromOutside && form.dryness !== 'dry')) && (
        <p className="soft hint">
          {!form.isOneThickness && 'Thin pieces turn to ash while thick ones stay brown: sort them. '}
          {isFromOutside && form.dryness !== 'dry' && 'Green wood is possible among dry, slow and smoky.'}
        </p>
      )}
    </>
  );
}

interface LoadFieldsProps {
  readonly name: string;
  readonly load: Load;
  readonly onChange: (change: Partial<Load>) => void;
  readonly onRemove?: () => void;
  readonly options: NonNullable<ComponentProps<typeof Select>['options']>;
  readonly trouble: string | undefined;
}

/** One load of wood: what, and how much. */
function LoadFields({ name, load, onChange, onRemove, options, trouble }: LoadFieldsProps) {
  return (
    <div className="band-fields">
      <Field name={name}>
        {(control) => (
          <Select
            {...control}
            value={load.source}
            onChange={(source) => onChange({ source })}
            showSearch={BY_NAME}
            style={{ width: 220 }}
            popupMatchSelectWidth={340}
            options={options}
          />
        )}
      </Field>
      <AmountField
        name="How much"
        value={load.wood}
        onChange={(wood) => onChange({ wood })}
        trouble={trouble}
      />
      {onRemove && (
        <div className="field">
          <span className="field-name">&nbsp;</span>
          <Button type="text" size="small" aria-label={`Remove: ${name}`} onClick={onRemove}>
            Remove
          </Button>
        </div>
      )}
    </div>
  );
}
