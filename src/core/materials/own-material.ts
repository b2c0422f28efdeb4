import { InputError, type FieldPath } from '../input-error.ts';
import { checkMaterial } from './check-material.ts';
import { findLibraryMaterial } from './library.ts';
import type { Material } from './material.ts';
import { woodChipMaterial, type WoodChipTraits } from './wood-chips.ts';

/** Chips described by what can be seen of them. */
export interface ChipsBasis extends WoodChipTraits {
  readonly type: 'chips';
}

/** Figures of one's own over a material of the library, which lends everything not stated here. */
export interface FiguresBasis {
  readonly type: 'figures';
  readonly likeMaterialId: string;
  readonly moistureFractionWetBasis: number;
  readonly carbonFractionDryBasis: number;
  readonly nitrogenFractionDryBasis: number;
  readonly bulkDensityKgPerM3: number;
}

export type OwnMaterialBasis = ChipsBasis | FiguresBasis;

/** A gardener's own material as the model reads it. Throws InputError naming the field. */
export function ownMaterial(basis: OwnMaterialBasis, path: FieldPath = ['basis']): Material {
  if (basis.type === 'chips') return { ...woodChipMaterial(basis, path), mineralsLike: chipsLike(basis) };
  const { likeMaterialId } = basis;
  const like = findLibraryMaterial(likeMaterialId);
  if (!like) {
    throw new InputError(
      [...path, 'likeMaterialId'],
      'unknown',
      `names no material of the library; got "${likeMaterialId}"`,
    );
  }
  const material: Material = {
    ...like,
    moistureFractionWetBasis: basis.moistureFractionWetBasis,
    carbonFractionDryBasis: basis.carbonFractionDryBasis,
    nitrogenFractionDryBasis: basis.nitrogenFractionDryBasis,
    bulkDensityKgPerM3: basis.bulkDensityKgPerM3,
    mineralsLike: likeMaterialId,
  };
  checkMaterial(material, path);
  return material;
}

/** The chips of the library that these come nearest to (set here). */
function chipsLike({ branchDiameterCm, leafShare, coniferShare }: ChipsBasis): string {
  if (coniferShare > 0.6) return 'chips_conifer_green';
  if (leafShare > 0.2) return 'chips_inleaf';
  return branchDiameterCm <= 8 ? 'chips_branch' : 'chips_mixed';
}
