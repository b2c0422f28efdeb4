import { startTransition, useEffect, useMemo, useRef, useState } from 'react';
import type { YearPoint } from '../../../core/long-run/index.ts';
import type { SecondOpinions } from '../../../core/model/index.ts';
import type { YearsPlan } from '../../worker/years-answers.ts';
import { followYears } from '../../worker/years-workers.ts';

/** Draws of each line; a garden of many beds is asked for fewer. */
const DRAWS = 32;
const FEWEST_DRAWS = 8;
/** About as many runs as a minute of two threads allows. */
const MOST_RUNS = 1600;
/** What changes within this is not worth starting for, ms; what is asked first is asked at once. */
const SETTLE_MS = 120;
/** The page is updated no more often than this, ms. */
const TELL_EVERY_MS = 150;

/** One bed under one habit, as far as it is known. */
export interface FollowedLine {
  readonly points: readonly YearPoint[];
  readonly opinions: SecondOpinions | null;
  readonly draws: readonly (readonly YearPoint[])[];
}

export interface Followed {
  readonly plan: YearsPlan;
  /** By `bed habit`, their places in the plan. */
  readonly lines: ReadonlyMap<string, FollowedLine>;
  readonly done: number;
  readonly total: number;
  readonly refusal: string | null;
}

export const lineKey = (bed: number, habit: number): string => `${bed} ${habit}`;

export const drawsFor = ({ bedIds, habits }: Pick<YearsPlan, 'bedIds' | 'habits'>): number =>
  Math.max(FEWEST_DRAWS, Math.min(DRAWS, Math.floor(MOST_RUNS / (bedIds.length * habits.length))));

interface YearsState {
  readonly followed: Followed | null;
  readonly isStopped: boolean;
  readonly stop: () => void;
  readonly goOn: () => void;
}

/**
 * Runs a plan in the other threads: first the default run of every line, then its draws. What was known of the plan before
 * stays on the page until something of the new one is there. When the same lines are asked for again, for example after a
 * price was saved, it stays until all of them are there: otherwise a table would disappear for a moment. Stopping keeps what has come.
 */
export function useYears(plan: YearsPlan | null): YearsState {
  const [followed, setFollowed] = useState<Followed | null>(null);
  const [stoppedKey, setStoppedKey] = useState<string | null>(null);
  const isStopped = plan !== null && stoppedKey === plan.key;
  const isFirst = useRef(true);
  const shown = useRef<YearsPlan | null>(null);
  useEffect(() => {
    if (!plan || isStopped) return undefined;
    const ending = new AbortController();
    const timer = setTimeout(
      () =>
        void gather(plan, {
          signal: ending.signal,
          shown: shown.current,
          show: (known) => {
            shown.current = known.plan;
            startTransition(() => setFollowed(known));
          },
        }),
      isFirst.current ? 0 : SETTLE_MS,
    );
    isFirst.current = false;
    return () => {
      clearTimeout(timer);
      ending.abort();
    };
  }, [plan, isStopped]);
  return useMemo(
    () => ({
      followed,
      isStopped,
      stop: () => setStoppedKey(plan?.key ?? null),
      goOn: () => setStoppedKey(null),
    }),
    [followed, isStopped, plan],
  );
}

interface Known {
  readonly plan: YearsPlan;
  readonly lines: ReadonlyMap<string, FollowedLine>;
  /** The plan whose lines are on the page; null when there is none yet. */
  readonly shown: YearsPlan | null;
}

/**
 * Whether the new answers can replace those on the page: one habit must be known on every bed, and all of them when the same
 * lines are on the page already.
 */
export function canBeShown({ plan, lines, shown }: Known): boolean {
  const isKnown = (habit: number): boolean => plan.bedIds.every((_, bed) => lines.has(lineKey(bed, habit)));
  const known = plan.habits.map((_, habit) => isKnown(habit));
  return shown !== null && areSameLines(shown, plan) ? known.every(Boolean) : known.some(Boolean);
}

const areSameLines = (a: YearsPlan, b: YearsPlan): boolean =>
  a.years === b.years && a.bedIds.join() === b.bedIds.join() && a.lineIds.join() === b.lineIds.join();

interface Gathering {
  readonly signal: AbortSignal;
  readonly shown: YearsPlan | null;
  readonly show: (followed: Followed) => void;
}

async function gather(plan: YearsPlan, { signal, shown, show }: Gathering): Promise<void> {
  const draws = drawsFor(plan);
  const total = plan.bedIds.length * plan.habits.length * (draws + 1);
  const ownLines = plan.bedIds.length * plan.habits.length;
  const lines = new Map<string, FollowedLine>();
  let done = 0;
  let toldAt = 0;
  const tell = (refusal: string | null = null) => {
    toldAt = performance.now();
    show({ plan, lines: new Map(lines), done, total, refusal });
  };
  await followYears({
    plan,
    draws,
    signal,
    yearsListener: {
      onRefusal: (sentence) => tell(sentence),
      onLine: ({ bed, habit, draw }, { points, opinions }) => {
        const key = lineKey(bed, habit);
        const known = lines.get(key);
        if (draw === null) lines.set(key, { points, opinions, draws: [] });
        else if (known) lines.set(key, { ...known, draws: [...known.draws, points] });
        done += 1;
        const isTelling = done === ownLines || done === total || performance.now() - toldAt > TELL_EVERY_MS;
        if (isTelling && canBeShown({ plan, lines, shown })) tell();
      },
    },
  });
}
