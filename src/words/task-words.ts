import { counted } from './counted.ts';
import type { EntryRecord } from '../records/entry.ts';
import type { GardenBooks } from '../contract/garden-books.ts';
import type { MovementRecord } from '../records/movement.ts';
import { materialFinder } from '../core/bed/index.ts';
import {
  taskMinutes,
  type Check,
  type LateCost,
  type Task,
  type TaskGroup,
  type TaskWhat,
} from '../core/season/index.ts';
import { type GroundWarning, findCrop } from '../core/ground/index.ts';
import { BREW_STEP_WORDS, BREW_WORDS } from './brew-words.ts';
import { dateNear } from './dates.ts';
import { entryWords } from './entry-words.ts';
import { formatPercent, plainFigure } from './figures.ts';
import { objectionWords } from './planting-words.ts';
import { eachPotWords } from './pot-words.ts';
import type { Measures } from './measures.ts';
import {
  cropNames,
  layerName,
  layName,
  materialName,
  type CropNames,
  type LayNames,
} from './record-names.ts';
import { movementInWords } from './stock-words.ts';

export const TASK_GROUP_WORDS: Record<TaskGroup, string> = {
  laying: 'spreading and lifting',
  feeding: 'feeding and watering',
  growing: 'sowing to harvest',
  yard: 'yard, heaps and fires',
  watching: 'checks',
  testing: 'soil tests and year end',
};

/** A mark for each group, so that color is never the only sign. */
export const TASK_GROUP_MARKS: Record<TaskGroup, string> = {
  laying: '▤',
  feeding: 'N',
  growing: '❦',
  yard: '▲',
  watching: '◉',
  testing: '☐',
};

/** The records that tasks are named by. */
export type TaskNames = LayNames & CropNames & Pick<GardenBooks, 'beds' | 'entries'>;

const nameOfKind = (cropId: string, { crops }: TaskNames): string =>
  findCrop(cropId, crops)?.name ?? 'A crop';

const lotName = (lotId: string | null, { lots }: LayNames): string =>
  lots.find(({ id }) => id === lotId)?.name ?? 'a pile';

/** Where it is to be done: a bed or a pile; empty for the garden as a whole. */
export function placeWords({ bedId, lotId }: Pick<Task, 'bedId' | 'lotId'>, names: TaskNames): string {
  if (bedId !== null) return names.beds.find(({ id }) => id === bedId)?.name ?? '';
  return lotId === null ? '' : lotName(lotId, names);
}

/** What is to be done, as a line of its own without the place. */
export function taskWords(task: Task, names: TaskNames, measures: Measures): string {
  const { what } = task;
  switch (what.code) {
    case 'entry':
      return entryTaskWords(what.entry as EntryRecord, names, measures);
    case 'plant':
      return `${what.isSown ? 'Sow' : 'Plant'} ${nameOfKind(what.cropId, names).toLowerCase()}`;
    case 'clear':
      return `Harvest and clear ${nameOfKind(what.cropId, names).toLowerCase()}`;
    case 'dose':
      return doseTaskWords(task, what, { names, measures });
    case 'topUp':
      return `Top up with ${measures.thickness(what.addCm)} of ${materialName(what.materialId, names.materials).toLowerCase()}`;
    case 'liftPath':
      return what.isCrumbs
        ? 'Lift the bottom of the path: it has become crumbs'
        : 'Look under the path: is its bottom crumbs yet?';
    case 'safe':
      return `From here ${what.start === 'seedlings' ? 'seed may be sown' : 'young plants may be set'}: what you spread no longer starves them`;
    case 'harvestFrom':
      return `From here ${nameOfKind(what.cropId, names).toLowerCase()} may be harvested after ${what.raw === 'urine' ? 'the urine' : 'the raw manure'}`;
    case 'firstFrost':
      return `Pick or cover before the first frost: ${cropNames(what.plantingIds, names).toLowerCase()}`;
    case 'lateFrost':
      return `Cover ${cropNames([what.plantingId], names).toLowerCase()} when a cold night is forecast`;
    case 'heat':
      return `Shade and water ${cropNames([what.plantingId], names).toLowerCase()}: the heat begins`;
    case 'check':
      return checkWords(what, names);
    case 'retest':
      return what.what === 'soil'
        ? 'Sample the soil: mineral nitrogen, pH, organic matter'
        : 'Test the pH before any more ash';
    case 'closeYear':
      return `Close the books of ${what.year}`;
    default:
      return yardWords(task, names, measures);
  }
}

function entryTaskWords(entry: EntryRecord, names: TaskNames, measures: Measures): string {
  const words = entryWords({ entry, entries: names.entries, books: names, measures });
  switch (entry.type) {
    case 'lay':
      return `${entry.dugDepthCm > 0 ? 'Dig in' : 'Spread'} ${words}`;
    case 'feed':
      return `Feed ${measures.nitrogen(entry.nitrogenG)} of nitrogen`;
    case 'water':
      return `Water with ${measures.water(entry.waterMm)}`;
    case 'soilTest':
      return 'Have the soil tested, as planned';
    case 'dig':
      return `Dig in ${entry.layerId === null ? 'everything on top' : layerNameOf(entry.layerId, names)}, ${measures.thickness(entry.dugDepthCm)} deep`;
    case 'takeOff':
      return `Take off ${formatPercent(entry.shareTakenOff)} of ${layerNameOf(entry.layerId, names)}`;
  }
}

/** A dose on pots is told for each of them too. */
function doseTaskWords(
  { bedId }: Task,
  what: Extract<TaskWhat, { code: 'dose' }>,
  { names, measures }: { readonly names: TaskNames; readonly measures: Measures },
): string {
  const potCount = names.beds.find(({ id }) => id === bedId)?.potCount ?? null;
  const each = potCount === null ? '' : `, ${eachPotWords(what.nitrogenG, potCount, measures)}`;
  const crops = cropNames(what.cropIds, names).toLowerCase();
  const material = materialName(what.materialId, names.materials).toLowerCase();
  const much = what.massFreshKg === null ? material : `${measures.mass(what.massFreshKg)} of ${material}`;
  return `Feed ${crops}: ${measures.nitrogen(what.nitrogenG)} of nitrogen as ${much}${each}`;
}

const layerNameOf = (layerId: string, { entries, ...names }: TaskNames): string =>
  layerName({ layerId, entries, names }).toLowerCase();

function checkWords(
  { check, aboutId }: Extract<TaskWhat, { code: 'check' }>,
  { entries, ...names }: TaskNames,
): string {
  const entry = entries.find(({ id }) => id === aboutId);
  const layer = entry?.type === 'lay' ? layName(entry, names).toLowerCase() : 'layer';
  switch (check) {
    case 'sweetManure':
      return `Look under the cover: ${layer} should be dark and smell sweet`;
    case 'manureWorms':
      return `Look for worms in the ${layer}`;
    case 'manureCrumbs':
      return `Is the ${layer} dark crumbs by now?`;
    case 'threads':
      return `Look for white threads under the ${layer}`;
    case 'thickness':
      return `Measure how much of the ${layer} is left`;
    case 'leaves':
      return `Look at the leaves of the ${cropNames([aboutId], names).toLowerCase()}: nitrogen is locked up beneath them`;
  }
}

/** A check of several layers or crops at once, none of them named. */
const CHECK_OF_SEVERAL_WORDS: Readonly<Record<Check, string>> = {
  sweetManure: 'Look under the covers: manure should be dark and smell sweet',
  manureWorms: 'Look for worms in the manure',
  manureCrumbs: 'Is the manure dark crumbs by now?',
  threads: 'Look for white threads under the layers',
  thickness: 'Measure how much of the layers is left',
  leaves: 'Look at the leaves of the crops: nitrogen is locked up beneath them',
};

/** The same task on several beds, as one. */
export function tasksWords(tasks: readonly Task[], names: TaskNames, measures: Measures): string {
  const [first] = tasks as [Task, ...Task[]];
  const beds = new Set(tasks.map(({ bedId }) => bedId)).size;
  const words =
    first.what.code === 'check'
      ? CHECK_OF_SEVERAL_WORDS[first.what.check]
      : taskWords(first, names, measures);
  return beds === 1 ? `${tasks.length} times: ${words}` : `${beds} beds: ${words}`;
}

/** Tasks of stock, heaps, fires, charges and brews. */
function yardWords(
  { what, lotId }: Pick<Task, 'what' | 'lotId'>,
  names: TaskNames,
  measures: Measures,
): string {
  switch (what.code) {
    case 'movement':
      return movementInWords(what.movement as MovementRecord, lotId ?? '', {
        nameOf: (id) => lotName(id, names),
        measures,
      });
    case 'charReady':
      return 'Charged char is ready';
    case 'stirCharge':
      return 'Stir the charge';
    case 'coldCheck':
      return 'Feel for warmth to the bottom of the fire pit: heaps re-light hours later';
    case 'measureChar':
      return 'Measure what the fire gave';
    case 'turnHeap':
      return 'Turn the heap';
    case 'seasoned':
      return 'Seasoned: down to half of the lock-up it had when fresh';
    case 'finished':
      return 'Finished compost';
    case 'short':
      return `Will be short by ${measures.volume(what.missingL)} of what is planned`;
    case 'brewStep':
      return `${BREW_WORDS[what.brewId].name}: ${BREW_STEP_WORDS[what.step]?.toLowerCase() ?? what.step}`;
    case 'brewReady':
      return `${BREW_WORDS[what.brewId].name} is ready`;
    case 'brewUseBy':
      return `${BREW_WORDS[what.brewId].name}: last day to use it`;
    default:
      return '';
  }
}

/** Less than this, for a whole bed, is nothing. */
const LEAST_TOLD_G = 0.05;

type DoseTask = Extract<Task['what'], { code: 'dose' }>;

/** What hangs on a dose, and what putting it off costs. */
function doseReason({ missedWithoutG, missedWithG, waitingCostsG }: DoseTask, measures: Measures): string {
  const why =
    missedWithoutG < LEAST_TOLD_G
      ? 'It makes good what the crop is owed already.'
      : `Without it the crop misses ${measures.nitrogen(missedWithoutG)} until the next, with it ${measures.nitrogen(missedWithG)}.`;
  if (waitingCostsG === null) return why;
  return waitingCostsG < LEAST_TOLD_G
    ? `${why} Waiting costs the crop nothing; its size and the doses after it are worked out anew.`
    : `${why} Waiting costs the crop ${measures.nitrogen(waitingCostsG)}; its size and the doses after it are worked out anew.`;
}

/** About how long a task takes where it is, minutes; null for what is only to be known. */
export const minutesOf = (task: Task, names: TaskNames): number | null =>
  taskMinutes(task, {
    areaM2: names.beds.find(({ id }) => id === task.bedId)?.areaM2 ?? 0,
    // Of a material only its density counts here, which no laboratory changes.
    findMaterial: materialFinder({ materials: names.materials, labResults: [] }),
  });

const CHECK_REASONS: Readonly<Record<Check, string>> = {
  sweetManure: 'Manure that smells sharp still burns roots.',
  manureWorms: 'Where worms are at work, roots can live.',
  manureCrumbs: 'Crumbs can be planted into.',
  threads: 'Fungi have set in: the layer begins to feed the soil.',
  leaves: 'Pale leaves say so before growth stops.',
  thickness: 'The model learns from it how fast it rots here.',
};

/** Where the reason does not hang on the task. */
const REASONS: Readonly<Partial<Record<TaskWhat['code'], string>>> = {
  entry: 'You planned it.',
  movement: 'You planned it.',
  clear: 'It is meant to stand until then.',
  safe: 'By the model little of the nitrogen is locked up from then on.',
  short: 'More is planned than will be there: get more, or plan less.',
  measureChar: 'So that the books hold what is really there.',
  harvestFrom: 'Local food-safety rules come first.',
  closeYear: 'See what went in, what was expected and what was found; then stack, pull or rest.',
  coldCheck: 'Never leave it before it is cold to the hand, all the way down.',
};

/** Shorter than this nobody plans by, minutes. */
const ROUNDED_TO_MINUTES = 5;

/** "about 20 min", "about 1.5 h"; nothing for what is only to be known. */
export function minutesInWords(minutes: number | null): string {
  if (minutes === null || minutes <= 0) return '';
  const rounded = Math.max(ROUNDED_TO_MINUTES, Math.round(minutes / ROUNDED_TO_MINUTES) * ROUNDED_TO_MINUTES);
  return rounded < 60 ? `about ${rounded} min` : `about ${plainFigure(Math.round(rounded / 30) / 2, 3)} h`;
}

/** Why it is there, or what hangs on it. */
export function taskReason({ what }: Task, measures: Measures, today: number): string {
  switch (what.code) {
    case 'plant':
      return what.objections.length === 0
        ? 'You planned it, and nothing speaks against the day.'
        : `Not a good day: ${what.objections.map((one) => objectionWords(one, today, measures)).join('; and ')}.`;
    case 'dose':
      return doseReason(what, measures);
    case 'topUp':
      return `By then ${measures.thickness(what.nowCm)} are left, according to the model.`;
    case 'liftPath':
      return `The lowest chips will have lain ${plainFigure(what.years, 2)} years, and by the model ${formatPercent(what.recognizableShare)} of them still look like chips. ${what.isCrumbs ? 'Take perennial weeds out first, lay fresh card after.' : 'Paths are lifted after two to three years (common practice): if it is still wood, leave it another year.'}`;
    case 'firstFrost':
      return `By your climate frost comes before ${dateNear(what.firstDay, today)} in every second year (estimated). It kills what stands there; watch the forecast.`;
    case 'lateFrost':
      return `By your climate frost is to be reckoned with until ${dateNear(what.untilDay, today)} (estimated), and kills it.`;
    case 'heat':
      return `By your climate it is warmer than ${measures.warmth(what.meanC)} on average from then on: more than it bears well.`;
    case 'retest':
      return what.what === 'soil'
        ? 'A test is an opening balance on its date; the model and its likely range learn from it.'
        : 'The first dose on sour ground was doubled.';
    case 'brewReady':
      return `Use it up by ${dateNear(what.lastDay, today)}, or discard it if it smells foul or the mold is blue, green or black.`;
    case 'brewUseBy':
      return 'After today throw what is left on the heap.';
    case 'turnHeap':
      return `${what.days} days after it was last turned.`;
    case 'check':
      return CHECK_REASONS[what.check];
    default:
      return REASONS[what.code] ?? '';
  }
}

export function warningWords(warning: GroundWarning, measures: Measures): string {
  switch (warning.code) {
    case 'coldSoil':
      return `Cold soil: about ${measures.warmth(warning.temperatureC)} for the time of year. Seed sits and rots, organic feed lies idle.`;
    case 'wetClay':
      return warning.rainMm === null
        ? 'Wet clay: that month brings more rain than the air takes up. Keep off it, do not dig; wait for a dry spell.'
        : `Wet clay: ${measures.water(warning.rainMm)} of rain were measured in the last three days. Keep off it, do not dig; wait for a dry spell.`;
    case 'downpour':
      return `${measures.water(warning.rainMm)} of rain were measured in the last three days: what is fed now is soon washed out. Wait until it has drained.`;
  }
}

/** What being late costs, by the model rerun with the real day. */
export function lateCostWords(cost: LateCost, areaM2: number, measures: Measures): string {
  const { lateDays, cropMissesG, paleDays, lostNitrogenG } = cost;
  const parts = [
    Math.abs(cropMissesG * areaM2) >= 0.05 &&
      `the crops miss ${measures.nitrogen(Math.abs(cropMissesG) * areaM2)} of nitrogen ${cropMissesG > 0 ? 'more' : 'less'}`,
    Math.abs(paleDays) >= 1 &&
      `${Math.abs(Math.round(paleDays))} pale days ${paleDays > 0 ? 'more' : 'fewer'}`,
    Math.abs(lostNitrogenG * areaM2) >= 0.05 &&
      `${measures.nitrogen(Math.abs(lostNitrogenG) * areaM2)} ${lostNitrogenG > 0 ? 'more' : 'less'} goes to air and groundwater`,
  ].filter((part) => part !== false);
  const late = `${counted(lateDays, 'day')} late`;
  return parts.length === 0
    ? `${late}; it makes no difference that counts.`
    : `${late}: done today instead, ${parts.join(', ')}.`;
}
