import { FIELD_LABELS } from '../records/labels.ts';
import { MONTH_NAMES } from './dates.ts';

/** Units at the end of field names; people read them beside the field. */
const UNITS =
  /(GPerM2Year|GPerCm3|KgPerM3|GPerM2|KgPerHa|FractionWetBasis|FractionDryBasis|M2|Cm|Mm|Kg|Pct|Percent|Id|G|C|L)$/;

/** What was sent as a whole, and belongs to no record. */
const WHOLE = 'input';

const OF_A_MONTH = /^climate\.(\w+)\.(\d+)$/;

/** A field as people call it: dugDepthCm is the dug depth, acts.0.untilYear the last year. */
export function fieldWords(field: string): string {
  const monthly = OF_A_MONTH.exec(field);
  if (monthly) return `${fieldWords(monthly[1]!)} of ${MONTH_NAMES[Number(monthly[2])] ?? 'a month'}`;
  const name = field.split('.').findLast((part) => !/^\d+$/.test(part)) ?? field;
  if (name === WHOLE) return 'what was sent';
  const label = FIELD_LABELS.get(name);
  if (label !== undefined) return label;
  const words = name.replace(UNITS, '').replace(/([a-z])([A-Z])/g, '$1 $2');
  return words === '' ? name : words.toLowerCase();
}
