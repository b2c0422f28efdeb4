import { z } from 'zod';
import { InputError } from '../refusals/input-error.ts';
import { type Corner, outlineAreaM2 } from '../core/bed/index.ts';
import { finding, refusal, type Finding } from '../refusals/refusal.ts';
import type { BedRecord } from '../records/bed.ts';

/** GeoJSON (RFC 7946): outlines of beds as polygons, longitude before latitude. */
const position = z.array(z.number()).min(2).max(3);
const feature = z.object({
  type: z.literal('Feature'),
  properties: z.record(z.string(), z.unknown()).nullable(),
  geometry: z.unknown(),
});
const collection = z.object({
  type: z.literal('FeatureCollection'),
  features: z.array(z.unknown()).max(5000),
});
const polygon = z.object({ type: z.literal('Polygon'), coordinates: z.array(z.array(position)).min(1) });

const DECIMALS = 1e8;
const rounded = (degrees: number): number => Math.round(degrees * DECIMALS) / DECIMALS;

/** The beds that have an outline, as a FeatureCollection. */
export function outlinesAsGeoJson(beds: readonly BedRecord[]): object {
  return {
    type: 'FeatureCollection',
    features: beds.flatMap(({ id, name, kind, areaM2, outline }) => {
      if (outline === null || outline[0] === undefined) return [];
      const coordinates = [[...outline, outline[0]]];
      return [
        {
          type: 'Feature',
          id,
          properties: { name, kind, area_m2: areaM2 },
          geometry: { type: 'Polygon', coordinates },
        },
      ];
    }),
  };
}

/** An outline of a file, and the bed it belongs to. */
export interface OutlineRow {
  readonly bed: BedRecord | null;
  /** What the file calls it. */
  readonly name: string;
  readonly outline: Corner[];
  /** Inside the outline; beside the area in the book it shows whether they are the same bed. */
  readonly areaM2: number;
  readonly reasons: readonly Finding[];
}

const textOf = (value: unknown): string =>
  typeof value === 'string' || typeof value === 'number' ? String(value) : '';

function rowOf(raw: unknown, beds: readonly BedRecord[]): OutlineRow {
  const read = feature.safeParse(raw);
  const properties = read.success ? (read.data.properties ?? {}) : {};
  const id = textOf((raw as { id?: unknown } | null)?.id);
  const name = textOf(properties['name']) || id;
  const bed =
    beds.find((one) => one.id === id) ??
    beds.find((one) => one.name.toLowerCase() === name.toLowerCase()) ??
    null;
  const shape = polygon.safeParse(read.success ? read.data.geometry : undefined);
  const ring = shape.success ? (shape.data.coordinates[0] ?? []) : [];
  const corners = ring.map(([longitude = 0, latitude = 0]): Corner => [
    rounded(longitude),
    rounded(latitude),
  ]);
  const [first, last] = [corners.at(0), corners.at(-1)];
  const isClosed = corners.length > 1 && first?.[0] === last?.[0] && first?.[1] === last?.[1];
  const outline = isClosed ? corners.slice(0, -1) : corners;
  const areaM2 = outline.length >= 3 ? outlineAreaM2(outline) : 0;
  return {
    bed,
    name,
    outline,
    areaM2,
    reasons: reasonsAgainst({ bed, name, outline, areaM2, isPolygon: shape.success }),
  };
}

interface Judged {
  readonly bed: BedRecord | null;
  readonly name: string;
  readonly outline: readonly Corner[];
  readonly areaM2: number;
  readonly isPolygon: boolean;
}

function reasonsAgainst({ bed, name, outline, areaM2, isPolygon }: Judged): Finding[] {
  if (!isPolygon) return [finding(refusal('notAPolygon'), 'geometry')];
  if (!bed) return [finding(refusal('bedUnnamed', { name }), 'name')];
  const isOnEarth = outline.every(
    ([longitude, latitude]) => Math.abs(longitude) <= 180 && Math.abs(latitude) <= 90,
  );
  if (!isOnEarth) {
    return [finding(refusal('notDegrees'), 'geometry')];
  }
  if (outline.length < 3 || areaM2 === 0) {
    return [finding(refusal('tooFewCorners'), 'geometry')];
  }
  return [];
}

/** Outlines of a GeoJSON file, put to the beds they are named after. Throws InputError when it is none. */
export function readOutlines(text: string, beds: readonly BedRecord[]): OutlineRow[] {
  let json: unknown;
  try {
    json = JSON.parse(text);
  } catch {
    throw new InputError(['file'], 'notJson');
  }
  const read = collection.safeParse(json);
  if (read.success) return read.data.features.map((one) => rowOf(one, beds));
  if (feature.safeParse(json).success) return [rowOf(json, beds)];
  throw new InputError(['file'], 'notGeoJson');
}
