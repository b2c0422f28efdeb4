import type { UnitSystem } from '../../refusals/refusal.ts';
import { AMOUNT_UNITS, type AmountUnit } from '../../records/vocabulary.ts';

/** By their names in the singular; the plural with an s is known too. */
const WORDS: Readonly<Record<string, AmountUnit>> = {
  ...Object.fromEntries(AMOUNT_UNITS.map((unit) => [unit.toLowerCase(), unit])),
  in: 'inch',
  inches: 'inch',
  '"': 'inch',
  centimeter: 'cm',
  centimetre: 'cm',
  m: 'metre',
  meter: 'metre',
  ft: 'foot',
  feet: 'foot',
  l: 'litre',
  liter: 'litre',
  ltr: 'litre',
  m3: 'cubicMetre',
  'm³': 'cubicMetre',
  'cu m': 'cubicMetre',
  cbm: 'cubicMetre',
  'cubic meter': 'cubicMetre',
  'cubic metre': 'cubicMetre',
  ft3: 'cubicFoot',
  'ft³': 'cubicFoot',
  'cu ft': 'cubicFoot',
  cuft: 'cubicFoot',
  cf: 'cubicFoot',
  'cubic foot': 'cubicFoot',
  'cubic feet': 'cubicFoot',
  yd3: 'cubicYard',
  'yd³': 'cubicYard',
  'cu yd': 'cubicYard',
  cuyd: 'cubicYard',
  cy: 'cubicYard',
  'cubic yard': 'cubicYard',
  gal: 'gallon',
  qt: 'quart',
  kilo: 'kg',
  kilogram: 'kg',
  kilogramme: 'kg',
  g: 'gram',
  gramme: 'gram',
  lb: 'pound',
};

/** Vessels hold what is usual where people measure so. */
const VESSELS: Readonly<Record<UnitSystem, Readonly<Record<string, AmountUnit>>>> = {
  metric: { barrow: 'barrow85L', bucket: 'bucket10L' },
  customary: { barrow: 'barrow3CuFt', bucket: 'bucket5Gal' },
};
const VESSEL_WORDS: Readonly<Record<string, 'barrow' | 'bucket'>> = {
  barrow: 'barrow',
  wheelbarrow: 'barrow',
  barrowload: 'barrow',
  'barrow load': 'barrow',
  bucket: 'bucket',
  bucketful: 'bucket',
  pail: 'bucket',
};

const plainly = (text: string): string =>
  text
    .trim()
    .toLowerCase()
    .replaceAll('.', '')
    .replaceAll(/[\s_-]+/g, ' ');

/** The unit of an amount that a word of somebody else's table names; undefined when it names none. */
export function amountUnitNamed(text: string, system: UnitSystem): AmountUnit | undefined {
  const word = plainly(text);
  for (const form of [word, word.replace(/s$/, '')]) {
    if (form !== '' && Object.hasOwn(WORDS, form)) return WORDS[form];
    if (Object.hasOwn(VESSEL_WORDS, form)) return VESSELS[system][VESSEL_WORDS[form]!];
  }
  return undefined;
}

/** Every word that a header may end with to say in which unit its amounts are. */
export const AMOUNT_UNIT_WORDS: readonly string[] = [...Object.keys(WORDS), ...Object.keys(VESSEL_WORDS)];
