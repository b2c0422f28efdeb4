import {
  type DayNumber,
  type FindMaterial,
  type Material,
  massFreshKgFromAmount,
} from '../../ground/index.ts';
import { InputError, requireNumber, type FieldPath } from '../../../refusals/input-error.ts';
import { ageLot } from './age-lot.ts';
import {
  atBulkDensity,
  atMoisture,
  contentsOfMaterial,
  freshKg,
  scaleContents,
  type LotContents,
} from './lot-contents.ts';
import { figuresOf } from './lot-figures.ts';
import type { StockSetting } from './stock-ledger.ts';
import type { AmountUnit } from '../../../records/vocabulary.ts';
import type { ReceiveMovement } from '../../../records/movement.ts';

const DAYS_PER_MONTH = 365 / 12;
/** Wetter than this is no heap (set here). */
const WETTEST = 0.97;

/** The day something arrives, and the garden it comes to. */
export interface Arrival {
  readonly day: DayNumber;
  readonly setting: StockSetting;
  readonly findMaterial: FindMaterial;
}

function materialOf({
  materialId,
  find,
  day,
  path,
}: {
  readonly materialId: string;
  readonly find: FindMaterial;
  readonly day: DayNumber;
  readonly path: FieldPath;
}): Material {
  const material = find(materialId, day);
  if (!material) throw new InputError(path, 'namesNone', { what: 'material', got: materialId });
  return material;
}

/** So much of a material as it is bought or gathered, seasoned where it lay so long. */
export function contentsOnArrival({
  materialId,
  movement: { amount, unit },
  seen,
  context: { day, setting, findMaterial },
  path,
}: {
  readonly materialId: string;
  readonly movement: { readonly amount: number; readonly unit: AmountUnit };
  readonly seen: Pick<ReceiveMovement, 'moistureFractionWetBasis' | 'bulkDensityKgPerM3' | 'seasonedMonths'>;
  readonly context: Arrival;
  readonly path: FieldPath;
}): LotContents {
  const material = materialOf({ materialId, find: findMaterial, day, path: [...path, 'materialId'] });
  const moisture = seen.moistureFractionWetBasis ?? material.moistureFractionWetBasis;
  requireMoisture(moisture, [...path, 'moistureFractionWetBasis']);
  const { parameters, climate } = setting;
  const months = requireNumber(seen.seasonedMonths, [...path, 'seasonedMonths'], { min: 0, max: 120 });
  let sample = contentsOfMaterial({ materialId, material, dryG: 1000, p: parameters });
  if (months > 0) {
    const fromDay = day - Math.round(months * DAYS_PER_MONTH);
    sample = ageLot({
      start: sample,
      fromDay,
      untilDay: day,
      setting: {
        climate,
        treatment: { keeping: 'covered', isTurned: false, isHot: false },
        heatingFrom: fromDay,
        readings: [],
        parameters,
      },
    }).contents;
  }
  const wetted = atMoisture(sample, moisture);
  const lying =
    seen.bulkDensityKgPerM3 === null
      ? wetted
      : atBulkDensity(
          wetted,
          requireNumber(seen.bulkDensityKgPerM3, [...path, 'bulkDensityKgPerM3'], { min: 10, max: 2500 }),
        );
  const { bulkDensityKgPerM3 } = figuresOf(lying);
  const massKg = massFreshKgFromAmount({
    amount,
    unit,
    measured: { bulkDensityKgPerM3, areaM2: 1 },
    path: [...path, 'amount'],
  });
  return scaleContents(lying, massKg / freshKg(lying));
}

export function requireMoisture(moisture: number, path: FieldPath): void {
  if (moisture > 1 && moisture <= 100) {
    throw new InputError(path, 'notBelowOne', { share: moisture });
  }
  requireNumber(moisture, path, { min: 0, max: WETTEST });
}
