import {
  LITRES_PER_CUP,
  LITRES_PER_GALLON,
  LITRES_PER_QUART,
  LITRES_PER_TABLESPOON,
  SQUARE_METRES_PER_SQUARE_FOOT,
  findLibraryMaterial,
  potassiumFractionDryBasis,
} from '../../ground/index.ts';

/** Of ash, loose; g/L is the same. */
export const ASH_KG_PER_M3 = findLibraryMaterial('wood_ash')!.bulkDensityKgPerM3;

export type AshUse = 'bed' | 'compost' | 'topsoil' | 'pots';

/** One of the trade's recipes (all common practice, no source), brought to grams on a square metre or in a litre. */
export interface AshRecipe {
  readonly id: string;
  readonly use: AshUse;
  /** g/m2 for a bed, g/L of what it is mixed into for the others. */
  readonly rate: readonly [low: number, high: number];
}

const once = (rate: number): readonly [number, number] => [rate, rate];

export const ASH_RECIPES: readonly AshRecipe[] = [
  { id: 'kgPerTenM2', use: 'bed', rate: once(1000 / 10) },
  { id: 'cupPerM2', use: 'bed', rate: once(LITRES_PER_CUP * ASH_KG_PER_M3) },
  {
    id: 'quartPerFourByEight',
    use: 'bed',
    rate: once((LITRES_PER_QUART * ASH_KG_PER_M3) / (4 * 8 * SQUARE_METRES_PER_SQUARE_FOOT)),
  },
  { id: 'cupPerTenLitres', use: 'compost', rate: once((LITRES_PER_CUP * ASH_KG_PER_M3) / 10) },
  { id: 'oneToFive', use: 'compost', rate: once(ASH_KG_PER_M3 / 5) },
  {
    id: 'quartPerTopsoil',
    use: 'topsoil',
    rate: [
      (LITRES_PER_QUART * ASH_KG_PER_M3) / (30 * LITRES_PER_GALLON),
      (LITRES_PER_QUART * ASH_KG_PER_M3) / (25 * LITRES_PER_GALLON),
    ],
  },
  {
    id: 'spoonPerGallon',
    use: 'pots',
    rate: once((LITRES_PER_TABLESPOON * ASH_KG_PER_M3) / LITRES_PER_GALLON),
  },
];

/**
 * A litre on a square metre is a tenth of a centimetre: what a mix brings to a bed it is spread on, g/m2.
 *
 * @example
 * ratePerM2(5, 10) // 500
 */
export const ratePerM2 = (ratePerL: number, depthCm: number): number => ratePerL * depthCm * 10;

/**
 * Volume of wood ash, L, of a mass in g.
 *
 * @example
 * ashVolumeL(500) // 1.04
 */
export const ashVolumeL = (massG: number): number => massG / ASH_KG_PER_M3;

/**
 * The most ash for so many litres of compost, topsoil or potting mix, itself not counted, by the lowest of its recipes, less what
 * is in it already, g; nothing where a twentieth of it is missing only.
 *
 * @example
 * mostAshG('compost', 10, 0) // 113.6
 */
export function mostAshG(use: Exclude<AshUse, 'bed'>, litres: number, thereG: number): number {
  const lowest = Math.min(...ASH_RECIPES.filter((one) => one.use === use).map(({ rate }) => rate[0]));
  const allowedG = lowest * litres;
  const leftG = allowedG - thereG;
  return leftG < allowedG * NEARLY_ALL ? 0 : leftG;
}

/** So little is not worth weighing out (set here). */
const NEARLY_ALL = 0.05;

/** How ash is: each changes what it may be used for. */
export interface AshCondition {
  readonly isSieved: boolean;
  readonly isDamp: boolean;
  readonly isSooty: boolean;
  /** From clean, untreated wood only. */
  readonly isCleanWood: boolean;
}

/** Damp ash has washed out and weighs water: it counts for less (common practice, no source; the factor is set here). */
const DAMP_COUNTS = 0.6;

/**
 * Ash to weigh out, g, so that so much dry ash of it counts.
 *
 * @example
 * weighedAshG(60, { isDamp: true }) // 100
 */
export const weighedAshG = (countsG: number, { isDamp }: Pick<AshCondition, 'isDamp'>): number =>
  isDamp ? countsG / DAMP_COUNTS : countsG;

/**
 * Calcium carbonate equivalent of wood ash, share of its mass: 0.25 to 0.6 (general literature, from memory); calcium
 * about a fifth (extension leaflets, from memory).
 */
export const LIME_EQUIVALENT = { low: 0.25, likely: 0.45, high: 0.6 } as const;
const CALCIUM_FRACTION = 0.2;

/** Calcium carbonate that lifts pH by one in 20 cm, g/m2: sand, loam, clay (order of magnitude of liming tables, from memory). */
function limeForOnePh(clayPct: number): number {
  if (clayPct < 12) return 250;
  return clayPct >= 35 ? 800 : 500;
}

export interface AshEffect {
  readonly limeGPerM2: readonly [low: number, likely: number, high: number];
  readonly phRise: readonly [low: number, likely: number, high: number];
  readonly potassiumGPerM2: number;
  readonly calciumGPerM2: number;
}

/** What so much dry ash does to the soil of a bed. */
export function ashEffect(gPerM2: number, clayPct: number): AshEffect {
  const lime = [LIME_EQUIVALENT.low, LIME_EQUIVALENT.likely, LIME_EQUIVALENT.high].map(
    (share) => share * gPerM2,
  ) as [number, number, number];
  const perPh = limeForOnePh(clayPct);
  return {
    limeGPerM2: lime,
    phRise: lime.map((one) => one / perPh) as [number, number, number],
    potassiumGPerM2: gPerM2 * potassiumFractionDryBasis('wood_ash'),
    calciumGPerM2: gPerM2 * CALCIUM_FRACTION,
  };
}
