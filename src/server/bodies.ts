import type { Context, MiddlewareHandler } from 'hono';
import { bodyLimit } from 'hono/body-limit';
import { READING } from './guards.ts';
import { ProblemError } from './problems.ts';

/** No request but a file needs more. */
const LARGEST_BODY_BYTES = 1024 * 1024;
const LARGEST_PHOTO_BYTES = 8 * LARGEST_BODY_BYTES;
const LARGEST_TABLE_BYTES = 64 * LARGEST_BODY_BYTES;
export const FILE_PATH = /^\/api\/(gardens\/[^/]+\/)?imports$/;
/** A garden file is read as it comes, by whoever takes it. */
export const STREAMED_PATH = '/api/imports';
const PHOTO_PATH = /^\/api\/gardens\/[^/]+\/photos\/[^/]+$/;

/** What is too large is still taken off the line up to here: a sender who is cut off never reads why. */
const MOST_DISCARDED_BYTES = 2 * LARGEST_TABLE_BYTES;

/** Reads a body and keeps its first `most` bytes; whether there were more, and whether its end was seen. */
async function readUpTo(body: ReadableStream<Uint8Array>, most: number) {
  const chunks: Uint8Array[] = [];
  let bytes = 0;
  // Cancelling the rest would close the connection before the answer is sent.
  for await (const chunk of body.values({ preventCancel: true })) {
    bytes += chunk.length;
    if (bytes <= most) chunks.push(chunk);
    if (bytes > MOST_DISCARDED_BYTES) return { chunks, isLarger: true, isWhole: false };
  }
  return { chunks, isLarger: bytes > most, isWhole: true };
}

/** Reads a body and keeps nothing of it; false when it is cut off, or when others hold the reading of it. */
export const discarded = async (body: ReadableStream<Uint8Array> | null): Promise<boolean> =>
  body === null || (!body.locked && (await readUpTo(body, 0)).isWhole);

/** Says how much of anything of its kind is taken, in words. */
export const tooLarge = (most: string): ProblemError =>
  new ProblemError(413, 'Too large', `That is more than ${most}; nothing was saved.`);

/** When not all of a body was read, nothing else can come over its connection. */
function refuseTooLarge(c: Context, isWhole: boolean, inWords: string): never {
  if (!isWhole) c.header('Connection', 'close');
  throw tooLarge(inWords);
}

function limitedTo(maxSize: number, inWords: string): MiddlewareHandler {
  const byLength = bodyLimit({
    maxSize,
    onError: async (c) => refuseTooLarge(c, await discarded(c.req.raw.body), inWords),
  });
  return async (c, next) => {
    const { body } = c.req.raw;
    if (!body || c.req.header('content-length') !== undefined) return byLength(c, next);
    // The size of a body sent in chunks is known only at its end.
    const { chunks, isLarger, isWhole } = await readUpTo(body, maxSize);
    if (isLarger) refuseTooLarge(c, isWhole, inWords);
    c.req.raw = new Request(c.req.raw, { body: Buffer.concat(chunks) });
    return next();
  };
}

const limitedRecords = limitedTo(LARGEST_BODY_BYTES, '1 MB');
const limitedPhoto = limitedTo(LARGEST_PHOTO_BYTES, '8 MB');
const limitedTable = limitedTo(LARGEST_TABLE_BYTES, '64 MB');

/** Photos and tables may be larger than anything else. */
export const limitedBody: MiddlewareHandler = (c, next) => {
  if (c.req.path === STREAMED_PATH) return next();
  if (FILE_PATH.test(c.req.path)) return limitedTable(c, next);
  return (PHOTO_PATH.test(c.req.path) ? limitedPhoto : limitedRecords)(c, next);
};

/** What may be in memory of all bodies together; a garden file is not held there. */
const MOST_IN_FLIGHT_BYTES = 256 * LARGEST_BODY_BYTES;
const TRY_AGAIN_SECONDS = 5;

/** The most that the body at a path may hold. */
function largestAt(path: string): number {
  if (path === STREAMED_PATH) return 0;
  if (FILE_PATH.test(path)) return LARGEST_TABLE_BYTES;
  return PHOTO_PATH.test(path) ? LARGEST_PHOTO_BYTES : LARGEST_BODY_BYTES;
}

/** Refuses something large, for now, while much is being read already. */
export function roomForBodies(): MiddlewareHandler {
  let inFlightBytes = 0;
  return async (c, next) => {
    if (READING.has(c.req.method)) return next();
    const most = largestAt(c.req.path);
    const told = c.req.header('content-length');
    // Of what is sent in chunks nobody knows how much comes.
    const bytes = Math.min(most, Number(told ?? most) || 0);
    if (bytes > LARGEST_BODY_BYTES && inFlightBytes + bytes > MOST_IN_FLIGHT_BYTES) {
      c.header('Retry-After', String(TRY_AGAIN_SECONDS));
      throw new ProblemError(
        503,
        'Busy',
        'Other large files are being read. Send this one again in a moment.',
      );
    }
    inFlightBytes += bytes;
    try {
      return await next();
    } finally {
      inFlightBytes -= bytes;
    }
  };
}

/** Bodies are JSON, but those of photos. */
export const jsonOnly: MiddlewareHandler = async (c, next) => {
  const type = c.req.header('content-type');
  const hasBody = type !== undefined && !READING.has(c.req.method);
  if (hasBody && !/[/+]json\b/i.test(type) && !PHOTO_PATH.test(c.req.path)) {
    throw new ProblemError(415, 'Not accepted', `Send the body as application/json; this one is ${type}.`);
  }
  await next();
};

export const DEEPEST_JSON = 40;

export const nestedTooDeep = (): ProblemError =>
  new ProblemError(400, 'Not accepted', 'The file is nested deeper than any of ours; nothing was saved.');

/** How deep the brackets of a text lie in each other, strings aside. */
function depthOf(text: string): number {
  let depth = 0;
  let deepest = 0;
  let isInString = false;
  for (let i = 0; i < text.length; i++) {
    const sign = text.charCodeAt(i);
    if (isInString) {
      if (sign === 0x5c) i += 1;
      else if (sign === 0x22) isInString = false;
    } else if (sign === 0x22) isInString = true;
    else if (sign === 0x7b || sign === 0x5b) deepest = Math.max(deepest, ++depth);
    else if (sign === 0x7d || sign === 0x5d) depth -= 1;
  }
  return deepest;
}

/** Nothing we write is nested deeply; what is would only exhaust whoever walks it. */
export const shallowJson: MiddlewareHandler = async function shallowJson(c, next) {
  const isRead = c.req.header('content-type')?.includes('json') === true && c.req.path !== STREAMED_PATH;
  if (isRead && depthOf(await c.req.text()) > DEEPEST_JSON) throw nestedTooDeep();
  await next();
};

/** The text of a body as JSON, or null: what cannot be read is refused by whoever reads it. */
export function parsedOrNull(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return null;
  }
}
