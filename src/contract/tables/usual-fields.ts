import { dayNumberFromIso, findCrop, isoDateOf } from '../../core/ground/index.ts';
import { InputError } from '../../refusals/input-error.ts';
import type { TableNames } from './table-names.ts';

type Flat = Readonly<Record<string, unknown>>;

/** What is dated after today has not been done. */
const stateOn = (date: unknown, { today }: TableNames): Flat =>
  today !== undefined && typeof date === 'string' && date > today ? { state: 'planned' } : {};

export const usualEntry = ({ date }: Flat, names: TableNames): Flat => stateOn(date, names);

export const usualMovement = ({ date }: Flat, names: TableNames): Flat => stateOn(date, names);

/** What the library says of a crop, where a row does not say it otherwise. */
export function usualPlanting({ cropId, plantedOn }: Flat, names: TableNames): Flat {
  const crop = typeof cropId === 'string' ? findCrop(cropId, names.crops) : undefined;
  if (!crop) return stateOn(plantedOn, names);
  const { nitrogenDemandGPerM2, rootDepthCm, startsAs, daysInGround, isPerennial } = crop;
  return {
    ...stateOn(plantedOn, names),
    nitrogenDemandGPerM2,
    rootDepthCm,
    startsAs,
    ...(isPerennial ? {} : { clearedOn: daysAfter(plantedOn, daysInGround) }),
  };
}

function daysAfter(date: unknown, days: number): string | undefined {
  try {
    return typeof date === 'string' ? isoDateOf(dayNumberFromIso(date, []) + days) : undefined;
  } catch (error) {
    if (error instanceof InputError) return undefined;
    throw error;
  }
}

/** Words people write for what was done, in small letters. */
const ENTRY_WORDS: Readonly<Record<string, readonly string[]>> = {
  lay: [
    'laid',
    'lay down',
    'spread',
    'mulch',
    'mulched',
    'mulching',
    'applied',
    'added',
    'top dressed',
    'topdressed',
  ],
  dig: ['dug', 'dug in', 'turned in', 'forked in'],
  takeOff: ['taken off', 'removed', 'lifted', 'raked off'],
  feed: ['fed', 'feeding', 'fertilized', 'fertilised', 'fertilizer', 'fertiliser'],
  soilTest: ['test', 'tested', 'soil test', 'soil sample', 'lab', 'lab test'],
  water: ['watered', 'watering', 'irrigated', 'irrigation'],
};

/** The type of entry a word means; undefined when it means none. */
export const entryTypeNamed = (word: string): string | undefined =>
  Object.keys(ENTRY_WORDS).find((type) => ENTRY_WORDS[type]!.includes(word.trim().toLowerCase()));
