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

/** Steps that rules of thumb come in, by how large the figure is. */
const roundOff = (figure: number): number => {
  const size = Math.abs(figure);
  const step = size >= 200 ? 10 : size >= 100 ? 5 : size >= 10 ? 1 : size >= 1 ? 0.5 : 0;
  return step === 0 ? figure : Math.round(figure / step) * step;
};

/** A rule of thumb, written in metric, in the units of the garden: 15 cm is 6 in, not 5.91. */
const ruleFigure = (value: number, quantity: Quantity, system: UnitSystem): string => {
  const figure = QUANTITIES[quantity].shown[system].fromBase(value);
  return plain(system === 'metric' ? figure : roundOff(figure), 2 + Number(Math.abs(figure) >= 100));
};

/** A rule of thumb, from `low` to `high` where they differ, in the base unit of the quantity. */
export function formatRule(
  [low, high]: readonly [low: number, high: number],
  quantity: Quantity,
  system: UnitSystem,
): string {
  const { symbol } = QUANTITIES[quantity].shown[system];
  const [from, to] = [low, high].map((value) => ruleFigure(value, quantity, system));
  return from === to ? `${from!} ${symbol}` : `${from!} to ${to!} ${symbol}`;
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
