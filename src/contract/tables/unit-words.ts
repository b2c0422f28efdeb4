import { AMOUNT_UNITS, type AmountUnit } from '../../records/vocabulary.ts';

const WORDS: Readonly<Record<string, AmountUnit>> = {
  ...Object.fromEntries(AMOUNT_UNITS.map((unit) => [unit.toLowerCase(), unit])),
  in: 'inch',
  inches: 'inch',
  '"': 'inch',
  m: 'metre',
  ft: 'foot',
  feet: 'foot',
  l: 'litre',
  liter: 'litre',
  liters: 'litre',
  litres: 'litre',
  m3: 'cubicMetre',
  'm³': 'cubicMetre',
  ft3: 'cubicFoot',
  'cu ft': 'cubicFoot',
  yd3: 'cubicYard',
  'cu yd': 'cubicYard',
  gal: 'gallon',
  gallons: 'gallon',
  cups: 'cup',
  qt: 'quart',
  quarts: 'quart',
  kilo: 'kg',
  kilos: 'kg',
  g: 'gram',
  grams: 'gram',
  lb: 'pound',
  lbs: 'pound',
  pounds: 'pound',
};

/** Units of amounts by how they are written in tables of others, lower case. */
export const AMOUNT_UNIT_WORDS: ReadonlyMap<string, AmountUnit> = new Map(Object.entries(WORDS));
