/** How a reader writes numbers. */
export interface NumberStyle {
  readonly decimal: '.' | ',';
  /** What stands between thousands, where anything does. */
  readonly group: string;
}

/** The signs a language puts between thousands and before decimals, as `Intl` has them. */
export function numberStyleOf(locale?: string | string[]): NumberStyle {
  const parts = new Intl.NumberFormat(locale).formatToParts(12345.6);
  const sign = (type: 'decimal' | 'group') => parts.find((part) => part.type === type)?.value;
  return { decimal: sign('decimal') === ',' ? ',' : '.', group: sign('group') ?? '' };
}

const VULGAR: Readonly<Record<string, string>> = {
  '½': '1/2',
  '⅓': '1/3',
  '⅔': '2/3',
  '¼': '1/4',
  '¾': '3/4',
  '⅛': '1/8',
  '⅜': '3/8',
  '⅝': '5/8',
  '⅞': '7/8',
};

/** The same text with plain spaces, minus signs and fractions, so that one grammar reads it. */
export const plainText = (text: string): string =>
  text
    .replaceAll(/[½⅓⅔¼¾⅛⅜⅝⅞]/g, (sign) => ` ${VULGAR[sign]!}`)
    .replaceAll(/[   \t]/g, ' ')
    .replaceAll(/[−–‒]/g, '-')
    .replaceAll('⁄', '/')
    .replaceAll(/ +/g, ' ')
    .trim();

const FRACTION = String.raw`(?:\d+ )?\d+ ?/ ?\d+`;
const GROUPED = String.raw`\d{1,3}(?:[ '’]\d{3})+(?:[.,]\d+)?`;
const DECIMAL = String.raw`(?:\d+(?:[.,]\d+)*[.,]?|[.,]\d+)(?:e[+-]?\d+)?`;
const NUMBER = new RegExp(`^([+-]?) ?(${FRACTION}|${GROUPED}|${DECIMAL})`, 'i');

function valueOfFraction(text: string): number {
  const [whole = '0', share] =
    text.includes(' ') && /^\d+ \d/.test(text) ? text.split(/ (?=\d)/) : ['0', text];
  const [over, under] = share!.split('/').map(Number) as [number, number];
  return Number(whole) + over / under;
}

/**
 * One sign, once, three figures after it and one to three before: it may stand between thousands or before decimals,
 * and only the reader's own way of writing decides.
 */
const isOpen = (text: string): boolean => /^[1-9]\d{0,2}[.,]\d{3}$/.test(text);

function valueOfDecimal(text: string, { decimal }: NumberStyle): number {
  const signs = text.match(/[.,]/g) ?? [];
  const last = signs.at(-1);
  if (last === undefined) return Number(text);
  const isRepeated = signs.length > 1 && signs.every((sign) => sign === last);
  const areThousands = isRepeated || (isOpen(text) && last !== decimal);
  if (areThousands) return /^\d{1,3}([.,]\d{3})+$/.test(text) ? Number(text.replaceAll(last, '')) : NaN;
  const [whole, share] = [text.slice(0, text.lastIndexOf(last)), text.slice(text.lastIndexOf(last) + 1)];
  const isWhole = signs.length === 1 || /^\d{1,3}([.,]\d{3})+$/.test(whole);
  return isWhole ? Number(`${whole.replaceAll(/[.,]/g, '') || '0'}.${share || '0'}`) : NaN;
}

export interface LeadingNumber {
  /** NaN when it looks like a number and is none: 1/0, or 1.23.456. */
  readonly value: number;
  /** As it is written. */
  readonly text: string;
  /** What stands after it. */
  readonly rest: string;
}

/** The number a plain text begins with, a fraction or a decimal one; undefined when it begins with none. */
export function leadingNumber(plain: string, style: NumberStyle): LeadingNumber | undefined {
  const found = NUMBER.exec(plain);
  if (!found) return undefined;
  const [text, sign, digits] = [found[0], found[1], found[2]!];
  const size = digits.includes('/')
    ? valueOfFraction(digits.replaceAll(/ ?\/ ?/g, '/'))
    : valueOfDecimal(digits.replaceAll(/[ '’]/g, ''), style);
  return { value: sign === '-' ? -size : size, text, rest: plain.slice(text.length).trim() };
}
