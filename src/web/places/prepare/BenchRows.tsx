import { useMeasures } from '../../app/garden-context.ts';
import { MIX_PURPOSES } from '../../../records/vocabulary.ts';
import { Button, Checkbox, Segmented, Select } from 'antd';
import { MIX_TARGETS } from '../../../core/yard/index.ts';
import { carbonToNitrogenRatio } from '../../../core/ground/index.ts';
import { AmountField, Choice, TextField } from '../../ui/forms/inputs.tsx';
import { QuantityField, useReader } from '../../ui/forms/QuantityField.tsx';
import { quantityTrouble } from '../../ui/forms/troubles.ts';
import { Field } from '../../ui/forms/Field.tsx';
import { MIX_PURPOSE_WORDS } from '../../../words/mix-words.ts';
import { ratioFigure } from '../../../words/stock-words.ts';
import {
  aimsOf,
  newRow,
  readDensity,
  readWater,
  type BenchForm,
  type BenchPart,
  type BenchRow,
  type Mixable,
} from './mix-form.ts';

interface RowsProps {
  readonly form: BenchForm;
  readonly set: (change: Partial<BenchForm>) => void;
  readonly known: ReadonlyMap<string, Mixable>;
  readonly parts: readonly BenchPart[];
}

const sourceLabel = ({ name, material }: Mixable): string =>
  `${name} · C:N ${ratioFigure(material.nitrogenFractionDryBasis > 0 ? carbonToNitrogenRatio(material) : null)}`;

/** What lies on the bench, a row each. */
export function BenchRows({ form, set, known, parts }: RowsProps) {
  const measures = useMeasures();
  const reader = useReader();
  const all = [...known.values()];
  const options = [
    {
      label: 'In stock',
      options: all
        .filter(({ thereL }) => thereL !== null)
        .map((one) => ({ value: one.source, label: sourceLabel(one) })),
    },
    {
      label: 'From outside',
      options: all
        .filter(({ thereL }) => thereL === null)
        .map((one) => ({ value: one.source, label: sourceLabel(one) })),
    },
  ];
  const change = (key: string, what: Partial<BenchRow>) =>
    set({ rows: form.rows.map((row) => (row.key === key ? { ...row, ...what } : row)) });
  return (
    <>
      {form.rows.map((row, i) => {
        const part = parts.find((one) => one.row.key === row.key);
        const thereL = part?.mixable.thereL ?? null;
        const isTooMuch = thereL !== null && part !== undefined && part.volumeL > thereL * 1.01;
        return (
          <div key={row.key} className="band-fields bench-row">
            <Field
              name={i === 0 ? 'What' : `What, ${i + 1}`}
              hint={thereL === null ? undefined : `${measures.volume(thereL)} in stock`}
            >
              {(control) => (
                <Select
                  {...control}
                  value={row.source}
                  onChange={(source) => change(row.key, { source })}
                  showSearch={{ optionFilterProp: 'label' }}
                  style={{ width: 250 }}
                  popupMatchSelectWidth={400}
                  listHeight={360}
                  options={options}
                />
              )}
            </Field>
            <AmountField
              name="How much"
              value={row.amount}
              onChange={(amount) => change(row.key, { amount })}
              trouble={isTooMuch ? 'more than is there' : undefined}
            />
            {row.isFree && (
              <>
                <TextField
                  name="at least"
                  value={row.least}
                  onChange={(least) => change(row.key, { least })}
                  width={76}
                />
                <TextField
                  name="at most"
                  value={row.most}
                  onChange={(most) => change(row.key, { most })}
                  width={76}
                  hint={thereL === null ? undefined : 'empty: all there is'}
                />
              </>
            )}
            {form.costMost !== '' && (
              <TextField
                name="price of one"
                value={row.price}
                onChange={(price) => change(row.key, { price })}
                width={84}
              />
            )}
            <div className="field">
              <span className="field-name">Solver</span>
              <span className="tool-result">
                <Checkbox
                  checked={row.isFree}
                  onChange={(event) => change(row.key, { isFree: event.target.checked })}
                >
                  find
                </Checkbox>
                <Button
                  type="text"
                  size="small"
                  aria-label={`Remove: ${part?.mixable.name ?? 'this'}`}
                  disabled={form.rows.length === 1}
                  onClick={() => set({ rows: form.rows.filter(({ key }) => key !== row.key) })}
                >
                  Remove
                </Button>
              </span>
            </div>
          </div>
        );
      })}
      <div className="band-fields bench-row">
        <Button
          onClick={() => set({ rows: [...form.rows, newRow('material:straw_cereal', measures.bucketUnit)] })}
        >
          Put something else in
        </Button>
        <QuantityField
          name="Water poured on"
          quantity="volume"
          value={form.water}
          onChange={(water) => set({ water })}
          trouble={quantityTrouble(readWater(form, reader), 'waterL')}
          width={130}
        />
        <div className="field">
          <span className="field-name">Put together</span>
          <Segmented
            value={form.isLayered}
            onChange={(isLayered) => set({ isLayered })}
            options={[
              { value: false, label: 'mixed' },
              { value: true, label: 'layered' },
            ]}
          />
        </div>
      </div>
    </>
  );
}

/** What the mix is for, and what it should come to. */
export function Aims({ form, set }: Pick<RowsProps, 'form' | 'set'>) {
  const reader = useReader();
  return (
    <>
      <div className="band-fields bench-row">
        <Choice
          name="For"
          value={form.purpose}
          onChange={(purpose) => set(aimsOf(purpose))}
          options={MIX_PURPOSES.map((value) => ({ value, label: MIX_PURPOSE_WORDS[value] }))}
          width={190}
        />
        <TextField
          name="C:N from"
          value={form.ratioLow}
          onChange={(ratioLow) => set({ ratioLow })}
          width={76}
        />
        <TextField name="to" value={form.ratioHigh} onChange={(ratioHigh) => set({ ratioHigh })} width={76} />
        <TextField
          name="Moisture, % from"
          value={form.moistureLowPct}
          onChange={(moistureLowPct) => set({ moistureLowPct })}
          width={100}
        />
        <TextField
          name="to"
          value={form.moistureHighPct}
          onChange={(moistureHighPct) => set({ moistureHighPct })}
          width={76}
        />
      </div>
      <p className="soft hint">{MIX_TARGETS[form.purpose].source}</p>
      <details className="more-aims">
        <summary>How dense, and what it may cost</summary>
        <div className="band-fields bench-row">
          <QuantityField
            name="Bulk density from"
            quantity="bulkDensity"
            value={form.densityLow}
            onChange={(densityLow) => set({ densityLow })}
            trouble={quantityTrouble(readDensity(form.densityLow, reader), 'bulkDensityKgPerM3')}
            width={110}
          />
          <QuantityField
            name="to"
            quantity="bulkDensity"
            value={form.densityHigh}
            onChange={(densityHigh) => set({ densityHigh })}
            trouble={quantityTrouble(readDensity(form.densityHigh, reader), 'bulkDensityKgPerM3')}
            width={110}
          />
          <TextField
            name="Cost at most"
            value={form.costMost}
            onChange={(costMost) => set({ costMost })}
            hint="in your money; then each row asks for its price"
            width={110}
          />
        </div>
      </details>
    </>
  );
}
