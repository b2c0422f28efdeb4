import type { MiddlewareHandler } from 'hono';
import { secureHeaders } from 'hono/secure-headers';
import type { BooksState } from '../contract/backups.ts';
import { IN_WORDS, ProblemError } from './problems.ts';

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
