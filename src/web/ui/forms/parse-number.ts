import { leadingNumber, numberStyleOf, plainText } from '../../../quantities/number-text.ts';

const style = numberStyleOf(typeof navigator === 'undefined' ? undefined : [...navigator.languages]);

/**
 * A number that has no unit, or percent, as people type it: fractions, thousands and decimals as this reader writes
 * them. NaN for anything else.
 */
export function numberFromText(text: string): number {
  const read = leadingNumber(plainText(text), style);
  return read && (read.rest === '' || read.rest === '%') ? read.value : Number.NaN;
}
