import { startTransition, useEffect, useState } from 'react';

/** A value one task after it was given, so that two charts which take it never hold up the page together. */
export function useLater<Value>(value: Value): Value {
  const [late, setLate] = useState(() => value);
  useEffect(() => {
    const timer = setTimeout(() => startTransition(() => setLate(() => value)));
    return () => clearTimeout(timer);
  }, [value]);
  return late;
}
