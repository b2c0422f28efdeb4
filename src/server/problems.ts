import type { Context } from 'hono';
import { HTTPException } from 'hono/http-exception';
import type { ContentfulStatusCode } from 'hono/utils/http-status';
import type { Problem } from '../contract/problem.ts';
import type { Finding, FieldPath, Refusal } from '../refusals/refusal.ts';
import { fieldOf, finding } from '../refusals/refusal.ts';
import { InputError } from '../refusals/input-error.ts';
import { fieldWords } from '../words/field-words.ts';
import { refusalSentence, describeFinding } from '../words/refusal-words.ts';
import { IdTaken } from './stores.ts';
import { capitalized } from '../words/capitalized.ts';

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
export function invalid(findings: readonly Finding[]): ProblemError {
  const errors = findings.map(describeFinding);
  return new ProblemError(422, 'Not accepted', errors.map(({ sentence }) => sentence).join(' '), { errors });
}

/** An error of the model about records, led by the field of the draft when it is about that draft. */
export const fromInputError = (error: InputError): ProblemError =>
  invalid([finding(error.refusal, fieldOf(error.path))]);

/** Something kept already that a write would make impossible; `what` is its title. */
export const contradiction = (what: string, path: FieldPath, refused: Refusal): ProblemError => {
  const why = refusalSentence(`its ${fieldWords(fieldOf(path))}`, refused);
  const title = capitalized(what);
  const detail = `${title}, would no longer make sense: ${why} Change that one first.`;
  return new ProblemError(422, 'Not accepted', detail);
};

/** Why nothing can be written, and what to do. */
export const IN_WORDS = {
  damaged:
    'The file of the books is damaged, so nothing is written into it. On the page “Your data” you can save what can still be read, and restore a backup.',
  readOnly:
    'The file of the books cannot be written to: the disk is full, or it may only be read. Make room or mend that, then start Vine Ledger again. Nothing was changed.',
  replaced:
    'The file of the books was moved, deleted or replaced while Vine Ledger had it open, so nothing more is written. All that was saved until then can still be read: save the garden as a file on the page “Your data”, put the file back, and start Vine Ledger again.',
  overwritten:
    'Another program has written into the file of the books while Vine Ledger had it open, so nothing more is written. Do not trust what is shown: restore a backup on the page “Your data”; the file as it is now is kept beside it.',
} as const;

/** Whether the database refused what was to be written, without a word that a gardener would understand. */
export const isConstraint = (error: unknown): boolean =>
  error instanceof Error &&
  'code' in error &&
  typeof error.code === 'string' &&
  error.code.startsWith('SQLITE_CONSTRAINT');

/** Whether the database driver has come upon pages that do not hold. */
export const isDamage = (error: unknown): boolean =>
  error instanceof Error && 'code' in error && /^SQLITE_(CORRUPT|NOTADB)/.test(String(error.code));

/** What the database driver says when the disk, not the request, is at fault; undefined for all else. */
function diskProblem(error: Error): ProblemError | undefined {
  const code = 'code' in error && typeof error.code === 'string' ? error.code : '';
  if (code === 'SQLITE_FULL' || code === 'ENOSPC' || code === 'EFBIG') {
    const detail =
      'The disk is full: nothing was written. Make room, then send it again; what you typed is still here.';
    return new ProblemError(507, 'Disk full', detail);
  }
  if (/^SQLITE_(READONLY|IOERR|CANTOPEN|PERM)/.test(code) || ['EROFS', 'EACCES', 'EPERM'].includes(code)) {
    return new ProblemError(503, 'Read only', IN_WORDS.readOnly);
  }
  if (isDamage(error)) return new ProblemError(503, 'Damaged', IN_WORDS.damaged);
  if (code.startsWith('SQLITE_BUSY')) {
    return new ProblemError(
      503,
      'Busy',
      'Another program holds the file of the books; try again in a moment.',
    );
  }
  if (isConstraint(error)) {
    return new ProblemError(
      422,
      'Not accepted',
      'This does not fit with what is in the books; nothing was changed.',
    );
  }
  return undefined;
}

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
  const disk = diskProblem(error);
  if (disk) return disk;
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
