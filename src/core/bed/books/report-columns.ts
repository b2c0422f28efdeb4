import type { SoilExtraction, SoilFigureField, SoilNitrogenUnit } from '../../../records/vocabulary.ts';

/** What a column of a laboratory's table is about. */
export type Meaning =
  | 'sample'
  | 'date'
  | 'method'
  | 'ph'
  | 'organicMatter'
  | 'organicCarbon'
  | 'mineral'
  | 'nitrate'
  | 'ammonium'
  | 'depth'
  | SoilFigureField;

/** First that fits; oxides and elements by name or sign, with the extractant before or behind. */
const MEANINGS: readonly (readonly [Meaning, RegExp])[] = [
  ['sample', /^(sample|bed|name|id|plot)\b/],
  ['date', /^(date|sampled on|sampling date|taken on)\b/],
  ['method', /^(method|extraction|extractant)\b/],
  ['ph', /^(soil )?ph\b/],
  ['organicMatter', /^(organic matter|som|om)\b/],
  ['organicCarbon', /^(organic carbon|soc|toc|corg)\b/],
  ['mineral', /^(mineral n|mineral nitrogen|n-?min|inorganic n)/],
  ['nitrate', /^(nitrate|no3)/],
  ['ammonium', /^(ammonium|nh4)/],
  ['depth', /^(depth|sampled depth|sampling depth)\b/],
  ['conductivityDsPerM', /^(ec|electrical conductivity|conductivity|soluble salts)\b/],
  ['cationExchangeCmolPerKg', /^(cec|cation exchange)\b/],
  ['sandPct', /^sand\b/],
  ['siltPct', /^silt\b/],
  ['clayPct', /^clay\b/],
  ['phosphorusMgPerKg', /\b(phosphorus|phosphate|p|p2o5)\b/],
  ['potassiumMgPerKg', /\b(potassium|potash|k|k2o)\b/],
  ['magnesiumMgPerKg', /\b(magnesium|mg|mgo)\b(?!\/)/],
  ['calciumMgPerKg', /\b(calcium|ca|cao)\b/],
  ['sulfurMgPerKg', /\b(sulfur|sulphur|sulfate|s)\b/],
  ['sodiumMgPerKg', /\b(sodium|na)\b/],
  ['ironMgPerKg', /\b(iron|fe)\b/],
  ['manganeseMgPerKg', /\b(manganese|mn)\b/],
  ['zincMgPerKg', /\b(zinc|zn)\b/],
  ['copperMgPerKg', /\b(copper|cu)\b/],
  ['boronMgPerKg', /\b(boron|b)\b/],
];

/** Shares of the element in the oxide that some laboratories report (ratios of atomic masses). */
const OXIDES: readonly (readonly [RegExp, number])[] = [
  [/\bp2o5\b|\bphosphate\b/, 0.4364],
  [/\bk2o\b|\bpotash\b/, 0.8301],
  [/\bmgo\b/, 0.603],
  [/\bcao\b/, 0.7147],
];

const EXTRACTIONS: readonly (readonly [SoilExtraction, RegExp])[] = [
  ['olsen', /olsen|bicarbonate/],
  ['mehlich3', /mehlich|\bm-?3\b/],
  ['bray1', /bray/],
  ['cal', /\bcal\b|lactate/],
];

/** The way of extraction that a text names; null for none known. */
export const extractionIn = (text: string): SoilExtraction | null =>
  EXTRACTIONS.find(([, pattern]) => pattern.test(text.toLowerCase()))?.[0] ?? null;

/** What a figure is multiplied by to come to the unit of the books. */
type UnitFactors = Readonly<Record<string, number>>;

/** Two million pounds of soil to an acre, as laboratories reckon (common practice, no source). */
const MG_PER_KG_PER_LB_PER_ACRE = 0.5;
const MG_PER_KG_PER_KG_PER_HA = MG_PER_KG_PER_LB_PER_ACRE / 1.12085;

/** A litre of soil is taken for a kilogram. */
export const MG_PER_KG: UnitFactors = {
  ppm: 1,
  'mg/kg': 1,
  'mg/l': 1,
  'mg/100g': 10,
  'g/kg': 1000,
  '%': 10_000,
  'lb/acre': MG_PER_KG_PER_LB_PER_ACRE,
  'lbs/acre': MG_PER_KG_PER_LB_PER_ACRE,
  'kg/ha': MG_PER_KG_PER_KG_PER_HA,
};
export const DS_PER_M: UnitFactors = {
  '': 1,
  'ds/m': 1,
  'ms/cm': 1,
  'mmhos/cm': 1,
  'ms/m': 0.01,
  'us/cm': 0.001,
  'µs/cm': 0.001,
};
export const CMOL_PER_KG: UnitFactors = { '': 1, 'cmol/kg': 1, 'meq/100g': 1, 'mmol/kg': 0.1 };
export const PCT: UnitFactors = { '': 1, '%': 1, 'g/kg': 0.1 };

export const NITROGEN_UNITS: Readonly<Record<string, SoilNitrogenUnit>> = {
  'mg/kg': 'mgPerKg',
  ppm: 'mgPerKg',
  'kg/ha': 'kgPerHa',
  'lb/acre': 'lbPerAcre',
  'lbs/acre': 'lbPerAcre',
  'g/m2': 'gPerM2',
  'g/m²': 'gPerM2',
};

export interface ReportColumn {
  readonly meaning: Meaning;
  readonly index: number;
  /** As it stands in the header, lower case and without spaces: %, ppm, mg/kg, kg/ha ... */
  readonly unit: string;
  /** Of the element, where the column is of its oxide. */
  readonly elementShare: number;
  /** The way of extraction that the header names. */
  readonly extraction: SoilExtraction | null;
}

const BARE_UNIT =
  /\b(ppm|mg\/kg|mg\/l|mg\/100 ?g|kg\/ha|lbs?\/acre|g\/m2|g\/kg|ds\/m|ms\/cm|mmhos\/cm|meq\/100 ?g|cmol\/kg|cm|in)$|%$/;

/** What a header says; null for a column that is not read. */
export function columnOf(header: string, index: number): ReportColumn | null {
  const text = header.trim().toLowerCase().replaceAll('_', ' ');
  // "P (Olsen) (mg/l)": what stands in brackets may be the way of extraction.
  const bracketed = [...text.matchAll(/[([]\s*([^)\]]+?)\s*[)\]]/g)].find(
    ([, inside]) => extractionIn(inside) === null,
  );
  const unit = bracketed?.[1] ?? BARE_UNIT.exec(text)?.[0] ?? '';
  const words = text.replace(bracketed?.[0] ?? unit, ' ').trim();
  const meaning = MEANINGS.find(([, pattern]) => pattern.test(words))?.[0];
  if (!meaning) return null;
  return {
    meaning,
    index,
    unit: unit.replaceAll(' ', ''),
    elementShare: OXIDES.find(([pattern]) => pattern.test(words))?.[1] ?? 1,
    extraction: extractionIn(text),
  };
}
