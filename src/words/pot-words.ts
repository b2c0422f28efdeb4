import type { Bed, BedRecord } from '../records/bed.ts';
import { litresOfPot } from '../core/bed/index.ts';
import type { Measures } from './measures.ts';

/** What each pot gets of nitrogen for all of them: "1.2 g for each of 12 pots". */
export const eachPotWords = (nitrogenG: number, potCount: number, measures: Measures): string =>
  potCount === 1 ? 'for the pot' : `${measures.nitrogen(nitrogenG / potCount)} for each of ${potCount} pots`;

/** How large a bed is: its area, or its pots and what each holds. */
export function sizeWords(
  { areaM2, rootZoneCm, potCount }: Pick<Bed, 'areaM2' | 'rootZoneCm'> & Pick<BedRecord, 'potCount'>,
  measures: Measures,
): string {
  if (potCount === null) return measures.area(areaM2);
  const each = measures.liquid(litresOfPot({ areaM2, rootZoneCm, potCount }));
  return potCount === 1 ? `a pot of ${each}` : `${potCount} pots of ${each}`;
}
