import { Button, Checkbox, Segmented, Select } from 'antd';
import { useMemo, useState } from 'react';
import type { GardenBooks, MaterialDraft } from '../../../contract/records.ts';
import { layingCautions } from '../../../core/advice/cautions.ts';
import { CUTTING_SEASONS, type CuttingSeason } from '../../../core/materials/wood-chips.ts';
import { KEEPINGS, type Keeping } from '../../../core/stock/keeping.ts';
import { LOT_FORMS, type LotForm } from '../../../core/stock/stock-records.ts';
import { useMakeMaterial } from '../../api/gardens.ts';
import { sentencesOf } from '../../api/failures.ts';
import { AmountField, Choice, DateField, TextField, type TypedAmount } from '../../forms/inputs.tsx';
import { numberFromText } from '../../forms/parse-number.ts';
import { plainFigure } from '../../format/figures.ts';
import type { Measures } from '../../format/measures.ts';
import { KEEPING_WORDS, LOT_FORM_WORDS } from '../../format/stock-words.ts';
import { cautionInWords } from '../../format/words.ts';
import { materialOptions, ratioWords, resolveMaterial } from '../bed/material-options.ts';
import { SEEN_CHIPS } from '../bed/posting-form.ts';
import { Field } from '../../forms/Field.tsx';
import { Judging } from './JudgingTools.tsx';
import { otherTroubles, useStockPost } from './use-stock-post.ts';

interface ReceiveBandProps {
  readonly books: GardenBooks;
  readonly measures: Measures;
  readonly onClose: () => void;
}

interface Chips {
  readonly id: string;
  readonly branchCm: string;
  readonly leafPct: string;
  readonly coniferPct: string;
  readonly barkPct: string;
  readonly season: CuttingSeason | 'unknown';
}

interface Form {
  readonly movementId: string;
  readonly newLotId: string;
  /** Empty for a new lot. */
  readonly lotId: string;
  readonly name: string;
  readonly lotForm: LotForm;
  readonly keeping: Keeping;
  readonly isTurned: boolean;
  readonly isHot: boolean;
  readonly materialId: string;
  readonly amount: TypedAmount;
  readonly date: string;
  readonly seasonedMonths: string;
  readonly moisturePct: string;
  readonly density: string;
  readonly note: string;
  readonly chips: Chips;
}

const PERCENT = 100;
const blankForm = (books: GardenBooks, measures: Measures): Form => ({
  movementId: crypto.randomUUID(),
  newLotId: crypto.randomUUID(),
  lotId: '',
  name: '',
  lotForm: 'pile',
  keeping: 'open',
  isTurned: false,
  isHot: false,
  materialId: SEEN_CHIPS,
  amount: { amount: '', unit: measures.barrowUnit },
  date: books.today,
  seasonedMonths: '0',
  moisturePct: '',
  density: '',
  note: '',
  chips: {
    id: crypto.randomUUID(),
    branchCm: '6',
    leafPct: '0',
    coniferPct: '0',
    barkPct: '',
    season: 'unknown',
  },
});

function chipsDraft({ id, branchCm, leafPct, coniferPct, barkPct, season }: Chips): MaterialDraft {
  const leaf = numberFromText(leafPct);
  const conifer = numberFromText(coniferPct);
  return {
    id,
    name: `Chips of ${branchCm} cm branches${leaf > 0 ? `, ${leafPct} % leaf` : ''}${conifer > 0 ? `, ${coniferPct} % conifer` : ''}`,
    basis: {
      type: 'chips',
      branchDiameterCm: numberFromText(branchCm),
      leafShare: leaf / PERCENT,
      coniferShare: conifer / PERCENT,
      barkShare: barkPct.trim() === '' ? null : numberFromText(barkPct) / PERCENT,
      season: season === 'unknown' ? null : season,
    },
    note: '',
  };
}

const optional = (text: string, scale = 1): number | null =>
  text.trim() === '' ? null : numberFromText(text) / scale;

/** Something arrives: what it is, how much of it, and what hand, bucket and eye say of it. */
export function ReceiveBand({ books, measures, onClose }: ReceiveBandProps) {
  const [form, setForm] = useState(() => blankForm(books, measures));
  const set = (change: Partial<Form>) => setForm((before) => ({ ...before, ...change }));
  const isChips = form.materialId === SEEN_CHIPS;
  const chips = chipsDraft(form.chips);
  const material = resolveMaterial(form.materialId, books, isChips ? chips : null);
  const options = useMemo(() => materialOptions(books), [books]);
  const { send, troubles: refused, isSaving } = useStockPost(books.garden.id);
  const makeMaterial = useMakeMaterial(books.garden.id);
  const troubles = { ...sentencesOf(makeMaterial.error), ...refused };
  const isNew = form.lotId === '';
  const name = form.name.trim() === '' ? suggestedName(form, books, isChips ? chips.name : null) : form.name;

  const receive = (materialId: string) =>
    send(
      {
        lots: isNew
          ? [
              {
                id: form.newLotId,
                name,
                form: form.lotForm,
                keeping: form.keeping,
                isTurned: form.isTurned,
                isHot: form.isHot,
                reserveL: 0,
                note: '',
              },
            ]
          : [],
        movements: [
          {
            id: form.movementId,
            type: 'receive',
            state: form.date > books.today ? 'planned' : 'laid',
            date: form.date,
            note: form.note,
            lotId: isNew ? form.newLotId : form.lotId,
            materialId,
            amount: numberFromText(form.amount.amount),
            unit: form.amount.unit,
            moistureFractionWetBasis: optional(form.moisturePct, PERCENT),
            bulkDensityKgPerM3: optional(form.density),
            seasonedMonths: numberFromText(form.seasonedMonths),
          },
        ],
      },
      `${name} is in the stock book.`,
      onClose,
    );

  const save = () => {
    if (!isChips) return receive(form.materialId);
    // Sent again after a refusal it is the same material.
    makeMaterial.mutate(chips, { onSuccess: ({ id }) => receive(id) });
  };

  return (
    <form
      className="band"
      aria-label="Receive something"
      onSubmit={(event) => {
        event.preventDefault();
        save();
      }}
    >
      <div className="band-fields">
        <Field name="What" trouble={troubles['materialId']} hint={material && ratioWords(material)}>
          {(control) => (
            <Select
              {...control}
              value={form.materialId}
              onChange={(materialId) => set({ materialId })}
              showSearch={{ optionFilterProp: 'label' }}
              style={{ width: 290 }}
              popupMatchSelectWidth={380}
              listHeight={380}
              options={options}
            />
          )}
        </Field>
        <AmountField
          name="How much"
          value={form.amount}
          onChange={(amount) => set({ amount })}
          measures={measures}
          trouble={troubles['amount']}
          autoFocus
        />
        <TextField
          name="Lain before, months"
          value={form.seasonedMonths}
          onChange={(seasonedMonths) => set({ seasonedMonths })}
          trouble={troubles['seasonedMonths']}
          hint="0 = fresh"
          width={120}
        />
        <DateField
          name="Arrived"
          value={form.date}
          onChange={(date) => set({ date })}
          trouble={troubles['date']}
          hint={form.date > books.today ? 'a delivery you expect' : undefined}
        />
      </div>
      {isChips && (
        <ChipQuestions
          chips={form.chips}
          // Another description is another material.
          onChange={(change) => set({ chips: { ...form.chips, ...change, id: crypto.randomUUID() } })}
          troubles={troubles}
        />
      )}
      <div className="band-fields">
        <TextField
          name="Water in it, %"
          value={form.moisturePct}
          onChange={(moisturePct) => set({ moisturePct })}
          trouble={troubles['moistureFractionWetBasis']}
          hint={material && `${plainFigure(material.moistureFractionWetBasis * PERCENT, 2)} if not judged`}
          width={110}
        />
        <TextField
          name="Lies at, kg/m³"
          value={form.density}
          onChange={(density) => set({ density })}
          trouble={troubles['bulkDensityKgPerM3']}
          hint={material && `${plainFigure(material.bulkDensityKgPerM3)} if not weighed`}
          width={110}
        />
        <TextField
          name="Where from"
          isNumber={false}
          value={form.note}
          onChange={(note) => set({ note })}
          width={260}
        />
      </div>
      <Judging
        measures={measures}
        onDensity={(density) => set({ density: plainFigure(density) })}
        onMoisture={(moisture) => set({ moisturePct: plainFigure(moisture * PERCENT) })}
        onLeafShare={
          isChips
            ? (leaf) =>
                set({
                  chips: {
                    ...form.chips,
                    id: crypto.randomUUID(),
                    leafPct: plainFigure(leaf * PERCENT, 2),
                  },
                })
            : undefined
        }
      />
      <LotFields form={form} set={set} books={books} name={name} troubles={troubles} />
      <ReceiveCautions form={form} books={books} material={material} />
      <div className="band-foot">
        <Button type="primary" htmlType="submit" loading={isSaving || makeMaterial.isPending}>
          Write into the stock book
        </Button>
        <Button onClick={onClose}>Cancel</Button>
        {otherTroubles(troubles, SHOWN).map((sentence) => (
          <span key={sentence} className="field-trouble" role="alert">
            {sentence}
          </span>
        ))}
      </div>
    </form>
  );
}

const SHOWN = [
  'materialId',
  'amount',
  'seasonedMonths',
  'date',
  'moistureFractionWetBasis',
  'bulkDensityKgPerM3',
  'name',
  'basis.branchDiameterCm',
  'basis.leafShare',
  'basis.coniferShare',
  'basis.barkShare',
];

function suggestedName(form: Form, books: GardenBooks, chipsName: string | null): string {
  if (chipsName !== null) return chipsName;
  const label = materialOptions(books)
    .flatMap(({ options }) => options)
    .find(({ value }) => value === form.materialId)?.label;
  return (label ?? 'A load').split(' · ')[0]!.slice(0, 80);
}

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

function ChipQuestions({ chips, onChange, troubles }: ChipQuestionsProps) {
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
  readonly form: Form;
  readonly set: (change: Partial<Form>) => void;
  readonly books: GardenBooks;
  readonly name: string;
  readonly troubles: Record<string, string>;
}

function LotFields({ form, set, books, name, troubles }: LotFieldsProps) {
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
          <Choice
            name="Kept"
            value={form.keeping}
            onChange={(keeping) => set({ keeping })}
            options={KEEPINGS.map((value) => ({ value, label: KEEPING_WORDS[value] }))}
            width={210}
          />
          <div className="field">
            <span className="field-name">And</span>
            <span className="tool-result">
              <Checkbox checked={form.isTurned} onChange={(event) => set({ isTurned: event.target.checked })}>
                turned now and then
              </Checkbox>
              <Checkbox checked={form.isHot} onChange={(event) => set({ isHot: event.target.checked })}>
                heats up by itself
              </Checkbox>
            </span>
          </div>
        </>
      )}
    </div>
  );
}

/** The same cautions as at the bed: weedkiller, dust, fresh manure. */
function ReceiveCautions({
  form,
  books,
  material,
}: Pick<LotFieldsProps, 'form' | 'books'> & { material: ReturnType<typeof resolveMaterial> }) {
  if (!material) return null;
  const cautions = layingCautions(
    { material, materialId: form.materialId, date: books.today, dugDepthCm: 1, thicknessCm: 0 },
    { kind: 'annual', clayPct: 0 },
  ).filter(({ code }) => code !== 'unchargedChar');
  if (cautions.length === 0) return null;
  return (
    <ul className="caution-list">
      {cautions.map((caution) => (
        <li key={caution.code}>{cautionInWords(caution)}</li>
      ))}
    </ul>
  );
}
