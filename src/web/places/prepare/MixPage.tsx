import { useBooks } from '../../app/garden-context.ts';
import { useMemo, useState } from 'react';
import { blend, bucketRatio } from '../../../core/yard/index.ts';
import { numberFromText } from '../../ui/forms/parse-number.ts';
import { measuresOf, type Measures } from '../../../words/measures.ts';
import { useStock } from '../../ui/stock/use-stock.ts';
import { Aims, BenchRows } from './BenchRows.tsx';
import { BucketShares } from './BucketShares.tsx';
import { MakeBatch } from './MakeBatch.tsx';
import { aimsOf, mixables, newRow, partsOf, type BenchForm } from './mix-form.ts';
import { Outcome } from './Outcome.tsx';
import { Recipes } from './Recipes.tsx';
import { SolvePanel } from './SolvePanel.tsx';
import '../../ui/stock/stock.css';
import './prepare.css';

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

/** Buckets, barrows and kilograms put together, and what they truly come to. */
export function MixPage() {
  const books = useBooks();
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
        <Recipes form={form} parts={parts} set={set} />
      </header>
      <div className="two-columns bench">
        <section aria-label="What goes in">
          <BenchRows form={form} set={set} known={known} parts={parts} />
          <Aims form={form} set={set} />
          <SolvePanel form={form} parts={parts} set={set} />
        </section>
        <section aria-label="What it comes to">
          <Outcome form={form} mix={mix} parts={parts} />
        </section>
      </div>
      {mix.massFreshKg > 0 && (
        <>
          <BucketShares
            parts={parts}
            ratio={bucketRatio(parts.map(({ material, volumeL }) => ({ material, buckets: volumeL / 10 })))}
          />
          <MakeBatch form={form} parts={parts} mix={mix} />
        </>
      )}
    </div>
  );
}
