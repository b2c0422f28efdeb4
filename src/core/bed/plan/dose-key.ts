/** The key of a dose in the calendar: the first crop that the plan feeds, and which dose it is, from 1. */
export const doseKey = (cropId: string, number: number): string => `dose:${cropId}:${number}`;

/** The planting and the number of the dose that a key speaks of; null when it speaks of something else. */
export function doseOfKey(key: string): { readonly plantingId: string; readonly number: number } | null {
  const [kind, plantingId, ...rest] = key.split(':');
  const number = Number(rest.at(-1));
  return kind === 'dose' && number >= 1 ? { plantingId, number } : null;
}
