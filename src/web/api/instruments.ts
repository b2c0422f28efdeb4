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
