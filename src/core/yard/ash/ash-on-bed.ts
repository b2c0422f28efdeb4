import { type DayNumber, type FindMaterial, dayNumberFromIso, hasTrait } from '../../ground/index.ts';
import type { Entry } from '../../../records/entry.ts';
import { woodAshG } from '../stock/lot-contents.ts';
import type { TakenForBed } from '../stock/stock-steps.ts';

/** Ash that came onto a bed, dry. */
export interface AshDressing {
  readonly entryId: string;
  readonly day: DayNumber;
  readonly gPerM2: number;
  /** Spread as ash; false for what came in with a compost. */
  readonly isSpread: boolean;
}

/** Ash in what the stock gives for entries, g by entry. */
export const ashTakenG = (taken: ReadonlyMap<string, TakenForBed> | undefined): Record<string, number> =>
  Object.fromEntries([...(taken ?? [])].map(([entryId, { contents }]) => [entryId, woodAshG(contents)]));

/**
 * All ash on a bed, whichever way it came: every limit on ash counts these. `takenG` is the ash in what came from the stock,
 * by entry.
 */
export function ashOnBed(
  { entries, areaM2 }: { readonly entries: readonly Entry[]; readonly areaM2: number },
  takenG: Readonly<Record<string, number>>,
  findMaterial: FindMaterial,
): AshDressing[] {
  return entries.flatMap((entry) => {
    if (entry.type !== 'lay') return [];
    const isSpread = hasTrait(findMaterial(entry.materialId), 'isWoodAsh');
    const ashG = takenG[entry.id] ?? (isSpread ? entry.massFreshKg * 1000 : 0);
    if (ashG <= 0) return [];
    return [
      { entryId: entry.id, day: dayNumberFromIso(entry.date, ['date']), gPerM2: ashG / areaM2, isSpread },
    ];
  });
}
