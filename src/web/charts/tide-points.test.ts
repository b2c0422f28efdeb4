import { expect, test } from 'vitest';
import type { BedSample } from '../../core/bed/index.ts';
import { measuresOf } from '../../words/measures.ts';
import { seriesNames, tidePoints, tideValues } from './tide-points.ts';

const metric = measuresOf({ measures: 'metric' });
const customary = measuresOf({ measures: 'customary' });

/** A year of weeks in which the want of the crop peaks at mid-year and nothing is locked up. */
const SAMPLES = Array.from({ length: 53 }, (_, week) => ({
  day: week * 7,
  availableRootG: 4,
  availableContactG: 2,
  heldContactG: 0,
  heldRootG: 0,
  cropWantG: week === 26 ? 5 : 0,
})) as unknown as BedSample[];

test('a band is read between its own days and nowhere else', () => {
  const band = { days: [70, 84], low: [1, 3], high: [5, 9] };
  const likely = tidePoints(SAMPLES, band, metric).map((point) => point.likely);
  expect(likely[9]).toBeNull();
  expect([likely[10], likely[11], likely[12]]).toEqual([
    [1, 5],
    [2, 7],
    [3, 9],
  ]);
  expect(likely[13]).toBeNull();
});

test('the values of a point are the sums of its zones, in the units of the garden', () => {
  for (const [measures, all] of [
    [metric, '6.0 g/m²'],
    [customary, '1.23 lb/1000 sq ft'],
  ] as const) {
    const [first] = tidePoints(SAMPLES, null, measures);
    const { columns } = tideValues(measures, 'kale');
    expect(columns.map(({ read }) => read(first)).slice(0, 2)).toEqual([all, null]);
    expect(columns.at(-1)!.name).toBe('what kale will want in 4 weeks');
  }
});

test('only what stands out is named, and only what grows is wanted by name', () => {
  const points = tidePoints(SAMPLES, null, metric);
  const names = (wantedBy: string | null) =>
    seriesNames({ points, fromDay: 0, untilDay: 364, wantedBy, measures: metric }).map(({ name }) => name);
  expect(names('kale')).toEqual(['available to roots', 'what kale will want in 4 weeks']);
  expect(names(null)).toEqual(['available to roots']);
});
