import { clamp } from '../../ground/index.ts';
import type { Treatment } from '../../../records/lot.ts';

/**
 * Turning lets out the air of the heap; a sheet keeps some of it in, a bag or drum most (directions from NRAES-54, from
 * memory; the figures are set here and held to its ranges by `heap-losses.test.ts`).
 */
const TURNED = 1.5;
const UNDER_A_SHEET = 0.7;
const SHUT = 0.3;

/**
 * Moisture at which the loss rate of the model holds, wet basis; drier heaps hold less ammonia in their water (set
 * here).
 */
const USUAL_MOISTURE = 0.58;
const DRYNESS_SLOPE = 3;

/** Rise of the loss for each hundredth of the dry mass that is ash or lime, up to the largest (set here). */
const ALKALI_SLOPE = 0.15;
const LARGEST_ALKALI_FACTOR = 4;

/**
 * How freely ammonia leaves a heap, against a heap left still and open at 58 % water without ash or lime. Warmth counts
 * apart, and C:N by what microbes leave of the ammonium.
 *
 * @param moisture wet basis
 * @param alkaliShare ash and lime in the dry mass, 0 to 1
 * @example
 * ammoniaFreedom({ keeping: 'watered', isTurned: true, isHot: true }, 0.58, 0) // 1.5
 */
export function ammoniaFreedom(
  { keeping, isTurned }: Treatment,
  moisture: number,
  alkaliShare: number,
): number {
  const cover = keeping === 'shut' ? SHUT : keeping === 'covered' ? UNDER_A_SHEET : 1;
  const dryness = Math.exp(DRYNESS_SLOPE * (USUAL_MOISTURE - clamp(moisture, 0.4, 0.95)));
  const alkali = Math.min(LARGEST_ALKALI_FACTOR, 1 + 100 * ALKALI_SLOPE * alkaliShare);
  return (isTurned ? TURNED : 1) * cover * dryness * alkali;
}
