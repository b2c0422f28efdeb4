import { finding, refusal } from '../../refusals/refusal.ts';
import { describeFinding } from '../../words/refusal-words.ts';
import { getConnInfo } from '@hono/node-server/conninfo';
import { Hono, type Context, type MiddlewareHandler } from 'hono';
import { deleteCookie, getCookie, setCookie } from 'hono/cookie';
import { z } from 'zod';
import type { Access } from '../access.ts';
import type { AppContext } from '../app-context.ts';
import { ProblemError } from '../problems.ts';
import { body } from './validated.ts';

const COOKIE = 'vine_ledger_session';
/** Sent back over https only, and set by no other name of the same domain. */
const HTTPS_COOKIE = `__Host-${COOKIE}`;
const OPEN_PATHS = new Set(['/api/session', '/api/health']);
const LONGEST_PASSPHRASE = 1000;
interface SessionState {
  readonly isNeeded: boolean;
  readonly isAdmitted: boolean;
}
const admittedState = (isNeeded: boolean): SessionState => ({ isNeeded, isAdmitted: true });
const login = z.strictObject({ passphrase: z.string().min(1).max(LONGEST_PASSPHRASE) });

const tokenIn = (c: Context): string | undefined => getCookie(c, HTTPS_COOKIE) ?? getCookie(c, COOKIE);

/** Whoever asks, as the connection has it, or as a proxy that is believed says: it adds its own caller as the last. */
function callerOf(c: Context, trustsProxy: boolean): string {
  const told = trustsProxy ? c.req.header('x-forwarded-for')?.split(',').at(-1)?.trim() : undefined;
  return told || (getConnInfo(c).remote.address ?? '');
}

/** Nobody reads or writes the books without having said the passphrase; pages and calendar addresses hold none of them. */
export const admittedOnly =
  (access: Access | undefined): MiddlewareHandler =>
  async (c, next) => {
    const isOpen = access === undefined || OPEN_PATHS.has(c.req.path);
    if (!isOpen && !access.isAdmitted(tokenIn(c))) {
      throw new ProblemError(401, 'Passphrase needed', 'Say the passphrase of these books first.');
    }
    await next();
  };

/** Saying the passphrase, and leaving. */
export const sessionRoutes = ({ access, trustsProxy = false }: AppContext) =>
  new Hono()
    .get('/', (c) =>
      c.json({ isNeeded: access !== undefined, isAdmitted: access?.isAdmitted(tokenIn(c)) ?? true }, 200),
    )
    .post('/', body(login), async (c) => {
      if (!access) return c.json(admittedState(false), 200);
      const admission = await access.admit(c.req.valid('json').passphrase, callerOf(c, trustsProxy));
      if (admission.outcome === 'wait') {
        c.header('Retry-After', String(admission.seconds));
        const minutes = Math.ceil(admission.seconds / 60);
        const detail = `Too many wrong passphrases. Try again in ${minutes} minute${minutes === 1 ? '' : 's'}.`;
        throw new ProblemError(429, 'Too many attempts', detail);
      }
      if (admission.outcome === 'wrong') {
        const sentence = 'That is not the passphrase of these books.';
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
      return c.json(admittedState(true), 200);
    })
    .delete('/', (c) => {
      access?.dismiss(tokenIn(c));
      deleteCookie(c, COOKIE, { path: '/' });
      deleteCookie(c, HTTPS_COOKIE, { path: '/', secure: true });
      return c.body(null, 204);
    });
