import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { instrumentsQuery, readProbe, readScale } from '../../api/instruments.ts';

export interface Instrument {
  /** Whether one is connected at all. */
  readonly isThere: boolean;
  readonly trouble: string | null;
  /** Asks it for a figure; a failure becomes `trouble`. */
  readonly read: (use: (figure: number) => void) => void;
}

function useInstrument(isThere: boolean, ask: () => Promise<number>): Instrument {
  const [trouble, setTrouble] = useState<string | null>(null);
  const read = (use: (figure: number) => void) => {
    setTrouble(null);
    ask().then(use, (failure: unknown) =>
      setTrouble(failure instanceof Error ? failure.message : 'It does not answer.'),
    );
  };
  return { isThere, trouble, read };
}

/** A kitchen scale, grams. */
export function useScale(): Instrument {
  const { data } = useQuery(instrumentsQuery());
  return useInstrument(data?.scale ?? false, readScale);
}

/** A probe for heaps and soil, degrees C. */
export function useProbe(): Instrument {
  const { data } = useQuery(instrumentsQuery());
  return useInstrument(data?.probe ?? false, readProbe);
}
