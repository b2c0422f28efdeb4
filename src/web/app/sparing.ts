import { remember, remembered } from './device-memory.ts';

const KEY = 'vine-ledger:sparing';

/**
 * Whether this device is spared: nothing is worked out that nobody asked for, neither likely ranges nor ahead of a
 * question. For a slow phone or a low battery.
 */
export const isSparing = (): boolean => remembered(KEY) !== null;

export const spare = (isSpared: boolean): void => remember(KEY, isSpared ? 'yes' : null);
