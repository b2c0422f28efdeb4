import type { SoilTestEntry } from '../../../records/entry.ts';
import type { SoilExtraction } from '../../../records/vocabulary.ts';
import type { DayNumber } from '../../ground/index.ts';
import { type DatedTest, testsUntil } from '../books/soil-tests.ts';
import type { BedBooks } from '../books/bed-books.ts';

export const RATED_NUTRIENTS = ['phosphorus', 'potassium', 'magnesium'] as const;
export type RatedNutrient = (typeof RATED_NUTRIENTS)[number];

/** From next to nothing to more than a bed can use in many years. */
export const NUTRIENT_RATINGS = ['low', 'enough', 'high', 'veryHigh'] as const;
export type NutrientRating = (typeof NUTRIENT_RATINGS)[number];

/** A nutrient of a soil test with what its figure means by the way it was extracted. */
export interface RatedFigure {
  readonly nutrient: RatedNutrient;
  readonly mgPerKg: number;
  readonly extraction: SoilExtraction;
  readonly rating: NutrientRating;
  readonly day: DayNumber;
}

/** From which mg/kg a soil has enough, much, very much. */
type Classes = readonly [enoughFrom: number, highFrom: number, veryHighFrom: number];

/**
 * Classes by the way of extraction, mg/kg of dry soil, all from memory: Olsen with ammonium for potassium and magnesium
 * after the indices of the AHDB Nutrient Management Guide RB209 (a litre of soil taken for a kilogram); Mehlich-3 and
 * Bray-1 after extension services of the United States, whose classes differ between states; CAL after the content
 * classes of VDLUFA (2018). More magnesium than enough does no harm worth a class.
 */
const CLASSES: Readonly<Record<Exclude<SoilExtraction, 'other'>, Readonly<Record<RatedNutrient, Classes>>>> =
  {
    olsen: { phosphorus: [16, 26, 46], potassium: [121, 241, 401], magnesium: [51, 101, Infinity] },
    mehlich3: { phosphorus: [30, 51, 101], potassium: [100, 201, 401], magnesium: [60, 121, Infinity] },
    bray1: { phosphorus: [20, 41, 81], potassium: [100, 201, 401], magnesium: [60, 121, Infinity] },
    cal: { phosphorus: [31, 61, 121], potassium: [91, 167, 250], magnesium: [41, 71, Infinity] },
  };

const FIELDS = {
  phosphorus: 'phosphorusMgPerKg',
  potassium: 'potassiumMgPerKg',
  magnesium: 'magnesiumMgPerKg',
} as const satisfies Record<RatedNutrient, keyof SoilTestEntry>;

/**
 * What a figure of phosphorus, potassium or magnesium means; null where there are no classes for the extraction.
 *
 * @example
 * nutrientRating('phosphorus', 20, 'olsen') // "enough"
 */
export function nutrientRating(
  nutrient: RatedNutrient,
  mgPerKg: number,
  extraction: SoilExtraction | null | undefined,
): NutrientRating | null {
  if (!extraction || extraction === 'other') return null;
  const passed = CLASSES[extraction][nutrient].filter((from) => mgPerKg >= from).length;
  return NUTRIENT_RATINGS[passed];
}

/** From which figure each class of a field begins; none for a field or a way of extraction without classes. */
export function nutrientClasses(
  field: string,
  extraction: SoilExtraction | null | undefined,
): readonly { readonly rating: NutrientRating; readonly from: number }[] {
  const nutrient = RATED_NUTRIENTS.find((one) => FIELDS[one] === field);
  if (!nutrient || !extraction || extraction === 'other') return [];
  return CLASSES[extraction][nutrient]
    .map((from, i) => ({ rating: NUTRIENT_RATINGS[i + 1], from }))
    .filter(({ from }) => from < Infinity);
}

function ratedFigure({ test, day }: DatedTest, nutrient: RatedNutrient): RatedFigure | null {
  const mgPerKg = test[FIELDS[nutrient]];
  const { extraction } = test;
  if (mgPerKg == null || !extraction) return null;
  const rating = nutrientRating(nutrient, mgPerKg, extraction);
  return rating && { nutrient, mgPerKg, extraction, rating, day };
}

/** The figures of one test that have a class. */
export const ratedFigures = (dated: DatedTest): RatedFigure[] =>
  RATED_NUTRIENTS.flatMap((nutrient) => ratedFigure(dated, nutrient) ?? []);

/** The last figure of a nutrient that has a class, measured up to a day; null where none was. */
export function lastRated(
  books: Pick<BedBooks, 'entries'>,
  nutrient: RatedNutrient,
  until: DayNumber,
): RatedFigure | null {
  for (const dated of testsUntil(books, until).reverse()) {
    const rated = ratedFigure(dated, nutrient);
    if (rated) return rated;
  }
  return null;
}
