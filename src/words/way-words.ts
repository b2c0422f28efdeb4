import type { DayNumber } from '../core/ground/index.ts';
import type { Decided, RankedWay, Way, WayAim, WayCode, WayStep } from '../core/long-run/index.ts';
import { dateNear } from './dates.ts';
import { lowered } from './capitalized.ts';
import type { Measures } from './measures.ts';

export const WAY_WORDS: Readonly<Record<WayCode, string>> = {
  onTop: 'On top now',
  withinLimits: 'A thin layer on top',
  dugIn: 'Dug in now',
  onTopInSpring: 'On top in spring',
  onTopInAYear: 'On top in a year',
  compostBeneath: 'On top, over compost',
  manureUnderCard: 'On top, over manure and card',
  composted: 'Composted first',
  pathFirst: 'On the path first',
  charred: 'Burnt to char',
  elsewhere: 'On another bed',
};

export const AIM_WORDS: Readonly<Record<WayAim, string>> = {
  foodNow: 'Food now',
  soilLater: 'Soil later',
  leastWork: 'Least work',
  leastLoss: 'Least nitrogen lost',
  leastCost: 'Least to buy',
  leastRisk: 'Least against it',
};

/** What a way is better in, as the end of a sentence. */
const AHEAD_WORDS: Readonly<Record<WayAim, string>> = {
  foodNow: 'crops start sooner and stand less pale',
  soilLater: 'it leaves more humus and char',
  leastWork: 'it is less work',
  leastLoss: 'less nitrogen is lost',
  leastCost: 'less has to be bought',
  leastRisk: 'less speaks against it',
};

/** What other things are called on a way. */
export interface WayNames {
  readonly material: (materialId: string) => string;
  readonly bed: (bedId: string) => string;
  /** Of a pile; null for one that is still to be made. */
  readonly lot: (lotId: string) => string | null;
}

/** A step of a way, with its day and its amounts. */
export function stepWords(
  step: WayStep,
  names: WayNames,
  { measures, today }: { readonly measures: Measures; readonly today: DayNumber },
): string {
  const when = dateNear(step.day, today);
  switch (step.code) {
    case 'arrives':
      return `${when}: ${measures.volume(step.amountL)} of ${lowered(names.material(step.materialId))} arrive.`;
    case 'lay': {
      const how =
        step.dugDepthCm > 0
          ? `dug in ${measures.thickness(step.dugDepthCm)} deep`
          : `${measures.thickness(step.thicknessCm)} on top`;
      const pile = step.lotId === null ? null : names.lot(step.lotId);
      const stuff = pile === null ? lowered(names.material(step.materialId)) : `“${pile}”`;
      return `${when}: ${measures.volume(step.amountL)} of ${stuff} on ${names.bed(step.bedId)}, ${how}.`;
    }
    case 'makeHeap':
      return `${when}: a heap of it with ${measures.volume(step.partnerL)} of ${lowered(names.material(step.partnerId))}, turned ${step.turns} times.`;
    case 'setAside':
      return `${when}: ${measures.volume(step.amountL)} of it set aside in a pile of its own.`;
    case 'layOnPath':
      return `${when}: all of it on ${names.bed(step.bedId)}, to be trodden for two years and then lifted.`;
    case 'burn':
      return `${when}: burnt in a trench; such fires leave about ${measures.volume(step.charL)} of char. Burn only where and when your local rules allow it, with water at hand.`;
  }
}

/** What has no room on the bed, or nothing. */
export const leftWords = ({ leftL }: Way, measures: Measures): string =>
  leftL < 1 ? '' : `${measures.volume(leftL)} more than does well there stay where they are.`;

/** What a way is called; `place` is the bed or pile it is of, where there are several. */
export const wayTitle = (code: WayCode, place: string | null): string =>
  place === null ? WAY_WORDS[code] : `${place}: ${lowered(WAY_WORDS[code])}`;

/** The title of a way by its key. */
type TitleOf = (key: string) => string;

/** Why the first way leads, and what would turn it. */
export function decidedWords({ first, second, by, against }: Decided, titleOf: TitleOf): string {
  const [leader, next] = [`“${titleOf(first)}”`, `“${titleOf(second)}”`];
  const but =
    against === null
      ? `${next} leads in nothing that matters to you.`
      : `${next} would lead if it mattered more to you that ${AHEAD_WORDS[against]}.`;
  return `${leader} comes before ${next} because ${AHEAD_WORDS[by]}. ${but}`;
}

/** From when something can go in. */
export function fromWhenWords(day: DayNumber | null, today: DayNumber): string {
  if (day === null) return 'no day found in a year';
  return day <= today ? 'now' : dateNear(day, today);
}

/** Less than this is none, g. */
const LEAST_TO_ADD_G = 0.5;

export const toAddWords = (nitrogenG: number, measures: Measures): string =>
  nitrogenG < LEAST_TO_ADD_G ? 'none' : measures.nitrogen(nitrogenG);

/** A figure beyond leaving the stuff where it is: so much more, or less. */
export function beyondWords(value: number, figure: (amount: number) => string, least: number): string {
  if (Math.abs(value) < least) return 'as without it';
  return `${figure(Math.abs(value))} ${value > 0 ? 'more' : 'less'}`;
}

/** Within which such a figure likely lies. */
export const likelyWords = (
  { low, high }: { readonly low: number; readonly high: number },
  figure: (amount: number) => string,
  least: number,
): string => `likely ${beyondWords(low, figure, least)} to ${beyondWords(high, figure, least)}`;

/** How sure that is; nothing where draws say nothing of it. */
export const sureWords = (share: number | null): string =>
  share === null
    ? ''
    : `With soil, materials and weather as they may be, that holds ${Math.round(share * 10)} times out of 10.`;

/** Why a way is folded away. */
export const beatenWords = (
  { outcome, beatenBy }: RankedWay & { readonly beatenBy: string },
  titleOf: TitleOf,
): string => `“${titleOf(outcome.way.key)}”: “${titleOf(beatenBy)}” is as good or better in everything.`;
