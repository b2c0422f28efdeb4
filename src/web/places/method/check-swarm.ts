import { PLACE_ENDS, type PublishedCheck, isHit, placeOf } from '../../../core/model/index.ts';

/** One check as a mark on the line of its group. */
export interface SwarmMark {
  readonly check: PublishedCheck;
  readonly x: number;
  readonly y: number;
  readonly isInside: boolean;
}

const MARK_SIZE = 9;

/** Where a place on the line of a check comes to lie across a picture of this width. */
export const xOf = (place: number, width: number): number =>
  ((place - PLACE_ENDS.from) / (PLACE_ENDS.until - PLACE_ENDS.from)) * width;

/** Marks of a group along a line, those that would cover each other stacked. Returns the rows it takes too. */
export function swarmOf(
  checks: readonly PublishedCheck[],
  width: number,
): { readonly marks: readonly SwarmMark[]; readonly rows: number } {
  const lastInRow: number[] = [];
  const marks = checks
    .map((check) => ({ check, x: xOf(placeOf(check), width) }))
    .sort((a, b) => a.x - b.x)
    .map(({ check, x }) => {
      const free = lastInRow.findIndex((last) => x - last >= MARK_SIZE);
      const row = free < 0 ? lastInRow.length : free;
      lastInRow[row] = x;
      return { check, x, y: row * MARK_SIZE, isInside: isHit(check) };
    });
  return { marks, rows: Math.max(1, lastInRow.length) };
}

export const ROW_HEIGHT = MARK_SIZE;
