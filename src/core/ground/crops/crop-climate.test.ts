import { describe, expect, it } from 'vitest';
import { STATIONS, normalsOf } from '../climate/stations.ts';
import { startMonths } from './crop-climate.ts';
import { CROP_LIBRARY, findLibraryCrop } from './crop-library.ts';

const at = (name: string) => normalsOf(STATIONS.find((one) => one.name === name)!);
const months = (cropId: string, place: string) => {
  const crop = findLibraryCrop(cropId)!;
  return startMonths(crop, crop.startsAs, at(place));
};

describe('when a crop starts in a climate', () => {
  it('is spring and early summer for what frost kills, in either half of the earth', () => {
    expect(months('tomato', 'Chicago')).toEqual([5, 6, 7]);
    const southern = months('tomato', 'Christchurch');
    expect(southern).toContain(12);
    expect(southern.filter((month) => month > 2 && month < 10)).toEqual([]);
    expect(months('tomato', 'Helsinki').every((month) => month >= 6 && month <= 8)).toBe(true);
  });
  it('is nearly all year in the tropics, and winter for cool crops in the desert', () => {
    expect(months('sweet_potato', 'Singapore')).toHaveLength(12);
    expect(months('lettuce', 'Singapore')).toEqual([]);
    const lettuce = months('lettuce', 'Phoenix');
    expect(lettuce).toContain(11);
    expect(lettuce).not.toContain(7);
  });
  it('comes at some time somewhere for every crop', () => {
    for (const crop of CROP_LIBRARY) {
      const places = STATIONS.filter(({ koppen }) => ['Cfa', 'Cfb', 'Af', 'Csa'].includes(koppen));
      expect(
        places.some((place) => startMonths(crop, crop.startsAs, normalsOf(place)).length > 0),
        crop.id,
      ).toBe(true);
    }
  });
});
