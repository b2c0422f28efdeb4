import type { School } from '../../../records/vocabulary.ts';

/**
 * How seriously a garden takes what the model finds. A school changes what counts as worth saying and acting on;
 * the run beneath is the same for all three. All figures set here.
 */
export interface SchoolRules {
  /** Less than this held back in a zone is not called a lock-up, g/m2. */
  readonly feltFromG: number;
  /** A crop may miss this share of its need before anyone acts. */
  readonly harmlessShare: number;
  /** Missing so much more than on the bare bed is blamed on what was laid. */
  readonly blamedShare: number;
  /** A lock-up of the top few centimetres alone counts against planting out, not only against sowing. */
  readonly heedsContactForAll: boolean;
  /** Added to a dose, as a share of what the material costs: wood is known to lock up more than the book says. */
  readonly reserveShare: number;
}

export const SCHOOL_RULES: Readonly<Record<School, SchoolRules>> = {
  cautious: {
    feltFromG: 0.15,
    harmlessShare: 0.05,
    blamedShare: 0.02,
    heedsContactForAll: true,
    // The book finds hardwood sawdust a third below Allison 1965 (from memory); see docs/method.md.
    reserveShare: 1 / 3,
  },
  byDepth: {
    feltFromG: 0.25,
    harmlessShare: 0.1,
    blamedShare: 0.05,
    heedsContactForAll: false,
    reserveShare: 0,
  },
  relaxed: {
    feltFromG: 0.5,
    harmlessShare: 0.2,
    blamedShare: 0.15,
    heedsContactForAll: false,
    reserveShare: 0,
  },
};

const SANDY_BELOW_CLAY_PCT = 10;
/** Lock-up bites on sand and on hard-cropped ground (common practice, no source): half as much counts there. */
const BITING_FACTOR = 0.5;

/** The rules of a school on this ground; the relaxed one makes no allowance for it. */
export function rulesFor(
  school: School,
  ground: { readonly clayPct: number; readonly croppingBefore: string },
): SchoolRules {
  const rules = SCHOOL_RULES[school];
  const bites = ground.clayPct < SANDY_BELOW_CLAY_PCT || ground.croppingBefore === 'hard';
  if (!bites || school === 'relaxed') return rules;
  return {
    ...rules,
    harmlessShare: rules.harmlessShare * BITING_FACTOR,
    blamedShare: rules.blamedShare * BITING_FACTOR,
  };
}
