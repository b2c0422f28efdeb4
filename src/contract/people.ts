import { z } from 'zod';
import { id } from '../records/fields.ts';

/** What somebody with a name of their own may do in their garden. */
export const ROLES = ['owner', 'helper', 'reader'] as const;
export type Role = (typeof ROLES)[number];

export const SHORTEST_PASSPHRASE = 12;
const LONGEST_PASSPHRASE = 1000;
const LONGEST_NAME = 60;

const personName = z.string().trim().min(1).max(LONGEST_NAME);
const passphrase = z.string().min(SHORTEST_PASSPHRASE).max(LONGEST_PASSPHRASE);

/** Somebody who may come into a garden by a name and a passphrase. */
export const personDraft = z.strictObject({
  id: id.optional(),
  name: personName,
  role: z.enum(ROLES),
  passphrase,
});
export type PersonDraft = z.infer<typeof personDraft>;

export const personChange = z.strictObject({
  role: z.enum(ROLES).optional(),
  passphrase: passphrase.optional(),
});
export type PersonChange = z.infer<typeof personChange>;

/** A link by which anybody who has it reads a garden. */
export const linkDraft = z.strictObject({ name: personName });

/** Whoever comes in: as the keeper of the books, under a name, or by a link. */
export const login = z.strictObject({
  passphrase: z.string().min(1).max(LONGEST_PASSPHRASE).optional(),
  /** Empty for the keeper of the books. */
  name: z.string().trim().max(LONGEST_NAME).optional(),
  /** The secret of a link, instead of both. */
  link: z.string().min(1).max(100).optional(),
});
export type Login = z.infer<typeof login>;

export interface Person {
  readonly id: string;
  readonly gardenId: string;
  readonly name: string;
  readonly role: Role;
  /** Whether it is a link instead of a name with a passphrase. */
  readonly isLink: boolean;
  readonly createdAt: string;
}

/** Whoever is in: the keeper of the books may do all in every garden, others what their role allows in one. */
export type Visitor =
  | { readonly role: 'keeper' }
  | (Pick<Person, 'name' | 'role' | 'isLink' | 'gardenId'> & { readonly personId: string });

/** Somebody who is in. */
export interface Visit {
  readonly id: string;
  /** Null for the keeper of the books. */
  readonly name: string | null;
  /** Instants in UTC. */
  readonly since: string;
  readonly lastSeenAt: string;
  /** The visit of whoever asks. */
  readonly isOwn: boolean;
}

/** Who wrote a version of a line of the log; what the keeper wrote bears no name. */
export interface Signature {
  readonly book: 'entries' | 'journal' | 'plantings' | 'movements';
  readonly id: string;
  readonly version: number;
  readonly name: string;
}
