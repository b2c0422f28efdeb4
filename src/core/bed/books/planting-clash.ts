import { findCrop } from '../../ground/index.ts';
import { InputError } from '../../../refusals/input-error.ts';
import type { Planting } from '../../../records/planting.ts';

type Standing = Pick<Planting, 'id' | 'cropId' | 'plantedOn' | 'clearedOn' | 'areaShare' | 'isUndersown'>;

const ROUNDING = 1e-9;
/** ISO dates sort as text; later than any of them. */
const FOR_EVER = '9999-12-31';

const nameOf = ({ cropId }: Standing): string => findCrop(cropId)?.name ?? cropId;
const end = ({ clearedOn }: Standing): string => clearedOn ?? FOR_EVER;
const stands = (one: Standing, date: string): boolean => one.plantedOn <= date && date < end(one);

/**
 * Throws InputError on `plantedOn` when a planting would stand where others already fill the bed. What is
 * undersown takes no room; crops side by side have shares that add up to the whole bed at most.
 */
export function checkRoom(planting: Standing, all: readonly Standing[]): void {
  if (planting.isUndersown) return;
  const others = all.filter(({ id, isUndersown }) => id !== planting.id && !isUndersown);
  const starts = [planting.plantedOn, ...others.map(({ plantedOn }) => plantedOn)];
  for (const date of starts) {
    if (!stands(planting, date)) continue;
    const beside = others.filter((other) => stands(other, date));
    const share = beside.reduce((sum, { areaShare }) => sum + areaShare, planting.areaShare);
    if (share <= 1 + ROUNDING || beside.length === 0) continue;
    const names = beside.map((one) => `${nameOf(one)} (until ${one.clearedOn ?? 'it is cleared'})`);
    throw new InputError(['plantedOn'], 'bedIsFull', { crops: names });
  }
}
