import { useBooks } from '../../app/garden-context.ts';
import { Segmented } from 'antd';
import { CUTTING_SEASONS, type CuttingSeason, LOT_FORMS } from '../../../records/vocabulary.ts';
import { Choice, TextField } from '../forms/inputs.tsx';
import { LOT_FORM_WORDS } from '../../../words/stock-words.ts';
import { TreatmentFields } from './TreatmentFields.tsx';
import { describedAnew, type ChipsForm } from '../materials/chips-form.ts';
import { LOAD_CHIPS_FIGURES } from '../materials/figure-fields.ts';
import { FigureInputs, ofBasis } from '../materials/FigureInputs.tsx';
import type { ReceiveForm } from './receive-form.ts';
import { useSameName } from '../forms/use-same-name.ts';

const SEASON_WORDS: Record<CuttingSeason | 'unknown', string> = {
  unknown: 'nobody knows',
  inLeaf: 'in leaf',
  leafless: 'leafless',
};

interface ChipQuestionsProps {
  readonly chips: ChipsForm;
  readonly onChange: (chips: ChipsForm) => void;
  readonly troubles: Record<string, string>;
}

/** Chips by questions. */
export function ChipQuestions({ chips, onChange, troubles }: ChipQuestionsProps) {
  return (
    <div className="band-fields">
      <FigureInputs
        fields={LOAD_CHIPS_FIGURES}
        typed={chips.figures}
        onChange={(figures) => onChange(describedAnew(chips, { figures }))}
        troubles={ofBasis(troubles)}
        hints={{ barkShare: 'empty: as usual' }}
      />
      <div className="field">
        <span className="field-name">Cut</span>
        <Segmented
          value={chips.season}
          onChange={(season) => onChange(describedAnew(chips, { season }))}
          options={(['unknown', ...CUTTING_SEASONS] as const).map((value) => ({
            value,
            label: SEASON_WORDS[value],
          }))}
        />
      </div>
    </div>
  );
}

interface LotFieldsProps {
  readonly form: ReceiveForm;
  readonly set: (change: Partial<ReceiveForm>) => void;
  readonly name: string;
  readonly troubles: Record<string, string>;
}

/** Where it goes, and how it is kept there. */
export function LotFields({ form, set, name, troubles }: LotFieldsProps) {
  const books = useBooks();
  const sameName = useSameName('lots', form.name);
  const isNew = form.lotId === '';
  return (
    <div className="band-fields">
      <Choice
        name="Goes to"
        value={form.lotId}
        onChange={(lotId) => set({ lotId })}
        options={[
          { value: '', label: 'a place of its own' },
          ...books.lots.map((lot) => ({ value: lot.id, label: lot.name })),
        ]}
        width={210}
      />
      {isNew && (
        <>
          <TextField
            name="Call it"
            isNumber={false}
            value={form.name}
            onChange={(value) => set({ name: value })}
            trouble={troubles['name']}
            hint={form.name === '' ? `else: ${name}` : sameName}
            width={220}
          />
          <Choice
            name="As"
            value={form.lotForm}
            onChange={(lotForm) => set({ lotForm })}
            options={LOT_FORMS.map((value) => ({ value, label: LOT_FORM_WORDS[value] }))}
            width={90}
          />
          <TreatmentFields name="Kept" treatment={form} onChange={set} />
        </>
      )}
    </div>
  );
}
