import type {
  BurnDryness,
  ChargeRecipeId,
  CharFineness,
  BurnMethod,
  CharTemperature,
} from '../records/vocabulary.ts';
import type { Measures } from './measures.ts';
import { type BurnResult, type FeedstockShape, judgeYield, type YieldVerdict } from '../core/yard/index.ts';
import { formatPercent } from './figures.ts';

export const METHOD_WORDS: Record<
  BurnMethod,
  { readonly name: string; readonly how: (measures: Measures) => string }
> = {
  emberRescue: {
    name: 'Ember rescue',
    how: () =>
      'Glowing coals shoveled from a bonfire into a steel vessel holding some water, two fingers deep.',
  },
  trench: {
    name: 'Trench',
    how: (m) => `${m.rule('length', 30, 50)} deep, lit at several points, fed little by little.`,
  },
  conePit: { name: 'Cone pit', how: () => 'The next layer goes on when the first white shows on the last.' },
  topLitDrum: {
    name: 'Top-lit drum',
    how: () =>
      'Air holes below, a gap under the lid, packed evenly with room for air; burns from the top down.',
  },
  closedRetort: {
    name: 'Closed retort in a fire',
    how: () =>
      'A steel box with a gas hole inside a fire: slow to build, forgiving, may be left alone once it runs.',
  },
};

export const STEP_WORDS: Record<string, string> = {
  checkRules: 'Burning is allowed here today: rules, bans, neighbors asked',
  clearGround: 'Ground cleared to the bare soil all round; nothing dry overhead; little wind',
  waterAtHand: 'Water at hand: a hose under pressure, or several full cans and a bucket',
  sortWood: 'Wood sorted: dry, one thickness, straight; no paint, no treatment, no nails',
  steelVessel: 'Steel vessel with water, two fingers deep, set ready',
  bonfire: 'Bonfire burning',
  shovelEmbers: 'Red coals shoveled into the water, before any turn white',
  leaveEmbers: 'Enough embers left to fire the next load',
  digTrench: 'Trench dug, knee deep',
  lightSeveral: 'Lit at several points',
  feedLittle: 'Fed little by little, never left',
  flamesSpent: 'Flames pale blue and low, little smoke: the gases are spent',
  digCone: 'Cone dug, or kiln set level',
  lightTop: 'Lit at the top',
  layerAtFirstWhite: 'A layer added each time the first white shows',
  holesBelow: 'Air holes below are open',
  packEvenly: 'Packed evenly, with room for air, to a hand below the rim',
  lidGap: 'Lid on with a gap',
  wetWall: 'Wall wetted: it dries from the top down and shows how far it is',
  burnDown: 'Wall dry to the bottom',
  closeAir: 'Air closed below and above',
  packRetort: 'Retort packed',
  gasHole: 'Gas hole open and clear: never sealed',
  buildFire: 'Fire built round it',
  blueFlame: 'Gas at the hole burns blue, then dies',
  letCool: 'Left to cool, closed',
  quench: 'Quenched to the full depth: far more water than seems needed, or soil, or closed',
  drainSteam: 'Stood clear of the steam',
  coldCheck: 'Next day: cold to the bottom, hand-felt',
  magnet: 'A magnet drawn through it for nails',
  measure: 'Measured, and undone pieces put with the next load',
};

export const BURN_WARNING_WORDS: Record<string, string> = {
  localRules: 'Local burning rules and fire bans decide; some places forbid any open fire.',
  wind: 'Never in wind or a dry spell; gusts make smoke and carry sparks.',
  neverAlone: 'Never leave it alone, not for a minute. Keep children and animals away.',
  waterAtHand: 'Water at hand before the match.',
  steam: 'Quenching throws steam and hot ash: stand upwind, long sleeves, eyes covered.',
  smoke: 'Do not breathe the smoke; stop when it drifts to neighbors or a road.',
  hotSteel: 'Steel stays hot for hours: leather gloves, steel tools, nothing plastic or wooden.',
  whiteIsAsh: 'White means ash: too late.',
  lateIsAsh: 'Late with the next layer: ash and smoke.',
  tooMuchSmothers: 'Too much at once smothers it.',
  tooEarlyFlares: 'Too early, and it flares.',
  straightPieces: 'Crooked pieces stack badly and burn through.',
  doNotLeave: 'Leave it and it burns out to ash.',
  flareAtLid: 'Flames leap when the lid is moved: lift it away from you.',
  neverSealed: 'A sealed vessel bursts: keep the gas hole clear.',
  openCold: 'Open it only when it is cold through: hot char takes fire in the air.',
};

export const FINENESS_WORDS: Record<CharFineness, string> = {
  coarse: 'coarse lumps',
  pea: 'pea-sized',
  sand: 'sand-sized',
  dust: 'dust',
};

export const SHAPE_WORDS: Record<FeedstockShape, string> = {
  thin: 'thin pieces',
  thick: 'thick hardwood',
  stalks: 'stalks',
};

/** How hot char was fired. */
export function firingWords(temperature: CharTemperature, measures: Measures): string {
  switch (temperature) {
    case 'low':
      return measures.rule('temperature', 350, 450);
    case 'medium':
      return measures.rule('temperature', 450, 600);
    case 'high':
      return `above ${measures.rule('temperature', 600)}`;
  }
}

/** How much of the wood is water, by hand and ear. */
export const DRYNESS_WORDS: Record<BurnDryness, string> = {
  dry: 'Dry wood rings when struck and has cracks at its ends: about a sixth of its weight is water.',
  halfDry: 'With green among it, about a third of its weight is water.',
  green: 'Fresh from the tree, half of its weight is water.',
};

const VERDICT_WORDS: Record<YieldVerdict, string> = {
  muchLess: 'much less than such fires give: it burnt on to ash, or something was not counted',
  less: 'less than such fires give: weigh again, and count the brown pieces as not charred',
  usual: 'what such fires give',
  more: 'more than such fires give: weigh again, dry, and sort out brown wood',
  muchMore: 'far more than such fires give: was it weighed wet, or is brown wood among it?',
};

/** What a fire gave, held against what such fires give, in the units of the garden. */
export function yieldWords(
  method: BurnMethod,
  { dryWoodKg, dryCharKg }: Pick<BurnResult, 'dryWoodKg' | 'dryCharKg'>,
  measures: Measures,
): string {
  const { share, verdict, expectedKg } = judgeYield(method, dryWoodKg, dryCharKg);
  const [low, high] = expectedKg.map(measures.mass);
  return `${measures.mass(dryCharKg)} of dry char out of ${measures.mass(dryWoodKg)} of dry wood (${formatPercent(share)}), ${VERDICT_WORDS[verdict]} (${low} to ${high}).`;
}

export const CHARGE_WORDS: Record<ChargeRecipeId, { readonly name: string; readonly how: string }> = {
  slurry: {
    name: 'Slurry',
    how: 'Char dust and compost stirred into water, dark and thin, not a sludge; strained it may be watered in.',
  },
  soak: {
    name: 'Soak',
    how: 'Steeped in compost tea with castings and a little fish emulsion, or a living culture, in a barrel with a loose lid.',
  },
  compostBlend: { name: 'Blend with compost', how: 'One of char to four of compost, kept moist.' },
  castingsBlend: {
    name: 'Blend with castings',
    how: '80 of char to 20 of worm castings; ready when mixed, better rested.',
  },
  throughHeap: {
    name: 'Through the heap',
    how: 'In bedding or a compost heap from the first day: less smell, ammonia kept.',
  },
  nitrogenSoak: {
    name: 'Nitrogen soak',
    how: 'Diluted urine from healthy people, or tea with feather meal. Not where it drips on edible leaves near harvest.',
  },
};

export const CHAR_DUST =
  'Char dust harms the lungs: mask and eye cover, mist it before crushing, store it dry and closed. Never taste char as a test.';
