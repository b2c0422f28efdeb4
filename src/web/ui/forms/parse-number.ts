/** A number as people type it: a comma or a point before the decimals, spaces anywhere; NaN for text. */
export function numberFromText(text: string): number {
  const plain = text.replaceAll(/[\s  ]/g, '').replace(',', '.');
  return /^[+-]?(\d+\.?\d*|\.\d+)(e[+-]?\d+)?$/i.test(plain) ? Number(plain) : Number.NaN;
}
