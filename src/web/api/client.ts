import { hc } from 'hono/client';
import type { Problem } from '../../contract/problem.ts';
import type { Api } from '../../server/app.ts';
import { fetchWithChanges } from './books-in-hand.ts';
import { ProblemFailure, UnreachableFailure } from './failures.ts';

export const client = hc<Api>(window.location.origin, { fetch: fetchWithChanges });

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

const UNADMITTED = 401;
const LOGIN = '/login';

/** Leads to where the passphrase is said, and back afterwards. */
function sayPassphrase(): void {
  const { pathname, search } = window.location;
  window.location.assign(`${LOGIN}?to=${encodeURIComponent(pathname + search)}`);
}

export interface HttpAnswer<Body> {
  readonly ok: boolean;
  readonly headers: Headers;
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
  if (!response.ok) {
    const problem = await problemOf(response as unknown as Response);
    if (problem.status === UNADMITTED && window.location.pathname !== LOGIN) sayPassphrase();
    throw new ProblemFailure(problem);
  }
  return response;
}
