import { BY_NAME } from '../../ui/forms/by-name.ts';
import { useBooks, useMeasures } from '../../app/garden-context.ts';
import { SEEN_CHIPS } from '../../ui/materials/seen-chips.ts';
import { Input, Segmented, Select } from 'antd';
import { useMemo } from 'react';
import type { AmountUnit } from '../../../records/vocabulary.ts';
import type { Material, MaterialKind } from '../../../core/ground/index.ts';
import type { Quantity as MeasuredQuantity } from '../../../refusals/refusal.ts';
import { Field } from '../../ui/forms/Field.tsx';
import { QuantityField } from '../../ui/forms/QuantityField.tsx';
import { SoilTestInputs } from '../../ui/log/SoilTestInputs.tsx';
import { UNIT_WORDS, unitsFor } from '../../../words/measures.ts';
import type { StockedLot } from '../../worker/stock-answers.ts';
import { materialOptions, ratioWords, stockOptions } from '../../ui/materials/material-options.ts';
import { describedAnew } from '../../ui/materials/chips-form.ts';
import { CHIPS_FIGURES } from '../../ui/materials/figure-fields.ts';
import { FigureInputs, ofBasis } from '../../ui/materials/FigureInputs.tsx';
import { chosenLot, type PostingForm } from './posting-form.ts';

export interface NamedLayerChoice {
  readonly id: string;
  readonly name: string;
}

interface PostingFieldsProps {
  readonly form: PostingForm;
  readonly set: (change: Partial<PostingForm>) => void;
  readonly material: Material | undefined;
  readonly stocked: readonly StockedLot[];
  readonly layers: readonly NamedLayerChoice[];
  readonly troubles: Record<string, string>;
}

/** The fields that an entry of the chosen type has. */
export function PostingFields(props: PostingFieldsProps) {
  switch (props.form.type) {
    case 'lay':
      return <LayFields {...props} />;
    case 'dig':
      return (
        <>
          <LayerField {...props} all="everything on top" />
          <DepthField {...props} />
        </>
      );
    case 'takeOff':
      return (
        <>
          <LayerField {...props} />
          <Quantity {...props} name="How much of it" quantity="share" field="shareTakenOff" />
        </>
      );
    case 'feed':
      return (
        <Quantity
          {...props}
          name="Nitrogen for the bed"
          quantity="smallMass"
          field="nitrogen"
          trouble="nitrogenG"
          hint="as nitrogen, not as product"
          width={150}
        />
      );
    case 'soilTest':
      return (
        <SoilTestInputs
          test={props.form.test}
          set={(test) => props.set({ test })}
          troubles={props.troubles}
        />
      );
    case 'water':
      return (
        <Quantity
          {...props}
          name="Water"
          quantity="waterDepth"
          field="water"
          trouble="waterMm"
          hint="as a rain gauge would show it"
        />
      );
  }
}

interface TextFieldProps extends Pick<PostingFieldsProps, 'form' | 'set' | 'troubles'> {
  readonly name: string;
  readonly field: 'amount' | 'seasonedMonths';
  readonly trouble: string;
  readonly width: number;
  readonly hint?: string;
  readonly autoFocus?: boolean;
}

function TextField({
  form,
  set,
  troubles,
  name,
  field,
  trouble,
  width,
  hint,
  autoFocus = false,
}: TextFieldProps) {
  return (
    <Field name={name} trouble={troubles[trouble]} hint={hint}>
      {(control) => (
        <Input
          {...control}
          value={form[field]}
          onChange={(event) => set({ [field]: event.target.value })}
          inputMode="decimal"
          style={{ width }}
          autoFocus={autoFocus}
        />
      )}
    </Field>
  );
}

interface QuantityProps extends Pick<PostingFieldsProps, 'form' | 'set' | 'troubles'> {
  readonly name: string;
  readonly quantity: MeasuredQuantity;
  readonly field: 'dugDepth' | 'shareTakenOff' | 'nitrogen' | 'water';
  readonly trouble?: string;
  readonly width?: number;
  readonly hint?: string;
}

function Quantity({ form, set, troubles, field, trouble = field, ...shown }: QuantityProps) {
  return (
    <QuantityField
      {...shown}
      value={form[field]}
      onChange={(value) => set({ [field]: value })}
      trouble={troubles[trouble]}
    />
  );
}

const DepthField = (props: PostingFieldsProps) => (
  <Quantity {...props} name="Dug to" quantity="length" field="dugDepth" trouble="dugDepthCm" />
);

function LayerField({ form, set, layers, troubles, all }: PostingFieldsProps & { all?: string }) {
  const everything = all === undefined ? [] : [{ value: '', label: all }];
  return (
    <Field name="Which layer" trouble={troubles['layerId']}>
      {(control) => (
        <Select<string | null>
          {...control}
          value={all === undefined && form.layerId === '' ? null : form.layerId}
          onChange={(layerId) => set({ layerId: layerId ?? '' })}
          style={{ width: 260 }}
          placeholder="choose a layer"
          options={[...everything, ...layers.map(({ id, name }) => ({ value: id, label: name }))]}
        />
      )}
    </Field>
  );
}

const AGES_IN_A_HEAP: readonly MaterialKind[] = ['wood', 'residue', 'leaf'];

function LayFields(props: PostingFieldsProps) {
  const books = useBooks();
  const measures = useMeasures();
  const { form, set, material, stocked, troubles } = props;
  const options = useMemo(
    () =>
      [stockOptions(stocked, books), ...materialOptions(books)].filter(
        ({ options: some }) => some.length > 0,
      ),
    [books, stocked],
  );
  return (
    <>
      <Field
        name="What"
        trouble={troubles['materialId'] ?? troubles['lotId']}
        hint={material && ratioWords(material)}
      >
        {(control) => (
          <Select
            {...control}
            value={form.materialId}
            onChange={(materialId) => set(choiceOf(materialId, stocked))}
            showSearch={BY_NAME}
            style={{ width: 250 }}
            popupMatchSelectWidth={380}
            listHeight={380}
            options={options}
          />
        )}
      </Field>
      {form.materialId === SEEN_CHIPS && <ChipsFields form={form} set={set} troubles={troubles} />}
      <TextField {...props} name="How much" field="amount" trouble="amount" width={80} autoFocus />
      <Field name="of">
        {(control) => (
          <Select
            {...control}
            value={form.unit}
            onChange={(unit: AmountUnit) => set({ unit })}
            style={{ width: 130 }}
            options={unitsFor(measures).map((value) => ({ value, label: UNIT_WORDS[value] }))}
          />
        )}
      </Field>
      <div className="field">
        <span className="field-name">Where</span>
        <Segmented
          value={form.isDugIn}
          onChange={(isDugIn) => set({ isDugIn })}
          options={[
            { value: false, label: 'on top' },
            { value: true, label: 'dug in' },
          ]}
        />
      </div>
      {form.isDugIn && <DepthField {...props} />}
      {material && chosenLot(form.materialId) === null && AGES_IN_A_HEAP.includes(material.kind) && (
        <TextField
          {...props}
          name="Months in a heap"
          field="seasonedMonths"
          trouble="seasonedMonths"
          width={108}
          hint="0 = fresh"
        />
      )}
    </>
  );
}

/** A lot is called by what it comes nearest to, and has its age already. */
function choiceOf(materialId: string, stocked: readonly StockedLot[]): Partial<PostingForm> {
  const lotId = chosenLot(materialId);
  if (lotId === null) return { materialId };
  const nearest = stocked.find((one) => one.lotId === lotId)?.nearestMaterialId;
  return { materialId, lotMaterialId: nearest ?? '', seasonedMonths: '0' };
}

function ChipsFields({ form, set, troubles }: Pick<PostingFieldsProps, 'form' | 'set' | 'troubles'>) {
  return (
    <FigureInputs
      fields={CHIPS_FIGURES}
      typed={form.chips.figures}
      onChange={(figures) => set({ chips: describedAnew(form.chips, { figures }) })}
      troubles={ofBasis(troubles)}
    />
  );
}
