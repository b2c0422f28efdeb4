import { type DrawnOutcome, type LikelyRange, type RangePlan, likelyRange } from '../../../core/bed/index.ts';
import { startTransition, useEffect, useMemo, useState } from 'react';
import type { Observation } from '../../../records/journal.ts';
import type { BedQuestion, RangeSetUp } from '../../worker/core-worker.ts';
import { isSparing, spare } from '../../app/sparing.ts';
import { ALL_DRAWS, drawAll, warmUp } from '../../worker/range-workers.ts';

/** When a new band is shown, in draws: soon at first, then as it settles. */
const SHOWN_AT = [8, 24, 60, 120, 200, 300, ALL_DRAWS];
/** A question that changes within this is not worth drawing for, ms. */
const SETTLE_MS = 100;
/** The first drawing and its answers have the machine to themselves, ms. */
const WARM_UP_MS = 600;

export interface ShownRange {
  readonly range: LikelyRange;
  readonly plan: RangePlan;
  readonly isDone: boolean;
}

interface RangeState {
  readonly shown: ShownRange | null;
  readonly isStopped: boolean;
  readonly stop: () => void;
  readonly goOn: () => void;
}

/**
 * The likely range of a bed, drawn in other threads while nothing else is asked; null until the first band. What is
 * shown is the range of the bed as it is drawn, so that a band goes with its tide and not before. `observations`: what
 * the draws are weighed by; null when nothing is to be learnt from the log.
 */
export function useLikelyRange({
  question,
  isWanted,
  drawnQuestion,
  observations,
}: {
  readonly question: BedQuestion;
  readonly isWanted: boolean;
  readonly drawnQuestion: BedQuestion;
  readonly observations: readonly Observation[] | null;
}): RangeState {
  const [shown, setShown] = useState<{ question: BedQuestion; range: ShownRange } | null>(null);
  const [isStopped, setStopped] = useState(isSparing);
  useEffect(() => {
    if (isStopped) return undefined;
    const timer = setTimeout(warmUp, WARM_UP_MS);
    return () => clearTimeout(timer);
  }, [isStopped]);
  useEffect(() => {
    if (!isWanted || isStopped) return undefined;
    const ending = new AbortController();
    const outcomes: DrawnOutcome[] = [];
    let setUp: RangeSetUp | undefined;
    const onDrawn = (drawn: DrawnOutcome) => {
      outcomes.push(drawn);
      if (!setUp || !SHOWN_AT.includes(outcomes.length)) return;
      const { plan, inputs, harmlessShare } = setUp;
      const range = likelyRange({ outcomes, inputs, plan, harmlessShare });
      startTransition(() =>
        setShown({ question, range: { range, plan, isDone: outcomes.length >= ALL_DRAWS } }),
      );
    };
    const timer = setTimeout(() => {
      void drawAll({
        question,
        observations,
        signal: ending.signal,
        onSetUp: (made) => (setUp = made),
        onDrawn,
      });
    }, SETTLE_MS);
    return () => {
      clearTimeout(timer);
      ending.abort();
    };
  }, [question, isWanted, isStopped, observations]);
  return useMemo(
    () => ({
      shown: shown?.question === drawnQuestion ? shown.range : null,
      isStopped,
      stop: () => {
        spare(true);
        setStopped(true);
      },
      goOn: () => {
        spare(false);
        setStopped(false);
      },
    }),
    [shown, drawnQuestion, isStopped],
  );
}
