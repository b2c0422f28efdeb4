import type { GardenBooks } from '../../../contract/garden-books.ts';
import type { Keeping, LotForm } from '../../../records/vocabulary.ts';
import type { TypedAmount } from '../forms/inputs.tsx';
import type { Reader } from '../forms/typed-quantity.ts';
import { blankChips, type ChipsForm } from '../materials/chips-form.ts';
import { LOAD_FIGURES, typedFigures, type TypedFigures } from '../materials/figure-fields.ts';
import type { Measures } from '../../../words/measures.ts';
import { SEEN_CHIPS } from '../materials/seen-chips.ts';

/** A load that arrives, as typed. */
export interface ReceiveForm {
  readonly movementId: string;
  readonly newLotId: string;
  /** Empty for a new lot. */
  readonly lotId: string;
  readonly name: string;
  readonly lotForm: LotForm;
  readonly keeping: Keeping;
  readonly isTurned: boolean;
  readonly isHot: boolean;
  readonly materialId: string;
  readonly amount: TypedAmount;
  readonly date: string;
  readonly seasonedMonths: string;
  /** Of `LOAD_FIGURES`. */
  readonly figures: TypedFigures;
  readonly note: string;
  readonly chips: ChipsForm;
}

export const blankForm = (
  books: GardenBooks,
  { measures, reader }: { readonly measures: Measures; readonly reader: Reader },
): ReceiveForm => ({
  movementId: crypto.randomUUID(),
  newLotId: crypto.randomUUID(),
  lotId: '',
  name: '',
  lotForm: 'pile',
  keeping: 'open',
  isTurned: false,
  isHot: false,
  materialId: SEEN_CHIPS,
  amount: { amount: '', unit: measures.barrowUnit },
  date: books.today,
  seasonedMonths: '0',
  figures: typedFigures(LOAD_FIGURES, {}, reader),
  note: '',
  chips: blankChips(reader),
});
