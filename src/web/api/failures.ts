import type { Problem } from '../../contract/problem.ts';

/** What the server refused, with its reasons. */
export class ProblemFailure extends Error {
  constructor(readonly problem: Problem) {
    super(problem.detail);
  }
}

/** The server could not be asked at all. */
export class UnreachableFailure extends Error {
  constructor() {
    super('The books cannot be reached. Is Vine Ledger still running? What you typed is still here.');
  }
}

/** Sentences of a failure, by field; what belongs to no field is under the empty name. */
export function sentencesOf(failure: unknown): Record<string, string> {
  if (failure instanceof ProblemFailure && failure.problem.errors) {
    return Object.fromEntries(failure.problem.errors.map(({ field, sentence }) => [field, sentence]));
  }
  return failure instanceof Error ? { '': failure.message } : {};
}
