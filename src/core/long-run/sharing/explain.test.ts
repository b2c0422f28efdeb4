import { describe, expect, it } from 'vitest';
import {
  bedOfShare,
  everySeason,
  lockUpOf,
  NOTHING,
  pileOf,
  problemOf,
  wantsOf,
} from '../../../../tests/fixtures/shares.ts';
import { idleOf, reasonOf, unmetOf } from './explain.ts';
import type { Share, ShareBed, ShareProblem } from './share-problem.ts';

const chips = pileOf({ id: 'chips' });
const urgent = bedOfShare({ id: 'urgent' });
const calm = bedOfShare({ id: 'calm', urgency: { ...NOTHING, cover: 0.3 } });
const seeds = bedOfShare({ id: 'seeds', kind: 'seedbed' });
const shareOf = (change: Partial<Share> = {}): Share => ({
  pileId: 'chips',
  bedId: 'urgent',
  season: 'now',
  litres: 300,
  ...change,
});

describe('why a pile goes to a bed', () => {
  const reason = (problem: ShareProblem, bed: ShareBed, litres: number, isFixed = false) => {
    const gain = problem.gains.find((one) => one.bedId === bed.id)!;
    return reasonOf({ pair: { pile: chips, bed, season: 'now', gain }, litres, isFixed, problem });
  };

  it('names the bed that is next in line, never one it does not belong on', () => {
    expect(reason(problemOf([chips], [urgent, calm, seeds]), urgent, 300).runnerUpBedId).toBe('calm');
    expect(reason(problemOf([chips], [urgent, seeds]), urgent, 300).runnerUpBedId).toBeNull();
  });
  it('tells what it serves, the most first, and leaves out what hardly counts', () => {
    const wants = wantsOf({ cover: 500, humus: 1, feed: 100 });
    const bed = bedOfShare({ id: 'urgent', wants, urgency: { cover: 1, humus: 1, feed: 1, char: 0 } });
    const problem = problemOf([chips], [bed]);
    const gains = problem.gains.map((one) => ({
      ...one,
      perL: { cover: 0.5, humus: 0.003, feed: 0.001, char: 0 },
    }));
    const { serves } = reason({ ...problem, gains }, bed, 200);
    expect(serves.map(({ purpose }) => purpose)).toEqual(['humus', 'cover']);
    expect(serves[0].share).toBeCloseTo(0.6 / 0.8024, 3);
  });
  it('says of lock-up only that it is borne where roots reach past it and it is worth the word', () => {
    const locking = (bed: ShareBed, litres: number) =>
      reason(problemOf([chips], [bed], { urgent: 0.01 }), bed, litres).bearsLockUp;
    expect(locking(urgent, 300)).toBe(true);
    expect(locking(urgent, 100)).toBe(false);
    expect(locking({ ...urgent, rootsReachDeep: false }, 300)).toBe(false);
  });
});

describe('why a want stays open', () => {
  const causes = (problem: ShareProblem, shares: readonly Share[]) =>
    unmetOf(shares, problem).map(({ bedId, cause }) => [bedId, cause]);

  it('nothing suits, used up, locked up, or not worth carrying', () => {
    const problem = problemOf([chips], [urgent, seeds]);
    expect(causes(problem, [shareOf({ litres: 500 })])).toEqual([['seeds', 'nothingSuits']]);
    expect(causes(problem, [])).toContainEqual(['urgent', 'notWorthCarrying']);
    const little = problemOf([pileOf({ id: 'chips', thereL: everySeason(320) })], [urgent]);
    expect(causes(little, [shareOf()])).toEqual([['urgent', 'usedUp']]);
    const locking = problemOf([chips], [bedOfShare({ id: 'urgent', bounds: lockUpOf(3) })], { urgent: 0.01 });
    expect(causes(locking, [shareOf()])).toEqual([['urgent', 'lockUp']]);
  });
  it('a want that is as good as met is none', () => {
    const problem = problemOf([chips], [urgent]);
    expect(unmetOf([shareOf({ litres: 480 })], problem)).toEqual([]);
    expect(unmetOf([shareOf({ litres: 400 })], problem)[0].metShare).toBeCloseTo(0.8, 9);
  });
});

describe('why a pile is not used up', () => {
  const reasons = (problem: ShareProblem, shares: readonly Share[] = []) =>
    idleOf(shares, problem).flatMap(({ pileId, beds, neverShared }) =>
      neverShared ? [[pileId, neverShared]] : beds.map(({ bedId, reason }) => [pileId, bedId, reason]),
    );
  it('bed by bed: it does not belong there, nothing more is wanted, or a bound is in the way', () => {
    const problem = problemOf([chips], [urgent, seeds]);
    expect(reasons(problem, [shareOf({ litres: 500 })])).toEqual([
      ['chips', 'urgent', 'wantsNone'],
      ['chips', 'seeds', 'unsuited'],
    ]);
    const rich = bedOfShare({
      id: 'urgent',
      bounds: [{ code: 'phosphorus', seasons: ['now', 'halfYear'], roomG: 0.05 }],
    });
    expect(reasons(problemOf([chips], [rich], { urgent: 0.01 }, 'phosphorus'))).toEqual([
      ['chips', 'urgent', 'phosphorus'],
    ]);
  });
  it('what never goes out by the barrow says so, and what is used up is not idle', () => {
    expect(reasons(problemOf([pileOf({ id: 'poles', isLogs: true })], [urgent]))).toEqual([
      ['poles', 'logs'],
    ]);
    expect(reasons(problemOf([chips], [urgent]), [shareOf({ litres: 1000 })])).toEqual([]);
  });
  it('a pile that shrinks has less to give later', () => {
    const shrinking = pileOf({
      id: 'chips',
      keptShare: { now: 1, halfYear: 0.5, year: 0.5, yearAndHalf: 0.5 },
    });
    const [left] = idleOf([shareOf({ season: 'halfYear', litres: 400 })], problemOf([shrinking], [urgent]));
    expect(left.leftL).toBeCloseTo(200, 9);
  });
});
