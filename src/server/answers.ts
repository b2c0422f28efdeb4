import type { Context, TypedResponse } from 'hono';
import { notFound, stale } from './problems.ts';
import type { RemovalOutcome, WriteOutcome } from './stores.ts';

/** JSON that is text already: what a thread has made of a large answer. */
export interface JsonText<Body> {
  readonly text: string;
  /** What the text says; never there. */
  readonly says?: Body;
}

/** Answers with it as `c.json` answers with a value. */
export const jsonText = <Body, Status extends 200 | 201>(
  c: Context,
  { text }: JsonText<Body>,
  status: Status,
): Response & TypedResponse<Body, Status, 'json'> =>
  c.body(text, status, { 'Content-Type': 'application/json' }) as unknown as Response &
    TypedResponse<Body, Status, 'json'>;

/** The record as written; throws a problem when it is gone or was changed meanwhile. */
export function requireWritten<Record>(result: WriteOutcome<Record>, what: string): Record {
  if (result.outcome === 'missing') throw notFound(what);
  if (result.outcome === 'stale') throw stale(result.current);
  return result.current;
}

/** Throws a problem unless the record has been removed. */
export function requireRemoved<Record>(result: RemovalOutcome<Record>, what: string): void {
  if (result.outcome === 'missing') throw notFound(what);
  if (result.outcome === 'stale') throw stale(result.current);
}

export function requireFound<Record>(record: Record | undefined, what: string): Record {
  if (record === undefined) throw notFound(what);
  return record;
}

/** Throws a problem carrying the newer record unless the caller has seen this version. */
export function requireSeen(current: { readonly version: number }, seenVersion: number): void {
  if (current.version !== seenVersion) throw stale(current);
}

/**
 * The record an earlier request of the same id has made, for a request that was merely sent again. Throws a
 * problem carrying that record when the two say different things: answering as if it were kept would lose one.
 */
export function sentAgain<Record extends object>(
  known: Record | undefined,
  draft: object,
): Record | undefined {
  if (!known) return undefined;
  const kept = new Map(Object.entries(known));
  const isSame = Object.entries(draft).every(
    ([field, value]) => JSON.stringify(kept.get(field)) === JSON.stringify(value),
  );
  if (!isSame) throw stale(known);
  return known;
}
