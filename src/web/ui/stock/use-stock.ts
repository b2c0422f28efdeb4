import { useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import type { GardenBooks } from '../../../contract/garden-books.ts';
import type { LotRecord } from '../../../records/lot.ts';
import { lotQuery, questionAboutStock, stockQuery } from '../../worker/questions.ts';
import type { LotAnswer, StockedLot } from '../../worker/stock-answers.ts';

export interface ListedLot {
  readonly lot: LotRecord;
  /** Undefined while the model is at work on it. */
  readonly brief: StockedLot | undefined;
}

export interface StockAnswer {
  readonly lots: readonly ListedLot[];
  readonly refusal: string | undefined;
}

/** Every lot of a garden as it stands today. */
export function useStock(books: GardenBooks): StockAnswer {
  const question = useMemo(() => questionAboutStock(books, books.today), [books]);
  const reserves = useMemo(
    () => Object.fromEntries(books.lots.map(({ id, reserveL }) => [id, reserveL])),
    [books.lots],
  );
  const { data } = useQuery({ ...stockQuery(question, reserves), enabled: books.lots.length > 0 });
  const briefs = data?.ok ? new Map(data.result.map((brief) => [brief.lotId, brief])) : undefined;
  return {
    lots: books.lots.map((lot) => ({ lot, brief: briefs?.get(lot.id) })),
    refusal: data && !data.ok ? data.sentence : undefined,
  };
}

/** One lot through time. */
export function useLot(books: GardenBooks, lotId: string): LotAnswer | null | undefined {
  const question = useMemo(() => questionAboutStock(books, books.today), [books]);
  const { data } = useQuery(lotQuery(question, lotId));
  return data?.ok ? data.result : undefined;
}
