import fc from 'fast-check';
import { expect, test } from 'vitest';
import { placeWords, widthOfWords, type Wording } from './place-words.ts';

const EDGES = { left: 0, right: 400 };

test('words stand at their best place when nothing else does', () => {
  expect(placeWords([{ words: 'today', spots: [{ x: 200, y: 50 }] }], EDGES)).toEqual([{ x: 200, y: 50 }]);
});

test('words at a place that is taken go to their next one, and are left out when none is free', () => {
  const first = { words: 'available to roots', spots: [{ x: 200, y: 50 }] };
  const second = {
    words: 'what potato will want',
    spots: [
      { x: 230, y: 52 },
      { x: 230, y: 90 },
    ],
  };
  const third = { words: 'locked up', spots: [{ x: 200, y: 50 }] };
  expect(placeWords([first, second, third], EDGES)).toEqual([{ x: 200, y: 50 }, { x: 230, y: 90 }, null]);
});

test('words at an edge move inward until they are whole', () => {
  const [spot] = placeWords([{ words: 'available to roots', spots: [{ x: 2, y: 50 }] }], EDGES);
  expect(spot!.x).toBeCloseTo(widthOfWords('available to roots') / 2, 9);
});

test('whatever is asked, no two words overlap and none leave the drawing', () => {
  const spot = fc.record({ x: fc.integer({ min: -50, max: 450 }), y: fc.integer({ min: 0, max: 200 }) });
  const wording: fc.Arbitrary<Wording> = fc.record({
    words: fc.string({ minLength: 1, maxLength: 30 }),
    spots: fc.array(spot, { minLength: 1, maxLength: 3 }),
  });
  fc.assert(
    fc.property(fc.array(wording, { maxLength: 12 }), (wordings) => {
      const placed = placeWords(wordings, EDGES).flatMap((at, i) =>
        at ? [{ ...at, half: widthOfWords(wordings[i].words) / 2 }] : [],
      );
      for (const [i, a] of placed.entries()) {
        expect(a.x - a.half).toBeGreaterThanOrEqual(-1e-9);
        expect(a.x + a.half).toBeLessThanOrEqual(400 + 1e-9);
        for (const b of placed.slice(i + 1)) {
          expect(Math.abs(a.x - b.x) >= a.half + b.half || Math.abs(a.y - b.y) >= 12.5).toBe(true);
        }
      }
    }),
  );
});
