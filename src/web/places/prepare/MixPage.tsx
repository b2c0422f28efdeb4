import { Button, Checkbox, Segmented, Select } from 'antd';
import { useMemo, useState } from 'react';
import type { GardenBooks } from '../../../contract/records.ts';
import { blend, nitrogenToAddG } from '../../../core/mixing/blend.ts';
import { findLibraryMaterial } from '../../../core/materials/library.ts';
import { bucketRatio } from '../../../core/mixing/bucket-ratio.ts';
import { mixCautions } from '../../../core/mixing/mix-cautions.ts';
import { MIX_PURPOSES, MIX_TARGETS } from '../../../core/mixing/purposes.ts';
import { partnerMassKg } from '../../../core/mixing/two-materials.ts';
import { carbonToNitrogenRatio } from '../../../core/materials/material.ts';
import { useRemoveRecipe, useRestoreRecipe, useSaveRecipe } from '../../api/stock.ts';
import { Gauge } from '../../drawing/gauge.tsx';
import { AmountField, Choice, TextField } from '../../forms/inputs.tsx';
import { Field } from '../../forms/Field.tsx';
import { numberFromText } from '../../forms/parse-number.ts';
import { fixed, percent, plainFigure } from '../../format/figures.ts';
import { measuresOf, type Measures } from '../../format/measures.ts';
import { MIX_PURPOSE_WORDS, mixCautionWords } from '../../format/mix-words.ts';
import { ratioFigure } from '../../format/stock-words.ts';
import { useGardenBooks } from '../shell/use-garden-books.ts';
import { useUndo } from '../shell/use-undo.tsx';
import { useStock } from '../stock/use-stock.ts';
import { BucketShares } from './BucketShares.tsx';
import { MakeBatch } from './MakeBatch.tsx';
import {
  aimsOf,
  ingredientsOf,
  mixables,
  newRow,
  partsOf,
  ratioAim,
  type BenchForm,
  type BenchPart,
  type BenchRow,
  type Mixable,
} from './mix-form.ts';
import { SolvePanel } from './SolvePanel.tsx';
import '../stock/stock.css';
import './prepare.css';

/** Buckets, barrows and kilograms put together, and what they truly come to. */
export function MixPage() {
  const books = useGardenBooks();
  if (!books) return <p className="page soft">Opening the books …</p>;
  return <Bench key={books.garden.id} books={books} />;
}

const blankForm = (measures: Measures): BenchForm => ({
  rows: [
    newRow('material:chips_mixed', measures.bucketUnit, '3'),
    newRow('material:grass_clippings', measures.bucketUnit, '1'),
  ],
  waterL: '0',
  totalL: '',
  isWhole: true,
  isLayered: false,
  ...aimsOf('hotCompost'),
});

function Bench({ books }: { books: GardenBooks }) {
  const measures = measuresOf(books.garden);
  const [form, setForm] = useState(() => blankForm(measures));
  const set = (change: Partial<BenchForm>) => setForm((before) => ({ ...before, ...change }));
  const { lots } = useStock(books);
  const stocked = useMemo(() => lots.flatMap(({ brief }) => brief ?? []), [lots]);
  const known = useMemo(
    () => new Map(mixables(books, stocked).map((one) => [one.source, one])),
    [books, stocked],
  );
  const parts = partsOf(form.rows, known);
  const waterL = Math.max(0, numberFromText(form.waterL) || 0);
  const mix = blend(parts, waterL);
  return (
    <div className="page">
      <header className="page-head">
        <div>
          <h1>Mixing bench</h1>
          <p className="soft">
            Put together what you have; the figures follow. Rows marked “find” are left to the solver.
          </p>
        </div>
        <Recipes books={books} form={form} parts={parts} set={set} />
      </header>
      <div className="two-columns bench">
        <section aria-label="What goes in">
          <BenchRows form={form} set={set} known={known} parts={parts} measures={measures} />
          <Aims form={form} set={set} />
          <SolvePanel form={form} parts={parts} set={set} measures={measures} />
        </section>
        <section aria-label="What it comes to">
          <Outcome form={form} mix={mix} parts={parts} measures={measures} />
        </section>
      </div>
      {mix.massFreshKg > 0 && (
        <>
          <BucketShares
            parts={parts}
            ratio={bucketRatio(parts.map(({ material, volumeL }) => ({ material, buckets: volumeL / 10 })))}
          />
          <MakeBatch books={books} form={form} parts={parts} mix={mix} />
        </>
      )}
    </div>
  );
}

interface RowsProps {
  readonly form: BenchForm;
  readonly set: (change: Partial<BenchForm>) => void;
  readonly known: ReadonlyMap<string, Mixable>;
  readonly parts: readonly BenchPart[];
  readonly measures: Measures;
}

const sourceLabel = ({ name, material }: Mixable): string =>
  `${name} · C:N ${ratioFigure(material.nitrogenFractionDryBasis > 0 ? carbonToNitrogenRatio(material) : null)}`;

function BenchRows({ form, set, known, parts, measures }: RowsProps) {
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
              hint={thereL === null ? undefined : `${measures.volume(thereL)} there`}
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
              measures={measures}
              trouble={isTooMuch ? 'more than is there' : undefined}
            />
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
                  aria-label={`Take away: ${part?.mixable.name ?? 'this'}`}
                  disabled={form.rows.length === 1}
                  onClick={() => set({ rows: form.rows.filter(({ key }) => key !== row.key) })}
                >
                  take away
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
        <TextField
          name="Water poured on, L"
          value={form.waterL}
          onChange={(water) => set({ waterL: water })}
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

function Aims({ form, set }: Pick<RowsProps, 'form' | 'set'>) {
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
          name="Water, % from"
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
    </>
  );
}

interface OutcomeProps {
  readonly form: BenchForm;
  readonly mix: ReturnType<typeof blend>;
  readonly parts: readonly BenchPart[];
  readonly measures: Measures;
}

/** What most people would reach for to feed a lean heap. */
const FEEDER = findLibraryMaterial('feather_meal')!;

const span = (low: string, high: string, scale = 1): readonly [number, number] | null => {
  if (low.trim() === '' || high.trim() === '') return null;
  const ends = [numberFromText(low) / scale, numberFromText(high) / scale] as const;
  return Number.isFinite(ends[0] + ends[1]) ? ends : null;
};

function Outcome({ form, mix, parts, measures }: OutcomeProps) {
  if (mix.massFreshKg === 0) {
    return (
      <p className="soft">Nothing is in it yet: say how much of something, or let the solver find it.</p>
    );
  }
  const aim = ratioAim(form);
  const edge = aim && mix.carbonToNitrogen !== null ? aim.aim + aim.tolerance : null;
  const lackG = edge === null ? 0 : nitrogenToAddG(mix, edge);
  const feederKg = edge === null ? null : partnerMassKg(mix, FEEDER, edge);
  const cautions = mixCautions(mix, parts);
  return (
    <>
      <div className="outcome-head">
        <span className="figure outcome-ratio">
          {mix.carbonToNitrogen === null ? 'no nitrogen' : `${plainFigure(mix.carbonToNitrogen)} : 1`}
        </span>
        <span className="soft">carbon to nitrogen</span>
      </div>
      <Gauge
        label="C:N"
        value={mix.carbonToNitrogen}
        low={0}
        high={Math.max(60, (mix.carbonToNitrogen ?? 0) * 1.1)}
        target={span(form.ratioLow, form.ratioHigh)}
        format={(value) => fixed(value, 0)}
      />
      <div className="outcome-head">
        <span className="figure outcome-water">{percent(mix.moistureFractionWetBasis)}</span>
        <span className="soft">water</span>
      </div>
      <Gauge
        label="Water"
        value={mix.moistureFractionWetBasis}
        low={0}
        high={0.9}
        target={span(form.moistureLowPct, form.moistureHighPct, 100)}
        format={percent}
      />
      <dl className="figures-row">
        {(
          [
            ['volume, at most', `${measures.volume(mix.volumeL)} · ${measures.barrows(mix.volumeL)}`],
            ['weighs', measures.mass(mix.massFreshKg)],
            ['dry stuff', measures.mass(mix.dryKg)],
            [
              'nitrogen',
              `${measures.nitrogen(mix.nitrogenG)}, ${plainFigure(mix.nitrogenFractionDryBasis * 100, 2)} % of dry`,
            ],
            ['lies at', measures.density(mix.bulkDensityKgPerM3)],
            ['air, roughly', percent(mix.freeAirShare)],
          ] as const
        ).map(([name, value]) => (
          <div key={name}>
            <dt>{name}</dt>
            <dd>{value}</dd>
          </div>
        ))}
      </dl>
      {lackG > 0.5 && edge !== null && (
        <p>
          Instead of more greens, <strong className="figure">{measures.nitrogen(lackG)}</strong> of nitrogen
          would bring it to {plainFigure(edge)} : 1
          {feederKg !== null && `, such as ${measures.mass(feederKg)} of ${FEEDER.name.toLowerCase()}`}.
        </p>
      )}
      {cautions.length > 0 && (
        <ul className="caution-list">
          {cautions.map((caution) => (
            <li key={caution.code}>{mixCautionWords(caution)}</li>
          ))}
        </ul>
      )}
    </>
  );
}

interface RecipesProps {
  readonly books: GardenBooks;
  readonly form: BenchForm;
  readonly parts: readonly BenchPart[];
  readonly set: (change: Partial<BenchForm>) => void;
}

function Recipes({ books, form, parts, set }: RecipesProps) {
  const [name, setName] = useState<string | null>(null);
  const save = useSaveRecipe(books.garden.id);
  const remove = useRemoveRecipe();
  const restore = useRestoreRecipe();
  const offerUndo = useUndo();
  const [chosen, setChosen] = useState<string | null>(null);
  const recipe = books.recipes.find(({ id }) => id === chosen);
  const open = (id: string) => {
    const found = books.recipes.find((one) => one.id === id);
    if (!found) return;
    setChosen(id);
    set({
      rows: found.ingredients.map(({ lotId, materialId, amount, unit }) =>
        newRow(lotId === null ? `material:${materialId}` : `lot:${lotId}`, unit, plainFigure(amount, 4)),
      ),
      waterL: plainFigure(found.waterL, 4),
      isLayered: found.isLayered,
      ...aimsOf(found.purpose),
    });
  };
  return (
    <div className="actions bench-recipes">
      {name === null ? (
        <>
          {books.recipes.length > 0 && (
            <Select
              aria-label="Recipes"
              placeholder="Recipes you saved"
              style={{ width: 230 }}
              popupMatchSelectWidth={false}
              {...(chosen === null ? {} : { value: chosen })}
              onChange={open}
              options={books.recipes.map(({ id, name: label }) => ({ value: id, label }))}
            />
          )}
          {recipe && (
            <Button
              type="text"
              onClick={() =>
                remove.mutate(recipe, {
                  onSuccess: () => {
                    setChosen(null);
                    offerUndo('The recipe is gone.', () => restore.mutate(recipe.id));
                  },
                })
              }
            >
              Forget it
            </Button>
          )}
          <Button disabled={ingredientsOf(parts).length === 0} onClick={() => setName('')}>
            Save as a recipe
          </Button>
        </>
      ) : (
        <form
          className="band-fields"
          onSubmit={(event) => {
            event.preventDefault();
            save.mutate(
              {
                name,
                purpose: form.purpose,
                ingredients: ingredientsOf(parts),
                waterL: Math.max(0, numberFromText(form.waterL) || 0),
                isLayered: form.isLayered,
                note: '',
              },
              { onSuccess: () => setName(null) },
            );
          }}
        >
          <TextField
            name="Name of the recipe"
            isNumber={false}
            value={name}
            onChange={setName}
            width={220}
            trouble={save.error?.message}
            autoFocus
          />
          <Button type="primary" htmlType="submit" loading={save.isPending}>
            Save
          </Button>
          <Button onClick={() => setName(null)}>Cancel</Button>
        </form>
      )}
    </div>
  );
}
