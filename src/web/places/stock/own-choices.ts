import { useState } from 'react';
import { z } from 'zod';
import type { GardenBooks } from '../../../contract/garden-books.ts';
import { SHARE_SEASONS, type Share } from '../../../core/long-run/index.ts';
import { remember, remembered } from '../../app/device-memory.ts';

const KEPT = z.array(
  z.object({
    pileId: z.string(),
    bedId: z.string(),
    season: z.enum(SHARE_SEASONS),
    litres: z.number().min(0),
  }),
);

const keyOf = (gardenId: string): string => `vine-ledger:own-shares:${gardenId}`;

/** The choices kept for a garden, as far as their piles and beds are still there. */
function keptChoices({ garden, lots, beds }: GardenBooks): readonly Share[] {
  try {
    const kept = KEPT.parse(JSON.parse(remembered(keyOf(garden.id)) ?? '[]'));
    return kept.filter(
      ({ pileId, bedId }) => lots.some(({ id }) => id === pileId) && beds.some(({ id }) => id === bedId),
    );
  } catch {
    // Of an earlier version, or spoilt: the page starts afresh.
    return [];
  }
}

/** The gardener's own choices of who gets what, kept on this device by garden. */
export function useOwnChoices(
  books: GardenBooks,
): readonly [readonly Share[], (choices: readonly Share[]) => void] {
  const [choices, setChoices] = useState(() => keptChoices(books));
  const keep = (next: readonly Share[]) => {
    setChoices(next);
    remember(keyOf(books.garden.id), next.length > 0 ? JSON.stringify(next) : null);
  };
  return [choices, keep];
}
