import { finding, refusal } from '../../refusals/refusal.ts';
import { describeFinding } from '../../words/refusal-words.ts';
import { getConnInfo } from '@hono/node-server/conninfo';
import { Hono, type Context, type MiddlewareHandler } from 'hono';
import { deleteCookie, getCookie, setCookie } from 'hono/cookie';
import { login, type Login, type Visitor } from '../../contract/people.ts';
import type { AppContext } from '../app-context.ts';
import { invalid, notFound, ProblemError } from '../problems.ts';
import { requireRight } from '../rights.ts';
import { inTheNameOf } from '../visitor.ts';
import { body } from './validated.ts';

const COOKIE = 'vine_ledger_session';
/** Sent back over https only, and set by no other name of the same domain. */
const HTTPS_COOKIE = `__Host-${COOKIE}`;
const OPEN_PATHS = new Set(['/api/session', '/api/health']);
interface SessionState {
  readonly isNeeded: boolean;
  readonly isAdmitted: boolean;
  /** Whoever is in; null before anybody is. */
  readonly visitor: Visitor | null;
}
const OPEN_BOOKS: SessionState = { isNeeded: false, isAdmitted: true, visitor: { role: 'keeper' } };

const tokenIn = (c: Context): string | undefined => getCookie(c, HTTPS_COOKIE) ?? getCookie(c, COOKIE);

/** Whoever asks, as the connection has it, or as a proxy that is believed says: it adds its own caller as the last. */
function callerOf(c: Context, trustsProxy: boolean): string {
  const told = trustsProxy ? c.req.header('x-forwarded-for')?.split(',').at(-1)?.trim() : undefined;
  return told || (getConnInfo(c).remote.address ?? '');
}

/** Nobody reads or writes the books without having said the passphrase; pages and calendar addresses hold none of them. */
export const admittedOnly =
  ({ access, stores }: Pick<AppContext, 'access' | 'stores'>): MiddlewareHandler =>
  async (c, next) => {
    if (access === undefined || OPEN_PATHS.has(c.req.path)) return next();
    const visitor = access.visitorOf(tokenIn(c));
    if (!visitor) {
      throw new ProblemError(401, 'Passphrase needed', 'Say the passphrase of these books first.');
    }
    requireRight(stores, visitor, c.req);
    return inTheNameOf(visitor, next);
  };

const wrongWords = ({ name = '', link }: Login): string => {
  if (link !== undefined) return 'This link leads nowhere any more. Ask for another one.';
  return name === ''
    ? 'That is not the passphrase of these books.'
    : 'There is nobody of that name with that passphrase.';
};

/** Saying the passphrase, and leaving. */
export const sessionRoutes = ({ access, trustsProxy = false }: AppContext) =>
  new Hono()
    .get('/', (c) => {
      if (!access) return c.json(OPEN_BOOKS, 200);
      const visitor = access.visitorOf(tokenIn(c)) ?? null;
      const state: SessionState = { isNeeded: true, isAdmitted: visitor !== null, visitor };
      return c.json(state, 200);
    })
    .post('/', body(login), async (c) => {
      const said = c.req.valid('json');
      if (said.passphrase === undefined && said.link === undefined) {
        throw invalid([finding(refusal('wrongKind', { wanted: 'string', isMissing: true }), 'passphrase')]);
      }
      if (!access) return c.json(OPEN_BOOKS, 200);
      const admission = await access.admit(said, callerOf(c, trustsProxy));
      if (admission.outcome === 'wait') {
        c.header('Retry-After', String(admission.seconds));
        const minutes = Math.ceil(admission.seconds / 60);
        const detail = `Too many wrong passphrases. Try again in ${minutes} minute${minutes === 1 ? '' : 's'}.`;
        throw new ProblemError(429, 'Too many attempts', detail);
      }
      if (admission.outcome === 'wrong') {
        const sentence = wrongWords(said);
        const problem = describeFinding(finding(refusal('wrongPassphrase'), 'passphrase'));
        throw new ProblemError(401, 'Wrong passphrase', sentence, { errors: [{ ...problem, sentence }] });
      }
      // Over plain HTTP in a home network there is no other way; behind a proxy with TLS it is https.
      const isHttps = trustsProxy && c.req.header('x-forwarded-proto') === 'https';
      setCookie(c, isHttps ? HTTPS_COOKIE : COOKIE, admission.token, {
        httpOnly: true,
        sameSite: 'Strict',
        path: '/',
        maxAge: access.maxAgeSeconds,
        secure: isHttps,
      });
      const visitor = access.visitorOf(admission.token) ?? null;
      const state: SessionState = { isNeeded: true, isAdmitted: true, visitor };
      return c.json(state, 200);
    })
    .get('/visits', (c) => c.json({ visits: access?.visits(tokenIn(c)) ?? [] }, 200))
    .delete('/visits/:visitId', (c) => {
      if (!access?.end(c.req.param('visitId'))) throw notFound('visit');
      return c.body(null, 204);
    })
    .delete('/', (c) => {
      access?.dismiss(tokenIn(c));
      deleteCookie(c, COOKIE, { path: '/' });
      deleteCookie(c, HTTPS_COOKIE, { path: '/', secure: true });
      return c.body(null, 204);
    });
