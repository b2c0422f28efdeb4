import { gainKey, type Share, type ShareBed, type ShareBound, type ShareGain } from './share-problem.ts';

/** Bounds are kept to this share of themselves, and to this many g where there is no room at all. */
const NEAR_ENOUGH = 1e-6;

/** What shares use of a bound of a bed, g. */
export const usedG = ({
  shares,
  bed,
  bound: { code, seasons },
  gains,
}: {
  readonly shares: readonly Share[];
  readonly bed: ShareBed;
  readonly bound: ShareBound;
  readonly gains: ReadonlyMap<string, ShareGain>;
}): number =>
  shares.reduce(
    (sum, { pileId, bedId, season, litres }) =>
      bedId === bed.id && seasons.includes(season)
        ? sum + litres * (gains.get(gainKey(pileId, bed.id))?.usesGPerL[code] ?? 0)
        : sum,
    0,
  );

/** So much is more than a bound has room for. */
export const passes = (g: number, { roomG }: ShareBound): boolean =>
  g > roomG + NEAR_ENOUGH * Math.max(1, roomG);
