import { QUANTITIES, type Unit } from '../../quantities/units.ts';
import type { UnitSystem } from '../../refusals/refusal.ts';

/** Headers and rows of a table; a header ends in the unit of its column. */
export interface FiguresTable {
  readonly fields: string[];
  readonly data: (number | string)[][];
}

/** How a header names a metric unit and its customary one, the longest first. */
const NAMED_UNITS: readonly (readonly [metric: string, customary: string, unit: Unit])[] = [
  ['g_per_m2', 'lb_per_1000_sq_ft', QUANTITIES.massPerArea.shown.customary],
  ['m2', 'sq_ft', QUANTITIES.area.shown.customary],
  ['cm', 'in', QUANTITIES.length.shown.customary],
  ['g', 'oz', QUANTITIES.smallMass.shown.customary],
];

interface ColumnInUnit {
  readonly header: string;
  readonly unit: Unit | undefined;
}

function customaryColumn(header: string): ColumnInUnit {
  for (const [metric, customary, unit] of NAMED_UNITS) {
    const suffix = new RegExp(`_${metric}(?=$|_year$)`);
    if (suffix.test(header)) return { header: header.replace(suffix, `_${customary}`), unit };
  }
  return { header, unit: undefined };
}

/** A table of metric columns in the units of a garden, unrounded; columns without a unit stay as they are. */
export function tableInUnits({ fields, data }: FiguresTable, system: UnitSystem): FiguresTable {
  if (system === 'metric') return { fields, data };
  const columns = fields.map(customaryColumn);
  return {
    fields: columns.map(({ header }) => header),
    data: data.map((row) =>
      row.map((cell, i) => {
        const unit = columns[i]?.unit;
        return typeof cell === 'number' && unit ? unit.fromBase(cell) : cell;
      }),
    ),
  };
}
