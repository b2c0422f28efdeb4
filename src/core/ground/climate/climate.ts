import type { ClimateNormals } from '../../../records/garden.ts';
/** True when June to August is colder than December to February. */
export function isSouthern({ temperatureC: t }: ClimateNormals): boolean {
  return t[5] + t[6] + t[7] < t[11] + t[0] + t[1];
}
