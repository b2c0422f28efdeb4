import { useMeasures, useBooks } from '../../app/garden-context.ts';
import { Select } from 'antd';
import { useMemo, useState } from 'react';
import type { GardenBooks } from '../../../contract/garden-books.ts';
import { layingCautions } from '../../../core/bed/index.ts';
import { AmountField, DateField, TextField } from '../../ui/forms/inputs.tsx';
import { FormFoot } from '../../ui/forms/FormFoot.tsx';
import { Field } from '../../ui/forms/Field.tsx';
import { numberFromText } from '../../ui/forms/parse-number.ts';
import { plainFigure } from '../../../words/figures.ts';
import { cautionInWords } from '../../../words/words.ts';
import { materialOptions, ratioWords, resolveMaterial } from '../../ui/materials/material-options.ts';
import { SEEN_CHIPS } from '../../ui/materials/seen-chips.ts';
import { Judging } from '../../ui/stock/JudgingTools.tsx';
import { ChipQuestions, LotFields } from '../../ui/stock/ReceiveFields.tsx';
import {
  blankForm,
  chipsDraft,
  optionalNumber,
  PERCENT,
  type ReceiveForm,
} from '../../ui/stock/receive-form.ts';
import { otherTroubles, useStockPost } from '../../ui/stock/use-stock-post.ts';

interface ReceiveBandProps {
  readonly onClose: () => void;
}

/** Something arrives: what it is, how much of it, and what hand, bucket and eye say of it. */
export function ReceiveBand({ onClose }: ReceiveBandProps) {
  const books = useBooks();
  const measures = useMeasures();
  const [form, setForm] = useState(() => blankForm(books, measures));
  const set = (change: Partial<ReceiveForm>) => setForm((before) => ({ ...before, ...change }));
  const isChips = form.materialId === SEEN_CHIPS;
  const chips = chipsDraft(form.chips);
  const material = resolveMaterial(form.materialId, books, isChips ? chips : null);
  const options = useMemo(() => materialOptions(books), [books]);
  const { send, troubles, isSaving } = useStockPost(books.garden.id);
  const isNew = form.lotId === '';
  const name = form.name.trim() === '' ? suggestedName(form, books, isChips ? chips.name : null) : form.name;

  const receive = () =>
    send(
      {
        // Chips that were described are kept with the load, or not at all.
        materials: isChips ? [chips] : [],
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
            materialId: isChips ? chips.id : form.materialId,
            amount: numberFromText(form.amount.amount),
            unit: form.amount.unit,
            moistureFractionWetBasis: optionalNumber(form.moisturePct, PERCENT),
            bulkDensityKgPerM3: optionalNumber(form.density),
            seasonedMonths: numberFromText(form.seasonedMonths),
          },
        ],
      },
      `${name} is in the stock book.`,
      onClose,
    );

  return (
    <form
      className="band"
      aria-label="Receive something"
      onSubmit={(event) => {
        event.preventDefault();
        receive();
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
      <LotFields form={form} set={set} name={name} troubles={troubles} />
      <ReceiveCautions material={material} />
      <FormFoot
        label="Write into the stock book"
        isSaving={isSaving}
        onClose={onClose}
        troubles={otherTroubles(troubles, SHOWN)}
      />
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

function suggestedName(form: ReceiveForm, books: GardenBooks, chipsName: string | null): string {
  if (chipsName !== null) return chipsName;
  const label = materialOptions(books)
    .flatMap(({ options }) => options)
    .find(({ value }) => value === form.materialId)?.label;
  return (label ?? 'A load').split(' · ')[0]!.slice(0, 80);
}

/** The same cautions as at the bed: weedkiller, dust, fresh manure. */
function ReceiveCautions({ material }: { material: ReturnType<typeof resolveMaterial> }) {
  const books = useBooks();
  if (!material) return null;
  const cautions = layingCautions(
    { material, date: books.today, dugDepthCm: 1, thicknessCm: 0 },
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
