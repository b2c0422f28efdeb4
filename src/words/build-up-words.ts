import type { BuildUpNote, PlantingWait, Purpose } from '../core/bed/index.ts';
import type { Measures } from './measures.ts';

export const PURPOSE_WORDS: Record<Purpose, string> = {
  coverNow: 'Cover now: fresh will do',
  soilLater: 'Soil later',
};

/** What each build-up is called, and what it is good for. */
export const BUILD_UP_WORDS: Record<string, { name: string; aim: string }> = {
  chipMulchAnnuals: {
    name: 'Chip mulch for annuals',
    aim: 'Compost to root in, seasoned chips to keep it moist.',
  },
  chipMulchTrees: {
    name: 'Chip mulch for trees',
    aim: 'Deep chips of any age; deep roots hardly notice the lock-up.',
  },
  thinFeedingMulch: {
    name: 'Thin feeding mulch',
    aim: 'A little compost, leaves and clippings all year round.',
  },
  fungalMulch: { name: 'Fungal mulch', aim: 'Three parts wood to one of greens, then left in peace.' },
  freshChipStopgap: {
    name: 'Fresh-chip stopgap',
    aim: 'Greens beneath the wood, when nothing seasoned is at hand.',
  },
  winterCover: { name: 'Winter cover', aim: 'Aged chips and a thin compost over the cold months.' },
  clayRescue: { name: 'Clay rescue', aim: 'Chips left on top of clay over winter, with some old heap soil.' },
  clayRescueDeep: { name: 'Clay rescue, deep', aim: 'Knee-deep chips on raised clay for a whole year.' },
  manureUnderCard: { name: 'Manure under card', aim: 'Card keeps rain and vapor off fresh manure.' },
  sheetMulch: { name: 'Sheet mulch', aim: 'Layers of browns and greens over card turn a weedy plot.' },
  pathStore: { name: 'Path store', aim: 'Chips trodden into humus, lifted after two or three years.' },
  castingsTrench: { name: 'Castings trench', aim: 'Castings and leaf mould between the rows, mulched.' },
  buriedWood: { name: 'Buried wood', aim: 'Logs below, straw and scraps above, soil on top.' },
  stackForYears: {
    name: 'Stack for years',
    aim: 'A layer every year; in the end one plants into the stack.',
  },
  dugInFreshWood: { name: 'Fresh wood dug in', aim: 'Only to open hopeless clay, with nitrogen to spare.' },
};

export function waitWords(wait: PlantingWait): string {
  switch (wait.until) {
    case 'none':
      return 'no wait';
    case 'days':
      return wait.days >= 360
        ? 'a year or more before planting'
        : `about ${wait.days < 45 ? 'a month' : `${Math.round(wait.days / 30)} months`} before planting`;
    case 'spring':
      return 'plant in spring';
    case 'deficitCovered':
      return 'plant once the deficit is covered';
    case 'never':
      return 'not for planting';
  }
}

const NOTE_WORDS: Record<BuildUpNote, string | ((measures: Measures) => string)> = {
  sowIntoCompost: 'Draw the chips apart and sow or plant down into the compost.',
  clearOfTrunk: (m) => `Leave ${m.rule('length', 15, 30)} clear around every stem.`,
  soakOnce: 'Soak it once when it is spread.',
  nitrogenBelowWood: 'The greens lie below the wood, three of wood to one by volume.',
  cardOverlap: (m) => `Overlap plain card by ${m.rule('length', 15)}; no tape, no staples, no glossy print.`,
  holesOnClay: 'On clay punch holes in the card, or lay coarse straw, so that it breathes.',
  autumnWork: 'Work for late autumn.',
  raiseClay: 'Raise the clay first so that water runs off; never tread it wet.',
  slowWorkOnly: 'Slow to build: take the lifting in parts.',
  relayEveryThirdYear: (m) =>
    `Top up ${m.rule('length', 2.5)} a year; lift the bottom after two or three years and spread it anew.`,
  thinTopUp: 'Spread it after rain, and top up little and often.',
  moveTrench: (m) =>
    `A new line each season: the amounts here are a fifth of the ground, ${m.rule('length', 15)} deep.`,
  soilOnTop: 'Put the dug soil back on top.',
  layerEveryYear: 'One layer every year, never removed.',
  onlyHopelessClay: 'A last resort: feed more nitrogen than usual, as the answers say.',
};

/** What to mind with a build-up. */
export function buildUpNote(note: BuildUpNote, measures: Measures): string {
  const words = NOTE_WORDS[note];
  return typeof words === 'string' ? words : words(measures);
}
