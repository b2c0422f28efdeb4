import type { Place, RefusalCode } from '../refusals/refusal.ts';

/** A finding as the API sends it: what is wrong, where, and the same in a sentence. */
export interface FieldProblem {
  readonly field: string;
  readonly sentence: string;
  readonly code: RefusalCode;
  readonly facts: object | null;
  readonly at: Place;
}

/** RFC 9457 problem details, with what is wrong field by field. */
export interface Problem {
  readonly type: string;
  readonly title: string;
  readonly status: number;
  readonly detail: string;
  readonly errors?: readonly FieldProblem[];
  /** The newer record, when a stale one was sent. */
  readonly current?: unknown;
}
