/** Beds of one part of the garden; those of no part have an empty name. */
export interface GardenPart<Bed> {
  readonly name: string;
  readonly beds: readonly Bed[];
}

const COLLATOR = new Intl.Collator('en', { sensitivity: 'base', numeric: true });

/** Beds by the part of the garden they lie in, by name; those of no part come last. One part of no name when none is named. */
export function gardenParts<Bed>(beds: readonly Bed[], partOf: (bed: Bed) => string): GardenPart<Bed>[] {
  const names = [...new Set(beds.map(partOf))].toSorted((a, b) =>
    a === '' || b === '' ? (a === '' ? 1 : -1) : COLLATOR.compare(a, b),
  );
  return names.map((name) => ({ name, beds: beds.filter((bed) => partOf(bed) === name) }));
}

/** What beds of no part stand under, beside parts that have names. */
export const REST_OF_GARDEN = 'Rest of the garden';
