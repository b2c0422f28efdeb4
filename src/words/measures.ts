import type { GardenRecord } from '../records/garden.ts';
import { STOCK_UNITS, type AmountUnit, type SoilNitrogenUnit } from '../records/vocabulary.ts';
import {
  CENTIMETRES_PER_INCH,
  LITRES_PER_CUBIC_FOOT,
  LITRES_PER_CUP,
  LITRES_PER_CUSTOMARY_BARROW,
  LITRES_PER_CUSTOMARY_BUCKET,
  LITRES_PER_GALLON,
  LITRES_PER_METRIC_BARROW,
  LITRES_PER_METRIC_BUCKET,
  LITRES_PER_TEASPOON,
  SQUARE_METRES_PER_SQUARE_FOOT,
  fahrenheitFromCelsius,
  inchesFromCentimetres,
  ouncesFromGrams,
  poundsFromKilograms,
  squareFeetFromSquareMetres,
} from '../core/ground/index.ts';
import { formatQuantity, formatRule } from '../quantities/format-quantity.ts';
import type { Quantity, UnitSystem } from '../refusals/refusal.ts';
import { formatAtMost, formatFixed, plainFigure, roundFigure } from './figures.ts';

/** How one garden likes its figures: every quantity on screen passes through one of these. */
export interface Measures {
  readonly thickness: (cm: number) => string;
  readonly area: (m2: number) => string;
  /** Nitrogen of a whole bed. */
  readonly nitrogen: (grams: number) => string;
  /** A rate of nitrogen as a plain number in the unit below. */
  readonly rateFigure: (gPerM2: number) => number;
  readonly rateUnit: string;
  /** Decimals that a rate is worth in that unit. */
  readonly rateDecimals: number;
  readonly rate: (gPerM2: number) => string;
  readonly mass: (kg: number) => string;
  /** Mass on an area as a plain number in the unit below. */
  readonly areaMassFigure: (kgPerM2: number) => number;
  readonly areaMassUnit: string;
  /** What lies on an area, such as ash, of g/m². */
  readonly areaMass: (gPerM2: number) => string;
  readonly system: UnitSystem;
  /** A rule of thumb with a unit: one value, or from one to another, in the base unit of the quantity. */
  readonly rule: (quantity: Quantity, low: number, high?: number) => string;
  /** A round length to draw a scale by. */
  readonly scaleCm: number;
  /** Depth as a plain number in the unit below, for scales. */
  readonly depthFigure: (cm: number) => number;
  readonly depthUnit: string;
  /** A scoop of something dry: cups and litres as people measure them. */
  readonly smallVolume: (litres: number) => string;
  readonly liquid: (litres: number) => string;
  /** A little of something: by the teaspoon, or like any scoop. */
  readonly spoons: (litres: number) => string;
  /** How much room a heap takes. */
  readonly volume: (litres: number) => string;
  /** The room a heap takes as a plain number in the unit below. */
  readonly volumeFigure: (litres: number) => number;
  readonly volumeUnit: string;
  /** The same as barrows to push. */
  readonly barrows: (litres: number) => string;
  readonly density: (kgPerM3: number) => string;
  readonly warmth: (celsius: number) => string;
  readonly barrowUnit: AmountUnit;
  readonly bucketUnit: AmountUnit;
  readonly massUnit: AmountUnit;
  /** Water over a bed. */
  readonly water: (mm: number) => string;
  readonly units: readonly AmountUnit[];
}

const SQUARE_FEET_OF_A_RATE = 1000;
/** A rate in pounds on a thousand square feet, as laboratories and bags give it. */
const ratePounds = (kgPerM2: number): number =>
  poundsFromKilograms(kgPerM2) * SQUARE_FEET_OF_A_RATE * SQUARE_METRES_PER_SQUARE_FOOT;

/** Less of a whole bed's or heap's nitrogen than this is none. */
const NOTHING_G = 0.005;

const LEAST_BARROW = 0.05;
const barrowWords = (barrows: number): string => {
  if (barrows < LEAST_BARROW) return 'less than 0.1 barrows';
  const words = plainFigure(barrows, 2);
  return `${words} barrow${words === '1' ? '' : 's'}`;
};

const POUNDS_FROM_OUNCES = 32;
const OUNCES_PER_POUND = 16;
/** Nitrogen in the unit people would weigh it in: ounces, and pounds from two on. */
function nitrogenOunces(grams: number): string {
  const ounces = ouncesFromGrams(grams < NOTHING_G ? 0 : grams);
  return ounces < POUNDS_FROM_OUNCES
    ? `${roundFigure(ounces)} oz`
    : `${plainFigure(ounces / OUNCES_PER_POUND, 2)} lb`;
}

const SPOONS_UP_TO_L = 12 * LITRES_PER_TEASPOON;

const spoonsOr =
  (scoop: (litres: number) => string) =>
  (litres: number): string =>
    litres > SPOONS_UP_TO_L ? scoop(litres) : `${plainFigure(litres / LITRES_PER_TEASPOON, 2)} tsp`;

const cupWords = (litres: number): string => {
  const cups = plainFigure(litres / LITRES_PER_CUP, 2);
  return `${cups} ${cups === '1' ? 'cup' : 'cups'}`;
};

const metricScoop = (litres: number): string =>
  litres < 2 ? cupWords(litres) : `${plainFigure(litres, 2)} L`;

const customaryScoop = (litres: number): string =>
  litres < LITRES_PER_GALLON ? cupWords(litres) : `${plainFigure(litres / LITRES_PER_GALLON, 2)} gal`;

const metric: Measures = {
  thickness: (cm) => `${formatFixed(cm, cm < 10 ? 1 : 0).replace(/\.0$/, '')} cm`,
  area: (m2) => `${plainFigure(m2, 2)} m²`,
  nitrogen: (g) => (g < 1000 ? `${roundFigure(g < NOTHING_G ? 0 : g)} g` : `${plainFigure(g / 1000, 2)} kg`),
  rateFigure: (gPerM2) => gPerM2,
  rateUnit: 'g/m²',
  rateDecimals: 1,
  rate: (gPerM2) => `${formatAtMost(gPerM2, 1)} g/m²`,
  mass: (kg) => (kg < 1 ? `${roundFigure(kg * 1000)} g` : `${plainFigure(kg)} kg`),
  areaMassFigure: (kgPerM2) => kgPerM2,
  areaMassUnit: 'kg/m²',
  areaMass: (gPerM2) => formatQuantity(gPerM2, 'massPerArea', 'metric'),
  system: 'metric',
  rule: (quantity, low, high = low) => formatRule([low, high], quantity, 'metric'),
  scaleCm: 10,
  depthFigure: (cm) => cm,
  depthUnit: 'cm',
  smallVolume: metricScoop,
  spoons: spoonsOr(metricScoop),
  liquid: (litres) => `${plainFigure(litres, 2)} L`,
  volume: (litres) => (litres < 1000 ? `${roundFigure(litres)} L` : `${plainFigure(litres / 1000, 2)} m³`),
  volumeFigure: (litres) => litres,
  volumeUnit: 'L',
  barrows: (litres) => barrowWords(litres / LITRES_PER_METRIC_BARROW),
  density: (kgPerM3) => `${roundFigure(kgPerM3)} kg/m³`,
  warmth: (celsius) => `${formatFixed(celsius, 0)} °C`,
  barrowUnit: 'barrow85L',
  bucketUnit: 'bucket10L',
  massUnit: 'kg',
  water: (mm) => `${plainFigure(mm, 2)} mm`,
  units: ['cm', 'bucket10L', 'barrow85L', 'litre', 'cubicMetre', 'kg', 'gram', 'metre'],
};

const customary: Measures = {
  thickness: (cm) => `${formatFixed(inchesFromCentimetres(cm), 1).replace(/\.0$/, '')} in`,
  area: (m2) => `${plainFigure(squareFeetFromSquareMetres(m2), 2)} sq ft`,
  nitrogen: nitrogenOunces,
  rateFigure: (gPerM2) => ratePounds(gPerM2 / 1000),
  rateUnit: 'lb/1000 sq ft',
  rateDecimals: 2,
  rate: (gPerM2) => `${formatAtMost(ratePounds(gPerM2 / 1000), 2)} lb/1000 sq ft`,
  mass: (kg) => {
    const pounds = poundsFromKilograms(kg);
    return pounds < 1 ? `${roundFigure(pounds * 16)} oz` : `${plainFigure(pounds)} lb`;
  },
  areaMassFigure: ratePounds,
  areaMassUnit: 'lb/1000 sq ft',
  areaMass: (gPerM2) => formatQuantity(gPerM2, 'massPerArea', 'customary'),
  system: 'customary',
  rule: (quantity, low, high = low) => formatRule([low, high], quantity, 'customary'),
  scaleCm: 4 * CENTIMETRES_PER_INCH,
  depthFigure: inchesFromCentimetres,
  depthUnit: 'in',
  smallVolume: customaryScoop,
  spoons: spoonsOr(customaryScoop),
  liquid: (litres) => `${plainFigure(litres / LITRES_PER_GALLON, 2)} gal`,
  volume: (litres) => {
    const feet = litres / LITRES_PER_CUBIC_FOOT;
    return feet < 1 ? `${plainFigure(litres / LITRES_PER_GALLON, 2)} gal` : `${plainFigure(feet, 2)} cu ft`;
  },
  volumeFigure: (litres) => litres / LITRES_PER_CUBIC_FOOT,
  volumeUnit: 'cu ft',
  barrows: (litres) => barrowWords(litres / LITRES_PER_CUSTOMARY_BARROW),
  density: (kgPerM3) =>
    `${roundFigure(poundsFromKilograms(kgPerM3) * LITRES_PER_CUBIC_FOOT * 0.001)} lb/cu ft`,
  warmth: (celsius) => `${formatFixed(fahrenheitFromCelsius(celsius), 0)} °F`,
  barrowUnit: 'barrow3CuFt',
  bucketUnit: 'bucket5Gal',
  massUnit: 'pound',
  water: (mm) => `${plainFigure(inchesFromCentimetres(mm / 10), 2)} in`,
  units: [
    'inch',
    'bucket5Gal',
    'barrow3CuFt',
    'cubicFoot',
    'cubicYard',
    'gallon',
    'quart',
    'cup',
    'pound',
    'foot',
  ],
};

const BY_NAME: Record<GardenRecord['measures'], Measures> = { metric, customary };

export const measuresOf = ({ measures }: Pick<GardenRecord, 'measures'>): Measures => BY_NAME[measures];

/** Everything one can measure with: this garden's own units first. */
export const unitsFor = (measures: Measures): AmountUnit[] => [
  ...measures.units,
  ...(measures === metric ? customary : metric).units,
];

/** What the other system measures with and this one does not. */
export const unitsOfOther = (measures: Measures): readonly AmountUnit[] =>
  (measures === metric ? customary : metric).units.filter((unit) => unit !== 'cup');

/** The same without depths: what lies in a heap covers no bed. */
export const stockUnits = (measures: Measures): AmountUnit[] =>
  unitsFor(measures).filter((unit) => STOCK_UNITS.includes(unit));

/** The bucket people measure with, in either system. */
export const BUCKET_OF: Readonly<Record<UnitSystem, { readonly words: string; readonly litres: number }>> = {
  metric: { words: 'a 10 L bucket', litres: LITRES_PER_METRIC_BUCKET },
  customary: { words: 'a 5 gal bucket', litres: LITRES_PER_CUSTOMARY_BUCKET },
};

export const SOIL_NITROGEN_WORDS: Record<SoilNitrogenUnit, string> = {
  gPerM2: 'g/m²',
  kgPerHa: 'kg/ha',
  lbPerAcre: 'lb/acre',
  mgPerKg: 'mg/kg (ppm)',
};

export const UNIT_WORDS: Record<AmountUnit, string> = {
  cm: 'cm thick',
  inch: 'inches thick',
  metre: 'meters thick',
  foot: 'feet thick',
  litre: 'liters',
  cubicMetre: 'cubic meters',
  bucket10L: 'buckets (10 L)',
  barrow85L: 'barrows (85 L)',
  cup: 'cups',
  quart: 'quarts',
  gallon: 'gallons',
  bucket5Gal: 'buckets (5 gal)',
  barrow3CuFt: 'barrows (3 cu ft)',
  cubicFoot: 'cubic feet',
  cubicYard: 'cubic yards',
  kg: 'kg',
  gram: 'g',
  pound: 'lb',
};
