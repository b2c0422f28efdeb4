import type { WayOutcome } from './weigh.ts';

/** What one may want of a way. */
export const WAY_AIMS = ['foodNow', 'soilLater', 'leastWork', 'leastLoss', 'leastCost', 'leastRisk'] as const;
export type WayAim = (typeof WAY_AIMS)[number];
/** How much each matters, from 0. */
export type AimWeights = Readonly<Record<WayAim, number>>;
export const EVEN_WEIGHTS: AimWeights = {
  foodNow: 1,
  soilLater: 1,
  leastWork: 1,
  leastLoss: 1,
  leastCost: 1,
  leastRisk: 1,
};

/** A day of pale leaves is as bad as so many days of waiting (set here). */
const PALE_DAYS_WEIGHT = 1;
/** A crop that misses all it wants is as bad as a season without one, days (set here). */
const MISSED_DAYS = 180;
/** Differences below this share of all there are count as none (set here). */
const ALIKE = 0.05;

/** How well a way serves an aim: the more the better, in a unit of the aim’s own. */
function served(outcome: WayOutcome, aim: WayAim): number {
  const { paleDays, missedShare, waitDays, way } = outcome;
  switch (aim) {
    case 'foodNow':
      return -(waitDays + PALE_DAYS_WEIGHT * paleDays + MISSED_DAYS * missedShare);
    case 'soilLater':
      return outcome.humusKg + outcome.lastingCharKg;
    case 'leastWork':
      return -way.hours;
    case 'leastLoss':
      return -outcome.nitrogenLostG;
    case 'leastCost':
      return -(outcome.money ?? outcome.nitrogenToAddG);
    case 'leastRisk':
      return -risksOf(outcome);
  }
}

/** Guide values passed, things that speak against it, harvests that would come too early. */
export const risksOf = ({ limits, conflicts, waits }: WayOutcome): number =>
  limits.length + conflicts.length + waits.filter(({ isTooEarly }) => isTooEarly).length;

export interface RankedWay {
  readonly outcome: WayOutcome;
  /** Of each aim, from 0 for the worst of these ways to 1 for the best; 1 for all where they are alike. */
  readonly shares: Readonly<Record<WayAim, number>>;
  /** From 0 to 1: the aims by their weights. */
  readonly score: number;
  /** Key of a way that is as good or better in everything; null for one that stands by itself. */
  readonly beatenBy: string | null;
}

export interface Ranking {
  /** The best first; those that another beats in everything last. */
  readonly ways: readonly RankedWay[];
  /** What decides between the first two; null when there is but one, or nothing parts them. */
  readonly decided: Decided | null;
}

/** Two ways by their keys: the first is ahead by one aim, and behind by another, where there is one. */
export interface Decided {
  readonly first: string;
  readonly second: string;
  readonly by: WayAim;
  readonly against: WayAim | null;
}

const beats = (a: RankedWay, b: RankedWay): boolean =>
  WAY_AIMS.every((aim) => a.shares[aim] >= b.shares[aim] - 1e-9) &&
  WAY_AIMS.some((aim) => a.shares[aim] > b.shares[aim] + ALIKE);

/** Ways from the best to the worst for whoever weighs the aims so. */
export function rankWays(outcomes: readonly WayOutcome[], weights: AimWeights): Ranking {
  const figures = Object.fromEntries(
    WAY_AIMS.map((aim) => [aim, outcomes.map((outcome) => served(outcome, aim))]),
  ) as Record<WayAim, number[]>;
  const all = outcomes.map((outcome, i): RankedWay => {
    const shares = Object.fromEntries(
      WAY_AIMS.map((aim) => [aim, shareOf(figures[aim], i)]),
    ) as RankedWay['shares'];
    return { outcome, shares, score: scoreOf(shares, weights), beatenBy: null };
  });
  const ranked = all.map((one) => ({
    ...one,
    beatenBy: all.find((other) => other !== one && beats(other, one))?.outcome.way.key ?? null,
  }));
  const ways = ranked.toSorted(
    (a, b) => Number(a.beatenBy !== null) - Number(b.beatenBy !== null) || b.score - a.score,
  );
  return { ways, decided: decidedBetween(ways, weights) };
}

/** From 0 for the least of some figures to 1 for the most. */
function shareOf(figures: readonly number[], i: number): number {
  const [least, most] = [Math.min(...figures), Math.max(...figures)];
  return most - least < 1e-9 ? 1 : (figures[i] - least) / (most - least);
}

function scoreOf(shares: RankedWay['shares'], weights: AimWeights): number {
  const sum = WAY_AIMS.reduce((all, aim) => all + weights[aim], 0);
  return sum > 0 ? WAY_AIMS.reduce((all, aim) => all + weights[aim] * shares[aim], 0) / sum : 0;
}

function decidedBetween(ways: readonly RankedWay[], weights: AimWeights): Decided | null {
  if (ways.length < 2) return null;
  const [first, second] = ways;
  const gaps = WAY_AIMS.map((aim) => ({ aim, gap: weights[aim] * (first.shares[aim] - second.shares[aim]) }));
  const ahead = gaps.reduce((best, one) => (one.gap > best.gap ? one : best));
  const behind = gaps.reduce((worst, one) => (one.gap < worst.gap ? one : worst));
  if (ahead.gap <= ALIKE) return null;
  return {
    first: first.outcome.way.key,
    second: second.outcome.way.key,
    by: ahead.aim,
    against: behind.gap < -ALIKE ? behind.aim : null,
  };
}
