import highsLoader from 'highs';
import { beforeAll, describe, expect, it } from 'vitest';
import { findLibraryMaterial } from '../../src/core/ground/materials/library.ts';
import type { SolveLinearProgram } from '../../src/core/ground/numerics/linear-program.ts';
import { dayNumberFromIso } from '../../src/core/ground/climate/calendar.ts';
import { shareGains, type MaterialPile } from '../../src/core/long-run/sharing/share-gains.ts';
import { shareBed } from '../../src/core/long-run/sharing/share-wants.ts';
import { evenSplit, measureOf } from '../../src/core/long-run/sharing/measure.ts';
import { pairsOf } from '../../src/core/long-run/sharing/share-pairs.ts';
import { ceilingRows, programOf } from '../../src/core/long-run/sharing/share-program.ts';
import { wholeLoads } from '../../src/core/long-run/sharing/whole-loads.ts';
import { shareOut, type ShareAnswer } from '../../src/core/long-run/sharing/share-out.ts';
import type { Share, ShareProblem } from '../../src/core/long-run/sharing/share-problem.ts';
import { solverOver } from '../../src/web/solver/highs.ts';
import { bedOf, GARDEN, MILD, plantingOf } from '../fixtures/books.ts';
import {
  bedOfShare,
  everySeason,
  lockUpOf,
  NOTHING,
  pileOf,
  problemOf,
  wantsOf,
} from '../fixtures/shares.ts';

let solve: SolveLinearProgram;
beforeAll(async () => {
  solve = solverOver(await highsLoader());
});

const solved = (answer: ShareAnswer) => {
  if (answer.status !== 'solved') throw new Error(JSON.stringify(answer));
  return answer;
};
const litresTo = (answer: ShareAnswer, bedId: string) =>
  solved(answer).shares.reduce((sum, one) => (one.bedId === bedId ? sum + one.litres : sum), 0);

describe('who gets what, where the answer is plain', () => {
  const greedy = bedOfShare({ id: 'urgent' });
  const calm = bedOfShare({ id: 'calm', urgency: { ...NOTHING, cover: 0.4 } });

  it('the urgent bed is served first when there is too little for two', () => {
    const answer = shareOut(
      problemOf([pileOf({ id: 'chips', thereL: everySeason(500) })], [greedy, calm]),
      solve,
    );
    expect(litresTo(answer, 'urgent')).toBeCloseTo(500, 6);
    expect(litresTo(answer, 'calm')).toBe(0);
    expect(solved(answer).unmet).toEqual([
      { bedId: 'calm', season: 'now', purpose: 'cover', metShare: 0, cause: 'usedUp' },
    ]);
  });
  it('never more than the lock-up of a bed allows, however urgent; the rest goes to the bed that bears it', () => {
    const tender = bedOfShare({ id: 'tender', bounds: lockUpOf(2), rootsReachDeep: false });
    const answer = shareOut(
      problemOf([pileOf({ id: 'chips' })], [tender, calm], { tender: 0.01, calm: 0.01 }),
      solve,
    );
    expect(litresTo(answer, 'tender')).toBeCloseTo(200, 6);
    expect(litresTo(answer, 'calm')).toBeCloseTo(500, 6);
    expect(solved(answer).unmet[0]).toMatchObject({ bedId: 'tender', cause: 'lockUp' });
  });
  it('what is still to arrive is not given away now', () => {
    const wants = wantsOf({ cover: 400 }, { cover: 400 });
    const pile = pileOf({ id: 'chips', thereL: { ...everySeason(600), now: 300 } });
    const { shares } = solved(shareOut(problemOf([pile], [bedOfShare({ id: 'bed', wants })]), solve));
    const now = shares.filter(({ season }) => season === 'now').reduce((sum, one) => sum + one.litres, 0);
    expect(now).toBeLessThanOrEqual(300 + 1e-6);
    expect(shares.reduce((sum, one) => sum + one.litres, 0)).toBeCloseTo(600, 6);
  });
  it('nobody is sent with a handful', () => {
    const tiny = bedOfShare({
      id: 'tiny',
      areaM2: 1,
      wants: wantsOf({ cover: 10 }),
    });
    const { shares } = solved(shareOut(problemOf([pileOf({ id: 'chips' })], [tiny]), solve));
    for (const { litres } of shares) expect(Math.min(litres % 85, litres % 10)).toBe(0);
  });
  it('logs, ash and raw char are not shared out', () => {
    const piles = [
      pileOf({ id: 'poles', isLogs: true }),
      pileOf({ id: 'ash', kind: 'fertiliser' }),
      pileOf({ id: 'char', kind: 'char', isRawChar: true }),
    ];
    const answer = solved(shareOut(problemOf(piles, [greedy]), solve));
    expect(answer.shares).toEqual([]);
    expect(answer.unmet[0]?.cause).toBe('nothingSuits');
  });
});

describe('own choices', () => {
  const base = problemOf(
    [pileOf({ id: 'chips', thereL: everySeason(500) })],
    [bedOfShare({ id: 'a' }), bedOfShare({ id: 'b' })],
  );
  const withFixed = (...fixed: Share[]) => ({ ...base, fixed });
  const fix = (bedId: string, litres: number): Share => ({
    pileId: 'chips',
    bedId,
    season: 'now',
    litres,
  });

  it('stay as they are, and the rest is shared around them', () => {
    const answer = shareOut(withFixed(fix('b', 120)), solve);
    expect(litresTo(answer, 'b')).toBeCloseTo(120, 6);
    // Seven barrows of 50 L; less than one stays.
    expect(litresTo(answer, 'a')).toBeCloseTo(350, 6);
    expect(solved(answer).shares.find(({ bedId }) => bedId === 'b')?.isFixed).toBe(true);
  });
  it('nothing is a choice too', () => {
    expect(litresTo(shareOut(withFixed(fix('a', 0)), solve), 'a')).toBe(0);
  });
  it.each<[string, Share[], object]>([
    [
      'more than there is',
      [fix('a', 300), fix('b', 300)],
      { type: 'beyondStock', season: 'now', fixedL: 600, thereL: 500 },
    ],
    ['deeper than it is laid', [{ ...fix('a', 300), litres: 1200 }], { type: 'beyondStock' }],
  ])('%s is said to be impossible', (_, fixed, conflict) => {
    const answer = shareOut(withFixed(...fixed), solve);
    expect(answer.status === 'infeasible' && answer.conflicts[0]).toMatchObject(conflict);
  });
  it('more than a bed can bear is said, with its limit', () => {
    const problem = problemOf([pileOf({ id: 'chips' })], [bedOfShare({ id: 'a', bounds: lockUpOf(1) })], {
      a: 0.01,
    });
    const answer = shareOut({ ...problem, fixed: [fix('a', 200)] }, solve);
    expect(answer).toMatchObject({
      status: 'infeasible',
      conflicts: [{ type: 'beyondBound', code: 'lockUp', bedId: 'a', usedG: 2, roomG: 1 }],
    });
  });
  it('phosphorus beyond what crops take off is said, with the room that is left', () => {
    const bounds = [{ code: 'phosphorus', seasons: ['now', 'halfYear'], roomG: 30 }] as const;
    const problem = problemOf(
      [pileOf({ id: 'chips' })],
      [bedOfShare({ id: 'a', bounds })],
      { a: 0.2 },
      'phosphorus',
    );
    expect(litresTo(shareOut(problem, solve), 'a')).toBeCloseTo(150, 6);
    const asked = { ...problem, fixed: [fix('a', 100), { ...fix('a', 60), season: 'halfYear' as const }] };
    expect(shareOut(asked, solve)).toMatchObject({
      status: 'infeasible',
      conflicts: [{ type: 'beyondBound', code: 'phosphorus', bedId: 'a', usedG: 32, roomG: 30 }],
    });
  });
  it('a negative amount is refused by name', () => {
    expect(() => shareOut(withFixed(fix('a', -1)), solve)).toThrow(/fixed\.0\.litres/);
  });
});

describe('a garden of four beds by the model', () => {
  const today = dayNumberFromIso('2026-05-14', ['today']);
  const piles = (
    [
      ['chips_mixed', 1500],
      ['compost_garden', 400],
      ['grass_clippings', 200],
    ] as const
  ).map(([id, freeL]): MaterialPile => {
    const material = findLibraryMaterial(id)!;
    return {
      ...pileOf({ id, kind: material.kind, materialId: id, thereL: everySeason(freeL) }),
      material,
    };
  });
  const sets = [
    { bed: bedOf({ id: 'annual', organicMatterPct: 2.5, clayPct: 10 }), plantings: [plantingOf()] },
    { bed: bedOf({ id: 'shrubs', kind: 'shrubs' }), plantings: [] },
    { bed: bedOf({ id: 'path', kind: 'path' }), plantings: [] },
    { bed: bedOf({ id: 'seed', kind: 'seedbed' }), plantings: [] },
  ].map(({ bed, plantings }) => ({
    books: { site: { ...GARDEN, climate: MILD }, bed, crops: [], entries: [], plantings },
    findMaterial: findLibraryMaterial,
    today,
    school: 'byDepth' as const,
    aimOrganicMatterPct: 5,
  }));
  const beds = sets.map(shareBed);
  const problem: ShareProblem = {
    piles,
    beds,
    gains: sets.flatMap((set, i) => shareGains(set, beds[i], piles)),
    fixed: [],
    carrier: { barrowL: 85, bucketL: 10 },
  };

  it('fresh chips go to shrubs and path, compost to the hungry sand, clippings feed it; none to the seed bed but compost', () => {
    const { shares } = solved(shareOut(problem, solve));
    const litres = (pileId: string, bedId: string) =>
      shares.reduce((sum, one) => (one.pileId === pileId && one.bedId === bedId ? sum + one.litres : sum), 0);
    expect(litres('chips_mixed', 'shrubs')).toBeGreaterThan(200);
    expect(litres('chips_mixed', 'path')).toBeGreaterThan(200);
    expect(litres('chips_mixed', 'seed')).toBe(0);
    expect(litres('compost_garden', 'annual')).toBeGreaterThan(0);
    expect(litres('compost_garden', 'path')).toBe(0);
  });
  it('keeps within every limit that an even split passes, and meets more of what is wanted for what it carries', () => {
    const { measure, even, shares } = solved(shareOut(problem, solve));
    expect(even).toEqual(measureOf(evenSplit(problem), problem));
    expect(measure.passed).toEqual([]);
    expect(even.passed.length).toBeGreaterThan(0);
    expect(measure.metM2 / measure.barrows).toBeGreaterThan(even.metM2 / even.barrows);
    expect(measure.metM2).toBeLessThanOrEqual(measure.wantedM2 + 1e-9);
    for (const { litres } of shares) expect(Math.min(litres % 85, litres % 10)).toBe(0);
  });
  it('is rounded to whole loads as well when there are too many pairs to seek them together', () => {
    const pairs = pairsOf(problem);
    const outcome = solve(programOf(pairs, problem, false));
    if (outcome.status !== 'optimal') throw new Error(outcome.status);
    const ceilings = ceilingRows(pairs, problem);
    const loads = wholeLoads(pairs, outcome.values, ceilings);
    expect(Object.values(loads).every(Number.isInteger)).toBe(true);
    const shares = pairs.map(({ pile, bed, season, loads: name, loadL }) => ({
      pileId: pile.id,
      bedId: bed.id,
      season,
      litres: loads[name] * loadL,
    }));
    const rounded = measureOf(shares, problem);
    expect(rounded.passed).toEqual([]);
    expect(rounded.score).toBeGreaterThan(0.8 * solved(shareOut(problem, solve)).measure.score);
  });
  it('chips hold back nitrogen where roots are shallow and none to speak of where they are deep', () => {
    const gain = (bedId: string) =>
      problem.gains.find((one) => one.pileId === 'chips_mixed' && one.bedId === bedId)!;
    expect(gain('annual').usesGPerL.lockUp).toBeGreaterThan(5 * gain('shrubs').usesGPerL.lockUp);
  });
});
