import { counted } from './counted.ts';
import type { YearChoice } from '../records/vocabulary.ts';
import type { ChoiceOutcome, Expectation, TestedSoil } from '../core/season/index.ts';
import { dayOf, shortDate } from './dates.ts';
import { formatFixed, plainFigure } from './figures.ts';
import type { Measures } from './measures.ts';
import { ratedWords } from './soil-words.ts';

export const CHOICE_WORDS: Record<YearChoice, { readonly name: string; readonly what: string }> = {
  stack: { name: 'Stack', what: 'leave everything and spread the same mulch on top again' },
  pull: {
    name: 'Pull',
    what: 'take the mulch off, compost it a year elsewhere, bring it back when it hardly locks up nitrogen',
  },
  rest: { name: 'Rest', what: 'lay nothing and sow clover over everything for a year' },
};

/** What would be written into the plan. */
export function planWords({ plan, choice }: ChoiceOutcome, nameOf: (layerId: string) => string): string {
  if (plan.length === 0) {
    return choice === 'stack'
      ? 'More mulch is planned already, or none was ever spread.'
      : 'No mulch lies there to pull.';
  }
  return plan
    .map((one) => {
      switch (one.type) {
        case 'lay':
          return `${shortDate(dayOf(one.date))}: ${nameOf(one.like.id)} again`;
        case 'takeOff':
          return `${shortDate(dayOf(one.date))}: ${nameOf(one.layerId)} off`;
        case 'plant':
          return `${shortDate(dayOf(one.plantedOn))} to ${shortDate(dayOf(one.clearedOn))}: clover`;
      }
    })
    .join('; ');
}

/** How expected and found stand to each other, as a sentence for each figure of a soil test. */
export function testSentences(test: TestedSoil, measures: Measures): string[] {
  const { mineralNitrogenG, expectedMineralNitrogenG, organicMatterPct, expectedOrganicMatterPct, ph } = test;
  return [
    ...(mineralNitrogenG === null
      ? []
      : [
          `Mineral nitrogen ${measures.rate(mineralNitrogenG)}; the model expected ${measures.rate(expectedMineralNitrogenG)}.`,
        ]),
    ...(organicMatterPct === null
      ? []
      : [
          `Organic matter ${plainFigure(organicMatterPct, 2)} %; the model expected ${formatFixed(expectedOrganicMatterPct, 1)} %.`,
        ]),
    ...(ph === null ? [] : [`pH ${plainFigure(ph)}.`]),
    ...test.nutrients.map(ratedWords),
  ];
}

/** How much of what was seen was as expected; `where` it was written, for when nothing was. */
export function seenSummary(judged: readonly Pick<Expectation, 'verdict'>[], where: string): string {
  if (judged.length === 0) return `Nothing in ${where} that the model had an opinion on.`;
  const count = (verdict: string) => judged.filter((one) => one.verdict === verdict).length;
  return `${counted(judged.length, 'thing')} seen: ${count('asExpected')} as expected, ${count('better')} better, ${count('worse')} worse.`;
}
