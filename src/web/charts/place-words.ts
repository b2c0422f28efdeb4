import { LETTER_PX } from '../theme/tokens.ts';

/** Where words could stand: their middle across, and their baseline. */
export interface Spot {
  readonly x: number;
  readonly y: number;
}

/** Words of a drawing with the places they may stand at, the best first. */
export interface Wording {
  readonly words: string;
  readonly spots: readonly Spot[];
}

/** Mean width of a letter as a share of its size, for the bold text face; measured on the app's own labels. */
const MEAN_WIDTH = 0.57;
/** Room above the baseline and below it, as shares of the size. */
const ASCENT = 0.85;
const DESCENT = 0.3;
const GAP_PX = 4;

interface Box {
  readonly left: number;
  readonly right: number;
  readonly top: number;
  readonly bottom: number;
}

/** Width of words in a drawing, px; estimated, since nothing is laid out yet. */
export const widthOfWords = (words: string): number => words.length * LETTER_PX * MEAN_WIDTH;

function boxOf({ x, y }: Spot, width: number): Box {
  return {
    left: x - width / 2 - GAP_PX,
    right: x + width / 2 + GAP_PX,
    top: y - ASCENT * LETTER_PX,
    bottom: y + DESCENT * LETTER_PX,
  };
}

const overlap = (a: Box, b: Box): boolean =>
  a.left < b.right && b.left < a.right && a.top < b.bottom && b.top < a.bottom;

/** The spot moved sideways so that the words stay between `left` and `right`. */
function within(spot: Spot, width: number, { left, right }: { left: number; right: number }): Spot {
  const half = Math.min(width, right - left) / 2;
  return { ...spot, x: Math.max(left + half, Math.min(spot.x, right - half)) };
}

/**
 * A spot for each of the words, in order of importance, so that none overlap and none leave the drawing; null for words
 * that fit at none of their places.
 */
export function placeWords(
  wordings: readonly Wording[],
  edges: { readonly left: number; readonly right: number },
): (Spot | null)[] {
  const taken: Box[] = [];
  return wordings.map(({ words, spots }) => {
    const width = widthOfWords(words);
    for (const wanted of spots) {
      const spot = within(wanted, width, edges);
      const box = boxOf(spot, width);
      if (taken.some((other) => overlap(box, other))) continue;
      taken.push(box);
      return spot;
    }
    return null;
  });
}
