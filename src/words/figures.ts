/** Rounding lives here and nowhere else. A thin space parts thousands; the minus is a real one. */
const THIN_SPACE = ' ';
const MINUS = '−';
const NOTHING = '—';

function grouped(text: string): string {
  const [whole = '', fraction] = text.split('.');
  const spaced = whole.length > 3 ? whole.replace(/\B(?=(\d{3})+$)/g, THIN_SPACE) : whole;
  return fraction === undefined ? spaced : `${spaced}.${fraction}`;
}

/** A figure with so many decimals. */
export function formatFixed(value: number, decimals: number): string {
  const text = Math.abs(value).toFixed(decimals);
  const isZero = Number(text) === 0;
  return `${value < 0 && !isZero ? MINUS : ''}${grouped(text)}`;
}

/** A figure with so many decimals, fewer where that would be more than three significant places. */
export function formatAtMost(value: number, decimals: number): string {
  const magnitude = value === 0 ? 0 : Math.floor(Math.log10(Math.abs(value)));
  return formatFixed(value, Math.max(0, Math.min(decimals, 2 - magnitude)));
}

/** A figure to about `digits` significant places, never in scientific notation. */
export function formatFigure(value: number, digits = 3): string {
  if (value === 0) return '0';
  const magnitude = Math.floor(Math.log10(Math.abs(value)));
  return formatFixed(value, Math.min(6, Math.max(0, digits - 1 - magnitude)));
}

/** A figure to at most `digits` significant places, without zeros that say nothing: 16, 2.5. */
export function plainFigure(value: number, digits = 3): string {
  const text = formatFigure(value, digits);
  return text.includes('.') ? text.replace(/\.?0+$/, '') : text;
}

/** For people who carry it: two significant figures, and whole numbers from ten up. */
export function roundFigure(value: number): string {
  if (value === 0) return '0';
  const magnitude = Math.floor(Math.log10(Math.abs(value)));
  const step = 10 ** Math.max(magnitude - 1, -2);
  return formatFixed(Math.round(value / step) * step, Math.max(0, -Math.log10(step)));
}

/** A ledger cell: a dash for nothing. */
export const formatCell = (value: number, decimals: number): string =>
  Math.abs(value) < 0.5 * 10 ** -decimals ? NOTHING : formatFixed(value, decimals);

/** A share as whole percent. */
export const formatPercent = (share: number): string => `${formatFixed(share * 100, 0)} %`;

const BYTES_PER_STEP = 1000;

/** The size of a file: 412 kB, 3.1 MB. */
export function bytesWords(bytes: number): string {
  if (bytes < BYTES_PER_STEP) return `${bytes} B`;
  const kilo = bytes / BYTES_PER_STEP;
  return kilo < BYTES_PER_STEP ? `${formatFixed(kilo, 0)} kB` : `${formatFixed(kilo / BYTES_PER_STEP, 1)} MB`;
}
