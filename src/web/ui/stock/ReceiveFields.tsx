import { useBooks } from '../../app/garden-context.ts';
import { Segmented } from 'antd';
import { CUTTING_SEASONS, type CuttingSeason, LOT_FORMS } from '../../../records/vocabulary.ts';
import { Choice, TextField } from '../forms/inputs.tsx';
import { LOT_FORM_WORDS } from '../../../words/stock-words.ts';
import { TreatmentFields } from './TreatmentFields.tsx';
import type { Chips, ReceiveForm } from './receive-form.ts';

const SEASON_WORDS: Record<CuttingSeason | 'unknown', string> = {
  unknown: 'nobody knows',
  inLeaf: 'in leaf',
  leafless: 'leafless',
};

interface ChipQuestionsProps {
  readonly chips: Chips;
  readonly onChange: (change: Partial<Chips>) => void;
  readonly troubles: Record<string, string>;
}

/** Chips by questions. */
export function ChipQuestions({ chips, onChange, troubles }: ChipQuestionsProps) {
  return (
    <div className="band-fields">
      <TextField
        name="Branches, cm thick"
        value={chips.branchCm}
        onChange={(branchCm) => onChange({ branchCm })}
        trouble={troubles['basis.branchDiameterCm']}
        width={130}
      />
      <TextField
        name="Leaf in it, %"
        value={chips.leafPct}
        onChange={(leafPct) => onChange({ leafPct })}
        trouble={troubles['basis.leafShare']}
      />
      <TextField
        name="Conifer, %"
        value={chips.coniferPct}
        onChange={(coniferPct) => onChange({ coniferPct })}
        trouble={troubles['basis.coniferShare']}
      />
      <TextField
        name="Bark, %"
        value={chips.barkPct}
        onChange={(barkPct) => onChange({ barkPct })}
        trouble={troubles['basis.barkShare']}
        hint="empty: as usual"
      />
      <div className="field">
        <span className="field-name">Cut</span>
        <Segmented
          value={chips.season}
          onChange={(season) => onChange({ season })}
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
            hint={form.name === '' ? `else: ${name}` : undefined}
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
