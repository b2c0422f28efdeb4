import { createRequire } from 'node:module';
import { describe, expect, it } from 'vitest';
import type { Solver as SolverType } from 'odex';
import { lostShare } from '../../src/core/ground/numerics/exponential-loss.ts';
import { moistureModifier, temperatureModifier } from '../../src/core/ground/climate/modifiers.ts';
import { clayFactor } from '../../src/core/ground/climate/modifiers.ts';
import { openingFromFreshMass } from '../../src/core/model/simulation/cohort-opening.ts';
import { defaultParameters as p } from '../../src/core/model/simulation/parameters.ts';
import { AMPLE, apply, bed, cohort, constantClimate, finished, material } from './trials.ts';

// The package's entry is CommonJS beside raw TypeScript sources; asking for it by require takes the former.
const { Solver } = createRequire(import.meta.url)('odex') as { Solver: typeof SolverType };

/**
 * The same equations as rates, dug in 5 cm deep, warm and moist, with nitrogen enough: quick, structural,
 * woody, microbial and humus carbon, then their nitrogen. A general integrator knows nothing of sub-steps.
 */
function rates(microbialCn: number, paceFactor: number, warmth: number, clayPct: number) {
  const humified = p.biomassHumifiedShare * clayFactor(clayPct, p.referenceClayPct);
  const woodyHumified = p.woodyHumifiedShare * clayFactor(clayPct, p.referenceClayPct);
  const perDay = warmth / 365;
  return (_: number, y: number[]): number[] => {
    const [q, s, w, b, h, nq, ns, nw, nb, nh] = y as [
      number,
      number,
      number,
      number,
      number,
      number,
      number,
      number,
      number,
      number,
    ];
    const kq = p.quickDecayPerYear * paceFactor * perDay;
    const ks = p.structuralDecayPerYear * paceFactor * perDay;
    const kw = p.woodyDecayPerYear * paceFactor * perDay;
    const kb = p.microbialTurnoverPerYear * perDay;
    const kh = p.humusDecayPerYear * perDay;
    const growth = p.growthEfficiency * (kq * q + ks * s) + p.woodyGrowthEfficiency * kw * w;
    const woodyHumus = woodyHumified * kw * w;
    const humus = humified * kb * b;
    const keptN = Math.min(humus / p.humusCarbonToNitrogen, kb * nb);
    return [
      -kq * q,
      -ks * s,
      -kw * w,
      growth - kb * b,
      woodyHumus + humus - kh * h,
      -kq * nq,
      -ks * ns,
      -kw * nw,
      growth / microbialCn - kb * nb,
      woodyHumus / p.humusCarbonToNitrogen + keptN - kh * nh,
    ];
  };
}

describe('a general ODE integrator on the same equations', () => {
  it.each([
    ['clover_cover', 90],
    ['compost_garden', 365],
    ['sawdust_hardwood', 365],
  ])('%s dug in, %d days at 15 C', (id, days) => {
    const stepsPerDay = 8;
    const scenario = bed('2021-01-01', days, {
      climate: constantClimate(15),
      soil: { ...AMPLE, clayPct: 20 },
      stepsPerDay,
      events: [apply('2021-01-01', id, 2, { dugDepthCm: 5 })],
    });
    const report = cohort(finished(scenario));
    const opening = openingFromFreshMass(material(id), 2, p);
    const warmth = temperatureModifier(15, -5, 6) * moistureModifier(0, 20);
    const solver = new Solver(10);
    solver.absoluteTolerance = 1e-9;
    solver.relativeTolerance = 1e-9;
    solver.maxSteps = 100_000;
    const start = [...opening.carbonG.slice(0, 5), ...opening.nitrogenG.slice(0, 5)];
    const { y } = solver.solve(
      rates(opening.microbialCn, opening.decayRateFactor, warmth, 20),
      0,
      start,
      days,
    );
    const names = ['quick', 'structural', 'woody', 'microbial', 'humus'] as const;
    const totalC = start.slice(0, 5).reduce((sum, c) => sum + c, 0);
    const totalN = start.slice(5).reduce((sum, n) => sum + n, 0);
    names.forEach((name, i) => {
      expect(Math.abs(report.carbonG[name] - y[i]) / totalC, `${name} carbon`).toBeLessThan(2e-3);
      expect(Math.abs(report.nitrogenG[name] - y[i + 5]) / totalN, `${name} nitrogen`).toBeLessThan(2e-3);
    });
  });

  it('1 - exp(-x) by series is the function itself', () => {
    for (let x = 0; x < 3; x += 0.001) expect(lostShare(x)).toBeCloseTo(-Math.expm1(-x), 14);
  });
});
