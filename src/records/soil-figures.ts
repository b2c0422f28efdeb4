import { z } from 'zod';
import { field, finite } from './fields.ts';
import { SOIL_EXTRACTIONS, type SoilFigureField, type SoilNutrientField } from './vocabulary.ts';

/** A figure that a report may leave out; absent or null where it does. */
const reported = (label: string, most: number, also: readonly string[]) =>
  field(finite.min(0).max(most).nullish(), { label, also });

/** Nutrients as a laboratory extracts them, of dry soil. */
const nutrientFields = {
  phosphorusMgPerKg: reported('phosphorus', 20_000, ['phosphorus', 'p', 'p ppm']),
  potassiumMgPerKg: reported('potassium', 50_000, ['potassium', 'k', 'k ppm']),
  magnesiumMgPerKg: reported('magnesium', 50_000, ['magnesium', 'mg', 'mg ppm']),
  calciumMgPerKg: reported('calcium', 200_000, ['calcium', 'ca', 'ca ppm']),
  sulfurMgPerKg: reported('sulfur', 20_000, ['sulfur', 'sulphur', 's', 's ppm']),
  sodiumMgPerKg: reported('sodium', 50_000, ['sodium', 'na', 'na ppm']),
  ironMgPerKg: reported('iron', 50_000, ['iron', 'fe', 'fe ppm']),
  manganeseMgPerKg: reported('manganese', 50_000, ['manganese', 'mn', 'mn ppm']),
  zincMgPerKg: reported('zinc', 20_000, ['zinc', 'zn', 'zn ppm']),
  copperMgPerKg: reported('copper', 20_000, ['copper', 'cu', 'cu ppm']),
  boronMgPerKg: reported('boron', 5000, ['boron', 'b', 'b ppm']),
} satisfies Record<SoilNutrientField, z.ZodType>;

/** What a laboratory reports of a soil besides nitrogen, pH and organic matter. */
export const soilFigureFields = {
  /** By what phosphorus, potassium and magnesium were taken out of the soil; without it no class can be told. */
  extraction: field(z.enum(SOIL_EXTRACTIONS).nullish(), { also: ['method', 'extractant'] }),
  ...nutrientFields,
  conductivityDsPerM: reported('electrical conductivity', 100, ['ec', 'electrical conductivity', 'salts']),
  cationExchangeCmolPerKg: reported('cation exchange capacity', 300, ['cec', 'cation exchange capacity']),
  sandPct: reported('sand', 100, ['sand']),
  siltPct: reported('silt', 100, ['silt']),
  clayPct: reported('clay', 100, ['clay']),
} satisfies Record<SoilFigureField | 'extraction', z.ZodType>;
