import { createHash, randomBytes, scrypt, timingSafeEqual } from 'node:crypto';
import { existsSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { promisify } from 'node:util';
import { z } from 'zod';

/** Cost of one guess: 2^15 rounds in blocks of 8, 32 MB, about a tenth of a second (OWASP's advice, from memory). */
const COST = { N: 2 ** 15, r: 8, p: 1, maxmem: 64 * 1024 * 1024 } as const;
const KEY_BYTES = 32;
const SALT_BYTES = 16;
const TOKEN_BYTES = 32;
/** How long somebody stays let in who does nothing. */
const SESSION_MS = 30 * 24 * 3_600_000;
export const SHORTEST_PASSPHRASE = 12;

/**
 * Guesses from one place within a quarter of an hour. Once there were many from all places together, those of a place that
 * has not guessed yet come one after the other: others can slow somebody down, and not shut them out for a quarter of an hour.
 */
const GUESSES = { ofOne: 5, ofAll: 50, withinMs: 15 * 60_000, apartMs: 5000 } as const;

const derive = promisify<string, Buffer, number, object, Buffer>(scrypt);

const passphraseFile = z.strictObject({
  salt: z.base64(),
  key: z.base64(),
  ...{ N: z.literal(COST.N), r: z.literal(COST.r), p: z.literal(COST.p) },
});

/** Writes down what a passphrase can be checked against, readable by its owner alone; not the passphrase itself. */
export async function setPassphrase(file: string, passphrase: string): Promise<void> {
  if (passphrase.length < SHORTEST_PASSPHRASE) {
    throw new Error(
      `The passphrase must be at least ${SHORTEST_PASSPHRASE} characters long: four or five words will do.`,
    );
  }
  const salt = randomBytes(SALT_BYTES);
  const key = await derive(passphrase.normalize('NFC'), salt, KEY_BYTES, COST);
  const { N, r, p } = COST;
  const kept = { salt: salt.toString('base64'), key: key.toString('base64'), N, r, p };
  writeFileSync(file, `${JSON.stringify(kept)}\n`, { mode: 0o600 });
}

export const hasPassphrase = (file: string): boolean => existsSync(file);

async function isPassphrase(file: string, guess: string): Promise<boolean> {
  const { salt, key } = passphraseFile.parse(JSON.parse(readFileSync(file, 'utf8')));
  const found = await derive(guess.normalize('NFC'), Buffer.from(salt, 'base64'), KEY_BYTES, COST);
  return timingSafeEqual(found, Buffer.from(key, 'base64'));
}

/** What somebody who guesses is answered. */
export type Admission =
  | { readonly outcome: 'admitted'; readonly token: string }
  | { readonly outcome: 'wrong' }
  | { readonly outcome: 'wait'; readonly seconds: number };

/** Who may read and write the books when they can be reached from other machines. */
export interface Access {
  admit(passphrase: string, from: string): Promise<Admission>;
  isAdmitted(token: string | undefined): boolean;
  dismiss(token: string | undefined): void;
  readonly maxAgeSeconds: number;
}

/** Another whenever the passphrase is set anew. */
function passphraseMark(file: string): string {
  const found = statSync(file, { throwIfNoEntry: false, bigint: true });
  return found ? `${found.ino} ${found.mtimeNs} ${found.size}` : '';
}

const digestOf = (token: string): string => createHash('sha256').update(token).digest('hex');

/** `clock` gives milliseconds that never go back. */
export function accessBy(file: string, clock: () => number = () => performance.now()): Access {
  const sessions = new Map<string, number>();
  let guesses: { readonly from: string; readonly at: number }[] = [];

  const secondsToWait = (from: string): number => {
    const now = clock();
    guesses = guesses.filter(({ at }) => now - at < GUESSES.withinMs);
    const own = guesses.filter((guess) => guess.from === from);
    const secondsAfter = (at: number, ms: number) => Math.max(0, Math.ceil((ms - (now - at)) / 1000));
    if (own.length >= GUESSES.ofOne) return secondsAfter(own[0]!.at, GUESSES.withinMs);
    return guesses.length >= GUESSES.ofAll ? secondsAfter(guesses.at(-1)!.at, GUESSES.apartMs) : 0;
  };
  let known = passphraseMark(file);
  /** A changed passphrase ends every visit that began under the old one. */
  const endVisitsOfOldPassphrase = (): void => {
    const mark = passphraseMark(file);
    if (mark !== known) sessions.clear();
    known = mark;
  };

  return {
    maxAgeSeconds: SESSION_MS / 1000,
    admit: async (passphrase, from) => {
      const seconds = secondsToWait(from);
      if (seconds > 0) return { outcome: 'wait', seconds };
      // Counted before it is checked, so that many at once are not let through together.
      const guess = { from, at: clock() };
      guesses.push(guess);
      if (!(await isPassphrase(file, passphrase))) return { outcome: 'wrong' };
      guesses = guesses.filter((one) => one !== guess);
      endVisitsOfOldPassphrase();
      const token = randomBytes(TOKEN_BYTES).toString('base64url');
      sessions.set(digestOf(token), clock() + SESSION_MS);
      return { outcome: 'admitted', token };
    },
    isAdmitted: (token) => {
      if (token === undefined) return false;
      endVisitsOfOldPassphrase();
      const until = sessions.get(digestOf(token));
      if (until === undefined) return false;
      if (until < clock()) {
        sessions.delete(digestOf(token));
        return false;
      }
      return true;
    },
    dismiss: (token) => {
      if (token !== undefined) sessions.delete(digestOf(token));
    },
  };
}
