import { findCrop } from '../core/ground/index.ts';
import type { Check, Task } from '../core/season/index.ts';
import type { Entry } from '../records/entry.ts';
import type { Movement } from '../records/movement.ts';
import { BREW_WORDS } from './brew-words.ts';
import { cropNames, materialName } from './record-names.ts';
import type { TaskNames } from './task-words.ts';
import { capitalized } from './capitalized.ts';

const CHECKS_SHORT: Readonly<Record<Check, string>> = {
  sweetManure: 'Smell the manure',
  manureWorms: 'Look for worms',
  manureCrumbs: 'Look for crumbs',
  threads: 'Look for threads',
  leaves: 'Look at the leaves',
  thickness: 'Measure the mulch',
};

const MOVEMENTS_SHORT: Readonly<Record<Movement['type'], string>> = {
  receive: 'Delivery',
  make: 'Make a heap',
  move: 'Move stock',
  takeOut: 'Take out',
  stocktake: 'Take stock',
  keep: 'Cover or turn out',
  turn: 'Turn the heap',
  water: 'Water the heap',
  reading: 'Measure the heap',
  sign: 'Look at the heap',
  burn: 'Burn',
  crush: 'Crush char',
};

/** What is to be done in two to four words, for a calendar with little room; the place stands beside it. */
export function shortTaskWords({ what }: Task, names: TaskNames): string {
  const crop = (cropId: string): string => (findCrop(cropId, names.crops)?.name ?? 'a crop').toLowerCase();
  switch (what.code) {
    case 'entry':
      return shortEntryWords(what.entry, names);
    case 'plant':
      return `${what.isSown ? 'Sow' : 'Plant'} ${crop(what.cropId)}`;
    case 'clear':
      return `Clear ${crop(what.cropId)}`;
    case 'dose':
      return `Feed ${cropNames(what.cropIds, names).toLowerCase()}`;
    case 'topUp':
      return 'Top up the mulch';
    case 'liftPath':
      return what.isCrumbs ? 'Lift the path' : 'Look under the path';
    case 'safe':
      return 'May be planted';
    case 'harvestFrom':
      return `${capitalized(crop(what.cropId))} may be eaten`;
    case 'firstFrost':
      return 'First frost near';
    case 'lateFrost':
      return 'Late frost';
    case 'heat':
      return 'Heat begins';
    case 'check':
      return CHECKS_SHORT[what.check];
    case 'retest':
      return what.what === 'soil' ? 'Test the soil' : 'Test the pH';
    case 'closeYear':
      return 'Close the year';
    default:
      return shortYardWords(what);
  }
}

/** What is to be done at piles, fires, charges and brews. */
function shortYardWords(what: Task['what']): string {
  switch (what.code) {
    case 'movement':
      return MOVEMENTS_SHORT[what.movement.type];
    case 'charReady':
      return 'Char ready';
    case 'stirCharge':
      return 'Stir the charge';
    case 'coldCheck':
      return 'Is the fire cold?';
    case 'measureChar':
      return 'Measure the char';
    case 'turnHeap':
      return 'Turn the heap';
    case 'seasoned':
      return 'Chips seasoned';
    case 'finished':
      return 'Compost finished';
    case 'short':
      return 'Not enough in stock';
    case 'brewStep':
    case 'brewReady':
    case 'brewUseBy':
      return BREW_WORDS[what.brewId].name;
    default:
      return '';
  }
}

function shortEntryWords(entry: Entry, names: TaskNames): string {
  switch (entry.type) {
    case 'lay':
      return `${entry.dugDepthCm > 0 ? 'Dig in' : 'Spread'} ${materialName(entry.materialId, names.materials).toLowerCase()}`;
    case 'feed':
      return 'Feed';
    case 'water':
      return 'Water';
    case 'soilTest':
      return 'Test the soil';
    case 'dig':
      return 'Dig in';
    case 'takeOff':
      return 'Take off mulch';
  }
}
