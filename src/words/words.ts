import type { BedStatus, Caution, SoilTexture } from '../core/bed/index.ts';
import type { AshParty, CarbonParty, FlowName, NitrogenParty, PeriodKind } from '../core/model/index.ts';
import type { Exposure, BedKind, CroppingBefore } from '../records/vocabulary.ts';
import type { Measures } from './measures.ts';
import { fullDate } from './dates.ts';

export const BED_KIND_WORDS: Record<BedKind, string> = {
  annual: 'vegetable bed',
  raised: 'raised bed',
  seedbed: 'seed bed',
  perennial: 'perennial bed',
  shrubs: 'shrub bed',
  treeRing: 'tree ring',
  container: 'container',
  path: 'path',
  resting: 'resting bed',
};

/** What soil of each texture does between the fingers. */
export const TEXTURE_WORDS: Record<SoilTexture, string> = {
  sand: 'sand: gritty, falls apart',
  sandyLoam: 'sandy loam: gritty, holds a ball',
  loam: 'loam: soft, rolls badly',
  clayLoam: 'clay loam: rolls into a sausage',
  clay: 'clay: shiny, bends into a ring',
};

export const CROPPING_WORDS: Record<CroppingBefore, string> = {
  unknown: 'not known',
  hard: 'hungry crops, two a year',
  ordinary: 'a crop or two a year',
  rested: 'rested, or legumes',
  turf: 'old grass, just dug over',
  bare: 'bare ground for many years',
};

export const EXPOSURE_WORDS: Record<Exposure, string> = {
  damp: 'damp, shaded',
  normal: 'in between',
  dry: 'dry, in full sun',
};

/** A mark and a word: color is never the only sign of a state. */
export const STATUS_WORDS: Record<BedStatus, { mark: string; word: string; isStop: boolean }> = {
  pale: { mark: '▼', word: 'pale', isStop: true },
  short: { mark: '▲', word: 'short', isStop: true },
  held: { mark: '▨', word: 'locked up', isStop: false },
  fed: { mark: '●', word: 'fed', isStop: false },
  resting: { mark: '○', word: 'at rest', isStop: false },
  path: { mark: '–', word: 'path', isStop: false },
};

export const PERIOD_WORDS: Record<PeriodKind, string> = {
  month: 'month',
  season: 'season',
  year: 'year',
  all: 'from the start',
};

export const CARBON_WORDS: Record<CarbonParty, string> = {
  fresh: 'Fresh matter',
  microbes: 'Microbes',
  humus: 'Humus',
  char: 'Char',
  materials: 'Spread or grown here',
  roots: 'Grown as roots',
  air: 'Gone to the air',
  takenOff: 'Taken off',
};

export const ASH_WORDS: Record<AshParty, string> = {
  minerals: 'Minerals of what was spread',
  materials: 'Spread or grown here',
  takenOff: 'Taken off',
};

export const NITROGEN_WORDS: Record<NitrogenParty, string> = {
  fresh: 'Bound in fresh matter',
  microbes: 'Locked in microbes',
  humus: 'Humus',
  char: 'On char',
  ammonium: 'Ammonium just brought',
  layers: 'Free in the layers',
  contactZone: 'Available, contact zone',
  rootZone: 'Available, root zone',
  upperSubsoil: 'Below the bed, upper half',
  lowerSubsoil: 'Below the bed, lower half',
  crops: 'Standing crops',
  materials: 'Spread',
  fertiliser: 'Fed',
  deposition: 'From rain and air',
  fixation: 'Fixed by legumes',
  subsoil: 'Lifted from below all that',
  soilTest: 'Adjusted to a soil test',
  leached: 'Leached for good',
  denitrified: 'Denitrified',
  ammonia: 'Lost as ammonia',
  harvested: 'Harvested',
  takenOff: 'Taken off',
};

/** What soil science calls an account, where people call it otherwise. */
const TERMS: Readonly<Record<'carbon' | 'nitrogen' | 'ash', Readonly<Record<string, string>>>> = {
  carbon: {
    fresh: 'particulate organic matter',
    microbes: 'microbial biomass',
    humus: 'soil organic carbon',
    char: 'pyrogenic carbon',
    roots: 'root carbon',
    air: 'respiration',
  },
  nitrogen: {
    fresh: 'organic nitrogen of residues',
    microbes: 'immobilized',
    humus: 'soil organic nitrogen',
    ammonium: 'ammonium of manure',
    layers: 'mineral nitrogen in mulch',
    contactZone: 'mineral nitrogen at the surface',
    rootZone: 'mineral nitrogen below',
    upperSubsoil: 'nitrate in the subsoil',
    lowerSubsoil: 'nitrate in the subsoil',
    deposition: 'atmospheric deposition',
    fixation: 'biological fixation',
    leached: 'leaching',
    denitrified: 'denitrification',
    ammonia: 'volatilization',
    harvested: 'off-take',
  },
  ash: { minerals: 'ash' },
};

/** The term of an account; undefined where its name is the term. */
export const accountTerm = (element: 'carbon' | 'nitrogen' | 'ash', account: string): string | undefined =>
  TERMS[element][account];

/** The world outside as the other side of a posting, after "from" or "to". */
const OUTSIDE_WORDS: Partial<Record<CarbonParty | NitrogenParty | AshParty, string>> = {
  materials: 'what you spread',
  fertiliser: 'feed',
  deposition: 'rain and air',
  fixation: 'the air, by legumes',
  subsoil: 'deeper than the books go',
  roots: 'living roots',
  soilTest: 'a soil test (adjusted)',
  air: 'the air',
  leached: 'below all roots (leached)',
  denitrified: 'the air (denitrified)',
  ammonia: 'the air (ammonia)',
  harvested: 'the harvest',
  takenOff: 'what was taken off',
};

const NATIVE_HUMUS: readonly FlowName[] = ['nativeHumusToContactZone', 'nativeHumusToRootZone'];

/** The other side of a posting in a sentence: "from native humus", "to the harvest". */
export function counterpartyWords(
  name: FlowName,
  party: CarbonParty | NitrogenParty | AshParty,
  accountWords: string,
): string {
  if (NATIVE_HUMUS.includes(name)) return 'native humus';
  return partyWords(party, accountWords);
}

/** A side of a posting in the middle of a sentence. */
export const partyWords = (party: CarbonParty | NitrogenParty | AshParty, accountWords: string): string =>
  OUTSIDE_WORDS[party] ?? accountWords.toLowerCase();

/** What to mind, with the rule it comes from; local rules and advice always come first. */
export function cautionInWords(caution: Caution, measures: Measures): string {
  switch (caution.code) {
    case 'rawManure':
      return `Raw manure carries germs. Harvest no earlier than ${fullDate(caution.touchingSoilDay)} what touches the soil, ${fullDate(caution.otherwiseDay)} the rest (120 and 90 days, US organic rule 7 CFR 205.203, from memory). Your local food-safety rules come first. Wash hands.`;
    case 'urine':
      return `Only from healthy people, diluted, never on edible leaves; no harvest before ${fullDate(caution.harvestDay)} (one month, WHO 2006, from memory). Local rules come first.`;
    case 'persistentWeedkiller':
      return 'Manure, straw and grass can carry weedkiller that outlives composting. Grow beans or tomatoes in a potful of it before you spread it.';
    case 'metals':
      return 'It may hold heavy metals, which add up and never leave. Ask for its analysis, keep sewage products off food, and follow your local codes.';
    case 'plastic':
      return 'Glass and plastic may be in it: wear gloves, and pick out what you see before you spread it.';
    case 'charDust':
      return 'Char dust harms lungs: keep it damp, wear a mask, mind the wind.';
    case 'unchargedChar':
      return 'Uncharged char takes up nitrogen at first, for weeks to a season or two. Charge it with compost, urine or tea before it goes near roots.';
    case 'compostDust':
      return 'Dry compost can carry Legionella: damp it down, keep your face out of the bag, wash hands.';
    case 'keepOffTrunk':
      return `Leave ${measures.rule('length', 15, 30)} clear around the stem: mulch against bark rots it.`;
    case 'deepLayer':
      return 'Carry it in parts, it is heavy. Deep dry mulch close to a building is a fire risk.';
    case 'veryDeep':
      return `That is ${measures.thickness(caution.thicknessCm)}, deeper than anyone spreads at once. Did you mean feet, not meters? Then it would be ${measures.thickness(caution.ifFeetCm)}.`;
    case 'wetClay':
      return 'Never work or tread clay while it is wet, and wood buried in airless clay stalls.';
    case 'muchNitrogen':
      return `${measures.rate(caution.gPerM2)} of nitrogen at once can burn plants and leach to groundwater. Split it; near wells and streams local nutrient rules decide.`;
  }
}

/** The sentence under every answer. */
export const ESTIMATE =
  'An estimate from a model, not a measurement: a soil test and your local advisory service come first.';
