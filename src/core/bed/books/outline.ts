/** Corner of an outline: longitude, then latitude, degrees, as GeoJSON has it. */
export type Corner = readonly [longitude: number, latitude: number];

/** Mean radius of the earth, m (IUGG, from memory). */
const EARTH_RADIUS_M = 6_371_008.8;
const radians = (degrees: number): number => (degrees * Math.PI) / 180;

/**
 * Area inside an outline on a sphere, m2: Chamberlain and Duquette 2007, "Some algorithms for polygons on a sphere"
 * (from memory). Corners in either direction, the first not repeated, and no pole inside. Within 0.6 % of the ellipsoid.
 */
export function outlineAreaM2(corners: readonly Corner[]): number {
  // Heights above the first corner, which changes nothing around a closed line and keeps the digits of a small bed.
  const base = Math.sin(radians(corners.at(0)?.[1] ?? 0));
  const height = (latitude: number): number => Math.sin(radians(latitude)) - base;
  let twice = 0;
  corners.forEach(([longitude, latitude], i) => {
    const [nextLongitude, nextLatitude] = corners[(i + 1) % corners.length];
    const across = radians(((nextLongitude - longitude + 540) % 360) - 180);
    twice += across * (height(latitude) + height(nextLatitude));
  });
  return Math.abs((twice * EARTH_RADIUS_M ** 2) / 2);
}
