import type { Material } from '../../ground/index.ts';
import { carbonPerFreshKg, nitrogenPerFreshKg, type Blend } from './blend.ts';

/**
 * Fresh mass, kg, of a second material that brings a mix to a C:N of `ratio`: its surplus of one element against the
 * lack of the other (the two-material formula of NRAES-54, from memory, rearranged). Null when it cannot: both lie on
 * the same side of the ratio.
 */
export function partnerMassKg(
  mix: Pick<Blend, 'carbonG' | 'nitrogenG'>,
  partner: Material,
  ratio: number,
): number | null {
  const lack = mix.carbonG - ratio * mix.nitrogenG;
  const brings = ratio * nitrogenPerFreshKg(partner) - carbonPerFreshKg(partner);
  if (lack === 0) return 0;
  return brings !== 0 && lack / brings > 0 ? lack / brings : null;
}

/**
 * Fresh mass, kg, of a second material that brings a mix to a moisture, wet basis. Null when it cannot. Source as
 * above.
 */
export function partnerMassForMoistureKg(
  mix: Pick<Blend, 'waterKg' | 'massFreshKg'>,
  partner: Material,
  moisture: number,
): number | null {
  const surplus = mix.waterKg - moisture * mix.massFreshKg;
  const takes = moisture - partner.moistureFractionWetBasis;
  if (surplus === 0) return 0;
  return takes !== 0 && surplus / takes > 0 ? surplus / takes : null;
}
