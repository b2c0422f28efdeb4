import type { MiddlewareHandler } from 'hono';
import { bodyLimit } from 'hono/body-limit';
import { secureHeaders } from 'hono/secure-headers';
import type { BooksState } from '../contract/backups.ts';
import { IN_WORDS, ProblemError } from './problems.ts';

/** No request but a file needs more. */
const LARGEST_BODY_BYTES = 1024 * 1024;
const LARGEST_PHOTO_BYTES = 8 * LARGEST_BODY_BYTES;
const LARGEST_TABLE_BYTES = 64 * LARGEST_BODY_BYTES;
export const FILE_PATH = /^\/api\/(gardens\/[^/]+\/)?imports$/;
/** A garden file is read as it comes, by whoever takes it. */
export const STREAMED_PATH = '/api/imports';
const PHOTO_PATH = /^\/api\/gardens\/[^/]+\/photos\/[^/]+$/;
const LOOPBACK_NAMES = new Set(['127.0.0.1', 'localhost', '[::1]']);
/** Requests that write nothing. */
export const READING: ReadonlySet<string> = new Set(['GET', 'HEAD']);

function hostName(authority: string): string {
  try {
    return new URL(`http://${authority}`).hostname;
  } catch {
    return '';
  }
}

const FETCH_SITES = new Set(['same-origin', 'none']);

/** Only pages of this very server may talk to it: no rebound names, nothing written or read by other sites. */
export const sameHostOnly = (hosts: readonly string[] = []): MiddlewareHandler => {
  const known = new Set([...LOOPBACK_NAMES, ...hosts]);
  return async (c, next) => {
    const host = c.req.header('host') ?? '';
    if (!known.has(hostName(host))) {
      throw new ProblemError(403, 'Refused', 'Vine Ledger answers only to the names it was started for.');
    }
    const origin = c.req.header('origin');
    const isOwnPage = origin === undefined || [`http://${host}`, `https://${host}`].includes(origin);
    const site = c.req.header('sec-fetch-site');
    const isOwnSite = site === undefined || FETCH_SITES.has(site);
    if (!READING.has(c.req.method) && !(isOwnPage && isOwnSite)) {
      throw new ProblemError(403, 'Refused', 'Another site may not change these gardens.');
    }
    if (!isOwnSite && c.req.path.startsWith('/api/')) {
      throw new ProblemError(403, 'Refused', 'Another site may not read these gardens.');
    }
    await next();
  };
};

const WAYS_OUT = /^\/api\/(session|backups\/[^/]+\/restore)$/;

/** Books that are damaged or cannot be written to are read, saved and restored, and nothing else. */
export const readOnlyUnlessSound =
  (state: () => BooksState): MiddlewareHandler =>
  async (c, next) => {
    const { kind } = state();
    if (kind !== 'sound' && !READING.has(c.req.method) && !WAYS_OUT.test(c.req.path)) {
      throw new ProblemError(503, 'Read only', IN_WORDS[kind]);
    }
    await next();
  };

/** What is too large is still taken off the line up to here: a sender who is cut off never reads why. */
const MOST_DISCARDED_BYTES = 2 * LARGEST_TABLE_BYTES;

/** Reads a body and keeps nothing of it; false when it is cut off, or when others hold the reading of it. */
export async function discarded(body: ReadableStream<Uint8Array> | null): Promise<boolean> {
  // A body sent in chunks, without its length, was begun to be read to measure it.
  if (body?.locked) return false;
  const reader = body?.getReader();
  let bytes = 0;
  while (reader) {
    const { done, value } = await reader.read();
    if (done) return true;
    bytes += value.length;
    if (bytes > MOST_DISCARDED_BYTES) return false;
  }
  return true;
}

/** Says how much of anything of its kind is taken, in words. */
export const tooLarge = (most: string): ProblemError =>
  new ProblemError(413, 'Too large', `That is more than ${most}; nothing was saved.`);

const limitedTo = (maxSize: number, inWords: string): MiddlewareHandler =>
  bodyLimit({
    maxSize,
    onError: async (c) => {
      // What is left of it is never read then, so nothing else can come over this connection.
      if (!(await discarded(c.req.raw.body))) c.header('Connection', 'close');
      throw tooLarge(inWords);
    },
  });

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

/** Puts off whoever sends something large while much is being read already. */
export function roomForBodies(): MiddlewareHandler {
  let inFlightBytes = 0;
  return async (c, next) => {
    if (READING.has(c.req.method)) return next();
    const most = largestAt(c.req.path);
    const told = c.req.header('content-length');
    // Of what is sent in chunks nobody knows how much comes.
    const bytes = told === undefined ? most : Math.min(most, Number(told));
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

/** What is told of a garden is kept in no cache, but for what says itself how it may be. */
export const uncached: MiddlewareHandler = async (c, next) => {
  await next();
  if (!c.res.headers.has('cache-control')) c.res.headers.set('Cache-Control', 'no-store');
};

/** The component library writes its styles into the page, hence unsafe-inline for styles alone. */
export const headers = secureHeaders({
  // Of other names of the same domain we know nothing.
  strictTransportSecurity: 'max-age=15552000',
  contentSecurityPolicy: {
    defaultSrc: ["'none'"],
    // The solver of the mixing bench is WebAssembly.
    scriptSrc: ["'self'", "'wasm-unsafe-eval'"],
    styleSrc: ["'self'", "'unsafe-inline'"],
    fontSrc: ["'self'"],
    imgSrc: ["'self'", 'data:'],
    connectSrc: ["'self'"],
    workerSrc: ["'self'"],
    manifestSrc: ["'self'"],
    formAction: ["'none'"],
    frameAncestors: ["'none'"],
    baseUri: ["'none'"],
  },
});
