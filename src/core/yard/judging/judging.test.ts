import { refusalOf } from '../../../../tests/fixtures/refused.ts';
import { SQUEEZES } from '../../../records/vocabulary.ts';
import { describe, expect, it } from 'vitest';
import {
  bulkDensityFromBucket,
  leafShareFromCount,
  moistureFromDrying,
  MOISTURE_BY_SQUEEZE,
} from './judging.ts';

describe('weighing a bucket', () => {
  it('gives kilograms in a cubic metre', () => {
    expect(bulkDensityFromBucket(3.8, 1, 10)).toBeCloseTo(280, 9);
  });
  it.each([
    [[1, 3.8, 10], /swapped/],
    [[3800, 1, 10], /^grossKg /],
    [[90, 1, 10], /nothing on a heap weighs\. Is the unit right/],
    [[3.8, 1, 0], /^bucketL /],
  ] as [[number, number, number], RegExp][])('refuses %o', (figures, sentence) => {
    expect(refusalOf(() => bulkDensityFromBucket(...figures))).toMatch(sentence);
  });
});

describe('drying a handful', () => {
  // Handbook arithmetic: 100 g of wet stuff in a 20 g dish weighs 65 g dry, so 55 of 100 were water.
  it('gives moisture on the wet basis', () => {
    expect(moistureFromDrying(120, 65, 20)).toBeCloseTo(0.55, 12);
  });
  it.each([
    [[65, 120, 20], /swapped/],
    [[120, 15, 20], /^dry must be more than the dish/],
    [[0, 1, 0], /^wet /],
  ] as [[number, number, number], RegExp][])('refuses %o', (figures, sentence) => {
    expect(refusalOf(() => moistureFromDrying(...figures))).toMatch(sentence);
  });
});

describe('a squeezed handful', () => {
  it('goes from wet to dry without a gap', () => {
    for (let i = 1; i < SQUEEZES.length; i++) {
      expect(MOISTURE_BY_SQUEEZE[SQUEEZES[i]][2]).toBeLessThanOrEqual(
        MOISTURE_BY_SQUEEZE[SQUEEZES[i - 1]][0],
      );
    }
  });
});

describe('counting leaves', () => {
  it('weighs a leaf as a part of a chip', () => {
    expect(leafShareFromCount(40, 60)).toBeCloseTo(6 / 66, 12);
    expect(leafShareFromCount(0, 50)).toBe(0);
    expect(refusalOf(() => leafShareFromCount(3, 4))).toMatch(/at least 20 pieces/);
  });
});
