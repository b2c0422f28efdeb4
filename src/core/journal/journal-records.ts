import type { BrewId } from '../brews/brew-recipes.ts';
import type { Squeeze } from '../judging/judging.ts';

/** What is written down about a garden beside its postings: what was seen, ticked off, tried and closed. */

/** Leaf color of the older leaves, from yellow (1) to dark green (4). */
export const LEAF_STEPS = [1, 2, 3, 4] as const;
export type LeafStep = (typeof LEAF_STEPS)[number];
export const VIGORS = ['stalled', 'slow', 'steady', 'strong'] as const;
export type Vigor = (typeof VIGORS)[number];
export const HOW_MANY = ['none', 'some', 'many'] as const;
export type HowMany = (typeof HOW_MANY)[number];
export const SMELLS = ['none', 'earthy', 'sour', 'rotten', 'ammonia'] as const;
export type Smell = (typeof SMELLS)[number];
export const WATER_BEHAVIORS = ['soaksIn', 'stands', 'runsOff'] as const;
export type WaterBehavior = (typeof WATER_BEHAVIORS)[number];

/** What can be seen on a plant that is not well, and on the ground beneath it. */
export const PLANT_SIGNS = [
  'olderLeavesFirst',
  'youngLeavesFirst',
  'greenVeins',
  'wholePlantPale',
  'purpleLeaves',
  'brownEdges',
  'limpAtNoon',
  'limpAllDay',
  'seedlings',
  'justPlantedOut',
  'rootsEaten',
  'rootsBrown',
  'rootsCircling',
  'spotsOrMould',
  'soilSoaked',
  'soilDry',
  'soilCold',
  'neighborFine',
  'neighborPaleToo',
] as const;
export type PlantSign = (typeof PLANT_SIGNS)[number];

/** One thing seen, measured or done in the garden. Units are in the names. */
export type Observed =
  | { readonly type: 'leafColor'; readonly step: LeafStep }
  | { readonly type: 'growth'; readonly vigor: Vigor }
  | { readonly type: 'threads'; readonly amount: HowMany }
  | { readonly type: 'worms'; readonly count: number }
  /** Of one layer, or of all that lies there when `layerId` is null. */
  | { readonly type: 'thickness'; readonly layerId: string | null; readonly thicknessCm: number }
  | { readonly type: 'smell'; readonly smell: Smell }
  | { readonly type: 'squeeze'; readonly squeeze: Squeeze }
  | { readonly type: 'waterBehavior'; readonly behavior: WaterBehavior }
  | { readonly type: 'hours'; readonly hours: number }
  | { readonly type: 'soilTemperature'; readonly temperatureC: number }
  | { readonly type: 'yield'; readonly massKg: number }
  | { readonly type: 'signs'; readonly signs: readonly PlantSign[]; readonly beganOn: string | null }
  | { readonly type: 'note' };
export type ObservedType = Observed['type'];

interface Journaled {
  readonly id: string;
  /** ISO date. */
  readonly date: string;
  readonly note: string;
}

export interface Observation extends Journaled {
  readonly kind: 'observation';
  readonly bedId: string;
  readonly plantingId: string | null;
  readonly photoId: string | null;
  readonly observed: Observed;
}

export const MARK_STATES = ['done', 'snoozed', 'dropped'] as const;
/** A task of the calendar ticked off, put off or struck out. `date` is when that was done. */
export interface TaskMark extends Journaled {
  readonly kind: 'mark';
  readonly taskKey: string;
  readonly state: (typeof MARK_STATES)[number];
  /** The day the task was due when it was marked: one that comes round again is another. */
  readonly dueOn: string;
  /** Put off until this day. */
  readonly untilDate: string | null;
}

export const BREW_STATES = ['going', 'used', 'discarded'] as const;
/** A brew set up on `date`. */
export interface BrewRecord extends Journaled {
  readonly kind: 'brew';
  readonly brewId: BrewId;
  readonly litres: number;
  readonly state: (typeof BREW_STATES)[number];
}

export const TRIAL_PLACES = ['plots', 'corners', 'pots'] as const;
/** Treatments side by side, begun on `date`. Where each lies follows from the seed. */
export interface TrialRecord extends Journaled {
  readonly kind: 'trial';
  readonly bedId: string | null;
  readonly name: string;
  readonly place: (typeof TRIAL_PLACES)[number];
  /** The first one is what the others are held against. */
  readonly treatments: readonly string[];
  readonly repeats: number;
  readonly seed: number;
  readonly measure: string;
  readonly unit: string;
  readonly isMoreBetter: boolean;
}

/** What was measured on one plot of a trial. */
export interface PlotReading extends Journaled {
  readonly kind: 'plotReading';
  readonly trialId: string;
  /** Counted from 0 in the order of placement. */
  readonly plot: number;
  readonly value: number;
}

export const YEAR_CHOICES = ['stack', 'pull', 'rest'] as const;
export type YearChoice = (typeof YEAR_CHOICES)[number];
/** The books of a bed closed for a year, with the balances as they were that day. */
export interface YearClose extends Journaled {
  readonly kind: 'yearClose';
  readonly bedId: string;
  readonly year: number;
  readonly choice: YearChoice | null;
  /** g C and g N per m2 in the books when it was closed. */
  readonly carbonGPerM2: number;
  readonly nitrogenGPerM2: number;
  readonly organicMatterPct: number;
}

export type JournalRecord = Observation | TaskMark | BrewRecord | TrialRecord | PlotReading | YearClose;
export type JournalKind = JournalRecord['kind'];

export const isObservation = (record: JournalRecord): record is Observation => record.kind === 'observation';
export const isMark = (record: JournalRecord): record is TaskMark => record.kind === 'mark';
