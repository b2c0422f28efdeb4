import { Select } from 'antd';
import {
  SOIL_EXTRACTIONS,
  SOIL_FIGURE_FIELDS,
  SOIL_NITROGEN_UNITS,
  type SoilExtraction,
} from '../../../records/vocabulary.ts';
import { SOIL_NITROGEN_WORDS } from '../../../words/measures.ts';
import { EXTRACTION_WORDS, SOIL_FIGURE_WORDS } from '../../../words/soil-words.ts';
import { Field } from '../forms/Field.tsx';
import { Choice, TextField } from '../forms/inputs.tsx';
import { QuantityField } from '../forms/QuantityField.tsx';
import type { TypedSoilTest } from './soil-test-typed.ts';
import { capitalized } from '../../../words/capitalized.ts';

interface SoilTestInputsProps {
  readonly test: TypedSoilTest;
  readonly set: (test: TypedSoilTest) => void;
  readonly troubles: Readonly<Record<string, string | undefined>>;
}

const NOT_TOLD = 'notTold';

/** Everything that a laboratory may report; what it did not measure stays empty. */
export function SoilTestInputs(props: SoilTestInputsProps) {
  const { test, set, troubles } = props;
  return (
    <>
      <TextField
        name="Mineral nitrogen"
        value={test.amount}
        onChange={(amount) => set({ ...test, amount })}
        width={128}
        hint="nitrate and ammonium; empty if not measured"
        trouble={troubles['amount']}
      />
      <Choice
        name="in"
        value={test.unit}
        onChange={(unit) => set({ ...test, unit })}
        width={130}
        options={SOIL_NITROGEN_UNITS.map((unit) => ({ value: unit, label: SOIL_NITROGEN_WORDS[unit] }))}
      />
      <QuantityField
        name="Sampled to"
        quantity="length"
        value={test.sampledDepth}
        onChange={(sampledDepth) => set({ ...test, sampledDepth })}
        trouble={troubles['sampledDepthCm']}
      />
      <TextField
        name="pH"
        value={test.ph}
        onChange={(ph) => set({ ...test, ph })}
        width={90}
        trouble={troubles['ph']}
      />
      <TextField
        name="Organic matter, %"
        value={test.organicMatterPct}
        onChange={(organicMatterPct) => set({ ...test, organicMatterPct })}
        width={128}
        trouble={troubles['organicMatterPct']}
      />
      <OtherFigures {...props} />
    </>
  );
}

/** Nutrients, salts and texture; open once there is something in it, or something wrong. */
function OtherFigures({ test, set, troubles }: SoilTestInputsProps) {
  const isFilled = SOIL_FIGURE_FIELDS.some((field) => (test.figures[field] ?? '') !== '' || troubles[field]);
  return (
    <details className="soil-figures" open={isFilled}>
      <summary>Phosphorus, potassium and everything else of the report</summary>
      <div className="band-fields">
        <Field name="Extracted by" hint="stands on the report; it decides what is much">
          {(control) => (
            <Select<SoilExtraction | typeof NOT_TOLD>
              {...control}
              value={test.extraction ?? NOT_TOLD}
              onChange={(chosen) => set({ ...test, extraction: chosen === NOT_TOLD ? null : chosen })}
              style={{ width: 230 }}
              options={[
                { value: NOT_TOLD, label: 'not told' },
                ...SOIL_EXTRACTIONS.map((value) => ({ value, label: EXTRACTION_WORDS[value] })),
              ]}
            />
          )}
        </Field>
        {SOIL_FIGURE_FIELDS.map((field) => {
          const { name, unit } = SOIL_FIGURE_WORDS[field];
          return (
            <TextField
              key={field}
              name={`${capitalized(name)}, ${unit}`}
              value={test.figures[field] ?? ''}
              onChange={(typed) => set({ ...test, figures: { ...test.figures, [field]: typed } })}
              width={128}
              trouble={troubles[field]}
            />
          );
        })}
      </div>
      <p className="soft">ppm is mg per kg of dry soil.</p>
    </details>
  );
}
