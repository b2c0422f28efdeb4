import { refusalOf } from '../../tests/fixtures/refused.ts';
import { check } from '@placemarkio/check-geojson';
import { describe, expect, it } from 'vitest';
import { bedOf } from '../../tests/fixtures/books.ts';
import { outlinesAsGeoJson, readOutlines } from './geojson.ts';

const outline: [number, number][] = [
  [8.5, 47.1],
  [8.50004, 47.1],
  [8.50004, 47.10002],
  [8.5, 47.10002],
];
const mapped = bedOf({ outline });

describe('outlines as GeoJSON', () => {
  it('come back as they went out, with the ring closed as the format asks', () => {
    const file = outlinesAsGeoJson([mapped, bedOf({ id: 'other', name: 'Other' })]) as {
      features: { geometry: { coordinates: number[][][] } }[];
    };
    expect(file.features).toHaveLength(1);
    expect(check(JSON.stringify(file))).toEqual(file);
    const [ring = []] = file.features[0].geometry.coordinates;
    expect(ring.at(0)).toEqual(ring.at(-1));
    const [row] = readOutlines(JSON.stringify(file), [mapped]);
    expect(row).toMatchObject({ bed: { id: 'bed' }, outline, reasons: [] });
    expect(row.areaM2).toBeCloseTo(6.7, 0);
  });

  it('know a bed by its name, and a single feature', () => {
    const one = {
      type: 'Feature',
      properties: { name: 'first BED' },
      geometry: { type: 'Polygon', coordinates: [outline] },
    };
    expect(readOutlines(JSON.stringify(one), [mapped])[0]).toMatchObject({ bed: { id: 'bed' }, reasons: [] });
  });

  it.each([
    [{ type: 'Point', coordinates: [8, 47] }, 'First bed', 'geometry'],
    [{ type: 'Polygon', coordinates: [outline] }, 'Nowhere', 'name'],
    [
      {
        type: 'Polygon',
        coordinates: [
          [
            [500_000, 5_200_000],
            [500_001, 5_200_000],
            [500_001, 5_200_001],
          ],
        ],
      },
      'First bed',
      'geometry',
    ],
    [
      {
        type: 'Polygon',
        coordinates: [
          [
            [8, 47],
            [8, 47],
            [8, 47],
          ],
        ],
      },
      'First bed',
      'geometry',
    ],
    [null, 'First bed', 'geometry'],
  ])('say what is wrong: %j of %s', (geometry, name, field) => {
    const file = {
      type: 'FeatureCollection',
      features: [{ type: 'Feature', properties: { name }, geometry }],
    };
    expect(readOutlines(JSON.stringify(file), [mapped])[0].reasons[0].at.field).toBe(field);
  });

  it.each(['{', '[]', '{"type":"Topology"}'])('are refused in words when the file is none: %s', (text) => {
    expect(refusalOf(() => readOutlines(text, [mapped]))).toMatch(/GeoJSON/);
  });
});
