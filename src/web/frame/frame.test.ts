import { describe, expect, it } from 'vitest';
import { pathToOpen } from './garden-to-open.ts';
import { HAND_KEYS, PLACE_KEYS } from './keys.ts';

describe('the garden that opens', () => {
  const gardens = [{ id: 'first' }, { id: 'second' }];
  it('is the last one on this device', () => expect(pathToOpen(gardens, 'second')).toBe('/garden/second'));
  it('is the first when the last is gone or none was open', () => {
    expect(pathToOpen(gardens, 'gone')).toBe('/garden/first');
    expect(pathToOpen(gardens, null)).toBe('/garden/first');
  });
  it('is one to be made when there is none', () => expect(pathToOpen([], 'gone')).toBe('/welcome'));
});

describe('keys', () => {
  it('lead to one place each, by one letter each', () => {
    const distinct = (of: (typeof PLACE_KEYS)[number][keyof (typeof PLACE_KEYS)[number]][]) =>
      new Set(of).size;
    expect(distinct(PLACE_KEYS.map(({ key }) => key))).toBe(PLACE_KEYS.length);
    expect(distinct(PLACE_KEYS.map(({ path }) => path))).toBe(PLACE_KEYS.length);
    for (const { key } of PLACE_KEYS) expect(key).toMatch(/^[a-z]$/);
  });
  it('are listed once', () => expect(new Set(HAND_KEYS.map(({ keys }) => keys)).size).toBe(HAND_KEYS.length));
});
