import { createHash, randomBytes, scrypt, timingSafeEqual } from 'node:crypto';
import { promisify } from 'node:util';
import { z } from 'zod';

/** Cost of one guess: 2^15 rounds in blocks of 8, 32 MB, about a tenth of a second (OWASP's advice, from memory). */
const COST = { N: 2 ** 15, r: 8, p: 1, maxmem: 64 * 1024 * 1024 } as const;
const KEY_BYTES = 32;
const SALT_BYTES = 16;
const TOKEN_BYTES = 32;

const derive = promisify<string, Buffer, number, object, Buffer>(scrypt);

/** What a passphrase can be checked against; not the passphrase itself. */
export const secret = z.strictObject({
  salt: z.base64(),
  key: z.base64(),
  ...{ N: z.literal(COST.N), r: z.literal(COST.r), p: z.literal(COST.p) },
});
export type Secret = z.infer<typeof secret>;

const { N, r, p } = COST;

export async function secretOf(passphrase: string): Promise<Secret> {
  const salt = randomBytes(SALT_BYTES);
  const key = await derive(passphrase.normalize('NFC'), salt, KEY_BYTES, COST);
  return { salt: salt.toString('base64'), key: key.toString('base64'), N, r, p };
}

/** Whether a guess is the passphrase behind a secret; without one never, after as long. */
export async function isPassphraseOf(kept: Secret | undefined, guess: string): Promise<boolean> {
  const salt = kept ? Buffer.from(kept.salt, 'base64') : randomBytes(SALT_BYTES);
  const found = await derive(guess.normalize('NFC'), salt, KEY_BYTES, COST);
  return kept !== undefined && timingSafeEqual(found, Buffer.from(kept.key, 'base64'));
}

/** A secret that is sent once and then known by its digest alone. */
export const newToken = (): string => randomBytes(TOKEN_BYTES).toString('base64url');

export const digestOf = (token: string): string => createHash('sha256').update(token).digest('hex');
