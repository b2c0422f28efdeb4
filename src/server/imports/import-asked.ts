import type { Problem } from '../../contract/problem.ts';
import type { Visitor } from '../../contract/people.ts';
import type { HeavyThread } from '../heavy-thread.ts';
import type { ProblemError } from '../problems.ts';
import type { Stores } from '../stores.ts';

/** What of the books an import works with. */
export interface ImportSetting {
  readonly stores: Stores;
  /** ISO date. */
  readonly today: () => string;
  readonly newId: () => string;
}

/** What the thread is asked. */
export interface ImportAsked {
  /** A copy of the file of the books. */
  readonly copy: string;
  /** An ImportJob as JSON, in pieces. */
  readonly job: readonly string[];
  readonly today: string;
  readonly who: Visitor;
}

/** Under which ids pictures of a file are to be kept, by their place in it. */
export type KeptPictures = readonly (readonly [index: number, id: string])[];

/** What the thread answers: the outcome as JSON, or why there is none. */
export type ImportDone =
  | {
      readonly ok: true;
      readonly outcome: string;
      /** Whether anything of it stands in the copy. */
      readonly isKept: boolean;
      readonly pictures: KeptPictures;
    }
  | {
      readonly ok: false;
      readonly problem: Pick<ProblemError, 'status' | 'title'> & {
        readonly detail: string;
        readonly extra: Partial<Problem>;
      };
    };

/** Reads large files in away from everybody else. */
export type ImportThread = HeavyThread<(asked: ImportAsked) => ImportDone>;
