import {
  LITRES_PER_CUBIC_METRE,
  LITRES_PER_METRIC_BARROW,
  type Material,
  massFreshKgFromAmount,
} from '../../ground/index.ts';

/** Filling, wheeling and tipping one barrow, raking it out included, minutes (common practice, no source). */
const MINUTES_PER_BARROW = 8;
/** Digging a square metre to a spade's depth, minutes (common practice, no source). */
const MINUTES_PER_M2_DUG = 6;
/** More than this in one barrow is too heavy to push, kg (common practice, no source). */
const HEAVIEST_BARROW_KG = 80;

/** What laying something asks of a person. */
export interface Effort {
  readonly massFreshKg: number;
  readonly volumeL: number;
  readonly barrows: number;
  /** Whole barrows, none heavier than one can push. */
  readonly trips: number;
  readonly hours: number;
}

/** What a layer of `thicknessCm` over a bed asks for. */
export function effortOf(
  material: Pick<Material, 'bulkDensityKgPerM3'>,
  layer: { readonly thicknessCm: number; readonly dugDepthCm: number },
  areaM2: number,
): Effort {
  const { bulkDensityKgPerM3 } = material;
  const massFreshKg = massFreshKgFromAmount({
    amount: layer.thicknessCm,
    unit: 'cm',
    measured: { bulkDensityKgPerM3, areaM2 },
  });
  const volumeL = (massFreshKg / bulkDensityKgPerM3) * LITRES_PER_CUBIC_METRE;
  return effortFor({ massFreshKg, volumeL, dugDepthCm: layer.dugDepthCm }, areaM2);
}

/** What so much of anything asks for. */
export function effortFor(
  load: { readonly massFreshKg: number; readonly volumeL: number; readonly dugDepthCm: number },
  areaM2: number,
): Effort {
  const { massFreshKg, volumeL } = load;
  const barrows = volumeL / LITRES_PER_METRIC_BARROW;
  const trips = Math.ceil(Math.max(barrows, massFreshKg / HEAVIEST_BARROW_KG) - 1e-9);
  const diggingMinutes = load.dugDepthCm > 0 ? areaM2 * MINUTES_PER_M2_DUG : 0;
  return { massFreshKg, volumeL, barrows, trips, hours: (trips * MINUTES_PER_BARROW + diggingMinutes) / 60 };
}

/** Several layers together. */
export const totalEffort = (efforts: readonly Effort[]): Effort =>
  efforts.reduce(
    (sum, one) => ({
      massFreshKg: sum.massFreshKg + one.massFreshKg,
      volumeL: sum.volumeL + one.volumeL,
      barrows: sum.barrows + one.barrows,
      trips: sum.trips + one.trips,
      hours: sum.hours + one.hours,
    }),
    { massFreshKg: 0, volumeL: 0, barrows: 0, trips: 0, hours: 0 },
  );
