import type { GardenBooks } from '../../../contract/garden-books.ts';
import type { MaterialDraft } from '../../../records/material.ts';
import type { CuttingSeason, Keeping, LotForm } from '../../../records/vocabulary.ts';
import type { TypedAmount } from '../forms/inputs.tsx';
import { numberFromText } from '../forms/parse-number.ts';
import type { Measures } from '../../../words/measures.ts';
import { SEEN_CHIPS } from '../materials/seen-chips.ts';

/** Chips by what is seen of them, as typed. */
export interface Chips {
  readonly id: string;
  readonly branchCm: string;
  readonly leafPct: string;
  readonly coniferPct: string;
  readonly barkPct: string;
  readonly season: CuttingSeason | 'unknown';
}

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
  readonly moisturePct: string;
  readonly density: string;
  readonly note: string;
  readonly chips: Chips;
}

export const PERCENT = 100;
export const blankForm = (books: GardenBooks, measures: Measures): ReceiveForm => ({
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
  moisturePct: '',
  density: '',
  note: '',
  chips: {
    id: crypto.randomUUID(),
    branchCm: '6',
    leafPct: '0',
    coniferPct: '0',
    barkPct: '',
    season: 'unknown',
  },
});

/** Chips as the form describes them. */
export function chipsDraft({
  id,
  branchCm,
  leafPct,
  coniferPct,
  barkPct,
  season,
}: Chips): MaterialDraft & { readonly id: string } {
  const leaf = numberFromText(leafPct);
  const conifer = numberFromText(coniferPct);
  return {
    id,
    name: `Chips of ${branchCm} cm branches${leaf > 0 ? `, ${leafPct} % leaf` : ''}${conifer > 0 ? `, ${coniferPct} % conifer` : ''}`,
    basis: {
      type: 'chips',
      branchDiameterCm: numberFromText(branchCm),
      leafShare: leaf / PERCENT,
      coniferShare: conifer / PERCENT,
      barkShare: barkPct.trim() === '' ? null : numberFromText(barkPct) / PERCENT,
      season: season === 'unknown' ? null : season,
    },
    note: '',
  };
}

/** A figure that may be left out. */
export const optionalNumber = (text: string, scale = 1): number | null =>
  text.trim() === '' ? null : numberFromText(text) / scale;
