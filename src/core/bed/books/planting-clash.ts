import { findCrop } from '../../ground/index.ts';
import type { OwnCrop } from '../../../records/crop.ts';
import { InputError } from '../../../refusals/input-error.ts';
import type { Planting } from '../../../records/planting.ts';

type Standing = Pick<Planting, 'id' | 'cropId' | 'plantedOn' | 'clearedOn' | 'areaShare' | 'isUndersown'>;

const ROUNDING = 1e-9;
/** ISO dates sort as text; later than any of them. */
const FOR_EVER = '9999-12-31';

const end = ({ clearedOn }: Standing): string => clearedOn ?? FOR_EVER;
const stands = (one: Standing, date: string): boolean => one.plantedOn <= date && date < end(one);

/**
 * The crops that fill the bed at a time when a planting would stand there; none where there is room. What is undersown
 * takes no room; crops side by side have shares that add up to the whole bed at most.
 */
export function crowdedBy<Other extends Standing>(planting: Standing, all: readonly Other[]): Other[] {
  if (planting.isUndersown) return [];
  const others = all.filter(({ id, isUndersown }) => id !== planting.id && !isUndersown);
  const starts = [planting.plantedOn, ...others.map(({ plantedOn }) => plantedOn)];
  for (const date of starts) {
    if (!stands(planting, date)) continue;
    const beside = others.filter((other) => stands(other, date));
    const share = beside.reduce((sum, { areaShare }) => sum + areaShare, planting.areaShare);
    if (share > 1 + ROUNDING && beside.length > 0) return beside;
  }
  return [];
}

/** Throws InputError on `plantedOn` when a planting would stand where others already fill the bed. */
export function checkRoom(planting: Standing, all: readonly Standing[], crops: readonly OwnCrop[]): void {
  const crowd = crowdedBy(planting, all);
  if (crowd.length === 0) return;
  const names = crowd.map(
    (one) => `${findCrop(one.cropId, crops)?.name ?? one.cropId} (until ${one.clearedOn ?? 'it is cleared'})`,
  );
  throw new InputError(['plantedOn'], 'bedIsFull', { crops: names });
}
