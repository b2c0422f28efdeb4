import { type DayNumber, calendarDateOf } from '../../ground/index.ts';
import { daysInMonth } from '../../../records/iso-date.ts';
import type { ClimateNormals } from '../../../records/garden.ts';
import type { ModelParameters } from '../../model/index.ts';

/** A stretch of days under a layer that hardly changes. */
export interface CoveredTime {
  readonly fromDay: DayNumber;
  readonly untilDay: DayNumber;
  readonly mulchCm: number;
}

/**
 * Water that does not evaporate thanks to the layers, mm: the cut the water balance makes in the evaporation of bare
 * soil, at most `mulchEvaporationCut` under full cover. Upper limit where plants shade the ground or it is dry already.
 */
export function waterSavedMm(
  climate: ClimateNormals,
  p: Pick<ModelParameters, 'bareSoilEvaporation' | 'mulchEvaporationCut' | 'fullCoverMulchCm'>,
  { fromDay, untilDay, mulchCm }: CoveredTime,
): number {
  const cut = p.mulchEvaporationCut * Math.min(1, mulchCm / p.fullCoverMulchCm);
  let potentialMm = 0;
  for (let day = fromDay; day < untilDay; day++) {
    const { year, month } = calendarDateOf(day);
    potentialMm += climate.evapotranspirationMm[month - 1] / daysInMonth(year, month);
  }
  return potentialMm * p.bareSoilEvaporation * cut;
}
