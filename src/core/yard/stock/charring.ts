import type { CharTemperature, AmountUnit } from '../../../records/vocabulary.ts';
import { InputError, requireNumber, type FieldPath } from '../../../refusals/input-error.ts';
import { type Material, findLibraryMaterial, massFreshKgFromAmount, total } from '../../ground/index.ts';
import type { ModelParameters } from '../../model/index.ts';
import { carbonG, contentsOfMaterial, dryG, nitrogenG, type LotContents } from './lot-contents.ts';

export const RAW_CHAR_ID = 'biochar_raw';

/**
 * Carbon of char from wood, share of dry mass, by firing: 0.77 in the IPCC 2019 Refinement for wood (from memory),
 * falling below and rising above the middle class (set here, after general literature).
 */
const CARBON_FRACTION: Readonly<Record<CharTemperature, number>> = { low: 0.68, medium: 0.77, high: 0.85 };

export interface CharYield {
  readonly amount: number;
  readonly unit: AmountUnit;
  readonly moistureFractionWetBasis: number;
}

/** Raw char of the library, fired so. */
export function rawChar(charTemperature: CharTemperature, moistureFractionWetBasis?: number): Material {
  const char = findLibraryMaterial(RAW_CHAR_ID)!;
  const moisture = moistureFractionWetBasis ?? char.moistureFractionWetBasis;
  const dryDensity = char.bulkDensityKgPerM3 * (1 - char.moistureFractionWetBasis);
  return {
    ...char,
    charTemperature,
    carbonFractionDryBasis: CARBON_FRACTION[charTemperature],
    moistureFractionWetBasis: moisture,
    bulkDensityKgPerM3: dryDensity / (1 - moisture),
  };
}

/** Dry mass of a yield, kg. */
export function yieldDryKg(charTemperature: CharTemperature, found: CharYield, path: FieldPath): number {
  const moisture = requireNumber(found.moistureFractionWetBasis, [...path, 'moistureFractionWetBasis'], {
    min: 0,
    max: 0.9,
  });
  const { bulkDensityKgPerM3 } = rawChar(charTemperature, moisture);
  const freshKg = massFreshKgFromAmount({
    amount: found.amount,
    unit: found.unit,
    measured: { bulkDensityKgPerM3, areaM2: 1 },
    path: [...path, 'amount'],
  });
  return freshKg * (1 - moisture);
}

/**
 * What a fire left of what it was fed. Throws InputError naming the yield when more came out than went in. Minerals
 * stay in char and ash; nitrogen is that of raw char, or what the wood had when that is less.
 */
export function charOf({
  fed,
  found,
  charTemperature,
  p,
  path,
}: {
  readonly fed: LotContents;
  readonly found: CharYield;
  readonly charTemperature: CharTemperature;
  readonly p: ModelParameters;
  readonly path: FieldPath;
}): LotContents {
  const dryKg = yieldDryKg(charTemperature, found, path);
  const char = rawChar(charTemperature, found.moistureFractionWetBasis);
  const fedKg = dryG(fed) / 1000;
  if (dryKg > fedKg || dryKg * 1000 * char.carbonFractionDryBasis > carbonG(fed)) {
    throw new InputError([...path, 'amount'], 'moreCharThanWood', { charDryKg: dryKg, woodDryKg: fedKg });
  }
  const nitrogenFraction = Math.min(char.nitrogenFractionDryBasis, nitrogenG(fed) / (dryKg * 1000));
  const made = contentsOfMaterial({
    materialId: RAW_CHAR_ID,
    material: { ...char, nitrogenFractionDryBasis: nitrogenFraction },
    dryG: dryKg * 1000,
    p,
  });
  const minerals = (of: 'phosphorusG' | 'potassiumG') => total(fed.cohorts.map((one) => one[of]));
  return {
    ...made,
    cohorts: made.cohorts.map((one) => ({
      ...one,
      phosphorusG: Math.min(one.phosphorusG, minerals('phosphorusG')),
      potassiumG: Math.min(one.potassiumG, minerals('potassiumG')),
    })),
  };
}
