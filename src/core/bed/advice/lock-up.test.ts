import { describe, expect, it } from 'vitest';
import type { BedSample } from '../projection/bed-projection.ts';
import { atEndOf, sampleOn } from '../projection/bed-projection.ts';
import { lockUpWindow as windowOf } from './lock-up.ts';

const FELT_FROM_G = 0.25;
const lockUpWindow = (samples: readonly BedSample[], zone: 'contact' | 'root', today: number) =>
  windowOf({ samples, zone, today, feltFromG: FELT_FROM_G });

/** Samples a week apart from day 0 that hold so much in the contact zone. */
const held = (...grams: number[]): BedSample[] =>
  grams.map(
    (heldContactG, i) => ({ day: i * 7, heldContactG, heldRootG: 0, layers: [] }) as unknown as BedSample,
  );

describe('a lock-up window', () => {
  const rise = held(0, 0.1, 0.5, 2, 4, 3, 2, 1, 0.1, 0);

  it('runs from when it is felt to when half is back', () => {
    expect(lockUpWindow(rise, 'contact', 21)).toEqual({
      zone: 'contact',
      fromDay: 14,
      peakDay: 28,
      peakG: 4,
      nowG: 2,
      halfBackDay: 42,
      causes: [],
    });
  });
  it('is foreseen before it begins, with nothing held yet', () => {
    expect(lockUpWindow(rise, 'contact', 0)).toMatchObject({ fromDay: 14, nowG: 0 });
  });
  it('is over once half is back', () => {
    expect(lockUpWindow(rise, 'contact', 42)).toBeNull();
    expect(lockUpWindow(rise, 'contact', 63)).toBeNull();
  });
  it('has no end when the run ends before half is back', () => {
    expect(lockUpWindow(held(0, 1, 2, 3, 3, 2.5), 'contact', 21)?.halfBackDay).toBeNull();
  });
  it('is none where nothing is felt, or in the other zone', () => {
    expect(lockUpWindow(held(0, FELT_FROM_G - 0.01, 0), 'contact', 0)).toBeNull();
    expect(lockUpWindow(rise, 'root', 21)).toBeNull();
  });
  it('takes the window of today, not one long past', () => {
    const twice = held(0, 2, 0, 0, 0, 3, 4, 1);
    expect(lockUpWindow(twice, 'contact', 35)).toMatchObject({ fromDay: 35, peakG: 4 });
  });
});

describe('looking up a sample', () => {
  const samples = held(0, 1, 2);
  it('finds the one on the day or the last before', () => {
    expect([0, 6, 7, 13, 14, 100].map((day) => sampleOn({ samples }, day).heldContactG)).toEqual([
      0, 0, 1, 1, 2, 2,
    ]);
  });
  it('at the end of a day is the next morning', () => {
    expect(atEndOf({ samples }, 6).heldContactG).toBe(1);
  });
});
