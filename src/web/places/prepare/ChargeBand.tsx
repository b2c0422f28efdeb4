import { useMeasures, useBooks } from '../../app/garden-context.ts';
import { useQuery } from '@tanstack/react-query';
import { Select } from 'antd';
import { useMemo, useState } from 'react';
import { CHARGE_RECIPE_IDS, type ChargeRecipeId } from '../../../records/vocabulary.ts';
import { MATERIAL_LIBRARY, isoDateOf } from '../../../core/ground/index.ts';
import { findChargeRecipe, scaleCharge } from '../../../core/yard/index.ts';
import { DateField } from '../../ui/forms/DateField.tsx';
import { Choice } from '../../ui/forms/inputs.tsx';
import { FormFoot } from '../../ui/forms/FormFoot.tsx';
import { useRecordForm } from '../../ui/forms/use-record-form.ts';
import { Field } from '../../ui/forms/Field.tsx';
import { QuantityField, useReader } from '../../ui/forms/QuantityField.tsx';
import { quantityTrouble } from '../../ui/forms/troubles.ts';
import {
  figureOf,
  readQuantity,
  typedFrom,
  type QuantityAsked,
  type TypedQuantity,
} from '../../ui/forms/typed-quantity.ts';
import { dateNear, dayOf } from '../../../words/dates.ts';
import { formatPercent } from '../../../words/figures.ts';
import { CHARGE_WORDS } from '../../../words/char-words.ts';
import { chargeQuery, questionAboutStock } from '../../worker/questions.ts';
import { otherTroubles, useStockPost } from '../../ui/stock/use-stock-post.ts';

const CHAR: QuantityAsked = { quantity: 'volume', above: 0, max: 1e6 };

interface ChargeFields {
  readonly recipeId: ChargeRecipeId;
  readonly typed: TypedQuantity;
  readonly date: string;
  /** The pile each ingredient comes from, by material; empty when from outside. */
  readonly sources: Readonly<Record<string, string>>;
}

interface ChargeBandProps {
  readonly lotId: string;
  readonly thereL: number;
  readonly onClose: () => void;
}

const nameOf = (id: string): string => MATERIAL_LIBRARY.find((one) => one.id === id)?.name ?? id;

/** Char fed and brought to life by a recipe scaled to the batch, with stock used where one has it. */
export function ChargeBand({ lotId, thereL, onClose }: ChargeBandProps) {
  const books = useBooks();
  const measures = useMeasures();
  const reader = useReader();
  const { fields, set, submitWith } = useRecordForm<ChargeFields>(() => ({
    recipeId: 'compostBlend',
    typed: typedFrom(thereL, 'volume', { ...reader, digits: 3 }),
    date: books.today,
    sources: {},
  }));
  const { recipeId, typed, date, sources } = fields;
  const [ids] = useState(() => ({ lot: crypto.randomUUID(), movement: crypto.randomUUID() }));
  const { send, troubles, isSaving } = useStockPost(books.garden.id);
  const recipe = findChargeRecipe(recipeId);
  const read = readQuantity(typed, CHAR, reader);
  const charL = figureOf(read)!;
  const scaled = charL > 0 ? scaleCharge(recipe, charL) : null;
  const readyDay = dayOf(date) + recipe.days[1];
  const lot = books.lots.find(({ id }) => id === lotId);
  const charge = () =>
    send(
      {
        lots: [
          {
            id: ids.lot,
            name: `${lot?.name ?? 'Char'}, ${CHARGE_WORDS[recipeId].name.toLowerCase()}`.slice(0, 80),
            form: 'bin',
            keeping: 'covered',
            isTurned: false,
            isHot: false,
            reserveL: 0,
            note: '',
          },
        ],
        movements: [
          {
            id: ids.movement,
            type: 'make',
            state: date > books.today ? 'planned' : 'laid',
            date,
            note: '',
            lotId: ids.lot,
            ingredients: [
              { lotId, materialId: null, amount: charL, unit: 'litre' },
              ...(scaled?.ingredients ?? []).map(({ materialId, litres: amount }) => {
                const source = sources[materialId];
                return source === undefined || source === ''
                  ? { lotId: null, materialId, amount, unit: 'litre' as const }
                  : { lotId: source, materialId: null, amount, unit: 'litre' as const };
              }),
            ],
            waterL: scaled?.waterL ?? 0,
            isLayered: false,
            chargeRecipe: recipeId,
            readyOn: isoDateOf(readyDay),
          },
        ],
      },
      `Charging; ready ${dateNear(readyDay, dayOf(books.today))}.`,
      onClose,
    );
  return (
    <form
      className="band"
      aria-label="Charge char"
      onSubmit={submitWith(() => {
        if (read.ok) charge();
      })}
    >
      <div className="band-fields">
        <Choice
          name={`Charge ${lot?.name ?? ''}`}
          value={recipeId}
          onChange={(next) => set({ recipeId: next })}
          options={CHARGE_RECIPE_IDS.map((value) => ({ value, label: CHARGE_WORDS[value].name }))}
          width={220}
        />
        <QuantityField
          name="Char"
          quantity="volume"
          value={typed}
          onChange={(next) => set({ typed: next })}
          hint={`${measures.volume(thereL)} in stock`}
          trouble={quantityTrouble(read, 'amount') ?? troubles['ingredients.0.amount']}
        />
        <DateField
          name="On"
          value={date}
          onChange={(next) => set({ date: next })}
          trouble={troubles['date']}
        />
        {scaled?.ingredients.map(({ materialId, litres: amount }, i) => (
          <Field
            key={materialId}
            name={`${measures.volume(amount)} of ${nameOf(materialId).toLowerCase()}`}
            trouble={troubles[`ingredients.${i + 1}.amount`]}
          >
            {(control) => (
              <Select
                {...control}
                value={sources[materialId] ?? ''}
                onChange={(source) => set({ sources: { ...sources, [materialId]: source } })}
                style={{ width: 210 }}
                popupMatchSelectWidth={false}
                options={[
                  { value: '', label: 'from outside' },
                  ...books.lots
                    .filter(({ id }) => id !== lotId)
                    .map(({ id, name }) => ({ value: id, label: `from ${name}` })),
                ]}
              />
            )}
          </Field>
        ))}
      </div>
      <p className="soft hint">
        {CHARGE_WORDS[recipeId].how}
        {scaled && scaled.waterL > 0 && ` ${measures.liquid(scaled.waterL)} of water.`}
        {recipe.fineness !== null && ' For char ground to dust.'} {recipe.days[0]} to {recipe.days[1]} days
        {recipe.stirrings > 0 && `, stirred ${recipe.stirrings} times`}. Never a tight lid on anything that
        ferments.
      </p>
      {charL > 0 && charL <= thereL * 1.01 && <Preview lotId={lotId} recipeId={recipeId} litres={charL} />}
      <FormFoot
        label={`Charge it, ready ${dateNear(readyDay, dayOf(books.today))}`}
        isSaving={isSaving}
        onClose={onClose}
        troubles={otherTroubles(troubles, [
          'date',
          'ingredients.0.amount',
          'ingredients.1.amount',
          'ingredients.2.amount',
        ])}
      />
    </form>
  );
}

interface PreviewProps {
  readonly lotId: string;
  readonly recipeId: ChargeRecipeId;
  readonly litres: number;
}

/** Nitrogen the char could hold, and will. */
function Preview({ lotId, recipeId, litres }: PreviewProps) {
  const books = useBooks();
  const measures = useMeasures();
  const question = useMemo(() => questionAboutStock(books, books.today), [books]);
  const { data } = useQuery(chargeQuery({ question, lotId, recipeId, litres }));
  const preview = data?.ok ? data.result : null;
  if (!preview) return null;
  const { capacityG, capacityRangeG, heldWhenReadyG, broughtG, missingG } = preview;
  const share = capacityG > 0 ? heldWhenReadyG / capacityG : 0;
  return (
    <p role="status">
      Its surfaces can hold about <strong className="figure">{measures.nitrogen(capacityG)}</strong> of
      nitrogen ({measures.nitrogen(capacityRangeG[0])} to {measures.nitrogen(capacityRangeG[1])}: the least
      certain figure here). The recipe brings {measures.nitrogen(broughtG)} readily available on the first
      day; according to the model {measures.nitrogen(heldWhenReadyG)} will be held when it is ready,{' '}
      {formatPercent(share)}.{' '}
      {missingG > 0.25 * capacityG
        ? `It would still take ${measures.nitrogen(missingG)} from a bed: add some urine or another quick feed.`
        : 'That is as good as full.'}
    </p>
  );
}
