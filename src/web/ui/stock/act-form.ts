import type { GardenBooks } from '../../../contract/garden-books.ts';
import type { LotRecord } from '../../../records/lot.ts';
import type { StockPosting } from '../../../contract/requests.ts';
import type { Keeping, LotForm, ReadinessSign, REASONS_TAKEN } from '../../../records/vocabulary.ts';
import type { TypedAmount } from '../forms/inputs.tsx';
import { movementFields } from '../../../records/movement.ts';
import { askedOf } from '../forms/asked-of.ts';
import { numberFromText } from '../forms/parse-number.ts';
import { quantityTroubles } from '../forms/troubles.ts';
import {
  figureOf,
  NOTHING_TYPED,
  readQuantity,
  type Reader,
  type TypedQuantity,
} from '../forms/typed-quantity.ts';
import { HEAP_FIGURES, readFigures, typedFigures, type TypedFigures } from '../materials/figure-fields.ts';
import type { Measures } from '../../../words/measures.ts';
import { LOT_FORM_WORDS } from '../../../words/stock-words.ts';

/** What can be done to a lot, or found out about it. */
export const ACTS = ['move', 'takeOut', 'turn', 'water', 'reading', 'sign', 'stocktake', 'keep'] as const;
export type Act = (typeof ACTS)[number];

/** Something done to a lot, as typed. */
export interface ActForm {
  readonly id: string;
  readonly date: string;
  readonly note: string;
  readonly amount: TypedAmount;
  readonly toLotId: string;
  readonly newLotId: string;
  readonly newName: string;
  readonly newForm: LotForm;
  readonly reason: (typeof REASONS_TAKEN)[number];
  readonly water: TypedQuantity;
  /** Of `HEAP_FIGURES`. */
  readonly figures: TypedFigures;
  readonly signs: readonly ReadinessSign[];
  readonly keeping: Keeping;
  readonly isTurned: boolean;
  readonly isHot: boolean;
}

export const blankAct = (
  books: GardenBooks,
  lot: LotRecord,
  { measures, reader }: { readonly measures: Measures; readonly reader: Reader },
): ActForm => ({
  id: crypto.randomUUID(),
  date: books.today,
  note: '',
  amount: { amount: '', unit: measures.barrowUnit },
  toLotId: '',
  newLotId: crypto.randomUUID(),
  newName: '',
  newForm: 'bag',
  reason: 'given',
  water: NOTHING_TYPED,
  figures: typedFigures(HEAP_FIGURES, {}, reader),
  signs: [],
  keeping: lot.keeping,
  isTurned: lot.isTurned,
  isHot: lot.isHot,
});

type HeapFigure =
  | 'temperatureC'
  | 'moistureFractionWetBasis'
  | 'bulkDensityKgPerM3'
  | 'carbonFractionDryBasis'
  | 'nitrogenFractionDryBasis';

const WATER = askedOf(movementFields.water.waterL, 'volume');
const readWater = ({ water }: ActForm, reader: Reader) => readQuantity(water, WATER, reader);

/** What is wrong with the quantities that an act asks for, by field. */
export function actTroubles(act: Act, form: ActForm, reader: Reader): Readonly<Record<string, string>> {
  if (act === 'water') return quantityTroubles({ waterL: readWater(form, reader) });
  return act === 'reading' ? readFigures(HEAP_FIGURES, form.figures, reader).troubles : {};
}

/** What an act amounts to as a posting. */
export function actPosting({
  act,
  form,
  lot,
  today,
  reader,
}: {
  readonly act: Act;
  readonly form: ActForm;
  readonly lot: LotRecord;
  readonly today: string;
  readonly reader: Reader;
}): StockPosting {
  const common = {
    id: form.id,
    state: form.date > today ? ('planned' as const) : ('laid' as const),
    date: form.date,
    note: form.note,
    lotId: lot.id,
  };
  const amount = { amount: numberFromText(form.amount.amount), unit: form.amount.unit };
  const one = (movement: StockPosting['movements'][number]): StockPosting => ({
    lots: [],
    movements: [movement],
  });
  switch (act) {
    case 'move': {
      const isNew = form.toLotId === '';
      const posting = one({
        ...common,
        type: 'move',
        ...amount,
        toLotId: isNew ? form.newLotId : form.toLotId,
      });
      const { keeping, isTurned, isHot } = lot;
      const closed = form.newForm === 'bag' || form.newForm === 'drum';
      const made = {
        id: form.newLotId,
        name: form.newName.trim() === '' ? `${lot.name}, ${LOT_FORM_WORDS[form.newForm]}` : form.newName,
        form: form.newForm,
        keeping: closed ? ('shut' as const) : keeping,
        isTurned: closed ? false : isTurned,
        isHot: closed ? false : isHot,
        reserveL: 0,
        note: '',
      };
      return { ...posting, lots: isNew ? [made] : [] };
    }
    case 'takeOut':
      return one({ ...common, type: 'takeOut', ...amount, reason: form.reason });
    case 'turn':
      return one({ ...common, type: 'turn' });
    case 'water':
      return one({ ...common, type: 'water', waterL: figureOf(readWater(form, reader)) ?? Number.NaN });
    case 'reading':
      return one({
        ...common,
        type: 'reading',
        ...(readFigures(HEAP_FIGURES, form.figures, reader).values as Record<HeapFigure, number | null>),
      });
    case 'sign':
      return one({ ...common, type: 'sign', signs: [...form.signs] });
    case 'stocktake':
      return one({ ...common, type: 'stocktake', ...amount });
    case 'keep':
      return one({
        ...common,
        type: 'keep',
        keeping: form.keeping,
        isTurned: form.isTurned,
        isHot: form.isHot,
      });
  }
}
