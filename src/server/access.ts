import { randomUUID } from 'node:crypto';
import { existsSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { type Login, SHORTEST_PASSPHRASE, type Visit, type Visitor } from '../contract/people.ts';
import { digestOf, isPassphraseOf, newToken, secret, secretOf, type Secret } from './secret.ts';
import type { PeopleStore } from './stores.ts';

/** How long somebody stays let in who does nothing. */
const SESSION_MS = 30 * 24 * 3_600_000;

/**
 * Guesses from one place within a quarter of an hour. Once there were many from all places together, those of a place that
 * has not guessed yet come one after the other: others can slow somebody down, and not shut them out for a quarter of an hour.
 */
const GUESSES = { ofOne: 5, ofAll: 50, withinMs: 15 * 60_000, apartMs: 5000 } as const;

/** Writes down what the passphrase of the books can be checked against, readable by its owner alone. */
export async function setPassphrase(file: string, passphrase: string): Promise<void> {
  if (passphrase.length < SHORTEST_PASSPHRASE) {
    throw new Error(
      `The passphrase must be at least ${SHORTEST_PASSPHRASE} characters long: four or five words will do.`,
    );
  }
  writeFileSync(file, `${JSON.stringify(await secretOf(passphrase))}\n`, { mode: 0o600 });
}

export const hasPassphrase = (file: string): boolean => existsSync(file);

const secretIn = (file: string): Secret => secret.parse(JSON.parse(readFileSync(file, 'utf8')));

/** What somebody who guesses is answered. */
export type Admission =
  | { readonly outcome: 'admitted'; readonly token: string }
  | { readonly outcome: 'wrong' }
  | { readonly outcome: 'wait'; readonly seconds: number };

/** Who may read and write the books when they can be reached from other machines. */
export interface Access {
  admit(login: Login, from: string): Promise<Admission>;
  /** Whoever is in by this token; nobody when it was never given, or has ended. */
  visitorOf(token: string | undefined): Visitor | undefined;
  dismiss(token: string | undefined): void;
  /** All that go on, the last that began first; `token` is of whoever asks. */
  visits(token: string | undefined): Visit[];
  /** Ends a visit by its id; false when there is none. */
  end(visitId: string): boolean;
  readonly maxAgeSeconds: number;
}

/** Another whenever the passphrase is set anew. */
function passphraseMark(file: string): string {
  const found = statSync(file, { throwIfNoEntry: false, bigint: true });
  return found ? `${found.ino} ${found.mtimeNs} ${found.size}` : '';
}

/** Somebody who said what lets them in: the keeper, or a person; `mark` is another once that was changed. */
interface Known {
  readonly personId: string | null;
  readonly mark: string;
}

interface Session extends Known {
  readonly visitId: string;
  readonly until: number;
  readonly since: string;
  lastSeenAt: string;
}

/** Slows down whoever guesses. `clock` gives milliseconds that never go back. */
function guessCounter(clock: () => number) {
  let guesses: { readonly from: string; readonly at: number }[] = [];
  return {
    secondsToWait(from: string): number {
      const now = clock();
      guesses = guesses.filter(({ at }) => now - at < GUESSES.withinMs);
      const own = guesses.filter((guess) => guess.from === from);
      const secondsAfter = (at: number, ms: number) => Math.max(0, Math.ceil((ms - (now - at)) / 1000));
      if (own.length >= GUESSES.ofOne) return secondsAfter(own[0]!.at, GUESSES.withinMs);
      return guesses.length >= GUESSES.ofAll ? secondsAfter(guesses.at(-1)!.at, GUESSES.apartMs) : 0;
    },
    /** Counts one; the answer takes it back. */
    count(from: string): () => void {
      const guess = { from, at: clock() };
      guesses.push(guess);
      return () => {
        guesses = guesses.filter((one) => one !== guess);
      };
    },
  };
}

/** `clock` gives milliseconds that never go back. */
export function accessBy(
  file: string,
  people: () => PeopleStore,
  clock: () => number = () => performance.now(),
): Access {
  const sessions = new Map<string, Session>();
  const guesses = guessCounter(clock);

  const markOf = (personId: string | null): string =>
    personId === null ? passphraseMark(file) : (people().secretOf(personId)?.salt ?? 'a link');

  /** Its time is over, what lets somebody in was changed since, or they were removed. */
  const isOver = ({ until, personId, mark }: Session): boolean => {
    const isGone = personId !== null && people().find(personId) === undefined;
    return until < clock() || isGone || mark !== markOf(personId);
  };

  async function known({ name = '', passphrase = '', link }: Login): Promise<Known | undefined> {
    if (link !== undefined) {
      const guest = people().findByLink(digestOf(link));
      return guest && { personId: guest.id, mark: markOf(guest.id) };
    }
    const person = name === '' ? undefined : people().findByName(name);
    const personId = person?.id ?? null;
    const mark = markOf(personId);
    const kept = name === '' ? secretIn(file) : person && people().secretOf(person.id);
    return (await isPassphraseOf(kept, passphrase)) ? { personId, mark } : undefined;
  }

  return {
    maxAgeSeconds: SESSION_MS / 1000,
    admit: async (login, from) => {
      const seconds = guesses.secondsToWait(from);
      if (seconds > 0) return { outcome: 'wait', seconds };
      // Counted before it is checked, so that many at once are not let through together.
      const forget = guesses.count(from);
      const found = await known(login);
      if (!found) return { outcome: 'wrong' };
      forget();
      for (const [digest, session] of sessions) if (isOver(session)) sessions.delete(digest);
      const token = newToken();
      const now = new Date().toISOString();
      const times = { until: clock() + SESSION_MS, since: now, lastSeenAt: now };
      sessions.set(digestOf(token), { ...found, ...times, visitId: randomUUID() });
      return { outcome: 'admitted', token };
    },
    visitorOf: (token) => {
      if (token === undefined) return undefined;
      const session = sessions.get(digestOf(token));
      if (session === undefined) return undefined;
      if (isOver(session)) {
        sessions.delete(digestOf(token));
        return undefined;
      }
      session.lastSeenAt = new Date().toISOString();
      const person = session.personId === null ? undefined : people().find(session.personId);
      if (!person) return { role: 'keeper' };
      const { id: personId, name, role, isLink, gardenId } = person;
      return { personId, name, role, isLink, gardenId };
    },
    dismiss: (token) => {
      if (token !== undefined) sessions.delete(digestOf(token));
    },
    visits: (token) => {
      const own = token === undefined ? '' : digestOf(token);
      return [...sessions]
        .filter(([, session]) => !isOver(session))
        .toReversed()
        .map(([digest, { visitId: id, personId, since, lastSeenAt }]) => ({
          id,
          name: personId === null ? null : (people().find(personId)?.name ?? null),
          since,
          lastSeenAt,
          isOwn: digest === own,
        }));
    },
    end: (visitId) => {
      const found = [...sessions].find(([, session]) => session.visitId === visitId);
      return found !== undefined && sessions.delete(found[0]);
    },
  };
}
