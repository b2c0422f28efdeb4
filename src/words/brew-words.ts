import type { Brew } from '../records/journal.ts';
import type { BrewId } from '../records/vocabulary.ts';
import { dayOf, fullDate } from './dates.ts';
import type { Measures } from './measures.ts';

export const BREW_WORDS: Record<BrewId, { readonly name: string; readonly aim: string }> = {
  compostTea: { name: 'Compost tea', aim: 'over cardboard, so that it softens and comes alive' },
  molassesWater: {
    name: 'Molasses water for mulch',
    aim: 'a teaspoon to the gallon on woody mulch, to set microbes to work',
  },
  molassesPath: { name: 'Molasses water for new paths', aim: 'five in a hundred on fresh chips of a path' },
  nativeStarter: { name: 'Native-soil starter', aim: 'a culture of the life in nearby woodland soil' },
  nativeWater: {
    name: 'Starter water',
    aim: 'the starter stretched with molasses and water; a cup to the gallon, monthly while things grow',
  },
};

const ENDED_WORDS: Record<Brew['state'], string> = { going: '', used: 'used', discarded: 'thrown away' };

/** A brew in one line of the log: what, how much, and what became of it. */
export function brewLine(brew: Brew, measures: Measures): string {
  const setUp = `${BREW_WORDS[brew.brewId].name} set up, ${measures.liquid(brew.litres)}`;
  if (brew.state === 'going') return setUp;
  const when = brew.endedOn ? ` on ${fullDate(dayOf(brew.endedOn))}` : '';
  return `${setUp}; ${ENDED_WORDS[brew.state]}${when}`;
}

export const INGREDIENT_WORDS: Record<string, string> = {
  compost_garden: 'compost',
  molasses: 'molasses',
  woodlandSoil: 'woodland soil',
  cookedRice: 'cooked rice',
  starter: 'native-soil starter',
  water: 'water',
};

export const BREW_STEP_WORDS: Record<string, string> = {
  steep: 'Put the compost in the water',
  stir: 'Stir it through twice',
  pourOverCard: 'Pour it over the wetted card',
  dissolve: 'Dissolve the molasses in a little warm water, then thin it',
  pourOnMulch: 'Pour it over the moist mulch',
  pourOnPath: 'Pour it over the chips and tread them in',
  mixStarter: 'Mix soil, rice and molasses; crumbly, not wet',
  keepLoose: 'Keep it in the dark under a cloth or a loose lid',
  lookForMould: 'Look at its mold: white, yellow or pink is right; blue, green or black is not',
  mixWater: 'Stir starter and molasses into water without chlorine',
  looseLid: 'Stand it under a loose lid, never a tight one',
  useUp: 'Use it up within a few days',
};

export const GO_WORDS: Record<string, string> = {
  smellsOfEarth: 'smells of earth',
  mulchIsMoist: 'the mulch is moist already',
  chipsAreFresh: 'the chips are fresh and lie away from roots',
  whiteYellowOrPinkMould: 'white, yellow or pink mold, sweet smell',
  smellsSweetSour: 'smells sweet and sour, like bread dough',
  smellsFoul: 'smells foul: throw it on the heap',
  cropIsPale: 'what grows there is pale: it needs nitrogen, not sugar',
  bedBesideIsPale: 'the bed beside it is pale',
  blueGreenOrBlackMould: 'blue, green or black mold: throw it away, do not breathe it',
};

export const BREW_CAUTION_WORDS: Record<string, string> = {
  notOnLeaves: 'On soil and card only, not on leaves one eats.',
  washHands: 'Wash hands afterwards.',
  legionella: 'No spray: wet compost can carry Legionella.',
  molassesCostsNitrogen: 'Molasses is carbon: what grows on it takes nitrogen too.',
  slippery: 'A wet sweet path is slippery and calls wasps.',
  looseLid: 'A tight lid bursts.',
  mouldSpores: 'Mold spores: open it outdoors, nose away, mask if you are sensitive.',
  neverTightLid: 'It ferments: never a tight lid.',
  noChlorine: 'Rain water, or tap water left to stand overnight: chlorine kills it.',
};
