import type { z } from 'zod';
import { probeReading, scaleReading, type ProbeReading, type ScaleReading } from '../contract/instruments.ts';
import { ProblemError } from './problems.ts';

/** Where the instruments of a garden answer; absent where there is none. */
export interface InstrumentAddresses {
  readonly scale?: string | undefined;
  readonly probe?: string | undefined;
}

const PATIENCE_MS = 3000;

async function ask<Reading>(
  address: string | undefined,
  schema: z.ZodType<Reading>,
  what: string,
): Promise<Reading> {
  if (address === undefined) {
    throw new ProblemError(404, 'Not connected', `No ${what} is connected; type the figure instead.`);
  }
  let answer: unknown;
  try {
    const response = await fetch(new URL('/reading', address), { signal: AbortSignal.timeout(PATIENCE_MS) });
    answer = await response.json();
  } catch {
    throw new ProblemError(
      502,
      'No answer',
      `The ${what} does not answer. Is it on? You can type the figure instead.`,
    );
  }
  const reading = schema.safeParse(answer);
  if (!reading.success) {
    throw new ProblemError(
      502,
      'Absurd reading',
      `The ${what} says something that cannot be. Read it again, or type the figure.`,
    );
  }
  return reading.data;
}

/** What lies on the scale; a scale that still swings is asked to be read again. */
export async function readScale({ scale }: InstrumentAddresses): Promise<ScaleReading> {
  const reading = await ask(scale, scaleReading, 'kitchen scale');
  if (!reading.isStable) {
    throw new ProblemError(
      503,
      'Still swinging',
      'The scale has not come to rest; read it again in a moment.',
    );
  }
  return reading;
}

export const readProbe = ({ probe }: InstrumentAddresses): Promise<ProbeReading> =>
  ask(probe, probeReading, 'probe');
