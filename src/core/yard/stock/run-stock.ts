import { type DayNumber, type FindMaterial, dayNumberFromIso } from '../../ground/index.ts';
import type { Site } from '../../../records/garden.ts';
import type { BedTake, Movement } from '../../../records/movement.ts';
import type { Lot } from '../../../records/lot.ts';
import { type ModelParameters, withOverrides } from '../../model/index.ts';
import type { TemperatureReading } from './keeping.ts';
import type { LotContents } from './lot-contents.ts';
import { figuresOf } from './lot-figures.ts';
import type { BurnResult } from './movements.ts';
import {
  balanceError,
  bringTo,
  type LotLine,
  type LotLook,
  type RunningLot,
  type StockSetting,
} from './stock-ledger.ts';
import {
  beginningOf,
  beginRun,
  emptyMemory,
  endRun,
  firstVersion,
  goingOn,
  recall,
  remember,
  stepKey,
  versionOf,
  wholeLot,
  type Remembered,
  type Standing,
  type StepOutcome,
  type StockMemory,
  type Trail,
} from './stock-memory.ts';
import { stepsOf, type Step, type TakenForBed } from './stock-steps.ts';

/** All that decides how the stock of a garden fares. Movements and takes in the order they were written down. */
export interface StockBooks {
  readonly site: Site;
  readonly lots: readonly Lot[];
  readonly movements: readonly Movement[];
  readonly takes: readonly BedTake[];
}

/** One lot through time. */
export interface LotHistory {
  readonly lotId: string;
  /** Null when nothing has come into it. */
  readonly openedOn: DayNumber | null;
  readonly looks: readonly LotLook[];
  readonly lines: readonly LotLine[];
  /** At the end of the run. */
  readonly contents: LotContents;
  readonly treatment: RunningLot['treatment'];
  /** Day its self-heating counts from. */
  readonly heatingFrom: DayNumber;
  /** Relative gap of its account; the books hold below 1e-9. */
  readonly balanceError: number;
}

export interface StockRun {
  readonly lots: ReadonlyMap<string, LotHistory>;
  readonly taken: ReadonlyMap<string, TakenForBed>;
  /** What fires gave, by movement. */
  readonly burnt: ReadonlyMap<string, BurnResult>;
}

/** Looks are taken, and contents kept, on this day too. */
export interface StockRunOptions {
  readonly until: DayNumber;
  /** Plans are carried out on their dates; nothing is refused for want of stock. */
  readonly withPlans: boolean;
  /** What runs before came to: this one begins where something changed. */
  readonly memory?: StockMemory;
}

/** The postings carried out, each lot standing at the last one that touched it. */
type CarriedOut = Omit<StockRun, 'lots'> & { readonly lots: ReadonlyMap<string, Standing> };

/**
 * The stock of a garden from its first arrival to the morning of `until`. Throws InputError with a path such as
 * `movements.3.amount` for what cannot be; asking for more than is there is refused only without plans.
 */
export function runStock(books: StockBooks, findMaterial: FindMaterial, options: StockRunOptions): StockRun {
  const { until, memory = emptyMemory() } = options;
  const carriedOut = carryOut(books, findMaterial, { ...options, memory });
  const setting = settingOf(books, options, memory);
  const toTheEnd = bringingTo(until, setting);
  for (const lot of carriedOut.lots.values()) doStep(toTheEnd, [lot], { setting, memory });
  endRun(memory);
  return {
    ...carriedOut,
    lots: new Map([...carriedOut.lots].map(([id, lot]) => [id, historyOf(wholeLot(lot), until)])),
  };
}

/** A step that does nothing but follow lots to the morning of a day. */
const bringingTo = (day: DayNumber, setting: StockSetting): Pick<Step, 'day' | 'what' | 'run'> => ({
  day,
  what: `until ${day}`,
  run: ({ lots }) => lots.forEach((lot) => bringTo(lot, day, setting)),
});

/**
 * What lies in one lot on the morning of a day, plans carried out; the others are followed no further than it needs. Undefined when
 * there is no such lot. Throws as `runStock` does.
 */
export function contentsOfLotOn(
  books: StockBooks,
  findMaterial: FindMaterial,
  {
    lotId,
    day,
    memory = emptyMemory(),
  }: { readonly lotId: string; readonly day: DayNumber; readonly memory?: StockMemory },
): LotContents | undefined {
  const options = { until: day, withPlans: true, memory };
  const lot = carryOut(books, findMaterial, options).lots.get(lotId);
  if (!lot) return undefined;
  const setting = settingOf(books, options, memory);
  doStep(bringingTo(day, setting), [lot], { setting, memory });
  return lot.version.lot.contents;
}

/** The postings before `until`, carried out one by one, and no lot followed further than that. Throws as `runStock` does. */
export function carryOut(
  books: StockBooks,
  findMaterial: FindMaterial,
  options: StockRunOptions,
): CarriedOut {
  const steps = carryOutInSteps(books, findMaterial, options);
  for (;;) {
    const { done, value } = steps.next();
    if (done) return value;
  }
}

/** The same, stopping after each posting that was not remembered, so that others can be seen to in between. */
export function* carryOutInSteps(
  books: StockBooks,
  findMaterial: FindMaterial,
  options: StockRunOptions,
): Generator<undefined, CarriedOut> {
  const { until, withPlans, memory = emptyMemory() } = options;
  const setting = settingOf(books, options, memory);
  beginRun(memory, JSON.stringify(setting.climate));
  const readings = readingsByLot(books.movements);
  const lots = new Map(
    books.lots.map((record): [string, Standing] => [
      record.id,
      { record, readings: readings.get(record.id) ?? [], version: firstVersion(memory, record) },
    ]),
  );
  const taken = new Map<string, TakenForBed>();
  const burnt = new Map<string, BurnResult>();
  const trail: Trail & { readonly steps: Trail['steps'][number][] } = { from: beginningOf(lots), steps: [] };
  const before = memory.trails.get(withPlans);
  let isOnTrail = before?.from === trail.from;
  for (const step of stepsOf(books, findMaterial)) {
    if (step.day >= until || (step.isPlanned && !withPlans)) continue;
    const named = step.lotIds.flatMap((id) => lots.get(id) ?? []);
    const trodden = isOnTrail ? before?.steps[trail.steps.length] : undefined;
    isOnTrail = trodden?.what === step.what;
    const { remembered, isNew } =
      trodden && isOnTrail
        ? goAgain(trodden.remembered, named, memory)
        : doStep(step, named, { setting, memory });
    trail.steps.push({ what: step.what, remembered });
    remembered.outcome.taken.forEach((value, id) => taken.set(id, value));
    remembered.outcome.burnt.forEach((value, id) => burnt.set(id, value));
    if (isNew) yield;
  }
  memory.trails.set(withPlans, trail);
  return { lots, taken, burnt };
}

let usual: ModelParameters | undefined;
/** The same for every stock. */
const parametersOf = (): ModelParameters => (usual ??= withOverrides());

const settingOf = (
  { site }: StockBooks,
  { withPlans }: Pick<StockRunOptions, 'withPlans'>,
  { keepsLooks }: StockMemory,
): StockSetting => ({
  climate: site.climate,
  parameters: parametersOf(),
  isStrict: !withPlans,
  isLookedAt: keepsLooks,
});

/** What steps are carried out under, and remembered in. */
interface Scene {
  readonly setting: StockSetting;
  readonly memory: StockMemory;
}

/** Carries out a step, or recalls what it came to. Moves the lots on. Mutates memory. */
function doStep(
  step: Pick<Step, 'day' | 'what' | 'run'>,
  named: readonly Standing[],
  scene: Scene,
): DoneStep {
  const { setting, memory } = scene;
  const key = stepKey(step.what, step.day, named);
  const known = recall(memory, key);
  const isKnown = known !== undefined && !(setting.isStrict && known.outcome.isShort);
  const remembered = isKnown ? known : remember(memory, key, workOut(step, named, scene));
  moveOn(named, remembered);
  return { remembered, isNew: !isKnown };
}

interface DoneStep {
  readonly remembered: Remembered;
  readonly isNew: boolean;
}

/** Moves the lots on as in the run before, whose steps said the same so far. Mutates memory. */
function goAgain(remembered: Remembered, named: readonly Standing[], memory: StockMemory): DoneStep {
  remembered.usedIn = memory.run;
  moveOn(named, remembered);
  return { remembered, isNew: false };
}

const moveOn = (named: readonly Standing[], { outcome }: Remembered): void =>
  named.forEach((lot, i) => (lot.version = outcome.versions[i]));

function workOut(
  step: Pick<Step, 'run'>,
  named: readonly Standing[],
  { setting, memory }: Scene,
): StepOutcome {
  const going = named.map(goingOn);
  const taken = new Map<string, TakenForBed>();
  const burnt = new Map<string, BurnResult>();
  step.run({ lots: new Map(going.map((lot) => [lot.record.id, lot])), taken, burnt, setting });
  return {
    versions: going.map((lot, i) => versionOf(memory, lot, named[i].version)),
    taken,
    burnt,
    isShort: going.some(({ lines }) => lines.some(({ missingL }) => missingL > 0)),
  };
}

/** Temperatures that were read, by lot and in order of their days. */
function readingsByLot(movements: readonly Movement[]): ReadonlyMap<string, readonly TemperatureReading[]> {
  const byLot = new Map<string, TemperatureReading[]>();
  movements.forEach((one, i) => {
    if (one.type !== 'reading' || one.temperatureC === null) return;
    const reading = {
      day: dayNumberFromIso(one.date, ['movements', i, 'date']),
      temperatureC: one.temperatureC,
    };
    byLot.set(one.lotId, [...(byLot.get(one.lotId) ?? []), reading]);
  });
  for (const readings of byLot.values()) readings.sort((a, b) => a.day - b.day);
  return byLot;
}

function historyOf(lot: RunningLot, until: DayNumber): LotHistory {
  const last: LotLook[] =
    lot.openedOn === null ? [] : [{ day: until, figures: figuresOf(lot.contents), contents: lot.contents }];
  return {
    lotId: lot.record.id,
    openedOn: lot.openedOn,
    looks: [...lot.looks, ...last],
    lines: lot.lines,
    contents: lot.contents,
    treatment: lot.treatment,
    heatingFrom: lot.heatingFrom,
    balanceError: balanceError(lot),
  };
}
