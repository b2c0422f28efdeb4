import { describe, expect, it } from 'vitest';
import { counted } from './counted.ts';

describe('so many of something', () => {
  it.each([
    [0, 'pile', undefined, '0 piles'],
    [1, 'pile', undefined, '1 pile'],
    [2, 'pile', undefined, '2 piles'],
    [1, 'entry', 'entries', '1 entry'],
    [3, 'entry', 'entries', '3 entries'],
  ])('%d %s', (count, one, many, words) => expect(counted(count, one, many)).toBe(words));
});
