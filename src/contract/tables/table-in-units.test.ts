import { expect, test } from 'vitest';
import { tableInUnits } from './table-in-units.ts';

const TABLE = {
  fields: [
    'bed',
    'area_m2',
    'layer_cm',
    'nitrogen_bank_g_per_m2',
    'carbon_laid_g_per_m2_year',
    'amount_g',
    'k',
  ],
  data: [['Reed row', 9.290304, 2.54, 4.88242763638305, 48.8242763638305, 28.349523125, 7]],
};

test('a customary garden reads square feet, inches, pounds on 1000 square feet and ounces, named in the header', () => {
  const { fields, data } = tableInUnits(TABLE, 'customary');
  expect(fields).toEqual([
    'bed',
    'area_sq_ft',
    'layer_in',
    'nitrogen_bank_lb_per_1000_sq_ft',
    'carbon_laid_lb_per_1000_sq_ft_year',
    'amount_oz',
    'k',
  ]);
  const [name, ...figures] = data[0];
  expect(name).toBe('Reed row');
  expect(figures.map((figure) => Math.round(Number(figure) * 1e9) / 1e9)).toEqual([100, 1, 1, 10, 1, 7]);
});

test('a metric garden reads the table as it is, and an empty cell stays empty', () => {
  expect(tableInUnits(TABLE, 'metric')).toEqual(TABLE);
  expect(tableInUnits({ fields: ['layer_cm'], data: [['']] }, 'customary').data).toEqual([['']]);
});
