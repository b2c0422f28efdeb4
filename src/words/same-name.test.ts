import { describe, expect, it } from 'vitest';
import { sameNameHint } from './same-name.ts';

const beds = [
  { id: 'north', name: 'North bed' },
  { id: 'long', name: 'Long bed' },
];

describe('a name that another one has', () => {
  it('is asked about, whatever its capitals, accents and numbers', () => {
    for (const name of ['North bed', ' nörth  BEDS'])
      expect(sameNameHint(name, beds)).toBe(
        'There is “North bed” already. Should this be another one of that name?',
      );
  });
  it('is not the own one, none, or one of which it is a part', () => {
    expect(sameNameHint('North bed', beds, 'north')).toBeUndefined();
    expect(sameNameHint('  ', beds)).toBeUndefined();
    expect(sameNameHint('North', beds)).toBeUndefined();
  });
});
