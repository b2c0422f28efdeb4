import { lowered } from './capitalized.ts';
import { counted } from './counted.ts';
import {
  findLibraryMaterial,
  type DayNumber,
  type MaterialEffect,
  type MaterialKind,
} from '../core/ground/index.ts';
import type { Keeping, LotForm, ReadinessSign, Squeeze } from '../records/vocabulary.ts';
import type { Treatment } from '../records/lot.ts';
import type { MovementRecord } from '../records/movement.ts';
import {
  TOO_HOT_FROM_C,
  type HeapRipeness,
  type HeapStage,
  type LotWhat,
  type LockUpPower,
  type LotBrief,
  type Ripeness,
} from '../core/yard/index.ts';
import { aboutWhen } from './dates.ts';
import { formatFixed, plainFigure } from './figures.ts';
import { amountInWords } from './amount-words.ts';
import type { Measures } from './measures.ts';

export const LOT_FORM_WORDS: Record<LotForm, string> = {
  pile: 'pile',
  heap: 'heap',
  bag: 'bags',
  bin: 'bin',
  drum: 'drum',
  bale: 'bales',
};

export const KIND_WORDS: Record<MaterialKind, string> = {
  wood: 'wood',
  residue: 'straw, hay and husks',
  leaf: 'leaves',
  green: 'greens',
  manure: 'manure',
  compost: 'compost',
  paper: 'paper',
  fertiliser: 'nitrogen fertilizer',
  char: 'char',
  none: 'no carbon',
};

/** What a material does to the nitrogen of the soil it is dug into. */
export const EFFECT_WORDS: Record<MaterialEffect, string> = {
  feedsNow: 'feeds at once',
  feedsSlowly: 'feeds slowly',
  locksUp: 'locks nitrogen up',
  lasting: 'lasts',
  mineral: 'no nitrogen, no carbon',
};

export const KEEPING_WORDS: Record<Keeping, string> = {
  open: 'open to the rain',
  covered: 'covered, keeps its moisture',
  roofed: 'dry, under a roof',
  watered: 'kept watered',
  shut: 'shut: bag, drum, lid',
};

/** "covered, turned now and then, heats up". */
export const treatmentWords = ({ keeping, isTurned, isHot }: Treatment): string =>
  [
    KEEPING_WORDS[keeping],
    isTurned ? 'turned now and then' : 'left still',
    ...(isHot ? ['heats up'] : []),
  ].join(', ');

export const SQUEEZE_WORDS: Record<Squeeze, string> = {
  runs: 'water runs out',
  drops: 'a drop or two',
  holds: 'holds together, no drop',
  crumbles: 'falls apart, feels cool',
  dusty: 'dusty and dry',
};

export const SIGN_WORDS: Record<ReadinessSign, string> = {
  earthySmell: 'smells of earth',
  sourSmell: 'smells sour',
  ammoniaSmell: 'smells of ammonia',
  darkCrumb: 'dark and crumbly',
  nothingRecognizable: 'nothing left to recognize',
  coolAfterTurning: 'stays cool after turning',
  whiteThreads: 'white threads',
  worms: 'worms in it',
  seedlingsGrow: 'cress or beans grow in it',
};

export const REASON_WORDS = {
  given: 'given away',
  sold: 'sold',
  spilt: 'spilt or spoilt',
  used: 'used elsewhere',
} as const;

/** What a posting did, from the side of one lot; `nameOf` calls the others by their names. */
export function movementInWords(
  movement: MovementRecord,
  lotId: string,
  { nameOf, measures }: { readonly nameOf: (lotId: string) => string; readonly measures: Measures },
): string {
  switch (movement.type) {
    case 'receive':
      return `Received ${amountInWords(movement, measures)}`;
    case 'make':
      return movement.lotId === lotId
        ? `Made of ${counted(movement.ingredients.length, 'thing')}${movement.isLayered ? ', layered' : ', mixed'}`
        : `Into ${nameOf(movement.lotId)}`;
    case 'move':
      return movement.lotId === lotId
        ? `${amountInWords(movement, measures)} to ${nameOf(movement.toLotId)}`
        : `${amountInWords(movement, measures)} from ${nameOf(movement.lotId)}`;
    case 'takeOut':
      return `${amountInWords(movement, measures)} ${REASON_WORDS[movement.reason]}`;
    case 'stocktake':
      return `Counted: ${movement.amount === 0 ? 'nothing left' : amountInWords(movement, measures)}`;
    case 'keep':
      return `Now ${treatmentWords(movement)}`;
    case 'turn':
      return 'Turned';
    case 'water':
      return `Watered with ${measures.liquid(movement.waterL)}`;
    case 'reading':
      return readingWords(movement, measures);
    case 'sign':
      return movement.signs.map((sign) => SIGN_WORDS[sign]).join(', ');
    case 'burn':
      return burnWords(movement, lotId, nameOf);
    case 'crush':
      return `Crushed: ${movement.fineness}`;
  }
}

function burnWords(
  { lotId, feedstock, unburntToLotId }: Extract<MovementRecord, { type: 'burn' }>,
  seenFrom: string,
  nameOf: (lotId: string) => string,
): string {
  if (lotId === seenFrom) return 'Char out of the fire';
  const isFed = feedstock.some((one) => one.lotId === seenFrom);
  if (!isFed && unburntToLotId === seenFrom) return 'Pieces that did not char';
  return `Burnt to ${nameOf(lotId)}`;
}

function readingWords(reading: Extract<MovementRecord, { type: 'reading' }>, measures: Measures): string {
  const found = [
    reading.temperatureC !== null && `${measures.warmth(reading.temperatureC)} inside`,
    reading.moistureFractionWetBasis !== null &&
      `moisture ${formatFixed(reading.moistureFractionWetBasis * 100, 0)} %`,
    reading.bulkDensityKgPerM3 !== null && measures.density(reading.bulkDensityKgPerM3),
    reading.carbonFractionDryBasis !== null && `${plainFigure(reading.carbonFractionDryBasis * 100)} % C`,
    reading.nitrogenFractionDryBasis !== null && `${plainFigure(reading.nitrogenFractionDryBasis * 100)} % N`,
  ].filter((one) => one !== false);
  return `Measured ${found.join(', ')}`;
}

/** Nitrogen that dug-in material locks up at most, of each kilogram or pound of its dry matter. */
const lockPerMass = (gPerKg: number, measures: Measures): string =>
  `${plainFigure(lockFigure(gPerKg, measures), 2)} ${LOCK_UNITS[measures.system]}`;

export const LOCK_UNITS = {
  metric: 'g N per kg dry matter',
  customary: 'oz N per lb dry matter',
} as const;
const OUNCES_PER_POUND = 16;
const GRAMS_PER_KILOGRAM = 1000;
/** Of grams per kilogram, in the unit above. */
export const lockFigure = (gPerKg: number, { system }: Measures): number =>
  system === 'metric' ? gPerKg : (gPerKg / GRAMS_PER_KILOGRAM) * OUNCES_PER_POUND;

/** "locks up to 3.2 g N per kg dry matter" or "gives 24 % of its nitrogen". */
export function powerWords({ peakLockGPerKgDry, availableShare }: LockUpPower, measures: Measures): string {
  if (peakLockGPerKgDry >= 0.3 && availableShare < 0.1)
    return `locks up to ${lockPerMass(peakLockGPerKgDry, measures)}`;
  if (availableShare > 0.02) return `gives ${formatFixed(availableShare * 100, 0)} % of its N`;
  return 'neither locks up nor gives nitrogen';
}

/** When it may go on a growing bed without a fight. */
export function readyWords(brief: LotBrief, today: DayNumber): string {
  if (brief.now === null) return '';
  if (brief.finishedOn !== null) {
    return brief.finishedOn <= today ? '' : `compost ${aboutWhen(brief.finishedOn, today)}`;
  }
  if (!brief.needsSeasoning) return '';
  if (brief.seasonedOn === null) return 'not seasoned in two years';
  return brief.seasonedOn <= today ? 'seasoned' : `seasoned ${aboutWhen(brief.seasonedOn, today)}`;
}

/** What a pile has become, in a few words: "leaf mould", "a mix, rotting", "finished compost with char". */
export function whatWords({ what, hasChar }: LotWhat): string {
  const told = ((): string => {
    switch (what.code) {
      case 'material': {
        const name = findLibraryMaterial(what.materialId)?.name;
        return name ? lowered(name) : 'a material of your own';
      }
      case 'finishedCompost':
        return 'finished compost';
      case 'mix':
        return 'a mix, rotting';
      case 'kind':
        return KIND_WORDS[what.kind];
    }
  })();
  return hasChar ? `${told} with char` : told;
}

/** Where a heap stands on its way to compost. */
export const STAGE_WORDS: Record<HeapStage, string> = {
  hot: 'In its hot phase.',
  cooling: 'Cooling down.',
  curing: 'Curing: it is cool, and ripens.',
  finished: 'Finished compost.',
};

/** Said of a heap whose probe reads above 70 C. */
export const tooHotWords = (measures: Measures): string =>
  `Too hot: above ${measures.warmth(TOO_HOT_FROM_C)} its microbes die and its nitrogen escapes. Turn it today, water dry parts, and stand back from the steam; a large dry heap can begin to smoulder.`;

/** Said of a pile large enough to take fire by itself. */
export const FIRE_CAUTION =
  'A heap this large heats inside and can take fire by itself. Keep it lower than you are tall and away from buildings and fences, put nothing fresh over an old hot heap, and look for steam and a burnt smell. If it smoulders, do not dig into it: call the fire service.';

type RipenessSign = HeapRipeness['signs'][number]['sign'];

/** What makes compost of a heap, and what is said while it is still missing. */
export const RIPENESS_SIGN_WORDS: Record<RipenessSign, { readonly met: string; readonly unmet: string }> = {
  narrow: { met: 'C:N below 20', unmet: 'C:N still 20 or more' },
  gentle: { met: 'quick matter used up', unmet: 'quick matter left, which would heat it again' },
  unrecognizable: { met: 'crumbled', unmet: 'more than a third still recognizable' },
  littleAmmonium: { met: 'little ammonium left', unmet: 'ammonium left, which scorches seedlings' },
  cured: { met: 'nothing younger than 90 days in it', unmet: 'something in it is younger than 90 days' },
  cooledDown: { met: 'as cool as the air, give or take', unmet: 'warmer than the air' },
};

/** How far a pile is on its way to locking up less, to follow what it is. */
export const RIPENESS_WORDS: Record<Ripeness, string> = {
  fresh: 'not seasoned',
  seasoned: 'seasoned',
};

export const ratioFigure = (ratio: number | null): string =>
  ratio === null ? 'no N' : ratio === 0 ? 'no C' : plainFigure(ratio, ratio < 20 ? 2 : 3);
