import { z } from 'zod';
import {
  labReport,
  labSample,
  labSamples,
  probeReading,
  scaleReading,
  type LabReport,
  type LabSample,
  type ProbeReading,
  type SampleSent,
  type ScaleReading,
} from '../contract/instruments.ts';
import { ProblemError } from './problems.ts';

/** Where the instruments of a garden answer; absent where there is none. */
export interface InstrumentAddresses {
  readonly scale?: string | undefined;
  readonly probe?: string | undefined;
  readonly laboratory?: string | undefined;
  readonly weather?: string | undefined;
}

const PATIENCE_MS = 3000;

interface Asked {
  /** What is asked for there. */
  readonly path: string;
  /** What is handed over; nothing when something is only read. */
  readonly body?: object;
}

/** What an instrument says. A problem when there is none, it does not answer in time, or says what cannot be. */
export async function askInstrument<Reading>({
  address,
  schema,
  what,
  asked: { path, body } = { path: '/reading' },
}: {
  readonly address: string | undefined;
  readonly schema: z.ZodType<Reading>;
  readonly what: string;
  readonly asked?: Asked;
}): Promise<Reading> {
  if (address === undefined) {
    throw new ProblemError(404, 'Not connected', `No ${what} is connected; type the figure instead.`);
  }
  let answer: unknown;
  try {
    const response = await fetch(new URL(path, address), {
      signal: AbortSignal.timeout(PATIENCE_MS),
      ...(body ? { method: 'POST', body: JSON.stringify(body) } : {}),
    });
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
  const reading = await askInstrument({ address: scale, schema: scaleReading, what: 'kitchen scale' });
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
  askInstrument({ address: probe, schema: probeReading, what: 'probe' });

const LABORATORY = 'soil laboratory';

export const sendSample = ({ laboratory }: InstrumentAddresses, sample: SampleSent): Promise<LabSample> =>
  askInstrument({
    address: laboratory,
    schema: labSample,
    what: LABORATORY,
    asked: { path: '/samples', body: sample },
  });

export const samplesOf = (
  { laboratory }: InstrumentAddresses,
  bedId: string,
): Promise<{ samples: LabSample[] }> =>
  askInstrument({
    address: laboratory,
    schema: labSamples,
    what: LABORATORY,
    asked: { path: `/samples?bed=${encodeURIComponent(bedId)}` },
  });

/** The report on a sample; a problem that says when it will be there, while it is not. */
export async function reportOn(
  { laboratory }: InstrumentAddresses,
  sampleId: string,
  today: string,
): Promise<LabReport> {
  const path = `/samples/${encodeURIComponent(sampleId)}.json?on=${today}`;
  const answer = await askInstrument({
    address: laboratory,
    schema: z.union([labReport, z.object({ readyOn: z.string() })]),
    what: LABORATORY,
    asked: {
      path,
    },
  });
  if ('readyOn' in answer) {
    throw new ProblemError(503, 'Not ready', `The laboratory will have the report on ${answer.readyOn}.`);
  }
  return answer;
}
