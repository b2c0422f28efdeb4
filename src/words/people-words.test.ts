import { expect, it } from 'vitest';
import type { Signature } from '../contract/people.ts';
import { signedWords, visitorWords } from './people-words.ts';

const signed = (version: number, name: string): Signature => ({
  book: 'entries',
  id: 'straw',
  version,
  name,
});

it.each([
  [[], ''],
  [[signed(1, 'Robin')], 'by Robin'],
  [[signed(1, 'Robin'), signed(2, 'Robin')], 'by Robin'],
  [[signed(1, 'Robin'), signed(2, 'Wren')], 'by Robin, changed by Wren'],
  [[signed(3, 'Wren')], 'changed by Wren'],
  [[{ ...signed(1, 'Wren'), book: 'journal' as const }], ''],
])('a line signed %j reads “%s”', (signatures, words) => {
  expect(signedWords(signatures, 'entries', 'straw')).toBe(words);
});

it('tells a reader that nothing is kept, a helper who they are, and the keeper nothing', () => {
  const robin = { personId: 'robin', name: 'Robin', isLink: false, gardenId: 'garden' };
  expect(visitorWords({ ...robin, role: 'reader' })).toMatch(/nothing of it is kept/);
  expect(visitorWords({ ...robin, role: 'reader', isLink: true })).toMatch(/^You read this garden by a link/);
  expect(visitorWords({ ...robin, role: 'helper' })).toBe('You are in this garden as Robin, its helper.');
  expect(visitorWords({ role: 'keeper' })).toBeNull();
});
