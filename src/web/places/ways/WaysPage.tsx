import { useQuery } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import { EVEN_WEIGHTS, type AimWeights } from '../../../core/long-run/index.ts';
import { ESTIMATE } from '../../../words/words.ts';
import { materialName } from '../../../words/record-names.ts';
import { useBooks } from '../../app/garden-context.ts';
import { useReader } from '../../ui/forms/QuantityField.tsx';
import { PageHeading } from '../../ui/heading/PageHeading.tsx';
import { useStock } from '../../ui/stock/use-stock.ts';
import { recordsForYears, waysQuery } from '../../worker/questions.ts';
import type { WaysAsked } from '../../worker/ways-answers.ts';
import { AimSliders } from './AimSliders.tsx';
import { readWays, type WaysForm, blankWays } from './ways-form.ts';
import { WaysQuestion } from './WaysQuestion.tsx';
import { WeighedWays } from './WeighedWays.tsx';
import './ways.css';

/** What to do with a pile: all sensible ways side by side. */
export function WaysPage() {
  const books = useBooks();
  if (books.beds.length === 0) {
    return (
      <div className="page">
        <PageHeading>Which way?</PageHeading>
        <div className="empty">
          <h2>No bed yet</h2>
          <p>
            Here you see all ways of using a pile for a bed.{' '}
            <Link to={`/garden/${books.garden.id}`}>Make a bed first</Link>.
          </p>
        </div>
      </div>
    );
  }
  return <OpenWays />;
}

const newPrefix = (): string => `way-${crypto.randomUUID().slice(0, 8)}`;

function OpenWays() {
  const books = useBooks();
  const reader = useReader();
  const [form, setForm] = useState<WaysForm>(() => blankWays(books));
  const [weights, setWeights] = useState<AimWeights>(EVEN_WEIGHTS);
  const [prefix, setPrefix] = useState(newPrefix);
  const question = useMemo(() => ({ today: books.today, records: recordsForYears(books) }), [books]);
  const { lots } = useStock(books);
  const inPileL = lots.find(({ lot }) => lot.id === form.lotId)?.brief?.now?.volumeL ?? null;
  const areaM2 = books.beds.find(({ id }) => id === form.bedId)?.areaM2 ?? 0;
  const room = { inPileL, areaM2 };
  const { asked, trouble } = readWays(form, room, reader);
  const waysAsked: WaysAsked | null = asked && {
    question,
    asked,
    prefix,
    prices: books.garden.prices ?? null,
  };
  return (
    <div className="page ways">
      <header className="page-head">
        <div>
          <PageHeading>Which way?</PageHeading>
          <p className="soft">
            A pile and a bed: all sensible ways to use the one for the other, side by side.
          </p>
        </div>
      </header>
      <WaysQuestion form={form} room={room} trouble={trouble} onChange={setForm} />
      <AimSliders weights={weights} onChange={setWeights} />
      {waysAsked ? (
        <Answer asked={waysAsked} weights={weights} onPlanned={() => setPrefix(newPrefix())} />
      ) : (
        <p className="soft">Say how much of it there is, and for which bed.</p>
      )}
      <p className="soft estimate">{ESTIMATE}</p>
    </div>
  );
}

function Answer({
  asked,
  weights,
  onPlanned,
}: {
  readonly asked: WaysAsked;
  readonly weights: AimWeights;
  readonly onPlanned: () => void;
}) {
  const books = useBooks();
  const { data, error, isPlaceholderData } = useQuery(waysQuery(asked));
  const trouble = error ? 'The model failed; nothing was changed.' : data && !data.ok ? data.sentence : null;
  if (trouble) {
    return (
      <p className="trouble" role="alert">
        {trouble}
      </p>
    );
  }
  if (!data?.ok || isPlaceholderData) return <p className="soft">Looking for ways …</p>;
  const { ways, today, materialId } = data.result;
  return (
    <WeighedWays
      asked={asked}
      ways={ways}
      today={today}
      weights={weights}
      stuff={materialName(materialId, books.materials)}
      onPlanned={onPlanned}
    />
  );
}
