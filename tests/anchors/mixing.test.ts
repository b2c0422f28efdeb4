import { refusalOf } from '../fixtures/refused.ts';
import fc from 'fast-check';
import highsLoader from 'highs';
import solver from 'javascript-lp-solver';
import { beforeAll, describe, expect, it } from 'vitest';
import { blend } from '../../src/core/yard/mixing/blend.ts';
import { bucketRatio } from '../../src/core/yard/mixing/bucket-ratio.ts';
import { mixCautions } from '../../src/core/yard/mixing/mix-cautions.ts';
import { solveMix, type MixIngredient, type MixProblem } from '../../src/core/yard/mixing/solve-mix.ts';
import { partnerMassForMoistureKg, partnerMassKg } from '../../src/core/yard/mixing/two-materials.ts';
import type { Material } from '../../src/core/ground/materials/material.ts';
import type { SolveLinearProgram } from '../../src/core/ground/numerics/linear-program.ts';
import { solverOver } from '../../src/web/solver/highs.ts';
import { measuresOf } from '../../src/words/measures.ts';
import { missWords } from '../../src/words/mix-words.ts';
import { material } from './trials.ts';

let solve: SolveLinearProgram;
beforeAll(async () => {
  solve = solverOver(await highsLoader());
});

const like = (change: Partial<Material>): Material => ({ ...material('straw_cereal'), ...change });

/** Steps of the grid that the solver is held against. */
const GRID_L = 4;

describe('ratios by the bucket', () => {
  // Worked out by hand from the seed library's own figures: what the trade's two ratios truly give.
  const rows: [string, string, number, number][] = [
    ['chips_mixed', 'grass_clippings', 3, 63.5],
    ['chips_mixed', 'grass_clippings', 4, 69.4],
    ['chips_mixed', 'compost_manure', 3, 33.5],
    ['chips_inleaf', 'grass_clippings', 3, 27.5],
    ['chips_hardwood_trunk', 'grass_clippings', 3, 125.5],
  ];
  it.each(rows)('%s and %s %d:1 come to %d', (wood, green, buckets, expected) => {
    const {
      blend: mix,
      shares,
      likely,
    } = bucketRatio([
      { material: material(wood), buckets },
      { material: material(green), buckets: 1 },
    ]);
    expect(mix.carbonToNitrogen).toBeCloseTo(expected, 1);
    expect(shares.reduce((sum, { carbon }) => sum + carbon, 0)).toBeCloseTo(1, 12);
    expect(likely![0]).toBeLessThan(expected);
    expect(likely![1]).toBeGreaterThan(expected);
  });
});

describe('worked examples of compost handbooks', () => {
  // The kind of example NRAES-54, On-Farm Composting Handbook, works through (from memory): leaves of 38 % moisture,
  // C:N 54 and 0.9 % N with wet grass of 77 % moisture, C:N 17 and 3.4 % N. Figures worked by hand from the formula.
  const leaves = like({
    moistureFractionWetBasis: 0.38,
    nitrogenFractionDryBasis: 0.009,
    carbonFractionDryBasis: 0.486,
  });
  const grass = like({
    moistureFractionWetBasis: 0.77,
    nitrogenFractionDryBasis: 0.034,
    carbonFractionDryBasis: 0.578,
  });

  it('blends C:N and moisture by weight', () => {
    const mix = blend([
      { material: leaves, massFreshKg: 10 },
      { material: grass, massFreshKg: 10 },
    ]);
    // (10*0.62*0.486 + 10*0.23*0.578) / (10*0.62*0.009 + 10*0.23*0.034)
    expect(mix.carbonToNitrogen).toBeCloseTo(4.3426 / 0.134, 9);
    expect(mix.moistureFractionWetBasis).toBeCloseTo(0.575, 12);
  });

  it('finds the leaves for a pound of grass at 30:1', () => {
    const alone = blend([{ material: grass, massFreshKg: 1 }]);
    const kg = partnerMassKg(alone, leaves, 30)!;
    // %N_grass (R - R_grass)(1 - M_grass) / [%N_leaves (R_leaves - R)(1 - M_leaves)]
    expect(kg).toBeCloseTo((3.4 * (30 - 17) * 0.23) / (0.9 * (54 - 30) * 0.62), 9);
    expect(partnerMassKg(alone, grass, 30)).toBeNull();
  });

  it('finds what dries a mix to 60 %', () => {
    const wet = blend([{ material: grass, massFreshKg: 1 }]);
    expect(partnerMassForMoistureKg(wet, leaves, 0.6)).toBeCloseTo((0.77 - 0.6) / (0.6 - 0.38), 9);
    expect(partnerMassForMoistureKg(wet, leaves, 0.2)).toBeNull();
  });
});

const ingredient = (id: string, change: Partial<MixIngredient> = {}): MixIngredient => ({
  id,
  material: material(id),
  leastL: 0,
  mostL: 2000,
  measureL: 10,
  isWhole: false,
  ...change,
});
const problem = (change: Partial<MixProblem> = {}): MixProblem => ({
  ingredients: [ingredient('chips_mixed'), ingredient('grass_clippings')],
  totalL: null,
  canWater: true,
  carbonToNitrogen: { aim: 28, tolerance: 0 },
  moisture: null,
  ...change,
});

describe('the solver', () => {
  it('agrees with the two-material formula', () => {
    const answer = solveMix(
      problem({
        ingredients: [ingredient('chips_mixed', { leastL: 100, mostL: 100 }), ingredient('grass_clippings')],
      }),
      solve,
    );
    const chipsKg = 100 * 0.28;
    const kg = partnerMassKg(
      blend([{ material: material('chips_mixed'), massFreshKg: chipsKg }]),
      material('grass_clippings'),
      28,
    )!;
    expect(answer.status).toBe('solved');
    expect(answer.litres[1]).toBeCloseTo((kg / 240) * 1000, 4);
    expect(answer.blend.carbonToNitrogen).toBeCloseTo(28, 5);
  });

  it('keeps limits of a row, a bulk density and a cost all at once', () => {
    const aims = {
      totalL: 300,
      carbonToNitrogen: { aim: 30, tolerance: 5 },
      bulkDensityKgPerM3: { aim: 260, tolerance: 15 },
      canWater: false,
    };
    const ingredients = [
      ingredient('chips_inleaf', { pricePerL: 0.02, leastL: 40 }),
      ingredient('grass_clippings', { mostL: 60 }),
      ingredient('leaves_mixed', { pricePerL: 0.001 }),
      ingredient('horse_bedding', { pricePerL: 0.01 }),
    ];
    const costOf = (litres: readonly number[]) =>
      litres.reduce((sum, one, i) => sum + one * (ingredients[i].pricePerL ?? 0), 0);
    const free = solveMix(problem({ ...aims, ingredients }), solve);
    expect(free.status).toBe('solved');
    const limit = costOf(free.litres) * 0.9 + 0.4;
    const within = solveMix(problem({ ...aims, ingredients, costMost: limit }), solve);
    expect(within.status).toBe('solved');
    const { litres, blend: mix } = within;
    expect(costOf(litres)).toBeLessThanOrEqual(limit + 1e-6);
    expect(litres[0]).toBeGreaterThanOrEqual(40 - 1e-6);
    expect(litres[1]).toBeLessThanOrEqual(60 + 1e-6);
    expect(mix.volumeL).toBeCloseTo(300, 4);
    expect(mix.carbonToNitrogen).toBeGreaterThan(25 - 1e-4);
    expect(mix.carbonToNitrogen).toBeLessThan(35 + 1e-4);
    expect(mix.bulkDensityKgPerM3).toBeGreaterThan(245 - 1e-3);
    expect(mix.bulkDensityKgPerM3).toBeLessThan(275 + 1e-3);
  });

  it('says what cannot be had for the money, or so dense', () => {
    const dear = [
      ingredient('chips_mixed', { pricePerL: 1, leastL: 30 }),
      ingredient('grass_clippings', { pricePerL: 1 }),
    ];
    const missed = (change: Partial<MixProblem>) => {
      const answer = solveMix(problem({ ingredients: dear, totalL: 100, ...change }), solve);
      return answer.status === 'infeasible' ? answer.misses.map(({ what }) => what) : [];
    };
    expect(missed({ costMost: 20 })).toContain('cost');
    expect(missed({ costMost: 100.1 })).toEqual([]);
    expect(missed({ bulkDensityKgPerM3: { aim: 20, tolerance: 1 } })).toContain('bulkDensity');
    expect(refusalOf(() => missed({ costMost: -1 }))).toMatch(/costMost/);
  });

  it('finds the same whole buckets as trying them all', () => {
    const ids = ['chips_mixed', 'grass_clippings', 'horse_bedding'];
    const most = 12;
    const target = problem({
      ingredients: ids.map((id) => ingredient(id, { isWhole: true, mostL: most * 10 })),
      carbonToNitrogen: { aim: 30, tolerance: 2 },
      canWater: false,
    });
    const answer = solveMix(target, solve);
    let fewest = Infinity;
    for (let a = 0; a <= most; a++)
      for (let b = 0; b <= most; b++)
        for (let c = 0; c <= most; c++) {
          const mix = blend(
            [a, b, c].map((n, i) => ({
              material: material(ids[i]),
              massFreshKg: (n * material(ids[i]).bulkDensityKgPerM3) / 100,
            })),
          );
          const ratio = mix.carbonToNitrogen;
          if (a + b + c > 0 && ratio !== null && ratio >= 28 && ratio <= 32)
            fewest = Math.min(fewest, a + b + c);
        }
    expect(answer.status).toBe('solved');
    expect(answer.litres.every((litres) => Math.abs(litres / 10 - Math.round(litres / 10)) < 1e-9)).toBe(
      true,
    );
    expect(answer.litres.reduce((sum, litres) => sum + litres, 0) / 10).toBe(fewest);
  });

  it('comes as near the aim as a fine grid does, ratio and water together', () => {
    const target = problem({
      ingredients: [
        ingredient('chips_mixed', { mostL: 600 }),
        ingredient('grass_clippings', { mostL: 500 }),
        ingredient('layer_manure', { mostL: 200 }),
      ],
      totalL: 800,
      carbonToNitrogen: { aim: 28, tolerance: 3 },
      moisture: { aim: 0.55, tolerance: 0.05 },
    });
    const { status, blend: mix, litres } = solveMix(target, solve);
    expect(status).toBe('solved');
    expect(litres.reduce((sum, one) => sum + one, 0)).toBeCloseTo(800, 4);
    expect(mix.carbonToNitrogen).toBeCloseTo(28, 3);
    expect(mix.moistureFractionWetBasis).toBeGreaterThan(0.5 - 1e-6);
    expect(mix.moistureFractionWetBasis).toBeLessThan(0.6 + 1e-6);

    const most = [600, 500, 200];
    let nearest = Infinity;
    for (let chips = 0; chips <= most[0]; chips += GRID_L)
      for (let grass = 0; grass <= most[1]; grass += GRID_L) {
        const manure = 800 - chips - grass;
        if (manure < 0 || manure > most[2]) continue;
        const tried = blend(
          [chips, grass, manure].map((litresOf, i) => ({
            material: target.ingredients[i].material,
            massFreshKg: (litresOf * target.ingredients[i].material.bulkDensityKgPerM3) / 1000,
          })),
        );
        const isMoist = Math.abs(tried.moistureFractionWetBasis - 0.55) <= 0.05;
        if (isMoist && tried.carbonToNitrogen !== null)
          nearest = Math.min(nearest, Math.abs(tried.carbonToNitrogen - 28));
      }
    expect(nearest).toBeLessThan(1);
    expect(Math.abs((mix.carbonToNitrogen ?? Infinity) - 28)).toBeLessThanOrEqual(nearest + 1e-6);
  });

  it('finds no worse an optimum than another LP package', () => {
    const anyProgram = fc.record({
      costs: fc.array(fc.integer({ min: 1, max: 9 }), { minLength: 3, maxLength: 3 }),
      needs: fc.array(fc.array(fc.integer({ min: 0, max: 9 }), { minLength: 3, maxLength: 3 }), {
        minLength: 1,
        maxLength: 4,
      }),
      least: fc.integer({ min: 1, max: 40 }),
    });
    fc.assert(
      fc.property(anyProgram, ({ costs, needs, least }) => {
        const names = ['x0', 'x1', 'x2'];
        const row = (need: number[]) => Object.fromEntries(names.map((name, i) => [name, need[i]]));
        const ours = solve({
          variables: names.map((name, i) => ({ name, low: 0, high: 10, cost: costs[i], isWhole: false })),
          rows: needs.map((need, k) => ({
            name: `r${k}`,
            coefficients: row(need),
            low: least,
            high: Infinity,
          })),
        });
        const theirs: unknown = solver.Solve({
          optimize: 'cost',
          opType: 'min',
          constraints: {
            ...Object.fromEntries(needs.map((_, k) => [`r${k}`, { min: least }])),
            ...Object.fromEntries(names.map((name) => [name, { max: 10 }])),
          },
          variables: Object.fromEntries(
            names.map((name, i) => [
              name,
              {
                cost: costs[i],
                [name]: 1,
                ...Object.fromEntries(needs.map((need, k) => [`r${k}`, need[i]])),
              },
            ]),
          ),
        });
        const { feasible, result } = theirs as { readonly feasible: boolean; readonly result: number };
        expect(ours.status === 'optimal').toBe(feasible);
        if (ours.status === 'optimal') expect(ours.cost).toBeCloseTo(result, 6);
      }),
      { numRuns: 100 },
    );
  });

  it('knows that nothing can meet a need for something', () => {
    const outcome = solve({
      variables: [{ name: 'x0', low: 0, high: 10, cost: 1, isWhole: false }],
      rows: [{ name: 'need', coefficients: { x0: 0 }, low: 1, high: Infinity }],
    });
    expect(outcome.status).toBe('infeasible');
  });

  it('keeps within every limit it is given, whatever they are', () => {
    const anyOf = fc.record({
      id: fc.constantFrom(
        'chips_branch',
        'straw_cereal',
        'grass_clippings',
        'layer_manure',
        'leaves_mixed',
        'veg_waste',
      ),
      mostL: fc.integer({ min: 10, max: 900 }),
      isWhole: fc.boolean(),
    });
    fc.assert(
      fc.property(
        fc.uniqueArray(anyOf, { minLength: 1, maxLength: 4, selector: ({ id }) => id }),
        fc.integer({ min: 15, max: 60 }),
        fc.option(fc.integer({ min: 50, max: 1500 }), { nil: null }),
        (chosen, aim, totalL) => {
          const answer = solveMix(
            problem({
              ingredients: chosen.map(({ id, ...limits }) => ingredient(id, limits)),
              totalL,
              carbonToNitrogen: { aim, tolerance: 2 },
              moisture: { aim: 0.55, tolerance: 0.1 },
            }),
            solve,
          );
          answer.litres.forEach((litres, i) => expect(litres).toBeLessThanOrEqual(chosen[i].mostL + 1e-6));
          if (answer.status === 'solved') {
            expect(Math.abs(answer.blend.carbonToNitrogen! - aim)).toBeLessThanOrEqual(2 + 1e-3);
          } else {
            expect(answer.misses.length).toBeGreaterThan(0);
            expect(answer.fixes.length).toBe(answer.misses.length);
          }
        },
      ),
      { numRuns: 60 },
    );
  });

  it('offers the nearest whole buckets where none are exact, instead of refusing', () => {
    const answer = solveMix(
      problem({
        ingredients: ['chips_mixed', 'grass_clippings'].map((id) =>
          ingredient(id, { isWhole: true, mostL: 100 }),
        ),
        carbonToNitrogen: { aim: 30, tolerance: 0 },
      }),
      solve,
    );
    expect(answer.litres.every((litres) => litres % 10 === 0 && litres > 0)).toBe(true);
    expect(answer.status).toBe('infeasible');
    if (answer.status !== 'infeasible') return;
    const [miss] = answer.misses;
    expect(Math.abs(answer.blend.carbonToNitrogen! - 30)).toBeLessThan(2);
    expect(missWords(miss, measuresOf({ measures: 'metric' }))).toMatch(
      /^The nearest it gets is C:N [\d.]+, not 30\.$/,
    );
  });

  it('says what cannot be, what comes nearest, and what would mend it', () => {
    const answer = solveMix(
      problem({
        ingredients: [
          ingredient('chips_mixed', { leastL: 500 }),
          ingredient('grass_clippings', { mostL: 100 }),
        ],
        canWater: false,
      }),
      solve,
    );
    if (answer.status !== 'infeasible') throw new Error('was solved');
    expect(answer.usedUp).toEqual(['grass_clippings']);
    expect(answer.misses[0]).toMatchObject({ what: 'carbonToNitrogen' });
    const [fix] = answer.fixes;
    if (fix.code !== 'addNitrogen') throw new Error('no nitrogen asked for');
    const mended = answer.blend.carbonG / (answer.blend.nitrogenG + fix.nitrogenG);
    expect(mended).toBeCloseTo(28, 9);
    const grass = fix.with.find(({ materialId }) => materialId === 'grass_clippings')!;
    expect(
      blend([
        { material: material('chips_mixed'), massFreshKg: answer.litres[0] * 0.28 },
        { material: material('grass_clippings'), massFreshKg: answer.litres[1] * 0.24 + grass.massFreshKg },
      ]).carbonToNitrogen,
    ).toBeCloseTo(28, 6);
  });

  it.each([
    [{ ingredients: [] }, /^ingredients is empty/],
    [{ carbonToNitrogen: { aim: 0, tolerance: 1 } }, /^carbonToNitrogen /],
    [{ totalL: -5 }, /^totalL /],
    [{ moisture: { aim: 1.1, tolerance: 0 } }, /^moisture /],
  ])('refuses %o', (change, sentence) => {
    expect(refusalOf(() => solveMix(problem(change), solve))).toMatch(sentence);
  });
});

describe('cautions about a mix', () => {
  const codes = (...parts: [string, number][]) => {
    const named = parts.map(([materialId, massFreshKg]) => ({
      materialId,
      massFreshKg,
      material: material(materialId),
    }));
    return mixCautions(blend(named), named).map(({ code }) => code);
  };
  it('speak where they apply and nowhere else', () => {
    expect(codes(['layer_manure', 10], ['wood_ash', 1])).toEqual(
      expect.arrayContaining(['ashWithAmmonium', 'rawManure', 'richMix', 'ammoniaLoss', 'salty']),
    );
    expect(codes(['grass_clippings', 10])).toEqual(
      expect.arrayContaining(['persistentWeedkiller', 'tooWet', 'richMix']),
    );
    expect(codes(['cardboard', 10])).toEqual(['tooDry']);
    // What has rotted through neither smells nor loses its nitrogen to a little ash.
    for (const mature of ['compost_yard', 'compost_manure', 'worm_castings', 'leaf_mould']) {
      expect(codes([mature, 10])).not.toContain('richMix');
      expect(codes([mature, 10], ['wood_ash', 0.1])).not.toContain('ashWithAmmonium');
    }
    for (const raw of ['compost_garden', 'cattle_fym', 'grass_clippings']) {
      expect(codes([raw, 10], ['wood_ash', 0.1])).toContain('ashWithAmmonium');
    }
    // Twenty cups of ash in ten liters of compost.
    expect(codes(['compost_yard', 6], ['wood_ash', 2.4])).toContain('muchAsh');
    expect(codes(['chips_mixed', 10])).toEqual([]);
  });
});
