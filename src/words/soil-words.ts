import type { NutrientRating, RatedFigure, RatedNutrient } from '../core/bed/index.ts';
import type { EntryRecord } from '../records/entry.ts';
import { SOIL_FIGURE_FIELDS, type SoilExtraction, type SoilFigureField } from '../records/vocabulary.ts';
import { plainFigure } from './figures.ts';
import { capitalized } from './capitalized.ts';

type SoilTestRecord = Extract<EntryRecord, { type: 'soilTest' }>;

/** Figures of a soil test, as labels with their units; those a form asks first come first. */
export const SOIL_FIGURE_WORDS: Readonly<
  Record<SoilFigureField, { readonly name: string; readonly unit: string }>
> = {
  phosphorusMgPerKg: { name: 'phosphorus', unit: 'ppm' },
  potassiumMgPerKg: { name: 'potassium', unit: 'ppm' },
  magnesiumMgPerKg: { name: 'magnesium', unit: 'ppm' },
  calciumMgPerKg: { name: 'calcium', unit: 'ppm' },
  sulfurMgPerKg: { name: 'sulfur', unit: 'ppm' },
  sodiumMgPerKg: { name: 'sodium', unit: 'ppm' },
  ironMgPerKg: { name: 'iron', unit: 'ppm' },
  manganeseMgPerKg: { name: 'manganese', unit: 'ppm' },
  zincMgPerKg: { name: 'zinc', unit: 'ppm' },
  copperMgPerKg: { name: 'copper', unit: 'ppm' },
  boronMgPerKg: { name: 'boron', unit: 'ppm' },
  conductivityDsPerM: { name: 'electrical conductivity', unit: 'dS/m' },
  cationExchangeCmolPerKg: { name: 'cation exchange capacity', unit: 'cmol/kg' },
  sandPct: { name: 'sand', unit: '%' },
  siltPct: { name: 'silt', unit: '%' },
  clayPct: { name: 'clay', unit: '%' },
};

export const EXTRACTION_WORDS: Readonly<Record<SoilExtraction, string>> = {
  olsen: 'Olsen (sodium bicarbonate)',
  mehlich3: 'Mehlich-3',
  bray1: 'Bray-1',
  cal: 'CAL (calcium acetate lactate)',
  other: 'another way',
};

export const RATING_WORDS: Readonly<Record<NutrientRating, string>> = {
  low: 'little',
  enough: 'enough',
  high: 'much',
  veryHigh: 'very much',
};

/** What to do about a figure, in one short sentence; empty where nothing is to be done. */
const REMEDIES: Readonly<Record<RatedNutrient, Readonly<Partial<Record<NutrientRating, string>>>>> = {
  phosphorus: {
    low: 'Compost or manure brings it.',
    high: 'Spread compost and manure sparingly.',
    veryHigh: 'Leave compost and manure out for some years; feed nitrogen by meals or legumes.',
  },
  potassium: {
    low: 'Wood ash, compost or wilted greens bring it.',
    veryHigh: 'Leave wood ash out: much potassium keeps magnesium from the plants.',
  },
  magnesium: { low: 'Lime that holds magnesium brings it where the pH is low.' },
};

/** A nutrient that was tested, with what the figure means. */
export function ratedWords({ nutrient, mgPerKg, extraction, rating }: RatedFigure): string {
  const remedy = REMEDIES[nutrient][rating];
  const name = capitalized(nutrient);
  return `${name} ${plainFigure(mgPerKg, 3)} ppm: ${RATING_WORDS[rating]}, by ${EXTRACTION_WORDS[extraction]}.${remedy === undefined ? '' : ` ${remedy}`}`;
}

/** The figures that a test has, in a row. */
export const soilFigureLine = (test: SoilTestRecord): string[] =>
  SOIL_FIGURE_FIELDS.flatMap((field) => {
    const value = test[field];
    const { name, unit } = SOIL_FIGURE_WORDS[field];
    return value == null ? [] : [`${name} ${plainFigure(value, 3)} ${unit}`];
  });
