import { LITRES_PER_CUBIC_METRE, findLibraryMaterial } from '../../ground/index.ts';
import { nitrogenToAddG, type Blend } from './blend.ts';
import type { MixMiss } from './mix-miss.ts';
import { partnerMassForMoistureKg, partnerMassKg } from './two-materials.ts';

/** So much of something would do it. */
export interface Remedy {
  readonly materialId: string;
  readonly massFreshKg: number;
  readonly volumeL: number;
}

/** What would mend a mix that misses its aim. */
export type MixFix =
  | { readonly code: 'addNitrogen'; readonly nitrogenG: number; readonly with: readonly Remedy[] }
  | { readonly code: 'addCarbon'; readonly with: readonly Remedy[] }
  | { readonly code: 'addWater'; readonly waterL: number }
  | { readonly code: 'addDry'; readonly with: readonly Remedy[] }
  | { readonly code: 'getMore'; readonly litres: number };

const RICH = ['grass_clippings', 'layer_manure', 'feather_meal', 'urine'];
const LEAN = ['straw_cereal', 'leaves_mixed', 'chips_mixed', 'cardboard'];
const DRY = ['straw_cereal', 'shavings', 'cardboard'];

function remedies(ids: readonly string[], massOf: (id: string) => number | null): Remedy[] {
  return ids.flatMap((materialId) => {
    const massFreshKg = massOf(materialId);
    if (massFreshKg === null) return [];
    const { bulkDensityKgPerM3 } = findLibraryMaterial(materialId)!;
    return [
      { materialId, massFreshKg, volumeL: (massFreshKg * LITRES_PER_CUBIC_METRE) / bulkDensityKgPerM3 },
    ];
  });
}

/** Ways to bring a mix to what it misses. */
export const fixesFor = (mix: Blend, misses: readonly MixMiss[]): MixFix[] =>
  misses.flatMap((miss): MixFix | [] => {
    switch (miss.what) {
      case 'carbonToNitrogen': {
        const isLean = miss.is === null || miss.is > miss.aim.aim;
        const edge = miss.aim.aim + (isLean ? miss.aim.tolerance : -miss.aim.tolerance);
        const massOf = (id: string) => partnerMassKg(mix, findLibraryMaterial(id)!, edge);
        return isLean
          ? { code: 'addNitrogen', nitrogenG: nitrogenToAddG(mix, edge), with: remedies(RICH, massOf) }
          : { code: 'addCarbon', with: remedies(LEAN, massOf) };
      }
      case 'moisture': {
        if (miss.is < miss.aim.aim) {
          const low = miss.aim.aim - miss.aim.tolerance;
          return { code: 'addWater', waterL: (low * mix.massFreshKg - mix.waterKg) / (1 - low) };
        }
        const high = miss.aim.aim + miss.aim.tolerance;
        return {
          code: 'addDry',
          with: remedies(DRY, (id) => partnerMassForMoistureKg(mix, findLibraryMaterial(id)!, high)),
        };
      }
      case 'volume':
        return { code: 'getMore', litres: miss.wantedL - miss.isL };
      case 'bulkDensity':
      case 'cost':
        // Neither is mended by one more thing; what stands in the way is on the bench.
        return [];
    }
  });
