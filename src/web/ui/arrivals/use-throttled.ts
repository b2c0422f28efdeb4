import { useEffect, useRef, useState } from 'react';

/** The array of the last time while it holds the same things. */
export function useSame<Item>(items: readonly Item[]): readonly Item[] {
  const [last, setLast] = useState(items);
  const isSame = last.length === items.length && last.every((one, i) => one === items[i]);
  if (!isSame) setLast(items);
  return isSame ? last : items;
}

/** A value that may change many times a second, taken up at most every `everyMs`, and always its last. */
export function useThrottled<Value>(value: Value, everyMs: number): Value {
  const [shown, setShown] = useState(value);
  const takenAt = useRef(0);
  useEffect(() => {
    if (Object.is(value, shown)) return undefined;
    const timer = setTimeout(
      () => {
        takenAt.current = performance.now();
        setShown(() => value);
      },
      Math.max(0, takenAt.current + everyMs - performance.now()),
    );
    return () => clearTimeout(timer);
  }, [value, shown, everyMs]);
  return shown;
}
