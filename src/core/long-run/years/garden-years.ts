import type { Bed } from '../../../records/bed.ts';
import { SOIL_DEFAULTS } from '../../model/index.ts';
import type { YearPoint } from './run-years.ts';

/** The years of one bed of several. */
export interface BedYears {
  readonly areaM2: number;
  /** Mass of the soil that its organic matter percentage refers to, kg/m2. */
  readonly soilMassKgPerM2: number;
  readonly points: readonly YearPoint[];
}

/** Of a whole garden the paths keep to their plan: what is meant for beds is not laid on them. */
export const keepsToItsPlan = ({ kind }: Pick<Bed, 'kind'>): boolean => kind === 'path';

/** Mass of the soil that a laboratory would sample, kg/m2: 1 g/cm3 of it, 1 cm deep, weighs 10. */
export const sampledSoilKgPerM2 = ({ bulkDensityGPerCm3 }: { readonly bulkDensityGPerCm3: number }): number =>
  bulkDensityGPerCm3 * SOIL_DEFAULTS.samplingDepthCm * 10;

/**
 * Several beds as one, per m2 of them all: amounts by area, organic matter by mass of soil. All have the same years; at
 * least one bed. Wood left is given for the beds that have any.
 */
export function asOneBed(beds: readonly BedYears[]): YearPoint[] {
  const areaM2 = beds.reduce((sum, bed) => sum + bed.areaM2, 0);
  const soilKg = beds.reduce((sum, bed) => sum + bed.areaM2 * bed.soilMassKgPerM2, 0);
  return beds[0].points.map((first, i) => {
    const mean = (read: (point: YearPoint) => number) =>
      beds.reduce((sum, bed) => sum + read(bed.points[i]) * bed.areaM2, 0) / areaM2;
    const wooded = beds.filter(({ points }) => points[i].woodLeftShare !== null);
    const woodedM2 = wooded.reduce((sum, bed) => sum + bed.areaM2, 0);
    return {
      yearsAhead: first.yearsAhead,
      day: first.day,
      organicMatterPct:
        beds.reduce(
          (sum, bed) => sum + bed.points[i].organicMatterPct * bed.areaM2 * bed.soilMassKgPerM2,
          0,
        ) / soilKg,
      humusPct:
        beds.reduce((sum, bed) => sum + bed.points[i].humusPct * bed.areaM2 * bed.soilMassKgPerM2, 0) /
        soilKg,
      riseCm: mean((one) => one.riseCm),
      humusCarbonG: mean((one) => one.humusCarbonG),
      charCarbonG: mean((one) => one.charCarbonG),
      lastingCharG: [
        mean((one) => one.lastingCharG[0]),
        mean((one) => one.lastingCharG[1]),
        mean((one) => one.lastingCharG[2]),
      ],
      freshCarbonG: mean((one) => one.freshCarbonG),
      microbialCarbonG: mean((one) => one.microbialCarbonG),
      mulchCm: mean((one) => one.mulchCm),
      woodLeftShare:
        woodedM2 > 0
          ? wooded.reduce((sum, bed) => sum + bed.points[i].woodLeftShare! * bed.areaM2, 0) / woodedM2
          : null,
      nitrogenBankG: mean((one) => one.nitrogenBankG),
      carbonLaidG: mean((one) => one.carbonLaidG),
      rootCarbonG: mean((one) => one.rootCarbonG),
      carbonToAirG: mean((one) => one.carbonToAirG),
      nitrogenLaidG: mean((one) => one.nitrogenLaidG),
      nitrogenGivenG: mean((one) => one.nitrogenGivenG),
      nitrogenBoughtG: mean((one) => one.nitrogenBoughtG),
      cropWantG: mean((one) => one.cropWantG),
      cropMissedG: mean((one) => one.cropMissedG),
      nitrogenLostG: mean((one) => one.nitrogenLostG),
      nitrogenWashedOutG: mean((one) => one.nitrogenWashedOutG),
      nitrogenSurplusG: mean((one) => one.nitrogenSurplusG),
      manureNitrogenG: mean((one) => one.manureNitrogenG),
      phosphorusG: mean((one) => one.phosphorusG),
      potassiumG: mean((one) => one.potassiumG),
      phosphorusMeanG: mean((one) => one.phosphorusMeanG),
      potassiumMeanG: mean((one) => one.potassiumMeanG),
    };
  });
}
