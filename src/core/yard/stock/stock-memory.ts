import type { DayNumber } from '../../ground/index.ts';
import type { Lot } from '../../../records/lot.ts';
import { READINGS_JOINED_DAYS, type TemperatureReading } from './keeping.ts';
import type { BurnResult } from './movements.ts';
import { createLot, type RunningLot } from './stock-ledger.ts';
import type { TakenForBed } from './stock-steps.ts';

/** A lot as it stood after a step; its looks and lines are those the step added. Nothing in it changes any more. */
export interface LotVersion {
  /** No other version of any lot has it. */
  readonly number: number;
  readonly before: LotVersion | null;
  readonly lot: RunningLot;
}

/** A lot on its way through its steps: where it stands, and all that was ever read of its temperature. */
export interface Standing {
  readonly record: Lot;
  readonly readings: readonly TemperatureReading[];
  version: LotVersion;
}

/** What a step came to: the lots it touched in the order it names them, and what it gave beds and fires. */
export interface StepOutcome {
  readonly versions: readonly LotVersion[];
  readonly taken: ReadonlyMap<string, TakenForBed>;
  readonly burnt: ReadonlyMap<string, BurnResult>;
  /** More was asked for than there was: in strict books that is a refusal. */
  readonly isShort: boolean;
}

export interface Remembered {
  readonly outcome: StepOutcome;
  /** The run in which it was last of use. */
  usedIn: number;
}

/**
 * What steps of the stock came to, so that a run begins where something changed. A step is told apart by all that it says
 * and by the very versions of the lots it names: lots that nothing new has reached are not run again, nor any lot before
 * the day on which something did.
 */
export interface StockMemory {
  /** Whether lots are looked at every week on their way, as pages want it; a proof of the books does not. */
  readonly keepsLooks: boolean;
  /** What every step depends on. */
  ground: string;
  run: number;
  lastNumber: number;
  readonly steps: Map<string, Remembered>;
  /** The last run through without plans, and the last one with them. */
  readonly trails: Map<boolean, Trail>;
}

/** The steps of a run in their order: one that begins alike goes the same way as far as its steps say the same. */
export interface Trail {
  /** How all lots began, and what was read of their temperatures. */
  readonly from: string;
  readonly steps: readonly { readonly what: string; readonly remembered: Remembered }[];
}

export const emptyMemory = ({ keepsLooks = true } = {}): StockMemory => ({
  keepsLooks,
  ground: '',
  run: 0,
  lastNumber: 0,
  steps: new Map(),
  trails: new Map(),
});

/** Runs in which a step may be of no use before it is forgotten: one question takes up to three. */
const FORGOTTEN_AFTER_RUNS = 12;

/** Begins a run on `ground`; what was worked out on another one is forgotten. Mutates memory. */
export function beginRun(memory: StockMemory, ground: string): void {
  if (memory.ground !== ground) {
    memory.steps.clear();
    memory.trails.clear();
  }
  memory.ground = ground;
  memory.run += 1;
}

/** Forgets what has been of no use for a while. Mutates memory. */
export function endRun(memory: StockMemory): void {
  for (const [key, { usedIn }] of memory.steps) {
    if (usedIn <= memory.run - FORGOTTEN_AFTER_RUNS) memory.steps.delete(key);
  }
}

/** What a step came to in a run before; undefined when it must be carried out. Mutates memory. */
export function recall(memory: StockMemory, key: string): Remembered | undefined {
  const known = memory.steps.get(key);
  if (known) known.usedIn = memory.run;
  return known;
}

/** Mutates memory. */
export function remember(memory: StockMemory, key: string, outcome: StepOutcome): Remembered {
  const remembered = { outcome, usedIn: memory.run };
  memory.steps.set(key, remembered);
  return remembered;
}

/** Mutates memory. */
export function versionOf(memory: StockMemory, lot: RunningLot, before: LotVersion | null): LotVersion {
  memory.lastNumber += 1;
  return { number: memory.lastNumber, before, lot };
}

/** The same first version for lots that begin alike, whatever they are called, so that runs share what follows. */
export function firstVersion(memory: StockMemory, record: Lot): LotVersion {
  const { id, keeping, isTurned, isHot } = record;
  const key = JSON.stringify(['begins', id, keeping, isTurned, isHot]);
  const known = recall(memory, key);
  if (known) return known.outcome.versions[0];
  const version = versionOf(memory, createLot(record, []), null);
  remember(memory, key, { versions: [version], taken: new Map(), burnt: new Map(), isShort: false });
  return version;
}

/** A lot that goes on from where it stands, with nothing new yet. */
export const goingOn = ({ record, readings, version }: Standing): RunningLot => ({
  ...version.lot,
  record,
  readings,
  looks: [],
  lines: [],
});

/** By what trails are told apart: all that steps depend on but what they say themselves. */
export const beginningOf = (lots: ReadonlyMap<string, Standing>): string =>
  JSON.stringify([...lots].map(([id, { version, readings }]) => [id, version.number, readings]));

/** The readings by which a lot is aged from where it stands to `day`. */
function readingsUntil(day: DayNumber, { version, readings }: Standing): readonly TemperatureReading[] {
  const from = version.lot.day ?? -Infinity;
  const last = readings.findLast((one) => one.day <= from);
  const next = readings.filter((one) => one.day > from && one.day <= day + READINGS_JOINED_DAYS);
  return last ? [last, ...next] : next;
}

/** By what a step is told apart. */
export const stepKey = (what: string, day: DayNumber, lots: readonly Standing[]): string =>
  [
    what,
    ...lots.flatMap((lot) => [
      lot.version.number,
      ...readingsUntil(day, lot).map((one) => `${one.day}:${one.temperatureC}`),
    ]),
  ].join('|');

/** Everything a lot has been through, in order. */
export function wholeLot({ record, readings, version }: Standing): RunningLot {
  const chain: RunningLot[] = [];
  for (let one: LotVersion | null = version; one; one = one.before) chain.push(one.lot);
  chain.reverse();
  return {
    ...version.lot,
    record,
    readings,
    looks: chain.flatMap(({ looks }) => looks),
    lines: chain.flatMap(({ lines }) => lines),
  };
}
