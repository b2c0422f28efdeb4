import type { Context } from 'hono';
import { HTTPException } from 'hono/http-exception';
import type { ContentfulStatusCode } from 'hono/utils/http-status';
import type { Problem } from '../contract/records.ts';
import { fieldName } from '../contract/problem-fields.ts';
import { InputError } from '../core/input-error.ts';
import { IdTaken } from './stores.ts';

/** Something the caller should hear about, as problem details (RFC 9457). */
export class ProblemError extends Error {
  constructor(
    readonly status: ContentfulStatusCode,
    readonly title: string,
    detail: string,
    readonly extra: Partial<Problem> = {},
  ) {
    super(detail);
  }
}

export const notFound = (what: string): ProblemError =>
  new ProblemError(404, 'Not found', `There is no such ${what}; it may have been removed.`);

export const stale = (current: unknown): ProblemError =>
  new ProblemError(
    409,
    'Changed meanwhile',
    'Someone, or another window, has changed this since you opened it. Nothing was overwritten.',
    { current },
  );

/** Input that was understood and cannot be kept, field by field. */
export const invalid = (errors: NonNullable<Problem['errors']>): ProblemError =>
  new ProblemError(422, 'Not accepted', errors.map(({ sentence }) => sentence).join(' '), { errors });

/** An error of the model about records, led by the field of the draft when it is about that draft. */
export const fromInputError = (error: InputError): ProblemError => {
  const field = fieldName(error.path);
  return invalid([{ field, sentence: `${field} ${error.requirement}.` }]);
};

function asProblemError(error: Error): ProblemError {
  if (error instanceof ProblemError) return error;
  if (error instanceof InputError) return fromInputError(error);
  if (error instanceof IdTaken) {
    const detail = 'This id belongs to something that was removed; bring that back, or send a new id.';
    return new ProblemError(409, 'Removed meanwhile', detail);
  }
  if (error instanceof HTTPException) {
    return new ProblemError(error.status, 'Not accepted', error.message);
  }
  console.error(error);
  return new ProblemError(
    500,
    'Something broke',
    'The server failed; nothing was changed. Its log says why.',
  );
}

/** Answers an error as problem details. */
export function answerProblem(error: Error, c: Context): Response {
  const { status, title, message, extra } = asProblemError(error);
  const problem: Problem = { type: 'about:blank', title, status, detail: message, ...extra };
  return c.body(JSON.stringify(problem), status, { 'Content-Type': 'application/problem+json' });
}
