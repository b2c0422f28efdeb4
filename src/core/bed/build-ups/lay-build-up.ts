import { type DayNumber, type Material, isoDateOf, massFreshKgFromAmount } from '../../ground/index.ts';
import type { BuildUpLayer } from './build-up.ts';

/** One layer of a build-up as it would be laid on a bed. */
export interface PlannedLayer {
  readonly materialId: string;
  readonly date: string;
  readonly thicknessCm: number;
  readonly dugDepthCm: number;
  readonly seasonedMonths: number;
  readonly massFreshKg: number;
}

type FindMaterial = (materialId: string) => Material | undefined;

/** A build-up scaled to a bed and laid from `laidDay` on; layers of materials that are gone are left out. */
export function layBuildUp({
  layers,
  areaM2,
  laidDay,
  findMaterial,
}: {
  readonly layers: readonly BuildUpLayer[];
  readonly areaM2: number;
  readonly laidDay: DayNumber;
  readonly findMaterial: FindMaterial;
}): PlannedLayer[] {
  return layers.flatMap(({ afterDays, ...layer }) => {
    const material = findMaterial(layer.materialId);
    if (!material || !(layer.thicknessCm > 0)) return [];
    const { bulkDensityKgPerM3 } = material;
    return {
      ...layer,
      date: isoDateOf(laidDay + afterDays),
      massFreshKg: massFreshKgFromAmount({
        amount: layer.thicknessCm,
        unit: 'cm',
        measured: { bulkDensityKgPerM3, areaM2 },
      }),
    };
  });
}
