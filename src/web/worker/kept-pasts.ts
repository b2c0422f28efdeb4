import type { BedPast, PastKeeper } from '../../core/bed/index.ts';
import { workedOutShelf, type Kept } from './worked-out-shelf.ts';

/**
 * How beds came to be what they are: a bed of ten years is run for the last one only, on the next day and after a change
 * to this year's records too. The file of this thread is named by what is in it, so its address tells builds apart.
 */
const shelf = workedOutShelf<BedPast>('vine-ledger-pasts', import.meta.url);
const inHand = new Map<string, Kept<BedPast>>();

/** Fetches what was kept of a bed, so that `keeperOf` has it at hand. */
export async function recallPast(bedId: string): Promise<void> {
  if (inHand.has(bedId)) return;
  const kept = await shelf.get(bedId);
  if (kept) inHand.set(bedId, kept);
}

export const keeperOf = (bedId: string): PastKeeper => ({
  find: (key) => {
    const kept = inHand.get(bedId);
    return kept?.key === key ? kept.value : undefined;
  },
  keep: (key, value) => {
    inHand.set(bedId, { key, value });
    shelf.put(bedId, { key, value });
  },
});
