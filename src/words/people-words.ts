import type { Role, Signature, Visitor } from '../contract/people.ts';

/** What somebody in a garden is, and may do. */
export const ROLE_WORDS: Readonly<Record<Role, string>> = {
  owner: 'owner: all in this garden',
  helper: 'helper: reads, and writes in beds, stock and log',
  reader: 'reader: reads only',
};

/** What a visitor should know on every page; nothing for the keeper of the books. */
export function visitorWords(visitor: Visitor): string | null {
  if (visitor.role === 'keeper') return null;
  const { name, role, isLink } = visitor;
  const way = isLink ? 'by a link' : `as ${name}`;
  if (role === 'reader') return `You read this garden ${way}. You can try things out; nothing of it is kept.`;
  return `You are in this garden as ${name}, its ${role}.`;
}

/** Who wrote a line of the log and who changed it last; empty where the keeper of the books did both. */
export function signedWords(signatures: readonly Signature[], book: Signature['book'], id: string): string {
  const own = signatures.filter((one) => one.book === book && one.id === id);
  const writer = own.find(({ version }) => version === 1)?.name;
  const changer = own.findLast(({ version }) => version > 1)?.name;
  const changed = changer === undefined || changer === writer ? [] : [`changed by ${changer}`];
  return [...(writer === undefined ? [] : [`by ${writer}`]), ...changed].join(', ');
}
