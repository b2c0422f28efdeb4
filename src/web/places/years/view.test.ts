import { describe, expect, it } from 'vitest';
import { bedOf, GARDEN } from '../../../../tests/fixtures/books.ts';
import { yearPointOf } from '../../../../tests/fixtures/years.ts';
import type { YearsPlan } from '../../worker/years-answers.ts';
import { lineOf, type Line } from './lines.ts';
import { lineKey, type Followed, type FollowedLine } from './use-years.ts';
import { lineAt, viewOf } from './view.ts';

const beds = [bedOf({ id: 'a', areaM2: 1 }), bedOf({ id: 'b', areaM2: 3 })];
const line = (id: string): Line => lineOf(id, { habits: [] }, {})!;
const lines = [line('planned'), line('nothing')];
const books = { garden: { ...GARDEN, version: 1, createdAt: '', updatedAt: '' } };

const followedLine = (humusCarbonG: number, draws = 0): FollowedLine => ({
  points: [yearPointOf(0, { humusCarbonG }), yearPointOf(1, { humusCarbonG })],
  opinions: { fivePools: [humusCarbonG, 2], youngAndOld: [1, 1], isohumic: [1, 1] },
  draws: Array.from({ length: draws }, () => [yearPointOf(0), yearPointOf(1)]),
});

const followedOf = (known: Record<string, FollowedLine>, change: Partial<YearsPlan> = {}): Followed => ({
  plan: {
    key: 'k',
    records: {} as YearsPlan['records'],
    today: '2026-05-14',
    years: 1,
    bedIds: ['a', 'b'],
    habits: ['planned', { acts: [], keepsCrops: true }],
    lineIds: ['planned', 'nothing'],
    sparesPaths: false,
    ...change,
  },
  lines: new Map(Object.entries(known)),
  done: 2,
  total: 8,
  refusal: null,
});
const all = {
  [lineKey(0, 0)]: followedLine(100, 3),
  [lineKey(1, 0)]: followedLine(500, 5),
  [lineKey(0, 1)]: followedLine(80),
  [lineKey(1, 1)]: followedLine(400),
};

describe('what the page shows of what is known', () => {
  it('every bed with its lines, each in its place', () => {
    const view = viewOf({ followed: followedOf(all), beds, lines, isGarden: false, books })!;
    expect(view.beds.map(({ id, lines: own }) => [id, own.map(({ place }) => place)])).toEqual([
      ['a', [0, 1]],
      ['b', [0, 1]],
    ]);
    expect(view).toMatchObject({ years: 1, done: 2, total: 8 });
  });
  it('lines that are not known yet are left out; a bed without any is not shown half', () => {
    const partly = { [lineKey(0, 1)]: all['0 1'], [lineKey(1, 1)]: all['1 1'] };
    const view = viewOf({ followed: followedOf(partly), beds, lines, isGarden: false, books })!;
    expect(view.beds[0].lines.map(({ line: { id }, place }) => [id, place])).toEqual([['nothing', 1]]);
    expect(lineAt(view.beds[0], 0)?.line.id).toBe('nothing');
    expect(
      viewOf({ followed: followedOf({ [lineKey(0, 0)]: all['0 0'] }), beds, lines, isGarden: false, books }),
    ).toBeNull();
  });
  it('an older plan is still shown for the beds and habits it shares with the newer', () => {
    const newer = [line('compostYearly'), line('nothing')];
    const view = viewOf({
      followed: followedOf(all),
      beds: beds.slice(1),
      lines: newer,
      isGarden: false,
      books,
    })!;
    expect(view.beds.map(({ id }) => id)).toEqual(['b']);
    expect(view.beds[0].lines.map(({ line: { id } }) => id)).toEqual(['nothing']);
    expect(viewOf({ followed: followedOf(all), beds, lines: newer, isGarden: true, books })).toBeNull();
  });
  it('the whole garden is one bed, by area, with as many draws as every bed has', () => {
    const view = viewOf({
      followed: followedOf(all, { sparesPaths: true }),
      beds,
      lines,
      isGarden: true,
      books,
    })!;
    const [garden] = view.beds;
    expect(garden).toMatchObject({ name: GARDEN.name, areaM2: 4, bed: null });
    expect(garden.lines[0].points[0].humusCarbonG).toBeCloseTo((100 + 3 * 500) / 4, 9);
    expect(garden.lines[0].draws).toHaveLength(3);
    expect(garden.lines[0].opinions!.fivePools[0]).toBeCloseTo((100 + 3 * 500) / 4, 9);
  });
  it('of the whole garden nothing is shown until a habit is known on every bed', () => {
    const partly = { [lineKey(0, 0)]: all['0 0'] };
    expect(
      viewOf({ followed: followedOf(partly, { sparesPaths: true }), beds, lines, isGarden: true, books }),
    ).toBeNull();
  });
});
