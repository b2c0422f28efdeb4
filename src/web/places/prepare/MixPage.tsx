import { useBooks, useMeasures } from '../../app/garden-context.ts';
import { useMemo, useState } from 'react';
import { blend, bucketRatio } from '../../../core/yard/index.ts';
import { useReader } from '../../ui/forms/QuantityField.tsx';
import { NOTHING_TYPED, type Reader } from '../../ui/forms/typed-quantity.ts';
import type { Measures } from '../../../words/measures.ts';
import { useStock } from '../../ui/stock/use-stock.ts';
import { Aims, BenchRows } from './BenchRows.tsx';
import { BucketShares } from './BucketShares.tsx';
import { MakeBatch } from './MakeBatch.tsx';
import { aimsOf, mixables, newRow, partsOf, waterL, waterTyped, type BenchForm } from './mix-form.ts';
import { Outcome } from './Outcome.tsx';
import { Recipes } from './Recipes.tsx';
import { ScaleMix } from './ScaleMix.tsx';
import { WhatIf } from './WhatIf.tsx';
import { SolvePanel } from './SolvePanel.tsx';
import '../../ui/stock/stock.css';
import './prepare.css';
import { PageHeading } from '../../ui/heading/PageHeading.tsx';

const blankForm = (measures: Measures, reader: Reader): BenchForm => ({
  rows: [
    newRow('material:chips_mixed', measures.bucketUnit, '3'),
    newRow('material:grass_clippings', measures.bucketUnit, '1'),
  ],
  water: waterTyped(0, reader),
  total: NOTHING_TYPED,
  densityLow: NOTHING_TYPED,
  densityHigh: NOTHING_TYPED,
  costMost: '',
  isWhole: true,
  isLayered: false,
  ...aimsOf('hotCompost'),
});

/** Buckets, barrows and kilograms put together, and what they truly come to. */
export function MixPage() {
  const books = useBooks();
  const measures = useMeasures();
  const reader = useReader();
  const [form, setForm] = useState(() => blankForm(measures, reader));
  const set = (change: Partial<BenchForm>) => setForm((before) => ({ ...before, ...change }));
  const { lots } = useStock(books);
  const stocked = useMemo(() => lots.flatMap(({ brief }) => brief ?? []), [lots]);
  const known = useMemo(
    () => new Map(mixables(books, stocked).map((one) => [one.source, one])),
    [books, stocked],
  );
  const parts = partsOf(form.rows, known);
  const mix = blend(parts, waterL(form, reader));
  return (
    <div className="page">
      <header className="page-head">
        <div>
          <PageHeading>Mixing bench</PageHeading>
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
          {mix.volumeL > 0 && <ScaleMix form={form} set={set} volumeL={mix.volumeL} />}
        </section>
        <section aria-label="What it comes to">
          <Outcome form={form} mix={mix} parts={parts} />
          <WhatIf form={form} mix={mix} parts={parts} set={set} />
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
