import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  HEIGHT,
  placeLayers,
  PLANT_ROOM,
  sectionScale,
  SUBSOIL_CM,
  TOP,
  type NamedLayer,
} from './section-frame.ts';

const layer = (id: string, thicknessCm: number, isOnTop = true): NamedLayer => ({
  id,
  name: id,
  age: '',
  isDraft: false,
  kind: 'wood',
  isOnTop,
  dugDepthCm: isOnTop ? 0 : 10,
  thicknessCm,
  freshCarbonG: 100,
  microbialCarbonG: 1,
  humusCarbonG: 1,
  charCarbonG: 0,
  mineralsG: 0,
  respiredCarbonG: 0,
  laidCarbonG: 100,
  laidNitrogenG: 1,
  boundNitrogenG: 1,
  humusNitrogenG: 0,
  drawnNitrogenG: 0,
  releasedNitrogenG: 0,
  ammoniaNitrogenG: 0,
  lockedNitrogenG: 0,
  heldContactG: 0,
  heldRootG: 0,
});

const cm = (max: number) => fc.double({ min: 0, max, noNaN: true });

describe('the section to scale', () => {
  it('has room for the highest stack, the plants on it, the roots and a little subsoil', () => {
    fc.assert(
      fc.property(cm(150), fc.double({ min: 10, max: 100, noNaN: true }), (mulchCm, rootZoneCm) => {
        const { pxPerCm, surface } = sectionScale(mulchCm, rootZoneCm);
        expect(surface - mulchCm * pxPerCm).toBeCloseTo(TOP + PLANT_ROOM, 6);
        expect(surface + (rootZoneCm + SUBSOIL_CM) * pxPerCm).toBeCloseTo(HEIGHT, 6);
      }),
    );
  });

  it('stacks layers from the soil upwards without a gap, each as thick as it is but never invisible', () => {
    fc.assert(
      fc.property(fc.array(cm(30), { maxLength: 8 }), (thicknesses) => {
        const placed = placeLayers(
          thicknesses.map((thickness, i) => layer(`layer ${i}`, thickness)),
          300,
          4,
        );
        expect(placed).toHaveLength(thicknesses.length);
        placed.forEach(({ top, bottom }, i) => {
          expect(bottom).toBe(i === 0 ? 300 : placed[i - 1].top);
          expect(bottom - top).toBeCloseTo(Math.max(2, thicknesses[i] * 4), 9);
        });
      }),
    );
  });

  it('leaves out what was dug in', () => {
    const placed = placeLayers([layer('below', 3, false), layer('above', 5)], 300, 4);
    expect(placed.map(({ layer: { id } }) => id)).toEqual(['above']);
    expect(placed[0].bottom).toBe(300);
  });
});
