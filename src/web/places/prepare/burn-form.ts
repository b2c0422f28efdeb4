import type { MovementRecord } from '../../../records/movement.ts';
import type { StockPosting } from '../../../contract/requests.ts';
import type { BurnMethod, CharTemperature, AmountUnit } from '../../../records/vocabulary.ts';
import { BURN_METHOD_FACTS, type FeedstockShape } from '../../../core/yard/index.ts';
import type { TypedAmount } from '../../ui/forms/inputs.tsx';
import { numberFromText } from '../../ui/forms/parse-number.ts';
import {
  figureOf,
  NOTHING_TYPED,
  readQuantity,
  typedFrom,
  type QuantityAsked,
  type Reader,
  type TypedQuantity,
} from '../../ui/forms/typed-quantity.ts';
import { plainFigure } from '../../../words/figures.ts';

/** Chosen for a pile that is made with the burn. */
export const NEW_PILE = 'new';
const UNBURNT_NAME = 'For the next burn';

export type BurnRecord = Extract<MovementRecord, { type: 'burn' }>;
type BurnLog = BurnRecord['log'];

/** Wood put on the fire. */
export interface Load {
  /** `lot:<id>` or `material:<id>`. */
  readonly source: string;
  readonly wood: TypedAmount;
}

/** A burn as it is being kept, as typed. */
export interface BurnForm {
  readonly id: string;
  readonly lotId: string;
  readonly lotName: string;
  readonly date: string;
  readonly note: string;
  readonly method: BurnMethod;
  /** `lot:<id>` or `material:<id>`. */
  readonly source: string;
  readonly wood: TypedAmount;
  /** What was put on after the first load. */
  readonly moreLoads: readonly Load[];
  readonly shape: FeedstockShape;
  readonly isOneThickness: boolean;
  readonly dryness: NonNullable<BurnLog['dryness']>;
  readonly charTemperature: CharTemperature;
  readonly steps: BurnLog['steps'];
  readonly quench: NonNullable<BurnLog['quench']>;
  readonly quenchWater: TypedQuantity;
  readonly coldCheckedOn: string;
  readonly isMagnetPassed: boolean;
  readonly unburntPct: string;
  /** The pile those pieces lie on; empty for where the first load came from, NEW_PILE for one of their own. */
  readonly unburntTo: string;
  /** Of the pile of their own, should there be one. */
  readonly unburntPile: { readonly id: string; readonly name: string };
  readonly char: TypedAmount;
  readonly charMoisturePct: string;
}

/** What the parts of the form of a burn are given. */
export interface BurnFieldsProps {
  readonly form: BurnForm;
  readonly set: (change: Partial<BurnForm>) => void;
  readonly troubles: Record<string, string>;
}

export const blankBurn = (
  today: string,
  source: string,
  units: { mass: AmountUnit; volume: AmountUnit },
): BurnForm => ({
  id: crypto.randomUUID(),
  lotId: crypto.randomUUID(),
  lotName: '',
  date: today,
  note: '',
  method: 'conePit',
  source,
  wood: { amount: '', unit: units.mass },
  moreLoads: [],
  shape: 'thin',
  isOneThickness: true,
  dryness: 'dry',
  charTemperature: BURN_METHOD_FACTS.conePit.charTemperature,
  steps: [],
  quench: 'water',
  quenchWater: NOTHING_TYPED,
  coldCheckedOn: '',
  isMagnetPassed: false,
  unburntPct: '0',
  unburntTo: '',
  unburntPile: { id: crypto.randomUUID(), name: UNBURNT_NAME },
  char: { amount: '', unit: units.volume },
  charMoisturePct: '35',
});

const loadOf = ({ lotId, materialId, amount, unit }: BurnRecord['feedstock'][number]): Load => ({
  source: lotId === null ? `material:${materialId}` : `lot:${lotId}`,
  wood: { amount: plainFigure(amount, 6), unit },
});

/** A load as the books have it. */
export function feedOf({ source, wood }: Load): BurnRecord['feedstock'][number] {
  const [kind, id = ''] = source.split(/:(.*)/s);
  const amount = { amount: numberFromText(wood.amount), unit: wood.unit };
  return kind === 'lot'
    ? { lotId: id, materialId: null, ...amount }
    : { lotId: null, materialId: id, ...amount };
}

/** A kept burn back in the form, to go on with. */
export function burnFormOf(
  burn: BurnRecord,
  lotName: string,
  { blank, reader }: { readonly blank: BurnForm; readonly reader: Reader },
): BurnForm {
  const [first, ...more] = burn.feedstock.map(loadOf);
  const { log } = burn;
  return {
    ...blank,
    id: burn.id,
    lotId: burn.lotId,
    lotName,
    date: burn.date,
    note: burn.note,
    method: log.method,
    source: first?.source ?? blank.source,
    wood: first?.wood ?? blank.wood,
    moreLoads: more,
    isOneThickness: log.isOneThickness ?? false,
    dryness: log.dryness ?? 'dry',
    charTemperature: burn.charTemperature,
    steps: log.steps,
    quench: log.quench ?? 'water',
    quenchWater: typedFrom(log.quenchWaterL, 'volume', reader),
    coldCheckedOn: log.coldCheckedOn ?? '',
    isMagnetPassed: log.isMagnetPassed,
    unburntPct: plainFigure(burn.unburntShare * 100, 4),
    unburntTo: burn.unburntToLotId ?? '',
    char: burn.yield ? { amount: plainFigure(burn.yield.amount, 6), unit: burn.yield.unit } : blank.char,
    charMoisturePct: burn.yield
      ? plainFigure(burn.yield.moistureFractionWetBasis * 100, 4)
      : blank.charMoisturePct,
  };
}

const QUENCH_WATER: QuantityAsked = { quantity: 'volume', min: 0, max: 1e5, isOptional: true };

export const readQuenchWater = ({ quenchWater }: BurnForm, reader: Reader) =>
  readQuantity(quenchWater, QUENCH_WATER, reader);

const hasUnburnt = ({ unburntPct }: BurnForm): boolean => numberFromText(unburntPct) > 0;

function unburntLotOf(form: BurnForm): string | null {
  if (!hasUnburnt(form) || form.unburntTo === '') return null;
  return form.unburntTo === NEW_PILE ? form.unburntPile.id : form.unburntTo;
}

/** The piles a burn begins: of its char, of what did not char. */
export function pilesBegun(form: BurnForm, isKept: (lotId: string) => boolean): StockPosting['lots'] {
  const common = { isTurned: false, isHot: false, reserveL: 0, note: '' };
  const charName = form.lotName.trim() === '' ? `Char of ${form.date}` : form.lotName;
  const { id, name } = form.unburntPile;
  return [
    ...(isKept(form.lotId)
      ? []
      : [{ ...common, id: form.lotId, name: charName, form: 'drum' as const, keeping: 'shut' as const }]),
    ...(unburntLotOf(form) === id
      ? [
          {
            ...common,
            id,
            name: name.trim() === '' ? UNBURNT_NAME : name,
            form: 'pile' as const,
            keeping: 'covered' as const,
          },
        ]
      : []),
  ];
}

/** The burn as a posting of the stock: the wood leaves it at once, the char comes in when it is measured. */
export function burnPosting(
  form: BurnForm,
  reader: Reader,
): StockPosting['movements'][number] & { readonly type: 'burn' } {
  return {
    id: form.id,
    type: 'burn',
    state: 'laid',
    date: form.date,
    note: form.note,
    lotId: form.lotId,
    feedstock: [form, ...form.moreLoads].map(feedOf),
    charTemperature: form.charTemperature,
    yield:
      form.char.amount.trim() === ''
        ? null
        : {
            amount: numberFromText(form.char.amount),
            unit: form.char.unit,
            moistureFractionWetBasis: numberFromText(form.charMoisturePct) / 100,
          },
    unburntShare: numberFromText(form.unburntPct) / 100,
    unburntToLotId: unburntLotOf(form),
    log: {
      method: form.method,
      isOneThickness: form.isOneThickness,
      dryness: form.dryness,
      quench: form.quench,
      quenchWaterL: figureOf(readQuenchWater(form, reader)),
      coldCheckedOn: form.coldCheckedOn === '' ? null : form.coldCheckedOn,
      isMagnetPassed: form.isMagnetPassed || isTicked(form, 'magnet'),
      steps: [...form.steps],
    },
  };
}

export const isTicked = ({ steps }: BurnForm, step: string): boolean =>
  steps.some((one) => one.step === step);

/** A step ticked now, or its tick taken back. */
export const withStep = (form: BurnForm, step: string, at: string): BurnForm => ({
  ...form,
  steps: isTicked(form, step) ? form.steps.filter((one) => one.step !== step) : [...form.steps, { step, at }],
});
