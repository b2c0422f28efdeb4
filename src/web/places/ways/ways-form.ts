import type { GardenBooks } from '../../../contract/garden-books.ts';
import type { WayQuestion } from '../../../core/long-run/index.ts';
import { quantityTrouble } from '../../ui/forms/troubles.ts';
import { readQuantity, typedFrom, type Reader, type TypedQuantity } from '../../ui/forms/typed-quantity.ts';

/** Stands for a load that is still to come, where a pile is chosen. */
export const LOAD_TO_COME = 'load to come';
/** Proposed at first: eight centimeters over the bed, as chips are laid. */
const FIRST_L_PER_M2 = 80;
const MOST_L = 1_000_000;
/** Whoever means all of a pile may round it up. */
const ROUNDED_UP = 1.01;

export interface WaysForm {
  readonly lotId: string;
  readonly materialId: string;
  readonly arrivesOn: string;
  /** Null for what does well on the bed, or all there is. */
  readonly amount: TypedQuantity | null;
  readonly bedId: string;
}

/** What bounds an amount. */
export interface Room {
  /** Null where it is not known yet, or there is no pile. */
  readonly inPileL: number | null;
  readonly areaM2: number;
}

/** The first pile that holds something, for the first bed that is sown; a load of chips where nothing lies. */
export const blankWays = ({ beds, lots, today }: GardenBooks): WaysForm => ({
  lotId: lots[0]?.id ?? LOAD_TO_COME,
  materialId: 'chips_branch',
  arrivesOn: today,
  amount: null,
  bedId:
    (beds.find(({ kind }) => kind === 'annual') ?? beds.find(({ kind }) => kind !== 'path') ?? beds[0])?.id ??
    '',
});

/** The amount as it stands in its field: what does well on the bed, or all there is, until somebody types another. */
export const shownAmount = (form: WaysForm, { inPileL, areaM2 }: Room, reader: Reader): TypedQuantity =>
  form.amount ??
  typedFrom(
    form.lotId === LOAD_TO_COME || inPileL !== null
      ? Math.min(inPileL ?? Infinity, FIRST_L_PER_M2 * areaM2)
      : null,
    'volume',
    { ...reader, digits: 2 },
  );

/** The question of a form, or what is wrong with its amount. */
export function readWays(
  form: WaysForm,
  room: Room,
  reader: Reader,
): { readonly asked: WayQuestion | null; readonly trouble: string | undefined } {
  const isLoad = form.lotId === LOAD_TO_COME;
  // Nobody has typed anything, and it is not known yet what is in the pile, or nothing is.
  if (!isLoad && form.amount === null && room.inPileL === null) return { asked: null, trouble: undefined };
  const max = isLoad || room.inPileL === null ? MOST_L : room.inPileL * ROUNDED_UP;
  const read = readQuantity(shownAmount(form, room, reader), { quantity: 'volume', above: 0, max }, reader);
  const amountL = read.ok ? read.value : null;
  const from = isLoad ? { materialId: form.materialId, arrivesOn: form.arrivesOn } : { lotId: form.lotId };
  return {
    asked: amountL === null || form.bedId === '' ? null : { bedId: form.bedId, from, amountL },
    trouble: quantityTrouble(read),
  };
}
