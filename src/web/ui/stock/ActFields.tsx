import { useBooks } from '../../app/garden-context.ts';
import { Button } from 'antd';
import type { LotRecord } from '../../../records/lot.ts';
import { LOT_FORMS } from '../../../records/vocabulary.ts';
import { AmountField, Choice, TextField } from '../forms/inputs.tsx';
import { useReader } from '../forms/QuantityField.tsx';
import { typedFrom } from '../forms/typed-quantity.ts';
import { HEAP_FIGURES, HEAP_TEMPERATURE } from '../materials/figure-fields.ts';
import { FigureInputs } from '../materials/FigureInputs.tsx';
import { LOT_FORM_WORDS } from '../../../words/stock-words.ts';
import type { ActForm } from './act-form.ts';
import { useProbe } from './use-instruments.ts';
import { useSameName } from '../forms/use-same-name.ts';

interface FieldsProps {
  readonly form: ActForm;
  readonly set: (change: Partial<ActForm>) => void;
  readonly troubles: Record<string, string>;
}

/** How much goes where. */
export function MoveFields({ form, set, troubles, lot }: FieldsProps & { lot: LotRecord }) {
  const books = useBooks();
  const sameName = useSameName('lots', form.newName);
  return (
    <>
      <AmountField
        name="How much"
        value={form.amount}
        onChange={(amount) => set({ amount })}
        trouble={troubles['amount']}
        autoFocus
      />
      <Choice
        name="To"
        value={form.toLotId}
        onChange={(toLotId) => set({ toLotId })}
        trouble={troubles['toLotId']}
        options={[
          { value: '', label: 'a place of its own' },
          ...books.lots.filter(({ id }) => id !== lot.id).map(({ id, name }) => ({ value: id, label: name })),
        ]}
      />
      {form.toLotId === '' && (
        <>
          <TextField
            name="Call it"
            isNumber={false}
            value={form.newName}
            onChange={(newName) => set({ newName })}
            hint={sameName}
            width={200}
          />
          <Choice
            name="As"
            value={form.newForm}
            onChange={(newForm) => set({ newForm })}
            options={LOT_FORMS.map((value) => ({ value, label: LOT_FORM_WORDS[value] }))}
            width={90}
          />
        </>
      )}
    </>
  );
}

/** What was measured of it. */
export function ReadingFields({ form, set, troubles }: FieldsProps) {
  const reader = useReader();
  const probe = useProbe();
  const { field, quantity } = HEAP_TEMPERATURE;
  const measure = () =>
    probe.read((celsius) => {
      const typed = typedFrom(celsius, quantity, { ...reader, digits: 3 });
      set({ figures: { ...form.figures, [field]: typed } });
    });
  return (
    <>
      {probe.isThere && (
        <div className="field">
          <span className="field-name">From the probe</span>
          <span className="tool-result">
            <Button size="small" onClick={measure}>
              Read the probe
            </Button>
          </span>
        </div>
      )}
      <FigureInputs
        fields={HEAP_FIGURES}
        typed={form.figures}
        onChange={(figures) => set({ figures })}
        troubles={{ ...(probe.trouble === null ? {} : { [field]: probe.trouble }), ...troubles }}
        hints={{
          carbonFractionDryBasis: 'by a laboratory',
          nitrogenFractionDryBasis: 'by a laboratory',
        }}
      />
    </>
  );
}
