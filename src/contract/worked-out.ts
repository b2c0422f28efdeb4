import type { BedBrief } from '../core/bed/index.ts';
import type { Task } from '../core/season/index.ts';
import type { BooksMark } from './changes.ts';

/** Raised whenever the shape of the answers changes, so that a page of another version ignores them. */
export const WORKED_OUT_VERSION = 1;

/** What the pages of a whole garden ask about one bed. */
export interface WorkedOutBed {
  readonly bedId: string;
  readonly brief: BedBrief;
  readonly tasks: readonly Task[];
}

/** What the server worked out of a garden before anybody asked; it holds for the books of this mark on this day alone. */
export interface WorkedOutGarden {
  readonly version: number;
  /** Of the model. */
  readonly model: number;
  readonly mark: BooksMark;
  /** ISO date. */
  readonly today: string;
  readonly beds: readonly WorkedOutBed[];
}
