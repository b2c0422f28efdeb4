import type { TrialRecord } from '../records/journal.ts';
import type { TreatmentDifference, TrialVerdict } from '../core/season/index.ts';
import { plainFigure } from './figures.ts';

export const TRIAL_PLACE_WORDS: Record<
  TrialRecord['place'],
  { readonly one: string; readonly many: string }
> = {
  plots: { one: 'plot', many: 'plots' },
  corners: { one: 'corner', many: 'corners' },
  pots: { one: 'pot', many: 'pots' },
};

/** Trials people set up again and again. */
export const TRIAL_TEMPLATES: readonly {
  readonly name: string;
  readonly treatments: readonly string[];
  readonly place: TrialRecord['place'];
}[] = [
  { name: 'Char in the mix', treatments: ['no char', '5 % char', '10 % char', '20 % char'], place: 'pots' },
  {
    name: 'Fresh against seasoned chips',
    treatments: ['no chips', 'fresh chips', 'seasoned chips'],
    place: 'plots',
  },
  {
    name: 'With and without compost below',
    treatments: ['chips alone', 'compost below chips'],
    place: 'corners',
  },
  {
    name: 'One charge against another',
    treatments: ['raw char', 'compost blend', 'urine soak'],
    place: 'pots',
  },
];

export const TRIAL_VERDICT_WORDS: Record<TrialVerdict, { readonly mark: string; readonly word: string }> = {
  better: { mark: '▲', word: 'better' },
  worse: { mark: '▼', word: 'worse' },
  noDifference: { mark: '=', word: 'no difference that matters' },
  cannotTell: { mark: '?', word: 'cannot be told' },
  tooFew: { mark: '?', word: 'too few to tell' },
};

const signed = (value: number): string => `${value > 0 ? '+' : ''}${plainFigure(value)}`;

/** What a comparison comes to, in plain words. */
export function differenceInWords(
  { treatment, verdict, difference, low, high, repeatsToTell, method }: TreatmentDifference,
  { treatments, place, unit, measure }: TrialRecord,
): string {
  const name = treatments[treatment]!;
  const against = treatments[0]!;
  const { one, many } = TRIAL_PLACE_WORDS[place];
  const of = unit === '' ? '' : ` ${unit}`;
  if (difference === null) return `${name}: not measured yet.`;
  const range =
    low === null || high === null ? '' : ` (between ${signed(low)} and ${signed(high)}${of}, 19 times in 20)`;
  const figure = `${signed(difference)}${of}${range}`;
  switch (verdict) {
    case 'tooFew':
      return `${name}: too few ${many} to tell. So far ${figure} against ${against}; three of each are the least.`;
    case 'cannotTell':
      return `${name}: cannot be told from ${against}. ${figure}${
        repeatsToTell === null
          ? ''
          : `; about ${repeatsToTell} ${many} of each would tell a difference like this`
      }.`;
    case 'noDifference':
      return `${name}: no difference to ${against} that matters. ${figure}.`;
    case 'better':
    case 'worse':
      return `${name}: ${verdict} than ${against} in ${measure}. ${figure}${
        method === 'withinBlocks' ? `, each ${one} compared with its neighbor` : ''
      }.`;
  }
}
