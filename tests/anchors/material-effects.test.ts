import { describe, expect, it } from 'vitest';
import { MATERIAL_LIBRARY, type MaterialEffect, effectOf } from '../../src/core/ground/index.ts';
import {
  BALANCE_TOLERANCE,
  TRIAL_FRESH_KG_PER_M2,
  drawnNitrogen,
  releasedNitrogen,
  runTo,
  seasonTrial,
  startRun,
} from '../../src/core/model/index.ts';

/** A season of a material dug in: what it gave less what it took, as a share of what it brought; and how the books balance. */
function seasonOf(material: (typeof MATERIAL_LIBRARY)[number]) {
  const run = startRun(seasonTrial({ material, massFreshKgPerM2: TRIAL_FRESH_KG_PER_M2 }));
  runTo(run, run.scenario.endDay);
  const [tried] = run.bed.state.cohorts;
  return {
    given: (releasedNitrogen(tried) - drawnNitrogen(tried)) / tried.openingN,
    error: run.largestRelativeError,
  };
}

const ROWS = MATERIAL_LIBRARY.filter(
  ({ carbonFractionDryBasis, nitrogenFractionDryBasis }) =>
    carbonFractionDryBasis > 0 && nitrogenFractionDryBasis > 0,
).map((material) => ({ material, effect: effectOf(material), ...seasonOf(material) }));
const of = (effect: MaterialEffect) => ROWS.filter((row) => row.effect === effect);

describe('what the library says a material does is what the model makes of it', () => {
  it.each(ROWS.map((row) => [row.material.name, row] as const))(
    '%s keeps its books balanced',
    (_, { error }) => {
      expect(error).toBeLessThan(BALANCE_TOLERANCE);
    },
  );
  it('what locks up gives less than a twentieth of its nitrogen in the first season, or takes', () => {
    expect(
      of('locksUp')
        .filter(({ given }) => given > 0.05)
        .map(({ material, given }) => [material.id, given]),
    ).toEqual([]);
  });
  it('what feeds now gives a third or more', () => {
    expect(
      of('feedsNow')
        .filter(({ given }) => given < 0.33)
        .map(({ material, given }) => [material.id, given]),
    ).toEqual([]);
  });
  it('what feeds slowly gives something, and less than what feeds now on the whole', () => {
    const mean = (effect: MaterialEffect) =>
      of(effect).reduce((sum, { given }) => sum + given, 0) / of(effect).length;
    expect(mean('feedsSlowly')).toBeLessThan(mean('feedsNow') - 0.2);
    expect(mean('feedsSlowly')).toBeGreaterThan(0);
    expect(mean('locksUp')).toBeLessThan(-0.1);
  });
});
