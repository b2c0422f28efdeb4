import { remember, remembered } from './device-memory.ts';

const KEY = 'vine-ledger last garden';

/** Id of the garden that was open last on this device; null when there was none. */
export const lastGarden = (): string | null => remembered(KEY);

export const rememberGarden = (gardenId: string): void => remember(KEY, gardenId);
