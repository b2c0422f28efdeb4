import { useState } from 'react';
import { z } from 'zod';
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

function keptChoices(gardenId: string): readonly Share[] {
  try {
    return KEPT.parse(JSON.parse(remembered(keyOf(gardenId)) ?? '[]'));
  } catch {
    // Of an earlier version, or spoilt: the page starts afresh.
    return [];
  }
}

/** The gardener's own choices of who gets what, kept on this device by garden. */
export function useOwnChoices(
  gardenId: string,
): readonly [readonly Share[], (choices: readonly Share[]) => void] {
  const [choices, setChoices] = useState(() => keptChoices(gardenId));
  const keep = (next: readonly Share[]) => {
    setChoices(next);
    remember(keyOf(gardenId), next.length > 0 ? JSON.stringify(next) : null);
  };
  return [choices, keep];
}
