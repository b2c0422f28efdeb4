import { MONTH_NAMES } from './dates.ts';

/** Units at the end of field names; people read them beside the field. */
const UNITS =
  /(GPerM2Year|GPerCm3|KgPerM3|GPerM2|KgPerHa|FractionWetBasis|FractionDryBasis|M2|Cm|Mm|Kg|Pct|Percent|Id|G|C|L)$/;

/** What no rule turns into a word people use. */
const OWN_WORDS: Readonly<Record<string, string>> = {
  ph: 'pH',
  areaShare: 'share of the bed',
  plantedOn: 'the day it is planted',
  clearedOn: 'the day it is cleared',
  startedOn: 'the day the bed was made',
  rootZoneCm: 'root depth',
  depositionGPerM2Year: 'nitrogen from rain and air',
  massFreshKg: 'weight',
  lotId: 'pile',
  toLotId: 'pile it goes to',
  untilYear: 'last year',
  fromYear: 'first year',
  input: 'what was sent',
};

const OF_A_MONTH = /^climate\.(\w+)\.(\d+)$/;

/** A field as people call it: dugDepthCm is the dug depth, acts.0.untilYear the last year. */
export function fieldWords(field: string): string {
  const monthly = OF_A_MONTH.exec(field);
  if (monthly) return `${fieldWords(monthly[1]!)} of ${MONTH_NAMES[Number(monthly[2])] ?? 'a month'}`;
  const name = field.split('.').findLast((part) => !/^\d+$/.test(part)) ?? field;
  const own = OWN_WORDS[name];
  if (own !== undefined) return own;
  const words = name.replace(UNITS, '').replace(/([a-z])([A-Z])/g, '$1 $2');
  return words === '' ? name : words.toLowerCase();
}

/** A sentence that begins with the name of its field, with the word for it. */
export const inFieldWords = (field: string, sentence: string): string =>
  sentence.startsWith(`${field} `) ? `${fieldWords(field)}${sentence.slice(field.length)}` : sentence;
