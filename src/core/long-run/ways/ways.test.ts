import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { bedOf, GARDEN, MILD, NO_STOCK, plantingOf } from '../../../../tests/fixtures/books.ts';
import { drawScenario, type GardenRecords } from '../../bed/index.ts';
import { total } from '../../ground/index.ts';
import { type BedScenario, isFromStock } from '../../model/index.ts';
import { emptyMemory } from '../../yard/index.ts';
import { proposeWays } from './propose.ts';
import { aheadShare, spreadOfWay, wayDrawer } from './draw-ways.ts';
import { EVEN_WEIGHTS, rankWays, WAY_AIMS, type AimWeights } from './rank.ts';
import { runYears } from '../years/run-years.ts';
import { NO_PRICES } from '../years/worth.ts';
import { newLot, withWay } from './scene.ts';
import { AS_PROPOSED, type Way, type WayCode, type WayQuestion } from './way.ts';
import { wayWeigher, wayRecords, type WayOutcome, type WeighSetting, yearsScenarioOf } from './weigh.ts';

const AUTUMN = '2026-10-10';
const garden = { ...GARDEN, climate: MILD, version: 1, createdAt: '', updatedAt: '' };
const bed = bedOf({ id: 'bed', kind: 'annual', areaM2: 5, organicMatterPct: 3, startedOn: '2026-01-01' });
const seedlings = plantingOf({
  id: 'seedlings',
  bedId: 'bed',
  cropId: 'lettuce',
  state: 'planned',
  plantedOn: '2027-04-10',
  clearedOn: '2027-06-20',
  startsAs: 'seed',
  nitrogenDemandGPerM2: 9,
  rootDepthCm: 25,
});
const path = bedOf({ id: 'path', name: 'Path', kind: 'path', areaM2: 4, startedOn: '2026-01-01' });
const ring = bedOf({ id: 'ring', name: 'Ring', kind: 'treeRing', areaM2: 3, startedOn: '2026-01-01' });
const records = {
  ...NO_STOCK,
  garden,
  beds: [bed, path, ring],
  entries: [],
  plantings: [seedlings],
  materials: [],
} as unknown as GardenRecords;

const NOTHING_KEPT = { find: () => undefined, keep: () => undefined };
const load = (materialId: string, amountL: number): WayQuestion => ({
  bedId: 'bed',
  from: { materialId, arrivesOn: AUTUMN },
  amountL,
});
const setting = { todayIso: AUTUMN, keeper: NOTHING_KEPT, prices: null };
const proposed = (question: WayQuestion) =>
  proposeWays(records, question, { todayIso: AUTUMN, memory: emptyMemory(), prefix: 'way-1' });

function weighed(
  question: WayQuestion,
  { of: asked = proposed(question), prices = null as WeighSetting['prices'] } = {},
): { readonly outcomes: WayOutcome[] } {
  const weigh = wayWeigher(asked, { ...setting, prices });
  return { outcomes: asked.proposed.map((one) => weigh(one)) };
}
/** Asked in several tests, and weighed once. */
let weighedBranchChips: readonly WayOutcome[] | undefined;
const branchChips = () => (weighedBranchChips ??= weighed(load('chips_branch', 300)).outcomes);
const waysOf = (question: WayQuestion): Way[] => proposed(question).proposed.map(({ way }) => way);
const of = (outcomes: readonly WayOutcome[], code: WayCode): WayOutcome =>
  outcomes.find(({ way }) => way.code === code)!;
const codesOf = (question: WayQuestion): WayCode[] => waysOf(question).map(({ code }) => code);

const anyWeights = fc
  .tuple(...WAY_AIMS.map(() => fc.nat(3)))
  .map((all) => Object.fromEntries(WAY_AIMS.map((aim, i) => [aim, all[i]])) as AimWeights);

describe('the ways there are', () => {
  it('suit the stuff and the bed', () => {
    expect(codesOf(load('chips_branch', 400))).toEqual([
      'onTop',
      'dugIn',
      'onTopInSpring',
      'onTopInAYear',
      'compostBeneath',
      'manureUnderCard',
      'composted',
      'pathFirst',
      'charred',
      'elsewhere',
    ]);
    // Dust makes no char in a trench; manure is no cover, and no bed of trees is dug.
    expect(codesOf(load('sawdust_softwood', 200))).not.toContain('charred');
    expect(codesOf(load('cattle_fym', 100))).toEqual([
      'onTop',
      'withinLimits',
      'dugIn',
      'composted',
      'elsewhere',
    ]);
    expect(codesOf({ ...load('chips_branch', 200), bedId: 'ring' })).not.toContain('dugIn');
  });

  it('make no layers of what is none: minerals, logs, bought feed, char', () => {
    expect(codesOf(load('wood_ash', 20))).toEqual([]);
    expect(weighed(load('wood_ash', 20)).outcomes).toEqual([]);
    expect(wayDrawer(proposed(load('wood_ash', 20)))).toBeTypeOf('function');
    expect(codesOf(load('log_wood', 300))).toEqual(['charred']);
    const [feed] = waysOf(load('feather_meal', 50));
    expect(feed.nitrogenLaidG / 5).toBeLessThanOrEqual(10);
    expect(feed.nitrogenLaidG / 5).toBeGreaterThan(8);
    const [char] = waysOf(load('biochar_raw', 500));
    expect(char.steps.at(-1)).toMatchObject({ code: 'lay', thicknessCm: 1 });
  });

  it('ask for as much as does well there when nobody says how much', () => {
    const [onTop] = waysOf({ ...load('chips_branch', 1), amountL: null });
    expect(onTop.steps).toMatchObject([
      { code: 'arrives', amountL: 400 },
      { code: 'lay', thicknessCm: expect.closeTo(8, 1) as number },
    ]);
  });

  it('are done otherwise where that is asked', () => {
    const whatIf = {
      notBefore: '2026-11-20',
      dugDepthCm: 25,
      mostCm: 4,
      partner: { materialId: 'grass_clippings', amountL: 111 },
    };
    const ways = waysOf({ ...load('chips_branch', 400), whatIf });
    const way = (code: WayCode) => ways.find((one) => one.code === code)!;
    expect(way('onTop').records.entries[0]).toMatchObject({ date: '2026-11-20', amount: 200 });
    expect(way('dugIn').records.entries[0]).toMatchObject({ dugDepthCm: 25, amount: 200 });
    expect(way('composted').steps).toContainEqual(
      expect.objectContaining({ partnerId: 'grass_clippings', partnerL: 111 }),
    );
    expect(() => waysOf({ ...load('chips_branch', 400), whatIf: { ...whatIf, notBefore: 'soon' } })).toThrow(
      /notBefore/,
    );
    for (const wrong of [{ dugDepthCm: -5 }, { dugDepthCm: 200 }, { mostCm: 0 }, { mostCm: Number.NaN }]) {
      const [field] = Object.keys(wrong);
      expect(() => waysOf({ ...load('chips_branch', 400), whatIf: { ...whatIf, ...wrong } })).toThrow(
        new RegExp(field),
      );
    }
    const partner = { materialId: 'moondust', amountL: 1 };
    expect(() => waysOf({ ...load('chips_branch', 400), whatIf: { ...whatIf, partner } })).toThrow(
      /materialId/,
    );
  });

  it('write plans from today on, under names of their own, and use no more than there is', () => {
    const ways = waysOf(load('chips_branch', 400));
    for (const { code, records: written, steps, laidL, leftL } of ways) {
      const all = [...written.lots, ...written.movements, ...written.entries];
      expect([code, all.every(({ id }) => id.startsWith('way-1-'))]).toEqual([code, true]);
      expect(new Set(all.map(({ id }) => id)).size).toBe(all.length);
      for (const { state, date } of [...written.movements, ...written.entries]) {
        expect([code, state, date >= AUTUMN]).toEqual([code, 'planned', true]);
      }
      expect(steps.length).toBeGreaterThan(0);
      expect(laidL).toBeGreaterThan(0);
      expect(leftL).toBeGreaterThanOrEqual(0);
    }
    const [onTop] = ways;
    expect(Math.abs(onTop.laidL + onTop.leftL - 400)).toBeLessThan(3);
    expect(onTop.steps.at(-1)).toMatchObject({ code: 'lay', thicknessCm: onTop.laidL / 50 });
  });

  it('take all there is when more is asked for', () => {
    const lot = { id: 'pile', name: 'Pile', form: 'pile', keeping: 'open', isTurned: false, isHot: false };
    const came = {
      id: 'came',
      type: 'receive',
      state: 'laid',
      date: '2026-09-01',
      lotId: 'pile',
      amount: 200,
    };
    const dry = { moistureFractionWetBasis: null, bulkDensityKgPerM3: null, seasonedMonths: 0 };
    const movements = [{ ...came, unit: 'litre', materialId: 'leaves_mixed', ...dry }];
    const withPile = { ...records, lots: [lot], movements } as unknown as GardenRecords;
    const asked = { bedId: 'bed', from: { lotId: 'pile' }, amountL: 1000 };
    const { proposed: all } = proposeWays(withPile, asked, {
      todayIso: AUTUMN,
      memory: emptyMemory(),
      prefix: 'w',
    });
    expect(all[0].scene.amountL).toBeLessThanOrEqual(200);
    for (const { laidL, code } of all.map(({ way }) => way).filter((way) => way.code !== 'composted')) {
      expect([code, laidL <= 200]).toEqual([code, true]);
    }
  });

  it('refuse what cannot be asked, by its field', () => {
    expect(() => proposed({ ...load('chips_branch', 400), bedId: 'nowhere' })).toThrow(/bedId/);
    expect(() => proposed(load('chips_branch', 0))).toThrow(/amountL/);
    expect(() => proposed(load('moondust', 100))).toThrow(/materialId/);
    expect(() => proposed({ bedId: 'bed', from: { lotId: 'none' }, amountL: 10 })).toThrow(/lotId/);
  });
});

describe('fresh sawdust in autumn, for a bed that is sown in spring', () => {
  const { outcomes } = weighed(load('sawdust_softwood', 200));

  it('dug in costs the seedlings the most nitrogen, and leads for nobody', () => {
    const dugIn = of(outcomes, 'dugIn');
    for (const other of outcomes) {
      expect(dugIn.nitrogenToAddG).toBeGreaterThanOrEqual(other.nitrogenToAddG);
      expect(dugIn.missedShare).toBeGreaterThanOrEqual(other.missedShare);
    }
    fc.assert(
      fc.property(anyWeights, (weights) => {
        fc.pre(weights.foodNow > 0);
        const [first] = rankWays(outcomes, weights).ways;
        expect(first.outcome.way.code).not.toBe('dugIn');
      }),
    );
  });
  it('balances its books on every way', () => {
    for (const { largestRelativeError } of outcomes) expect(largestRelativeError).toBeLessThan(1e-9);
  });
  it('on a path first locks up nothing where the seedlings grow', () => {
    expect(of(outcomes, 'pathFirst').nitrogenToAddG).toBeLessThanOrEqual(
      of(outcomes, 'onTop').nitrogenToAddG,
    );
  });
});

describe('by a school of its own', () => {
  const asked = proposed(load('sawdust_softwood', 150));
  const onTop = asked.proposed.find(({ way }) => way.code === 'onTop')!;
  const weigh = wayWeigher(asked, setting);
  const own = weigh(onTop);
  const cautious = weigh(onTop, 'cautious');

  it('a way asks for more, and is the same in what no school changes', () => {
    expect(cautious.nitrogenToAddG).toBeGreaterThan(own.nitrogenToAddG);
    for (const figure of ['humusKg', 'organicMatterPct', 'nitrogenLostG', 'waterSavedL'] as const) {
      expect(cautious[figure]).toEqual(own[figure]);
    }
  });
  it('is what it would be if nothing else had been weighed; the garden’s is the one without a name', () => {
    expect(cautious).toEqual(wayWeigher(asked, setting)(onTop, 'cautious'));
    expect(weigh(onTop, garden.school)).toEqual(own);
  });
});

describe('a way to another bed', () => {
  it('counts there what it changes, and what speaks against it there', () => {
    const [elsewhere, inAYear] = [of(branchChips(), 'elsewhere'), of(branchChips(), 'onTopInAYear')];
    expect(elsewhere.conflicts.map(({ code }) => code)).toContain('mulchOnTrunk');
    expect(elsewhere.nitrogenToAddG).toBeLessThanOrEqual(inAYear.nitrogenToAddG + 1);
  });
});

describe('a load of manure', () => {
  const { outcomes } = weighed(load('cattle_fym', 150));
  it('is held against harvests and guide values, and loses some of its nitrogen in a heap', () => {
    const composted = of(outcomes, 'composted');
    expect(composted.nitrogenLostG).toBeGreaterThan(0);
    expect(composted.way.nitrogenLaidG).toBeLessThan(composted.way.nitrogenInG);
    expect(of(outcomes, 'dugIn').limits.map(({ code }) => code)).toContain('manureNitrogen');
  });
  it('spread as thin as the guide values allow passes none of them', () => {
    const thin = of(outcomes, 'withinLimits');
    expect(thin.limits).toEqual([]);
    expect(thin.way.laidL).toBeLessThan(of(outcomes, 'onTop').way.laidL);
    expect(thin.way.laidL + thin.way.leftL).toBeCloseTo(of(outcomes, 'onTop').way.laidL, 0);
  });
});

describe('prunings, char or chips', () => {
  it('as char last longest and give their nitrogen to the smoke; as compost they leave more humus than as char', () => {
    const outcomes = branchChips();
    const [charred, composted] = [of(outcomes, 'charred'), of(outcomes, 'composted')];
    for (const other of outcomes) {
      expect(charred.lastingCharKg).toBeGreaterThanOrEqual(other.lastingCharKg);
    }
    expect(charred.way.nitrogenLaidG).toBeLessThan(0.6 * charred.way.nitrogenInG);
    expect(composted.humusKg).toBeGreaterThan(charred.humusKg);
    expect(composted.way.hours).toBeGreaterThan(of(outcomes, 'onTop').way.hours);
  });
});

describe('two cubic meters of leaves', () => {
  const { outcomes } = weighed(load('leaves_mixed', 2000));
  it('leave over what does well on the bed, and shrink to less in a year', () => {
    const [now, later] = [of(outcomes, 'onTop').way, of(outcomes, 'onTopInAYear').way];
    expect(now.laidL).toBeCloseTo(750, 0);
    expect(Math.abs(now.leftL - 1250)).toBeLessThan(10);
    expect(later.laidL + later.leftL).toBeLessThan(now.laidL + now.leftL);
  });
});

describe('where the bed is left open', () => {
  const asked = { ...load('chips_branch', 300), bedId: null };
  const { outcomes } = weighed(asked);
  it('the ways of all beds but paths stand beside each other, each under a key of its own', () => {
    const keys = outcomes.map(({ way }) => way.key);
    expect(new Set(keys).size).toBe(keys.length);
    expect(new Set(outcomes.map(({ way }) => way.bedId))).toEqual(new Set(['bed', 'ring']));
    expect(keys.slice(0, 2).toSorted()).toEqual(['onTop bed', 'onTop ring']);
    expect(outcomes.length).toBeLessThanOrEqual(10);
  });
  it('what is told of crops is told of all beds together', () => {
    const onRing = outcomes.find(({ way }) => way.key === 'onTop ring')!;
    const onBed = of(branchChips(), 'elsewhere');
    // Nothing grows on the ring: what is told are the seedlings of the bed, as when the chips go elsewhere.
    expect(onRing.nitrogenToAddG).toBeCloseTo(onBed.nitrogenToAddG, 6);
    expect(onRing.missedShare).toBeCloseTo(onBed.missedShare, 9);
  });
  it('is refused where there is none, or neither bed nor pile is said', () => {
    expect(() => proposed({ ...asked, from: null })).toThrow(/bedId/);
    const onlyPath = { ...records, beds: [path] };
    const setting = { todayIso: AUTUMN, memory: emptyMemory(), prefix: 'w' };
    expect(() => proposeWays(onlyPath, asked, setting)).toThrow(/bedId/);
  });
});

describe('where the pile is left open', () => {
  const lotOf = (id: string) => ({ ...newLot(id), reserveL: 0, note: '', version: 1 });
  const came = (lotId: string, materialId: string, amount: number) => ({
    id: `came-${lotId}`,
    type: 'receive',
    state: 'laid',
    date: '2026-09-01',
    lotId,
    materialId,
    amount,
    unit: 'litre',
    seasonedMonths: 0,
    moistureFractionWetBasis: null,
    bulkDensityKgPerM3: null,
  });
  const stocked = {
    ...records,
    lots: ['chips', 'leaves', 'ash', 'crumbs'].map(lotOf),
    movements: [
      came('chips', 'chips_branch', 300),
      came('leaves', 'leaves_mixed', 500),
      came('ash', 'wood_ash', 30),
      came('crumbs', 'compost_garden', 1),
    ],
  } as unknown as GardenRecords;
  const asked = { bedId: 'bed', from: null, amountL: null };
  it('ways of all piles that can lie on a bed stand beside each other', () => {
    const all = proposeWays(stocked, asked, { todayIso: AUTUMN, memory: emptyMemory(), prefix: 'w' });
    expect(new Set(all.proposed.map(({ way }) => way.lotId))).toEqual(new Set(['chips', 'leaves']));
    const { outcomes } = weighed(asked, { of: all });
    for (const { largestRelativeError } of outcomes) expect(largestRelativeError).toBeLessThan(1e-9);
  });
  it('leaves out what will be gone by the day that is asked for', () => {
    const gone = {
      id: 'gone',
      type: 'takeOut',
      reason: 'given',
      state: 'planned',
      date: '2026-11-01',
      lotId: 'leaves',
      amount: 500,
      unit: 'litre',
    };
    const emptied = {
      ...stocked,
      movements: [...stocked.movements, gone],
    } as unknown as GardenRecords;
    const whatIf = { ...AS_PROPOSED, notBefore: '2026-12-01' };
    const setting = { todayIso: AUTUMN, memory: emptyMemory(), prefix: 'w' };
    const later = proposeWays(emptied, { ...asked, whatIf }, setting);
    expect(new Set(later.proposed.map(({ way }) => way.lotId))).toEqual(new Set(['chips']));
  });
  it('is refused where nothing lies in the yard', () => {
    expect(() => proposed(asked)).toThrow(/lotId/);
  });
});

describe('money', () => {
  it('is what nitrogen, hours and what is bought in cost', () => {
    const prices = { ...NO_PRICES, boughtInPerM3: 50 };
    const asked = proposed(load('chips_branch', 300));
    const priced = asked.proposed.filter(({ way }) => ['onTop', 'compostBeneath'].includes(way.code));
    const { outcomes } = weighed(load('chips_branch', 300), { of: { ...asked, proposed: priced }, prices });
    expect(of(outcomes, 'onTop').money).toBe(0);
    // Two centimeters of compost on five square meters.
    expect(of(outcomes, 'compostBeneath').money).toBeCloseTo(5, 1);
    expect(of(branchChips(), 'onTop').money).toBeNull();
  });
});

describe('a ranking', () => {
  it('puts first what is best in the one thing that matters', () => {
    const only = (aim: (typeof WAY_AIMS)[number]): AimWeights => ({
      ...(Object.fromEntries(WAY_AIMS.map((one) => [one, 0])) as AimWeights),
      [aim]: 1,
    });
    const outcomes = branchChips();
    const firstBy = (aim: (typeof WAY_AIMS)[number]) => rankWays(outcomes, only(aim)).ways[0].outcome;
    const least = (read: (one: WayOutcome) => number) => Math.min(...outcomes.map(read));
    expect(firstBy('leastWork').way.hours).toBe(least(({ way }) => way.hours));
    expect(firstBy('leastLoss').nitrogenLostG).toBe(least(({ nitrogenLostG }) => nitrogenLostG));
    expect(firstBy('leastCost').nitrogenToAddG).toBe(least(({ nitrogenToAddG }) => nitrogenToAddG));
    const soil = firstBy('soilLater');
    expect(soil.humusKg + soil.lastingCharKg).toBe(
      -least(({ humusKg, lastingCharKg }) => -(humusKg + lastingCharKg)),
    );
  });
  it('names for each way that is folded away one that is as good or better in everything', () => {
    const { ways } = rankWays(branchChips(), EVEN_WEIGHTS);
    expect(ways.length).toBe(branchChips().length);
    for (const { shares, beatenBy } of ways) {
      if (beatenBy === null) continue;
      const other = ways.find(({ outcome }) => outcome.way.code === beatenBy)!;
      for (const aim of WAY_AIMS) expect(other.shares[aim]).toBeGreaterThanOrEqual(shares[aim] - 1e-9);
    }
  });
  it('says what decides only where something does', () => {
    const outcomes = branchChips();
    expect(rankWays(outcomes.slice(0, 1), EVEN_WEIGHTS).decided).toBeNull();
    expect(rankWays([outcomes[0], outcomes[0]], EVEN_WEIGHTS).decided).toBeNull();
    const { ways, decided } = rankWays(outcomes, { ...EVEN_WEIGHTS, soilLater: 3 });
    expect(decided).toMatchObject({
      first: ways[0].outcome.way.code,
      second: ways[1].outcome.way.code,
    });
  });
});

describe('as things may be', () => {
  const asked = proposed(load('chips_branch', 300));
  const drawOf = (code: WayCode, draw = wayDrawer(asked)) => {
    const one = asked.proposed.find(({ way }) => way.code === code)!;
    return Array.from({ length: 8 }, (_, number) => draw(one, number));
  };
  it('the same numbers draw the same, and differ from each other', () => {
    const [once, again] = [drawOf('onTop'), drawOf('onTop')];
    expect(again).toEqual(once);
    expect(new Set(once.map(({ soilKg }) => soilKg)).size).toBe(8);
    const { low, middle, high } = spreadOfWay(once).soilKg;
    expect(low).toBeLessThan(middle);
    expect(high).toBeGreaterThan(middle);
  });
  it('draws what lies in a pile too, in balance', () => {
    const { scene, way } = asked.proposed[0];
    const scenario = yearsScenarioOf(scene, withWay(scene.records, wayRecords(scene, way)), 'bed');
    const nitrogenOf = ({ events }: BedScenario) =>
      total(
        events.flatMap((event) =>
          event.type === 'apply' && isFromStock(event) ? [total(event.opening.nitrogenG)] : [],
        ),
      );
    const drawn = Array.from({ length: 30 }, (_, number) => drawScenario(scenario, 1, number).scenario);
    const shares = drawn.map((one) => nitrogenOf(one) / nitrogenOf(scenario)).toSorted((a, b) => a - b);
    expect(shares[3]).toBeLessThan(0.95);
    expect(shares[26]).toBeGreaterThan(1.05);
    expect(shares[15]).toBeCloseTo(1, 0);
    expect(runYears(drawn[7], scene.today, 2).largestRelativeError).toBeLessThan(1e-9);
  });
  it('what is sure is sure in every draw, and nothing is said of what draws do not change', () => {
    const [under, onTop] = [drawOf('compostBeneath'), drawOf('onTop')];
    expect(aheadShare(under, onTop, 'soilLater')).toBe(1);
    expect(aheadShare(onTop, under, 'soilLater')).toBe(0);
    expect(aheadShare(under, onTop, 'leastWork')).toBeNull();
    expect(aheadShare(under, [], 'soilLater')).toBeNull();
  });
});
