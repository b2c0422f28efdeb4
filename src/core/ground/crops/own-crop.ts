import type { OwnCrop } from '../../../records/crop.ts';
import { InputError } from '../../../refusals/input-error.ts';
import { type Crop, findLibraryCrop } from './crop-library.ts';

/**
 * A crop of one's own, with the figures of the one it is like where it has none. Throws InputError when it is like
 * nothing in the library, or when its harvest would hold more nitrogen than the crop takes up.
 */
export function ownCrop(own: OwnCrop): Crop {
  const like = findLibraryCrop(own.likeCropId);
  if (!like) throw new InputError(['likeCropId'], 'namesNone', { what: 'crop', got: own.likeCropId });
  const crop: Crop = {
    ...like,
    id: own.id,
    name: own.name,
    synonyms: [],
    nitrogenDemandGPerM2: own.nitrogenDemandGPerM2 ?? like.nitrogenDemandGPerM2,
    rootDepthCm: own.rootDepthCm ?? like.rootDepthCm,
    daysInGround: like.isPerennial ? like.daysInGround : (own.daysInGround ?? like.daysInGround),
    startsAs: own.startsAs ?? like.startsAs,
    warmth: own.warmth ?? like.warmth,
    yieldKgPerM2: own.yieldKgPerM2 ?? like.yieldKgPerM2,
    source: `your own figures; what you left open is that of ${like.name}: ${like.source}`,
  };
  requireHarvestWithinUptake(crop);
  return crop;
}

function requireHarvestWithinUptake({ yieldKgPerM2, harvest, nitrogenDemandGPerM2 }: Crop): void {
  const harvestedG = yieldKgPerM2 * harvest.nitrogenGPerKg;
  if (harvestedG > nitrogenDemandGPerM2) {
    throw new InputError(['yieldKgPerM2'], 'harvestOverUptake', {
      harvestedG,
      takenUpG: nitrogenDemandGPerM2,
      mostKg: nitrogenDemandGPerM2 / harvest.nitrogenGPerKg,
    });
  }
}

/** A crop of the library, or one of the garden's own; undefined when it is neither. */
export function findCrop(id: string, own: readonly OwnCrop[]): Crop | undefined {
  const known = findLibraryCrop(id);
  if (known) return known;
  const ofTheGarden = own.find((one) => one.id === id);
  return ofTheGarden && ownCrop(ofTheGarden);
}
