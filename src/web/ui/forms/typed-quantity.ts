import { fieldText } from '../../../quantities/format-quantity.ts';
import { numberStyleOf, type NumberStyle } from '../../../quantities/number-text.ts';
import { parseQuantity } from '../../../quantities/parse-quantity.ts';
import { refusal, type Quantity, type Refusal, type UnitSystem } from '../../../refusals/refusal.ts';

/** What a field asks for: bounds in the base unit of the quantity. */
export interface QuantityAsked {
  readonly quantity: Quantity;
  readonly min?: number;
  readonly max?: number;
  /** Left out themselves. */
  readonly above?: number;
  readonly below?: number;
  /** Whether the field may be left empty. */
  readonly isOptional?: boolean;
}

/** A quantity as it stands in its field. As long as the text is the first one, the saved value holds exactly. */
export interface TypedQuantity {
  readonly text: string;
  readonly first: { readonly text: string; readonly value: number | null };
}

export type ReadQuantity =
  | { readonly ok: true; readonly value: number | null }
  | { readonly ok: false; readonly refusal: Refusal };

/** The value for a schema, which refuses what is no number. */
export const figureOf = (read: ReadQuantity): number | null => (read.ok ? read.value : Number.NaN);

export interface Reader {
  readonly system: UnitSystem;
  readonly style: NumberStyle;
}

/** How this browser's reader writes numbers, in the units of the garden. */
export const readerOf = (system: UnitSystem): Reader => ({
  system,
  style: numberStyleOf(typeof navigator === 'undefined' ? undefined : [...navigator.languages]),
});

/** A saved value as it is first shown; null for an empty field. `digits`: fewer for what is only proposed. */
export function typedFrom(
  value: number | null,
  quantity: Quantity,
  { system, style, digits }: Reader & { readonly digits?: number },
): TypedQuantity {
  const { decimal } = style;
  const shown = { quantity, system, decimal, ...(digits === undefined ? {} : { digits }) };
  const text = value === null ? '' : fieldText(value, shown);
  return { text, first: { text, value } };
}

export const NOTHING_TYPED: TypedQuantity = { text: '', first: { text: '', value: null } };

export const retyped = (typed: TypedQuantity, text: string): TypedQuantity => ({ ...typed, text });

const isWithin = (
  value: number,
  { min = -Infinity, max = Infinity, above = -Infinity, below = Infinity }: QuantityAsked,
): boolean => value >= min && value <= max && value > above && value < below;

/** The value a field amounts to in the base unit, null when it is empty and may be, or what is wrong with it. */
export function readQuantity(
  { text, first }: TypedQuantity,
  asked: QuantityAsked,
  reader: Reader,
): ReadQuantity {
  if (text.trim() === '' && asked.isOptional) return { ok: true, value: null };
  if (text === first.text && first.value !== null) return { ok: true, value: first.value };
  const read = parseQuantity(text, { ...reader, quantity: asked.quantity });
  if (!read.ok || isWithin(read.value, asked)) return read;
  const { quantity, min, max, above, below } = asked;
  const bounds = {
    ...(min === undefined ? {} : { min }),
    ...(max === undefined ? {} : { max }),
    ...(above === undefined ? {} : { above }),
    ...(below === undefined ? {} : { below }),
  };
  return {
    ok: false,
    refusal: refusal('outsideQuantity', { ...bounds, value: read.value, quantity, system: reader.system }),
  };
}

/** How something else than a plain figure was understood, for the line below the field; null when nothing needs saying. */
export function understoodValue(
  { text, first }: TypedQuantity,
  quantity: Quantity,
  reader: Reader,
): number | null {
  if (text === first.text || text.trim() === '') return null;
  const read = parseQuantity(text, { ...reader, quantity });
  return read.ok && !read.isPlain ? read.value : null;
}
