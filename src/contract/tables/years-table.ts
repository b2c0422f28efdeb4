import { isoDateOf } from '../../core/ground/index.ts';
import type { YearPoint } from '../../core/long-run/index.ts';
import type { FiguresTable } from './table-in-units.ts';

/** One line of the page, named. */
export interface NamedSeries {
  readonly bed: string;
  readonly habit: string;
  readonly areaM2: number;
  readonly points: readonly YearPoint[];
}

const HEADER = [
  'bed',
  'habit',
  'area_m2',
  'years_ahead',
  'date',
  'organic_matter_pct',
  'humus_carbon_g_per_m2',
  'char_carbon_g_per_m2',
  'lasting_char_low_g_per_m2',
  'lasting_char_g_per_m2',
  'lasting_char_high_g_per_m2',
  'fresh_carbon_g_per_m2',
  'microbial_carbon_g_per_m2',
  'layer_cm',
  'wood_left_share',
  'nitrogen_bank_g_per_m2',
  'carbon_laid_g_per_m2_year',
  'carbon_to_air_g_per_m2_year',
  'nitrogen_laid_g_per_m2_year',
  'nitrogen_given_g_per_m2_year',
  'nitrogen_bought_g_per_m2_year',
  'crop_want_g_per_m2_year',
  'crop_missed_g_per_m2_year',
  'nitrogen_lost_g_per_m2_year',
  'nitrogen_washed_out_g_per_m2_year',
  'nitrogen_surplus_g_per_m2_year',
  'manure_nitrogen_g_per_m2_year',
  'phosphorus_g_per_m2_year',
  'potassium_g_per_m2_year',
];

const cellsOf = (one: YearPoint): (number | string)[] => [
  one.yearsAhead,
  isoDateOf(one.day),
  one.organicMatterPct,
  one.humusCarbonG,
  one.charCarbonG,
  ...one.lastingCharG,
  one.freshCarbonG,
  one.microbialCarbonG,
  one.mulchCm,
  one.woodLeftShare ?? '',
  one.nitrogenBankG,
  one.carbonLaidG,
  one.carbonToAirG,
  one.nitrogenLaidG,
  one.nitrogenGivenG,
  one.nitrogenBoughtG,
  one.cropWantG,
  one.cropMissedG,
  one.nitrogenLostG,
  one.nitrogenWashedOutG,
  one.nitrogenSurplusG,
  one.manureNitrogenG,
  one.phosphorusG,
  one.potassiumG,
];

/** Lines of years as rows, year by year; amounts per m2. */
export const yearsTable = (series: readonly NamedSeries[]): FiguresTable => ({
  fields: HEADER,
  data: series.flatMap(({ bed, habit, areaM2, points }) =>
    points.map((point) => [bed, habit, areaM2, ...cellsOf(point)]),
  ),
});
