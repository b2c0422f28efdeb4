import { habitDraft, type Habit, type HabitAct } from '../../../records/habit.ts';
import type { AmountUnit } from '../../../records/vocabulary.ts';
import { InputError } from '../../../refusals/input-error.ts';
import { refusalSentence } from '../../../words/refusal-words.ts';
import type { FindMaterial } from '../../../core/ground/index.ts';
import { checkHabit, ownMonth } from '../../../core/long-run/index.ts';
import { numberFromText } from '../../ui/forms/parse-number.ts';
import { troublesOf } from '../../ui/forms/troubles.ts';
import { plainFigure } from '../../../words/figures.ts';
import type { Measures } from '../../../words/measures.ts';

/** One act as it is typed. */
export interface ActForm {
  readonly key: string;
  readonly type: HabitAct['type'];
  readonly materialId: string;
  readonly cropId: string;
  readonly amount: string;
  readonly unit: AmountUnit;
  /** In the garden's own units, like the depth. */
  readonly nitrogen: string;
  readonly dugDepth: string;
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
  readonly measures: Measures;
}

const EMPTY: Omit<ActForm, 'key'> = {
  type: 'lay',
  materialId: 'compost_yard',
  cropId: 'vetch_rye',
  amount: '2',
  unit: 'cm',
  nitrogen: '5',
  dugDepth: '0',
  seasonedMonths: '0',
  month: '3',
  everyYears: '1',
  fromYear: '1',
  untilYear: '',
};

export const newAct = (key: string): ActForm => ({ ...EMPTY, key });

/** A habit as it can be typed over. Keys are the places of its acts. */
export function formOf(
  name: string,
  { acts, keepsCrops }: Habit,
  { isSouth, measures }: FormSetting,
): HabitForm {
  return {
    name,
    keepsCrops,
    acts: acts.map((act, i): ActForm => ({
      ...EMPTY,
      key: String(i),
      type: act.type,
      month: String(ownMonth(act.month, isSouth)),
      everyYears: String(act.everyYears),
      fromYear: String(act.fromYear),
      untilYear: act.untilYear === null ? '' : String(act.untilYear),
      ...(act.type === 'lay'
        ? {
            materialId: act.materialId,
            amount: plainFigure(act.amount, 4),
            unit: act.unit,
            dugDepth: plainFigure(measures.depthFigure(act.dugDepthCm), 4),
            seasonedMonths: plainFigure(act.seasonedMonths),
          }
        : {}),
      ...(act.type === 'grow' ? { cropId: act.cropId } : {}),
      ...(act.type === 'feed' ? { nitrogen: plainFigure(measures.rateFigure(act.nitrogenGPerM2), 4) } : {}),
    })),
  };
}

function actOf(form: ActForm, { isSouth, measures }: FormSetting): HabitAct {
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
        amount: numberFromText(form.amount),
        unit: form.unit,
        dugDepthCm: numberFromText(form.dugDepth) / measures.depthFigure(1),
        seasonedMonths: numberFromText(form.seasonedMonths),
      };
    case 'grow':
      return { ...common, type: 'grow', cropId: form.cropId };
    case 'feed':
      return {
        ...common,
        type: 'feed',
        nitrogenGPerM2: numberFromText(form.nitrogen) / measures.rateFigure(1),
      };
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
export function readHabit(form: HabitForm, findMaterial: FindMaterial, setting: FormSetting): ReadHabit {
  const habit: Habit = {
    keepsCrops: form.keepsCrops,
    acts: form.acts.map((act) => actOf(act, setting)),
  };
  const troubles = troublesOf(habitDraft.safeParse({ name: form.name, ...habit, note: '' }), null);
  return {
    name: form.name.trim(),
    habit,
    troubles: Object.keys(troubles).length > 0 ? troubles : inCore(habit, findMaterial),
  };
}

/** What only the core knows: an end before the start, a material nobody knows. */
function inCore(habit: Habit, findMaterial: FindMaterial): Record<string, string> {
  try {
    checkHabit(habit, findMaterial);
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
