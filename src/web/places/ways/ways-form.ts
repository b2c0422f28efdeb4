import type { GardenBooks } from '../../../contract/garden-books.ts';
import {
  MOST_DUG_DEPTH_CM,
  MOST_THICK_CM,
  type WayQuestion,
  type WhatIf,
} from '../../../core/long-run/index.ts';
import { quantityTrouble } from '../../ui/forms/troubles.ts';
import {
  figureOf,
  NOTHING_TYPED,
  readQuantity,
  type QuantityAsked,
  type Reader,
  type TypedQuantity,
} from '../../ui/forms/typed-quantity.ts';

/** Stands for a load that is still to come, where a pile is chosen. */
export const LOAD_TO_COME = 'load to come';
/** Stands for whichever pile, or whichever bed, does the most good. */
export const ANY = 'any';
const MOST_L = 1_000_000;
/** Whoever means all of a pile may round it up. */
const ROUNDED_UP = 1.01;

export interface WaysForm {
  readonly lotId: string;
  readonly materialId: string;
  readonly arrivesOn: string;
  /** Empty for as much as does well on the bed, or all there is. */
  readonly amount: TypedQuantity;
  readonly bedId: string;
  /** What if: empty for as proposed. */
  readonly notBefore: string;
  readonly dugDepth: TypedQuantity;
  readonly most: TypedQuantity;
  /** Empty for what balances the heap. */
  readonly partnerId: string;
  readonly partnerAmount: TypedQuantity;
}

/** What bounds an amount: null where it is not known yet, or there is no pile. */
export interface Room {
  readonly inPileL: number | null;
}

/** The pile and the bed that an address names, by id or as `ANY`; null where it names none. */
export interface AskedAbout {
  readonly lotId: string | null;
  readonly bedId: string | null;
}

const firstBed = (beds: GardenBooks['beds']): string =>
  (beds.find(({ kind }) => kind === 'annual') ?? beds.find(({ kind }) => kind !== 'path') ?? beds[0])?.id ??
  ANY;

/** The first pile for the first bed that is sown, unless others are asked about; a load of chips where nothing lies. */
export const blankWays = (
  { beds, lots, today }: GardenBooks,
  about: AskedAbout = { lotId: null, bedId: null },
): WaysForm => ({
  lotId:
    about.lotId === ANY && lots.length > 1
      ? ANY
      : ((lots.find(({ id }) => id === about.lotId) ?? lots[0])?.id ?? LOAD_TO_COME),
  materialId: 'chips_branch',
  arrivesOn: today,
  amount: NOTHING_TYPED,
  bedId:
    about.bedId === ANY && beds.length > 1
      ? ANY
      : (beds.find(({ id, kind }) => id === about.bedId && kind !== 'path')?.id ?? firstBed(beds)),
  notBefore: '',
  dugDepth: NOTHING_TYPED,
  most: NOTHING_TYPED,
  partnerId: '',
  partnerAmount: NOTHING_TYPED,
});

export type WaysTroubles = Partial<
  Record<'amount' | 'dugDepth' | 'most' | 'partnerAmount', string | undefined>
>;

export interface ReadWays {
  /** Null while something is missing or wrong. */
  readonly asked: WayQuestion | null;
  readonly troubles: WaysTroubles;
}

/** The question of a form, or what is wrong with its fields. */
export function readWays(form: WaysForm, { inPileL }: Room, reader: Reader): ReadWays {
  const isLoad = form.lotId === LOAD_TO_COME;
  const isHeaped = form.partnerId !== '';
  const read = (typed: TypedQuantity, asked: Pick<QuantityAsked, 'quantity' | 'max' | 'isOptional'>) =>
    readQuantity(typed, { above: 0, isOptional: true, ...asked }, reader);
  const fields = {
    amount: read(form.amount, {
      quantity: 'volume',
      max: isLoad || inPileL === null ? MOST_L : inPileL * ROUNDED_UP,
    }),
    dugDepth: read(form.dugDepth, { quantity: 'length', max: MOST_DUG_DEPTH_CM }),
    most: read(form.most, { quantity: 'length', max: MOST_THICK_CM }),
    partnerAmount: read(form.partnerAmount, { quantity: 'volume', max: MOST_L, isOptional: !isHeaped }),
  };
  const troubles = Object.fromEntries(
    Object.entries(fields).map(([name, one]) => [name, quantityTrouble(one)]),
  ) as WaysTroubles;
  const isOpen = form.bedId === ANY && form.lotId === ANY;
  if (isOpen || Object.values(fields).some(({ ok }) => !ok)) return { asked: null, troubles };
  const partnerL = figureOf(fields.partnerAmount);
  const whatIf: WhatIf = {
    notBefore: form.notBefore === '' ? null : form.notBefore,
    dugDepthCm: figureOf(fields.dugDepth),
    mostCm: figureOf(fields.most),
    partner: isHeaped && partnerL !== null ? { materialId: form.partnerId, amountL: partnerL } : null,
  };
  const { bedId, lotId, materialId, arrivesOn } = form;
  const asked = {
    bedId: bedId === ANY ? null : bedId,
    from: lotId === ANY ? null : isLoad ? { materialId, arrivesOn } : { lotId },
    amountL: lotId === ANY ? null : figureOf(fields.amount),
    whatIf,
  };
  return { asked, troubles };
}
