import type { LabResult } from '../../../records/lab-result.ts';
import type { Material } from './material.ts';

const MEASURED = [
  'moistureFractionWetBasis',
  'carbonFractionDryBasis',
  'nitrogenFractionDryBasis',
  'ammoniumShareOfNitrogen',
  'bulkDensityKgPerM3',
] as const;

/** The material with the figures of a report in the place of its own, where the report has some. */
export function asMeasured(material: Material, report: LabResult): Material {
  const found = MEASURED.filter((field) => report[field] !== null).map((field) => [field, report[field]]);
  return { ...material, ...(Object.fromEntries(found) as Partial<Material>) };
}
