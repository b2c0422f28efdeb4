import type { GardenBooks } from '../../../contract/garden-books.ts';
import type { LotRecord } from '../../../records/lot.ts';
import type { StockPosting } from '../../../contract/requests.ts';
import type { Keeping, LotForm, ReadinessSign, REASONS_TAKEN } from '../../../records/vocabulary.ts';
import type { TypedAmount } from '../forms/inputs.tsx';
import { numberFromText } from '../forms/parse-number.ts';
import type { Measures } from '../../../words/measures.ts';
import { LOT_FORM_WORDS } from '../../../words/stock-words.ts';
import { optionalNumber, PERCENT } from './receive-form.ts';

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
  readonly waterL: string;
  readonly temperatureC: string;
  readonly moisturePct: string;
  readonly density: string;
  readonly carbonPct: string;
  readonly nitrogenPct: string;
  readonly signs: readonly ReadinessSign[];
  readonly keeping: Keeping;
  readonly isTurned: boolean;
  readonly isHot: boolean;
}

export const blankAct = (books: GardenBooks, lot: LotRecord, measures: Measures): ActForm => ({
  id: crypto.randomUUID(),
  date: books.today,
  note: '',
  amount: { amount: '', unit: measures.barrowUnit },
  toLotId: '',
  newLotId: crypto.randomUUID(),
  newName: '',
  newForm: 'bag',
  reason: 'given',
  waterL: '',
  temperatureC: '',
  moisturePct: '',
  density: '',
  carbonPct: '',
  nitrogenPct: '',
  signs: [],
  keeping: lot.keeping,
  isTurned: lot.isTurned,
  isHot: lot.isHot,
});

/** What an act amounts to as a posting. */
export function actPosting({
  act,
  form,
  lot,
  today,
}: {
  readonly act: Act;
  readonly form: ActForm;
  readonly lot: LotRecord;
  readonly today: string;
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
      return one({ ...common, type: 'water', waterL: numberFromText(form.waterL) });
    case 'reading':
      return one({
        ...common,
        type: 'reading',
        temperatureC: optionalNumber(form.temperatureC),
        moistureFractionWetBasis: optionalNumber(form.moisturePct, PERCENT),
        bulkDensityKgPerM3: optionalNumber(form.density),
        carbonFractionDryBasis: optionalNumber(form.carbonPct, PERCENT),
        nitrogenFractionDryBasis: optionalNumber(form.nitrogenPct, PERCENT),
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
