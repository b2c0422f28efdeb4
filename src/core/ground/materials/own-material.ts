import type { OwnMaterialBasis, ChipsBasis } from '../../../records/material.ts';
import { InputError, type FieldPath } from '../../../refusals/input-error.ts';
import { checkMaterial } from './check-material.ts';
import { findLibraryMaterial } from './library.ts';
import type { Material } from './material.ts';
import { woodChipMaterial } from './wood-chips.ts';

/** A gardener's own material as the model reads it. Throws InputError naming the field. */
export function ownMaterial(basis: OwnMaterialBasis, path: FieldPath = ['basis']): Material {
  if (basis.type === 'chips') return { ...woodChipMaterial(basis, path), mineralsLike: chipsLike(basis) };
  const { likeMaterialId } = basis;
  const like = findLibraryMaterial(likeMaterialId);
  if (!like) {
    throw new InputError([...path, 'likeMaterialId'], 'namesNone', {
      what: 'libraryMaterial',
      got: likeMaterialId,
    });
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
