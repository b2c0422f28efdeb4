import { Segmented, Select } from 'antd';
import { CHAR_TEMPERATURES } from '../../../records/vocabulary.ts';
import { isFoundCold } from '../../../core/yard/index.ts';
import { firingWords } from '../../../words/char-words.ts';
import { useBooks, useMeasures } from '../../app/garden-context.ts';
import { DateField } from '../../ui/forms/DateField.tsx';
import { Field } from '../../ui/forms/Field.tsx';
import { AmountField, Choice, TextField } from '../../ui/forms/inputs.tsx';
import { QuantityField } from '../../ui/forms/QuantityField.tsx';
import { numberFromText } from '../../ui/forms/parse-number.ts';
import { feedOf, NEW_PILE, type BurnFieldsProps, type BurnForm } from './burn-form.ts';

/** Quenched char holds its own weight of water and more; by hand one tells no more than this (set here). */
const CHAR_FEELS = {
  dusty: { words: 'dry, it dusts', moisturePct: '10' },
  damp: { words: 'damp, no water runs', moisturePct: '35' },
  dripping: { words: 'dripping wet', moisturePct: '60' },
} as const;
type CharFeel = keyof typeof CHAR_FEELS;
const CHAR_FEEL_NAMES = Object.keys(CHAR_FEELS) as CharFeel[];

const feltAs = (moisturePct: string): CharFeel | undefined =>
  CHAR_FEEL_NAMES.find((feel) => CHAR_FEELS[feel].moisturePct === moisturePct.trim());

/** Where the pieces go that did not char. */
function UnburntFields({ form, set, troubles }: BurnFieldsProps) {
  const { lots } = useBooks();
  const firstId = feedOf(form).lotId;
  const firstPile = lots.find(({ id }) => id === firstId);
  // What was chosen before the other fields changed stays to be seen.
  const others = lots.filter(({ id }) => id === form.unburntTo || (id !== form.lotId && id !== firstId));
  return (
    <>
      <Choice
        name="Those pieces go"
        value={form.unburntTo}
        onChange={(unburntTo) => set({ unburntTo })}
        options={[
          { value: '', label: firstPile ? `back to ${firstPile.name}` : 'nowhere: not in the books' },
          { value: NEW_PILE, label: 'to a new pile' },
          ...others.map(({ id, name }) => ({ value: id, label: `to ${name}` })),
        ]}
        trouble={troubles['unburntToLotId']}
        width={220}
      />
      {form.unburntTo === NEW_PILE && (
        <TextField
          name="Call that pile"
          isNumber={false}
          value={form.unburntPile.name}
          onChange={(name) => set({ unburntPile: { ...form.unburntPile, name } })}
          width={180}
        />
      )}
    </>
  );
}

/** What came out of the fire, quenched and found cold. */
export function BurnCharFields({ form, set, troubles }: BurnFieldsProps) {
  const measures = useMeasures();
  return (
    <>
      <div className="band-fields">
        <div className="field">
          <span className="field-name">Quenched with</span>
          <Segmented<BurnForm['quench']>
            value={form.quench}
            onChange={(quench) => set({ quench })}
            options={[
              { value: 'water', label: 'water' },
              { value: 'soil', label: 'soil' },
              { value: 'closed', label: 'closed up' },
            ]}
          />
        </div>
        {form.quench === 'water' && (
          <QuantityField
            name="Water"
            quantity="volume"
            value={form.quenchWater}
            onChange={(quenchWater) => set({ quenchWater })}
            trouble={troubles['log.quenchWaterL']}
            hint="catch it in a heap"
          />
        )}
        <DateField
          name="Found cold to the bottom on"
          value={form.coldCheckedOn}
          onChange={(coldCheckedOn) => set({ coldCheckedOn })}
          trouble={troubles['log.coldCheckedOn']}
          hint={
            form.coldCheckedOn !== '' && !isFoundCold(form.date, form.coldCheckedOn)
              ? 'look again the day after: heaps re-light hours later'
              : 'the day after, at the earliest'
          }
        />
      </div>
      {form.quench !== 'water' && (
        <p className="soft hint">
          Smothered it takes longer: check for two days. Char left to cool dry sheds water for a long time.
        </p>
      )}
      <div className="band-fields">
        <TextField
          name="Not charred, % of the wood"
          value={form.unburntPct}
          onChange={(unburntPct) => set({ unburntPct })}
          trouble={troubles['unburntShare']}
          hint="0 when all of it charred"
          width={170}
        />
        {numberFromText(form.unburntPct) > 0 && <UnburntFields {...{ form, set, troubles }} />}
        <AmountField
          name="Char"
          value={form.char}
          onChange={(char) => set({ char })}
          trouble={troubles['yield.amount']}
          hint="empty until it is cold and measured"
        />
        <Field name="It feels">
          {(control) => (
            <Select
              {...control}
              value={feltAs(form.charMoisturePct) ?? null}
              placeholder="measured"
              onChange={(feel: CharFeel) => set({ charMoisturePct: CHAR_FEELS[feel].moisturePct })}
              style={{ width: 190 }}
              options={CHAR_FEEL_NAMES.map((value) => ({ value, label: CHAR_FEELS[value].words }))}
            />
          )}
        </Field>
        <TextField
          name="Moisture, %"
          value={form.charMoisturePct}
          onChange={(charMoisturePct) => set({ charMoisturePct })}
          trouble={troubles['yield.moistureFractionWetBasis']}
          hint="better: weigh some, dry it, weigh again"
          width={110}
        />
        <Choice
          name="Fired at"
          value={form.charTemperature}
          onChange={(charTemperature) => set({ charTemperature })}
          options={CHAR_TEMPERATURES.map((value) => ({ value, label: firingWords(value, measures) }))}
          width={150}
        />
        <TextField
          name="Note"
          isNumber={false}
          value={form.note}
          onChange={(note) => set({ note })}
          width={200}
        />
      </div>
    </>
  );
}
