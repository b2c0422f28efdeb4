import type { Material } from './material.ts';

/** What a laboratory, or a test of one's own, found; null for what it did not look at. */
export interface LabResult {
  readonly materialId: string;
  /** ISO date of the sample. */
  readonly date: string;
  readonly moistureFractionWetBasis: number | null;
  readonly carbonFractionDryBasis: number | null;
  readonly nitrogenFractionDryBasis: number | null;
  readonly ammoniumShareOfNitrogen: number | null;
  readonly bulkDensityKgPerM3: number | null;
}

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
