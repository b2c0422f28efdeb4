import {
  CENTIMETRES_PER_FOOT,
  CENTIMETRES_PER_INCH,
  CENTIMETRES_PER_METRE,
  GRAMS_PER_OUNCE,
  KILOGRAMS_PER_POUND,
  LITRES_PER_CUBIC_FOOT,
  LITRES_PER_CUBIC_METRE,
  LITRES_PER_CUBIC_YARD,
  LITRES_PER_CUP,
  LITRES_PER_CUSTOMARY_BARROW,
  LITRES_PER_CUSTOMARY_BUCKET,
  LITRES_PER_GALLON,
  LITRES_PER_METRIC_BARROW,
  LITRES_PER_METRIC_BUCKET,
  LITRES_PER_QUART,
  LITRES_PER_TABLESPOON,
  LITRES_PER_TEASPOON,
  SQUARE_METRES_PER_SQUARE_FOOT,
  celsiusFromFahrenheit,
  fahrenheitFromCelsius,
} from '../core/ground/index.ts';
import type { Quantity, UnitSystem } from '../refusals/refusal.ts';

export interface Unit {
  /** As it is printed after a figure. */
  readonly symbol: string;
  /** The systems it belongs to. */
  readonly systems: readonly UnitSystem[];
  /** What people write for it, besides the symbol: lower case, without a plural s and without spaces. */
  readonly spellings: readonly string[];
  readonly toBase: (figure: number) => number;
  readonly fromBase: (value: number) => number;
}

export interface QuantityUnits {
  /** The unit a figure without one is in, and that is shown. */
  readonly shown: Readonly<Record<UnitSystem, Unit>>;
  readonly units: readonly Unit[];
}

const METRIC = ['metric'] as const;
const CUSTOMARY = ['customary'] as const;
const BOTH = ['metric', 'customary'] as const;

interface Named {
  readonly symbol: string;
  readonly systems: readonly UnitSystem[];
  readonly spellings: readonly string[];
}

const unit = (named: Named, perUnit: number): Unit => ({
  ...named,
  toBase: (figure) => figure * perUnit,
  fromBase: (value) => value / perUnit,
});
const metric = (symbol: string, perUnit: number, ...spellings: string[]): Unit =>
  unit({ symbol, systems: METRIC, spellings }, perUnit);
const customary = (symbol: string, perUnit: number, ...spellings: string[]): Unit =>
  unit({ symbol, systems: CUSTOMARY, spellings }, perUnit);

const cm = metric('cm', 1, 'centimeter', 'centimetre');
const inch = customary('in', CENTIMETRES_PER_INCH, 'inch', 'inche', '"');
const foot = customary('ft', CENTIMETRES_PER_FOOT, 'foot', 'feet', "'");
const metre = metric('m', CENTIMETRES_PER_METRE, 'meter', 'metre');
const LENGTH = [
  metric('mm', 0.1, 'millimeter', 'millimetre'),
  cm,
  metre,
  inch,
  foot,
  customary('yd', 3 * CENTIMETRES_PER_FOOT, 'yard'),
];

const squareMetre = metric('m²', 1, 'm2', 'sqm', 'sqmeter', 'sqmetre', 'qm');
const squareFoot = customary('sq ft', SQUARE_METRES_PER_SQUARE_FOOT, 'ft2', 'sqft', 'sqfoot', 'sqfeet', 'sf');
const HECTARE_M2 = 10_000;
/** 43,560 square feet (NIST Handbook 44, from memory). */
const ACRE_M2 = 43_560 * SQUARE_METRES_PER_SQUARE_FOOT;
const AREA = [
  squareMetre,
  metric('cm²', 1e-4, 'cm2', 'sqcm'),
  metric('a', 100, 'are', 'ar'),
  metric('ha', HECTARE_M2, 'hectare'),
  squareFoot,
  customary('sq in', SQUARE_METRES_PER_SQUARE_FOOT / 144, 'in2', 'sqin', 'sqinch', 'sqinche'),
  customary('sq yd', SQUARE_METRES_PER_SQUARE_FOOT * 9, 'yd2', 'sqyd', 'sqyard'),
  customary('acre', ACRE_M2, 'ac'),
];

const litre = metric('L', 1, 'l', 'liter', 'litre', 'ltr');
const gallon = customary('gal', LITRES_PER_GALLON, 'gallon');
const VOLUME = [
  metric('mL', 0.001, 'ml', 'milliliter', 'millilitre'),
  litre,
  metric('m³', LITRES_PER_CUBIC_METRE, 'm3', 'cum', 'cumeter', 'cumetre', 'cbm'),
  metric('barrows (85 L)', LITRES_PER_METRIC_BARROW, 'barrow', 'wheelbarrow'),
  metric('buckets (10 L)', LITRES_PER_METRIC_BUCKET, 'bucket', 'pail'),
  customary('tsp', LITRES_PER_TEASPOON, 'teaspoon'),
  customary('tbsp', LITRES_PER_TABLESPOON, 'tablespoon'),
  unit({ symbol: 'cups', systems: BOTH, spellings: ['cup'] }, LITRES_PER_CUP),
  customary('fl oz', LITRES_PER_CUP / 8, 'floz', 'fluidounce'),
  customary('pt', LITRES_PER_CUP * 2, 'pint'),
  customary('qt', LITRES_PER_QUART, 'quart'),
  gallon,
  customary('cu ft', LITRES_PER_CUBIC_FOOT, 'ft3', 'cuft', 'cufoot', 'cufeet', 'cf'),
  customary('cu yd', LITRES_PER_CUBIC_YARD, 'yd3', 'cuyd', 'cuyard', 'cy'),
  customary('barrows (3 cu ft)', LITRES_PER_CUSTOMARY_BARROW, 'barrow', 'wheelbarrow'),
  customary('buckets (5 gal)', LITRES_PER_CUSTOMARY_BUCKET, 'bucket', 'pail'),
];

const KILOGRAMS_PER_OUNCE = GRAMS_PER_OUNCE / 1000;
const kilogram = metric('kg', 1, 'kilo', 'kilogram', 'kilogramme');
const pound = customary('lb', KILOGRAMS_PER_POUND, 'pound', '#');
const MASS = [
  metric('g', 0.001, 'gram', 'gramme', 'gr'),
  kilogram,
  metric('t', 1000, 'tonne', 'metricton'),
  customary('oz', KILOGRAMS_PER_OUNCE, 'ounce'),
  pound,
  customary('tons', 2000 * KILOGRAMS_PER_POUND, 'ton', 'shortton'),
];

const celsius = metric('°C', 1, '°', 'c', 'degc', 'degreec', 'celsius', 'degreecelsius');
const fahrenheit: Unit = {
  symbol: '°F',
  systems: CUSTOMARY,
  spellings: ['°', 'f', 'degf', 'degreef', 'fahrenheit', 'degreefahrenheit'],
  toBase: celsiusFromFahrenheit,
  fromBase: fahrenheitFromCelsius,
};

const kgPerM3 = metric('kg/m³', 1, 'kg/m3', 'kg/cum', 'g/l');
const KG_PER_M3_PER_LB_PER_CUBIC_FOOT =
  (KILOGRAMS_PER_POUND * LITRES_PER_CUBIC_METRE) / LITRES_PER_CUBIC_FOOT;
const poundPerCubicFoot = customary('lb/cu ft', KG_PER_M3_PER_LB_PER_CUBIC_FOOT, 'lb/ft3', 'lb/cuft', 'pcf');
const BULK_DENSITY = [
  kgPerM3,
  metric('kg/L', 1000, 'kg/l', 'g/cm3', 'g/ml', 't/m3'),
  poundPerCubicFoot,
  customary('lb/cu yd', KG_PER_M3_PER_LB_PER_CUBIC_FOOT / 27, 'lb/yd3', 'lb/cuyd'),
  customary('lb/gal', (KILOGRAMS_PER_POUND * 1000) / LITRES_PER_GALLON, 'lb/gallon'),
];

const GRAMS_PER_POUND = KILOGRAMS_PER_POUND * 1000;
const gramPerM2 = metric('g/m²', 1, 'g/m2', 'g/sqm');
const poundPer1000SquareFeet = customary(
  'lb/1000 sq ft',
  GRAMS_PER_POUND / (1000 * SQUARE_METRES_PER_SQUARE_FOOT),
  'lb/1000ft2',
  'lb/1000sqft',
  'lb/1,000sqft',
);
const MASS_PER_AREA = [
  gramPerM2,
  metric('kg/m²', 1000, 'kg/m2'),
  metric('kg/ha', 0.1),
  poundPer1000SquareFeet,
  customary(
    'lb/100 sq ft',
    GRAMS_PER_POUND / (100 * SQUARE_METRES_PER_SQUARE_FOOT),
    'lb/100ft2',
    'lb/100sqft',
  ),
  customary(
    'oz/100 sq ft',
    GRAMS_PER_OUNCE / (100 * SQUARE_METRES_PER_SQUARE_FOOT),
    'oz/100ft2',
    'oz/100sqft',
  ),
  customary('lb/acre', GRAMS_PER_POUND / ACRE_M2, 'lb/ac'),
];

const gram = metric('g', 1, 'gram', 'gramme', 'gr');
const ounce = customary('oz', GRAMS_PER_OUNCE, 'ounce');

const litrePerM2 = metric('L/m²', 1, 'l/m2', 'l/sqm');
const gallonPer100SquareFeet = customary(
  'gal/100 sq ft',
  LITRES_PER_GALLON / (100 * SQUARE_METRES_PER_SQUARE_FOOT),
  'gal/100ft2',
  'gal/100sqft',
);
const VOLUME_PER_AREA = [
  litrePerM2,
  gallonPer100SquareFeet,
  customary('gal/sq ft', LITRES_PER_GALLON / SQUARE_METRES_PER_SQUARE_FOOT, 'gal/ft2', 'gal/sqft'),
];

const millimetre = metric('mm', 1, 'millimeter', 'millimetre', 'l/m2', 'l/sqm');
const inchOfWater = customary('in', 10 * CENTIMETRES_PER_INCH, 'inch', 'inche', '"');
const percent = unit({ symbol: '%', systems: BOTH, spellings: ['percent', 'pct'] }, 0.01);

const quantity = (inMetric: Unit, inCustomary: Unit, units: readonly Unit[]): QuantityUnits => ({
  shown: { metric: inMetric, customary: inCustomary },
  units,
});

/**
 * All units by what they measure. Bases: length cm, area m², volume L, mass kg, temperature °C, bulk density kg/m³,
 * small mass g, mass on an area g/m², volume on an area L/m², water mm, share 0 to 1. Factors are exact by definition (international yard and pound, 1959;
 * US liquid gallon), taken from the core.
 */
export const QUANTITIES: Readonly<Record<Quantity, QuantityUnits>> = {
  length: quantity(cm, inch, LENGTH),
  area: quantity(squareMetre, squareFoot, AREA),
  volume: quantity(litre, gallon, VOLUME),
  mass: quantity(kilogram, pound, MASS),
  temperature: quantity(celsius, fahrenheit, [celsius, fahrenheit]),
  bulkDensity: quantity(kgPerM3, poundPerCubicFoot, BULK_DENSITY),
  smallMass: quantity(gram, ounce, [
    gram,
    metric('kg', 1000, 'kilo', 'kilogram', 'kilogramme'),
    ounce,
    customary('lb', GRAMS_PER_POUND, 'pound', '#'),
  ]),
  massPerArea: quantity(gramPerM2, poundPer1000SquareFeet, MASS_PER_AREA),
  volumePerArea: quantity(litrePerM2, gallonPer100SquareFeet, VOLUME_PER_AREA),
  waterDepth: quantity(millimetre, inchOfWater, [millimetre, metric('cm', 10, 'centimeter'), inchOfWater]),
  share: quantity(percent, percent, [percent]),
};

/** Units of large and of small masses, for tables that have both. */
export const massUnitsOf = (system: UnitSystem): { readonly mass: Unit; readonly smallMass: Unit } => ({
  mass: QUANTITIES.mass.shown[system],
  smallMass: QUANTITIES.smallMass.shown[system],
});

/** What is written the same for a unit: case, spaces, dots, plurals and raised figures do not count. */
export const writtenPlainly = (text: string): string =>
  text
    .toLowerCase()
    .replaceAll('²', '2')
    .replaceAll('³', '3')
    .replaceAll(/[″”“]|''/g, '"')
    .replaceAll(/[′’‘]/g, "'")
    .replaceAll('º', '°')
    .replaceAll(/\bsquare\b/g, 'sq')
    .replaceAll(/\bcubic\b/g, 'cu')
    .replaceAll(/\s+per\s+/g, '/')
    .replaceAll(/([a-z])s\b/g, '$1')
    .replaceAll(/[\s.,^]/g, '');

const writtenAs = ({ symbol, spellings }: Unit): Set<string> =>
  new Set([symbol, ...spellings].map(writtenPlainly));

const KNOWN = Object.fromEntries(
  Object.entries(QUANTITIES).map(([of, { units }]) => [
    of,
    units.map((one) => ({ unit: one, written: writtenAs(one) })),
  ]),
) as unknown as Readonly<Record<Quantity, readonly { readonly unit: Unit; readonly written: Set<string> }[]>>;

/** The unit of this quantity that is written so; of two of one name, that of the system. */
export function findUnit(text: string, of: Quantity, system: UnitSystem): Unit | undefined {
  const plain = writtenPlainly(text);
  const found = KNOWN[of].filter(({ written }) => written.has(plain)).map(({ unit: one }) => one);
  return found.find(({ systems }) => systems.includes(system)) ?? found[0];
}

/** Whether it is a unit of anything. */
export const isUnit = (text: string): boolean =>
  Object.keys(QUANTITIES).some((of) => findUnit(text, of as Quantity, 'metric') !== undefined);
