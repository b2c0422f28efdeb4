import { hc } from 'hono/client';
import type { Problem } from '../../contract/records.ts';
import type { Api } from '../../server/app.ts';

export const client = hc<Api>(window.location.origin);

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

async function problemOf(response: Response): Promise<Problem> {
  try {
    return (await response.json()) as Problem;
  } catch {
    const { status } = response;
    return {
      type: 'about:blank',
      title: 'Something broke',
      status,
      detail: `The server answered ${status}.`,
    };
  }
}

export interface HttpAnswer<Body> {
  readonly ok: boolean;
  json(): Promise<Body>;
}

/** The body of a good answer; throws ProblemFailure or UnreachableFailure otherwise. */
export async function bodyOf<Body>(asked: Promise<HttpAnswer<Body>>): Promise<Body> {
  const response = await answered(asked);
  return response.json();
}

/** Like bodyOf for answers without a body. */
export async function answered<Body>(asked: Promise<HttpAnswer<Body>>): Promise<HttpAnswer<Body>> {
  let response: HttpAnswer<Body>;
  try {
    response = await asked;
  } catch {
    throw new UnreachableFailure();
  }
  if (!response.ok) throw new ProblemFailure(await problemOf(response as unknown as Response));
  return response;
}

/** Sentences of a failure, by field; what belongs to no field is under the empty name. */
export function sentencesOf(failure: unknown): Record<string, string> {
  if (failure instanceof ProblemFailure && failure.problem.errors) {
    return Object.fromEntries(failure.problem.errors.map(({ field, sentence }) => [field, sentence]));
  }
  return failure instanceof Error ? { '': failure.message } : {};
}
