import type { CuttingSeason } from '../../../records/vocabulary.ts';
import { requireNumber, type FieldPath } from '../../../refusals/input-error.ts';
import { clamp } from '../numerics/interpolation.ts';
import type { Material } from './material.ts';

/** What a gardener can see of a load of chips. */
export interface WoodChipTraits {
  /** Thickness of the branches that were chipped, cm. */
  readonly branchDiameterCm: number;
  /** Share of dry mass that is leaf, 0 to 1. */
  readonly leafShare: number;
  /** Share of conifer, 0 to 1. */
  readonly coniferShare: number;
  /** Share of bark in what is not leaf, 0 to 1; what is usual for the thickness when absent. */
  readonly barkShare?: number | null | undefined;
  /** When it was cut; makes no difference when absent. */
  readonly season?: CuttingSeason | null | undefined;
}

const THINNEST_CM = 5;
const THICKEST_CM = 30;
/** 50:1 at 5 cm rising to 500:1 at 30 cm (common practice, from memory). */
const RATIO_EXPONENT = Math.log(10) / Math.log(THICKEST_CM / THINNEST_CM);
const WOOD_CARBON = 0.49;
const LEAF_NITROGEN = 0.025;
/** Bark of thin branches and of thick stems, share of their dry mass (general literature, from memory). */
const BARK_OF_THIN = 0.25;
const BARK_OF_THICK = 0.1;
/** Bark has about so much more nitrogen than wood (general literature, from memory), and rots slower (set here). */
const BARK_EXTRA_NITROGEN = 0.004;
const BARK_SLOWNESS = 0.3;
/** Wood cut leafless holds about a tenth more nitrogen (general literature, from memory). */
const LEAFLESS_GAIN = 1.1;
const LEAST_NITROGEN = 0.0005;

/**
 * Chips derived from branch size, leaf share and conifer share. Leafless branches up to 5 cm come out near
 * 50:1, 40 % leaf near 31:1, 30 cm stems at 500:1 (common practice, from memory). For aged chips run the
 * result through a pile.
 */
export function woodChipMaterial(traits: WoodChipTraits, path: FieldPath = ['chips']): Material {
  const diameter = clamp(
    requireNumber(traits.branchDiameterCm, [...path, 'branchDiameterCm'], { above: 0, max: 300 }),
    THINNEST_CM,
    THICKEST_CM,
  );
  const leaf = requireNumber(traits.leafShare, [...path, 'leafShare'], { min: 0, max: 1 });
  const conifer = requireNumber(traits.coniferShare, [...path, 'coniferShare'], { min: 0, max: 1 });

  const thinness = 1 - (diameter - THINNEST_CM) / (THICKEST_CM - THINNEST_CM);
  const usualBark = BARK_OF_THICK + (BARK_OF_THIN - BARK_OF_THICK) * thinness;
  const moreBark = (barkOf(traits, path) ?? usualBark) - usualBark;
  const woodRatio = 50 * (diameter / THINNEST_CM) ** RATIO_EXPONENT * (1 + 0.5 * conifer);
  const seasonal = traits.season === 'leafless' ? LEAFLESS_GAIN : 1;
  const woodNitrogen = (WOOD_CARBON / woodRatio) * seasonal + moreBark * BARK_EXTRA_NITROGEN;
  const nitrogen =
    (1 - leaf) * Math.max(LEAST_NITROGEN, woodNitrogen) + leaf * LEAF_NITROGEN * (1 - 0.4 * conifer);
  const quick = (1 - leaf) * (0.04 + 0.06 * thinness) + 0.28 * leaf;
  const woody = (1 - leaf) * (0.3 + 0.08 * conifer) + 0.2 * leaf;
  return {
    kind: 'wood',
    moistureFractionWetBasis: 0.45 + 0.1 * leaf,
    carbonFractionDryBasis: WOOD_CARBON,
    nitrogenFractionDryBasis: nitrogen,
    ammoniumShareOfNitrogen: 0,
    bulkDensityKgPerM3: 280,
    pools: { quick, structural: 1 - quick - woody, woody, microbial: 0, humus: 0, char: 0 },
    particleSize: 'chip',
    decayFactor: (1 - 0.4 * conifer) * (1 - BARK_SLOWNESS * Math.max(0, moreBark)),
    ammoniaExposure: 0,
    vaporBarrier: 0,
    charTemperature: 'medium',
    isCharged: false,
  };
}

/** Undefined where nobody looked: then it is as usual. */
const barkOf = ({ barkShare }: WoodChipTraits, path: FieldPath): number | undefined =>
  barkShare === undefined || barkShare === null
    ? undefined
    : requireNumber(barkShare, [...path, 'barkShare'], { min: 0, max: 1 });
