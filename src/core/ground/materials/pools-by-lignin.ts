import { clamp } from '../numerics/interpolation.ts';
import type { CarbonPools } from './material.ts';

/** Carbon in lignin, of its mass (from memory). */
const LIGNIN_CARBON = 0.62;
/** What decays quickly falls with lignin over nitrogen (Parton et al. 1987, CENTURY, from memory). */
const QUICK = { at: 0.85, perLigninToNitrogen: 0.018 } as const;
/** Of what that calls quick, so much is so in pools of the model (calibrated on the rows of library.json). */
const QUICK_SHARE = 0.45;
const LEAST_QUICK = 0.03;

/** What the pools of a plant material follow from, as shares of dry mass. */
export interface LigninAndNitrogen {
  readonly carbonFractionDryBasis: number;
  readonly nitrogenFractionDryBasis: number;
  readonly ligninFractionDryBasis: number;
  /** Share of the carbon that is humus already: of composts and rotted manures. */
  readonly humusShare: number;
}

/**
 * Pools of a material that nobody fitted: the carbon of its lignin is woody, what decays quickly falls with lignin over
 * nitrogen, the rest is structural, and what is humus already takes its part of all.
 *
 * @example
 * poolsByLignin({ carbonFractionDryBasis: 0.47, nitrogenFractionDryBasis: 0.009, ligninFractionDryBasis: 0.2, humusShare: 0 }).woody // 0.264
 */
export function poolsByLignin({
  carbonFractionDryBasis,
  nitrogenFractionDryBasis,
  ligninFractionDryBasis,
  humusShare,
}: LigninAndNitrogen): CarbonPools {
  if (carbonFractionDryBasis === 0)
    return { quick: 1, structural: 0, woody: 0, microbial: 0, humus: 0, char: 0 };
  const fresh = 1 - humusShare;
  const woody = Math.min(1 - LEAST_QUICK, (ligninFractionDryBasis * LIGNIN_CARBON) / carbonFractionDryBasis);
  const perNitrogen =
    nitrogenFractionDryBasis > 0 ? ligninFractionDryBasis / nitrogenFractionDryBasis : Infinity;
  const asked = QUICK_SHARE * (QUICK.at - QUICK.perLigninToNitrogen * perNitrogen);
  const quick = clamp(asked, LEAST_QUICK, 1 - woody);
  return {
    quick: fresh * quick,
    structural: fresh * (1 - quick - woody),
    woody: fresh * woody,
    microbial: 0,
    humus: humusShare,
    char: 0,
  };
}
