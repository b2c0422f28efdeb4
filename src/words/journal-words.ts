import { counted } from './counted.ts';
import type { Expectation, Expected, Verdict } from '../core/season/index.ts';
import type { HowMany, LeafStep, PlantSign, Smell, Vigor, WaterBehavior } from '../records/vocabulary.ts';
import type { Observation, Observed, ObservedType } from '../records/journal.ts';
import { plainFigure } from './figures.ts';
import type { Measures } from './measures.ts';
import { SQUEEZE_WORDS } from './stock-words.ts';
import { capitalized } from './capitalized.ts';

export const OBSERVED_WORDS: Record<ObservedType, string> = {
  leafColor: 'Leaf color',
  growth: 'Growth',
  threads: 'White threads',
  worms: 'Worms',
  thickness: 'Layer left',
  smell: 'Smell',
  squeeze: 'Moisture by hand',
  waterBehavior: 'How water behaves',
  hours: 'Hours worked',
  soilTemperature: 'Soil temperature',
  yield: 'Harvest',
  signs: 'Signs of trouble',
  note: 'Note or photo',
};

export const LEAF_STEP_WORDS: Record<LeafStep, string> = {
  1: 'yellow',
  2: 'pale',
  3: 'green',
  4: 'dark green',
};

export const VIGOR_WORDS: Record<Vigor, string> = {
  stalled: 'stands still',
  slow: 'slow',
  steady: 'steady',
  strong: 'strong',
};

export const HOW_MANY_WORDS: Record<HowMany, string> = { none: 'none', some: 'some', many: 'many' };

export const SMELL_WORDS: Record<Smell, string> = {
  none: 'of nothing',
  earthy: 'of earth',
  sour: 'sour',
  rotten: 'rotten',
  ammonia: 'of ammonia',
};

export const WATER_BEHAVIOR_WORDS: Record<WaterBehavior, string> = {
  soaksIn: 'soaks in',
  stands: 'stands',
  runsOff: 'runs off',
};

export const PLANT_SIGN_WORDS: Record<PlantSign, string> = {
  olderLeavesFirst: 'the older leaves are pale first',
  youngLeavesFirst: 'the youngest leaves are pale first',
  greenVeins: 'pale between veins that stay green',
  wholePlantPale: 'the whole plant is pale',
  purpleLeaves: 'leaves or stems turn purple',
  brownEdges: 'leaf edges brown and dry',
  limpAtNoon: 'limp at noon, up again by evening',
  limpAllDay: 'limp all day',
  seedlings: 'they are seedlings',
  justPlantedOut: 'planted out within two weeks',
  rootsEaten: 'roots are eaten, or something crawls there',
  rootsBrown: 'roots are brown and soft',
  rootsCircling: 'roots go round and round in their ball',
  shaded: 'it stands in shade for most of the day',
  spotsOrMould: 'spots, mold or sticky leaves',
  soilSoaked: 'the soil is soaked, or smells sour',
  soilDry: 'the soil is dry a finger deep',
  soilCold: 'the soil feels cold to the hand',
  neighborFine: 'the same crop without mulch beside it is fine',
  neighborPaleToo: 'the same crop without mulch is pale too',
};

/** What was seen, in a few words. */
export function observedInWords(observed: Observed, measures: Measures): string {
  switch (observed.type) {
    case 'leafColor':
      return `Leaves ${LEAF_STEP_WORDS[observed.step]}`;
    case 'growth':
      return `Growth ${VIGOR_WORDS[observed.vigor]}`;
    case 'threads':
      return `White threads: ${HOW_MANY_WORDS[observed.amount]}`;
    case 'worms':
      return `${counted(observed.count, 'worm')} in a spadeful`;
    case 'thickness':
      return `${measures.thickness(observed.thicknessCm)} left${observed.layerId === null ? ' of everything on top' : ''}`;
    case 'smell':
      return `Smells ${SMELL_WORDS[observed.smell]}`;
    case 'squeeze':
      return `By hand: ${SQUEEZE_WORDS[observed.squeeze]}`;
    case 'waterBehavior':
      return `Water ${WATER_BEHAVIOR_WORDS[observed.behavior]}`;
    case 'hours':
      return `${plainFigure(observed.hours)} h worked`;
    case 'soilTemperature':
      return `Soil ${measures.warmth(observed.temperatureC)}`;
    case 'yield':
      return `Harvested ${measures.mass(observed.massKg)}`;
    case 'signs':
      return observed.signs.length === 0
        ? 'Not well'
        : capitalized(observed.signs.map((sign) => PLANT_SIGN_WORDS[sign]).join('; '));
    case 'note':
      return 'Note';
  }
}

/** A mark and a word for every verdict, so that color is never the only sign. */
export const VERDICT_WORDS: Record<Verdict, { readonly mark: string; readonly word: string }> = {
  asExpected: { mark: '●', word: 'as expected' },
  better: { mark: '▲', word: 'better than expected' },
  worse: { mark: '▼', word: 'worse than expected' },
};

/** For layers that rot, faster and slower say more than better and worse. */
export function verdictWords({ verdict, expected }: Expectation): { mark: string; word: string } {
  if (expected.type === 'thickness' && verdict !== 'asExpected') {
    return verdict === 'better'
      ? { mark: '▲', word: 'rotting faster than expected' }
      : { mark: '▼', word: 'rotting slower than expected' };
  }
  if (expected.type === 'soilTemperature' && verdict !== 'asExpected') {
    return {
      mark: VERDICT_WORDS[verdict].mark,
      word: verdict === 'better' ? 'warmer than expected' : 'colder than expected',
    };
  }
  return VERDICT_WORDS[verdict];
}

/** What the model expected. */
export function expectedInWords(expected: Expected, measures: Measures): string {
  switch (expected.type) {
    case 'leafColor':
      return expected.low === expected.high
        ? `the model expected ${LEAF_STEP_WORDS[expected.low]}`
        : `the model expected ${LEAF_STEP_WORDS[expected.low]} to ${LEAF_STEP_WORDS[expected.high]}`;
    case 'growth':
      return `the model expected ${VIGOR_WORDS[expected.vigor]} growth`;
    case 'thickness':
      return `the model expected ${measures.thickness(expected.thicknessCm)}`;
    case 'soilTemperature':
      return `the model expected about ${measures.warmth(expected.temperatureC)}`;
    case 'squeeze':
      return expected.low === expected.high
        ? `the model expected: ${SQUEEZE_WORDS[expected.low]}`
        : `the model expected: ${SQUEEZE_WORDS[expected.low]}, to ${SQUEEZE_WORDS[expected.high]}`;
    case 'yield':
      return `${measures.mass(expected.massKg)} on average before`;
    case 'life':
      return expected.isDue ? 'due by now' : 'not due yet';
    case 'good':
      return '';
  }
}

/** Everything an observation says, with its note. */
export const observationLine = (
  { observed, note }: Pick<Observation, 'observed' | 'note'>,
  measures: Measures,
): string =>
  observed.type === 'note'
    ? note || 'Photo'
    : `${observedInWords(observed, measures)}${note === '' ? '' : `. ${note}`}`;
