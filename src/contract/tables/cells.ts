import { dayNumberFromIso, isoDateOf } from '../../core/ground/index.ts';
import { leadingNumber, plainText } from '../../quantities/number-text.ts';
import { refusal, type Refusal } from '../../refusals/refusal.ts';
import { InputError } from '../../refusals/input-error.ts';
import { monthNamed } from './month-names.ts';

/** How the cells of a file are written. */
export interface CellStyle {
  readonly decimal: '.' | ',';
  readonly dateOrder: DateOrder;
}
export const DATE_ORDERS = ['ymd', 'dmy', 'mdy'] as const;
export type DateOrder = (typeof DATE_ORDERS)[number];

/** What a cell says, or why it says nothing that can be kept. */
export type Cell<Value> = { readonly value: Value } | { readonly trouble: Refusal };

const NUMBER = /^[+-]?(\d+(\.\d*)?|\.\d+)(e[+-]?\d{1,3})?$/i;
/** Blanks, thin and unbreakable ones too, and the apostrophe some write between thousands. */
const BETWEEN_THOUSANDS = /[\s\u00a0\u202f'’]/g;

/** Words before a figure that was not measured exactly: ca. 20, ~20, about 20. */
const ABOUT =
  /^(?:~|≈|±|ca\.?|circa|about|approx\.?|approximately|around|etwa|env\.?)\s*(?=[\d.,½¼¾⅓⅔⅛⅜⅝⅞])/i;
const FRACTION = /[/⁄½¼¾⅓⅔⅛⅜⅝⅞]/;

/** More digits than a scale shows, and few enough that 308.00000000000006 is written as 308. */
const WRITTEN_DIGITS = 12;

/** A figure as it stands in a file. */
export const figureText = (value: number): string => String(Number(value.toPrecision(WRITTEN_DIGITS)));

/** A figure; fractions and what was measured roughly too. */
export function numberCell(text: string, style: Pick<CellStyle, 'decimal'>): Cell<number> {
  const told = text.trim().replace(ABOUT, '');
  if (!FRACTION.test(told)) return decimalCell(told, style);
  const read = leadingNumber(plainText(told.replace(/(\d)-(?=\d+[/⁄])/, '$1 ')), { ...style, group: '' });
  const isWhole = read?.rest === '' && Number.isFinite(read.value);
  return isWhole ? { value: read.value } : { trouble: refusal('noNumber', { text }) };
}

/** A figure and what stands after it, such as a unit: "1 1/2 barrows"; null when it does not begin with a figure. */
export function figureAndRest(
  text: string,
  style: Pick<CellStyle, 'decimal'>,
): { readonly value: number; readonly rest: string } | null {
  const told = text.trim().replace(ABOUT, '');
  const read = leadingNumber(plainText(told), { ...style, group: '' });
  if (!read || read.rest === '') return null;
  const figure = numberCell(read.text, style);
  return 'value' in figure ? { value: figure.value, rest: read.rest } : null;
}

function decimalCell(text: string, { decimal }: Pick<CellStyle, 'decimal'>): Cell<number> {
  const thousands = decimal === ',' ? '.' : ',';
  const plain = text.replace(BETWEEN_THOUSANDS, '').replaceAll('−', '-');
  const grouped = plain.split(thousands);
  const isGrouped =
    grouped.length > 1 &&
    grouped.slice(1).every((part, i) => (i < grouped.length - 2 ? /^\d{3}$/ : /^\d{3}(\D|$)/).test(part));
  if (grouped.length > 1 && !isGrouped) return { trouble: refusal('noNumber', { text }) };
  const joined = grouped.join('').replace(',', '.');
  if (!NUMBER.test(joined)) return { trouble: refusal('noNumber', { text }) };
  const value = Number(joined);
  return Number.isFinite(value) ? { value } : { trouble: refusal('notANumber', { got: text }) };
}

const ORDERED: Readonly<Record<DateOrder, readonly ['y' | 'm' | 'd', 'y' | 'm' | 'd', 'y' | 'm' | 'd']>> = {
  ymd: ['y', 'm', 'd'],
  dmy: ['d', 'm', 'y'],
  mdy: ['m', 'd', 'y'],
};
const ISO = /^(\d{4})-(\d{1,2})-(\d{1,2})(T.*)?$/;
const PARTS = /^(\d{1,4})\s*[./\-\s]\s*(\d{1,2})\s*[./\-\s]\s*(\d{1,4})$/;
/** Two digits of a year: this century up to here, the last one after it. */
const LAST_SHORT_YEAR = 69;

function fullYear(digits: string): number {
  const year = Number(digits);
  if (digits.length > 2) return year;
  return year <= LAST_SHORT_YEAR ? 2000 + year : 1900 + year;
}

/** The time of day that spreadsheets write after a date. */
const TIME = /[T\s]\d{1,2}:\d{2}(:\d{2}(\.\d+)?)?\s*([ap]\.?m\.?)?Z?$/i;

/** A date with its month in words, whatever the order: 14. Mai 2026, May 14th, 2026. Null when it is none. */
function datedInWords(text: string): readonly [year: string, month: string, day: string] | null {
  const words = text.match(/\p{L}+/gu) ?? [];
  const months = words.flatMap((word) => monthNamed(word) ?? []);
  const figures = text.match(/\d+/g) ?? [];
  if (months.length !== 1 || figures.length !== 2) return null;
  const [first, second] = figures as [string, string];
  const [year, day] = first.length === 4 ? [first, second] : [second, first];
  return [year, String(months[0]), day];
}

/** A date as ISO; dates already written that way, or with a month in words, are taken whatever the order. */
export function dateCell(text: string, { dateOrder }: Pick<CellStyle, 'dateOrder'>): Cell<string> {
  const trimmed = text.trim().replace(TIME, '');
  const worded = datedInWords(trimmed);
  if (worded) return dayOf(worded, text);
  const iso = ISO.exec(trimmed);
  const parts = iso ?? PARTS.exec(trimmed);
  if (!parts) return { trouble: refusal('noDate', { text, why: 'notADate' }) };
  const order = ORDERED[iso ? 'ymd' : dateOrder];
  const part = (name: 'y' | 'm' | 'd') => parts[order.indexOf(name) + 1] ?? '';
  if (!iso && order.indexOf('y') === 0 && part('y').length < 3)
    return { trouble: refusal('noDate', { text, why: 'noYear' }) };
  return dayOf([part('y'), part('m'), part('d')], text);
}

function dayOf([year, month, day]: readonly [string, string, string], text: string): Cell<string> {
  const date = [String(fullYear(year)).padStart(4, '0'), month.padStart(2, '0'), day.padStart(2, '0')].join(
    '-',
  );
  try {
    return { value: isoDateOf(dayNumberFromIso(date, [])) };
  } catch (error) {
    if (!(error instanceof InputError)) throw error;
    return { trouble: refusal('noDate', { text, why: 'noSuchDay' }) };
  }
}

const YES = new Set(['true', 'yes', 'y', '1', 'x']);
const NO = new Set(['false', 'no', 'n', '0', '-']);

export function booleanCell(text: string): Cell<boolean> {
  const word = text.trim().toLowerCase();
  if (YES.has(word)) return { value: true };
  return NO.has(word) ? { value: false } : { trouble: refusal('notYesOrNo', { text }) };
}

export function jsonCell(text: string): Cell<unknown> {
  try {
    return { value: JSON.parse(text) as unknown };
  } catch {
    return { trouble: refusal('notDetails') };
  }
}
