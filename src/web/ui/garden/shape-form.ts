import type { BedKind } from '../../../records/vocabulary.ts';
import { areaOfShape, type BedShape } from '../../../core/bed/index.ts';
import { InputError } from '../../../refusals/input-error.ts';
import { refusalSentence } from '../../../words/refusal-words.ts';
import { numberFromText } from '../forms/parse-number.ts';
import { quantityTrouble } from '../forms/troubles.ts';
import {
  readQuantity,
  typedFrom,
  type QuantityAsked,
  type Reader,
  type TypedQuantity,
} from '../forms/typed-quantity.ts';

/** A bed as it was measured, as typed; each shape asks for some of it. */
export interface ShapeForm {
  readonly type: BedShape['type'];
  readonly length: TypedQuantity;
  readonly width: TypedQuantity;
  readonly diameter: TypedQuantity;
  /** Kept clear round a trunk. */
  readonly clear: TypedQuantity;
  readonly widths: readonly TypedQuantity[];
  readonly count: string;
  readonly volume: TypedQuantity;
}

/** Round a trunk kept clear of mulch and chips, across (common practice, no source). */
const CLEAR_CM = { metric: 30, customary: 30.48 } as const;
const WIDTHS_AT_FIRST = 3;

/** Nothing measured yet. */
export function blankShape(type: BedShape['type'], reader: Reader): ShapeForm {
  const length = typedFrom(null, 'length', reader);
  return {
    type,
    length,
    width: length,
    diameter: length,
    clear: typedFrom(CLEAR_CM[reader.system], 'length', reader),
    widths: Array.from({ length: WIDTHS_AT_FIRST }, () => length),
    count: '',
    volume: typedFrom(null, 'volume', reader),
  };
}

/** Pots that a bed is known to be. */
export const shapeOfPots = (count: number, volumeL: number, reader: Reader): ShapeForm => ({
  ...blankShape('pots', reader),
  count: String(count),
  volume: typedFrom(volumeL, 'volume', reader),
});

/** The shape a kind of bed is measured by; null for what may have any. */
export const shapeOfKind = (kind: BedKind): BedShape['type'] | null =>
  kind === 'container' ? 'pots' : kind === 'treeRing' ? 'ring' : null;

const LENGTH: QuantityAsked = { quantity: 'length', above: 0 };
const FROM_ZERO: QuantityAsked = { quantity: 'length', min: 0 };
const VOLUME: QuantityAsked = { quantity: 'volume', above: 0 };

export interface ReadShape {
  /** Null when something is wrong or missing. */
  readonly areaM2: number | null;
  /** Null when they are no pots. */
  readonly potCount: number | null;
  /** By the field of the form; widths by `widths.0`. */
  readonly troubles: Readonly<Record<string, string>>;
}

/** Fields of the core by what the form calls them. */
const FIELD_OF: Readonly<Record<string, string>> = {
  lengthCm: 'length',
  widthCm: 'width',
  diameterCm: 'diameter',
  outerDiameterCm: 'diameter',
  innerDiameterCm: 'clear',
  widthsCm: 'widths.0',
  count: 'count',
  volumeL: 'volume',
};

/** What was measured as an area; `depthCm` is how deep pots are filled. */
export function readShape(form: ShapeForm, depthCm: number, reader: Reader): ReadShape {
  const troubles: Record<string, string> = {};
  const figure = (field: string, typed: TypedQuantity, asked: QuantityAsked): number => {
    const read = readQuantity(typed, asked, reader);
    const trouble = quantityTrouble(read, field);
    if (trouble !== undefined) troubles[field] = trouble;
    return read.ok ? (read.value ?? Number.NaN) : Number.NaN;
  };
  const shapes: Readonly<Record<BedShape['type'], () => BedShape>> = {
    rectangle: () => ({
      type: 'rectangle',
      lengthCm: figure('length', form.length, LENGTH),
      widthCm: figure('width', form.width, LENGTH),
    }),
    circle: () => ({ type: 'circle', diameterCm: figure('diameter', form.diameter, LENGTH) }),
    ring: () => ({
      type: 'ring',
      outerDiameterCm: figure('diameter', form.diameter, LENGTH),
      innerDiameterCm: figure('clear', form.clear, FROM_ZERO),
    }),
    uneven: () => ({
      type: 'uneven',
      lengthCm: figure('length', form.length, LENGTH),
      widthsCm: form.widths.map((width, i) => figure(`widths.${i}`, width, FROM_ZERO)),
    }),
    pots: () => ({
      type: 'pots',
      count: numberFromText(form.count),
      volumeL: figure('volume', form.volume, VOLUME),
      depthCm,
    }),
  };
  const shape = shapes[form.type]();
  const potCount = shape.type === 'pots' ? shape.count : null;
  if (Object.keys(troubles).length > 0) return { areaM2: null, potCount, troubles };
  try {
    return { areaM2: areaOfShape(shape), potCount, troubles };
  } catch (error) {
    if (!(error instanceof InputError)) throw error;
    const field = FIELD_OF[String(error.path[0])] ?? 'length';
    return { areaM2: null, potCount, troubles: { [field]: refusalSentence('It', error.refusal) } };
  }
}
