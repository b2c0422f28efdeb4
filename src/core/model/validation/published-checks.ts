import rows from './published-checks.json' with { type: 'json' };

/** What the checks are about, in the order they are shown. */
export const CHECK_GROUPS = [
  'lock-up',
  'supply',
  'losses',
  'carbon',
  'char',
  'soil warmth',
  'books',
] as const;
export type CheckGroup = (typeof CHECK_GROUPS)[number];

/** How sure we are of a published range. */
export type Confidence = 'high' | 'middling' | 'low';

/**
 * A published result the model is held against. The range is that of the source, from memory; `value` is what the model
 * gives, worked out and held to eight digits by tests/published.
 */
export interface PublishedCheck {
  readonly id: string;
  readonly group: CheckGroup;
  readonly quantity: string;
  readonly setting: string;
  readonly low: number;
  readonly high: number;
  readonly unit: string;
  readonly source: string;
  readonly fromMemory: true;
  readonly confidence: Confidence;
  /** Of our own choosing: its range was written down before it was run, and no parameter was fitted to it. */
  readonly isOwn: boolean;
  readonly value: number;
  /** Why the model lies outside, where it does. */
  readonly missReason?: string;
}

export const PUBLISHED_CHECKS = rows as readonly PublishedCheck[];

export const isHit = ({ low, high, value }: PublishedCheck): boolean => value >= low && value <= high;

export interface CheckCount {
  readonly hits: number;
  readonly all: number;
}

export const countOf = (checks: readonly PublishedCheck[]): CheckCount => ({
  hits: checks.filter(isHit).length,
  all: checks.length,
});

/** Room left beside the range in a picture, in widths of the range; what lies farther off is drawn at the edge. */
const MARGIN = 0.75;

/**
 * Where the model lies against a published range, as a place on a line on which the range always spans the same: 0 its
 * low end, 1 its high end, cut off at `-MARGIN` and `1 + MARGIN`.
 */
export function placeOf({ low, high, value }: PublishedCheck): number {
  const place = (value - low) / (high - low);
  return Math.min(1 + MARGIN, Math.max(-MARGIN, place));
}

/** The ends of that line. */
export const PLACE_ENDS = { from: -MARGIN, until: 1 + MARGIN } as const;
