import type { Quantity, UnitSystem } from '../refusals/refusal.ts';
import { QUANTITIES } from './units.ts';

const FEWEST_DIGITS = 3;
/** What a field shows of a saved value: enough that nobody sees another one, few enough to read. */
const FIELD_DIGITS = 6;
const MINUS = '−';

/** Without an exponent, whatever the size. */
const plain = (value: number, digits: number): string =>
  new Intl.NumberFormat('en-US', { maximumSignificantDigits: digits, useGrouping: false })
    .format(value === 0 ? 0 : value)
    .replace('-', MINUS);

/** A value in its base unit as the garden shows it, to three significant figures and with its unit. */
export function formatQuantity(value: number, quantity: Quantity, system: UnitSystem): string {
  const { fromBase, symbol } = QUANTITIES[quantity].shown[system];
  const space = symbol === '%' ? '\u00a0' : ' ';
  return `${plain(fromBase(value), FEWEST_DIGITS)}${space}${symbol}`;
}

/** The same for a field: the figure alone, in the decimals of the reader. */
export function fieldText(
  value: number,
  {
    quantity,
    system,
    decimal,
    digits = FIELD_DIGITS,
  }: {
    readonly quantity: Quantity;
    readonly system: UnitSystem;
    readonly decimal: string;
    readonly digits?: number;
  },
): string {
  const { fromBase } = QUANTITIES[quantity].shown[system];
  return plain(fromBase(value), digits).replace('.', decimal);
}
