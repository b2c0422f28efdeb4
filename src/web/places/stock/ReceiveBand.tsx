import { BY_NAME } from '../../ui/forms/by-name.ts';
import { useMeasures, useBooks } from '../../app/garden-context.ts';
import { Select } from 'antd';
import { useMemo } from 'react';
import type { GardenBooks } from '../../../contract/garden-books.ts';
import { layingCautions } from '../../../core/bed/index.ts';
import { DateField } from '../../ui/forms/DateField.tsx';
import { useRecordForm } from '../../ui/forms/use-record-form.ts';
import { AmountField, TextField } from '../../ui/forms/inputs.tsx';
import { FormFoot } from '../../ui/forms/FormFoot.tsx';
import { Field } from '../../ui/forms/Field.tsx';
import { numberFromText } from '../../ui/forms/parse-number.ts';
import { formatPercent } from '../../../words/figures.ts';
import { useReader } from '../../ui/forms/QuantityField.tsx';
import { typedFrom, type TypedQuantity } from '../../ui/forms/typed-quantity.ts';
import { describedAnew, readChips } from '../../ui/materials/chips-form.ts';
import { LOAD_FIGURES, readFigures } from '../../ui/materials/figure-fields.ts';
import { FigureInputs } from '../../ui/materials/FigureInputs.tsx';
import { cautionInWords } from '../../../words/words.ts';
import { materialOptions, ratioWords, resolveMaterial } from '../../ui/materials/material-options.ts';
import { SEEN_CHIPS } from '../../ui/materials/seen-chips.ts';
import { Judging } from '../../ui/stock/JudgingTools.tsx';
import { ChipQuestions, LotFields } from '../../ui/stock/ReceiveFields.tsx';
import { blankForm, type ReceiveForm } from '../../ui/stock/receive-form.ts';
import { otherTroubles, useStockPost } from '../../ui/stock/use-stock-post.ts';

interface ReceiveBandProps {
  readonly onClose: () => void;
}

/** Something arrives: what it is, how much of it, and what hand, bucket and eye say of it. */
export function ReceiveBand({ onClose }: ReceiveBandProps) {
  const books = useBooks();
  const measures = useMeasures();
  const reader = useReader();
  const {
    fields: form,
    set,
    wasTried,
    submitWith,
  } = useRecordForm<ReceiveForm>(() => blankForm(books, { measures, reader }));
  const isChips = form.materialId === SEEN_CHIPS;
  const described = readChips(form.chips, reader);
  const chips = described.draft;
  const read = readFigures(LOAD_FIGURES, form.figures, reader);
  const material = resolveMaterial(form.materialId, books, isChips ? chips : null);
  const options = useMemo(() => materialOptions(books), [books]);
  const { send, troubles: refused, isSaving } = useStockPost(books.garden.id);
  const typedWrong = { ...read.troubles, ...(isChips ? described.troubles : {}) };
  const troubles = { ...refused, ...(wasTried ? typedWrong : {}) };
  const isNew = form.lotId === '';
  const name = form.name.trim() === '' ? suggestedName(form, books, isChips ? chips.name : null) : form.name;

  const shown = { ...reader, digits: 3 };
  const setFigure = (field: string, value: TypedQuantity) =>
    set({ figures: { ...form.figures, [field]: value } });
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
            ...(read.values as Record<'moistureFractionWetBasis' | 'bulkDensityKgPerM3', number | null>),
            seasonedMonths: numberFromText(form.seasonedMonths),
          },
        ],
      },
      `${name} is in stock.`,
      onClose,
    );

  return (
    <form
      className="band"
      aria-label="Receive something"
      onSubmit={submitWith(() => {
        if (Object.keys(typedWrong).length === 0) receive();
      })}
    >
      <div className="band-fields">
        <Field name="What" trouble={troubles['materialId']} hint={material && ratioWords(material)}>
          {(control) => (
            <Select
              {...control}
              value={form.materialId}
              onChange={(materialId) => set({ materialId })}
              showSearch={BY_NAME}
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
          onChange={(changed) => set({ chips: changed })}
          troubles={troubles}
        />
      )}
      <div className="band-fields">
        <FigureInputs
          fields={LOAD_FIGURES}
          typed={form.figures}
          onChange={(figures) => set({ figures })}
          troubles={troubles}
          hints={
            material && {
              moistureFractionWetBasis: `${formatPercent(material.moistureFractionWetBasis)} if not judged`,
              bulkDensityKgPerM3: `${measures.density(material.bulkDensityKgPerM3)} if not weighed`,
            }
          }
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
        onDensity={(density) => setFigure('bulkDensityKgPerM3', typedFrom(density, 'bulkDensity', shown))}
        onMoisture={(share) => setFigure('moistureFractionWetBasis', typedFrom(share, 'share', shown))}
        onLeafShare={
          isChips
            ? (share) => {
                const leafShare = typedFrom(share, 'share', shown);
                set({
                  chips: describedAnew(form.chips, { figures: { ...form.chips.figures, leafShare } }),
                });
              }
            : undefined
        }
      />
      <LotFields form={form} set={set} name={name} troubles={troubles} />
      <ReceiveCautions material={material} />
      <FormFoot
        label="Save delivery"
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
  const measures = useMeasures();
  if (!material) return null;
  const cautions = layingCautions(
    { material, date: books.today, dugDepthCm: 1, thicknessCm: 0 },
    { kind: 'annual', clayPct: 0 },
  ).filter(({ code }) => code !== 'unchargedChar');
  if (cautions.length === 0) return null;
  return (
    <ul className="caution-list">
      {cautions.map((caution) => (
        <li key={caution.code}>{cautionInWords(caution, measures)}</li>
      ))}
    </ul>
  );
}
