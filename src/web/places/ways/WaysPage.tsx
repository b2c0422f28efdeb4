import { useQuery } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { EVEN_WEIGHTS, type AimWeights } from '../../../core/long-run/index.ts';
import { ESTIMATE } from '../../../words/words.ts';
import { counted } from '../../../words/counted.ts';
import { useBooks } from '../../app/garden-context.ts';
import { useReader } from '../../ui/forms/QuantityField.tsx';
import { PageHeading } from '../../ui/heading/PageHeading.tsx';
import { PricesForm } from '../../ui/prices/PricesForm.tsx';
import { useStock } from '../../ui/stock/use-stock.ts';
import { recordsForYears, waysQuery } from '../../worker/questions.ts';
import type { WaysAsked } from '../../worker/ways-answers.ts';
import { AimSliders } from './AimSliders.tsx';
import { ANY, readWays, type WaysForm, blankWays } from './ways-form.ts';
import { WaysQuestion, WhatIfFields } from './WaysQuestion.tsx';
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
  const [query] = useSearchParams();
  const [form, setForm] = useState<WaysForm>(() =>
    blankWays(books, { lotId: query.get('pile'), bedId: query.get('bed') }),
  );
  const [weights, setWeights] = useState<AimWeights>(EVEN_WEIGHTS);
  const [prefix, setPrefix] = useState(newPrefix);
  const question = useMemo(() => ({ today: books.today, records: recordsForYears(books) }), [books]);
  const { lots } = useStock(books);
  const inPileL = lots.find(({ lot }) => lot.id === form.lotId)?.brief?.now?.volumeL ?? null;
  const { asked, troubles } = readWays(form, { inPileL }, reader);
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
            A pile, a bed, or both: all sensible ways to use the one for the other, side by side.
          </p>
        </div>
      </header>
      <WaysQuestion form={form} onChange={setForm} trouble={troubles.amount} />
      <div className="ways-more">
        <WhatIfFields form={form} onChange={setForm} troubles={troubles} />
        <Prices />
      </div>
      <AimSliders weights={weights} onChange={setWeights} />
      {waysAsked ? (
        <Answer asked={waysAsked} weights={weights} onPlanned={() => setPrefix(newPrefix())} />
      ) : (
        <Missing form={form} />
      )}
      <p className="soft estimate">{ESTIMATE}</p>
    </div>
  );
}

/** What nitrogen, hours and loads cost here: with it the ways are told in money too. */
function Prices() {
  const [isOpen, setOpen] = useState(false);
  return (
    <details open={isOpen} onToggle={(event) => setOpen(event.currentTarget.open)}>
      <summary>Your prices</summary>
      {isOpen && <PricesForm onClose={() => setOpen(false)} />}
    </details>
  );
}

/** What is still to be said before there is an answer. */
function Missing({ form }: { readonly form: WaysForm }) {
  const { garden } = useBooks();
  if (form.bedId === ANY && form.lotId === ANY) {
    return (
      <p className="soft">
        Choose a pile or a bed. To share all piles out over all beds, see{' '}
        <Link to={`/garden/${garden.id}/share`}>Share out</Link>.
      </p>
    );
  }
  return <p className="soft">Say how much of it there is, and for which bed.</p>;
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
  const { ways, today, notLookedAt } = data.result;
  if (ways.length === 0) return <NothingToWeigh />;
  return (
    <>
      {notLookedAt > 0 && (
        <p className="soft">
          {counted(notLookedAt, asked.asked.bedId === null ? 'more bed' : 'more pile')} not looked at: ask
          about {notLookedAt === 1 ? 'it' : 'them'} by name.
        </p>
      )}
      <WeighedWays asked={asked} ways={ways} today={today} weights={weights} onPlanned={onPlanned} />
    </>
  );
}

/** Ash, lime and other minerals go by the gram, logs are too big for a bed. */
function NothingToWeigh() {
  const { garden } = useBooks();
  return (
    <div className="empty">
      <h2>No ways to compare</h2>
      <p>
        Ash, lime and rock dust are spread by the gram and by a soil test, and a pile may be empty by then.
        How much ash a bed takes is worked out under <Link to={`/garden/${garden.id}/prepare/ash`}>Ash</Link>.
      </p>
    </div>
  );
}
