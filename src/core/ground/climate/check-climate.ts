import type { ClimateNormals } from '../../../records/garden.ts';
import { InputError } from '../../../refusals/input-error.ts';
import { isSouthern } from './climate.ts';

/** Nearer to the equator no half-year is summer. */
const TROPIC_DEG = 23.5;
/** Where the months differ less, they tell no half of the earth, C. */
const TELLING_C = 3;

/**
 * Throws InputError for twelve months that contradict themselves or where they are said to be: all of one temperature, or
 * warm when it is winter there. `latitudeDeg`: south negative.
 */
export function checkClimate(normals: ClimateNormals, latitudeDeg: number): void {
  const { temperatureC } = normals;
  const path = ['climate', 'temperatureC'];
  const spanC = Math.max(...temperatureC) - Math.min(...temperatureC);
  if (spanC === 0) throw new InputError(path, 'equalMonths');
  if (Math.abs(latitudeDeg) <= TROPIC_DEG || spanC < TELLING_C) return;
  if (isSouthern(normals) !== latitudeDeg < 0) throw new InputError(path, 'otherHemisphere', { latitudeDeg });
}
