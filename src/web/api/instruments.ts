import { queryOptions } from '@tanstack/react-query';
import { bodyOf, client } from './client.ts';

const { instruments } = client.api;

/** Which instruments are connected. */
export const instrumentsQuery = () =>
  queryOptions({ queryKey: ['instruments'], queryFn: () => bodyOf(instruments.$get()), staleTime: 60_000 });

/** What lies on the scale, g. */
export const readScale = async (): Promise<number> => (await bodyOf(instruments.scale.$get())).massG;

/** What the probe says, degrees C. */
export const readProbe = async (): Promise<number> => (await bodyOf(instruments.probe.$get())).temperatureC;

/** Samples of a bed that lie in the laboratory. */
export const samplesQuery = (bedId: string) =>
  queryOptions({
    queryKey: ['instruments', 'samples', bedId],
    queryFn: () => bodyOf(instruments.laboratory.beds[':bedId'].samples.$get({ param: { bedId } })),
  });

export const sendSample = (bedId: string) =>
  bodyOf(instruments.laboratory.beds[':bedId'].samples.$post({ param: { bedId } }));

export const readReport = (sampleId: string) =>
  bodyOf(instruments.laboratory.samples[':sampleId'].$get({ param: { sampleId } }));
