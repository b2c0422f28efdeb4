import type { MiddlewareHandler } from 'hono';
import { parsedOrNull, STREAMED_PATH } from './bodies.ts';
import { READING } from './guards.ts';
import { ProblemError } from './problems.ts';

/** Only an escape can bring half a character into JSON: bytes that are none are read as whole ones. */
const ESCAPED_HALF = /\\u[dD][89a-fA-F]/;

const LONE_HALF = /\p{Surrogate}/u;

/** Where in a value a text holds one half of a character without the other, as a path with dots; null when none does. */
function halfCharacterAt(value: unknown, path = ''): string | null {
  if (typeof value === 'string') return LONE_HALF.test(value) ? path : null;
  if (typeof value !== 'object' || value === null) return null;
  for (const [key, inner] of Object.entries(value)) {
    const found = halfCharacterAt(inner, path === '' ? key : `${path}.${key}`);
    if (found !== null) return found;
  }
  return null;
}

/** Throws a problem for a text that would be kept otherwise than it was sent. */
export function requireWholeCharacters(value: unknown): void {
  const at = halfCharacterAt(value);
  if (at === null) return;
  throw new ProblemError(
    422,
    'Not accepted',
    `The text of ${at === '' ? 'the body' : at} holds half a character, which cannot be kept. Type it anew.`,
  );
}

/** Looks at what a request with a JSON body is to write. */
export const wholeCharactersOnly: MiddlewareHandler = async (c, next) => {
  const isRead = !READING.has(c.req.method) && c.req.header('content-type')?.includes('json') === true;
  if (isRead && c.req.path !== STREAMED_PATH) {
    const text = await c.req.text();
    if (ESCAPED_HALF.test(text)) requireWholeCharacters(parsedOrNull(text));
  }
  await next();
};
