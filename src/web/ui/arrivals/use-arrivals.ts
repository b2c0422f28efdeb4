import { useEffect, useRef, useState } from 'react';

/** The array of the last time while it holds the same things. */
export function useSame<Item>(items: readonly Item[]): readonly Item[] {
  const [last, setLast] = useState(items);
  const isSame = last.length === items.length && last.every((one, i) => one === items[i]);
  if (!isSame) setLast(items);
  return isSame ? last : items;
}

/** So much longer each group is waited for than the one before, and the most, ms. */
const STEP_MS = 300;
const MOST_MS = 1200;

/** How many groups were taken up so far, and when the last was. */
interface Groups {
  readonly at: number;
  readonly taken: number;
}

/** When the next group is taken up, on the clock of `at`. */
export const dueAt = ({ at, taken }: Groups, isWhole: boolean): number =>
  isWhole ? 0 : at + Math.min(taken * STEP_MS, MOST_MS);

/**
 * A value to which answers arrive many times a second, taken up in groups: the first at once, later ones less and less
 * often, for drawing them takes time from working out the others; the last at once when it is whole.
 */
export function useArrivals<Value>(value: Value, isWhole: boolean): Value {
  const [shown, setShown] = useState(value);
  const last = useRef<Groups>({ at: 0, taken: 0 });
  useEffect(() => {
    if (Object.is(value, shown)) return undefined;
    const timer = setTimeout(
      () => {
        last.current = { at: performance.now(), taken: isWhole ? 0 : last.current.taken + 1 };
        setShown(() => value);
      },
      Math.max(0, dueAt(last.current, isWhole) - performance.now()),
    );
    return () => clearTimeout(timer);
  }, [value, shown, isWhole]);
  return shown;
}
