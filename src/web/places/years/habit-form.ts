import {
  feedAct,
  habitDraft,
  layAct,
  type Habit,
  type HabitAct,
  type LayAct,
} from '../../../records/habit.ts';
import type { AmountUnit } from '../../../records/vocabulary.ts';
import { InputError } from '../../../refusals/input-error.ts';
import { refusalSentence } from '../../../words/refusal-words.ts';
import { type HabitNames, checkHabit, ownMonth } from '../../../core/long-run/index.ts';
import { askedOf } from '../../ui/forms/asked-of.ts';
import { numberFromText } from '../../ui/forms/parse-number.ts';
import { quantityTroubles, troublesOf } from '../../ui/forms/troubles.ts';
import {
  figureOf,
  readQuantity,
  typedFrom,
  type Reader,
  type ReadQuantity,
  type TypedQuantity,
} from '../../ui/forms/typed-quantity.ts';
import { areaOf } from '../../../words/amount-words.ts';
import { plainFigure } from '../../../words/figures.ts';

/** One act as it is typed. */
export interface ActForm {
  readonly key: string;
  readonly type: HabitAct['type'];
  readonly materialId: string;
  readonly cropId: string;
  /** So thick, or so much on the area of `areaOf`. */
  readonly amount: string;
  readonly unit: AmountUnit;
  /** What the amount came from; it holds exactly as long as text and unit are the same. */
  readonly first: { readonly text: string; readonly unit: AmountUnit; readonly amount: number } | null;
  readonly nitrogen: TypedQuantity;
  readonly dugDepth: TypedQuantity;
  readonly seasonedMonths: string;
  /** As this garden has it. */
  readonly month: string;
  readonly everyYears: string;
  readonly fromYear: string;
  /** Empty for as long as is looked ahead. */
  readonly untilYear: string;
}

export interface HabitForm {
  readonly name: string;
  readonly keepsCrops: boolean;
  readonly acts: readonly ActForm[];
}

/** How the garden counts months and measures. */
export interface FormSetting {
  readonly isSouth: boolean;
  readonly reader: Reader;
}

const DUG_DEPTH = askedOf(layAct.shape.dugDepthCm, 'length');
const NITROGEN = askedOf(feedAct.shape.nitrogenGPerM2, 'massPerArea');

/** Begun with: a round layer of compost, a round dose (set here). */
const BEGUN_WITH = {
  metric: { amount: '2', unit: 'cm', nitrogenGPerM2: 5 },
  customary: { amount: '1', unit: 'inch', nitrogenGPerM2: 4.8824 },
} as const;

export function newAct(key: string, reader: Reader): ActForm {
  const { amount, unit, nitrogenGPerM2 } = BEGUN_WITH[reader.system];
  return {
    key,
    type: 'lay',
    materialId: 'compost_yard',
    cropId: 'vetch_rye',
    amount,
    unit,
    first: null,
    nitrogen: typedFrom(nitrogenGPerM2, 'massPerArea', { ...reader, digits: 2 }),
    dugDepth: typedFrom(0, 'length', reader),
    seasonedMonths: '0',
    month: '3',
    everyYears: '1',
    fromYear: '1',
    untilYear: '',
  };
}

function amountForm({ amount, unit }: LayAct, reader: Reader): Pick<ActForm, 'amount' | 'unit' | 'first'> {
  const text = plainFigure(amount * (areaOf(unit, reader.system) ?? 1), 4);
  return { amount: text, unit, first: { text, unit, amount } };
}

/** On one square meter, or how thick, in the unit of the form. */
function amountOf({ amount, unit, first }: ActForm, reader: Reader): number {
  if (first?.text === amount && first.unit === unit) return first.amount;
  return numberFromText(amount) / (areaOf(unit, reader.system) ?? 1);
}

/** A habit as it can be typed over. Keys are the places of its acts. */
export function formOf(
  name: string,
  { acts, keepsCrops }: Habit,
  { isSouth, reader }: FormSetting,
): HabitForm {
  return {
    name,
    keepsCrops,
    acts: acts.map((act, i): ActForm => ({
      ...newAct(String(i), reader),
      type: act.type,
      month: String(ownMonth(act.month, isSouth)),
      everyYears: String(act.everyYears),
      fromYear: String(act.fromYear),
      untilYear: act.untilYear === null ? '' : String(act.untilYear),
      ...(act.type === 'lay'
        ? {
            materialId: act.materialId,
            ...amountForm(act, reader),
            dugDepth: typedFrom(act.dugDepthCm, 'length', reader),
            seasonedMonths: plainFigure(act.seasonedMonths),
          }
        : {}),
      ...(act.type === 'grow' ? { cropId: act.cropId } : {}),
      ...(act.type === 'feed' ? { nitrogen: typedFrom(act.nitrogenGPerM2, 'massPerArea', reader) } : {}),
    })),
  };
}

/** The quantities that an act of the form's type has, as read. */
function quantitiesOf(form: ActForm, reader: Reader): Record<string, ReadQuantity> {
  if (form.type === 'lay') return { dugDepthCm: readQuantity(form.dugDepth, DUG_DEPTH, reader) };
  if (form.type === 'feed') return { nitrogenGPerM2: readQuantity(form.nitrogen, NITROGEN, reader) };
  return {};
}

const figure = (read: ReadQuantity | undefined): number => (read && figureOf(read)) ?? Number.NaN;

function actOf(form: ActForm, { isSouth, reader }: FormSetting): HabitAct {
  const quantities = quantitiesOf(form, reader);
  const common = {
    month: ownMonth(numberFromText(form.month), isSouth),
    everyYears: numberFromText(form.everyYears),
    fromYear: numberFromText(form.fromYear),
    untilYear: form.untilYear.trim() === '' ? null : numberFromText(form.untilYear),
  };
  switch (form.type) {
    case 'lay':
      return {
        ...common,
        type: 'lay',
        materialId: form.materialId,
        amount: amountOf(form, reader),
        unit: form.unit,
        dugDepthCm: figure(quantities['dugDepthCm']),
        seasonedMonths: numberFromText(form.seasonedMonths),
      };
    case 'grow':
      return { ...common, type: 'grow', cropId: form.cropId };
    case 'feed':
      return { ...common, type: 'feed', nitrogenGPerM2: figure(quantities['nitrogenGPerM2']) };
    case 'pull':
      return { ...common, type: 'pull' };
  }
}

export interface ReadHabit {
  readonly name: string;
  readonly habit: Habit;
  /** Sentences by field, `acts.2.amount` for the amount of the third act; empty when it can be followed. */
  readonly troubles: Readonly<Record<string, string>>;
}

/** What was typed, as a habit, and what is wrong with it. */
export function readHabit(form: HabitForm, names: HabitNames, setting: FormSetting): ReadHabit {
  const habit: Habit = {
    keepsCrops: form.keepsCrops,
    acts: form.acts.map((act) => actOf(act, setting)),
  };
  const quantities = form.acts.flatMap((act, i) =>
    Object.entries(quantitiesOf(act, setting.reader)).map(([field, read]) => [`acts.${i}.${field}`, read]),
  );
  const troubles = {
    ...troublesOf(habitDraft.safeParse({ name: form.name, ...habit, note: '' }), null),
    ...quantityTroubles(Object.fromEntries(quantities) as Record<string, ReadQuantity>),
  };
  return {
    name: form.name.trim(),
    habit,
    troubles: Object.keys(troubles).length > 0 ? troubles : inCore(habit, names),
  };
}

/** What only the core knows: an end before the start, a material nobody knows. */
function inCore(habit: Habit, names: HabitNames): Record<string, string> {
  try {
    checkHabit(habit, names);
    return {};
  } catch (error) {
    if (!(error instanceof InputError)) throw error;
    const field = String(error.path.at(-1));
    return { [error.path.join('.')]: refusalSentence(FIELD_WORDS[field] ?? field, error.refusal) };
  }
}

const FIELD_WORDS: Readonly<Record<string, string>> = {
  untilYear: 'The last year',
  fromYear: 'The first year',
};
