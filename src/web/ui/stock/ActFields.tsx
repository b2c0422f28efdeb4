import { useBooks } from '../../app/garden-context.ts';
import { Button } from 'antd';
import type { LotRecord } from '../../../records/lot.ts';
import { LOT_FORMS } from '../../../records/vocabulary.ts';
import { AmountField, Choice, TextField } from '../forms/inputs.tsx';
import { formatFixed } from '../../../words/figures.ts';
import { LOT_FORM_WORDS } from '../../../words/stock-words.ts';
import type { ActForm } from './act-form.ts';
import { useProbe } from './use-instruments.ts';

interface FieldsProps {
  readonly form: ActForm;
  readonly set: (change: Partial<ActForm>) => void;
  readonly troubles: Record<string, string>;
}

/** How much goes where. */
export function MoveFields({ form, set, troubles, lot }: FieldsProps & { lot: LotRecord }) {
  const books = useBooks();
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
  const probe = useProbe();
  return (
    <>
      <TextField
        name="Inside, °C"
        value={form.temperatureC}
        onChange={(temperatureC) => set({ temperatureC })}
        trouble={troubles['temperatureC'] ?? probe.trouble ?? undefined}
        autoFocus
      />
      {probe.isThere && (
        <div className="field">
          <span className="field-name">From the probe</span>
          <span className="tool-result">
            <Button
              size="small"
              onClick={() => probe.read((celsius) => set({ temperatureC: formatFixed(celsius, 1) }))}
            >
              read it
            </Button>
          </span>
        </div>
      )}
      <TextField
        name="Water in it, %"
        value={form.moisturePct}
        onChange={(moisturePct) => set({ moisturePct })}
        trouble={troubles['moistureFractionWetBasis']}
        width={110}
      />
      <TextField
        name="Lies at, kg/m³"
        value={form.density}
        onChange={(density) => set({ density })}
        trouble={troubles['bulkDensityKgPerM3']}
        width={110}
      />
      <TextField
        name="Carbon, % of dry"
        value={form.carbonPct}
        onChange={(carbonPct) => set({ carbonPct })}
        trouble={troubles['carbonFractionDryBasis']}
        width={120}
        hint="by a laboratory"
      />
      <TextField
        name="Nitrogen, % of dry"
        value={form.nitrogenPct}
        onChange={(nitrogenPct) => set({ nitrogenPct })}
        trouble={troubles['nitrogenFractionDryBasis']}
        width={130}
        hint="by a laboratory"
      />
    </>
  );
}
