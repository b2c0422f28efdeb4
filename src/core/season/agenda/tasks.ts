import type { PlantingObjection } from '../../bed/index.ts';
import type { BrewId } from '../../../records/vocabulary.ts';
import type { Entry } from '../../../records/entry.ts';
import type { Movement } from '../../../records/movement.ts';
import type { DayNumber, GroundWarning } from '../../ground/index.ts';

/** Groups by which a calendar can be thinned out. */
export const TASK_GROUPS = ['laying', 'feeding', 'growing', 'yard', 'watching', 'testing'] as const;
export type TaskGroup = (typeof TASK_GROUPS)[number];

export const CHECKS = [
  'sweetManure',
  'manureWorms',
  'manureCrumbs',
  'threads',
  'leaves',
  'thickness',
] as const;
export type Check = (typeof CHECKS)[number];

/** What is to be done, with what a sentence about it needs. Nitrogen in g for the bed unless it says otherwise. */
export type TaskWhat =
  | { readonly code: 'entry'; readonly entry: Entry }
  | {
      readonly code: 'plant';
      readonly cropId: string;
      readonly isSown: boolean;
      /** What speaks against its day. */
      readonly objections: readonly PlantingObjection[];
    }
  | { readonly code: 'clear'; readonly cropId: string }
  | {
      readonly code: 'dose';
      readonly nitrogenG: number;
      readonly materialId: string;
      /** What the nitrogen comes to of the product; null for one that gives less than it takes. */
      readonly massFreshKg: number | null;
      /** The lot it is taken from; null where there is none with so much of it. */
      readonly lotId: string | null;
      readonly cropIds: readonly string[];
      /** What the crops would miss until the next dose without it, and with it. */
      readonly missedWithoutG: number;
      readonly missedWithG: number;
      /** What crops miss more because it was postponed; null when it was not. */
      readonly waitingCostsG: number | null;
    }
  | { readonly code: 'topUp'; readonly nowCm: number; readonly addCm: number; readonly materialId: string }
  | {
      readonly code: 'liftPath';
      readonly layerIds: readonly string[];
      readonly years: number;
      /** Share of its carbon that still looks like what was laid, on the day. */
      readonly recognizableShare: number;
      readonly isCrumbs: boolean;
    }
  | { readonly code: 'safe'; readonly start: 'seedlings' | 'transplants' }
  | { readonly code: 'harvestFrom'; readonly cropId: string; readonly raw: 'manure' | 'urine' }
  /** Frost that kills what stands there is to be reckoned with from the day. */
  | { readonly code: 'firstFrost'; readonly plantingIds: readonly string[]; readonly firstDay: DayNumber }
  | { readonly code: 'lateFrost'; readonly plantingId: string; readonly untilDay: DayNumber }
  /** From the day on the days are warmer on average than the crop bears. */
  | { readonly code: 'heat'; readonly plantingId: string; readonly meanC: number }
  | { readonly code: 'check'; readonly check: Check; readonly aboutId: string }
  | { readonly code: 'retest'; readonly what: 'soil' | 'phAfterAsh' }
  | { readonly code: 'closeYear'; readonly year: number }
  | { readonly code: 'movement'; readonly movement: Movement }
  | { readonly code: 'charReady' }
  | { readonly code: 'stirCharge' }
  | { readonly code: 'coldCheck' }
  | { readonly code: 'measureChar' }
  | { readonly code: 'turnHeap'; readonly days: number }
  | { readonly code: 'seasoned' }
  | { readonly code: 'finished' }
  | { readonly code: 'short'; readonly missingL: number }
  | { readonly code: 'brewStep'; readonly brewId: BrewId; readonly step: string }
  | { readonly code: 'brewReady'; readonly brewId: BrewId; readonly lastDay: DayNumber }
  /** The last day a brew keeps. */
  | { readonly code: 'brewUseBy'; readonly brewId: BrewId };

/** The record that is ticked off with the task; null for what is ticked off by itself. */
export type TaskRecord = {
  readonly type: 'entry' | 'planting' | 'movement' | 'brew';
  readonly id: string;
} | null;

/** Something the records imply. Worked out every time it is needed, so never typed and never out of date. */
export interface Task {
  /** The same for the same task, whatever day it comes to fall on. */
  readonly key: string;
  readonly group: TaskGroup;
  readonly what: TaskWhat;
  readonly bedId: string | null;
  readonly lotId: string | null;
  readonly day: DayNumber;
  readonly record: TaskRecord;
  readonly warnings: readonly GroundWarning[];
  /** What has been lost, or will be, by its being late; null when it is not, or costs nothing that counts. */
  readonly lateCost: LateCost | null;
}

/** Done today instead of on its day, by the model rerun: what the crops miss more, and other differences, per m2. */
export interface LateCost {
  readonly lateDays: number;
  readonly cropMissesG: number;
  readonly paleDays: number;
  /** Nitrogen given off to the air and leached, more than on time, g/m2. */
  readonly lostNitrogenG: number;
}

/** How far back a task that was never done is still listed, and how far ahead tasks are listed, days. */
export const AGENDA_BACK_DAYS = 365;
export const AGENDA_AHEAD_DAYS = 400;

export const isWithinAgenda = (day: DayNumber, today: DayNumber): boolean =>
  day >= today - AGENDA_BACK_DAYS && day <= today + AGENDA_AHEAD_DAYS;
